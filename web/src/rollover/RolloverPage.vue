<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, watch } from "vue";
import { useRoute, useRouter } from "vue-router";
import { type Schemas, api, ask } from "../api/client";
import Band from "../frame/Band.vue";
import TermTools from "../frame/TermTools.vue";
import ViewLinks from "../frame/ViewLinks.vue";
import DateField from "../ui/DateField.vue";
import { MOST_BYTES } from "../ui/file";
import { count, dayMonth, span } from "../ui/say";
import RolledTable from "./RolledTable.vue";
import RolloverWays from "./RolloverWays.vue";
import { useRollover } from "./useRollover";

/** A course rolled over to another term: from what, into which, by which way, and every date before anything is written. */
const route = useRoute();
const router = useRouter();
const termId = Number(route.params.termId);
const rollover = useRollover(termId);
const { choices, source, view, problem, busy, asked, taken, courses, ready } = rollover;
const here = String(route.query.section ?? "");
const section = ref("");
const countries = shallowRef<Schemas["Place"][]>([]);
const regions = shallowRef<Schemas["Place"][]>([]);

onMounted(async () => {
  document.title = "Rollover, Matsuri";
  await rollover.load(here.split("/")[0]);
});
const only = computed(() => courses.value.find((c) => asked.courses.length === 1 && c.code === asked.courses[0]));
const sections = computed(() => [...new Set(view.value?.rows.map((r) => `${r.course}/${r.section}`))]);
watch(sections, (all) => {
  if (!all.includes(section.value)) section.value = all.find((s) => s === here) ?? all[0] ?? "";
});
watch(
  () => asked.to,
  async (to) => {
    if (to !== null || countries.value.length) return;
    try {
      countries.value = await ask(api.GET("/api/holidays/countries", { params: { query: {} } }));
    } catch (e) {
      problem.value = (e as Error).message;
    }
  },
  { immediate: true },
);
watch(
  () => asked.country,
  async (country) => {
    asked.region = "";
    asked.without = [];
    regions.value = country ? await ask(api.GET("/api/holidays/regions", { params: { query: { country } } })) : [];
  },
);
const targets = computed(() => {
  const others = choices.value?.terms ?? [];
  const own = source.value && choices.value ? [{ id: termId, ...choices.value }] : [];
  return [...own, ...others].map((t) => ({ id: t.id, name: `${t.name || "Term"}, ${span(t.first, t.last)}` }));
});
const among = (lessons: number) => (lessons ? `, ${count(lessons, "lesson")} among them` : "");
const way = computed(() => view.value?.ways.find((w) => w.by === view.value?.by));
const summary = computed(() => {
  if (!view.value || !way.value) return "";
  const { dates, placed, waiting, lost, noSession } = way.value;
  const parts = [`${placed} of ${count(dates, "date")} have their place`];
  if (waiting) parts.push(`${waiting} ${waiting === 1 ? "waits" : "wait"} for a hand`);
  if (lost) parts.push(`${lost} ${lost === 1 ? "has" : "have"} none${among(noSession)}`);
  return `To ${view.value.to || "the new term"}: ${parts.join(", ")}.`;
});
const spare = computed(() =>
  view.value?.spare
    .map(
      (s) =>
        `${asked.courses.length > 1 ? s.course + " " : ""}${s.section}: ${count(s.sessions, "session")}, ${s.free} free${s.reserve ? `, ${s.reserve} in reserve` : ""}`,
    )
    .join("; "),
);

function tick(code: string) {
  asked.courses = asked.courses.includes(code)
    ? asked.courses.filter((c) => c !== code)
    : courses.value.map((c) => c.code).filter((c) => c === code || asked.courses.includes(c));
  asked.units = [];
}
function tickUnit(id: string) {
  const all = only.value?.units.map((u) => u.id) ?? [];
  const now = asked.units.length ? asked.units : all;
  const next = now.includes(id) ? now.filter((u) => u !== id) : all.filter((u) => u === id || now.includes(u));
  asked.units = next.length === all.length ? [] : next;
}
function skip(day: string) {
  asked.without = asked.without.includes(day) ? asked.without.filter((d) => d !== day) : [...asked.without, day];
}
async function choose(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = "";
  if (!file) return;
  if (file.size > MOST_BYTES) {
    problem.value = `“${file.name}” has ${(file.size / 1e6).toFixed(0)} MB; at most 5 MB are read.`;
    return;
  }
  await rollover.read(file, only.value?.code ?? courses.value[0]?.code ?? "Course");
  // what is of this term goes on to the next; what is of another comes into this one
  const own = source.value?.first === choices.value?.first && source.value?.last === choices.value?.last;
  asked.to = own ? (choices.value?.next ?? null) : termId;
}
function backToTerm() {
  source.value = null;
  asked.courses = courses.value.slice(0, 1).map((c) => c.code);
  asked.to = choices.value?.next ?? null;
}
async function roll() {
  const code = asked.courses[0];
  const id = await rollover.roll();
  if (id === null) return;
  const first = view.value?.spare.find((s) => s.course === code);
  await router.push({ path: `/terms/${id}/wall`, query: first ? { section: `${first.course}/${first.section}` } : {} });
}
</script>

<template>
  <Band>
    <template #course>
      <span v-if="choices" class="sel">{{ choices.name }}</span>
    </template>
    <ViewLinks :term-id="termId" here="rollover" />
    <template #right><TermTools :term-id="termId" /></template>
  </Band>
  <h1 class="vh">Rollover</h1>
  <main class="rollover">
    <form class="ends" aria-label="From and to" @submit.prevent>
      <b>Roll over</b>
      <details class="pick">
        <summary class="btn" aria-label="Courses">
          {{ asked.courses.join(", ") || "choose a course" }}
          <span class="soft">{{ source ? `of ${source.name}` : `of ${choices?.name ?? ""}` }}</span>
        </summary>
        <div class="menu">
          <label v-for="c in courses" :key="c.code"
            ><input type="checkbox" :checked="asked.courses.includes(c.code)" @change="tick(c.code)" /> {{ c.code }}
            {{ c.title }}</label
          >
          <label class="btn file"
            >From a file…<input
              type="file"
              class="vh"
              accept=".json,.csv,.xlsx,.txt"
              aria-label="A plan file, or a table of dates"
              @change="choose"
          /></label>
          <button v-if="source" type="button" class="btn quiet" @click="backToTerm">
            From {{ choices?.name }} again
          </button>
          <p class="soft">
            A plan file, or a table (.csv, .xlsx) whose first row names the columns title and due, opens or closes.
          </p>
        </div>
      </details>
      <details v-if="only" class="pick">
        <summary class="btn" aria-label="Units">
          {{ asked.units.length ? count(asked.units.length, "unit") : `all ${only.units.length} units` }}
        </summary>
        <div class="menu">
          <label v-for="u in only.units" :key="u.id"
            ><input
              type="checkbox"
              :checked="!asked.units.length || asked.units.includes(u.id)"
              @change="tickUnit(u.id)"
            />
            {{ u.code }} {{ u.title }}</label
          >
        </div>
      </details>
      <label
        >into
        <select v-model="asked.to" class="field" aria-label="Into which term">
          <option v-for="t in targets" :key="t.id" :value="t.id">{{ t.name }}</option>
          <option :value="null">a new term</option>
        </select></label
      >
      <label v-if="sections.length > 1"
        >show
        <select v-model="section" class="field" aria-label="Which section is shown">
          <option v-for="s in sections" :key="s" :value="s">{{ s.replace("/", ", section ") }}</option>
          <option value="">all sections</option>
        </select></label
      >
      <span v-if="view" class="soft far">{{ count(Math.abs(view.days), "day") }} later</span>
    </form>
    <form v-if="asked.to === null" class="ends new" aria-label="The new term" @submit.prevent>
      <label>Name <input v-model.lazy="asked.name" class="field" maxlength="200" autocomplete="off" /></label>
      <label for="new-first">First day</label><DateField id="new-first" v-model="asked.first" :term-id="termId" />
      <label for="new-last">Last day</label><DateField id="new-last" v-model="asked.last" :term-id="termId" />
      <label
        >Public holidays of
        <select v-model="asked.country" class="field">
          <option value="">no country</option>
          <option v-for="c in countries" :key="c.code" :value="c.code">{{ c.name }}</option>
        </select></label
      >
      <label v-if="regions.length"
        >region
        <select v-model="asked.region" class="field">
          <option value="">the whole country</option>
          <option v-for="r in regions" :key="r.code" :value="r.code">{{ r.name }}</option>
        </select></label
      >
      <span v-if="view && asked.country" class="offs">
        <b>Off:</b>
        <label v-for="o in view.off" :key="o.first"
          ><input type="checkbox" checked @change="skip(o.first)" /> {{ dayMonth(o.first) }} {{ o.reason }}</label
        >
        <button v-if="asked.without.length" type="button" class="btn quiet" @click="asked.without = []">
          {{ count(asked.without.length, "more") }} back in
        </button>
      </span>
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-else-if="!choices" role="status">Looking up the courses…</p>
    <p v-if="source?.wrong.length" class="problem" role="alert">
      {{ count(source.wrong.length, "cell") }} not understood and passed over:
      {{
        source.wrong
          .slice(0, 5)
          .map((w) => `row ${w.row} “${w.text}”`)
          .join(", ")
      }}. {{ source.wrong[0]?.said }}
    </p>
    <p v-if="view?.refused" class="problem" role="alert">
      {{ view.refused }}
      <label v-if="view.there || asked.again"
        ><input v-model="asked.again" type="checkbox" /> put them in the place of those</label
      >
    </p>
    <template v-if="view && view.ways.length">
      <RolloverWays v-model="asked.by" :ways="view.ways" :days="view.days" />
      <p v-for="note in view.notes" :key="note" class="note">{{ note }}</p>
      <RolledTable
        :view="view"
        :taken="taken"
        :section="section"
        :busy="busy"
        @take="rollover.take"
        @leave="rollover.leave"
      />
    </template>
    <p v-else-if="ready && !view && !problem" class="soft empty" role="status">Working out every date…</p>
    <p v-else-if="!ready && choices" class="soft empty">
      {{
        choices.courses.length
          ? "Choose a course, and the term that it goes into."
          : "There is no course in this term yet. Roll one over from a file, or from another term."
      }}
    </p>
  </main>
  <section v-if="view && view.ways.length" class="strip" aria-label="What it comes to">
    <div class="say" role="status">
      <p>
        <b>{{ summary }}</b> {{ spare }}
      </p>
      <p>
        Files, links, rhythms and notices come along. Rosters, what was taught, hand-ins, extensions and what students
        were told stay behind.
      </p>
    </div>
    <label v-if="asked.fit || way?.noSession" class="sees"
      ><input v-model="asked.fit" type="checkbox" />re-pace what does not fit</label
    >
    <button type="button" class="btn" :disabled="busy" @click="rollover.csv()">Table as a file</button>
    <RouterLink class="btn quiet" :to="{ path: `/terms/${termId}/wall`, query: here ? { section: here } : {} }"
      >Discard</RouterLink
    >
    <button type="button" class="btn go" :disabled="busy" @click="roll">
      {{ busy ? "Working…" : "Roll over" }}
    </button>
  </section>
</template>

<style scoped>
.rollover {
  flex: 1;
  min-height: 0;
  overflow: auto;
}
.ends {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  padding: 6px 12px;
  border-bottom: 1px solid var(--ink);
}
.ends > b {
  font-size: 16px;
}
.far {
  margin-left: auto;
}
.pick {
  position: relative;
}
summary {
  list-style: none;
  cursor: pointer;
}
summary::after {
  content: "▾";
  padding-left: 6px;
}
.menu {
  position: absolute;
  z-index: 12;
  top: calc(100% + 4px);
  left: 0;
  width: 330px;
  max-height: 420px;
  overflow: auto;
  background: var(--paper-raised);
  border: 1px solid var(--ink);
  padding: 8px 12px;
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.menu .btn {
  align-self: flex-start;
}
.file {
  cursor: pointer;
}
.file:focus-within {
  outline: 2px solid var(--ink);
  outline-offset: 2px;
}
.offs {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  width: 100%;
}
.note {
  margin: 0;
  padding: 5px 12px;
  border-bottom: 1px solid var(--rule);
}
.empty {
  padding: 20px;
}
@media (width < 900px) {
  .strip .say p:last-child {
    display: none;
  }
}
</style>
