<script setup lang="ts">
import { onMounted, ref, shallowRef } from "vue";
import { type Schemas, api, ask } from "../api/client";
import Dialog from "../ui/Dialog.vue";
import { count } from "../ui/say";
import { useFirstField } from "../ui/useFirstField";
import type { Lane, useLanes } from "./useLanes";

/** The ways in which a section comes level with the one that is furthest. */
const { termId, lane, state } = defineProps<{ termId: number; lane: Lane; state: ReturnType<typeof useLanes> }>();
const emit = defineEmits<{ close: [] }>();

type Way = Schemas["InStepView"];
const ways = shallowRef<Way[] | null>(null);
const wrong = ref("");

useFirstField(() => ways.value?.length, "in-step-0");
onMounted(async () => {
  try {
    ways.value = await ask(
      api.GET("/api/terms/{termId}/lanes/in-step", {
        params: { path: { termId }, query: { course: lane.course, section: lane.section } },
      }),
    );
  } catch (e) {
    wrong.value = (e as Error).message;
  }
});

async function take(way: Way) {
  if (await state.propose(way.change, "always")) emit("close");
}
const comesTo = (way: Way) =>
  way.week
    ? `level at the end of week ${way.week}`
    : way.left
      ? `${lane.section} is still ${count(way.left, "lesson")} behind in the end`
      : "level only when the lessons end";
</script>

<template>
  <Dialog
    :visible="true"
    modal
    :header="`Bring ${lane.course} ${lane.section} into step with ${lane.furthest}`"
    :style="{ width: '600px' }"
    @update:visible="emit('close')"
  >
    <p v-if="wrong || state.problem.value" class="problem" role="alert">{{ wrong || state.problem.value }}</p>
    <p v-else-if="!ways">Trying the ways…</p>
    <p v-else-if="!ways.length">There is nothing to leave out or to join, and no class to wait for.</p>
    <ul v-else class="ways">
      <li v-for="(w, n) in ways" :key="w.sentence">
        <button type="button" class="btn" :id="`in-step-${n}`" :disabled="state.busy.value" @click="take(w)">
          {{ w.sentence }}
        </button>
        <span class="soft">{{ w.gives }} gives way; {{ comesTo(w) }}</span>
      </li>
    </ul>
  </Dialog>
</template>

<style scoped>
.ways {
  list-style: none;
  margin: 0;
  padding: 0;
}
.ways li {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
</style>
