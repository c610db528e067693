<script setup lang="ts">
import { computed, ref } from "vue";
import Mark from "../draw/Mark.vue";
import { monthName, weekdayName, weekdayOf } from "../ui/say";
import { focusWithin } from "../ui/walk";
import DaysTools from "./DaysTools.vue";
import type { CourseLine, LaidClass, LaidDay, LaidWeek } from "./lay";

/** A month: days from left to right, a thread for each course, and what is due hung below it. */
const props = defineProps<{
  weeks: readonly LaidWeek[];
  lines: readonly CourseLine[];
  focus: string;
  opened: string;
  picked: ReadonlySet<string>;
  target: { date: string; says: string } | null;
}>();
const emit = defineEmits<{ focus: [date: string]; today: [] }>();
const grid = ref<HTMLElement>();
const monthOf = (date: string) => date.slice(0, 7);
const all = computed(() => props.weeks.flatMap((w) => w.days.map((day, n) => ({ day, begins: n === 0 }))));
const months = computed(() => [...new Set(all.value.map((d) => monthOf(d.day.date)))]);
const month = computed(() =>
  months.value.includes(monthOf(props.focus)) ? monthOf(props.focus) : (months.value[0] ?? ""),
);
const days = computed(() => all.value.filter((d) => monthOf(d.day.date) === month.value));
function turn(by: number) {
  const to = months.value[months.value.indexOf(month.value) + by];
  const first = all.value.find((d) => monthOf(d.day.date) === to);
  if (first) emit("focus", first.day.date);
}
/** A day on which nothing meets and nothing is due takes half the room. */
const template = computed(
  () =>
    `104px ${days.value.map(({ day }) => `minmax(0, ${day.classes.length || day.things.length > 1 ? 1 : 0.6}fr)`).join(" ")}`,
);
/** How many things hang in a cell at most. */
const MOST = 5;
const title = computed(() => (month.value ? `${monthName(month.value)} ${month.value.slice(0, 4)}` : ""));
const keyOf = (lane: string, thing: string) => `${lane}\t${thing}`;

/** A course's cell of a day: its class, the thread that runs through, and what hangs below. */
interface Laid {
  day: LaidDay;
  one: LaidClass | undefined;
  thread: readonly string[];
  things: LaidDay["things"];
}
const rows = computed(() =>
  props.lines.map((line) => {
    const classes = days.value.map((d) => d.day.classes.find((c) => c.lane === line.key && c.thing));
    const cells = days.value.map<Laid>(({ day }, n) => {
      const before = classes
        .slice(0, n + 1)
        .reverse()
        .find(Boolean);
      const after = classes.slice(n).find(Boolean);
      const through = before && after && before.look.join() === after.look.join() ? before.look : [];
      return {
        day,
        one: day.classes.find((c) => c.lane === line.key),
        thread: classes[n]?.look ?? through,
        things: day.things.filter((t) => t.lane === line.key),
      };
    });
    return { line, cells };
  }),
);
const says = (day: LaidDay) => (props.target?.date === day.date ? props.target.says : "");
defineExpose({ focusDay: (date: string) => focusWithin(grid.value, date) });
</script>

<template>
  <div class="wallscroll">
    <DaysTools
      show="month"
      :title="title"
      :before="months.indexOf(month) > 0"
      :after="months.indexOf(month) < months.length - 1"
      @turn="turn"
      @today="emit('today')"
    />
    <div
      ref="grid"
      class="month"
      role="grid"
      :aria-label="`${title}, all courses`"
      :style="{ gridTemplateColumns: template }"
    >
      <div role="row" class="row">
        <div class="corner" role="columnheader"><span class="vh">Course</span></div>
        <div
          v-for="{ day, begins } in days"
          :key="day.date"
          class="mday"
          role="gridcell"
          :class="{
            past: day.past,
            now: day.today,
            begins,
            opened: opened === day.date,
            target: says(day) !== '',
          }"
          :data-date="day.date"
          :tabindex="focus === day.date ? 0 : -1"
          :aria-label="day.label"
          :aria-selected="opened === day.date"
        >
          <span>{{ weekdayName(weekdayOf(day.date)).slice(0, 2) }}</span><b>{{ Number(day.date.slice(8)) }}</b>
          <span v-if="says(day)" class="says">{{ says(day) }}</span>
        </div>
      </div>
      <div v-for="{ line, cells } in rows" :key="line.key" role="row" class="row">
        <div class="mlane" role="rowheader">
          <b class="lt">{{ line.letter }}</b> {{ line.course }} {{ line.section }}
          <span class="soft">{{ line.meets }}</span>
        </div>
        <div
          v-for="(cell, n) in cells"
          :key="cell.day.date"
          class="mcell"
          role="gridcell"
          :class="{
            past: cell.day.past,
            now: cell.day.today,
            begins: days[n]!.begins,
            hatched: cell.day.off !== '' && !cell.one,
            opened: opened === cell.day.date,
            target: says(cell.day) !== '',
          }"
          :data-date="cell.day.date"
          :title="cell.day.off || undefined"
        >
          <span
            v-if="cell.one"
            class="code"
            :class="[cell.one.look, { neu: cell.one.proposed, picked: picked.has(keyOf(line.key, cell.one.thing)) }]"
            :data-drag="cell.one.drag ? keyOf(line.key, cell.one.thing) : undefined"
            :data-thing="cell.one.thing ? keyOf(line.key, cell.one.thing) : undefined"
            :title="cell.one.words"
            >{{ cell.one.code || "–" }}</span
          >
          <span v-if="cell.thread.length" class="run2" :class="cell.thread"><span class="thread"></span></span>
          <i
            v-if="cell.one"
            class="k"
            :class="[
              cell.one.look,
              { taught: cell.one.taught, cont: cell.one.goesOn, beat: cell.one.beat, none: !cell.one.thing },
            ]"
          ></i>
          <span
            v-for="t in cell.things.slice(0, MOST)"
            :key="t.thing + t.what"
            class="hung"
            :class="{
              test: t.test,
              read: t.reading,
              ntc: t.what === 'notice',
              neu2: t.proposed,
              picked: picked.has(keyOf(t.lane, t.thing)),
            }"
            :data-drag="t.drag ? keyOf(t.lane, t.thing) : undefined"
            :data-thing="keyOf(t.lane, t.thing)"
            :title="t.words"
            ><Mark v-if="t.told" is="told" /><Mark v-if="t.what === 'opens' || t.what === 'closes'" :is="t.what" />{{
              t.name
            }}<span v-if="t.letters.includes(' ')" class="soft"> {{ t.letters }}</span></span
          >
          <span
            v-if="cell.things.length > MOST"
            class="more"
            :title="
              cell.things
                .slice(MOST)
                .map((t) => t.words)
                .join('\n')
            "
            >+{{ cell.things.length - MOST }}</span
          >
        </div>
      </div>
    </div>
  </div>
</template>
