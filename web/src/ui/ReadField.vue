<script setup lang="ts">
import type { TypedField } from "./useTyped";

/** A line of text that the server reads, and beside it what was understood: its place is kept, so that nothing moves. */
defineProps<{
  id: string;
  typed: TypedField;
  label?: string | undefined;
  placeholder?: string | undefined;
  autofocus?: boolean | undefined;
  required?: boolean | undefined;
  /** What is understood stands below, not beside. */
  below?: boolean | undefined;
}>();
</script>

<template>
  <span class="read" :class="{ below }">
    <span class="in"
      ><input
        :id="id"
        :ref="(e) => typed.hold(e as HTMLInputElement | null)"
        :value="typed.text.value"
        class="field"
        autocomplete="off"
        spellcheck="false"
        :required="required"
        :autofocus="autofocus"
        :placeholder="placeholder"
        :aria-label="label"
        :aria-invalid="typed.wrong.value"
        :aria-describedby="`${id}-said`"
        @input="typed.type"
        @focus="typed.enter"
        @mouseup="typed.release"
        @blur="typed.leave" /><slot
    /></span>
    <span
      :id="`${id}-said`"
      class="says"
      :class="typed.wrong.value ? 'look' : 'soft'"
      :title="typed.says.value"
      role="status"
      >{{ typed.says.value }}</span
    >
  </span>
</template>

<style scoped>
.read {
  display: inline-grid;
  grid-template-columns: auto minmax(60px, 1fr);
  gap: 0 8px;
  align-items: center;
  flex: 1 1 260px;
  min-width: 0;
}
.read.below {
  grid-template-columns: minmax(0, 1fr);
}
.in {
  display: flex;
  align-items: center;
}
.read input {
  width: 180px;
}
.read.below input {
  width: 100%;
}
.says {
  /* two lines, whether they are needed or not */
  height: 2.5em;
  line-height: 1.25;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  line-clamp: 2;
  overflow: hidden;
  align-content: center;
  font-variant-numeric: tabular-nums;
}
.below .says {
  height: 1.25em;
  -webkit-line-clamp: 1;
  line-clamp: 1;
}
</style>
