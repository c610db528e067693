<script setup lang="ts">
import { computed } from "vue";
import type { Schemas } from "../api/client";
import { weekdayDay } from "../ui/say";

/** A unit's pace as a bar: a cell a class, lost ones hatched in place, above it the sessions that the plan gave. */
const props = defineProps<{ row: Schemas["LookRow"]; look: string[]; most: number }>();
const width = computed(() => `${100 / Math.max(1, props.most)}%`);
</script>

<template>
  <div class="pace" :class="look" aria-hidden="true">
    <div class="plan" :style="{ width: `${(row.planned / Math.max(1, most)) * 100}%` }"></div>
    <div class="cells">
      <span
        v-for="c in row.cells"
        :key="c.date"
        :class="[c.kind, { hatched: c.kind === 'lost', thread: c.kind === 'taught' }]"
        :style="{ width }"
        :title="`${weekdayDay(c.date)}: ${c.what}`"
        ><b v-if="c.test">test</b></span
      >
    </div>
  </div>
</template>

<style scoped>
.pace {
  padding: 2px 0;
}
.plan {
  height: 4px;
  border: 1px solid var(--rule-firm);
  border-bottom: 0;
  margin-bottom: 1px;
}
.cells {
  display: flex;
  height: 11px;
}
.cells span {
  position: relative;
  flex: none;
  height: 11px;
  border-right: 1px solid var(--paper);
}
.cells .taught {
  mask: none;
  background: color-mix(in srgb, var(--t) 26%, transparent);
}
.cells .taught::before {
  content: "";
  position: absolute;
  inset: 3px 0;
  background: var(--t);
  mask: var(--p) 0 0 / var(--ms) repeat-x;
}
.cells .to-come {
  border: 1px solid var(--t);
  margin-left: -1px;
}
.cells b {
  position: absolute;
  left: 50%;
  top: 50%;
  transform: translate(-50%, -50%);
  background: var(--ink);
  color: var(--paper);
  font-size: 10px;
  line-height: 11px;
  padding: 0 3px;
}
</style>
