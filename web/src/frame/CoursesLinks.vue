<script setup lang="ts">
/** What crosses terms: the list of them, and all courses at once. */
defineProps<{ here: string }>();
const views = [
  { path: "/", name: "Terms" },
  { path: "/courses", name: "All courses" },
  { path: "/days", name: "Days" },
  { path: "/due", name: "Due" },
  { path: "/shelf", name: "Files" },
  { path: "/preferences", name: "Preferences" },
] as const;
</script>

<template>
  <nav aria-label="Over all terms">
    <RouterLink
      v-for="view in views"
      :key="view.path"
      :to="view.path"
      :aria-current="view.path === here ? 'page' : undefined"
      :data-name="view.name"
      >{{ view.name }}</RouterLink
    >
  </nav>
</template>
