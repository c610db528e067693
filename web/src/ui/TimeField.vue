<script setup lang="ts">
import { api, ask } from "../api/client";
import ReadField from "./ReadField.vue";
import { clock } from "./say";
import { useTyped } from "./useTyped";

/** A time of day as people type it ("17:00", "5 pm", "8"). The model is "HH:MM"; empty for none. */
const props = withDefaults(
  defineProps<{
    id: string;
    termId: number;
    label?: string;
    /** What an empty field means; without it something has to be given. */
    empty?: string;
  }>(),
  { label: "", empty: undefined },
);
const time = defineModel<string>({ required: true });

const typed = useTyped(time, {
  async read(text) {
    const found = await ask(
      api.GET("/api/terms/{termId}/times", { params: { path: { termId: props.termId }, query: { text } } }),
    );
    return { value: found.time.slice(0, 5), said: clock(found.time) };
  },
  show: clock,
  empty: "",
  emptySays: "",
  required: () => props.empty === undefined,
});
</script>

<template>
  <ReadField
    :id="id"
    class="time"
    :typed="typed"
    :label="label || undefined"
    :placeholder="empty"
    :required="empty === undefined"
  />
</template>

<style scoped>
.time {
  flex: 0 1 150px;
}
.time :deep(input) {
  width: 76px;
}
</style>
