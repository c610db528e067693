<script setup lang="ts">
import { computed, onMounted, provide, ref, watch } from "vue";
import type { Done } from "../change/useChanges";
import ChangeLine from "../change/ChangeLine.vue";
import { WALL, useWall } from "../change/useWall";
import WallDialogs, { type WallDialog } from "./WallDialogs.vue";

/** A thing edited in its own course, from where all courses are seen at once. */
const props = defineProps<{
  termId: number;
  course: string;
  section: string;
  thing: string;
  day: string;
  from?: string | undefined;
}>();
const emit = defineEmits<{ done: [line: Done | null] }>();
const state = useWall(props.termId);
provide(WALL, state);
const editing = ref("");
const dialog = ref<WallDialog>("");
onMounted(async () => {
  await state.load(props.course, props.section);
  if (state.wall.value) editing.value = props.thing;
  else begun.value = true;
});
const begun = ref(false);
watch(editing, (now) => (begun.value ||= now !== ""));
const over = computed(
  () => begun.value && !editing.value && !state.proposal.value && !state.busy.value && !state.problem.value,
);
watch(over, (now) => now && emit("done", state.done.value));
/** What was done is seen on all courses at once; the line that says it may stand on. */
watch(state.version, (now, before) => before && now !== before && emit("done", state.done.value));
</script>

<template>
  <ChangeLine
    :state="state"
    :held="editing !== ''"
    :loaded="state.wall.value !== null"
    @again="state.load(course, section)"
  />
  <WallDialogs
    v-if="state.shown.value"
    v-model:dialog="dialog"
    v-model:editing="editing"
    :wall="state.shown.value"
    :day="day"
    :from="from"
    :opened="day"
    :run="[day, day]"
    :picked="new Set<string>()"
    :moving="[]"
  />
</template>
