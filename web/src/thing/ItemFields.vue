<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from "vue";
import { type Schemas, type WallView, api, ask } from "../api/client";
import { clean } from "../api/plan";
import MarkdownField from "../ui/MarkdownField.vue";
import DateChoice from "./DateChoice.vue";
import { DATES, KINDS } from "./dates";
import FilesAndLinks from "./FilesAndLinks.vue";

/** Everything of an item: its dates by three ways, what is to be done, files, and whom it is for. */
const form = defineModel<Partial<Schemas["PlanItem"]>>({ required: true });
const props = defineProps<{ wall: WallView; termId: number; unit: string; day: string }>();

const lessons = computed(() => props.wall.outline.units.flatMap((u) => u.lessons));
const sections = computed(() =>
  props.wall.sections.filter((s) => s.course === props.wall.section.course).map((s) => s.section),
);
/** Other courses, which can have it too. */
const others = computed(() => [
  ...new Set(props.wall.sections.map((s) => s.course).filter((c) => c !== props.wall.section.course)),
]);
function share(course: string, on: boolean) {
  const now = [...(form.value.shared ?? []).filter((c) => c !== course), ...(on ? [course] : [])];
  form.value.shared = now.length ? now : undefined;
}
const given = ref<Schemas["DateGiven"][]>([]);
const misread = ref("");
let timer = 0;
let asked = 0;

watch(
  () => JSON.stringify([form.value.opens, form.value.due, form.value.closes, form.value.only, form.value.lesson]),
  () => {
    window.clearTimeout(timer);
    timer = window.setTimeout(look, 120);
  },
  { immediate: true },
);
onBeforeUnmount(() => window.clearTimeout(timer));
async function look() {
  const turn = ++asked;
  const { opens, due, closes, only, lesson, id } = form.value;
  const item = clean<Schemas["PlanItem"]>({ id: id ?? "", title: "x", opens, due, closes, only, lesson });
  try {
    const found = await ask(
      api.POST("/api/terms/{termId}/outline/item-dates", {
        params: { path: { termId: props.termId } },
        body: { course: props.wall.section.course, unit: props.unit, item },
      }),
    );
    if (turn !== asked) return;
    given.value = found;
    misread.value = "";
  } catch (e) {
    if (turn === asked) misread.value = (e as Error).message;
  }
}
const isFor = (section: string) => !form.value.only?.length || form.value.only.includes(section);
function setFor(section: string, on: boolean) {
  const now = sections.value.filter((s) => (s === section ? on : isFor(s)));
  if (now.length) form.value.only = now.length === sections.value.length ? undefined : now;
}
</script>

<template>
  <div class="head">
    <select v-model="form.kind" class="field" aria-label="Kind">
      <option v-for="k in KINDS" :key="k">{{ k }}</option>
    </select>
    <label
      ><input v-model.number="form.points" class="field few" type="number" min="0" step="any" aria-label="Points" />
      points</label
    >
    <label
      ><input v-model.number="form.minutes" class="field few" type="number" min="0" aria-label="Minutes of work" />
      minutes</label
    >
    <label
      >marked by
      <select v-model="form.marking" class="field">
        <option :value="undefined">not said</option>
        <option value="instructor">instructor</option>
        <option value="machine">machine</option>
        <option value="not-marked">nobody</option>
      </select></label
    >
    <label
      >belongs to
      <select v-model="form.lesson" class="field lesson" aria-label="Belongs to">
        <option :value="undefined">the unit</option>
        <option v-for="l in lessons" :key="l.id" :value="l.id">{{ l.id }} {{ l.title }}</option>
      </select></label
    >
  </div>
  <DateChoice
    v-for="[which, name] in DATES"
    :key="which"
    v-model="form[which]"
    :which="which"
    :name="name"
    :term-id="termId"
    :course="wall.section.course"
    :lesson="String(form.lesson ?? '')"
    :lessons="lessons"
    :given="given.filter((g) => g.date === which)"
  />
  <p v-if="misread" class="look" role="status">{{ misread }}</p>
  <div class="row"><span>To do</span><MarkdownField v-model="form.instructions" label="To do" /></div>
  <div class="row">
    <span>Hand in</span>
    <span class="ticks">
      <label
        ><input type="radio" name="hand-in" :checked="!form.handIn" @change="form.handIn = undefined" /> not said</label
      >
      <label><input v-model="form.handIn" type="radio" value="file" /> a file</label>
      <label><input v-model="form.handIn" type="radio" value="paper" /> on paper</label>
      <label><input v-model="form.handIn" type="radio" value="nothing" /> nothing</label>
      <input
        v-model="form.handInPlace"
        class="field"
        maxlength="300"
        placeholder="where"
        aria-label="Where it is handed in"
      />
    </span>
  </div>
  <div class="row">
    <span>Files</span>
    <FilesAndLinks
      :term-id="termId"
      :links="form.links ?? []"
      :files="form.files ?? []"
      :lessons="lessons"
      @update:links="form.links = $event.length ? $event : undefined"
      @update:files="form.files = $event.length ? $event : undefined"
    />
  </div>
  <div class="row">
    <span>For</span>
    <span class="ticks">
      <label v-for="s in sections" :key="s"
        ><input type="checkbox" :checked="isFor(s)" @change="setFor(s, ($event.target as HTMLInputElement).checked)" />
        section {{ s }}</label
      >
      <select v-model="form.audience" class="field" aria-label="Whom among them">
        <option :value="undefined">all of them</option>
        <option value="attendees">only who attended</option>
        <option value="extra-credit">extra credit</option>
      </select>
    </span>
  </div>
  <div v-if="others.length" class="row">
    <span>Shared</span>
    <span class="ticks">
      <label v-for="c in others" :key="c"
        ><input
          type="checkbox"
          :checked="!!form.shared?.includes(c)"
          @change="share(c, ($event.target as HTMLInputElement).checked)"
        />
        with {{ c }}</label
      >
    </span>
  </div>
  <div class="row">
    <span>Seen</span>
    <span class="ticks">
      <label
        ><input
          type="checkbox"
          :checked="!form.hidden"
          @change="form.hidden = ($event.target as HTMLInputElement).checked ? undefined : true"
        />
        listed before it opens</label
      >
      <label><input v-model="form.draft" type="checkbox" /> a draft: students are not told of it</label>
      <label><input v-model="form.locked" type="checkbox" /> an official date that cannot be moved</label>
    </span>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  border-bottom: 1px solid var(--rule);
  padding-bottom: 6px;
}
.few {
  width: 68px;
}
.lesson {
  max-width: 200px;
}
.row {
  display: grid;
  grid-template-columns: 76px 1fr;
  gap: 10px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
.row textarea {
  width: 100%;
}
</style>
