<script setup lang="ts">
import type { Carried } from "./useDrag";

/** What is carried, beside the pointer: what it is, what dropping it there means, and more where the view has it. */
defineProps<{ carried: Carried; says: string }>();
</script>

<template>
  <div class="carried" :style="{ left: carried.x + 12 + 'px', top: carried.y + 10 + 'px' }">
    <b>{{ carried.label }}</b><span v-if="says"> → {{ says }}</span>
    <slot></slot>
  </div>
</template>
