<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, onMounted, provide, ref, shallowRef, watch } from "vue";
import { useRoute, useRouter } from "vue-router";
import type { Change } from "../api/client";
import ChangeLine from "../change/ChangeLine.vue";
import RepaceView from "../repace/RepaceView.vue";
import { useRepace } from "../repace/useRepace";
import Band from "../frame/Band.vue";
import ChangeTools from "../frame/ChangeTools.vue";
import ViewLinks from "../frame/ViewLinks.vue";
import { count, hours } from "../ui/say";
import { useFocusBack } from "../ui/useFocusBack";
import { display } from "../api/me";
import { takingOver } from "../api/mode";
import CarriedThing from "./CarriedThing.vue";
import DayPane from "./DayPane.vue";
import EditInCourse from "./EditInCourse.vue";
import OutlinePane from "./OutlinePane.vue";
import PhoneWeeks from "./PhoneWeeks.vue";
import WallDialogs, { type WallDialog } from "./WallDialogs.vue";
import WallGrid from "./WallGrid.vue";
import WallLegend from "./WallLegend.vue";
import { noticeKey } from "./drawn";
import { useChosen } from "./chosen";
import { dayOf } from "./days";
import { dropChange, fullness, saysDrop } from "./drop";
import { putOn } from "../change/placing";
import { useDrag } from "./useDrag";
import { useHands } from "./useHands";
import { ofShared } from "../change/shared";
import type { Done } from "../change/useChanges";
import { usePast } from "./usePast";
import { WALL, useWall } from "../change/useWall";

const route = useRoute();
const router = useRouter();
const termId = Number(route.params.termId);
const state = useWall(termId);
provide(WALL, state);
const { wall, shown, proposal, problem } = state;

const opened = ref("");
const focus = ref("");
const run = shallowRef<[string, string] | null>(null);
const dialog = ref<WallDialog>("");
const editing = ref("");
const wide = ref(false);
const keptWeek = ref(0);
const narrow = ref(window.innerWidth < 800);
const grid = ref<InstanceType<typeof WallGrid>>();
const outline = ref<InstanceType<typeof OutlinePane>>();
const pane = ref<InstanceType<typeof DayPane>>();

const close = computed(
  () => !wide.value && (display.value.density === "close" || (shown.value?.weeks.length ?? 0) > 20),
);
const weekOf = (date: string) => shown.value?.weeks.find((w) => w.days.some((d) => d.date === date))?.number ?? 1;
const openWeek = computed(() => keptWeek.value || weekOf(focus.value));
const openedDay = computed(() => (shown.value && opened.value ? dayOf(shown.value, opened.value) : undefined));
const key = computed(() => (wall.value ? `${wall.value.section.course}/${wall.value.section.section}` : ""));

const picked = useChosen(() => key.value && `${termId}/${key.value}`);
const past = usePast(termId, key, problem);
const drag = useDrag(
  () => picked.value,
  (keys, date, held) => {
    const several = keys.length > 1;
    const how = { fix: held.alt || (held.shift && !several), spacing: held.shift && several };
    if (wall.value && !proposal.value) void state.propose(dropChange(wall.value.section, keys, date, how));
  },
  (keys, row) => {
    const target = outline.value?.row(row);
    const change = target && wall.value ? putOn(keys, target, wall.value.section.course) : null;
    if (change && !proposal.value) void state.propose(change as Change);
  },
);
const hands = useHands({
  state,
  focus,
  opened,
  run,
  picked,
  dialog,
  editing,
  wide,
  keptWeek,
  openWeek,
  focusDay: (date) => grid.value?.focusDay(date),
  find: () => outline.value?.find(),
  add: () => void nextTick(() => pane.value?.add()),
});
const target = computed(() => {
  const carrying = drag.carried.value?.keys ?? hands.carrying.value;
  const date = drag.carried.value ? drag.over.value : hands.carrying.value ? focus.value : "";
  const day = shown.value?.weeks.flatMap((w) => w.days).find((d) => d.date === date);
  return carrying && day && shown.value
    ? { date, says: saysDrop(carrying, day, false), day, full: fullness(carrying, day, shown.value) }
    : null;
});
const repace = useRepace(state);
const carrying = computed(() => drag.carried.value !== null || hands.carrying.value !== null);

async function load(section: string) {
  const at = section.lastIndexOf("/");
  await state.load(at > 0 ? section.slice(0, at) : undefined, at > 0 ? section.slice(at + 1) : undefined);
  run.value = null;
  if (wall.value && !focus.value) {
    const days = wall.value.weeks.flatMap((w) => w.days);
    focus.value = days.find((d) => d.date >= wall.value!.today)?.date ?? days[0]?.date ?? "";
    document.title = `${wall.value.section.course} ${wall.value.section.section}, Wall, Matsuri`;
  }
  await takeOver();
  const thing = String(route.query.thing ?? "");
  if (thing && wall.value) goTo(thing);
  if (thing && wall.value && route.query.edit) editing.value = thing;
}
/** Proposes a what-if to the plan as it stands, where one is to be taken over. */
async function takeOver() {
  const change = takingOver.value;
  if (!change || !wall.value) return;
  takingOver.value = null;
  await state.propose(change, "always");
}
watch(takingOver, takeOver);
/** Chooses a thing and opens the day it is on. */
function goTo(thing: string) {
  const [what, id] = [thing.slice(0, thing.indexOf(":")), thing.slice(thing.indexOf(":") + 1)];
  const day = wall.value?.weeks
    .flatMap((w) => w.days)
    .find((d) =>
      what === "notice"
        ? d.notices.some((n) => thing === noticeKey(n) || n.id === id)
        : what === "lesson"
          ? d.lessons.some((l) => l.id === id)
          : d.items.some((i) => i.id === id && !i.course && i.which.startsWith("main")),
    );
  pick(thing, day?.date, false);
  outline.value?.show(thing);
  if (day) void nextTick(() => grid.value?.focusDay(day.date));
}
/** A thing of another course that is edited from here, and a section of that course. */
const elsewhere = computed(() => {
  const of = ofShared(editing.value);
  const section = of && wall.value?.sections.find((s) => s.course === of.course)?.section;
  return of && section ? { ...of, section } : null;
});
const editingHere = computed({
  get: () => (ofShared(editing.value) ? "" : editing.value),
  set: (now) => (editing.value = now),
});
async function editedElsewhere(line: Done | null) {
  editing.value = "";
  await state.load();
  state.done.value = line;
}
function choose(event: Event) {
  void router.replace({ query: { section: (event.target as HTMLSelectElement).value } });
}
watch(
  () => [String(route.query.section ?? ""), String(route.query.thing ?? "")] as const,
  ([section]) => load(section),
  { immediate: true },
);

function press(event: MouseEvent) {
  const at = event.target as HTMLElement;
  const date = at.closest<HTMLElement>("[data-date]")?.dataset.date;
  if (!date) return;
  const thing = at.closest<HTMLElement>("[data-drag], [data-thing^='shared:']")?.dataset;
  if (event.shiftKey && !thing) {
    hands.extend(date);
    return;
  }
  run.value = null;
  focus.value = date;
  opened.value = date;
  const key = thing?.drag ?? thing?.thing;
  if (key) pick(key, undefined, event.ctrlKey || event.metaKey);
}
/** A double press on anything opens it. */
function pressTwice(event: MouseEvent) {
  const at = event.target as HTMLElement;
  const thing = at.closest<HTMLElement>(".wall [data-thing]")?.dataset.thing;
  if (thing) editing.value = thing;
  else if (at.closest(".wall .it.wrd")) openFromDay("words");
}
/** Wherever the focus goes, by Tab or by script, the keys stand there. */
function stand(event: FocusEvent) {
  const date = (event.target as HTMLElement).dataset.date;
  if (date) focus.value = date;
}
function pick(thing: string, date: string | undefined, more: boolean) {
  const set = new Set(more ? picked.value : []);
  if (picked.value.has(thing) && more) set.delete(thing);
  else set.add(thing);
  picked.value = set;
  if (date) {
    focus.value = date;
    if (!thing.startsWith("unit:")) opened.value = date;
  }
}
const moving = computed(() => {
  if (acting.value) return [...acting.value];
  const things = [...picked.value].filter((k) => !k.startsWith("unit:") && !ofShared(k));
  if (things.length) return things;
  return (
    openedDay.value?.lessons
      .filter((l) => !l.taught)
      .slice(0, 1)
      .map((l) => `lesson:${l.id}`) ?? []
  );
});
const offRun = computed<[string, string]>(
  () => run.value ?? [opened.value || focus.value, opened.value || focus.value],
);

function resize() {
  narrow.value = window.innerWidth < 800;
}
onMounted(() => window.addEventListener("resize", resize));
onBeforeUnmount(() => window.removeEventListener("resize", resize));
useFocusBack(
  () => dialog.value !== "" || editing.value !== "" || proposal.value !== null || repace.asked.value !== null,
  () => grid.value?.focusDay(focus.value),
);
/** Takes over what the outline has chosen; the wall stands on its day. */
function pickMany(keys: ReadonlySet<string>, date?: string) {
  picked.value = keys;
  if (date) focus.value = date;
}
function openDay(date: string) {
  opened.value = date;
  focus.value = date;
}
function goDay(date: string) {
  openDay(date);
  grid.value?.focusDay(date);
}
/** Goes to a day from the ribbon of days, and stays in it. */
async function beside(date: string) {
  openDay(date);
  await nextTick();
  document.querySelector<HTMLElement>(".rib [aria-current]")?.focus();
}
/** What a dialog that was opened from the day acts on; null for what is chosen. */
const acting = shallowRef<readonly string[] | null>(null);
function openFromDay(which: WallDialog, keys?: readonly string[]) {
  acting.value = keys ?? null;
  dialog.value = which;
}
watch(dialog, (now) => {
  if (!now) acting.value = null;
});
async function closeSlip() {
  opened.value = "";
  await nextTick();
  grid.value?.focusDay(focus.value);
}
</script>

<template>
  <button v-if="shown" type="button" class="skip" @click="grid?.focusDay(focus)">To the wall</button>
  <Band>
    <template #course>
      <select v-if="wall" class="sel" :value="key" aria-label="Course and section" @change="choose">
        <option v-for="s in wall.sections" :key="s.course + s.section" :value="`${s.course}/${s.section}`">
          {{ s.course }} {{ s.section }}{{ s.courseTitle === s.course ? "" : `, ${s.courseTitle}` }}
        </option>
      </select>
    </template>
    <ViewLinks :term-id="termId" here="wall" />
    <template #right>
      <ChangeTools
        :state="state"
        :findings="shown?.findings.length ?? null"
        :undo="wall?.undo"
        :redo="wall?.redo"
        :here="key"
      />
    </template>
  </Band>
  <h1 class="vh">{{ shown ? `The wall of ${shown.section.course}, section ${shown.section.section}` : "The wall" }}</h1>
  <RepaceView
    v-if="shown && repace.asked.value"
    :course="shown.section.course"
    :section="shown.section.section"
    :change="repace.asked.value.change"
    :no-class-on="repace.asked.value.noClassOn"
    @done="repace.close()"
  />
  <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions, vuejs-accessibility/click-events-have-key-events -->
  <main
    v-else-if="shown"
    class="main"
    :class="{ slim: narrow }"
    @click="press"
    @dblclick="pressTwice"
    @keydown="hands.key"
    @focusin="stand"
  >
    <PhoneWeeks
      v-if="narrow"
      :wall="shown"
      :opened="opened"
      :picked="picked"
      @off="dialog = 'off'"
      @shift="dialog = 'shift'"
      @move="dialog = 'move'"
      @pick="pick"
      @undo="state.undo()"
    />
    <template v-else>
      <aside class="outline" :aria-label="openedDay ? 'Opened day' : 'Outline'">
        <div v-show="!openedDay" class="whole">
          <OutlinePane
            ref="outline"
            :wall="shown"
            :picked="picked"
            @pick="pickMany"
            @open="openDay"
            @edit="editing = $event"
            @read="dialog = 'read'"
            @notice="dialog = 'notice'"
            @rhythm="dialog = 'rhythm'"
            @facts="dialog = 'facts'"
            @no-class="repace.open(null, $event)"
            @ways="repace.open(null)"
          />
        </div>
        <DayPane
          v-if="openedDay"
          ref="pane"
          :key="openedDay.date"
          :wall="shown"
          :day="openedDay"
          :picked="picked"
          :run="run"
          @pick="(thing, more) => pick(thing, undefined, more)"
          @edit="editing = $event"
          @open="openFromDay"
          @close="closeSlip"
          @go="beside"
        />
      </aside>
      <WallGrid
        ref="grid"
        :wall="shown"
        :past="past"
        :focus="focus"
        :opened="opened"
        :run="run"
        :picked="picked"
        :target="target"
        :carrying="carrying"
        :close="close"
        :open-week="openWeek"
        @week="(n) => (keptWeek = keptWeek === n ? 0 : n)"
      />
    </template>
  </main>
  <main v-else class="page">
    <p v-if="!problem">Laying out the wall…</p>
    <p v-else>
      <RouterLink :to="`/terms/${termId}/term`">Set up the term</RouterLink>: its days, courses and sections.
    </p>
  </main>
  <ChangeLine
    v-if="!repace.asked.value && !elsewhere"
    :state="state"
    :held="dialog !== '' || editing !== ''"
    :loaded="wall !== null"
    :first="hands.carrying.value !== null"
    :ways="!narrow"
    @ways="repace.open(state.pending.value)"
    @again="load(String(route.query.section ?? ''))"
  >
    <template #first>
      <div class="notice" role="status">
        Carrying {{ count(hands.carrying.value?.length ?? 0, "thing") }}. Arrows carry, <kbd>Enter</kbd> puts it down,
        <template v-if="(hands.carrying.value?.length ?? 0) > 1"><kbd>Shift Enter</kbd> keeps the spacing, </template>
        <kbd>P</kbd> fixes it there, <kbd>Esc</kbd> lets go.
      </div>
    </template>
    <WallLegend
      v-if="shown && !narrow"
      :close="close"
      :told="shown.findings.some((f) => f.code === 'told-otherwise' && f.section === key)"
      :up-to="!!shown.section.toldUpTo"
    />
  </ChangeLine>
  <CarriedThing v-if="drag.carried.value" :carried="drag.carried.value" :says="target?.says ?? ''">
    <div v-if="target && target.full.due !== target.day.load.due">
      <s v-if="target.day.load.due">{{ target.day.load.due }} due, {{ hours(target.day.load.minutes) }}</s>
      {{ target.full.due }} due, {{ hours(target.full.minutes) }}
    </div>
  </CarriedThing>
  <EditInCourse
    v-if="shown && elsewhere"
    :key="editing"
    :term-id="termId"
    :course="elsewhere.course"
    :section="elsewhere.section"
    :thing="elsewhere.thing"
    :day="opened || focus"
    :from="shown.section.course"
    @done="editedElsewhere"
  />
  <WallDialogs
    v-if="shown"
    v-model:dialog="dialog"
    v-model:editing="editingHere"
    :wall="shown"
    :day="opened || focus"
    :opened="opened"
    :run="offRun"
    :picked="picked"
    :moving="moving"
    @go="goDay"
  />
</template>
