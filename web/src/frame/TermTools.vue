<script setup lang="ts">
import { onMounted, watch } from "vue";
import { type Schemas, api, ask } from "../api/client";
import { useChanges } from "../change/useChanges";
import ChangeTools from "./ChangeTools.vue";

/** The tools of the band in a view that changes nothing of a term itself. */
const props = defineProps<{
  termId: number;
  /** The section whose findings come first; empty for none. */
  here?: string;
  /** Changes whenever the view did something to the term. */
  after?: unknown;
}>();
const emit = defineEmits<{ changed: [] }>();
const state = useChanges<Schemas["StandingView"]>(props.termId, {
  fetch: () => ask(api.GET("/api/terms/{termId}/standing", { params: { path: { termId: props.termId } } })),
  query: () => ({}),
  of: () => null,
  into: (proposal) => proposal,
});
onMounted(() => state.load());
watch(
  () => props.after,
  () => state.load(),
);
watch(state.version, (_, before) => before && emit("changed"));
</script>

<template>
  <ChangeTools
    :state="state"
    :findings="state.view.value?.findings ?? null"
    :undo="state.view.value?.undo"
    :redo="state.view.value?.redo"
    :here="here ?? ''"
  />
</template>
