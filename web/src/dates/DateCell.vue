<script setup lang="ts">
import { computed } from "vue";
import type { DatesRow } from "../api/client";
import Mark from "../draw/Mark.vue";
import { type DateColumn, dateText, isNotice, placeOf, ruleText } from "./table";

/** One date in the table: the date, how it comes about, and where it changes the old one struck out. */
const props = defineProps<{ row: DatesRow; was: DatesRow | null; column: DateColumn }>();

const cell = computed(() => props.row[props.column.which]);
const place = computed(() => placeOf(props.row, props.column));
const date = computed(() => dateText(cell.value, place.value, props.column.which, isNotice(props.row)));
const rule = computed(() => ruleText(cell.value, place.value, props.column));
const state = computed(() => cell.value.state[place.value]);
const old = computed(() => {
  if (!props.was) return "";
  const before = dateText(
    props.was[props.column.which],
    placeOf(props.was, props.column),
    props.column.which,
    isNotice(props.was),
  );
  return before === date.value ? "" : before;
});
const told = computed(() => cell.value.told?.[place.value] ?? "");
const ruled = computed(
  () =>
    !old.value &&
    props.was !== null &&
    ruleText(props.was[props.column.which], placeOf(props.was, props.column), props.column) !== rule.value,
);
</script>

<template>
  <span class="d" :class="{ new: old, none: state === 'none', look: state === 'unresolved' }">{{ date }}</span><span
    v-if="old"
    class="old"
    ><span class="vh">, was </span><s>{{ old }}</s></span
  ><span v-if="state === 'rolled'" class="r" title="moved off a day off">rolled</span
  ><span v-if="told && !old" class="r" :title="rule"
    ><span class="vh">, </span><Mark is="told" /> {{ told }}<span class="vh">, {{ rule }}</span></span
  ><template v-else-if="!old && rule"
    ><span class="vh">, </span
    ><span class="r" :class="{ new: ruled, pin: rule === 'fixed' }">{{ rule }}</span></template
  >
</template>
