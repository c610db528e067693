<script setup lang="ts">
import { computed } from "vue";
import type { Day, WallView } from "../api/client";
import { count, dayMonth, span, weekdayDay, weekdayNumber } from "../ui/say";
import { daysOf, stretchesOf, thingsOn } from "./days";
import { isOff } from "../draw/rows";
import { unitsOf } from "../draw/units";

/** The days before and after the opened one, to go there without closing it. */
const props = defineProps<{ wall: WallView; day: Day }>();
const emit = defineEmits<{ go: [date: string] }>();

/** How many stand before and after it. */
const EACH_WAY = 2;
const units = computed(() => unitsOf(props.wall));
const shown = computed(() => {
  const all = stretchesOf(daysOf(props.wall));
  const at = all.findIndex((s) => s.some((d) => d.date === props.day.date));
  const first = Math.max(0, Math.min(at - EACH_WAY, all.length - 2 * EACH_WAY - 1));
  return all.slice(first, first + 2 * EACH_WAY + 1);
});
const says = (days: readonly Day[]) =>
  days[0]!.today
    ? "today"
    : isOff(days[0]!)
      ? days[0]!.off?.reason || "off"
      : thingsOn(days[0]!)
        ? count(thingsOn(days[0]!), "thing")
        : "–";
const name = (days: readonly Day[]) =>
  days.length > 1 ? span(days[0]!.date, days[days.length - 1]!.date) : weekdayNumber(days[0]!.date);
const look = (day: Day) => (day.thread ? (units.value.get(day.thread.unit)?.look ?? []) : []);
</script>

<template>
  <div class="rib" role="group" aria-label="Days before and after">
    <button
      v-for="days in shown"
      :key="days[0]!.date"
      type="button"
      :class="{ on: days.some((d) => d.date === day.date), hatched: isOff(days[0]!) }"
      :aria-current="days.some((d) => d.date === day.date) ? 'date' : undefined"
      :aria-label="`${days.length > 1 ? `${dayMonth(days[0]!.date)} and on` : weekdayDay(days[0]!.date)}, ${says(days)}`"
      :title="says(days)"
      @click="emit('go', days[0]!.date)"
    >
      <b>{{ name(days) }}</b>
      <span class="rn" :class="look(days[0]!)"
        ><span v-if="days[0]!.thread" class="thread"></span><i v-if="days[0]!.lessons.length" class="k"></i
      ></span>
      <span :class="{ look: days[0]!.today }">{{ says(days) }}</span>
    </button>
  </div>
</template>

<style scoped>
.rib {
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  border-bottom: 1px solid var(--ink);
  background: var(--paper);
}
.rib button {
  border: 0;
  border-left: 1px solid var(--rule);
  background: none;
  padding: 4px 5px;
  text-align: left;
  cursor: pointer;
  overflow: hidden;
  white-space: nowrap;
  font-size: 12px;
  line-height: 15px;
}
.rib button > * {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
}
.rib .on {
  outline: 2px solid var(--ink);
  outline-offset: -2px;
  background: var(--paper-raised);
}
.rn {
  position: relative;
  height: 11px;
}
.rn .thread {
  position: absolute;
  inset: 4px 0 auto;
}
.rn .k {
  position: absolute;
  left: 2px;
  top: 1px;
  width: 9px;
  height: 9px;
  border-radius: 50%;
  border: 2px solid var(--t);
  background: var(--paper-raised);
}
</style>
