<script setup lang="ts">
/** One of the wall's small marks; its meaning stands beside it in words for screen readers. */
defineProps<{ is: "pin" | "tail" | "problem" | "lock" | "told" | "opens" | "due" | "closes" | "notice" }>();
</script>

<template>
  <svg v-if="is === 'pin'" class="m" width="8" height="11" viewBox="0 0 8 11" aria-hidden="true">
    <path d="M4.6 5.4 1 10.6" stroke="currentColor" stroke-width="1.4" fill="none" />
    <circle cx="5" cy="3" r="2.8" fill="currentColor" />
  </svg>
  <svg v-else-if="is === 'tail'" class="m" width="15" height="13" viewBox="0 0 15 13" aria-hidden="true">
    <path
      d="M0 6.5h3m0 0c4 0 5-4 9-5M3 6.5c4 0 6 0 10 .5M3 6.5c4 0 5 4 8 5.2"
      fill="none"
      stroke="currentColor"
      stroke-width="1.3"
    />
  </svg>
  <svg v-else-if="is === 'lock'" class="m" width="9" height="10" viewBox="0 0 9 10" aria-hidden="true">
    <path d="M2 4.5V3a2.5 2.5 0 0 1 5 0v1.5" fill="none" stroke="currentColor" stroke-width="1.3" />
    <path d="M1 4.5h7V10H1Z" fill="currentColor" />
  </svg>
  <svg v-else-if="is === 'told'" class="m" width="10" height="10" viewBox="0 0 10 10" aria-hidden="true">
    <path d="M9.3.7V9.3L.7.7Z" fill="none" stroke="currentColor" stroke-width="1.3" />
    <path d="M.2 1.8 8.2 9.8H.2Z" fill="var(--lantern)" />
  </svg>
  <svg v-else-if="is === 'opens'" class="m" width="9" height="10" viewBox="0 0 9 10" aria-hidden="true">
    <path d="M1 0v10M1 1h5l-2 2.4" fill="none" stroke="currentColor" stroke-width="1.3" />
  </svg>
  <svg v-else-if="is === 'due'" class="m" width="9" height="10" viewBox="0 0 9 10" aria-hidden="true">
    <path d="M1 0v10" stroke="currentColor" stroke-width="1.6" />
  </svg>
  <svg v-else-if="is === 'closes'" class="m" width="9" height="10" viewBox="0 0 9 10" aria-hidden="true">
    <path d="M1 0v9.3h6" fill="none" stroke="currentColor" stroke-width="1.5" />
  </svg>
  <svg v-else-if="is === 'notice'" class="m" width="8" height="9" viewBox="0 0 8 9" aria-hidden="true">
    <path d="M1 9V.8L7 3 1 5.4" fill="none" stroke="currentColor" stroke-width="1.2" />
  </svg>
  <svg v-else class="m" width="10" height="9" viewBox="0 0 10 9" aria-hidden="true">
    <path d="M5 .8 9.4 8.3H.6Z" fill="none" stroke="currentColor" stroke-width="1.3" />
  </svg>
</template>
