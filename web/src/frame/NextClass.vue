<script setup lang="ts">
import { onMounted, onUnmounted, ref } from "vue";
import { type Schemas, api, ask } from "../api/client";
import { me } from "../api/me";

/** One's own reminder before the next class, while Matsuri is open; closed, it is not said again of that class. */
const next = ref<Schemas["NextClass"] | null>(null);
const MINUTE = 60_000;
const CLOSED = "matsuri-class-closed";
let timer = 0;

async function look() {
  if (!me.value?.preferences.classReminder) {
    next.value = null;
    return;
  }
  // whoever is offline or signed out is told of that elsewhere
  const found = await ask(api.GET("/api/me/next-class")).catch(() => null);
  next.value = found?.start && found.start !== sessionStorage.getItem(CLOSED) ? found : null;
}
function close() {
  sessionStorage.setItem(CLOSED, next.value?.start ?? "");
  next.value = null;
}
onMounted(() => {
  void look();
  timer = window.setInterval(look, MINUTE);
});
onUnmounted(() => window.clearInterval(timer));
</script>

<template>
  <div v-if="next" class="next" role="status">
    <b>{{ next.sentence }}</b>
    <RouterLink :to="{ path: `/terms/${next.termId}/week`, query: { day: 'today' } }">run list</RouterLink>
    <button type="button" class="plain" @click="close">Close</button>
  </div>
</template>

<style scoped>
.next {
  display: flex;
  gap: 14px;
  align-items: center;
  padding: 4px 14px;
  background: var(--paper-raised);
  border-bottom: 1px solid var(--rule-firm);
}
.next a {
  color: inherit;
}
</style>
