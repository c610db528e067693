<script setup lang="ts">
import { computed, onMounted, provide, ref, shallowRef, watch } from "vue";
import { useRoute } from "vue-router";
import ChangeLine from "../change/ChangeLine.vue";
import { draftOf, written } from "../change/closure";
import { useStepKeys } from "../change/useStepKeys";
import Band from "../frame/Band.vue";
import ChangeTools from "../frame/ChangeTools.vue";
import ViewLinks from "../frame/ViewLinks.vue";
import { useFocusBack } from "../ui/useFocusBack";
import { walk } from "../ui/walk";
import BeginningPanel from "./BeginningPanel.vue";
import ClassesDialog from "./ClassesDialog.vue";
import ColleaguesPanel from "./ColleaguesPanel.vue";
import CourseDialog from "./CourseDialog.vue";
import DaysOffPanel from "./DaysOffPanel.vue";
import GradeBookDialog from "./GradeBookDialog.vue";
import SchoolPanel from "./SchoolPanel.vue";
import HolidaysPanel from "./HolidaysPanel.vue";
import MeaningPanel from "./MeaningPanel.vue";
import PasteDialog from "./PasteDialog.vue";
import RosterDialog from "./RosterDialog.vue";
import SectionDialog from "./SectionDialog.vue";
import SectionsPanel from "./SectionsPanel.vue";
import TermGrid from "./TermGrid.vue";
import TermSums from "./TermSums.vue";
import TimetableDialog from "./TimetableDialog.vue";
import { BRUSHES, type Brush } from "./brush";
import { type Run, usePaint } from "./usePaint";
import { TERM, useTerm } from "./useTerm";

/** The term as it is set up: its days to paint on, and beside them what it gives and what is decided. */
const route = useRoute();
const termId = Number(route.params.termId);
const state = useTerm(termId);
provide(TERM, state);
const { view, shown, proposal, problem } = state;

const course = ref("");
const brush = ref<Brush>("off");
const run = shallowRef<Run | null>(null);
/** The day off that is being changed; -1 for none. */
const index = ref(-1);
const focus = ref("");
const grid = ref<InstanceType<typeof TermGrid>>();
const dialog = ref<"" | "paste" | "section" | "course" | "classes" | "roster" | "timetable" | "book">("");
const at = ref({ course: "", section: "" });
/** The class that is opened with the list of classes; empty for none. */
const classAt = ref("");
let anchor = "";

onMounted(async () => {
  await state.load();
  document.title = `${view.value?.termName || "Term"}, set up, Matsuri`;
  const days = view.value?.weeks.flatMap((w) => w.days) ?? [];
  const asked = String(route.query.section ?? "").split("/")[0];
  const codes = view.value?.courses.map((c) => c.code) ?? [];
  course.value = codes.find((c) => c === asked) ?? codes[0] ?? "";
  focus.value = days.find((d) => d.inTerm)?.date ?? "";
});
watch(proposal, (now) => {
  if (now) close();
});

function close() {
  run.value = null;
  index.value = -1;
  void state.look(null);
}
const offAt = (date: string) => {
  const day = view.value?.weeks.flatMap((w) => w.days).find((d) => d.date === date);
  return day?.off ?? day?.parts[0] ?? -1;
};
function open(n: number) {
  const closure = view.value?.closures[n];
  if (!closure || proposal.value) return;
  index.value = n;
  run.value = [closure.first, closure.last];
}
/** A press on a day off opens it; anything else that is painted is given a meaning. */
function painted(next: Run, press: boolean) {
  if (proposal.value || dialog.value) return;
  problem.value = "";
  focus.value = next[0];
  const stands = press ? offAt(next[0]) : -1;
  if (stands >= 0) {
    open(stands);
    return;
  }
  index.value = -1;
  run.value = next;
}
function stretched(n: number, next: Run) {
  const was = view.value?.closures[n];
  if (!was || proposal.value) return;
  const closure = written(draftOf(was), next[0], next[1]);
  void state.propose({ kind: "put-closure", first: was.first, last: was.last, reason: was.reason, closure });
}
const paint = usePaint(painted, stretched);
useFocusBack(
  () => run.value !== null || dialog.value !== "" || proposal.value !== null,
  () => grid.value?.focusDay(focus.value),
);
const drawn = computed<Run | null>(() => paint.brush.value ?? run.value);

function key(event: KeyboardEvent) {
  const date = (event.target as HTMLElement).dataset.date;
  if (!date || !shown.value || event.ctrlKey || event.metaKey || event.altKey) return;
  if (event.key.startsWith("Arrow") || event.key === "Home" || event.key === "End") {
    event.preventDefault();
    const to = walk(shown.value, date, event.key);
    if (event.shiftKey) {
      if (!run.value || index.value >= 0) anchor = date;
      index.value = -1;
      run.value = anchor <= to ? [anchor, to] : [to, anchor];
    }
    focus.value = to;
    grid.value?.focusDay(to);
  } else if (event.key === "Enter" || event.key === " ") {
    event.preventDefault();
    if (run.value && index.value < 0) document.getElementById("mean-reason")?.focus();
    else painted([date, date], true);
  } else if (event.key === "Escape") close();
}
useStepKeys(state);
function stand(event: FocusEvent) {
  const date = (event.target as HTMLElement).dataset.date;
  if (date) focus.value = date;
}
function show(which: typeof dialog.value, course = "", section = "", name = "") {
  classAt.value = name;
  at.value = { course, section };
  problem.value = "";
  dialog.value = which;
  close();
}
</script>

<template>
  <div class="page-frame">
    <Band>
      <template #course>
        <span v-if="shown && shown.courses.length < 2" class="sel">{{ shown.termName || "Term" }}</span>
        <select
          v-if="shown && shown.courses.length > 1"
          v-model="course"
          class="sel"
          aria-label="Course whose classes are shown"
        >
          <option v-for="c in shown.courses" :key="c.code" :value="c.code">{{ c.code }} {{ c.title }}</option>
        </select>
      </template>
      <ViewLinks :term-id="termId" here="term" />
      <template #right>
        <ChangeTools
          :state="state"
          :findings="shown?.findings ?? null"
          :undo="view?.undo"
          :redo="view?.redo"
          :here="String(route.query.section ?? '')"
        />
      </template>
    </Band>
    <h1 class="vh">Setting up {{ shown?.termName || "the term" }}</h1>
    <main v-if="view && shown" class="main setup">
      <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions -->
      <div class="setup-left" @keydown="key" @focusin="stand">
        <fieldset class="brushes">
          <legend class="soft">Drag over days:</legend>
          <label v-for="b in BRUSHES" :key="b.brush">
            <input v-model="brush" type="radio" name="brush" :value="b.brush" />
            <span class="sw" :class="b.swatch" aria-hidden="true"></span>{{ b.name }}
          </label>
        </fieldset>
        <TermGrid
          ref="grid"
          :term="shown"
          :run="drawn"
          :focus="focus"
          :course="course || (shown.courses[0]?.code ?? '')"
        />
      </div>
      <div class="setup-right">
        <MeaningPanel
          v-if="run && !proposal"
          :key="index >= 0 ? `off ${index}` : brush"
          :term="view"
          :run="run"
          :brush="brush"
          :index="index"
          @run="run = $event"
          @open="open"
          @classes="(c, s, name) => show('classes', c, s, name)"
          @done="close"
        />
        <TermSums :was="view" :term="shown" />
        <DaysOffPanel :term="shown" @open="open" @paste="show('paste')" />
        <SchoolPanel v-if="!proposal && view" :term="view" />
        <HolidaysPanel v-if="!proposal" :term="view" />
        <SectionsPanel
          :term="shown"
          @edit="(c, s) => show('section', c, s)"
          @course="(c) => show('course', c)"
          @classes="(c, s) => show('classes', c, s)"
          @roster="(c, s) => show('roster', c, s)"
          @timetable="show('timetable')"
          @book="show('book')"
        />
        <BeginningPanel :term="shown" />
        <ColleaguesPanel :term="view" />
      </div>
    </main>
    <main v-else class="page">
      <p v-if="!problem">Laying out the term…</p>
    </main>
    <ChangeLine :state="state" :held="dialog !== '' || run !== null" :loaded="view !== null" @again="state.load()" />
    <template v-if="view">
      <PasteDialog v-if="dialog === 'paste'" @done="dialog = ''" />
      <SectionDialog v-if="dialog === 'section'" :term="view" v-bind="at" @done="dialog = ''" />
      <CourseDialog v-if="dialog === 'course'" :course="at.course" @done="dialog = ''" />
      <ClassesDialog v-if="dialog === 'classes'" v-bind="at" :open-at="classAt" @done="dialog = ''" />
      <RosterDialog v-if="dialog === 'roster'" :term="view" v-bind="at" @done="dialog = ''" />
      <GradeBookDialog v-if="dialog === 'book'" @done="dialog = ''" />
      <TimetableDialog v-if="dialog === 'timetable'" @done="dialog = ''" />
    </template>
  </div>
</template>

<style scoped>
.page-frame {
  display: contents;
}
</style>
