<script setup lang="ts">
import { computed } from "vue";
import type { CalendarView } from "../api/client";
import { monthName } from "../ui/say";

/** The term in small, a row for each month: what is off, and what a list would add. */
const props = defineProps<{
  /** As it would be. */
  term: CalendarView;
  /** As it stands. */
  before: CalendarView;
}>();

const was = computed(() => {
  const days = new Map<string, string>();
  for (const week of props.before.weeks) for (const d of week.days) days.set(d.date, state(d));
  return days;
});
type Day = CalendarView["weeks"][number]["days"][number];
const state = (d: Day) => (d.off !== null && d.off !== undefined ? "off" : (d.runsAs ?? (d.extra ? "extra" : "")));
const months = computed(() => {
  const by = new Map<string, Map<number, { date: string; kind: string; fresh: boolean }>>();
  for (const week of props.term.weeks)
    for (const d of week.days) {
      if (!d.inTerm) continue;
      const month = d.date.slice(0, 7);
      const now = state(d);
      const kind = now === "off" ? "off" : now ? "other" : d.teaches ? "teaches" : "free";
      const days = by.get(month) ?? new Map<number, { date: string; kind: string; fresh: boolean }>();
      by.set(month, days);
      days.set(Number(d.date.slice(8)), { date: d.date, kind, fresh: now !== (was.value.get(d.date) ?? "") });
    }
  return [...by];
});
const fresh = computed(() =>
  months.value.reduce((n, [, days]) => n + [...days.values()].filter((d) => d.fresh).length, 0),
);
</script>

<template>
  <figure class="so-far">
    <figcaption>
      The term so far: <span class="key off"></span> off, <span class="key fresh off"></span> new,
      {{ fresh === 1 ? "1 day" : `${fresh} days` }}
    </figcaption>
    <div class="months" aria-hidden="true">
      <div v-for="[month, days] in months" :key="month" class="month">
        <b>{{ monthName(month) }}</b>
        <i
          v-for="n in 31"
          :key="n"
          :class="[days.get(n)?.kind ?? 'none', { fresh: days.get(n)?.fresh }]"
          :title="days.get(n)?.date"
          >{{ days.get(n) ? n : "" }}</i
        >
      </div>
    </div>
  </figure>
</template>

<style scoped>
.so-far {
  margin: 8px 0 0;
}
figcaption {
  color: var(--ink-soft);
}
.months {
  overflow-x: auto;
  max-height: 170px;
}
.month {
  display: grid;
  grid-template-columns: 40px repeat(31, minmax(19px, 1fr));
  gap: 1px;
}
i {
  font-style: normal;
  font-size: 11px;
  line-height: 18px;
  text-align: center;
  color: var(--ink-soft);
  border: 1px solid var(--rule);
  min-height: 20px;
}
i.none {
  border-color: transparent;
}
i.free {
  background: var(--paper-off);
}
i.off,
.key.off {
  background: repeating-linear-gradient(135deg, var(--hatch) 0 1px, transparent 1px 5px), var(--paper-off);
}
i.fresh,
.key.fresh {
  outline: 2px solid var(--lamp);
  outline-offset: -2px;
  font-weight: 700;
  color: var(--ink);
}
i.other {
  text-decoration: underline;
}
.key {
  display: inline-block;
  width: 14px;
  height: 14px;
  border: 1px solid var(--rule);
  vertical-align: -2px;
}
</style>
