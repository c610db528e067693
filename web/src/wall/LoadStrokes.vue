<script setup lang="ts">
import { computed } from "vue";
import { hours } from "../ui/say";

/** A week's work: a stroke an hour or as many minutes as said, half a stroke for half; past the limit slanted and red, and said. */
const props = withDefaults(
  defineProps<{
    minutes: number;
    over: number;
    limit: number;
    close?: boolean;
    /** Minutes a stroke. */
    per?: number;
  }>(),
  { per: 60 },
);

const strokes = computed(() => {
  const whole = Math.min(16, Math.floor(props.minutes / props.per));
  const half = props.minutes % props.per >= props.per / 2 && whole < 16;
  const limit = Math.round(props.limit / props.per);
  return {
    list: [
      ...Array.from({ length: whole }, (_, n) => ({ x: n * (props.close ? 5 : 6), half: false, over: n >= limit })),
      ...(half ? [{ x: whole * (props.close ? 5 : 6), half: true, over: whole >= limit }] : []),
    ],
    limit: limit * (props.close ? 5 : 6),
  };
});
</script>

<template>
  <span title="hours of work due in the week">
    <span class="h">{{ close ? (minutes / 60).toFixed(1) : hours(minutes) }}</span>
    <span v-if="over > 0 && !close" class="look">&nbsp;{{ (over / 60).toFixed(1) }} over</span>
    <span class="vh">
      {{ close ? "hours " : "" }}of work due{{ close && over > 0 ? `, ${(over / 60).toFixed(1)} over` : "" }}</span
    >
  </span>
  <span class="st" aria-hidden="true">
    <i v-for="(s, n) in strokes.list" :key="n" :class="{ h: s.half, o: s.over }" :style="{ left: s.x + 'px' }"></i>
    <u :style="{ left: strokes.limit + 'px' }"></u>
  </span>
</template>
