<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref } from "vue";
import { dayMonth, hours, weekdayLong, weekdayName } from "../ui/say";
import LoadStrokes from "../wall/LoadStrokes.vue";
import { focusWithin } from "../ui/walk";
import CoursesCell from "./CoursesCell.vue";
import type { LaidWeek } from "./lay";
import { slotsOf } from "./slots";

/** All courses by weeks: a row a week, wide around now and where it is widened, else close-set. */
const props = defineProps<{
  weeks: readonly LaidWeek[];
  /** Weekdays, 1 for Monday to 7. */
  columns: readonly number[];
  today: string;
  focus: string;
  opened: string;
  picked: ReadonlySet<string>;
  target: { date: string; says: string } | null;
  /** First days of weeks that were widened, or made close-set, by hand. */
  turned: ReadonlySet<string>;
  /** Only the present week is wide unless it is turned. */
  close: boolean;
}>();
const emit = defineEmits<{ turn: [first: string] }>();

/** Width that a class needs, in pixels. */
const SLOT = 38;
/** Heights of rows, and widths of the columns at both ends, in pixels. */
const WIDE = 61;
const CLOSE = 28;
const ENDS = 60 + 104;
const grid = ref<HTMLElement>();
/** Of the part that scrolls; null until it is measured: nothing is drawn for another size first. */
const measured = ref<{ width: number; height: number } | null>(null);
const size = computed(() => measured.value ?? { width: 980, height: 700 });
const slots = computed(() => slotsOf(props.weeks));
/** A weekday on which no course meets is narrower. */
const parts = computed(() => slots.value.map((s) => (s.length ? 1 : 0.3)));
const widths = computed(() => {
  const all = parts.value.reduce((a, b) => a + b, 0);
  return parts.value.map((p) => ((size.value.width - ENDS) * p) / Math.max(1, all));
});
const template = computed(() => `60px ${parts.value.map((p) => `minmax(0, ${p}fr)`).join(" ")} 104px`);
const beside = computed(() => {
  const most = Math.max(1, ...slots.value.map((s) => s.length));
  return Math.max(1, Math.min(most, Math.floor((Math.max(...widths.value) - 28) / SLOT)));
});
/** Lines of classes in a cell. */
const stories = computed(() => Math.ceil(Math.max(1, ...slots.value.map((s) => s.length)) / beside.value));
const heights = computed(() => ({
  wide: WIDE + (stories.value - 1) * 25,
  close: CLOSE + (stories.value - 1) * 24,
}));
const nowAt = computed(() => {
  const at = props.weeks.findIndex((w) => w.last >= props.today);
  return at < 0 ? props.weeks.length - 1 : at;
});
/** As many weeks from the last one on as there is room for. */
const wide = computed(() => {
  const { wide: w, close: c } = heights.value;
  const more = props.close
    ? 1
    : Math.max(2, Math.floor((size.value.height - 24 - props.weeks.length * c) / Math.max(1, w - c)));
  const from = props.close ? nowAt.value : Math.max(0, Math.min(nowAt.value - 1, props.weeks.length - more));
  return new Set(
    props.weeks
      .filter((week, n) => (n >= from && n < from + more) !== props.turned.has(week.first))
      .map((week) => week.first),
  );
});
const rows = computed(() =>
  props.weeks
    .map((w) => (wide.value.has(w.first) ? `minmax(${heights.value.wide}px, 1fr)` : `${heights.value.close}px`))
    .join(" "),
);
let observer: ResizeObserver | undefined;
function measure() {
  const box = grid.value?.parentElement;
  const now = { width: box?.clientWidth || 980, height: box?.clientHeight || 700 };
  if (now.width !== measured.value?.width || now.height !== measured.value.height) measured.value = now;
}
onMounted(() => {
  measure();
  observer = new ResizeObserver(measure);
  if (grid.value?.parentElement) observer.observe(grid.value.parentElement);
});
onBeforeUnmount(() => observer?.disconnect());
const isNow = (week: LaidWeek) => week === props.weeks[nowAt.value] && week.first <= props.today;
const within = (week: LaidWeek, date?: string) => (date && week.first <= date && date <= week.last ? date : "");
const hoursOf = (week: LaidWeek) => week.loads.filter((l) => l.minutes > 0);
defineExpose({ focusDay: (date: string) => focusWithin(grid.value, date) });
</script>

<template>
  <div class="wallscroll">
    <div
      ref="grid"
      class="wall all"
      role="grid"
      aria-label="All courses by weeks"
      :style="{
        gridTemplateColumns: template,
        gridTemplateRows: `24px ${rows}`,
      }"
    >
      <div role="row" class="row">
        <div class="wh first" role="columnheader">Week</div>
        <div v-for="c in columns" :key="c" class="wh" role="columnheader" :aria-label="weekdayLong(c)">
          <b>{{ weekdayName(c) }}</b>
        </div>
        <div class="wh last" role="columnheader">Student work</div>
      </div>
      <div
        v-for="(week, n) in measured ? weeks : []"
        :key="week.first"
        role="row"
        class="row"
        :class="{ nr: isNow(week) }"
      >
        <div class="wk" role="rowheader" :class="{ past: week.last < today, thin: !wide.has(week.first) }">
          <button
            type="button"
            class="plain"
            tabindex="-1"
            :aria-label="`Week of ${dayMonth(week.first)}, ${wide.has(week.first) ? 'make it close-set' : 'widen it'}`"
            :aria-expanded="wide.has(week.first)"
            @click.stop="emit('turn', week.first)"
          >
            <b>{{ n + 1 }}</b> <span>{{ dayMonth(week.first) }}</span>
          </button>
        </div>
        <CoursesCell
          v-for="(day, c) in week.days"
          :key="day.date"
          :day="day"
          :slots="slots[c] ?? []"
          :beside="beside"
          :room="(widths[c] ?? 100) - 30"
          :lines="2"
          :close="!wide.has(week.first)"
          :opened="within(week, opened) === day.date"
          :says="target?.date === day.date ? target.says : ''"
          :picked="picked"
          :tabbable="focus === day.date"
          :goes-on="c > 0 && week.days[c - 1]?.off === day.off"
          :now-top="isNow(week) && day.date >= today"
          :now-left="isNow(week) && day.today"
        />
        <div class="load" role="gridcell" :class="{ past: week.last < today }">
          <LoadStrokes
            :minutes="week.minutes"
            :over="week.over"
            :limit="week.limit"
            :close="!wide.has(week.first)"
            :per="120"
          />
          <span v-if="wide.has(week.first)" class="each">
            <span v-for="l in hoursOf(week)" :key="l.lane" :class="{ look: l.over }"
              ><b>{{ l.letter }}</b> {{ (l.minutes / 60).toFixed(1)
              }}<span class="vh"> h{{ l.over ? ", over" : "" }}</span></span
            >
          </span>
          <span v-else class="vh">{{
            hoursOf(week)
              .map((l) => `${l.letter} ${hours(l.minutes)}`)
              .join(", ")
          }}</span>
        </div>
      </div>
    </div>
  </div>
</template>
