<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, ref } from "vue";
import type { WallView, Week } from "../api/client";
import { clock, dayMonth, span, weekdayLong, weekdayName } from "../ui/say";
import DayCell from "./DayCell.vue";
import LoadStrokes from "./LoadStrokes.vue";
import { type Cell, cellsOf, keepSame } from "./rows";
import { type Looks, looksOf } from "./units";

/** The term on one page: a row a week, a column a weekday. */
const props = defineProps<{
  wall: WallView;
  /** The day that the keys stand on. */
  focus: string;
  opened: string;
  /** First and last day of a chosen run; empty for none. */
  run: [string, string] | null;
  picked: ReadonlySet<string>;
  /** Where something is carried, and what dropping it there means. */
  target: { date: string; says: string } | null;
  /** Close-set: one line a day and one week open. */
  close: boolean;
  openWeek: number;
}>();
const emit = defineEmits<{ week: [number: number] }>();

const looks = computed<Looks>((old) => looksOf(props.wall, old));
const before = new Map<string, Cell>();
const grid = ref<HTMLElement>();
const width = ref(1000);
const side = computed(() => (props.close ? [86, 92] : width.value < 760 ? [50, 98] : [54, 106]));
const equal = computed(() => props.wall.columns.every((c) => c.meets === props.wall.columns[0]?.meets));
const parts = computed(() =>
  props.wall.columns.map((c) => (c.meets || equal.value ? 2 : width.value < 760 ? 0.68 : 1)),
);
const template = computed(
  () => `${side.value[0]}px ${parts.value.map((p) => `minmax(0,${p}fr)`).join(" ")} ${side.value[1]}px`,
);
const room = computed(() => {
  const all = parts.value.reduce((a, b) => a + b, 0);
  const free = width.value - (side.value[0] ?? 0) - (side.value[1] ?? 0);
  return parts.value.map((p, n) => (free * p) / all - (props.wall.columns[n]?.meets ? 31 : 15));
});
const nowWeek = computed(
  () => props.wall.weeks.find((w) => w.days.some((d) => d.date >= props.wall.today))?.number ?? -1,
);
const rows = computed(() =>
  props.wall.weeks.map((week) => ({ week, cells: keepSame(cellsOf(week, week.number === nowWeek.value), before) })),
);
const away = (week: Week) => week.away != null && !week.days.some((d) => d.items.length);
const heights = computed(() =>
  props.close
    ? rows.value
        .map(({ week }) => (away(week) ? "13px" : week.number === props.openWeek ? "45px" : "minmax(17px,1fr)"))
        .join(" ")
    : rows.value.map(({ week }) => (away(week) && rows.value.length > 20 ? "13px" : "minmax(40px,1fr)")).join(" "),
);
const inRun = (date: string) => props.run !== null && date >= props.run[0] && date <= props.run[1];
const band = (week: Week) => away(week) && rows.value.length > 20;
let observer: ResizeObserver | undefined;

onMounted(() => {
  observer = new ResizeObserver(([entry]) => {
    if (entry) width.value = entry.contentRect.width;
  });
  if (grid.value) observer.observe(grid.value);
});
onBeforeUnmount(() => observer?.disconnect());

async function focusDay(date: string) {
  await nextTick();
  grid.value?.querySelector<HTMLElement>(`[data-date="${date}"]`)?.focus();
}
defineExpose({ focusDay });
</script>

<template>
  <div
    ref="grid"
    class="wall"
    :class="{ close, five: equal }"
    role="grid"
    :aria-label="`The term, ${wall.section.course} ${wall.section.section}`"
    :style="{ gridTemplateColumns: template, gridTemplateRows: `${close ? 20 : 24}px ${heights}` }"
  >
    <div role="row" class="row">
      <div class="wh first" role="columnheader">Week</div>
      <div
        v-for="column in wall.columns"
        :key="column.weekday"
        class="wh"
        role="columnheader"
        :aria-label="weekdayLong(column.weekday)"
      >
        <b>{{ weekdayName(column.weekday) }}</b>
        <span v-if="column.time" class="soft">{{ clock(column.time) }}</span>
        <span v-else-if="!column.meets" class="soft nc">does not meet</span>
      </div>
      <div class="wh last" role="columnheader">{{ close ? "Work" : "Student work" }}</div>
    </div>
    <div v-for="{ week, cells } in rows" :key="week.number" role="row" class="row">
      <template v-if="band(week)">
        <div class="brk hatched" role="gridcell">
          <span class="when">{{ span(week.days[0]!.date, week.days[week.days.length - 1]!.date) }}</span>
          <span class="whole">{{ week.away || "no class" }}</span>
        </div>
      </template>
      <template v-else>
        <div
          class="wk"
          role="rowheader"
          :class="{ past: week.days.every((d) => d.past), o: close && week.number === openWeek }"
          :title="week.teachingWeek ? `Week ${week.number}, teaching week ${week.teachingWeek}` : `Week ${week.number}`"
        >
          <button
            v-if="close"
            type="button"
            class="plain"
            :aria-label="`Keep week ${week.number} open`"
            tabindex="-1"
            @click.stop="emit('week', week.number)"
          >
            <b>{{ week.number }}</b>
          </button>
          <b v-else>{{ week.number }}</b><small
            v-if="week.teachingWeek && week.teachingWeek !== week.number"
            aria-hidden="true"
            >{{ week.teachingWeek }}</small
          ><span>{{ dayMonth(week.first) }}</span>
        </div>
        <DayCell
          v-for="(cell, n) in cells"
          :key="cell.day.date"
          :class="{ o: close && week.number === openWeek }"
          :cell="cell"
          :looks="looks"
          :meets="wall.columns[n]!.meets"
          :room="room[n] ?? 100"
          :close="close && week.number !== openWeek"
          :opened="cell.day.date === opened"
          :chosen="inRun(cell.day.date)"
          :picked="picked"
          :target="target?.date === cell.day.date ? target.says : ''"
          :tabbable="cell.day.date === focus"
        />
        <div
          class="load"
          role="gridcell"
          :class="{ past: week.days.every((d) => d.past), o: close && week.number === openWeek }"
        >
          <LoadStrokes
            :minutes="week.minutes"
            :over="week.over"
            :limit="wall.section.weekLimit"
            :close="close && week.number !== openWeek"
          />
        </div>
      </template>
    </div>
  </div>
</template>
