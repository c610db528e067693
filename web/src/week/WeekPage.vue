<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef, watch } from "vue";
import { useRoute, useRouter } from "vue-router";
import ChangeLine from "../change/ChangeLine.vue";
import { useStepKeys } from "../change/useStepKeys";
import Band from "../frame/Band.vue";
import ChangeTools from "../frame/ChangeTools.vue";
import ViewLinks from "../frame/ViewLinks.vue";
import { useLinks, useStudents } from "../students/useStudents";
import DateField from "../ui/DateField.vue";
import { weekdayDay } from "../ui/say";

/** One week on one sheet, for the class or for who teaches: its words are typed here, the rest comes from the plan. */
const route = useRoute();
const router = useRouter();
const termId = Number(route.params.termId);
const { state, section } = useStudents(termId, String(route.query.section ?? ""));
const { view, problem, busy } = state;
const number = ref(Number(route.query.week ?? 0));
/** For whom the sheet is; or one day of who teaches, class by class. */
const whom = ref<"class" | "teacher" | "day">(route.query.day ? "day" : "class");
const teacher = computed(() => whom.value === "teacher");
const day = ref("");
const first = ref("");
const last = ref("");
const all = ref(false);
const headline = ref("");
const targets = ref("");
const said = ref("");
const links = useLinks(termId, () => view.value?.course ?? "");
const frame = useTemplateRef<HTMLIFrameElement>("frame");

useStepKeys(state);
onMounted(async () => {
  document.title = "Week, Matsuri";
  await state.load();
  number.value ||= view.value?.week ?? 1;
  day.value = view.value?.today ?? "";
});
const shown = computed(() => (whom.value === "day" ? `/preview/day?day=${day.value}` : address("sheet")));
/** A link of some days for whoever takes their classes, into the clipboard. */
async function giveDays() {
  const v = view.value;
  if (!v) return;
  const line = await links.make(v.section, { first: first.value, last: last.value || undefined, all: all.value });
  if (!line) return;
  try {
    await navigator.clipboard.writeText(line.address);
    said.value = "Copied. Whoever has it sees these classes, with steps and private notes, and no names.";
  } catch {
    said.value = line.address;
  }
}
const key = computed(() => (view.value ? `${view.value.course}/${view.value.section}` : ""));
const week = computed(() => view.value?.weeks.find((w) => w.number === number.value));
const before = computed(() =>
  view.value?.weeks.filter((w) => w.number < number.value && (w.headline || w.targets.length)).at(-1),
);
const address = (as: string) => `${view.value?.page}/${as}?week=${number.value}${teacher.value ? "&teacher=true" : ""}`;
const changed = computed(
  () => headline.value !== (week.value?.headline ?? "") || targets.value !== (week.value?.targets.join("\n") ?? ""),
);

watch(
  week,
  (now, was) => {
    const typed = was && now && was.number === now.number && changed.value;
    if (typed) return;
    headline.value = now?.headline ?? "";
    targets.value = now?.targets.join("\n") ?? "";
  },
  { immediate: true },
);

async function lookAt(other: string) {
  section.value = other;
  await state.load();
  await router.replace({ query: { ...route.query, section: other } });
}
function goTo(other: number) {
  number.value = other;
  said.value = "";
  void router.replace({ query: { ...route.query, week: String(other) } });
}
function fromBefore() {
  headline.value = plain(before.value?.headline ?? "");
  targets.value = before.value?.targets.map(plain).join("\n") ?? "";
}
/** Words without the links in them, which were of that week. */
const plain = (text: string) => text.replace(/\s*https?:\/\/\S+/g, "").trim();
async function save() {
  const of = week.value;
  if (!of || !view.value) return;
  await state.propose({
    kind: "put-week-note",
    course: view.value.course,
    note: {
      first: of.first,
      ...(of.section ? { section: of.section } : {}),
      headline: headline.value.trim(),
      targets: targets.value
        .split("\n")
        .map((t) => t.trim())
        .filter(Boolean),
    },
  });
}
/** Into the clipboard, as a table with its links and as plain words. */
async function copy() {
  const [html, text] = await Promise.all(
    ["sheet.html", "sheet.txt"].map(async (as) => (await fetch(address(as))).text()),
  );
  try {
    await navigator.clipboard.write([
      new ClipboardItem({
        "text/html": new Blob([html ?? ""], { type: "text/html" }),
        "text/plain": new Blob([text ?? ""], { type: "text/plain" }),
      }),
    ]);
    said.value = "Copied, with its links. Paste it into any page.";
  } catch {
    said.value = "This browser keeps its clipboard closed: open the file instead.";
  }
}
const print = () => frame.value?.contentWindow?.print();
</script>

<template>
  <Band>
    <template #course>
      <select
        v-if="view"
        class="sel"
        aria-label="Course and section"
        :value="key"
        @change="lookAt(($event.target as HTMLSelectElement).value)"
      >
        <option v-for="s in view.sections" :key="s" :value="s">{{ s.replace("/", " ") }}</option>
      </select>
    </template>
    <ViewLinks :term-id="termId" here="week" />
    <template #right>
      <ChangeTools
        :state="state"
        :findings="view?.findings ?? null"
        :undo="view?.undo"
        :redo="view?.redo"
        :here="key"
      />
    </template>
  </Band>
  <main v-if="view" class="week">
    <aside>
      <h1>Week {{ number }}</h1>
      <p class="weeks" role="group" aria-label="Weeks">
        <button
          v-for="w in view.weeks"
          :key="w.number"
          type="button"
          class="plain"
          :aria-pressed="w.number === number"
          :aria-label="`Week ${w.number}${w.headline ? `: ${w.headline}` : ''}`"
          @click="goTo(w.number)"
        >
          {{ w.number }}
        </button>
      </p>
      <fieldset>
        <legend>The sheet is for</legend>
        <label><input v-model="whom" type="radio" value="class" /> the class: what it was told</label>
        <label><input v-model="whom" type="radio" value="teacher" /> who teaches: the plan, with steps and notes</label>
        <label><input v-model="whom" type="radio" value="day" /> one day: all my classes, on the clock</label>
      </fieldset>
      <p v-if="whom === 'day'" class="days" role="group" aria-label="Days">
        <button
          v-for="d in week?.days ?? []"
          :key="d"
          type="button"
          class="plain"
          :aria-pressed="d === day"
          @click="day = d"
        >
          {{ weekdayDay(d) }}
        </button>
      </p>
      <form v-if="whom === 'day'" @submit.prevent="giveDays">
        <label for="run-first">For whoever takes them, from</label>
        <DateField id="run-first" v-model="first" :term-id="termId" :section="key" />
        <label for="run-last">to</label>
        <DateField id="run-last" v-model="last" :term-id="termId" :section="key" empty="that day" />
        <p>
          <label
            ><input v-model="all" type="checkbox" /> all courses, not {{ view.course }} {{ view.section }} alone</label
          >
        </p>
        <p class="acts">
          <button type="submit" class="btn" :disabled="!first || links.busy.value">Copy a link to them</button>
        </p>
        <p v-if="links.problem.value" class="problem" role="alert">{{ links.problem.value }}</p>
      </form>
      <form v-if="whom !== 'day'" @submit.prevent="save">
        <label for="week-headline">Headline</label>
        <input id="week-headline" v-model="headline" class="field" maxlength="300" autocomplete="off" />
        <label for="week-targets">By the end of the week, a line each</label>
        <textarea id="week-targets" v-model="targets" class="field" rows="4"></textarea>
        <p class="acts">
          <button type="submit" class="btn go" :disabled="busy || !changed">Save the words</button>
          <button v-if="before && !headline && !targets" type="button" class="btn" @click="fromBefore">
            as in week {{ before.number }}
          </button>
        </p>
      </form>
      <p class="acts">
        <button type="button" class="btn" @click="print">Print</button>
        <button v-if="whom !== 'day'" type="button" class="btn" @click="copy">Copy</button>
        <a v-if="whom !== 'day'" class="btn" :href="address('sheet.html')" :download="`week-${number}.html`">File</a>
      </p>
      <p v-if="said" role="status">{{ said }}</p>
    </aside>
    <iframe
      ref="frame"
      :key="`${view.version} ${shown}`"
      :src="shown"
      :title="whom === 'day' ? 'The classes of the day' : 'The sheet of the week'"
    ></iframe>
  </main>
  <p v-else-if="problem" class="problem" role="alert">{{ problem }}</p>
  <ChangeLine :state="state" :held="false" :loaded="view !== null" @again="state.load()" />
</template>

<style scoped>
.week {
  display: grid;
  grid-template-columns: 232px minmax(0, 1fr);
  flex: 1;
  min-height: 0;
}
aside {
  border-right: 1px solid var(--rule-firm);
  overflow-y: auto;
  padding: 8px 12px;
}
h1 {
  font-size: 16px;
  margin: 0 0 4px;
}
.weeks {
  display: grid;
  grid-template-columns: repeat(8, 1fr);
  margin: 0 0 10px;
  border: 1px solid var(--rule);
}
.weeks button {
  min-height: 26px;
}
.days {
  display: grid;
  grid-template-columns: repeat(2, 1fr);
  margin: 0 0 6px;
}
.days button {
  min-height: 28px;
  text-align: center;
}
.days [aria-pressed="true"],
.weeks [aria-pressed="true"] {
  background: var(--ink);
  color: var(--paper);
  font-weight: 700;
}
fieldset {
  border: 0;
  border-top: 1px solid var(--rule);
  margin: 0;
  padding: 6px 0;
}
legend {
  float: left;
  width: 100%;
}
.weeks button {
  text-align: center;
  padding: 0;
}
legend,
form > label {
  font-weight: 700;
  display: block;
  padding: 0;
}
fieldset label {
  display: block;
  padding: 2px 0;
}
form {
  border-top: 1px solid var(--rule);
  padding: 6px 0;
}
.field {
  width: 100%;
}
.acts {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
  margin: 8px 0;
}
iframe {
  border: 0;
  width: 100%;
  height: 100%;
}
@media (max-width: 800px) {
  .week {
    display: block;
    overflow-y: auto;
  }
  aside {
    overflow-y: visible;
  }
  iframe {
    height: 70vh;
  }
}
</style>
