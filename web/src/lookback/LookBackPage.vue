<script setup lang="ts">
import { computed, onMounted, ref } from "vue";
import { useRoute, useRouter } from "vue-router";
import type { Schemas } from "../api/client";
import ChangeLine from "../change/ChangeLine.vue";
import { useStepKeys } from "../change/useStepKeys";
import Band from "../frame/Band.vue";
import ChangeTools from "../frame/ChangeTools.vue";
import ViewLinks from "../frame/ViewLinks.vue";
import { count, span } from "../ui/say";
import { threadOf } from "../draw/units";
import PaceBar from "./PaceBar.vue";
import PaceTable from "./PaceTable.vue";
import { useLookBack } from "./useLookBack";

/** How long each unit took, this term beside earlier ones, as bars and as a table; an earlier pace for this plan. */
const route = useRoute();
const router = useRouter();
const termId = Number(route.params.termId);
const { state, asked } = useLookBack(termId, String(route.query.section ?? ""));
const { view, problem, proposal } = state;
const table = ref(false);

useStepKeys(state);
onMounted(async () => {
  document.title = "Look back, Matsuri";
  // the section of another view may be of a course without lessons here; the first one is then looked at
  await state.load();
});
const most = computed(() =>
  Math.max(1, ...(view.value?.units.flatMap((u) => u.rows.map((r) => Math.max(r.cells.length, r.planned))) ?? [])),
);
const shown = computed(() => view.value?.terms.filter((t) => t.shown) ?? []);
const hidden = computed(() => view.value?.terms.filter((t) => !t.shown) ?? []);
const key = computed(() => `${view.value?.course}/${view.value?.section}`);

async function lookAt(course: string, section?: string) {
  asked.value = { course, section, terms: asked.value.terms };
  await state.load();
  await router.replace({ query: { section: key.value } });
}
async function show(ids: number[]) {
  asked.value = { ...asked.value, terms: ids };
  await state.load();
}
const use = (row: Schemas["LookRow"]) => state.propose(row.pace!, "always");
const remember = () => state.propose(view.value!.remember!);
const beside = (id: number) => ({
  path: `/terms/${termId}/wall`,
  query: { section: key.value, past: String(id) },
});
</script>

<template>
  <Band>
    <template #course>
      <select
        v-if="view && view.courses.length > 1"
        class="sel"
        aria-label="Course"
        :value="view.course"
        @change="lookAt(($event.target as HTMLSelectElement).value)"
      >
        <option v-for="c in view.courses" :key="c" :value="c">{{ c }}</option>
      </select>
    </template>
    <ViewLinks :term-id="termId" here="look-back" />
    <template #right>
      <ChangeTools
        :state="state"
        :findings="view?.findings ?? null"
        :undo="view?.undo"
        :redo="view?.redo"
        :here="view ? key : ''"
      />
    </template>
  </Band>
  <main v-if="view" class="back">
    <div class="top">
      <h1>How long each unit took</h1>
      <label v-if="view.sections.length > 1"
        >section
        <select
          class="field"
          aria-label="Section"
          :value="view.section"
          @change="lookAt(view.course, ($event.target as HTMLSelectElement).value)"
        >
          <option v-for="s in view.sections" :key="s" :value="s">{{ s }}</option>
        </select></label
      >
      <span v-if="shown.length">beside</span>
      <span v-for="t in shown" :key="t.id" class="beside"
        >{{ t.name }}
        <button
          type="button"
          class="btn quiet"
          :aria-label="`Without ${t.name}`"
          @click="show(shown.filter((o) => o.id !== t.id).map((o) => o.id))"
        >
          ×
        </button></span
      >
      <select
        v-if="hidden.length"
        class="field"
        aria-label="Another term"
        value=""
        @change="show([...shown.map((t) => t.id), Number(($event.target as HTMLSelectElement).value)])"
      >
        <option value="" disabled>another term</option>
        <option v-for="t in hidden" :key="t.id" :value="t.id">{{ t.name }}</option>
      </select>
      <span class="far">
        <button type="button" class="btn" :aria-pressed="!table" @click="table = false">Bars</button>
        <button type="button" class="btn" :aria-pressed="table" @click="table = true">Table</button>
        <a
          class="btn"
          :href="`/api/terms/${termId}/look-back.csv?course=${encodeURIComponent(view.course)}&section=${encodeURIComponent(view.section)}`"
          >As a file</a
        >
        <RouterLink v-for="t in shown.slice(0, 1)" :key="t.id" class="btn" :to="beside(t.id)"
          >{{ t.name }} beside the Wall</RouterLink
        >
      </span>
    </div>
    <p v-if="view.remember" class="keep">
      This plan does not know yet how long its units took in earlier terms, so it cannot say what is too tight.
      <button type="button" class="btn" :disabled="state.busy.value" @click="remember">Keep that in mind</button>
    </p>
    <p v-if="!view.terms.length" class="soft empty">
      No earlier term of {{ view.course }} is here to compare with. Roll the course over at the end of this one, or open
      the plan file of an earlier one, and its pace stands here.
    </p>
    <p v-if="!view.units.length" class="soft empty">
      {{ view.course }} has no lessons yet, so there is nothing to look back at.
    </p>
    <div v-if="!table" class="bars">
      <div class="legend" aria-hidden="true">
        <span><i class="k plan"></i> planned</span>
        <span><i class="k c1 full"></i> taught</span>
        <span><i class="k open"></i> to come</span>
        <span><i class="k hatched"></i> class lost</span>
      </div>
      <section v-for="u in view.units" :key="u.id" class="unit" :aria-label="u.title">
        <h2>
          <span class="thread" :class="threadOf(u.number, u.colour ?? '')" aria-hidden="true"></span>
          {{ u.code }} {{ u.title }}
          <small v-if="u.range" class="soft">took {{ u.range }}</small>
          <small v-if="u.tight" class="look">▲ too tight</small>
        </h2>
        <div class="rows">
          <div v-for="r in u.rows" :key="r.termId" class="row" :class="{ here: r.here }">
            <span class="term">{{ r.term || "this term" }}</span>
            <div class="bar">
              <PaceBar :row="r" :look="threadOf(u.number, u.colour ?? '')" :most="most" />
              <p v-if="r.lost.length" class="lost">{{ r.lost.join("; ") }}</p>
            </div>
            <b class="n">{{ r.sessions }}</b>
            <p class="words">
              <b>{{ r.sentence }}</b><br />
              <span class="soft"
                ><template v-if="r.first && r.last">{{ span(r.first, r.last) }}; </template>{{ r.beside }}</span
              >
            </p>
            <p class="notes">{{ r.notes.join(". ") }}</p>
            <button
              v-if="r.pace"
              type="button"
              class="btn"
              :disabled="state.busy.value"
              :aria-label="`Use the pace of ${r.term} for ${u.title}`"
              @click="use(r)"
            >
              Use this pace
            </button>
            <span v-else class="soft">{{ r.here ? (r.state === "taught" ? "taught" : "the plan") : "" }}</span>
          </div>
        </div>
      </section>
    </div>
    <PaceTable v-else :course="view.course" :units="view.units" />
  </main>
  <main v-else class="page">
    <h1 class="vh">Look back</h1>
    <p v-if="!problem">Looking back…</p>
  </main>
  <ChangeLine :state="state" :held="false" :loaded="view !== null" @again="state.load()">
    <p v-if="view && !proposal" class="soft foot">
      {{ count(view.units.length, "unit") }} of {{ view.course }}, section {{ view.section }}. A session is one of the
      section’s classes; the open bar above is what the plan gave.
    </p>
  </ChangeLine>
</template>

<style scoped>
.back {
  flex: 1;
  min-height: 0;
  overflow: auto;
}
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  padding: 6px 12px;
  border-bottom: 1px solid var(--ink);
}
h1 {
  font-size: 16px;
  margin: 0;
}
.beside {
  border: 1px solid var(--rule-firm);
  padding: 0 0 0 8px;
  display: inline-flex;
  align-items: center;
}
.far {
  margin-left: auto;
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
[aria-pressed="true"],
.btn[aria-pressed="true"]:hover:not(:disabled) {
  background: var(--ink);
  color: var(--paper);
}
.keep {
  margin: 0;
  padding: 6px 12px;
  border-bottom: 1px solid var(--rule);
}
.empty {
  padding: 8px 12px;
  margin: 0;
}
.legend {
  display: flex;
  gap: 16px;
  padding: 4px 12px 4px 232px;
  font-size: 12.5px;
  color: var(--ink-soft);
  border-bottom: 1px solid var(--ink);
}
.k {
  display: inline-block;
  width: 22px;
  height: 9px;
  vertical-align: middle;
}
.k.plan {
  border: 1px solid var(--rule-firm);
  height: 5px;
}
.k.full {
  background: var(--t);
}
.k.open {
  border: 1px solid var(--thread-1);
}
.unit {
  display: grid;
  grid-template-columns: 132px 1fr;
  border-bottom: 1px solid var(--rule-firm);
}
.unit h2 {
  font-size: 13.5px;
  margin: 0;
  padding: 7px 8px 7px 12px;
}
.unit h2 .thread {
  width: 62px;
  margin-bottom: 5px;
}
.unit small {
  display: block;
  font-weight: 400;
}
.row {
  display: grid;
  grid-template-columns: 92px minmax(240px, 400px) 28px minmax(200px, 300px) 1fr auto;
  gap: 0 8px;
  align-items: center;
  padding: 2px 12px 2px 0;
  border-bottom: 1px solid var(--rule);
  min-height: 36px;
  font-size: 13px;
}
.row:last-child {
  border-bottom: 0;
}
.row p {
  margin: 0;
}
.here .term {
  font-weight: 680;
}
.lost {
  font-size: 11.5px;
  line-height: 13px;
  color: var(--ink-soft);
}
.words {
  line-height: 16px;
}
.notes {
  line-height: 15px;
}
.row .btn {
  min-height: 26px;
  padding: 1px 9px;
}
.foot {
  margin: 0;
  padding: 3px 12px;
}
@media (width < 900px) {
  .unit {
    grid-template-columns: 1fr;
  }
  .row {
    grid-template-columns: 92px 1fr 28px;
    padding-left: 12px;
  }
  .words,
  .notes {
    grid-column: 1 / -1;
  }
  .legend {
    padding-left: 12px;
  }
}
</style>
