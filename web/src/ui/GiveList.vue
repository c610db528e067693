<script setup lang="ts">
import { ref } from "vue";
import { MOST_BYTES, base64 } from "./file";

/** Gives a list: pasted or typed into a field, or as a file. What was typed is kept when a file is given. */
export interface Given {
  name?: string;
  text?: string;
  content?: string;
}
const props = defineProps<{ id: string; label: string; placeholder: string; accept: string; wrong: string }>();
const emit = defineEmits<{ given: [Given] }>();
const text = ref("");
const file = ref("");
const refused = ref("");
let timer = 0;

function typed() {
  file.value = "";
  refused.value = "";
  window.clearTimeout(timer);
  timer = window.setTimeout(() => emit("given", { text: text.value }), 200);
}
async function chosen(event: Event) {
  const input = event.target as HTMLInputElement;
  const given = input.files?.[0];
  if (!given) return;
  refused.value = "";
  if (given.size > MOST_BYTES) {
    refused.value = `“${given.name}” has ${(given.size / 1e6).toFixed(0)} MB; at most 5 MB are read.`;
  } else {
    file.value = given.name;
    emit("given", { name: given.name, content: await base64(given) });
  }
  input.value = "";
}
</script>

<template>
  <div class="give">
    <label :for="id" class="vh">{{ label }}</label>
    <textarea
      :id="id"
      v-model="text"
      class="field"
      spellcheck="false"
      autofocus
      :placeholder="props.placeholder"
      @input="typed"
    ></textarea>
    <p>
      <label class="btn"
        >Read a file<input type="file" class="vh" :accept="accept" :aria-label="`${label}, as a file`" @change="chosen"
      /></label>
      <span v-if="file" class="soft said"> {{ file }}</span>
      <span v-else class="soft said"> {{ accept.replaceAll(",", ", ") }}</span>
    </p>
    <p v-if="refused || wrong" class="problem" role="alert">{{ refused || wrong }}</p>
  </div>
</template>

<style scoped>
.give {
  display: flex;
  flex-direction: column;
  min-width: 0;
}
textarea {
  width: 100%;
  min-height: 260px;
  flex: 1;
  resize: vertical;
  white-space: pre;
  overflow: auto;
}
p {
  margin: 6px 0 0;
}
.said {
  margin-left: 8px;
}
.btn:focus-within {
  outline: 2px solid var(--ink);
  outline-offset: 1px;
}
</style>
