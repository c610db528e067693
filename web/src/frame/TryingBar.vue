<script setup lang="ts">
import { ref } from "vue";
import { useRoute, useRouter } from "vue-router";
import { api, ask } from "../api/client";
import { takingOver, tryIn, trying } from "../api/mode";

/** Says in which what-if changes are being tried, and leads out of it. */
const route = useRoute();
const router = useRouter();
const wrong = ref("");

async function takeOver() {
  const now = trying.value;
  if (!now) return;
  wrong.value = "";
  try {
    const all = await ask(api.GET("/api/terms/{termId}/what-ifs", { params: { path: { termId: now.termId } } }));
    const found = all.find((w) => w.id === now.id);
    if (!found?.change) {
      wrong.value = "It has no change yet: there is nothing to take over.";
      return;
    }
    takingOver.value = found.change;
    tryIn(null);
    await router.push({ path: `/terms/${now.termId}/wall`, query: route.query });
  } catch (e) {
    wrong.value = (e as Error).message;
  }
}
</script>

<template>
  <div v-if="trying" class="trying" role="region" aria-label="What if">
    <span
      >What if: <b>{{ trying.name }}</b><span class="soft more"
        >. What you change here is beside the plan, and students see nothing of it.</span
      ></span
    >
    <span v-if="wrong" class="look" role="alert">{{ wrong }}</span>
    <span class="grow"></span>
    <RouterLink :to="{ path: `/terms/${trying.termId}/what-ifs`, query: route.query }">Compare</RouterLink>
    <button type="button" class="btn" @click="takeOver">Take over…</button>
    <button type="button" class="btn quiet" @click="tryIn(null)">Back to the plan</button>
  </div>
</template>

<style scoped>
.trying {
  flex: none;
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
  padding: 5px 12px;
  background: var(--paper-raised);
  border-bottom: 2px dashed var(--ink);
}
.grow {
  flex: 1;
}
.trying a {
  color: inherit;
  text-underline-offset: 3px;
}
@media (width < 800px) {
  .more {
    display: none;
  }
}
</style>
