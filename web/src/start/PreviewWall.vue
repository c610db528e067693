<script setup lang="ts">
import { computed } from "vue";
import type { Day, WallView } from "../api/client";
import { numberOf, weekdayName } from "../ui/say";
import { shownItems } from "../draw/fit";
import { isOff } from "../draw/rows";
import { unitsOf } from "../draw/units";

/** The wall so far, small: threads, codes, days off and a stroke for each thing due. */
const props = defineProps<{ wall: WallView }>();
const units = computed(() => unitsOf(props.wall));
const columns = computed(() => `34px ${props.wall.columns.map((c) => (c.meets ? "2fr" : "1fr")).join(" ")}`);
const look = (day: Day) => (day.thread ? (units.value.get(day.thread.unit)?.look ?? []) : []);
</script>

<template>
  <div class="small" aria-hidden="true">
    <div class="heads" :style="{ gridTemplateColumns: columns }">
      <b>Wk</b><b v-for="c in wall.columns" :key="c.weekday">{{ weekdayName(c.weekday) }}</b>
    </div>
    <div v-for="week in wall.weeks" :key="week.number" class="week" :style="{ gridTemplateColumns: columns }">
      <b>{{ week.number }}</b>
      <span
        v-for="day in week.days"
        :key="day.date"
        class="cell"
        :class="{ hatched: isOff(day), out: !day.inTerm }"
        :title="day.off?.reason"
      >
        <span v-if="isOff(day)" class="n">{{ numberOf(day.date) }}</span>
        <template v-else>
          <span v-for="l in day.lessons.slice(0, 2)" :key="l.id" class="code" :class="units.get(l.unit)?.look">{{
            l.id
          }}</span>
          <span v-if="day.thread && day.inTerm" class="run" :class="look(day)"><span class="thread"></span></span>
          <span class="strokes"
            ><i v-for="i in shownItems(day.items).slice(0, 8)" :key="i.id" :class="{ test: i.test }"></i
          ></span>
        </template>
      </span>
    </div>
  </div>
</template>

<style scoped>
.small {
  overflow: auto;
  flex: 1;
  min-height: 0;
  font-size: 11px;
}
.heads,
.week {
  display: grid;
}
.heads b {
  padding: 2px 4px;
  border-bottom: 1px solid var(--ink);
}
.week {
  height: 32px;
}
.week > b {
  padding: 3px 4px;
  border-right: 1px solid var(--rule-firm);
  border-bottom: 1px solid var(--rule);
}
.cell {
  position: relative;
  border-right: 1px solid var(--rule);
  border-bottom: 1px solid var(--rule);
  padding: 1px 3px;
  line-height: 13px;
  white-space: nowrap;
  overflow: hidden;
  display: flex;
  gap: 4px;
}
.out {
  background: var(--paper-past);
}
.n {
  background: var(--paper-off);
}
.run {
  position: absolute;
  left: 0;
  right: 0;
  top: 16px;
}
.strokes {
  position: absolute;
  left: 4px;
  bottom: 2px;
  display: flex;
  gap: 3px;
}
.strokes i {
  width: 2px;
  height: 8px;
  background: var(--ink-soft);
}
.strokes i.test {
  width: 8px;
  background: var(--ink);
}
</style>
