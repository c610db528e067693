<script setup lang="ts">
import Dialog from "primevue/dialog";
import { computed, onMounted, reactive, ref, shallowRef } from "vue";
import { type Change, type WallView, api, ask } from "../api/client";
import RuleInput from "../ui/RuleInput.vue";
import { injectWall } from "./useWall";

/** Edits a lesson, an item or a unit; adds a lesson or work to a unit. */
const props = defineProps<{ thing: string; wall: WallView }>();
const emit = defineEmits<{ done: [] }>();

// a plan object as the plan file has it; its fields are edited as they stand
// eslint-disable-next-line @typescript-eslint/no-explicit-any
type Json = Record<string, any>;
interface PlanUnit extends Json {
  id: string;
  title: string;
  lessons: Json[];
  items: Json[];
}
const KINDS = [
  "reading",
  "practice",
  "homework",
  "discussion",
  "lab",
  "project",
  "presentation",
  "quiz",
  "test",
  "other",
];
const { propose, problem, busy, termId } = injectWall();
const what = props.thing.slice(0, props.thing.indexOf(":"));
const id = props.thing.slice(props.thing.indexOf(":") + 1);
const form = reactive<Json>({});
const unit = shallowRef<PlanUnit | null>(null);
const adding = ref<"" | "lesson" | "item" | "unit">("");
const { course, section } = props.wall.section;
const kind = computed(() => adding.value || what);
const outlineLesson = computed(() => props.wall.outline.units.flatMap((u) => u.lessons).find((l) => l.id === id));
const lessons = computed(() => props.wall.outline.units.flatMap((u) => u.lessons));

onMounted(async () => {
  problem.value = "";
  const plan = (await ask(api.GET("/api/terms/{termId}/plan", { params: { path: { termId } } }))) as unknown as {
    courses: { code: string; units: PlanUnit[] }[];
  };
  const units = plan.courses.find((c) => c.code === course)?.units ?? [];
  const list = what === "lesson" ? "lessons" : "items";
  unit.value = units.find((u) => (what === "unit" ? u.id === id : u[list].some((x) => x.id === id))) ?? null;
  const found = what === "unit" ? unit.value : unit.value?.[list].find((x) => x.id === id);
  Object.assign(form, found ?? {});
  if (what === "unit" && id === "") {
    unit.value = { id: "", title: "", lessons: [], items: [] };
    adding.value = "unit";
  }
});

function add(which: "lesson" | "item") {
  const used = new Set(
    props.wall.outline.units.flatMap((u) => [
      ...u.lessons.map((l) => l.id),
      ...u.items.map((i) => i.id),
      ...u.lessons.flatMap((l) => l.items.map((i) => i.id)),
    ]),
  );
  const stem =
    which === "lesson" ? String(unit.value?.code ?? "L") : `${String(unit.value?.code ?? "w").toLowerCase()}-work-`;
  let n = 1;
  while (used.has(stem + n)) n++;
  for (const key of Object.keys(form)) delete form[key];
  Object.assign(form, { id: stem + n, title: "", ...(which === "lesson" ? { length: 1 } : { kind: "homework" }) });
  adding.value = which;
}
function clean(): Json {
  return Object.fromEntries(Object.entries(form).filter(([, v]) => v !== "" && v !== null && v !== undefined));
}
async function send(change: Change) {
  if (await propose(change)) emit("done");
}
function save() {
  if (adding.value === "unit") form.id = form.code;
  if (kind.value === "unit") return send({ kind: "put-unit", course, unit: { ...clean(), lessons: [], items: [] } });
  const put = { kind: `put-${kind.value}`, course, [kind.value]: clean() };
  return send(adding.value ? { ...put, unit: unit.value?.id } : put);
}
function remove() {
  return send({ kind: `remove-${what}`, course, [what]: id });
}
</script>

<template>
  <Dialog
    :visible="true"
    modal
    :header="
      adding
        ? `Add ${adding === 'item' ? 'work' : 'a lesson'} to ${unit?.title}`
        : `Edit ${what === 'item' ? 'work' : what}`
    "
    :style="{ width: '560px' }"
    @update:visible="emit('done')"
  >
    <form v-if="unit" class="form" @submit.prevent="save">
      <label for="edit-title">Title</label>
      <input id="edit-title" v-model="form.title" class="field" required maxlength="300" autofocus />
      <template v-if="kind === 'unit'">
        <label for="edit-code">Code</label>
        <input id="edit-code" v-model="form.code" class="field" required maxlength="12" />
        <label class="wide ticks"
          ><span
            ><input v-model="form.startsWeek" type="checkbox" /> asks to start on the first class of a week</span
          ></label
        >
      </template>
      <template v-else-if="kind === 'lesson'">
        <label for="edit-length">Length</label>
        <span class="ticks"
          ><input
            id="edit-length"
            v-model.number="form.length"
            type="number"
            min="1"
            max="200"
            class="field"
            style="width: 70px"
            placeholder="1"
          />
          classes</span
        >
        <div class="wide ticks">
          <label><input v-model="form.optional" type="checkbox" /> may be left out</label>
          <label><input v-model="form.joinable" type="checkbox" /> may join the one before</label>
          <label><input v-model="form.reserve" type="checkbox" /> spare day</label>
        </div>
        <label for="edit-notes">Notes</label>
        <textarea id="edit-notes" v-model="form.notes" class="field" rows="2"></textarea>
      </template>
      <template v-else>
        <label for="edit-kind">Kind</label>
        <select id="edit-kind" v-model="form.kind" class="field">
          <option v-for="k in KINDS" :key="k">{{ k }}</option>
        </select>
        <label for="edit-lesson">Belongs to</label>
        <select id="edit-lesson" v-model="form.lesson" class="field">
          <option :value="undefined">the unit</option>
          <option v-for="l in lessons" :key="l.id" :value="l.id">{{ l.id }} {{ l.title }}</option>
        </select>
        <template v-for="which in ['opens', 'due', 'closes']" :key="which">
          <label :for="`edit-${which}`">{{ which === "opens" ? "Opens" : which === "due" ? "Due" : "Closes" }}</label>
          <RuleInput
            :id="`edit-${which}`"
            v-model="form[which]"
            :term-id="termId"
            :course="course"
            :lesson="String(form.lesson ?? '')"
            :which="which"
          />
        </template>
        <label for="edit-minutes">Minutes of work</label>
        <input
          id="edit-minutes"
          v-model.number="form.minutes"
          type="number"
          min="0"
          class="field"
          style="width: 90px"
        />
        <label for="edit-points">Points</label>
        <input
          id="edit-points"
          v-model.number="form.points"
          type="number"
          min="0"
          step="any"
          class="field"
          style="width: 90px"
        />
        <label class="wide ticks"
          ><span><input v-model="form.locked" type="checkbox" /> an official date that cannot be moved</span></label
        >
      </template>
      <p v-if="problem" class="problem wide" role="alert">{{ problem }}</p>
      <div class="wide actions">
        <template v-if="!adding">
          <button v-if="what === 'unit'" type="button" class="btn" @click="add('lesson')">Add a lesson</button>
          <button v-if="what === 'unit'" type="button" class="btn" @click="add('item')">Add work</button>
          <button
            v-if="what === 'lesson' && outlineLesson?.state !== 'taught'"
            type="button"
            class="btn"
            @click="
              send({ kind: 'leave-out', course, section, lesson: id, leave: outlineLesson?.state !== 'left-out' })
            "
          >
            {{ outlineLesson?.state === "left-out" ? `Take in for ${section}` : `Leave out for ${section}` }}
          </button>
          <button
            v-if="what === 'lesson' && outlineLesson?.date"
            type="button"
            class="btn"
            @click="
              send({ kind: 'pin', course, section, lesson: id, date: outlineLesson?.pin ? null : outlineLesson?.date })
            "
          >
            {{ outlineLesson?.pin ? "Let it move" : "Fix its date" }}
          </button>
          <button type="button" class="btn" @click="remove">Take out</button>
        </template>
        <button type="button" class="btn quiet" @click="emit('done')">Cancel</button>
        <button type="submit" class="btn go" :disabled="busy">{{ adding ? "Add" : "Save" }}</button>
      </div>
    </form>
    <p v-else>Looking it up…</p>
  </Dialog>
</template>
