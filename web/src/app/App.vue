<script setup lang="ts">
import { onErrorCaptured, ref, watch } from "vue";
import { RouterView, useRoute, useRouter } from "vue-router";
import { onStuck } from "../api/client";
import BrokenView from "./BrokenView.vue";

const route = useRoute();
const router = useRouter();
// a term that cannot be worked out is opened on its history, from where it can be taken back
onStuck((why) => {
  const { termId } = route.params;
  if (termId && !route.path.endsWith("/history")) {
    void router.replace({ path: `/terms/${String(termId)}/history`, state: { stuck: why } });
  }
});

/** Why the view that is looked at could not be drawn; empty while it can. */
const broken = ref("");
/** Where an action failed, by its name or its number in a built application: what is drawn then still stands. */
const ACTION = /event handler|runtime-[56]$/;
onErrorCaptured((e, _, where) => {
  console.error(e);
  if (ACTION.test(where)) return false;
  broken.value = e instanceof Error ? e.message : String(e);
  return false;
});
router.onError((e) => (broken.value = e instanceof Error ? e.message : String(e)));
watch(
  () => route.path,
  () => (broken.value = ""),
);
</script>

<template>
  <BrokenView v-if="broken" :why="broken" />
  <RouterView v-else />
</template>
