<script setup lang="ts">
/** A lesson in a class, on the thread of its unit: filled when it was taught, a slip where it goes on from an earlier class. */
defineProps<{ taught?: boolean; goesOn?: boolean }>();
</script>

<template>
  <i class="knot" :class="{ taught, on: goesOn }" aria-hidden="true"></i>
</template>

<style scoped>
.knot {
  display: inline-block;
  width: 9px;
  height: 9px;
  border-radius: 50%;
  border: 2px solid var(--t, var(--ink));
  background: var(--paper);
}
.knot.taught {
  background: var(--t, var(--ink));
}
.knot.on {
  width: 5px;
  border-radius: 1px;
  border-width: 1.5px;
}
</style>
