<script setup lang="ts">
import Dialog from "../ui/Dialog.vue";
import { computed, onMounted, ref, shallowRef, watch } from "vue";
import { useFirstField } from "../ui/useFirstField";
import type { Change, Schemas, WallView } from "../api/client";
import { WEEKDAYS } from "../thing/when";
import { DATES, KINDS } from "../thing/dates";
import { courseOf } from "../api/plan";
import { injectWall } from "../change/useWall";
import PartDates from "./PartDates.vue";
import RepeatDates from "./RepeatDates.vue";

/** Rhythms of a course: work that comes again with classes. One is made or edited at a time. */
const props = defineProps<{ wall: WallView }>();
const emit = defineEmits<{ done: [] }>();

type Rhythm = Schemas["PlanRhythm"] & { parts: Part[] };
type Part = NonNullable<Schemas["PlanRhythm"]["parts"]>[number];
const EVERY = [
  "each class",
  ...["second", "third", "fourth", "fifth", "sixth", "seventh", "eighth"].map((n) => `every ${n} class`),
];
const WEEKDAY_NAMES = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"];
const { propose, problem, busy, termId } = injectWall();
const { course } = props.wall.section;
const rhythms = ref<Rhythm[]>([]);
const form = ref<Rhythm | null>(null);
const known = ref(false);

onMounted(async () => {
  problem.value = "";
  rhythms.value = ((await courseOf(termId, course))?.rhythms ?? []).map((r) => ({ ...r, parts: r.parts ?? [] }));
  if (!rhythms.value.length) begin();
});
function begin() {
  let id = "rhythm";
  for (let n = 2; rhythms.value.some((r) => r.id === id); n++) id = `rhythm-${n}`;
  known.value = false;
  form.value = { id, title: "", unit: props.wall.outline.units[0]?.id ?? "", every: 1, begin: 1, parts: [] };
  addPart();
}
function edit(rhythm: Rhythm) {
  known.value = true;
  form.value = { every: 1, begin: 1, ...structuredClone(JSON.parse(JSON.stringify(rhythm)) as Rhythm) };
}
function addPart() {
  const parts = form.value!.parts;
  let n = parts.length + 1;
  while (parts.some((p) => p.id === `p${n}`)) n++;
  parts.push({ id: `p${n}`, kind: "quiz", title: "", due: { rhythm: form.value!.id, edge: "start" } });
}
function setDay(day: string, on: boolean) {
  const days = (form.value!.weekdays ?? []).filter((d) => d !== day);
  form.value!.weekdays = WEEKDAYS.filter((d) => days.includes(d) || (on && d === day));
}
const times = (r: Rhythm) => Math.min(Math.max(0, ...Object.values(r.yielded ?? {})), r.times || Infinity);
const remind = (part: Part) => (part.remind ? `${part.remind.plus} ${part.remind.in}` : "");
function setRemind(part: Part, value: string) {
  const [plus, unit] = value.split(" ");
  part.remind = value ? { plus: Number(plus), in: unit as NonNullable<Part["remind"]>["in"] } : undefined;
}
const filled = (value: object) =>
  Object.fromEntries(Object.entries(value).filter(([, v]) => v !== undefined && v !== "" && v !== null));
/** How many of its times are over and left out: it begins behind them, unless one asks for those too. */
const skip = ref(0);
const past = ref(false);
const found = shallowRef<Schemas["RepeatsRead"] | null>(null);
watch(
  () => [form.value?.every, form.value?.begin, form.value?.words, form.value?.weekdays?.join()].join("/"),
  () => (skip.value = 0),
);
watch(found, (now) => {
  if (now?.over && !known.value && !past.value) skip.value += now.over;
});
function alsoPast(on: boolean) {
  past.value = on;
  skip.value = on ? 0 : (found.value?.over ?? 0);
}
const change = computed<Change | null>(() => {
  const now = form.value;
  if (!now?.unit || !now.parts.length) return null;
  const parts = now.parts.map((p) => filled({ ...p, title: p.title || p.kind }));
  const begin = (now.begin ?? 1) + skip.value * (now.every ?? 1);
  const rhythm = { ...filled(now), title: now.title || "Rhythm", begin, parts } as Schemas["PlanRhythm"];
  return { kind: "put-rhythm", course, rhythm };
});
async function save() {
  if (change.value && (await propose(change.value))) emit("done");
}
async function remove() {
  if (await propose({ kind: "remove-rhythm", course, rhythm: form.value!.id })) emit("done");
}
useFirstField(() => form.value, "rhythm-title");
</script>

<template>
  <Dialog
    :visible="true"
    modal
    :header="form ? (known ? 'Edit rhythm' : 'A rhythm') : `Rhythms of ${course}`"
    :style="{ width: '860px' }"
    @update:visible="emit('done')"
  >
    <template v-if="!form">
      <ul class="list">
        <li v-for="r in rhythms" :key="r.id">
          <button type="button" class="plain" @click="edit(r)">{{ r.title }}</button>
          <span class="soft">{{ r.parts.length }} a time, {{ times(r) }} times</span>
        </li>
      </ul>
      <div class="actions">
        <button type="button" class="btn" @click="begin">A new rhythm</button>
        <button type="button" class="btn quiet" @click="emit('done')">Close</button>
      </div>
    </template>
    <form v-else class="form" @submit.prevent="save">
      <label for="rhythm-title">Name</label>
      <input
        id="rhythm-title"
        v-model="form.title"
        class="field"
        required
        maxlength="200"
        placeholder="Lab weeks"
        autofocus
      />
      <label for="rhythm-unit">Goes into</label>
      <select id="rhythm-unit" v-model="form.unit" class="field" :disabled="known" required>
        <option v-for="u in wall.outline.units" :key="u.id" :value="u.id">{{ u.code }} {{ u.title }}</option>
      </select>
      <span>With</span>
      <div class="row">
        <select v-model.number="form.every" class="field" aria-label="With which of the classes">
          <option v-for="(name, k) in EVERY" :key="name" :value="k + 1">{{ name }}</option>
        </select>
        <label v-for="(day, n) in WEEKDAYS" :key="day" class="tick"
          ><input
            type="checkbox"
            :checked="form.weekdays?.includes(day)"
            @change="setDay(day, ($event.target as HTMLInputElement).checked)"
          />{{ WEEKDAY_NAMES[n] }}</label
        >
        <span class="soft">none ticked: any day</span>
      </div>
      <label for="rhythm-words">Whose lesson says</label>
      <input
        id="rhythm-words"
        v-model="form.words"
        class="field"
        maxlength="100"
        placeholder="any; or a word such as lab"
      />
      <span>Begins with</span>
      <div class="row">
        <span>number</span>
        <input
          v-model.number="form.begin"
          class="field few"
          type="number"
          min="1"
          max="200"
          aria-label="First of them"
        />
        <span>of those classes,</span>
        <input
          v-model.number="form.times"
          class="field few"
          type="number"
          min="1"
          max="200"
          aria-label="How many times; empty for as many as there are"
        />
        <span>times</span><span class="soft">empty: as many as there are</span>
      </div>
      <fieldset v-for="(part, n) in form.parts" :key="part.id" class="wide part">
        <legend>Each time{{ form.parts.length > 1 ? `, ${n + 1}` : "" }}</legend>
        <div class="row">
          <select v-model="part.kind" class="field" :aria-label="`Part ${n + 1}: kind`">
            <option v-for="k in KINDS" :key="k">{{ k }}</option>
          </select>
          <input
            v-model="part.title"
            class="field grow"
            required
            maxlength="200"
            placeholder="Quiz {n}"
            :aria-label="`Part ${n + 1}: title; {n} is its number`"
          />
          <select v-model="part.audience" class="field" :aria-label="`Part ${n + 1}: for whom`">
            <option :value="undefined">for all</option>
            <option value="attendees">only who attended</option>
            <option value="extra-credit">extra credit</option>
          </select>
          <input
            v-model.number="part.minutes"
            class="field few"
            type="number"
            min="0"
            :aria-label="`Part ${n + 1}: minutes of work`"
          />
          <span>minutes</span>
          <button
            v-if="form.parts.length > 1"
            type="button"
            class="do"
            @click="form.parts = form.parts.filter((p) => p !== part)"
          >
            remove
          </button>
        </div>
        <PartDates
          v-for="[which, name] in DATES"
          :key="which"
          v-model="part[which]"
          :name="name"
          :rhythm="form.id"
          :part="n + 1"
          :term-id="termId"
        />
        <label class="row"
          ><span>Remind</span>
          <select
            class="field"
            :value="remind(part)"
            :aria-label="`Part ${n + 1}: reminder before its last date`"
            @change="setRemind(part, ($event.target as HTMLSelectElement).value)"
          >
            <option value="">not</option>
            <option value="1 hours">1 hour before its last date</option>
            <option value="3 hours">3 hours before</option>
            <option value="1 days">1 day before</option>
            <option value="2 days">2 days before</option>
          </select></label
        >
      </fieldset>
      <div class="wide"><button type="button" class="do" @click="addPart">+ something more each time</button></div>
      <div class="wide">
        <RepeatDates
          :term-id="termId"
          :course="course"
          :section="wall.section.section"
          :change="change"
          @read="found = $event"
        />
        <label v-if="!known && (past || skip > 0)" class="tick"
          ><input type="checkbox" :checked="past" @change="alsoPast(($event.target as HTMLInputElement).checked)" />
          also for classes that are over</label
        >
      </div>
      <p class="wide soft">
        Makes numbered work. Edited later, what it made follows, except what was changed by hand since.
      </p>
      <p v-if="problem" class="problem wide" role="alert">{{ problem }}</p>
      <div class="wide actions">
        <button v-if="known" type="button" class="btn" @click="remove">Delete</button>
        <button type="button" class="btn quiet" @click="emit('done')">Cancel</button>
        <button type="submit" class="btn go" :disabled="busy">{{ known ? "Save" : "Add" }}</button>
      </div>
    </form>
  </Dialog>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
}
.few {
  width: 60px;
}
.grow {
  flex: 1;
}
.tick {
  display: inline-flex;
  gap: 3px;
  align-items: center;
}
.part {
  border: 0;
  border-top: 1px solid var(--rule-firm);
  margin: 0;
  padding: 4px 0;
  display: grid;
  gap: 2px;
}
.part legend {
  font-weight: 680;
  padding: 0 8px 0 0;
}
.list {
  list-style: none;
  margin: 0;
  padding: 0;
}
.list li {
  display: flex;
  justify-content: space-between;
  border-bottom: 1px solid var(--rule);
  padding: 4px 0;
}
</style>
