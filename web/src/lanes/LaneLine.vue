<script setup lang="ts">
import { computed } from "vue";
import Knot from "../ui/Knot.vue";
import { weekdayDay } from "../ui/say";
import type { Lane } from "./useLanes";

/** A section's lessons as knots on the threads of their units, over the days of the term. */
const props = defineProps<{
  knots: Lane["knots"];
  /** How many days the line is long. */
  days: number;
  looks: ReadonlyMap<string, string[]>;
  codes: ReadonlyMap<string, string>;
  /** As it stands, where something is proposed: drawn faintly, without names. */
  faint?: boolean;
}>();
/** In the middle of its day, of the whole width. */
const left = (at: number) => `${((at + 0.5) / props.days) * 100}%`;
const threads = computed(() => {
  const found: { unit: string; from: number; to: number }[] = [];
  for (const knot of props.knots) {
    const last = found.find((t) => t.unit === knot.unit);
    if (last) {
      last.from = Math.min(last.from, knot.at);
      last.to = Math.max(last.to, knot.at);
    } else found.push({ unit: knot.unit, from: knot.at, to: knot.at });
  }
  return found;
});
/** Beside each other where several lessons begin on a day, in pixels from its middle. */
const NUMBER_WIDTH = 12;
const marks = computed(() =>
  props.knots.map((knot) => {
    const same = props.knots.filter((k) => k.at === knot.at && !k.goesOn);
    return { knot, shift: (same.indexOf(knot) - (same.length - 1) / 2) * NUMBER_WIDTH };
  }),
);
const says = computed(() =>
  props.knots
    .filter((k) => !k.goesOn)
    .map((k) => `${k.lesson} ${weekdayDay(k.date)}${k.taught ? ", taught" : ""}${k.moved ? ", moved" : ""}`)
    .join("; "),
);
</script>

<template>
  <div class="line" :class="{ faint }">
    <p class="vh">{{ says }}</p>
    <div aria-hidden="true">
      <span
        v-for="t in threads"
        :key="t.unit"
        class="span"
        :class="looks.get(t.unit)"
        :style="{ left: left(t.from), width: `${((t.to - t.from) / days) * 100}%` }"
        ><b v-if="!faint" class="code name">{{ codes.get(t.unit) }}</b
        ><span class="thread"></span
      ></span>
      <span
        v-for="{ knot: k, shift } in marks"
        :key="k.lesson + k.at"
        class="at"
        :class="looks.get(k.unit)"
        :style="{ left: left(k.at) }"
        :title="`${k.lesson} ${k.title}, ${weekdayDay(k.date)}`"
        ><Knot class="knot" :taught="k.taught" :goes-on="k.goesOn" /><span
          v-if="!k.goesOn && !faint"
          class="no"
          :class="{ moved: k.moved, tb: k.test }"
          :style="{ marginLeft: `${shift}px` }"
          >{{ k.number }}</span
        ></span
      >
    </div>
  </div>
</template>

<style scoped>
.line {
  position: relative;
  height: 54px;
}
.line.faint {
  height: 22px;
  opacity: 0.55;
}
.span {
  position: absolute;
  top: 22px;
  height: 9px;
  display: flex;
  align-items: center;
}
.faint .span {
  top: 4px;
}
.span .thread {
  width: 100%;
}
.name {
  position: absolute;
  left: -4px;
  bottom: 12px;
}
.at {
  position: absolute;
  top: 22px;
  width: 0;
}
.faint .at {
  top: 4px;
}
.knot {
  position: absolute;
  top: 0;
  transform: translateX(-50%);
}
.no {
  position: absolute;
  top: 11px;
  left: -8px;
  width: 16px;
  text-align: center;
  line-height: 15px;
  color: var(--ink-soft);
}
.no.moved {
  outline: 1.5px solid var(--ink);
  background: var(--paper-raised);
  color: var(--ink);
}
.no.tb {
  background: var(--ink);
  color: var(--paper);
  font-weight: 700;
}
</style>
