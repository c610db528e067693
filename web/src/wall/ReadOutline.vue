<script setup lang="ts">
import Dialog from "../ui/Dialog.vue";
import { computed, onMounted, ref } from "vue";
import { type Schemas, api, ask } from "../api/client";
import TypedLines from "../ui/TypedLines.vue";
import Doubts, { type Doubt } from "../ui/Doubts.vue";
import SheetColumns from "./SheetColumns.vue";
import { base64 } from "../ui/file";
import { count } from "../ui/say";
import { injectWall } from "../change/useWall";

/** An outline that is pasted, or read from a table, a text or a Common Cartridge, and added to the course. */
const props = defineProps<{ course: string; section?: string }>();
const emit = defineEmits<{ done: [] }>();
const state = injectWall();
const text = ref("");
const read = ref<Schemas["OutlineRead"] | null>(null);
const wrong = ref("");
const name = ref("");
const chooser = ref<HTMLInputElement>();
let asked = 0;
let timer = 0;

type Body = { text?: string; name?: string; content?: string };
let given: Body = {};
/** What the person said of columns and of rows, and which doubts are settled. */
const columns = ref(new Map<number, string>());
const rows = ref(new Map<number, string>());
const settled = ref(new Set<string>());

/** A new sheet: nothing is said of it yet. */
async function begin(body: Body) {
  given = body;
  columns.value = new Map();
  rows.value = new Map();
  settled.value = new Set();
  await look();
}
async function look() {
  const turn = ++asked;
  wrong.value = "";
  try {
    const found = await ask(
      api.POST("/api/terms/{termId}/outline/reading", {
        params: { path: { termId: state.termId } },
        body: {
          course: props.course,
          ...(props.section ? { section: props.section } : {}),
          ...given,
          columns: [...columns.value].map(([number, meaning]) => ({ number, meaning })),
          rows: [...rows.value].map(([number, as]) => ({ number, as })),
        },
      }),
    );
    if (turn === asked) read.value = found;
  } catch (e) {
    if (turn === asked) wrong.value = (e as Error).message;
  }
}
function typed(now: string) {
  text.value = now;
  name.value = "";
  window.clearTimeout(timer);
  timer = window.setTimeout(() => (now.trim() ? void begin({ text: now }) : (read.value = null)), 250);
}
/** A table copied from a document or a page comes with its merged cells and links. */
async function pasted(event: ClipboardEvent) {
  const html = event.clipboardData?.getData("text/html") ?? "";
  if (!/<table/i.test(html)) return;
  event.preventDefault();
  window.clearTimeout(timer);
  text.value = event.clipboardData?.getData("text/plain") ?? "";
  name.value = "";
  await begin({ name: "pasted.html", content: await base64(new Blob([html])) });
}
async function choose(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0];
  if (!file) return;
  name.value = file.name;
  read.value = null;
  await begin({ name: file.name, content: await base64(file) });
  const found = read.value as Schemas["OutlineRead"] | null;
  if (found) {
    const all: string[] = [];
    for (const l of found.lines) if (l.number) all[l.number - 1] = l.text;
    text.value = Array.from(all, (l) => l ?? "").join("\n");
  }
  if (chooser.value) chooser.value.value = "";
}
/** Beside a typed line stands all that is said of it. */
const shown = computed(() =>
  lines.value.filter((l) => l.number).map((l) => ({ ...l, said: [l.said, l.doubt].filter(Boolean).join(" ") })),
);
const table = computed(() => !!read.value?.columns.length);
const lines = computed(() => read.value?.lines ?? []);
const READINGS = [
  { as: "lesson", says: "lesson" },
  { as: "work", says: "work" },
  { as: "unit", says: "unit" },
  { as: "nothing", says: "out" },
];
/** What is left to be settled; of a row that was taken its reading as shown stands first. */
const doubts = computed<Doubt[]>(() =>
  lines.value
    .filter((l) => l.doubt && !settled.value.has(`${l.number} ${l.doubt}`))
    .map((l) => ({
      key: `${l.number} ${l.doubt}`,
      given: l.number ? `${l.number}: ${l.text.trim()}` : "",
      asks: l.doubt,
      readings: [
        { as: "", says: l.differs ? "plan’s date" : l.number && l.state === "doubtful" ? "yes, so" : "seen" },
        ...(l.differs ? [{ as: "sheet", says: "sheet’s date" }] : []),
        ...(l.number ? READINGS.filter((r) => r.as !== rows.value.get(l.number)) : []),
      ],
    })),
);
async function settle(key: string, as: string) {
  settled.value = new Set(settled.value).add(key);
  if (!as) return;
  rows.value = new Map(rows.value).set(Number(key.split(" ")[0]), as);
  await look();
}
const settleAll = () => (settled.value = new Set([...settled.value, ...doubts.value.map((d) => d.key)]));
async function mean(number: number, meaning: string) {
  columns.value = new Map(columns.value).set(number, meaning);
  await look();
}
const counts = computed(() => {
  const aside = lines.value.filter((l) => l.state === "heading" && l.number).length;
  const taken = lines.value.filter((l) => ["unit", "lesson", "work", "doubtful"].includes(l.state)).length;
  return [`${count(taken, "row")} taken`, ...(aside ? [`${aside} put aside`] : [])].join(", ");
});
/** Units of the person's terms, by term and course. */
const offered = ref<Schemas["UnitOffered"][]>([]);
const offeredBy = computed(() => {
  const by = new Map<string, Schemas["UnitOffered"][]>();
  for (const u of offered.value) {
    const name = `${u.term}, ${u.course}`;
    by.set(name, [...(by.get(name) ?? []), u]);
  }
  return [...by];
});
const unit = ref<Schemas["UnitOffered"] | null>(null);
const taken = ref<Schemas["UnitTaken"] | null>(null);
onMounted(async () => {
  const path = { termId: state.termId };
  offered.value = await ask(
    api.GET("/api/terms/{termId}/outline/units", { params: { path, query: { course: props.course } } }),
  );
});
async function take() {
  taken.value = null;
  wrong.value = "";
  const { termId: fromTerm, course: fromCourse, unit: id } = unit.value ?? {};
  if (!fromTerm || !fromCourse || !id) return;
  try {
    taken.value = await ask(
      api.POST("/api/terms/{termId}/outline/unit", {
        params: { path: { termId: state.termId } },
        body: { course: props.course, fromTerm, fromCourse, unit: id },
      }),
    );
  } catch (e) {
    wrong.value = (e as Error).message;
  }
}
async function propose() {
  const change = taken.value?.change ?? read.value?.change;
  if (change && (await state.propose(change))) emit("done");
}
/** What would be added, without what would not. */
const added = (found: Schemas["OutlineRead"]) =>
  [found.units ? count(found.units, "unit") : "", found.lessons ? count(found.lessons, "lesson") : ""]
    .concat(found.items ? count(found.items, "thing") : "")
    .concat(found.redated ? count(found.redated, "other date") : "")
    .filter(Boolean)
    .join(", ");
</script>

<template>
  <Dialog
    :visible="true"
    modal
    :header="`An outline for ${course}`"
    :style="{ width: table ? '1120px' : '940px' }"
    @update:visible="emit('done')"
  >
    <p v-if="!table" class="soft">
      Paste your own sheet as it is, with whatever columns it has, or type with indents; or read a file. What is
      understood stands beside it.
    </p>
    <div @paste="pasted">
      <TypedLines
        id="read-outline"
        :model-value="text"
        label="Outline"
        :indents="!table"
        :alone="table"
        autofocus
        placeholder="Ice on rivers
  Frazil and anchor ice (2)
    Read 30, due same day"
        :lines="table ? [] : shown"
        :rows="table ? 4 : doubts.length ? 9 : 14"
        @update:model-value="typed"
      />
    </div>
    <Doubts :doubts="doubts" label="In doubt" @settle="settle" @all="settleAll" />
    <template v-if="table && read">
      <SheetColumns :columns="read.columns" :meanings="read.meanings" @choose="mean" />
    </template>
    <div v-if="table" class="rows">
      <p class="soft" role="status">{{ counts }}</p>
      <ul tabindex="0" aria-label="Row by row">
        <li v-for="l in lines.filter((one) => one.number)" :key="l.number" :class="l.state">
          <span class="gave">{{ l.number }}</span> <span class="gave">{{ l.text.trim() }}</span>
          <span>{{ l.said || l.doubt }}</span>
        </li>
      </ul>
    </div>
    <div v-if="offered.length" class="whole">
      <label for="whole-unit">Or a unit that you have taught</label>
      <select id="whole-unit" v-model="unit" class="field" @change="take">
        <option :value="null">none</option>
        <optgroup v-for="[name, list] in offeredBy" :key="name" :label="name">
          <option v-for="u in list" :key="u.unit" :value="u">
            {{ u.code }} {{ u.title }} ({{ count(u.lessons, "lesson") }}, {{ count(u.items, "thing") }})
          </option>
        </optgroup>
      </select>
      <span v-if="taken" class="soft" role="status">{{
        taken.undated.length
          ? `Dates of that time stay behind: ${taken.undated.join(", ")}`
          : "All its dates come along, worked out anew."
      }}</span>
    </div>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <div class="whole">
      <button type="button" class="btn" @click="chooser?.click()">Read a file</button>
      <span class="soft"
        >.csv, .xlsx, .ods, .docx, .html, .pdf, .txt, Common Cartridge (.imscc), plan file{{
          name ? `; ${name}` : ""
        }}</span
      >
      <input
        ref="chooser"
        type="file"
        class="vh"
        tabindex="-1"
        accept=".csv,.tsv,.xlsx,.ods,.odt,.docx,.html,.htm,.pdf,.txt,.imscc,.zip,.json"
        aria-label="Outline as a file"
        @change="choose"
      />
    </div>
    <div class="wide actions">
      <button type="button" class="btn quiet" @click="emit('done')">Close</button>
      <button v-if="taken" type="button" class="btn go" :disabled="state.busy.value" @click="propose">
        Add {{ unit?.title }}
      </button>
      <button
        v-else
        type="button"
        class="btn go"
        :disabled="!read?.change || doubts.length > 0 || state.busy.value"
        @click="propose"
      >
        {{ read?.change ? `Add ${added(read)}` : "Add it" }}
      </button>
    </div>
  </Dialog>
</template>

<style scoped>
.whole {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  padding: 6px 0;
}
.rows ul {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 150px;
  overflow: auto;
  border-top: 1px solid var(--rule);
}
.rows li {
  display: grid;
  grid-template-columns: 28px minmax(0, 1fr) minmax(0, 1fr);
  gap: 8px;
  border-bottom: 1px solid var(--rule);
}
.rows li > span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.rows li.doubtful,
.rows li.not-understood {
  border-left: 3px solid var(--lamp);
}
.rows p {
  margin: 6px 0 2px;
}
.gave {
  color: var(--ink-faint);
}
.actions {
  position: sticky;
  bottom: 0;
  background: var(--paper-raised);
  padding: 6px 0;
  display: flex;
  gap: 10px;
  align-items: center;
  justify-content: flex-end;
  flex-wrap: wrap;
}
</style>
