<script setup lang="ts">
import { computed, nextTick, onMounted, ref, shallowRef, useTemplateRef, watch } from "vue";
import "../design/courses.css";
import { useRoute, useRouter } from "vue-router";
import { display } from "../api/me";
import type { Done } from "../change/useChanges";
import ChangeLine from "../change/ChangeLine.vue";
import Band from "../frame/Band.vue";
import CoursesLinks from "../frame/CoursesLinks.vue";
import UndoRedo from "../frame/UndoRedo.vue";
import { count } from "../ui/say";
import { useFocusBack } from "../ui/useFocusBack";
import CarriedThing from "../wall/CarriedThing.vue";
import EditInCourse from "../wall/EditInCourse.vue";
import { useDrag } from "../wall/useDrag";
import CoursesAgenda from "./CoursesAgenda.vue";
import CoursesDay from "./CoursesDay.vue";
import CoursesLegend from "./CoursesLegend.vue";
import CoursesMonth from "./CoursesMonth.vue";
import CoursesSide from "./CoursesSide.vue";
import CoursesWall from "./CoursesWall.vue";
import { split, useCourseHands } from "./useCourseHands";
import { useCourses } from "./useCourses";

/** All of one's courses at once: by weeks, by a month, or day by day. */
const props = defineProps<{ by: "weeks" | "days" }>();
const route = useRoute();
const router = useRouter();
const state = useCourses();
const { view, weeks, active, problem, shown } = state;
const focus = ref("");
const opened = ref("");
const picked = shallowRef<ReadonlySet<string>>(new Set());
const turned = shallowRef<ReadonlySet<string>>(new Set());
const editing = shallowRef<{ lane: string; thing: string } | null>(null);
const middle = useTemplateRef<{ focusDay(date: string): void }>("middle");

const show = computed(() => (props.by === "weeks" ? "weeks" : route.query.show === "agenda" ? "agenda" : "month"));
const days = computed(() => weeks.value.flatMap((w) => w.days));
const dayOf = (date: string) => days.value.find((d) => d.date === date);
const openedDay = computed(() => (opened.value ? dayOf(opened.value) : undefined));

async function load() {
  await state.load();
  document.title = `${props.by === "weeks" ? "All courses" : "Days"}, Matsuri`;
  const today = view.value?.today ?? "";
  if (!focus.value) focus.value = days.value.find((d) => d.date >= today)?.date ?? days.value[0]?.date ?? "";
}
onMounted(load);

const hands = useCourseHands({
  state,
  focus,
  opened,
  picked,
  days: () => ({
    // day by day an arrow down is the next day, else the same weekday of the next week
    weeks: show.value === "agenda" ? days.value.map((d) => ({ days: [d] })) : weeks.value,
    columns: show.value === "agenda" ? [1] : (view.value?.columns ?? []),
  }),
  dayOf,
  focusDay,
  edit: (key) => (editing.value = split(key)),
});
const drag = useDrag(
  () => picked.value,
  (keys, date, held) => {
    const several = keys.length > 1;
    hands.drop(keys, date, { fix: held.alt || (held.shift && !several), spacing: held.shift && several });
  },
);
const target = computed(() => {
  const keys = drag.carried.value?.keys ?? hands.carrying.value;
  const date = drag.carried.value ? drag.over.value : hands.carrying.value ? focus.value : "";
  return keys && date ? { date, says: hands.says(keys, date) } : null;
});

function focusDay(date: string) {
  void nextTick(() => middle.value?.focusDay(date));
}
function press(event: MouseEvent) {
  const at = event.target as HTMLElement;
  const date = at.closest<HTMLElement>("[data-date]")?.dataset.date;
  if (!date) return;
  focus.value = date;
  opened.value = date;
  const thing = at.closest<HTMLElement>("[data-drag]")?.dataset.drag;
  if (thing) pick(thing);
}
function pressTwice(event: MouseEvent) {
  const key = (event.target as HTMLElement).closest<HTMLElement>(".allcourses [data-thing]")?.dataset.thing;
  if (key) editing.value = split(key);
}
/** Chooses a thing; one more of the same course is not chosen here, for that its own wall is there. */
function pick(key: string) {
  picked.value = picked.value.has(key) ? new Set() : new Set([key]);
}
function stand(event: FocusEvent) {
  const date = (event.target as HTMLElement).dataset.date;
  if (date) focus.value = date;
}
function go(date: string) {
  const to = days.value.find((d) => d.date >= date);
  if (!to) return;
  focus.value = to.date;
  opened.value = to.date;
  focusDay(to.date);
}
function today() {
  opened.value = "";
  const now = view.value?.today ?? "";
  focus.value = days.value.find((d) => d.date >= now)?.date ?? focus.value;
  focusDay(focus.value);
}
async function close() {
  opened.value = "";
  await nextTick();
  focusDay(focus.value);
}
function turn(first: string) {
  const now = new Set(turned.value);
  if (!now.delete(first)) now.add(first);
  turned.value = now;
}
/** The section in which a thing is edited: of the course that it is written in. */
const lineOfEdit = computed(() => {
  const of = editing.value;
  const line = of && state.lineOf(of.lane);
  const owner = days.value.flatMap((d) => d.things).find((t) => t.lane === of?.lane && t.thing === of.thing)?.owner;
  return line && owner && owner !== line.course
    ? view.value?.courses.find((c) => c.termId === line.termId && c.course === owner)
    : (line ?? undefined);
});
const mayEdit = computed(() => lineOfEdit.value && lineOfEdit.value.role !== "reader");
async function edited(done: Done | null) {
  const of = editing.value;
  editing.value = null;
  await state.load();
  const changed = of && state.take(of.lane);
  if (changed) changed.done.value = done;
}
useFocusBack(
  () => editing.value !== null || !!active.value?.proposal.value,
  () => focusDay(focus.value),
);
watch(show, () => focusDay(focus.value));
/** The wall of a section, chosen from the list in the band. */
function choose(event: Event) {
  const line = state.lineOf((event.target as HTMLSelectElement).value);
  if (line)
    void router.push({ path: `/terms/${line.termId}/wall`, query: { section: `${line.course}/${line.section}` } });
}
</script>

<template>
  <Band>
    <template #course>
      <select v-if="view?.courses.length" class="sel" value="" aria-label="Course and section" @change="choose">
        <option value="">All my courses</option>
        <option v-for="c in view.courses.filter((x) => !x.finished)" :key="c.key" :value="c.key">
          {{ c.course }} {{ c.section }}{{ c.courseTitle === c.course ? "" : `, ${c.courseTitle}` }}
        </option>
      </select>
    </template>
    <CoursesLinks :here="by === 'weeks' ? '/courses' : '/days'" />
    <template #right>
      <UndoRedo
        v-if="active"
        :undo="active.view.value?.undo"
        :redo="active.view.value?.redo"
        :held="active.busy.value || !!active.proposal.value"
        @undo="active.undo()"
        @redo="active.redo()"
      />
    </template>
  </Band>
  <h1 class="vh">{{ by === "weeks" ? "All courses" : "Days of all courses" }}</h1>
  <main v-if="problem && !view" class="page">
    <p class="problem" role="alert">{{ problem }}</p>
    <button type="button" class="btn" @click="load">Try again</button>
  </main>
  <main v-else-if="!view" class="page"><p role="status">Laying out all courses…</p></main>
  <main v-else-if="!view.courses.length" class="page">
    <h2>All courses</h2>
    <p>There is no course yet. <RouterLink to="/new">Begin a term</RouterLink> with one, and it stands here.</p>
  </main>
  <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions, vuejs-accessibility/click-events-have-key-events -->
  <main v-else class="main allcourses" @click="press" @dblclick="pressTwice" @keydown="hands.key" @focusin="stand">
    <aside class="outline" :aria-label="openedDay ? 'Opened day' : 'Courses'">
      <CoursesSide
        v-show="!openedDay"
        :view="view"
        :due="state.due.value"
        :shown="shown"
        :group="state.group.value"
        @toggle="state.toggle"
        @group="state.group.value = $event"
        @go="go"
      />
      <CoursesDay
        v-if="openedDay"
        :key="openedDay.date"
        :day="openedDay"
        :state="state"
        :picked="picked"
        @pick="pick"
        @edit="editing = split($event)"
        @close="close"
      />
    </aside>
    <p v-if="!weeks.length" class="page">
      No course is shown. Tick one at the left{{
        view.courses.every((c) => c.finished) ? ", of those that are over" : ""
      }}.
    </p>
    <CoursesWall
      v-else-if="show === 'weeks'"
      ref="middle"
      :weeks="weeks"
      :columns="view.columns"
      :today="view.today"
      :focus="focus"
      :opened="opened"
      :picked="picked"
      :target="target"
      :turned="turned"
      :close="display.density === 'close'"
      @turn="turn"
    />
    <CoursesMonth
      v-else-if="show === 'month'"
      ref="middle"
      :weeks="weeks"
      :lines="view.courses.filter((c) => shown.has(c.key))"
      :focus="focus"
      :opened="opened"
      :picked="picked"
      :target="target"
      @focus="focus = $event"
      @today="today"
    />
    <CoursesAgenda
      v-else
      ref="middle"
      :days="days"
      :focus="focus"
      :opened="opened"
      :picked="picked"
      :target="target"
      @focus="focus = $event"
      @today="today"
    />
  </main>
  <ChangeLine
    v-if="active && !editing"
    :key="active.termId"
    :state="active"
    :held="editing !== null"
    :loaded="view !== null"
    :first="hands.carrying.value !== null"
    @again="load"
  >
    <template #first>
      <div class="notice" role="status">
        Carrying {{ count(hands.carrying.value?.length ?? 0, "thing") }}. Arrows carry, <kbd>Enter</kbd> puts it down,
        <kbd>P</kbd> fixes it there, <kbd>Esc</kbd> lets go.
      </div>
    </template>
    <CoursesLegend v-if="view?.courses.length" :by="show" />
  </ChangeLine>
  <EditInCourse
    v-if="editing && lineOfEdit && mayEdit"
    :key="editing.lane + editing.thing"
    :term-id="lineOfEdit.termId"
    :course="lineOfEdit.course"
    :section="lineOfEdit.section"
    :thing="editing.thing"
    :day="opened || focus"
    :from="state.lineOf(editing.lane)?.course"
    @done="edited"
  />
  <CarriedThing v-if="drag.carried.value" :carried="drag.carried.value" :says="target?.says ?? ''" />
</template>
