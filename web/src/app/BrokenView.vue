<script setup lang="ts">
import { computed } from "vue";
import { useRoute } from "vue-router";
import Band from "../frame/Band.vue";
import ViewLinks from "../frame/ViewLinks.vue";

/** Stands where a view could not be drawn: says so, and leads on. */
defineProps<{ why: string }>();
const route = useRoute();
const termId = computed(() => Number(route.params.termId ?? 0));
const again = () => window.location.reload();
</script>

<template>
  <Band><template v-if="termId" #course></template><ViewLinks v-if="termId" :term-id="termId" /></Band>
  <main class="page">
    <h1>This view could not be drawn</h1>
    <p role="alert">
      Nothing of the plan is lost: what was applied is stored. Load it again, or go to another view. If it happens
      again, say this to who looks after Matsuri: <code>{{ why }}</code>
    </p>
    <p>
      <button type="button" class="btn go" @click="again">Load again</button>
    </p>
  </main>
</template>
