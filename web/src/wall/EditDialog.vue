<script setup lang="ts">
import Dialog from "../ui/Dialog.vue";
import { computed, onMounted, ref, shallowRef } from "vue";
import { useFirstField } from "../ui/useFirstField";
import type { Change, Schemas, WallView } from "../api/client";
import { courseOf } from "../api/plan";
import { removal } from "../change/removal";
import { alsoIn } from "../change/shared";
import RuleField from "../ui/RuleField.vue";
import { DATES } from "../thing/dates";
import FilesAndLinks from "../thing/FilesAndLinks.vue";
import ItemFields from "../thing/ItemFields.vue";
import LessonFields from "../thing/LessonFields.vue";
import OtherDates from "../thing/OtherDates.vue";
import RemoveShared from "../thing/RemoveShared.vue";
import { COLOURS, PAPERS, paperOf } from "../draw/units";
import { injectWall } from "../change/useWall";

/** Edits a lesson, an item or a unit; adds a lesson or work to a unit. */
const props = defineProps<{ thing: string; wall: WallView; from?: string | undefined }>();
const emit = defineEmits<{ done: [] }>();

type PlanUnit = Schemas["PlanUnit"];
/** What is edited: the fields of a unit, a lesson or work. */
type Form = Partial<PlanUnit & Schemas["PlanLesson"] & Schemas["PlanItem"]>;
const { propose, problem, busy, termId } = injectWall();
const what = props.thing.slice(0, props.thing.indexOf(":"));
const id = props.thing.slice(props.thing.indexOf(":") + 1);
const form = ref<Form>({});
const unit = shallowRef<PlanUnit | null>(null);
const sections = shallowRef<Schemas["PlanSection"][]>([]);
const adding = ref<"" | "lesson" | "item" | "unit">("");
const { course, section } = props.wall.section;
const kind = computed(() => adding.value || what);
const outlineLesson = computed(() => props.wall.outline.units.flatMap((u) => u.lessons).find((l) => l.id === id));
/** A day to begin a new date with: the first that is not over. */
const day = computed(
  () =>
    props.wall.weeks.flatMap((w) => w.days).find((d) => d.inTerm && d.date >= props.wall.today)?.date ??
    props.wall.today,
);

onMounted(async () => {
  problem.value = "";
  const plan = await courseOf(termId, course);
  sections.value = plan?.sections ?? [];
  const units = plan?.units ?? [];
  const list = what === "lesson" ? "lessons" : "items";
  unit.value = units.find((u) => (what === "unit" ? u.id === id : u[list]?.some((x) => x.id === id))) ?? null;
  const found = what === "unit" ? unit.value : unit.value?.[list]?.find((x) => x.id === id);
  form.value = { ...(found ?? {}) };
  if (what === "unit" && id === "") {
    unit.value = { id: "", code: "", title: "", lessons: [], items: [] };
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
  const stem = which === "lesson" ? (unit.value?.code ?? "L") : `${(unit.value?.code ?? "w").toLowerCase()}-work-`;
  let n = 1;
  while (used.has(stem + n)) n++;
  form.value = { id: stem + n, title: "", ...(which === "lesson" ? { length: 1 } : { kind: "homework" }) };
  adding.value = which;
}
function clean(): Form {
  return Object.fromEntries(
    Object.entries(form.value).filter(([, v]) => v !== "" && v !== null && v !== undefined && v !== false),
  );
}
async function send(change: Change) {
  if (await propose(change)) emit("done");
}
function save() {
  if (adding.value === "unit") form.value.id = form.value.code;
  const thing = clean();
  if (kind.value === "unit") {
    return send({ kind: "put-unit", course, unit: { ...(thing as Schemas["PlanUnit"]), lessons: [], items: [] } });
  }
  const into = adding.value && unit.value ? { unit: unit.value.id } : {};
  return send(
    kind.value === "lesson"
      ? { kind: "put-lesson", course, lesson: thing as Schemas["PlanLesson"], ...into }
      : { kind: "put-item", course, item: thing as Schemas["PlanItem"], ...into },
  );
}
const removes = removal(what, course, id);
const shared = computed(() => (kind.value === "item" && !adding.value ? (form.value.shared ?? []) : []));
useFirstField(() => unit.value, "edit-title");
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
    :style="{ width: kind === 'unit' ? '560px' : '900px' }"
    @update:visible="emit('done')"
  >
    <form v-if="unit" class="form" @submit.prevent="save">
      <p v-if="shared.length" class="wide soft">Of {{ course }}, {{ alsoIn(shared) }}: it stays one.</p>
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
        <label for="edit-colour">Colour</label>
        <span class="ticks">
          <select id="edit-colour" v-model="form.colour" class="field">
            <option :value="undefined">by its place</option>
            <optgroup label="of its thread">
              <option v-for="c in COLOURS" :key="c">{{ c }}</option>
            </optgroup>
            <optgroup label="of the paper it is handed out on">
              <option v-for="c in PAPERS" :key="c">{{ c }}</option>
            </optgroup>
          </select>
          <i v-if="paperOf(form.colour ?? '')" :class="paperOf(form.colour ?? '')" aria-hidden="true"></i>
        </span>
        <span>Seen</span>
        <label class="ticks"
          ><input v-model="form.draft" type="checkbox" /> a draft: students are not told of anything in it</label
        >
        <span>Files and links</span>
        <FilesAndLinks
          :links="form.links ?? []"
          :files="form.files ?? []"
          :term-id="termId"
          :lessons="unit.lessons"
          opens="when the unit begins"
          no-unit
          @update:links="form.links = $event.length ? $event : undefined"
          @update:files="form.files = $event.length ? $event : undefined"
        />
        <template v-if="!adding">
          <p class="wide soft">Dates for everything in it that has none of its own:</p>
          <template v-for="[which, name] in DATES" :key="which">
            <label :for="`unit-${which}`">{{ name }}</label>
            <RuleField
              :id="`unit-${which}`"
              v-model="form[which]"
              :term-id="termId"
              :course="course"
              lesson=""
              :which="which"
            />
          </template>
        </template>
      </template>
      <div v-else class="wide">
        <LessonFields
          v-if="kind === 'lesson'"
          v-model="form"
          :term-id="termId"
          :usual-minutes="wall.section.usualMinutes"
        />
        <template v-else>
          <ItemFields v-model="form" :wall="wall" :term-id="termId" :unit="unit.id" :day="day" />
          <OtherDates
            v-if="!adding"
            :course="course"
            :item="id"
            :lesson="String(form.lesson ?? '')"
            :sections="sections"
            @done="emit('done')"
          />
        </template>
      </div>
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
          <RemoveShared
            v-if="shared.length"
            :course="course"
            :thing="thing"
            :shared="shared"
            :from="from ?? course"
            :all="removes"
            @send="send"
          />
          <button v-else type="button" class="btn" @click="send(removes)">Delete</button>
        </template>
        <button type="button" class="btn quiet" @click="emit('done')">Cancel</button>
        <button type="submit" class="btn go" :disabled="busy">{{ adding ? "Add" : "Save" }}</button>
      </div>
    </form>
    <p v-else>Looking it up…</p>
  </Dialog>
</template>
