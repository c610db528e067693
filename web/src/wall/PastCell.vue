<script setup lang="ts">
import { computed } from "vue";
import { dayMonth, weekdayDay } from "../ui/say";
import type { PastWeek } from "./usePast";

/** The same week of an earlier term: which lessons it had, and what was lost. */
const props = defineProps<{ week: PastWeek | null }>();
/** Days in a row that were lost for the same reason are said once. */
const days = computed(
  () =>
    props.week?.days.filter((d, n, all) => d.off === null || d.off === undefined || d.off !== all[n - 1]?.off) ?? [],
);
</script>

<template>
  <div class="then" role="gridcell">
    <template v-if="week">
      <span class="soft when">{{ dayMonth(week.first) }}</span>
      <span
        v-for="day in days"
        :key="day.date"
        :class="{ hatched: day.off }"
        :title="`${weekdayDay(day.date)}: ${day.off ?? (day.titles.join(', ') || 'no lesson')}`"
        >{{ day.off ?? (day.lessons.join(" ") || "–") }}</span
      >
    </template>
  </div>
</template>

<style scoped>
.then {
  display: flex;
  flex-wrap: wrap;
  gap: 1px 7px;
  align-content: center;
  padding: 2px 6px;
  border-left: 2px solid var(--rule-firm);
  border-bottom: 1px solid var(--rule);
  font-size: 12px;
  line-height: 15px;
  overflow: hidden;
  min-width: 0;
}
.when {
  width: 100%;
  font-size: 11.5px;
}
.hatched {
  padding: 0 3px;
}
</style>
