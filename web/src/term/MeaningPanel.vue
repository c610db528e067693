<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, ref, shallowRef, watch } from "vue";
import type { Weekday, CalendarView, Change, ClosureView } from "../api/client";
import ClosureFields from "../change/ClosureFields.vue";
import { type ClosureDraft, draftOf, newClosure, written } from "../change/closure";
import DateField from "../ui/DateField.vue";
import { clock, count, weekdayDay, weekdayLong } from "../ui/say";
import type { Brush } from "./brush";
import type { Run } from "./usePaint";
import { injectTerm } from "./useTerm";

/** Gives a painted run of days its meaning, or changes the day off that stands there. */
const props = defineProps<{
  term: CalendarView;
  run: Run;
  brush: Brush;
  /** Index of the day off that is changed; -1 for a new one. */
  index: number;
}>();
const emit = defineEmits<{
  done: [];
  run: [Run];
  open: [number];
  classes: [course: string, section: string, name: string];
}>();

const state = injectTerm();
const { problem, busy, preview } = state;
const draft = ref<ClosureDraft>(newClosure());
const weekday = ref<Weekday>("MO");
const refused = ref("");
const CODES = ["MO", "TU", "WE", "TH", "FR", "SA", "SU"];

/** The day off as it stood when it was opened: its place in the list may be another's by now. */
const stands = shallowRef<ClosureView | null>(null);
const what = computed(() => (stands.value ? "off" : props.brush));
const days = computed(() =>
  props.run[0] === props.run[1]
    ? weekdayDay(props.run[0])
    : `${weekdayDay(props.run[0])} to ${weekdayDay(props.run[1])}`,
);
/** Other days off that touch the run: a press on them opens them. */
const others = computed(() =>
  props.term.closures
    .map((c, n) => ({ c, n }))
    .filter(({ c, n }) => n !== props.index && c.first <= props.run[1] && c.last >= props.run[0]),
);
/** Classes of a single day: each can be cancelled, moved or changed from here. */
const classes = computed(() =>
  props.run[0] === props.run[1]
    ? (props.term.weeks.flatMap((w) => w.days).find((d) => d.date === props.run[0])?.sessions ?? []).filter(
        (c) => c.origin !== "beat",
      )
    : [],
);
const marked = computed(() =>
  props.term.weeks
    .flatMap((w) => w.days)
    .some((d) => d.date >= props.run[0] && d.date <= props.run[1] && (d.extra || d.runsAs)),
);

const change = computed<Change>(() => {
  const [first, last] = props.run;
  if (what.value === "teaches") return { kind: "mark-days", first, last, as: "teaches" };
  if (what.value === "runs-as") return { kind: "mark-days", first, last, as: "runs-as", weekday: weekday.value };
  if (what.value === "start") return { kind: "first-plan-day", day: first };
  const closure = written(draft.value, first, last);
  const was = stands.value;
  return was
    ? { kind: "put-closure", first: was.first, last: was.last, reason: was.reason, closure }
    : { kind: "add-closure", closure };
});
const title = computed(() => {
  if (stands.value) return `Day off ${days.value}`;
  if (what.value === "teaches") return `${days.value} ${props.run[0] === props.run[1] ? "teaches" : "teach"}`;
  if (what.value === "runs-as") return `${days.value} as another weekday`;
  return what.value === "start" ? `Plan starts ${weekdayDay(props.run[0])}` : `Day off ${days.value}`;
});
/** How many classes each section would have fewer or more. */
const takes = computed(() => {
  const now = preview.value?.calendar;
  if (!now) return "";
  const parts = props.term.sections.flatMap((s, n) => {
    const less = s.sessions - (now.sections[n]?.sessions ?? s.sessions);
    return less
      ? [
          `${less > 0 ? "takes" : "gives"} ${count(Math.abs(less), "class", "classes")} ${less > 0 ? "from" : "to"} ${s.course} ${s.section}`,
        ]
      : [];
  });
  return parts.join(", ") || "no class is lost";
});

let timer = 0;
watch(
  change,
  (now) => {
    window.clearTimeout(timer);
    timer = window.setTimeout(async () => {
      if (busy.value) return;
      refused.value = "";
      try {
        await state.look(now);
      } catch (e) {
        refused.value = (e as Error).message;
        await state.look(null);
      }
    }, 40);
  },
  { deep: true },
);
watch(
  () => props.index,
  (index) => {
    stands.value = index >= 0 ? (props.term.closures[index] ?? null) : null;
    if (stands.value) draft.value = draftOf(stands.value);
  },
  { immediate: true },
);
onMounted(async () => {
  await nextTick();
  document.getElementById(what.value === "off" ? "mean-reason" : "mean-first")?.focus();
  await state.look(change.value).catch((e: Error) => (refused.value = e.message));
});

onBeforeUnmount(() => window.clearTimeout(timer));

function leave() {
  window.clearTimeout(timer);
  void state.look(null);
  emit("done");
}
async function send() {
  window.clearTimeout(timer);
  if (await state.propose(change.value)) emit("done");
}
async function reopen() {
  window.clearTimeout(timer);
  const was = stands.value;
  const [first, last] = props.run;
  const ok = await state.propose(
    was
      ? { kind: "remove-closure", first: was.first, last: was.last, reason: was.reason }
      : { kind: "mark-days", first, last, as: "usual" },
  );
  if (ok) emit("done");
}
function setFirst(first: string) {
  if (first) emit("run", [first, first > props.run[1] ? first : props.run[1]]);
}
function setLast(last: string) {
  if (last) emit("run", [last < props.run[0] ? last : props.run[0], last]);
}
</script>

<template>
  <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions -->
  <section class="sec now" aria-label="The chosen days" @keydown.escape.stop="leave">
    <h2>
      {{ title }} <span role="status">{{ takes }}</span>
    </h2>
    <form class="form" @submit.prevent="send">
      <label for="mean-first">First day</label>
      <DateField id="mean-first" :model-value="run[0]" :term-id="term.termId" @update:model-value="setFirst" />
      <template v-if="what !== 'start'">
        <label for="mean-last">Last day</label>
        <DateField id="mean-last" :model-value="run[1]" :term-id="term.termId" @update:model-value="setLast" />
      </template>
      <template v-if="what === 'runs-as'">
        <label for="mean-weekday">Runs as a</label>
        <select id="mean-weekday" v-model="weekday" class="field">
          <option v-for="(c, n) in CODES" :key="c" :value="c">{{ weekdayLong(n + 1) }}</option>
        </select>
      </template>
      <ClosureFields v-if="what === 'off'" id="mean" :term-id="term.termId" v-model="draft" :sections="term.sections" />
      <p v-if="others.length" class="wide soft">
        Off already:
        <button v-for="o in others" :key="o.n" type="button" class="do other" @click="emit('open', o.n)">
          {{ o.c.reason || "day off" }}, {{ o.c.days }}
        </button>
      </p>
      <p v-if="classes.length" class="wide soft">
        Classes:
        <button
          v-for="c in classes"
          :key="c.section + c.name"
          type="button"
          class="do other"
          @click="emit('classes', term.sections[c.section]!.course, term.sections[c.section]!.section, c.name)"
        >
          {{ term.sections[c.section]!.course }} {{ term.sections[c.section]!.section }} at {{ clock(c.start) }}
        </button>
      </p>
      <p v-if="preview && !refused" class="wide soft">{{ preview.sentence }}</p>
      <p v-if="problem || refused" class="problem wide" role="alert">{{ problem || refused }}</p>
      <div class="wide actions">
        <button v-if="stands" type="button" class="btn" :disabled="busy" @click="reopen">No longer off</button>
        <button v-else-if="marked" type="button" class="btn" :disabled="busy" @click="reopen">As usual again</button>
        <button type="button" class="btn quiet" @click="leave">Leave as it is</button>
        <button type="submit" class="btn go" :disabled="busy">
          {{ preview?.quiet ? "Do it" : "See what it does" }}
        </button>
      </div>
    </form>
  </section>
</template>

<style scoped>
.other {
  margin-right: 12px;
}
p {
  margin: 0;
}
</style>
