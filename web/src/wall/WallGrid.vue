<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref } from "vue";
import type { WallView, Week } from "../api/client";
import { focusWithin } from "../ui/walk";
import { clock, weekdayLong, weekdayName } from "../ui/say";
import WallRow from "./WallRow.vue";
import { type Row, rowsOf } from "../draw/rows";
import { type Looks, looksOf } from "../draw/units";
import type { Past } from "./usePast";

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
  /** Something is being carried: days say how full they are. */
  carrying: boolean;
  /** Close-set: one line a day and one week open. */
  close: boolean;
  openWeek: number;
  /** An earlier term beside this one; null for none. */
  past: Past | null;
}>();
const emit = defineEmits<{ week: [number: number] }>();

/** Width of the earlier term's column, in pixels. */
const PAST = 168;
const looks = computed<Looks>((old) => looksOf(props.wall, old));
const grid = ref<HTMLElement>();
const width = ref(1000);
const side = computed(() => (props.close ? [86, 92] : width.value < 760 ? [50, 98] : [54, 106]));
const equal = computed(() => props.wall.columns.every((c) => c.meets === props.wall.columns[0]?.meets));
const parts = computed(() =>
  props.wall.columns.map((c) => (c.meets || equal.value ? 2 : width.value < 760 ? 0.68 : 1)),
);
const template = computed(
  () =>
    `${side.value[0]}px ${parts.value.map((p) => `minmax(0,${p}fr)`).join(" ")} ${side.value[1]}px${props.past ? ` ${PAST}px` : ""}`,
);
const room = computed(() => {
  const all = parts.value.reduce((a, b) => a + b, 0);
  const free = width.value - (side.value[0] ?? 0) - (side.value[1] ?? 0) - (props.past ? PAST : 0);
  return parts.value.map((p, n) => (free * p) / all - (props.wall.columns[n]?.meets ? 31 : 15));
});
const nowWeek = computed(
  () => props.wall.weeks.find((w) => w.days.some((d) => d.date >= props.wall.today))?.number ?? -1,
);
const rows = computed<Row[]>((old) => rowsOf(props.wall.weeks, nowWeek.value, old));
const away = (week: Week) => week.away != null && !week.days.some((d) => d.items.length);
const heights = computed(() =>
  props.close
    ? rows.value
        .map(({ week }) => (away(week) ? "13px" : week.number === props.openWeek ? "45px" : "minmax(17px,1fr)"))
        .join(" ")
    : rows.value.map(({ week }) => (away(week) && rows.value.length > 20 ? "13px" : "minmax(40px,1fr)")).join(" "),
);
/** A day if it lies in the week, else nothing: weeks that a change of it does not concern are not drawn again. */
const within = (week: Week, date?: string) => (date && week.days.some((d) => d.date === date) ? date : "");
const band = (week: Week) => away(week) && rows.value.length > 20;
let observer: ResizeObserver | undefined;

onMounted(() => {
  // measured at once, so that nothing is drawn for another width first
  if (grid.value?.clientWidth) width.value = grid.value.clientWidth;
  observer = new ResizeObserver(([entry]) => {
    if (entry) width.value = entry.contentRect.width;
  });
  if (grid.value) observer.observe(grid.value);
});
onBeforeUnmount(() => observer?.disconnect());

const focusDay = (date: string) => focusWithin(grid.value, date);
defineExpose({ focusDay });
</script>

<template>
  <div class="wallscroll">
    <div
      ref="grid"
      class="wall"
      :class="{ close, five: equal }"
      role="grid"
      :aria-label="`The term, ${wall.section.course} ${wall.section.section}`"
      :style="{ gridTemplateColumns: template, gridTemplateRows: `${close ? 20 : 24}px ${heights}` }"
    >
      <div role="row" class="row">
        <div
          class="wh first"
          role="columnheader"
          title="the week of the term; in brackets the how-manieth week that teaches, where breaks make it differ"
        >
          Week
        </div>
        <div
          v-for="column in wall.columns"
          :key="column.weekday"
          class="wh"
          role="columnheader"
          :aria-label="weekdayLong(column.weekday)"
        >
          <b>{{ weekdayName(column.weekday) }}</b>
          <span v-if="column.time" class="soft">{{ clock(column.time) }}</span>
          <span v-else-if="!column.meets" class="soft nc">no class</span>
        </div>
        <div class="wh last" role="columnheader">{{ close ? "Work" : "Student work" }}</div>
        <div v-if="past" class="wh then" role="columnheader">
          <b>{{ past.name }}</b>
          <RouterLink :to="{ query: { ...$route.query, past: undefined } }" :aria-label="`Without ${past.name}`"
            >×</RouterLink
          >
        </div>
      </div>
      <WallRow
        v-for="{ week, cells } in rows"
        :key="week.number"
        :week="week"
        :cells="cells"
        :columns="wall.columns"
        :course="wall.section.course"
        :looks="looks"
        :room="room"
        :band="band(week)"
        :focus="within(week, focus)"
        :opened="within(week, opened)"
        :over="within(week, target?.date)"
        :says="within(week, target?.date) && target ? target.says : ''"
        :run="run"
        :carrying="carrying"
        :picked="picked"
        :limit="wall.section.weekLimit"
        :close="close"
        :open="week.number === openWeek"
        :then="past ? (past.weeks.get(week.number) ?? null) : undefined"
        @keep="emit('week', week.number)"
      />
    </div>
  </div>
</template>
