<script setup lang="ts">
import { ref, watch } from "vue";
import { api, ask } from "../api/client";

/**
 * When something opens, is due or closes, typed as people say it ("next class", "2 days after, 23:59", "3 nov"): the
 * server reads it as a date rule, and says back what it understood. Empty text is no date.
 */
const props = defineProps<{
  id: string;
  termId: number;
  course: string;
  lesson: string;
  which: string;
  /** Its name where no label stands beside it. */
  label?: string;
  /** What an empty field means. */
  empty?: string;
}>();
const rule = defineModel<unknown>({ required: true });

const text = ref("");
const said = ref("");
const wrong = ref(false);
let own: unknown;
let asked = 0;

watch(
  rule,
  async (now) => {
    if (!now || now === own) return;
    const found = await ask(
      api.POST("/api/terms/{termId}/rules/said", {
        params: { path: { termId: props.termId }, query: { course: props.course } },
        body: now as never,
      }),
    ).catch(() => null);
    if (found) text.value = found.said;
  },
  { immediate: true },
);

async function read() {
  const turn = ++asked;
  if (!text.value.trim()) {
    wrong.value = false;
    said.value = "no date";
    rule.value = undefined;
    return;
  }
  try {
    const found = await ask(
      api.GET("/api/terms/{termId}/rules", {
        params: {
          path: { termId: props.termId },
          query: { course: props.course, lesson: props.lesson || undefined, text: text.value },
        },
      }),
    );
    if (turn !== asked) return;
    wrong.value = false;
    said.value = found.said;
    own = found.rule;
    rule.value = found.rule;
  } catch (e) {
    if (turn !== asked) return;
    wrong.value = true;
    said.value = (e as Error).message;
  }
}
</script>

<template>
  <span>
    <input
      :id="id"
      v-model="text"
      class="field wide-in"
      :aria-label="label"
      autocomplete="off"
      :placeholder="empty ?? 'no date'"
      :aria-invalid="wrong"
      :aria-describedby="`${id}-said`"
      @input="read"
    />
    <span :id="`${id}-said`" class="under" :class="wrong ? 'look' : 'soft'" role="status">{{ said }}</span>
  </span>
</template>

<style scoped>
.wide-in {
  width: 100%;
}
.under {
  display: block;
}
</style>
