<script setup lang="ts">
import { computed, ref, shallowRef, watch } from "vue";
import { type Change, type Schemas, api, ask } from "../api/client";
import DateInput from "../ui/DateInput.vue";
import { count, weekdayDay } from "../ui/say";
import { threadOf } from "../wall/units";
import { injectWall } from "../wall/useWall";
import SmallWall from "./SmallWall.vue";
import WeightsDialog from "./WeightsDialog.vue";

/** The ways out of what a change does to a section, beside each other: one is chosen, whole or in part, and proposed. */
const props = defineProps<{
  course: string;
  section: string;
  /** What was lost; null for the plan as it stands. */
  change: Change | null;
  /** In place of a change, the day on which there was no class; empty for none. */
  noClassOn: string;
}>();
const emit = defineEmits<{ done: [] }>();
const state = injectWall();

const TITLES: Record<string, string> = {
  "let-it-slide": "Let it slide",
  "catch-up-in-unit": "Catch up in this unit",
  "catch-up-by-break": "Catch up by the next break",
  "catch-up-by-pin": "Catch up by the next fixed date",
  "catch-up-by-date": "Catch up by a date",
  "leave-it-out": "Leave it out",
  "tidy-the-weeks": "Tidy the weeks",
};
type Found = Schemas["WaysView"];
type Way = Schemas["WayView"];
const found = shallowRef<Found | null>(null);
const wrong = ref("");
const by = ref("");
const chosen = ref("");
/** Steps that are not taken, by way and number. */
const left = ref<ReadonlySet<string>>(new Set());
const why = ref(false);
const weighing = ref(false);
function weighed() {
  weighing.value = false;
  void look();
}

async function look() {
  wrong.value = "";
  try {
    found.value = await ask(
      api.POST("/api/terms/{termId}/ways", {
        params: { path: { termId: state.termId } },
        body: {
          course: props.course,
          section: props.section,
          tidy: true,
          ...(props.noClassOn ? { noClassOn: props.noClassOn } : {}),
          ...(props.change ? { change: props.change as never } : {}),
          ...(by.value ? { by: by.value } : {}),
        },
      }),
    );
    left.value = new Set();
    const ways = found.value.ways.filter(takes);
    if (!ways.some((w) => w.name === chosen.value)) {
      chosen.value = ways.reduce((best, w) => (w.total < best.total ? w : best), ways[0] ?? ({} as Way)).name ?? "";
    }
  } catch (e) {
    wrong.value = (e as Error).message;
  }
}
watch(by, () => void look(), { immediate: true });

/** Whether a way can be taken: steps lead there, or it is what the change does by itself. */
const takes = (way: Way) => way.steps !== undefined && way.steps !== null && !!way.change;
const looks = computed(() => new Map(found.value?.units.map((u) => [u.id, threadOf(u.number, u.colour ?? "")])));
const unitOf = (id: string) => found.value?.units.find((u) => u.id === id);
const least = computed(() => Math.min(...(found.value?.ways.map((w) => w.total) ?? [])));
/** Problems that are said in full. */
const MOST = 3;
const stepKey = (way: Way, n: number) => `${way.name} ${n}`;
function toggle(way: Way, n: number) {
  const set = new Set(left.value);
  const key = stepKey(way, n);
  if (!set.delete(key)) set.add(key);
  left.value = set;
}
const heading = computed(() => {
  if (!found.value) return "Ways out";
  const { course, section, said } = found.value;
  return said || `The plan of ${course} ${section} as it stands`;
});
const weeksSaid = computed(() => {
  const weeks = found.value?.ways[0]?.weeks ?? [];
  return weeks.length ? `Weeks ${weeks[0]!.number} to ${weeks[weeks.length - 1]!.number}` : "No week changes";
});

async function propose(way: Way) {
  const steps = (way.steps ?? []).filter((_, n) => !left.value.has(stepKey(way, n)));
  const all = steps.length === way.steps?.length;
  const asked = found.value?.change;
  const changes = [...(asked ? [asked] : []), ...steps.map((s) => s.change)];
  const change = all ? way.change : changes.length === 1 ? changes[0] : { kind: "together", does: "", changes };
  if (changes.length && (await state.propose(change as unknown as Change, "always"))) emit("done");
}
/** On the ways: arrows choose, Enter proposes the chosen one. Escape goes back to the wall. */
function key(event: KeyboardEvent) {
  const way = found.value?.ways.find((w) => w.name === chosen.value);
  if (weighing.value) return;
  if (event.key === "Escape") emit("done");
  else if (event.key === "Enter" && (event.target as HTMLElement).matches("input[type=radio]") && way && takes(way)) {
    event.preventDefault();
    void propose(way);
  }
}
const table = ref<HTMLElement>();
watch(
  () => found.value !== null,
  () => table.value?.querySelector<HTMLElement>("input[type=radio]:checked")?.focus(),
  { flush: "post" },
);
</script>

<template>
  <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions -->
  <main class="repace" aria-label="Ways out" @keydown="key">
    <div class="head">
      <div>
        <h2>{{ heading }}</h2>
        <p class="soft">
          {{ found ? `${count(found.ways.length, "way")} on for ${course} ${section}.` : wrong ? "" : "Looking…" }}
          {{ found?.notes.join(" ") }}
        </p>
      </div>
      <span class="grow"></span>
      <template v-if="change || noClassOn">
        <label for="ways-by">Catch up by</label>
        <DateInput id="ways-by" v-model="by" :term-id="state.termId" :section="`${course}/${section}`" />
      </template>
      <button type="button" class="btn" :aria-pressed="why" @click="why = !why">Why</button>
      <button v-if="found" type="button" class="btn" @click="weighing = true">What things cost…</button>
      <button type="button" class="btn" @click="emit('done')">Back to the wall</button>
    </div>
    <p v-if="wrong || state.problem.value" class="problem" role="alert">{{ wrong || state.problem.value }}</p>
    <div v-if="found" ref="table" class="ways" role="table" aria-label="Ways out" :style="{ '--n': found.ways.length }">
      <div class="row first" role="row">
        <span class="label" role="columnheader"><span class="vh">Of each way</span></span>
        <div v-for="w in found.ways" :key="w.name" class="cell" :class="{ on: chosen === w.name }" role="columnheader">
          <label>
            <input v-model="chosen" type="radio" name="way" :value="w.name" :disabled="!takes(w)" />
            <b>{{ TITLES[w.name] }}</b>
          </label>
          <span class="soft">{{
            w.backOn
              ? `Back on plan from ${weekdayDay(w.backOn)}`
              : w.weeks.length && takes(w)
                ? "Stays otherwise to the end"
                : "As planned"
          }}</span>
        </div>
      </div>
      <div class="row" role="row">
        <span class="label" role="rowheader">{{ weeksSaid }}</span>
        <div v-for="w in found.ways" :key="w.name" class="cell wall" :class="{ on: chosen === w.name }" role="cell">
          <SmallWall :weeks="w.weeks" :weekdays="found.weekdays" :looks="looks" />
        </div>
      </div>
      <div class="row" role="row">
        <span class="label" role="rowheader">In words</span>
        <div v-for="w in found.ways" :key="w.name" class="cell" :class="{ on: chosen === w.name }" role="cell">
          {{ w.words }}
        </div>
      </div>
      <div class="row" role="row">
        <span class="label" role="rowheader">Touches</span>
        <div v-for="w in found.ways" :key="w.name" class="cell" :class="{ on: chosen === w.name }" role="cell">
          <p v-for="p in w.problems.slice(0, MOST)" :key="p" class="look">▲ {{ p }}</p>
          <p v-if="w.problems.length > MOST" class="look">and {{ w.problems.length - MOST }} more</p>
          <p v-if="w.elsewhere">{{ count(w.elsewhere, "problem") }} in other sections</p>
          <p v-if="w.told">{{ count(w.told, "lesson") }} not on the day that was told</p>
          <p class="soft">{{ w.spare ? count(w.spare, "spare day") + " left" : "no spare day left" }}</p>
        </div>
      </div>
      <div v-if="why" class="row" role="row">
        <span class="label" role="rowheader">Why</span>
        <div v-for="w in found.ways" :key="w.name" class="cell" :class="{ on: chosen === w.name }" role="cell">
          <p v-for="c in w.costs" :key="c.kind" class="cost">
            <span>{{ c.times }} × {{ c.words }}, {{ c.each }}</span
            ><b>{{ c.cost.toLocaleString("en") }}</b>
          </p>
          <p class="cost total">
            <b>{{ w.total === least ? "Total, the least" : "Total" }}</b><b>{{ w.total.toLocaleString("en") }}</b>
          </p>
        </div>
      </div>
      <div class="row" role="row">
        <span class="label" role="rowheader">Steps</span>
        <div v-for="w in found.ways" :key="w.name" class="cell" :class="{ on: chosen === w.name }" role="cell">
          <label v-for="(s, n) in w.steps ?? []" :key="n" class="step">
            <input type="checkbox" :checked="!left.has(stepKey(w, n))" @change="toggle(w, n)" /> {{ s.sentence }}
          </label>
          <p v-if="!w.steps" class="soft">No steps lead there.</p>
          <p v-else-if="!w.steps.length" class="soft">None: it falls as it comes.</p>
        </div>
      </div>
      <div class="row last" role="row">
        <span class="label"></span>
        <div v-for="w in found.ways" :key="w.name" class="cell" :class="{ on: chosen === w.name }" role="cell">
          <button
            v-if="chosen === w.name && takes(w)"
            type="button"
            class="btn go"
            :disabled="state.busy.value"
            @click="propose(w)"
          >
            Propose this way
          </button>
        </div>
      </div>
    </div>
    <section v-if="found?.spare?.length" class="spare">
      <h3>What if more classes are lost?</h3>
      <table class="moves">
        <thead>
          <tr>
            <th scope="col">Unit</th>
            <th scope="col">Classes to come</th>
            <th scope="col">Can lose, with the best repair</th>
            <th scope="col">One lost costs</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="s in found.spare" :key="s.unit">
            <td>
              <b class="code" :class="looks.get(s.unit)">{{ unitOf(s.unit)?.code }}</b> {{ unitOf(s.unit)?.title }}
            </td>
            <td>{{ s.classes }}</td>
            <td :class="{ look: !s.bears }">{{ s.bears === 0 ? "none" : s.bears === s.classes ? "all" : s.bears }}</td>
            <td>{{ s.costs.toLocaleString("en") }}</td>
          </tr>
        </tbody>
      </table>
      <p class="soft">
        Can lose: before a required lesson finds no class. The lost ones are taken from the unit’s first on.
      </p>
    </section>
    <WeightsDialog
      v-if="weighing && found"
      :course="course"
      :weights="found.weights"
      @done="weighing = false"
      @changed="weighed"
    />
  </main>
</template>

<style scoped>
.repace {
  overflow: auto;
  flex: 1;
  min-height: 0;
}
.head {
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
  padding: 10px 14px;
  border-bottom: 1px solid var(--ink);
  position: sticky;
  left: 0;
}
.head h2 {
  margin: 0;
  font-size: 18px;
}
.head p {
  margin: 2px 0 0;
}
.grow {
  flex: 1;
}
.ways {
  min-width: fit-content;
}
.row {
  display: grid;
  grid-template-columns: 84px repeat(var(--n), minmax(226px, 1fr));
  border-bottom: 1px solid var(--rule);
}
.label {
  padding: 10px 8px 10px 14px;
  color: var(--ink-soft);
}
.cell {
  padding: 8px 12px;
  border-left: 1px solid var(--rule-firm);
}
.cell.on {
  background: var(--paper-raised);
  box-shadow:
    inset 2px 0 var(--ink),
    inset -2px 0 var(--ink);
}
.first .cell.on {
  box-shadow:
    inset 2px 0 var(--ink),
    inset -2px 0 var(--ink),
    inset 0 2px var(--ink);
}
.last .cell.on {
  box-shadow:
    inset 2px 0 var(--ink),
    inset -2px 0 var(--ink),
    inset 0 -2px var(--ink);
}
.cell p {
  margin: 0 0 4px;
}
.row.first {
  position: sticky;
  top: 0;
  z-index: 5;
  background: var(--paper);
}
.spare {
  padding: 14px;
  max-width: 760px;
}
.spare h3 {
  margin: 0 0 6px;
  font-size: 15px;
}
.first label {
  display: flex;
  gap: 8px;
  align-items: center;
  font-size: 15px;
}
.first .soft {
  display: block;
  padding-left: 22px;
}
.wall {
  padding: 0;
}
.step {
  display: flex;
  gap: 6px;
  align-items: baseline;
  margin-bottom: 3px;
}
.cost {
  display: flex;
  justify-content: space-between;
  gap: 10px;
}
.cost.total {
  border-top: 1px solid var(--ink);
  padding-top: 3px;
}
</style>
