<script setup lang="ts">
import { onMounted, useTemplateRef } from "vue";
import { useRoute } from "vue-router";

/** The views of a term, in the order in which the work is done. The section that is looked at goes along. */
defineProps<{
  termId: number;
  here?:
    | "term"
    | "wall"
    | "dates"
    | "lanes"
    | "week"
    | "students"
    | "hours"
    | "what-ifs"
    | "rollover"
    | "look-back"
    | "history";
}>();
const route = useRoute();
const views = [
  { path: "term", name: "Term" },
  { path: "wall", name: "Wall" },
  { path: "dates", name: "Dates" },
  { path: "lanes", name: "Lanes" },
  { path: "week", name: "Week" },
  { path: "students", name: "For students" },
  { path: "hours", name: "Office hours" },
  { path: "what-ifs", name: "What if" },
  { path: "rollover", name: "Rollover" },
  { path: "look-back", name: "Look back" },
  { path: "history", name: "History" },
] as const;
const nav = useTemplateRef<HTMLElement>("nav");
/** In a narrow window the names run on to the side: the one that is looked at is in sight. */
onMounted(() => {
  const now = nav.value?.querySelector<HTMLElement>("[aria-current]");
  if (nav.value && now)
    nav.value.scrollLeft = now.offsetLeft - nav.value.offsetLeft - (nav.value.clientWidth - now.offsetWidth) / 2;
});
</script>

<template>
  <nav ref="nav" aria-label="Views">
    <RouterLink
      v-for="view in views"
      :key="view.path"
      :to="{
        path: `/terms/${termId}/${view.path}`,
        query: route.query.section ? { section: route.query.section } : {},
      }"
      :aria-current="view.path === here ? 'page' : undefined"
      :data-name="view.name"
      >{{ view.name }}</RouterLink
    >
  </nav>
</template>
