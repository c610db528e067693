<script setup lang="ts">
import { RouterView, useRoute, useRouter } from "vue-router";
import { onStuck } from "../api/client";

const route = useRoute();
const router = useRouter();
// a term that cannot be worked out is opened on its history, from where it can be taken back
onStuck((why) => {
  const { termId } = route.params;
  if (termId && !route.path.endsWith("/history")) {
    void router.replace({ path: `/terms/${String(termId)}/history`, state: { stuck: why } });
  }
});
</script>

<template>
  <RouterView />
</template>
