<script setup lang="ts">
import { computed, ref, watch } from "vue";
import type { Change } from "../api/client";
import { courseOf } from "../api/plan";
import DateField from "../ui/DateField.vue";
import { count, weekdayDay } from "../ui/say";
import { injectWall } from "../change/useWall";
import { TITLES, type Way, takes, useWays } from "./useWays";
import SmallWall from "../draw/SmallWall.vue";
import SpareTable from "./SpareTable.vue";
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

const { found, wrong, by, everywhere, held, chosen, look, taken, toggle, propose, looks, least, best } = useWays(
  state,
  props,
);
/** Nothing asks to begin with a week, so there is little to tidy. */
const noWeekStarts = computed(
  () =>
    !props.change &&
    !props.noClassOn &&
    !!state.wall.value &&
    state.wall.value.outline.units.every((u) => !u.startsWeek),
);
async function beginWeeks() {
  const plan = await courseOf(state.termId, props.course);
  const changes = (plan?.units ?? []).map((unit) => ({
    kind: "put-unit" as const,
    course: props.course,
    unit: { ...unit, startsWeek: true, lessons: [], items: [] },
  }));
  if (await state.propose({ kind: "together", does: "Let every unit begin with a week", changes }, "always"))
    emit("done");
}
const why = ref(false);
const weighing = ref(false);
/** Problems that are said in full. */
const MOST = 3;
watch([by, everywhere, held], () => void look(), { immediate: true });
function weighed() {
  weighing.value = false;
  void look();
}
async function take(way: Way) {
  if (await propose(way)) emit("done");
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

/** On the ways: arrows choose, Enter proposes the chosen one. Escape goes back to the wall. */
function key(event: KeyboardEvent) {
  const way = found.value?.ways.find((w) => w.name === chosen.value);
  if (weighing.value) return;
  if (event.key === "Escape") emit("done");
  else if (event.key === "Enter" && (event.target as HTMLElement).matches("input[type=radio]") && way && takes(way)) {
    event.preventDefault();
    void take(way);
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
        <DateField
          id="ways-by"
          v-model="by"
          :term-id="state.termId"
          :section="`${course}/${section}`"
          empty="no date"
        />
      </template>
      <label v-if="(found?.sections ?? 0) > 1" class="all"
        ><input v-model="everywhere" type="checkbox" />leave out, join, shorten in all sections</label
      >
      <label v-if="found && (found.held || !held)" class="all"
        ><input v-model="held" type="checkbox" />{{ found.held || "earlier classes count as held as planned" }}</label
      >
      <button type="button" class="btn" :aria-pressed="why" @click="why = !why">Why</button>
      <button v-if="found" type="button" class="btn" @click="weighing = true">What things cost…</button>
      <button type="button" class="btn" @click="emit('done')">Back to the wall</button>
    </div>
    <p v-if="noWeekStarts" class="offer">
      No unit asks to begin with a week, so there is little to tidy.
      <button type="button" class="btn" @click="beginWeeks">Let every unit begin with a week</button>
    </p>
    <p v-if="wrong || state.problem.value" class="problem" role="alert">{{ wrong || state.problem.value }}</p>
    <p v-if="best" class="best">Nothing would cost less: the weeks are as tidy as this plan lets them be.</p>
    <div
      v-else-if="found"
      ref="table"
      class="ways"
      role="table"
      aria-label="Ways out"
      :style="{ '--n': found.ways.length }"
    >
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
          <p v-if="w.sentence.includes(', without ')" class="look">{{ w.sentence }}.</p>
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
            <input type="checkbox" :checked="taken(w, n)" @change="toggle(w, n)" /> {{ s.sentence }}
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
            @click="take(w)"
          >
            Propose this way
          </button>
        </div>
      </div>
    </div>
    <SpareTable v-if="found?.spare?.length" :spare="found.spare" :units="found.units" :looks="looks" />
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
.offer {
  padding: 0 14px;
}
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
.all {
  display: inline-flex;
  gap: 5px;
  align-items: center;
}
.best {
  padding: 14px 14px 0;
  margin: 0;
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
.row.last {
  position: sticky;
  bottom: 0;
  z-index: 5;
  background: var(--paper);
  border-top: 1px solid var(--rule-firm);
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
