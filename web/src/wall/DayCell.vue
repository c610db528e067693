<script setup lang="ts">
import { computed } from "vue";
import { clock, numberOf, span, weekdayDay } from "../ui/say";
import Mark from "./Mark.vue";
import { fitting, shownItems } from "./fit";
import type { Cell } from "./rows";
import type { Looks } from "./units";

/** One day of the wall. Presses, drags and keys are heard by the grid around it. */
const props = defineProps<{
  cell: Cell;
  looks: Looks;
  meets: boolean;
  /** Width for work, in pixels. */
  room: number;
  /** One line a day. */
  close: boolean;
  opened: boolean;
  /** In the chosen run of days. */
  chosen: boolean;
  /** Ids of chosen lessons and items. */
  picked: ReadonlySet<string>;
  /** A thing is being carried over it. */
  target: string;
  tabbable: boolean;
}>();

const day = computed(() => props.cell.day);
const items = computed(() => shownItems(day.value.items));
const fits = computed(() => (props.close ? 0 : fitting(items.value, props.room)));
const tests = computed(() => items.value.filter((i) => i.test));
const look = computed(() => (day.value.thread ? (props.looks.get(day.value.thread.unit) ?? []) : []));
const first = computed(() => day.value.lessons[0]);
const knot = computed(() => {
  const lesson = first.value;
  return lesson ? { look: props.looks.get(lesson.unit) ?? [], taught: lesson.taught, on: lesson.part > 1 } : null;
});
const empty = computed(
  () =>
    !props.cell.off && day.value.lessons.length === 0 && day.value.sessions.some((s) => !s.beat || s.state !== "open"),
);
const emptyWord = computed(() => {
  const state = day.value.sessions[0]?.state;
  return state === "held"
    ? "held empty"
    : state === "paused"
      ? "plan pauses"
      : state === "early"
        ? "before the plan"
        : state === "taught"
          ? "nothing reached"
          : "nothing planned";
});
const goneLessons = computed(() => day.value.gone.filter((g) => g.what === "lesson"));
const goneWork = computed(() => day.value.gone.filter((g) => g.what !== "lesson"));
const label = computed(() => {
  const d = day.value;
  const words = [weekdayDay(d.date)];
  if (d.today) words.push("today");
  if (d.off)
    words.push(`${d.off.noClass ? "day off" : d.off.planPauses ? "plan pauses" : "nothing due"}: ${d.off.reason}`);
  d.sessions.forEach((s) => words.push(s.beat ? `session ${s.number}` : `class ${s.number} at ${clock(s.start)}`));
  d.lessons.forEach((l) =>
    words.push(
      `${l.id} ${l.title}${l.parts > 1 ? `, ${l.part} of ${l.parts}` : ""}, ${l.taught ? "taught" : "planned"}${l.pinned ? ", fixed" : ""}${l.proposed ? ", proposed here" : ""}`,
    ),
  );
  items.value.forEach((i) =>
    words.push(`${i.title} ${i.which.replace("main-", "")} ${clock(i.time)}${i.fixed ? ", fixed date" : ""}`),
  );
  d.gone.forEach((g) => words.push(`${g.title} leaves`));
  d.notes.forEach((n) => words.push(n));
  return words.join(". ");
});
/** A run of days off says its days once, on the first. */
const number = computed(() => {
  const { off, runLength, runEnd } = props.cell;
  if (!off || runLength === 1) return numberOf(day.value.date);
  return runLength > 1 ? span(day.value.date, runEnd) : "";
});
const lightOff = computed(() => (day.value.off && !props.cell.off ? day.value.off : null));
</script>

<template>
  <div
    class="day"
    role="gridcell"
    :class="{
      past: day.past,
      narrow: !meets,
      hatched: cell.off,
      opened,
      chosen,
      outside: !day.inTerm,
      'run-on': cell.runGoesOn,
      'run-begins': cell.runLength > 0,
      prop: day.off?.proposed,
      nt: cell.nowTop,
      nl: cell.nowLeft,
      target: target !== '',
    }"
    :data-date="day.date"
    :tabindex="tabbable ? 0 : -1"
    :aria-label="label"
    :aria-selected="chosen || opened"
  >
    <span class="n" :class="{ today: day.today }">{{ number }}</span>
    <template v-if="cell.off">
      <span v-if="cell.runLength > 0" class="why" :style="{ width: `calc(${cell.runLength * 100}% - 8px)` }"
        ><span :class="{ look: day.off?.proposed }">{{ day.off?.reason || "Day off" }}</span></span
      >
    </template>
    <template v-else>
      <div v-if="day.lessons.length" class="ti" :class="{ wn: number.length > 2 && meets }">
        <span
          v-for="lesson in day.lessons"
          :key="lesson.id"
          class="le"
          :class="[
            ...(looks.get(lesson.unit) ?? []),
            { neu: lesson.proposed, picked: picked.has('lesson:' + lesson.id) },
          ]"
          :data-drag="lesson.taught ? undefined : 'lesson:' + lesson.id"
          :title="`${lesson.id} ${lesson.title}`"
        >
          <span class="code">{{ lesson.id }}</span>
          <span class="nm" :class="{ reserve: lesson.reserve, soft: lesson.optional }">{{ lesson.title }}</span>
          <span v-if="lesson.parts > 1 && !close" class="soft part">{{ lesson.part }}/{{ lesson.parts }}</span>
          <Mark v-if="lesson.pinned" is="pin" />
        </span>
        <template v-if="!close"
          ><s v-for="g in goneLessons" :key="g.id" class="was" :title="`${g.title}: ${g.why}`">{{ g.id }}</s></template
        >
        <span v-if="close" class="cn">
          <span v-for="t in tests.slice(0, 1)" :key="t.id" class="tb">{{ t.shortName }}</span>
          <template v-if="items.length - Math.min(1, tests.length) > 0"
            ><i></i>{{ items.length - Math.min(1, tests.length) }}</template
          >
        </span>
        <span v-if="day.today" class="look tdy">today</span>
      </div>
      <div v-else class="ti" :class="{ wn: number.length > 2 && meets }">
        <span v-if="empty" class="none">{{ emptyWord }}</span>
        <span v-else-if="lightOff" class="none">{{ lightOff.reason }}</span>
        <template v-if="!close"
          ><s v-for="g in goneLessons" :key="g.id" class="was" :title="`${g.title}: ${g.why}`">{{ g.id }}</s></template
        >
        <span v-if="close && items.length" class="cn">
          <span v-for="t in tests.slice(0, 1)" :key="t.id" class="tb">{{ t.shortName }}</span>
          <template v-if="items.length - Math.min(1, tests.length) > 0"
            ><i></i>{{ items.length - Math.min(1, tests.length) }}</template
          >
        </span>
        <span v-if="day.today" class="look tdy">today</span>
      </div>
      <div
        v-if="day.thread && day.inTerm"
        class="run"
        :class="[...look, { start: day.thread.begins, end: day.thread.ends }]"
      >
        <span class="thread"></span>
      </div>
      <span v-if="knot" class="knot" :class="[...knot.look, { taught: knot.taught, cont: knot.on }]"></span>
      <span v-else-if="empty" class="gap"></span>
      <span v-if="day.thread?.ends" class="tail" :class="look"><Mark is="tail" /></span>
      <span v-if="cell.holeLeft" class="hole l" :class="look"></span>
      <span v-if="cell.holeRight" class="hole r" :class="look"></span>
    </template>
    <div v-if="!close && (items.length || goneWork.length)" class="due" :class="{ on: cell.off }">
      <span
        v-for="item in items.slice(0, fits)"
        :key="item.id"
        class="it"
        :class="{
          test: item.test,
          read: item.kind === 'reading',
          neu2: item.proposed,
          picked: picked.has('item:' + item.id),
        }"
        :data-drag="item.locked ? undefined : 'item:' + item.id"
        :title="`${item.title}, ${item.which.replace('main-', '')} ${clock(item.time)}`"
        ><Mark v-if="item.locked" is="lock" /><Mark v-else-if="item.fixed" is="pin" />{{ item.shortName }}</span
      >
      <span v-if="items.length > fits" class="more">+{{ items.length - fits }}</span>
      <s v-for="g in goneWork.slice(0, 2)" :key="g.what + g.id" class="was" :title="`${g.title}: ${g.why}`">{{
        g.title
      }}</s>
      <span v-if="goneWork.length > 2" class="more">−{{ goneWork.length - 2 }}</span>
    </div>
    <span v-if="target" class="says">{{ target }}</span>
  </div>
</template>
