<script setup lang="ts">
/** Above days: which way they are shown, how far one turns, and back to today. */
defineProps<{ show: "month" | "agenda"; title: string; before: boolean; after: boolean }>();
const emit = defineEmits<{ turn: [by: number]; today: [] }>();
</script>

<template>
  <div class="daystools">
    <button type="button" class="btn quiet" :disabled="!before" @click.stop="emit('turn', -1)">earlier</button>
    <h2>{{ title }}</h2>
    <button type="button" class="btn quiet" :disabled="!after" @click.stop="emit('turn', 1)">later</button>
    <button type="button" class="btn" @click.stop="emit('today')">Today</button>
    <slot></slot>
    <span class="ways">
      <RouterLink :to="{ query: {} }" :aria-current="show === 'month' ? 'true' : undefined">a month</RouterLink>
      <RouterLink :to="{ query: { show: 'agenda' } }" :aria-current="show === 'agenda' ? 'true' : undefined"
        >day by day</RouterLink
      >
    </span>
  </div>
</template>
