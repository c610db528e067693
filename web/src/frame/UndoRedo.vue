<script setup lang="ts">
/** Undo and redo of a term's last step. */
defineProps<{ undo?: string | null; redo?: string | null; held: boolean }>();
const emit = defineEmits<{ undo: []; redo: [] }>();
</script>

<template>
  <button
    type="button"
    class="icon"
    :disabled="!undo || held"
    :title="undo ? `Undo: ${undo}` : 'Nothing to undo'"
    aria-label="Undo"
    @click="emit('undo')"
  >
    <svg width="16" height="14" viewBox="0 0 16 14" aria-hidden="true">
      <path d="M5 1 1.5 4.5 5 8M2 4.5h8a4 4 0 0 1 0 8H6" fill="none" stroke="currentColor" stroke-width="1.6" />
    </svg>
  </button>
  <button
    type="button"
    class="icon"
    :disabled="!redo || held"
    :title="redo ? `Redo: ${redo}` : 'Nothing to redo'"
    aria-label="Redo"
    @click="emit('redo')"
  >
    <svg width="16" height="14" viewBox="0 0 16 14" aria-hidden="true">
      <path d="m11 1 3.5 3.5L11 8M14 4.5H6a4 4 0 0 0 0 8h4" fill="none" stroke="currentColor" stroke-width="1.6" />
    </svg>
  </button>
</template>
