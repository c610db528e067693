<script setup lang="ts">
import { ref, watch } from "vue";
import { api, ask } from "../api/client";
import { weekdayDay } from "./say";

/**
 * A day typed as people type it ("3 nov", "+2 weeks", "next class"): the server reads it, and what it understood is
 * shown with its weekday. The model is an ISO date, empty while nothing is understood.
 */
const props = defineProps<{
  id: string;
  termId: number;
  section?: string;
  /** Its name where no label stands beside it. */
  label?: string;
  /** Whether a dialog that opens with it begins here. */
  autofocus?: boolean;
}>();
const date = defineModel<string>({ required: true });

const text = ref("");
const said = ref("");
const wrong = ref(false);
let asked = 0;
let own = "";

watch(
  date,
  (now) => {
    if (now && now !== own) {
      text.value = weekdayDay(now);
      said.value = now.slice(0, 4);
      wrong.value = false;
    }
  },
  { immediate: true },
);

async function read() {
  const turn = ++asked;
  try {
    const found = await ask(
      api.GET("/api/terms/{termId}/days", {
        params: { path: { termId: props.termId }, query: { text: text.value, section: props.section } },
      }),
    );
    if (turn !== asked) return;
    wrong.value = false;
    said.value = `${weekdayDay(found.date)} ${found.date.slice(0, 4)}`;
    own = found.date;
    date.value = found.date;
  } catch (e) {
    if (turn !== asked) return;
    wrong.value = true;
    said.value = (e as Error).message;
  }
}
</script>

<template>
  <span class="pair">
    <input
      :id="id"
      v-model="text"
      class="field"
      autocomplete="off"
      :autofocus="autofocus"
      :aria-label="label"
      :aria-invalid="wrong"
      :aria-describedby="`${id}-said`"
      @input="read"
    />
    <span :id="`${id}-said`" :class="wrong ? 'look' : 'soft'" role="status">{{ said }}</span>
  </span>
</template>

<style scoped>
.pair {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
}
.pair input {
  width: 130px;
}
</style>
