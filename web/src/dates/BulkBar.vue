<script setup lang="ts">
import { computed, reactive, ref } from "vue";
import { type Change, type DatesRow, type ProposalView, api, ask } from "../api/client";
import { type Bulk, HOWS, UNITS, bulkChange } from "./bulk";
import { WHICH, WHICH_NAME, type Which, isNotice } from "./table";
import TimeField from "../ui/TimeField.vue";
import { injectDates } from "./useDates";

/** One change over the dates of all chosen rows. */
const props = defineProps<{ rows: DatesRow[]; sections: string[] }>();
const emit = defineEmits<{ none: [] }>();
const state = injectDates();

const bulk = reactive<Bulk>({
  how: "set",
  dates: ["due"],
  sections: [],
  by: 1,
  unit: "teaching-days",
  time: "23:59",
  weekday: "FR",
  snap: "on-or-after",
  at: "",
  toClass: "next",
});
const text = reactive<Record<Which, string>>({ opens: "", due: "", closes: "" });
const said = ref("");
const misread = ref(false);
const WEEKDAYS = [
  ["MO", "Monday"],
  ["TU", "Tuesday"],
  ["WE", "Wednesday"],
  ["TH", "Thursday"],
  ["FR", "Friday"],
  ["SA", "Saturday"],
  ["SU", "Sunday"],
] as const;
const ready = computed(() =>
  bulk.how === "set"
    ? WHICH.some((w) => text[w].trim())
    : bulk.dates.length > 0 && (bulk.by > 0 || !bulk.how.match(/later|earlier/)),
);
/** A notice begins and ends, and is never due. */
const hasDate = (row: DatesRow, which: Which) => which !== "due" || !isNotice(row);
const notices = computed(() => props.rows.filter(isNotice).length);
let asked = 0;

function readSet() {
  return ask(
    api.POST("/api/terms/{termId}/dates/reading", {
      params: { path: { termId: state.termId } },
      body: {
        cells: props.rows.flatMap((row) =>
          WHICH.filter((w) => text[w].trim() && hasDate(row, w)).map((w) => ({
            course: row.course,
            item: row.id,
            sections: bulk.sections,
            date: w,
            text: text[w],
          })),
        ),
      },
    }),
  );
}
/** Says what is understood of the words, by the first of the chosen and by how many are not understood. */
async function understand() {
  const turn = ++asked;
  said.value = "";
  misread.value = false;
  if (!props.rows.some((row) => WHICH.some((w) => text[w].trim() && hasDate(row, w)))) return;
  const found = await readSet().catch((e: Error) => {
    said.value = e.message;
    misread.value = true;
    return null;
  });
  if (!found || turn !== asked) return;
  const bad = found.cells.filter((c) => !c.understood);
  misread.value = bad.length > 0;
  said.value = bad[0]
    ? `${bad.length === found.cells.length ? "" : `${bad.length} of ${found.cells.length}: `}${bad[0].said}`
    : `“${props.rows[0]?.title ?? ""}”: ${found.cells
        .slice(0, WHICH.filter((w) => text[w].trim() && props.rows[0] && hasDate(props.rows[0], w)).length)
        .map((c) => c.said)
        .join("; ")}`;
}
async function propose() {
  if (!ready.value || state.proposal.value) return;
  if (bulk.how !== "set") {
    await state.propose(bulkChange(bulk, props.rows), "always");
    return;
  }
  const found = await readSet().catch((e: Error) => {
    state.problem.value = e.message;
    return null;
  });
  if (!found) return;
  const bad = found.cells.filter((c) => !c.understood);
  if (bad.length === found.cells.length || !found.change) {
    misread.value = true;
    said.value = bad[0]?.said ?? "";
    return;
  }
  await state.propose(found.change as Change, "always");
  const proposed = state.proposal.value as ProposalView | null;
  if (bad.length && proposed) {
    const why = [...new Set(bad.map((c) => c.said))].join(" ");
    const skipped = `${bad.length} of ${found.cells.length} dates are skipped: ${why}`;
    state.proposal.value = { ...proposed, notes: [skipped, ...proposed.notes] };
  }
}
function section(event: Event) {
  const value = (event.target as HTMLSelectElement).value;
  bulk.sections = value ? value.split("\t") : [];
  void understand();
}
</script>

<template>
  <form class="bulk" aria-label="One change for all chosen rows" @submit.prevent="propose">
    <div class="bulk-line">
      <b>{{ rows.length }} chosen</b>
      <span v-if="notices" class="soft"
        >{{ notices === 1 ? "1 is a notice and has" : `${notices} are notices and have` }} no due date</span
      >
      <label v-if="sections.length > 1"
        >section
        <select class="field" :value="bulk.sections.join('\t')" @change="section">
          <option value="">all sections</option>
          <option v-for="s in sections" :key="s" :value="s">{{ s }} only</option>
        </select>
      </label>
      <select v-model="bulk.how" class="field" aria-label="What to do">
        <option v-for="h in HOWS" :key="h.how" :value="h.how">{{ h.name }}</option>
      </select>
      <template v-if="bulk.how === 'set'">
        <label v-for="w in WHICH" :key="w"
          >{{ WHICH_NAME[w] }}
          <input
            v-model="text[w]"
            class="field set"
            autocomplete="off"
            spellcheck="false"
            :placeholder="w === 'opens' ? 'end of class' : w === 'due' ? '+2, 23:59' : 'due +2 days'"
            :aria-describedby="`bulk-said`"
            @input="understand"
          />
        </label>
      </template>
      <template v-else>
        <span class="ticks" role="group" aria-label="Dates">
          <label v-for="w in WHICH" :key="w"
            ><input v-model="bulk.dates" type="checkbox" :value="w" />{{ WHICH_NAME[w] }}</label
          >
        </span>
        <template v-if="bulk.how === 'later' || bulk.how === 'earlier'">
          <input v-model.number="bulk.by" class="field few" type="number" min="1" max="1000" aria-label="How far" />
          <select v-model="bulk.unit" class="field" aria-label="Counted in">
            <option v-for="[code, name] in UNITS" :key="code" :value="code">{{ name }}</option>
          </select>
        </template>
        <TimeField
          v-if="bulk.how === 'time'"
          id="bulk-time"
          v-model="bulk.time"
          :term-id="state.termId"
          label="Time of day"
        />
        <template v-if="bulk.how === 'weekday'">
          <select v-model="bulk.weekday" class="field" aria-label="Weekday">
            <option v-for="[code, name] in WEEKDAYS" :key="code" :value="code">{{ name }}</option>
          </select>
          <select v-model="bulk.snap" class="field" aria-label="Before or after">
            <option value="on-or-after">on it or after</option>
            <option value="on-or-before">on it or before</option>
          </select>
          <TimeField
            id="bulk-at"
            v-model="bulk.at"
            :term-id="state.termId"
            label="Time on that weekday"
            empty="its own time"
          />
        </template>
        <select v-if="bulk.how === 'class'" v-model="bulk.toClass" class="field" aria-label="Which class">
          <option value="next">that day’s or the next</option>
          <option value="previous">that day’s or the one before</option>
        </select>
      </template>
      <span class="grow"></span>
      <button type="button" class="btn quiet" @click="emit('none')">Choose none</button>
      <button type="submit" class="btn go" :disabled="!ready || state.busy.value">See what it does</button>
    </div>
    <p id="bulk-said" class="bulk-said" :class="misread ? 'look' : 'soft'" role="status">
      {{
        said ||
        (bulk.how === "set"
          ? "Empty stays as it is; “never” takes a date away. Words go by each thing’s own lesson."
          : "")
      }}
    </p>
  </form>
</template>
