<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, watch } from "vue";
import { useRoute, useRouter } from "vue-router";
import { type Schemas, api, ask } from "../api/client";
import { useDoing } from "../ui/useDoing";
import Band from "../frame/Band.vue";
import TermTools from "../frame/TermTools.vue";
import ViewLinks from "../frame/ViewLinks.vue";
import { count } from "../ui/say";
import ComparisonTable from "./ComparisonTable.vue";
import { takingOver, tryIn, trying } from "../api/mode";

/** The what-ifs of a term: made, tried, laid beside the plan, taken over, dropped. */
const route = useRoute();
const router = useRouter();
const termId = Number(route.params.termId);
const path = { termId };
const all = shallowRef<Schemas["WhatIfView"][] | null>(null);
const sections = shallowRef<Schemas["SectionTold"][]>([]);
const comparison = shallowRef<Schemas["ComparisonView"] | null>(null);
const chosen = ref<number[]>([]);
const section = ref(String(route.query.section ?? ""));
const name = ref("");
const dropping = ref(0);
const { busy, problem, doing } = useDoing();
/** As many lie beside the plan at most. */
const MOST = 3;

onMounted(async () => {
  document.title = "What if, Matsuri";
  await doing(async () => {
    // the sections of the plan, whatever is being tried
    sections.value = (await ask(api.GET("/api/terms/{termId}/telling", { params: { path } }))).sections;
    if (!section.value && sections.value[0]) section.value = key(sections.value[0]);
    all.value = await ask(api.GET("/api/terms/{termId}/what-ifs", { params: { path } }));
    chosen.value = all.value.slice(0, MOST).map((w) => w.id);
  });
});
const key = (s: { course: string; section: string }) => `${s.course}/${s.section}`;
const here = computed(() => {
  const at = section.value.lastIndexOf("/");
  return { course: section.value.slice(0, at), section: section.value.slice(at + 1) };
});
let asked = 0;
watch([chosen, section, all], async () => {
  const turn = ++asked; // an answer to what was ticked before is not shown
  const ids = chosen.value.filter((id) => all.value?.some((w) => w.id === id));
  if (!section.value || !ids.length) {
    comparison.value = null;
    return;
  }
  await doing(async () => {
    const found = await ask(
      api.GET("/api/terms/{termId}/what-ifs/comparison", { params: { path, query: { ...here.value, ids } } }),
    );
    if (turn === asked) comparison.value = found;
  });
});

function tick(id: number) {
  chosen.value = chosen.value.includes(id) ? chosen.value.filter((c) => c !== id) : [...chosen.value, id].slice(-MOST);
}
async function make() {
  await doing(async () => {
    const made = await ask(api.POST("/api/terms/{termId}/what-ifs", { params: { path }, body: { name: name.value } }));
    name.value = "";
    await tryChanges(made);
  });
}
async function tryChanges(whatIf: Schemas["WhatIfView"]) {
  tryIn({ termId, id: whatIf.id, name: whatIf.name });
  await router.push({ path: `/terms/${termId}/wall`, query: { section: section.value } });
}
async function takeOver(whatIf: Schemas["WhatIfView"]) {
  takingOver.value = whatIf.change ?? null;
  tryIn(null);
  await router.push({ path: `/terms/${termId}/wall`, query: { section: section.value } });
}
async function drop(whatIf: Schemas["WhatIfView"]) {
  await doing(async () => {
    all.value = await ask(
      api.DELETE("/api/terms/{termId}/what-ifs/{id}", { params: { path: { termId, id: whatIf.id } } }),
    );
    if (trying.value?.id === whatIf.id) tryIn(null);
    dropping.value = 0;
  });
}
</script>

<template>
  <Band>
    <template #course>
      <select v-if="sections.length" v-model="section" class="sel" aria-label="Course and section">
        <option v-for="s in sections" :key="key(s)" :value="key(s)">{{ s.course }}, {{ s.section }}</option>
      </select>
    </template>
    <ViewLinks :term-id="termId" here="what-ifs" />
    <template #right><TermTools :term-id="termId" :here="section" /></template>
  </Band>
  <h1 class="vh">What if</h1>
  <main class="whatifs">
    <aside aria-label="What-ifs">
      <form class="new" @submit.prevent="make">
        <label for="what-if-name">A new what-if</label>
        <input
          id="what-if-name"
          v-model="name"
          class="field"
          maxlength="100"
          required
          autocomplete="off"
          placeholder="what if we lose two more days"
        />
        <button type="submit" class="btn" :disabled="busy">Try changes in it</button>
      </form>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <p v-if="all && !all.length" class="soft">
        A what-if holds changes beside the plan: it follows the plan as that goes on, students see nothing of it, and it
        can be taken over as one step. Make one here, or keep a proposal as one.
      </p>
      <section v-for="w in all ?? []" :key="w.id">
        <h2>
          <label><input type="checkbox" :checked="chosen.includes(w.id)" @change="tick(w.id)" /> {{ w.name }}</label>
        </h2>
        <ol>
          <li v-for="(s, n) in w.steps" :key="n">{{ s }}</li>
        </ol>
        <p v-if="!w.steps.length" class="soft">No changes yet.</p>
        <p v-if="w.broken" class="look">▲ {{ w.broken }}</p>
        <p v-if="dropping === w.id">
          {{ count(w.steps.length, "change") }} would be gone for good.
          <button type="button" class="btn" :disabled="busy" @click="drop(w)">Drop it</button>
          <button type="button" class="btn quiet" @click="dropping = 0">Keep it</button>
        </p>
        <p v-else class="acts">
          <button type="button" class="btn" @click="tryChanges(w)">Try changes in it</button>
          <button type="button" class="btn" :disabled="!w.change || !!w.broken" @click="takeOver(w)">Take over…</button>
          <button type="button" class="btn quiet" @click="dropping = w.id">Drop</button>
        </p>
      </section>
    </aside>
    <ComparisonTable v-if="comparison" :comparison="comparison" />
    <p v-else-if="all?.length && !busy" class="empty soft">Tick up to {{ MOST }} to lay them beside the plan.</p>
  </main>
</template>

<style scoped>
.whatifs {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: 300px 1fr;
}
aside {
  overflow-y: auto;
  border-right: 1px solid var(--ink);
  padding: 10px 14px;
}
.new {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 5px;
  padding-bottom: 12px;
}
.new .field {
  width: 100%;
}
section {
  border-top: 1px solid var(--rule-firm);
  padding: 8px 0;
}
h2 {
  font-size: 15px;
  margin: 0;
}
h2 label {
  display: flex;
  gap: 7px;
  align-items: baseline;
}
ol {
  margin: 4px 0 6px;
  padding-left: 22px;
}
section p {
  margin: 4px 0;
}
.acts {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
.empty {
  padding: 14px;
}
@media (width < 900px) {
  .whatifs {
    display: block;
    overflow: auto;
  }
  aside {
    border-right: 0;
  }
}
</style>
