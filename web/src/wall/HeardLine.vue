<script setup lang="ts">
import { computed } from "vue";
import type { TypedLine } from "./useTypedLine";

/** What was understood of a line, word by word; what waits to be saved; and what was refused. */
const props = defineProps<{ id: string; typed: Omit<TypedLine, "enter">; hint: string }>();
const heard = computed(() => props.typed.heard.value);
const wrong = computed(() => props.typed.wrong.value || (heard.value?.wrong ?? ""));
const waits = computed(() => props.typed.waiting.value.map((w) => w.text));
</script>

<template>
  <div class="heard">
    <p :id="id" role="status">
      <span v-if="wrong" class="look">{{ wrong }}</span>
      <b v-else-if="heard">{{ heard.said }}</b>
      <span v-else-if="waits.length" class="soft">{{ typed.slow.value ? "saving" : "" }} {{ waits.join("; ") }}</span>
      <span v-else class="soft">{{
        [typed.said.value ? `Added: ${typed.said.value}.` : "", hint].filter(Boolean).join(" ")
      }}</span>
    </p>
    <p v-if="heard && heard.parts.length > 1" class="soft words" aria-hidden="true">
      <span v-for="(p, n) in heard.parts" :key="n" :class="{ look: !p.understood }"
        ><i>{{ p.text }}</i> {{ p.understood ? p.as : "?" }}</span
      >
    </p>
    <p v-for="(r, n) in typed.refused.value" :key="r.text" role="alert">
      <span class="look">Not added: “{{ r.text }}”. {{ r.why }}</span>
      <button type="button" class="do" @click="typed.back(n)">mend it</button>
    </p>
  </div>
</template>

<style scoped>
.heard {
  min-height: 2.5em;
  line-height: 1.25;
}
.heard p {
  margin: 0;
}
.words span + span::before {
  content: " · ";
}
.words i {
  font-style: normal;
  text-decoration: underline dotted;
  text-underline-offset: 2px;
}
</style>
