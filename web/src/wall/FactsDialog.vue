<script setup lang="ts">
import { computed, onMounted, reactive, shallowRef } from "vue";
import type { Change, Schemas, WallView } from "../api/client";
import { courseOf } from "../api/plan";
import { KINDS } from "../thing/dates";
import Dialog from "../ui/Dialog.vue";
import { count } from "../ui/say";
import { useFirstField } from "../ui/useFirstField";
import { injectWall } from "../change/useWall";

/** Plain facts of everything that is chosen, in one proposal: what is left as it is keeps what each has. */
const props = defineProps<{ wall: WallView; picked: ReadonlySet<string> }>();
const emit = defineEmits<{ done: [] }>();
const { propose, problem, busy, termId } = injectWall();

const { course } = props.wall.section;
const units = shallowRef<Schemas["PlanUnit"][]>([]);
const sections = shallowRef<{ code: string }[]>([]);
onMounted(async () => {
  problem.value = "";
  const plan = await courseOf(termId, course);
  units.value = plan?.units ?? [];
  sections.value = plan?.sections ?? [];
});
const chosen = (what: string, id: string) => props.picked.has(`${what}:${id}`);
const lessons = computed(() =>
  units.value.flatMap((u) => (u.lessons ?? []).filter((l) => chosen("lesson", l.id) || chosen("unit", u.id))),
);
const items = computed(() =>
  units.value.flatMap((u) => (u.items ?? []).filter((i) => chosen("item", i.id) || chosen("unit", u.id))),
);
const own = computed(() => units.value.filter((u) => chosen("unit", u.id)));
useFirstField(
  () => units.value.length,
  () => (own.value.length ? "facts-week" : lessons.value.length ? "facts-optional" : "facts-kind"),
);

/** Empty leaves a fact as it is. */
const form = reactive({
  startsWeek: "",
  optional: "",
  joinable: "",
  reserve: "",
  length: "",
  kind: "",
  marking: "",
  points: "",
  minutes: "",
  only: "",
  audience: "",
  hidden: "",
});
const YES_NO: readonly [string, string][] = [
  ["", "as it is"],
  ["yes", "yes"],
  ["no", "no"],
];
/** The thing with those facts that were given; a fact that is no is left out of it, as the plan file does. */
function withFacts<T extends object>(thing: T, facts: Partial<T>): T {
  return Object.fromEntries(Object.entries({ ...thing, ...facts }).filter(([, value]) => value !== undefined)) as T;
}
const yes = (said: string) => (said === "yes" ? true : undefined);
const facts = (list: readonly [string, string, unknown][]) =>
  Object.fromEntries(list.filter(([, said]) => said !== "").map(([key, , value]) => [key, value]));
const changes = computed<Change[]>(() => {
  const unit = facts([["startsWeek", form.startsWeek, yes(form.startsWeek)]]);
  const lesson = facts([
    ["optional", form.optional, yes(form.optional)],
    ["joinable", form.joinable, yes(form.joinable)],
    ["reserve", form.reserve, yes(form.reserve)],
    ["length", form.length, Number(form.length)],
  ]);
  const item = facts([
    ["kind", form.kind, form.kind],
    ["marking", form.marking, form.marking === "none" ? undefined : form.marking],
    ["points", form.points, Number(form.points)],
    ["minutes", form.minutes, Number(form.minutes)],
    ["only", form.only, form.only === "all" ? undefined : [form.only]],
    ["audience", form.audience, form.audience === "all" ? undefined : form.audience],
    ["hidden", form.hidden, yes(form.hidden)],
  ]);
  const put = <T extends object>(list: readonly T[], given: Partial<T>, change: (thing: T) => Change) =>
    Object.keys(given).length ? list.map((t) => change(withFacts(t, given))) : [];
  return [
    ...put(own.value, unit, (t) => ({ kind: "put-unit", course, unit: { ...t, lessons: [], items: [] } })),
    ...put(lessons.value, lesson, (t) => ({ kind: "put-lesson", course, lesson: t })),
    ...put(items.value, item, (t) => ({ kind: "put-item", course, item: t })),
  ];
});
async function send() {
  const things = count(changes.value.length, "thing");
  const change: Change =
    changes.value.length === 1
      ? changes.value[0]!
      : { kind: "together", does: `Change ${things}`, changes: changes.value };
  if (await propose(change, "always")) emit("done");
}
</script>

<template>
  <Dialog
    :visible="true"
    modal
    header="Facts of what is chosen"
    :style="{ width: '620px' }"
    @update:visible="emit('done')"
  >
    <form class="form" @submit.prevent="send">
      <p class="wide soft">
        {{
          [own.length ? count(own.length, "unit") : "", count(lessons.length, "lesson"), `${items.length} of work`]
            .filter(Boolean)
            .join(", ")
        }}. What stays empty is left as each has it.
      </p>
      <template v-if="own.length">
        <label for="facts-week">Units: begin a week</label>
        <select id="facts-week" v-model="form.startsWeek" class="field">
          <option v-for="[value, name] in YES_NO" :key="value" :value="value">{{ name }}</option>
        </select>
      </template>
      <template v-if="lessons.length">
        <label for="facts-optional">Lessons: may be left out</label>
        <select id="facts-optional" v-model="form.optional" class="field">
          <option v-for="[value, name] in YES_NO" :key="value" :value="value">{{ name }}</option>
        </select>
        <label for="facts-join">may join the one before</label>
        <select id="facts-join" v-model="form.joinable" class="field">
          <option v-for="[value, name] in YES_NO" :key="value" :value="value">{{ name }}</option>
        </select>
        <label for="facts-reserve">spare day</label>
        <select id="facts-reserve" v-model="form.reserve" class="field">
          <option v-for="[value, name] in YES_NO" :key="value" :value="value">{{ name }}</option>
        </select>
        <label for="facts-length">length, in classes</label>
        <input id="facts-length" v-model="form.length" class="field few" type="number" min="1" max="200" />
      </template>
      <template v-if="items.length">
        <label for="facts-kind">Work: kind</label>
        <select id="facts-kind" v-model="form.kind" class="field">
          <option value="">as it is</option>
          <option v-for="k in KINDS" :key="k">{{ k }}</option>
        </select>
        <label for="facts-marking">marked by</label>
        <select id="facts-marking" v-model="form.marking" class="field">
          <option value="">as it is</option>
          <option value="instructor">instructor</option>
          <option value="machine">machine</option>
          <option value="not-marked">nobody</option>
          <option value="none">not said</option>
        </select>
        <label for="facts-points">points</label>
        <input id="facts-points" v-model="form.points" class="field few" type="number" min="0" step="any" />
        <label for="facts-minutes">minutes of work</label>
        <input id="facts-minutes" v-model="form.minutes" class="field few" type="number" min="0" />
        <template v-if="sections.length > 1">
          <label for="facts-only">for</label>
          <select id="facts-only" v-model="form.only" class="field">
            <option value="">as it is</option>
            <option value="all">all sections</option>
            <option v-for="s in sections" :key="s.code" :value="s.code">only section {{ s.code }}</option>
          </select>
        </template>
        <label for="facts-audience">whom among them</label>
        <select id="facts-audience" v-model="form.audience" class="field">
          <option value="">as it is</option>
          <option value="all">all of them</option>
          <option value="attendees">only who attended</option>
          <option value="extra-credit">extra credit</option>
        </select>
        <label for="facts-hidden">seen</label>
        <select id="facts-hidden" v-model="form.hidden" class="field">
          <option value="">as it is</option>
          <option value="no">listed before it opens</option>
          <option value="yes">only from when it opens</option>
        </select>
      </template>
      <p v-if="problem" class="problem wide" role="alert">{{ problem }}</p>
      <div class="wide actions">
        <button type="button" class="btn quiet" @click="emit('done')">Cancel</button>
        <button type="submit" class="btn go" :disabled="busy || !changes.length">See what it does</button>
      </div>
    </form>
  </Dialog>
</template>

<style scoped>
.few {
  width: 90px;
}
</style>
