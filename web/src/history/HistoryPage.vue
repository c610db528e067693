<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from "vue";
import { useRoute } from "vue-router";
import { type Schemas, api, ask } from "../api/client";
import { useDoing } from "../ui/useDoing";
import Band from "../frame/Band.vue";
import TermTools from "../frame/TermTools.vue";
import ViewLinks from "../frame/ViewLinks.vue";
import { me } from "../api/me";
import { tryIn } from "../api/mode";

/** Who changed what and when, newest first; moments can be named and returned to. */
const route = useRoute();
const termId = Number(route.params.termId);
const history = shallowRef<Schemas["HistoryView"] | null>(null);
const { busy, problem, doing: one } = useDoing();
const said = ref("");
const naming = ref(0);
const name = ref("");
// the history is the plan's, and so are undo and redo here
tryIn(null);

/** Why the term cannot be shown; empty where it can, as far as is known. */
const stuck = ref(String(window.history.state?.stuck ?? ""));
const lines = computed(() => [...(history.value?.lines ?? [])].reverse());

async function load() {
  history.value = await ask(api.GET("/api/terms/{termId}/history", { params: { path: { termId } } }));
}
/** Does something, and shows the history as it is then. */
async function doing(action: () => Promise<void>) {
  const fine = await one(action);
  const went = problem.value;
  await one(load);
  if (!fine) problem.value = went;
}
onMounted(() => one(load));

function step(way: "undo" | "redo") {
  return doing(async () => {
    const made = await ask(
      api.POST(`/api/terms/{termId}/${way}`, {
        params: { path: { termId } },
        body: { version: history.value!.version },
      }),
    );
    said.value = made.sentence + ".";
    stuck.value = "";
  });
}
function returnTo(seq: number) {
  return doing(async () => {
    const made = await ask(
      api.POST("/api/terms/{termId}/history/{seq}/return", {
        params: { path: { termId, seq } },
        body: { version: history.value!.version },
      }),
    );
    said.value = made.sentence + ".";
  });
}
function keepName(seq: number) {
  return doing(async () => {
    await ask(
      api.PUT("/api/terms/{termId}/history/{seq}/name", {
        params: { path: { termId, seq } },
        body: { name: name.value },
      }),
    );
    naming.value = 0;
  });
}
function when(at: string) {
  return new Date(at).toLocaleString("en-GB", {
    weekday: "short",
    day: "numeric",
    month: "short",
    hour: "2-digit",
    minute: "2-digit",
    hour12: me.value?.preferences.twelveHours ?? false,
  });
}
</script>

<template>
  <Band>
    <template #course
      ><span class="sel">{{ history?.termName ?? "" }}</span></template
    >
    <ViewLinks :term-id="termId" here="history" />
    <template #right><TermTools :term-id="termId" :after="history" @changed="one(load)" /></template>
  </Band>
  <main class="page">
    <h1>
      History<span v-if="history?.termName" class="soft"> of {{ history.termName }}</span>
    </h1>
    <p v-if="stuck" class="problem" role="alert">
      {{ stuck }} Undo steps until it can be shown again, or return to a moment below.
      <a :href="`/api/terms/${termId}/plan`">Plan file</a>
    </p>
    <p class="soft">Every step is kept. An undo is a step of its own, so nothing in this list is ever rewritten.</p>
    <div class="actions" style="justify-content: flex-start">
      <button type="button" class="btn" :disabled="busy || !history?.undo" @click="step('undo')">
        Undo the last step
      </button>
      <button type="button" class="btn" :disabled="busy || !history?.redo" @click="step('redo')">Redo</button>
      <span role="status">{{ said }}</span>
    </div>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <ol v-if="history" class="lines">
      <li v-for="(line, n) in lines" :key="line.seq" :class="{ undone: line.kind === 'UNDO' }">
        <span class="knot" :class="{ now: n === 0 }" aria-hidden="true"></span>
        <span class="soft seq">{{ line.seq }}</span>
        <span class="what">
          <b v-if="line.name">{{ line.name }}: </b>{{ line.sentence }}.
          <span v-if="n === 0" class="look">as it stands now</span>
        </span>
        <span class="soft">{{ line.accountName }}, {{ when(line.madeAt) }}</span>
        <span class="do">
          <template v-if="naming === line.seq">
            <input
              v-model="name"
              class="field"
              maxlength="100"
              :aria-label="`Name of step ${line.seq}`"
              @keydown.enter="keepName(line.seq)"
            />
            <button type="button" class="btn" @click="keepName(line.seq)">Keep</button>
          </template>
          <button
            v-else
            type="button"
            class="btn quiet"
            :aria-label="`Name step ${line.seq}`"
            @click="
              naming = line.seq;
              name = line.name ?? '';
            "
          >
            Name
          </button>
          <button
            v-if="n > 0"
            type="button"
            class="btn quiet"
            :disabled="busy"
            :aria-label="`Return to how it stood after step ${line.seq}`"
            @click="returnTo(line.seq)"
          >
            Return to here
          </button>
        </span>
      </li>
    </ol>
  </main>
</template>

<style scoped>
.problem a {
  color: inherit;
}
.lines {
  list-style: none;
  padding: 0;
  margin: 14px 0;
  position: relative;
}
.lines::before {
  content: "";
  position: absolute;
  left: 8px;
  top: 14px;
  bottom: 14px;
  border-left: 3px solid var(--thread-1);
}
.lines li {
  display: grid;
  grid-template-columns: 20px 30px 1fr max-content max-content;
  gap: 10px;
  align-items: baseline;
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
  position: relative;
}
.knot {
  width: 11px;
  height: 11px;
  border-radius: 50%;
  border: 2px solid var(--thread-1);
  background: var(--thread-1);
  margin-left: 3px;
  position: relative;
  align-self: center;
}
.undone .knot {
  background: var(--paper);
}
.knot.now {
  border-color: var(--lantern);
  background: var(--lantern);
}
.seq {
  text-align: right;
}
.do {
  display: flex;
  gap: 4px;
}
@media (max-width: 800px) {
  .lines li {
    grid-template-columns: 20px 24px 1fr;
  }
  .lines li > :nth-child(n + 4) {
    grid-column: 3;
  }
}
</style>
