<script setup lang="ts">
import PrimeDialog from "primevue/dialog";
import { nextTick } from "vue";

/**
 * A dialog that begins in its first field at once. One that fades in would do so only when it has, and on a slow machine
 * take the field from under one's hands.
 */
const visible = defineModel<boolean>("visible");

async function begin() {
  await nextTick();
  const all = document.querySelectorAll(".p-dialog");
  const opened = all[all.length - 1];
  const first = opened?.querySelector<HTMLElement>("[autofocus]") ?? opened?.querySelector<HTMLElement>("button");
  if (!opened?.contains(document.activeElement)) first?.focus();
}
</script>

<template>
  <PrimeDialog v-model:visible="visible" :pt="{ transition: { css: false } }" @show="begin">
    <slot></slot>
  </PrimeDialog>
</template>
