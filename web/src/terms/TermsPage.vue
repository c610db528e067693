<script setup lang="ts">
import { onMounted, ref, shallowRef } from "vue";
import { useRouter } from "vue-router";
import { type Place, ProblemError, type Schemas, api, ask, openPlan } from "../api/client";
import Band from "../frame/Band.vue";
import { dayMonth, span } from "../ui/say";

const router = useRouter();
const terms = shallowRef<Schemas["TermLine"][] | null>(null);
const problem = ref("");
const faults = shallowRef<Place[]>([]);
const busy = ref(false);
const chooser = ref<HTMLInputElement>();

onMounted(async () => {
  try {
    const found = await ask(api.GET("/api/terms"));
    // who signs in means the term that they are in
    const running = found.length === 1 ? found : found.filter((term) => term.now);
    const only =
      running.length === 1 && running[0] && String(window.history.state?.back).startsWith("/sign-in")
        ? running[0]
        : null;
    if (only) await router.replace(`/terms/${only.id}/${only.role === "substitute" ? "sheet" : "wall"}`);
    else terms.value = found;
  } catch (e) {
    problem.value = (e as Error).message;
  }
});

async function open(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0];
  if (!file) return;
  busy.value = true;
  problem.value = "";
  faults.value = [];
  try {
    const made = await openPlan(file);
    await router.push(`/terms/${made.id}/wall`);
  } catch (e) {
    problem.value = (e as Error).message;
    faults.value = e instanceof ProblemError ? e.faults : [];
  } finally {
    busy.value = false;
    if (chooser.value) chooser.value.value = "";
  }
}
</script>

<template>
  <Band />
  <main class="page">
    <h1>Terms</h1>
    <p v-if="terms && terms.length === 0">
      There is no term yet. Begin with <b>New term</b>: name its days, paste an outline, and the wall is there. Or open
      a plan file that was written before.
    </p>
    <ul v-if="terms" class="terms">
      <li v-for="term in terms" :key="term.id">
        <RouterLink :to="`/terms/${term.id}/${term.role === 'substitute' ? 'sheet' : 'wall'}`" class="name">{{
          term.name || "Term without a name"
        }}</RouterLink>
        <span v-if="term.role !== 'own'" class="soft">{{ term.role }}</span>
        <span class="soft">{{ span(term.first, term.last) }} {{ term.last.slice(0, 4) }}</span>
        <span class="sections">
          <RouterLink
            v-for="key in term.sections"
            :key="key"
            :to="{ path: `/terms/${term.id}/wall`, query: { section: key } }"
            >{{ key.replace("/", " ") }}</RouterLink
          >
        </span>
        <a
          v-if="term.role !== 'substitute'"
          :href="`/api/terms/${term.id}/plan`"
          :aria-label="`Plan file of ${term.name}, from ${dayMonth(term.first)}`"
          >plan file</a
        >
      </li>
    </ul>
    <div v-if="problem" class="problem" role="alert">
      {{ problem }}
      <ul v-if="faults.length">
        <li v-for="(fault, n) in faults" :key="n">
          <span class="soft">line {{ fault.line }}, {{ fault.pointer || "the file" }}:</span> {{ fault.message }}
        </li>
      </ul>
    </div>
    <div class="actions begin">
      <RouterLink to="/new" class="btn go">New term</RouterLink>
      <button type="button" class="btn" :disabled="busy" @click="chooser?.click()">
        {{ busy ? "Opening…" : "Open a plan file" }}
      </button>
      <input
        ref="chooser"
        type="file"
        accept=".json,application/json"
        class="vh"
        tabindex="-1"
        aria-label="Plan file"
        @change="open"
      />
    </div>
  </main>
</template>

<style scoped>
.terms {
  list-style: none;
  padding: 0;
  margin: 0 0 14px;
  border-top: 1px solid var(--ink);
}
.terms li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: baseline;
  padding: 8px 4px;
  border-bottom: 1px solid var(--rule);
}
.name {
  font-size: 15px;
  font-weight: 680;
}
.sections {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  flex: 1;
}
a {
  color: var(--ink);
  text-underline-offset: 3px;
  min-height: 24px;
}
a.btn.go {
  color: var(--paper);
}
.begin {
  justify-content: flex-start;
}
</style>
