<script setup lang="ts">
import { ref } from "vue";
import { type ChangeOf, api, ask } from "../api/client";

/** Office hours typed in a line: what is understood stands below, Enter takes it. */
const props = defineProps<{ termId: number; label: string; hours?: string; text?: string; busy: boolean }>();
const emit = defineEmits<{ put: [ChangeOf<"put-office-hours">]; close: [] }>();
const text = ref(props.text ?? "");
const said = ref("");
const wrong = ref("");
const change = ref<ChangeOf<"put-office-hours"> | null>(null);
let asked = 0;
let timer = 0;

async function read() {
  const turn = ++asked;
  try {
    const found = await ask(
      api.POST("/api/terms/{termId}/hours/reading", {
        params: { path: { termId: props.termId } },
        body: { text: text.value, ...(props.hours ? { id: props.hours } : {}) },
      }),
    );
    if (turn !== asked) return;
    said.value = found.said;
    wrong.value = found.wrong;
    change.value = (found.change as ChangeOf<"put-office-hours"> | undefined) ?? null;
  } catch (e) {
    if (turn === asked) wrong.value = (e as Error).message;
  }
}
function type() {
  window.clearTimeout(timer);
  change.value = null;
  said.value = "";
  wrong.value = "";
  if (text.value.trim()) timer = window.setTimeout(() => void read(), 200);
}
async function take() {
  window.clearTimeout(timer);
  if (!text.value.trim()) return;
  await read();
  if (change.value) emit("put", change.value);
}
/** Empties the field once what it says was taken. */
function taken() {
  text.value = "";
  type();
}
defineExpose({ taken });
</script>

<template>
  <form class="typed" @submit.prevent="take">
    <input
      v-model="text"
      class="field"
      autocomplete="off"
      spellcheck="false"
      maxlength="2000"
      placeholder="Fri 13-14 in 15 min, Weir House 1"
      :aria-label="label"
      :aria-invalid="wrong !== ''"
      @input="type"
      @keydown.esc="emit('close')"
    />
    <button class="btn go" :disabled="busy || !text.trim()">{{ hours ? "Change" : "Add" }}</button>
    <p class="says" role="status" :class="{ look: wrong }">{{ wrong || said }}</p>
  </form>
</template>

<style scoped>
.typed {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 6px;
}
.says {
  grid-column: 1 / -1;
  margin: 0;
  min-height: 20px;
  font-size: 13px;
  color: var(--ink-soft);
}
.says.look {
  color: var(--lantern);
}
</style>
