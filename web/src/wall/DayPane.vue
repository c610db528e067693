<script setup lang="ts">
import { computed, ref } from "vue";
import type { Day, WallView } from "../api/client";
import { clock, weekdayDay } from "../ui/say";
import DayActions from "./DayActions.vue";
import DayEvents from "./DayEvents.vue";
import DayLine from "./DayLine.vue";
import DayRibbon from "./DayRibbon.vue";
import { hiddenKinds } from "../draw/kinds";
import Mark from "../draw/Mark.vue";
import { daysOf } from "./days";
import { injectWall } from "../change/useWall";
import { unitsOf } from "../draw/units";

/** The opened day in place of the outline: what happens on it by time, a line for something new, and what can be done. */
const props = defineProps<{
  wall: WallView;
  day: Day;
  picked: ReadonlySet<string>;
  /** The days that are chosen, first and last; null for the opened one alone. */
  run: [string, string] | null;
}>();
const emit = defineEmits<{
  pick: [key: string, more: boolean];
  edit: [key: string];
  open: [dialog: "off" | "shift" | "move" | "words" | "facts", keys?: readonly string[]];
  close: [];
  go: [date: string];
}>();

const state = injectWall();
const { propose, proposal, termId } = state;
const units = computed(() => unitsOf(props.wall));
const course = computed(() => props.wall.section.course);
const section = computed(() => props.wall.section.section);
const week = computed(() =>
  props.wall.weeks.find((w) => w.first <= props.day.date && props.day.date < after(w.number)),
);
const after = (week: number) => props.wall.weeks.find((w) => w.number === week + 1)?.first ?? "9999";
const session = computed(() => props.day.sessions[0]);
const beside = computed(() => {
  const parts = [week.value ? `week ${week.value.number}` : ""];
  if (session.value)
    parts.push(`${session.value.beat ? "session" : "class"} ${session.value.number} of ${props.wall.section.sessions}`);
  else parts.push(!props.day.inTerm ? "outside the term" : props.day.off?.noClass ? "day off" : "no class");
  return parts.filter(Boolean).join(", ");
});
const STATES: Record<string, string> = { held: "kept free", paused: "lessons wait", early: "before the plan begins" };
const offSays = computed(() => {
  const off = props.day.off;
  if (!off) return "";
  const does = [
    off.noClass && "no class",
    off.planPauses && "lessons wait",
    off.nothingDue ? "nothing due" : "work may be due",
  ];
  return `${off.reason || "Day off"}: ${does.filter(Boolean).join(", ")}`;
});

/** The courses of the term, each with the section that is looked at, else its first. */
const choices = computed(() =>
  [...new Set(props.wall.sections.map((s) => s.course))].map((of) => ({
    key: of,
    termId,
    course: of,
    section: of === course.value ? section.value : (props.wall.sections.find((s) => s.course === of)?.section ?? ""),
    name: of,
  })),
);
const into = ref(course.value);
const adder = ref<InstanceType<typeof DayLine>>();
const add = (words = "") => adder.value?.add(words);
defineExpose({ add });

/** Work on its main date, in the order of the plan. */
const order = computed(() => props.day.items.filter((i) => i.which.startsWith("main-") && !i.course).map((i) => i.id));
/** Moves a thing within the day's order: by one, or to its beginning or end. */
function place(id: string, to: "first" | "up" | "down" | "last") {
  const list = order.value.filter((x) => x !== id);
  const was = order.value.indexOf(id);
  const at = { first: 0, up: Math.max(0, was - 1), down: was + 1, last: list.length }[to];
  list.splice(at, 0, id);
  void propose({ kind: "order-day", course: course.value, items: list });
}
function ordering(event: KeyboardEvent, id: string) {
  const to = ({ ArrowUp: "up", ArrowDown: "down", Home: "first", End: "last" } as const)[event.key];
  if (!event.altKey || !to || proposal.value) return;
  event.preventDefault();
  place(id, to);
}
function step(event: KeyboardEvent) {
  const by = { PageDown: 1, PageUp: -1 }[event.key];
  if (!by) return;
  event.preventDefault();
  const days = daysOf(props.wall);
  const to = days[days.findIndex((d) => d.date === props.day.date) + by];
  if (to) emit("go", to.date);
}
</script>

<template>
  <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions -->
  <section class="slip" :aria-label="`Opened day, ${weekdayDay(day.date)}`" @keydown="step">
    <div class="back">
      <button type="button" class="plain" @click="emit('close')"><span aria-hidden="true">←</span> Outline</button>
      <kbd aria-hidden="true">Esc</kbd>
    </div>
    <DayRibbon :wall="wall" :day="day" @go="emit('go', $event)" />
    <div class="scrolls">
      <div class="top">
        <h2>{{ weekdayDay(day.date) }}</h2>
        <span class="soft">{{ beside }}</span>
      </div>
      <div v-for="s in day.sessions" :key="s.name" class="place">
        <template v-if="!s.beat">{{ clock(s.start) }} to {{ clock(s.end) }}</template
        >{{ s.place ? `, ${s.place}` : "" }}<template v-if="STATES[s.state]"> · {{ STATES[s.state] }}</template>
      </div>
      <div v-if="day.off" class="place soft">{{ offSays }}</div>
      <div v-for="note in day.notes" :key="note" class="place soft">{{ note }}</div>
      <details v-if="week && (week.headline || week.targets.length)" class="place week">
        <summary>Week {{ week.number }}: {{ week.headline || "targets" }}</summary>
        <ul>
          <li v-for="target in week.targets" :key="target">{{ target }}</li>
        </ul>
      </details>
      <div v-for="l in day.lessons" :key="l.id" class="les" :class="units.get(l.unit)?.look">
        <i class="k" :class="{ taught: l.taught }"></i>
        <button
          type="button"
          class="plain name"
          :class="{ picked: picked.has('lesson:' + l.id) }"
          :data-drag="l.taught ? undefined : 'lesson:' + l.id"
          :aria-pressed="picked.has('lesson:' + l.id)"
          @click="emit('pick', 'lesson:' + l.id, $event.ctrlKey || $event.metaKey)"
          @dblclick="emit('edit', 'lesson:' + l.id)"
        >
          <span class="code">{{ l.id }}</span> {{ l.title }}
          <span v-if="l.parts > 1" class="soft">{{ l.part }} of {{ l.parts }}</span>
          <span v-if="l.taught" class="soft">taught</span>
          <Mark v-if="l.pinned" is="pin" /><span v-if="l.pinned" class="vh">fixed</span>
        </button>
        <a
          v-for="link in l.links"
          :key="link.url"
          :href="link.url"
          target="_blank"
          rel="noopener noreferrer"
          :title="link.title"
          ><span aria-hidden="true">↗</span><span class="vh">{{ link.title }}, opens in a new window</span></a
        >
        <div v-if="l.told" class="toldso"><Mark is="told" /> {{ l.told }}</div>
        <ol v-if="l.steps.length && !hiddenKinds.has('steps')">
          <li v-for="(s, n) in l.steps" :key="n">
            <span class="tm">{{ clock(s.time) }}</span><span class="what">{{ s.text }}</span
            ><span class="soft">{{ s.minutes }} min</span>
          </li>
        </ol>
      </div>
      <p v-for="w in day.words" :key="(w.section ?? '') + w.text" class="place words">
        {{ w.text }}<span v-if="w.own" class="soft"> (not for students)</span>
      </p>
      <DayEvents
        :day="day"
        :course="course"
        :picked="picked"
        @pick="(key, more) => emit('pick', key, more)"
        @edit="emit('edit', $event)"
        @order="ordering"
      />
      <DayLine
        v-if="day.inTerm"
        ref="adder"
        v-model:into="into"
        :state="state"
        :date="day.date"
        :choices="choices"
        @added="(key, of) => of.course === course && emit('pick', key, false)"
      />
    </div>
    <DayActions
      v-if="!proposal && day.inTerm"
      :wall="wall"
      :day="day"
      :picked="picked"
      :run="run"
      :order="order"
      @open="(dialog, keys) => emit('open', dialog, keys)"
      @edit="emit('edit', $event)"
      @place="place"
      @lesson="add('lesson: ')"
    />
  </section>
</template>

<style scoped>
.slip {
  display: flex;
  flex-direction: column;
  flex: 1;
  min-height: 0;
  background: var(--paper-raised);
}
.back {
  display: flex;
  justify-content: space-between;
  padding: 6px 10px;
  background: var(--paper);
}
.scrolls {
  flex: 1;
  overflow-y: auto;
  min-height: 0;
  padding-bottom: 8px;
}
.top {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  padding: 8px 10px 0;
}
.top h2 {
  margin: 0;
  font-size: 18px;
  line-height: 22px;
  white-space: nowrap;
}
.place {
  padding: 1px 10px 0;
  margin: 0;
}
.words {
  font-style: italic;
}
.week summary {
  font-weight: 600;
  cursor: pointer;
}
.week ul {
  margin: 0 0 4px;
  padding-left: 16px;
}
.les {
  position: relative;
  margin: 8px 10px 0;
  padding-left: 19px;
}
.les::before {
  content: "";
  position: absolute;
  left: 4px;
  top: 2px;
  bottom: 2px;
  width: 3px;
  background: var(--t);
}
.les .k {
  position: absolute;
  left: 0;
  top: 4px;
  width: 11px;
  height: 11px;
  border-radius: 50%;
  border: 2px solid var(--t);
  background: var(--paper-raised);
}
.les .k.taught {
  background: var(--t);
}
.name {
  font-size: 15px;
  line-height: 20px;
  font-weight: 680;
  text-align: left;
  white-space: normal;
  user-select: none;
}
.name .soft {
  font-weight: 400;
  font-size: 13px;
}
.les a {
  padding: 0 6px;
  color: inherit;
  text-decoration: none;
}
.les ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
.les li {
  display: flex;
  gap: 8px;
}
.les li .tm {
  width: 36px;
  flex: none;
  color: var(--ink-soft);
}
.les li .what {
  flex: 1;
}
.les li .soft {
  white-space: nowrap;
}
.name.picked {
  outline: 2px solid var(--ink);
  outline-offset: 1px;
}
</style>
