<script setup lang="ts">
import { selectAll } from "../ui/selectAll";
import { computed, onMounted, ref, watch } from "vue";
import { onBeforeRouteLeave, useRouter } from "vue-router";
import { type Place, ProblemError, type Schemas, api, ask, openPlan } from "../api/client";
import Band from "../frame/Band.vue";
import { count } from "../ui/say";
import FromSchool from "./FromSchool.vue";
import PreviewWall from "./PreviewWall.vue";
import Doubts, { type Doubt } from "../ui/Doubts.vue";
import TypedLines from "../ui/TypedLines.vue";
import { useStart } from "./useStart";

const router = useRouter();
const { form, understood, problem, kept, busy, leave, beginAgain, start } = useStart();
const faults = ref<Place[]>([]);
const chooser = ref<HTMLInputElement>();
const first = ref<HTMLInputElement>();
const WEEKDAYS = [
  ["MO", "Mon"],
  ["TU", "Tue"],
  ["WE", "Wed"],
  ["TH", "Thu"],
  ["FR", "Fri"],
  ["SA", "Sat"],
  ["SU", "Sun"],
] as const;
const OUTLINE = `Basins
  What a river answers to
    Post 1, due 2 days after, 23:59
  Divides and outlets (2)
    Read 1, due same day
Gauging
  Stage and staff gauges
    Set 1, due next class
or paste rows from a spreadsheet: unit, lesson, sessions, work, due`;

const said = computed(() => new Map((understood.value?.said ?? []).map((s) => [s.part, s])));
const wrong = (part: string) => said.value.get(part)?.ok === false && said.value.get(part)?.text !== "";
const wall = computed(() => understood.value?.wall ?? null);
/** Doubts that were settled, by their words: a line that is typed otherwise is in doubt again. */
const settled = ref(new Set<string>());
const offDoubts = computed<Doubt[]>(() =>
  (understood.value?.daysOff ?? [])
    .filter((l) => l.open && !settled.value.has(`${l.number} ${l.text}`))
    .map((l) => ({
      key: `${l.number} ${l.text}`,
      given: l.text.trim(),
      asks: l.said,
      readings: [
        { as: "take", says: "take it" },
        { as: "out", says: "out" },
      ],
    })),
);
function settleOff(key: string, as: string) {
  settled.value = new Set(settled.value).add(key);
  if (as === "take") form.daysOffTaken = [...(form.daysOffTaken ?? []), Number(key.split(" ")[0])];
}
const ROW = ["lesson", "work", "unit"].map((as) => ({ as, says: as }));
const rowDoubts = computed<Doubt[]>(() =>
  (understood.value?.outline ?? [])
    .filter((l) => l.doubt && !settled.value.has(`${l.number} ${l.doubt}`))
    .map((l) => ({
      key: `${l.number} ${l.doubt}`,
      given: l.text.trim(),
      asks: l.doubt,
      readings: [{ as: "", says: "seen" }, ...(l.number ? [...ROW, { as: "nothing", says: "out" }] : [])],
    })),
);
function settleRow(key: string, as: string) {
  settled.value = new Set(settled.value).add(key);
  const number = Number(key.split(" ")[0]);
  if (as)
    form.outlineSettled = [
      ...(form.outlineSettled ?? []).filter((one) => one.number !== number),
      { number, as: as as "unit" | "lesson" | "work" | "nothing" },
    ];
}
const settleAll = (doubts: Doubt[]) => (settled.value = new Set([...settled.value, ...doubts.map((d) => d.key)]));
/** What a line is was said of another text: that is not kept when the text changes. */
watch(
  () => form.daysOff,
  () => (form.daysOffTaken = []),
);
watch(
  () => form.outline,
  () => (form.outlineSettled = []),
);
const outlineLines = computed(() =>
  (understood.value?.outline ?? [])
    .filter((l) => l.number)
    .map((l) => ({ ...l, said: [l.said, l.doubt].filter(Boolean).join(" ") })),
);
const open = computed(
  () =>
    offDoubts.value.length +
    rowDoubts.value.length +
    (understood.value?.daysOff ?? []).filter((l) => l.state === "not-understood").length,
);
const missing = computed(() => {
  const u = understood.value;
  if (!u || u.ready) return "";
  const names: Record<string, string> = {
    first: "its first day",
    last: "its last day",
    course: "a course",
    meets: "when the section meets",
    weekdays: "weekdays that teach",
  };
  return u.said
    .filter((s) => !s.ok && names[s.part])
    .map((s) => names[s.part])
    .join(", ");
});

onBeforeRouteLeave(leave);
onMounted(() => first.value?.focus());

/** The school's calendar that the term begins from, and will follow; empty for none. */
const school = ref("");
function useSchool(term: Schemas["CalendarTerm"], link: string) {
  Object.assign(form, { first: term.first, last: term.last, daysOff: term.days });
  school.value = link;
}
async function put() {
  const id = await start();
  if (!id) return;
  if (school.value) {
    const path = { params: { path: { termId: id } } };
    try {
      await ask(api.PUT("/api/terms/{termId}/school", { ...path, body: { link: school.value } }));
    } catch {
      // withdrawn in the meantime: the term has its days, and the Term view says that it follows none
      return router.push(`/terms/${id}/term`);
    }
  }
  await router.push(`/terms/${id}/wall`);
}
async function openFile(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0];
  if (!file) return;
  faults.value = [];
  try {
    const made = await openPlan(file);
    await router.push(`/terms/${made.id}/wall`);
  } catch (e) {
    problem.value = (e as Error).message;
    faults.value = e instanceof ProblemError ? e.faults : [];
  } finally {
    if (chooser.value) chooser.value.value = "";
  }
}
</script>

<template>
  <Band>
    <b style="padding-right: 12px">A new term</b>
    <template #right
      ><span class="w">{{
        kept === "keeping" ? "keeping…" : "What you type is kept, also when you leave"
      }}</span></template
    >
  </Band>
  <main class="start">
    <form id="start" class="parts" @submit.prevent="put">
      <section>
        <h2>Term</h2>
        <div>
          <div class="row">
            <label
              >Name
              <input
                ref="first"
                v-model="form.name"
                class="field"
                style="width: 130px"
                maxlength="200"
                placeholder="Autumn 2026"
            /></label>
            <label
              >First day
              <input
                v-model="form.first"
                class="field"
                style="width: 100px"
                placeholder="31 aug"
                :aria-invalid="wrong('first')"
            /></label>
            <label
              >Last day
              <input
                v-model="form.last"
                class="field"
                style="width: 100px"
                placeholder="18 dec"
                :aria-invalid="wrong('last')"
            /></label>
            <span class="ticks" role="group" aria-label="Teaches on">
              <span aria-hidden="true">Teaches on</span>
              <label v-for="[code, name] in WEEKDAYS" :key="code"
                ><input v-model="form.weekdays" type="checkbox" :value="code" />{{ name }}</label
              >
            </span>
          </div>
          <p role="status">
            <template v-if="said.get('term')"
              >✓ <b>{{ said.get("term")?.text }}</b>. Times as in
              <input v-model="form.zone" class="field zone" aria-label="Time zone" />; weeks begin on Monday.</template
            >
            <template v-for="part in ['first', 'last', 'weekdays']" :key="part"
              ><span v-if="wrong(part)" class="look">▲ {{ said.get(part)?.text }} </span></template
            >
          </p>
        </div>
      </section>
      <section>
        <h2>Days off<small>paste the list as the school publishes it, a line each</small></h2>
        <div>
          <TypedLines
            id="days-off"
            v-model="form.daysOff"
            label="Days off, a line each"
            placeholder="Sept. 7 (Mon)  Public holiday, closed
Oct. 12-13  Autumn break, no classes
Nov. 25 - 27  Holiday break, closed"
            :lines="understood?.daysOff ?? []"
            :rows="5"
          />
          <FromSchool @use="useSchool" />
          <Doubts
            :doubts="offDoubts"
            label="Days off in doubt"
            all-says="leave all out"
            @settle="settleOff"
            @all="settleAll(offDoubts)"
          />
        </div>
      </section>
      <section>
        <h2>Class<small>course and section</small></h2>
        <div>
          <div class="row">
            <label
              >Course
              <input
                v-model="form.course"
                class="field"
                style="width: 190px"
                placeholder="HYD 210 Reading Rivers"
                maxlength="300"
            /></label>
            <label
              >Section
              <input v-model="form.section" class="field" style="width: 50px" maxlength="20" @focus="selectAll"
            /></label>
            <label
              >Meets
              <input
                v-model="form.meets"
                class="field"
                style="width: 210px"
                placeholder="MWF 10-10:50 Weir House 2"
                :aria-invalid="wrong('meets')"
            /></label>
            <label
              >Credits
              <input
                id="credits"
                v-model="form.credits"
                class="field"
                style="width: 44px"
                :aria-invalid="wrong('credits')"
            /></label>
          </div>
          <p role="status">
            <template v-if="said.get('meets')?.ok"
              >✓ <b>{{ said.get("meets")?.text }}</b><template v-if="wall"
                >: <b>{{ wall.section.sessions }} classes</b>,
                {{ wall.section.minutes.toLocaleString("en") }} minutes<template v-if="wall.section.requiredMinutes"
                  >; {{ wall.section.requiredMinutes.toLocaleString("en") }} asked for<b
                    v-if="wall.section.requiredMinutes > wall.section.minutes"
                    >, {{ wall.section.requiredMinutes - wall.section.minutes }} short</b
                  ></template
                ></template
              >.</template
            >
            <template v-for="part in ['course', 'meets', 'credits']" :key="part"
              ><span v-if="wrong(part)" class="look">▲ {{ said.get(part)?.text }} </span></template
            >
          </p>
        </div>
      </section>
      <section class="grow">
        <h2>Outline<small>paste from a spreadsheet, or type with indents: unit, lesson, work</small></h2>
        <div>
          <TypedLines
            id="outline"
            v-model="form.outline"
            label="Outline"
            indents
            :placeholder="OUTLINE"
            :lines="outlineLines"
            :rows="13"
          />
          <Doubts :doubts="rowDoubts" label="Rows in doubt" @settle="settleRow" @all="settleAll(rowDoubts)" />
        </div>
      </section>
      <div v-if="problem" class="problem" role="alert">
        {{ problem }}
        <ul v-if="faults.length">
          <li v-for="(f, n) in faults" :key="n">line {{ f.line }}, {{ f.pointer || "the file" }}: {{ f.message }}</li>
        </ul>
      </div>
    </form>
    <aside class="sofar" aria-label="The wall so far">
      <h2>
        The wall so far <span v-if="wall" class="soft">section {{ wall.section.section }}</span>
      </h2>
      <PreviewWall v-if="wall" :wall="wall" />
      <p v-else class="soft pad">
        It appears here as soon as the term has its first and last day, a course, and when the section meets.
      </p>
      <dl v-if="wall && understood" class="sum">
        <dt>Lessons ask for</dt>
        <dd>{{ understood.sessionsAsked }}</dd>
        <dt>The term gives</dt>
        <dd>{{ wall.section.sessions }}</dd>
      </dl>
    </aside>
  </main>
  <footer class="strip">
    <div class="say">
      <p v-if="understood?.ready">
        <b
          >This makes a term with {{ count(understood.units, "unit") }}, {{ count(understood.lessons, "lesson") }} and
          {{ count(understood.items, "dated thing") }}.</b
        >
      </p>
      <p v-else><b>Still needed:</b> {{ missing || "…" }}.</p>
      <p>
        {{
          open
            ? `${count(open, "line")} not understood ${open === 1 ? "stays" : "stay"} marked; mend now, or later on the wall.`
            : ""
        }}
      </p>
    </div>
    <button type="button" class="btn quiet" @click="beginAgain">Begin again</button>
    <button type="button" class="btn" @click="chooser?.click()">Open a plan file</button>
    <input
      ref="chooser"
      type="file"
      accept=".json,application/json"
      class="vh"
      tabindex="-1"
      aria-label="Plan file"
      @change="openFile"
    />
    <button type="submit" form="start" class="btn go" :disabled="busy || !understood?.ready">
      {{ busy ? "Putting it up…" : "Put it on the wall" }}
    </button>
  </footer>
</template>

<style scoped>
.start {
  flex: 1;
  display: flex;
  min-height: 0;
}
.parts {
  flex: 1;
  min-width: 0;
  overflow: auto;
  display: flex;
  flex-direction: column;
}
section {
  display: grid;
  grid-template-columns: 104px minmax(0, 1fr);
  border-bottom: 1px solid var(--rule-firm);
  padding: 8px 14px;
  gap: 4px;
}
section h2 small {
  display: block;
  font-size: 12px;
  line-height: 15px;
  font-weight: 400;
  color: var(--ink-soft);
  padding-right: 8px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
}
.row label {
  display: inline-flex;
  gap: 6px;
  align-items: center;
}
.ticks {
  gap: 2px 10px;
  align-items: center;
}
.zone {
  width: 150px;
  padding: 0 5px;
}
section p {
  margin: 6px 0 0;
  min-height: 20px;
}
.sofar {
  width: 336px;
  flex: none;
  border-left: 1px solid var(--ink);
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.sofar h2 {
  padding: 8px 12px 4px;
  display: flex;
  justify-content: space-between;
}
.pad {
  padding: 0 12px;
}
.sum {
  display: grid;
  grid-template-columns: 1fr max-content;
  gap: 2px;
  margin: 0;
  padding: 6px 12px;
  border-top: 1px solid var(--ink);
}
.sum dd {
  margin: 0;
  font-weight: 680;
}
@media (max-width: 1000px) {
  .sofar {
    display: none;
  }
}
@media (max-width: 800px) {
  section {
    grid-template-columns: 1fr;
  }
  .start {
    display: block;
    overflow: auto;
  }
  .strip {
    flex-wrap: wrap;
  }
}
</style>
