<script setup lang="ts">
import { computed, ref } from "vue";
import type { CalendarView, CalendarWeek } from "../api/client";
import { weekdayLong, weekdayName } from "../ui/say";
import { focusWithin } from "../ui/walk";
import TermRow from "./TermRow.vue";
import type { Run } from "./usePaint";

/** The term as weeks and days to paint on. */
const props = defineProps<{
  term: CalendarView;
  /** The painted run of days; null for none. */
  run: Run | null;
  focus: string;
  /** The course whose classes are drawn. */
  course: string;
}>();

const grid = ref<HTMLElement>();
const close = computed(() => props.term.weeks.length > 22);
/** Sections of the course, as far as there is room for. */
const drawn = computed(() =>
  props.term.sections
    .map((s, n) => ({ s, n }))
    .filter(({ s }) => s.course === props.course)
    .slice(0, 4)
    .map(({ n }) => n),
);
const style = computed(() => {
  const days = props.term.columns
    .map((c) => (c.teaches ? "minmax(0,1fr)" : close.value ? "minmax(0,.5fr)" : "minmax(34px,.42fr)"))
    .join(" ");
  const counts = drawn.value.map(() => "52px").join(" ");
  const least = close.value ? 16 : 38;
  return {
    gridTemplateColumns: `${close.value ? 74 : 62}px ${days} ${counts}`,
    gridTemplateRows: `22px repeat(${props.term.weeks.length}, minmax(${least}px, 1fr))`,
  };
});

function within(week: CalendarWeek): Run {
  const run = props.run;
  const first = week.days[0]!.date;
  const last = week.days[6]!.date;
  if (!run || run[1] < first || run[0] > last) return ["", ""];
  return [run[0] < first ? first : run[0], run[1] > last ? last : run[1]];
}
const has = (week: CalendarWeek, date: string) => (week.days.some((d) => d.date === date) ? date : "");
const focusDay = (date: string) => focusWithin(grid.value, date);
defineExpose({ focusDay });
</script>

<template>
  <div
    ref="grid"
    class="tg"
    :class="{ close }"
    role="grid"
    :aria-label="`The days of ${term.termName || 'the term'}`"
    :style="style"
  >
    <div role="row" class="row">
      <div class="th" role="columnheader">Week</div>
      <div
        v-for="c in term.columns"
        :key="c.weekday"
        class="th"
        :class="{ soft: !c.teaches }"
        role="columnheader"
        :aria-label="weekdayLong(c.weekday)"
      >
        <b v-if="c.teaches">{{ weekdayName(c.weekday) }}</b><template v-else>{{
          close ? weekdayName(c.weekday)[0] : weekdayName(c.weekday)
        }}</template>
      </div>
      <div
        v-for="n in drawn"
        :key="n"
        class="th"
        role="columnheader"
        :title="`Classes a week of ${course} ${term.sections[n]!.section}`"
      >
        <b>{{ term.sections[n]!.section }}</b>
      </div>
    </div>
    <TermRow
      v-for="week in term.weeks"
      :key="week.number"
      :week="week"
      :closures="term.closures"
      :sections="term.sections"
      :drawn="drawn"
      :plan-start="term.firstPlanDay ?? ''"
      :columns="term.columns"
      :from="within(week)[0]"
      :to="within(week)[1]"
      :focus="has(week, focus)"
      :close="close"
    />
  </div>
</template>
