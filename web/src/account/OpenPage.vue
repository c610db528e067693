<script setup lang="ts">
import Lantern from "../frame/Lantern.vue";

/** The frame of a page that is there for who is not signed in; what went wrong is said in it. */
defineProps<{ home: string; title: string; problem: string }>();
</script>

<template>
  <header class="band">
    <RouterLink :to="home" class="brand"><Lantern /><span>Matsuri</span></RouterLink>
  </header>
  <main class="page">
    <h1>{{ title }}</h1>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <slot></slot>
  </main>
</template>

<style scoped>
.page :slotted(form) {
  max-width: 460px;
}
.page :slotted(a),
.page :slotted(p a),
.page :slotted(form a) {
  color: inherit;
}
.band a {
  color: var(--on-cloth);
}
</style>
