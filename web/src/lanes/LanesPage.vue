<script setup lang="ts">
import { computed, nextTick, onMounted, ref, shallowRef, useTemplateRef } from "vue";
import { useRoute } from "vue-router";
import ChangeLine from "../change/ChangeLine.vue";
import { useStepKeys } from "../change/useStepKeys";
import Band from "../frame/Band.vue";
import ChangeTools from "../frame/ChangeTools.vue";
import ViewLinks from "../frame/ViewLinks.vue";
import { count, dayMonth, weekdayDay } from "../ui/say";
import Knot from "../ui/Knot.vue";
import InStepDialog from "./InStepDialog.vue";
import LaneLine from "./LaneLine.vue";
import { codesIn, looksIn } from "./looks";
import { type Lane, useLanes } from "./useLanes";
import { useTermBelow } from "./useTermBelow";

/** The sections of the term as lanes over its weeks: who is ahead, who is behind, and how one comes back into step. */
const route = useRoute();
const termId = Number(route.params.termId);
const state = useLanes(termId);
const { view, shown, proposal, problem } = state;
const course = ref("");
const asked = shallowRef<Lane | null>(null);

useStepKeys(state);
onMounted(async () => {
  await state.load();
  await nextTick();
  toNow();
  await below.list();
  document.title = "Lanes, Matsuri";
});
const page = useTemplateRef<HTMLElement>("page");
/** A week is wide enough for its number, its day and five lessons; a long term runs on to the side. */
const weeks = computed(() => shown.value?.weeks.length ?? 0);
const wide = computed(() => `${Math.max(900, weeks.value * (weeks.value > 20 ? 84 : 64))}px`);
/** Brings today into sight where the term runs on to the side. */
function toNow() {
  const now = page.value?.querySelector(".nowline");
  const head = page.value?.querySelector<HTMLElement>(".label");
  if (!page.value || !now || !head) return;
  const room = page.value.clientWidth - head.offsetWidth;
  page.value.scrollLeft +=
    now.getBoundingClientRect().left - page.value.getBoundingClientRect().left - head.offsetWidth - room * 0.4;
}
const courses = computed(() => [...new Set(shown.value?.lanes.map((l) => l.course))]);
const lanes = computed(() => shown.value?.lanes.filter((l) => !course.value || l.course === course.value) ?? []);
const looks = (code: string) => looksIn(shown.value?.units, code);
const codes = (code: string) => codesIn(shown.value?.units, code);
const heading = computed(() => {
  const late = lanes.value.filter((l) => l.behind > 0);
  if (!late.length) return "At the end of this week every section is in step";
  const said = late.map((l) => `${l.course} ${l.section} is ${count(l.behind, "lesson")} behind ${l.furthest}`);
  return `At the end of this week ${said.join("; ")}`;
});
const below = useTermBelow(termId, problem);
const { terms, other } = below;
const otherLanes = computed(
  () =>
    other.value?.lanes.filter((l) => (course.value ? l.course === course.value : courses.value.includes(l.course))) ??
    [],
);
const otherLooks = (code: string) => looksIn(other.value?.units, code);
const otherCodes = (code: string) => codesIn(other.value?.units, code);
const percent = (n: number) => `${(n / (shown.value?.days ?? 1)) * 100}%`;

/** Classes before today that have no record count as held as planned, of one section or of all. */
const unrecorded = computed(() => lanes.value.filter((l) => l.unrecorded > 0));
function taughtUpToHere(of: Lane[]) {
  const until = shown.value!.today;
  const changes = of.map((l) => ({ kind: "record-held" as const, course: l.course, section: l.section, until }));
  const does = `Record classes up to ${weekdayDay(until)} as held as planned in ${count(of.length, "section")}`;
  void state.propose(changes.length === 1 ? changes[0]! : { kind: "together", does, changes });
}
</script>

<template>
  <Band>
    <template #course>
      <select v-if="shown" v-model="course" class="sel" aria-label="Which courses">
        <option value="">all courses</option>
        <option v-for="c in courses" :key="c" :value="c">{{ c }}</option>
      </select>
    </template>
    <ViewLinks :term-id="termId" here="lanes" />
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
  <h1 class="vh">Lanes</h1>
  <main v-if="shown" ref="page" class="lanes" :style="{ '--wide': wide }">
    <div class="title top">
      <h2>{{ heading }}</h2>
      <button
        v-if="unrecorded.length > 1 && !proposal"
        type="button"
        class="btn"
        :disabled="state.busy.value"
        @click="taughtUpToHere(unrecorded)"
      >
        Taught up to here, all {{ unrecorded.length }} sections
      </button>
      <label v-if="terms.length"
        >Below it
        <select
          class="field"
          aria-label="Another term to lay below"
          @change="below.lay(Number(($event.target as HTMLSelectElement).value))"
        >
          <option value="">no other term</option>
          <option v-for="t in terms" :key="t.id" :value="t.id">{{ t.name }}</option>
        </select></label
      >
    </div>
    <p v-for="said in shown.apart" :key="said" class="apart">
      <b>▲ {{ said }}</b>
    </p>
    <div class="row head">
      <div class="label soft">Week</div>
      <div class="over weeks">
        <span v-for="w in shown.weeks" :key="w.number" class="week" :style="{ left: percent(w.at) }"
          ><b>{{ w.number }}</b> <span class="soft">{{ dayMonth(w.first) }}</span></span
        >
      </div>
    </div>
    <section v-for="lane in lanes" :key="lane.course + lane.section" class="row">
      <div class="label">
        <h2>
          {{ lane.section }} <span class="soft">{{ lane.course }}</span>
        </h2>
        <p class="soft">{{ lane.meets }}</p>
        <p class="soft">
          {{ lane.held }} of {{ lane.sessions }} classes held, {{ lane.taught }} of {{ lane.lessons }} taught
        </p>
        <p>
          <b :class="{ look: lane.behind > 0 }">{{ lane.standing }}</b>
        </p>
        <button
          v-if="lane.unrecorded > 0 && !proposal"
          type="button"
          class="btn"
          :disabled="state.busy.value"
          :title="`${count(lane.unrecorded, 'class', 'classes')} before today without a record`"
          @click="taughtUpToHere([lane])"
        >
          Taught up to here
        </button>
        <button
          v-if="lane.behind > 0 && !proposal"
          type="button"
          class="btn"
          :disabled="state.busy.value"
          @click="asked = lane"
        >
          Bring {{ lane.section }} into step…
        </button>
      </div>
      <div class="over">
        <span
          v-for="w in shown.weeks"
          :key="w.number"
          class="rule"
          :style="{ left: percent(w.at) }"
          aria-hidden="true"
        ></span>
        <span
          v-for="o in shown.off"
          :key="o.at"
          class="hatched offrun"
          :style="{ left: percent(o.at), width: percent(o.days) }"
          :title="o.reason"
          aria-hidden="true"
        ></span>
        <span class="nowline" :style="{ left: percent(shown.at) }" aria-hidden="true"></span>
        <span
          v-for="t in lane.tests"
          :key="t.course + t.id"
          class="shared"
          :style="{ left: percent(t.at + 0.5) }"
          :title="`${t.title}, shared by ${t.course}: ${weekdayDay(t.date)}`"
          ><span class="vh">{{ t.title }}, shared by {{ t.course }}: {{ weekdayDay(t.date) }}</span></span
        >
        <LaneLine :knots="lane.knots" :days="shown.days" :looks="looks(lane.course)" :codes="codes(lane.course)" />
        <LaneLine
          v-if="lane.stands"
          :knots="lane.stands"
          :days="shown.days"
          :looks="looks(lane.course)"
          :codes="codes(lane.course)"
          faint
        />
      </div>
    </section>
    <template v-if="other">
      <h2 class="title">{{ other.name }}, week by week below this term</h2>
      <section v-for="lane in otherLanes" :key="'o' + lane.course + lane.section" class="row">
        <div class="label">
          <h2>
            {{ lane.section }} <span class="soft">{{ lane.course }}</span>
          </h2>
          <p class="soft">{{ lane.meets }}</p>
          <p class="soft">{{ lane.taught }} of {{ lane.lessons }} taught in {{ lane.sessions }} classes</p>
        </div>
        <div class="over">
          <span
            v-for="o in other.off.filter((x) => x.at < shown!.days)"
            :key="o.at"
            class="hatched offrun"
            :style="{ left: percent(o.at), width: percent(o.days) }"
            :title="o.reason"
            aria-hidden="true"
          ></span>
          <LaneLine
            :knots="lane.knots.filter((k) => k.at < shown!.days)"
            :days="shown.days"
            :looks="otherLooks(lane.course)"
            :codes="otherCodes(lane.course)"
          />
        </div>
      </section>
      <p v-if="!otherLanes.length" class="soft empty">{{ other.name }} has none of these courses.</p>
    </template>
    <p v-if="!lanes.length" class="soft empty">
      No section yet. <RouterLink :to="`/terms/${termId}/term`">Set up the term</RouterLink> first.
    </p>
  </main>
  <main v-else class="page">
    <p v-if="!problem">Laying out the lanes…</p>
  </main>
  <ChangeLine :state="state" :held="asked !== null" :loaded="view !== null" @again="state.load()">
    <div v-if="shown" class="legend">
      <span><Knot taught /> taught</span><span><Knot /> planned, the number of the lesson</span
      ><span><Knot goes-on /> goes on</span><span><b class="tb">3</b> test</span
      ><span v-if="lanes.some((l) => l.tests.length)"><i class="shared key"></i> test shared by courses</span
      ><span><b class="mv">3</b> proposed here; the faint line as it stands</span
      ><span><i class="hatched sw"></i> no class</span><span><i class="nw"></i> now</span>
    </div>
  </ChangeLine>
  <InStepDialog v-if="asked" :term-id="termId" :lane="asked" :state="state" @close="asked = null" />
</template>

<style scoped>
.lanes {
  flex: 1;
  min-height: 0;
  overflow: auto;
}
.row {
  display: grid;
  grid-template-columns: 232px minmax(var(--wide), 1fr);
  width: max-content;
  min-width: 100%;
  border-bottom: 1px solid var(--rule-firm);
}
.top {
  position: sticky;
  left: 0;
  display: flex;
  gap: 14px;
  align-items: center;
  justify-content: space-between;
}
.top h2 {
  margin: 0;
  font-size: 16px;
}
.top label {
  font-size: 13px;
  white-space: nowrap;
}
.apart {
  margin: 0;
  padding: 4px 12px;
}
.shared {
  position: absolute;
  top: 2px;
  bottom: 2px;
  border-left: 3px solid var(--ink);
  z-index: 2;
}
.shared.key {
  position: static;
  height: 11px;
}
.title {
  margin: 0;
  padding: 9px 12px;
  font-size: 16px;
  border-bottom: 1px solid var(--ink);
  position: sticky;
  left: 0;
}
.head {
  position: sticky;
  top: 0;
  z-index: 6;
  background: var(--paper);
}
.label {
  padding: 8px 12px;
  border-right: 1px solid var(--rule-firm);
  background: var(--paper);
  position: sticky;
  left: 0;
  z-index: 4;
}
.label h2 {
  margin: 0;
  font-size: 16px;
}
.label p {
  margin: 1px 0;
}
.over {
  position: relative;
  padding: 6px 0;
  overflow: hidden;
}
.weeks {
  min-height: 34px;
}
.week {
  position: absolute;
  top: 8px;
  padding-left: 4px;
  white-space: nowrap;
}
.rule {
  position: absolute;
  top: 0;
  bottom: 0;
  border-left: 1px solid var(--rule);
}
.offrun {
  position: absolute;
  top: 0;
  bottom: 0;
}
.nowline {
  position: absolute;
  top: 0;
  bottom: 0;
  border-left: 2px solid var(--lantern);
  z-index: 2;
}
.empty {
  padding: 20px;
}
.tb {
  background: var(--ink);
  color: var(--paper);
  padding: 0 3px;
}
.mv {
  outline: 1.5px solid var(--ink);
  padding: 0 3px;
}
.sw {
  display: inline-block;
  width: 16px;
  height: 11px;
}
.nw {
  display: inline-block;
  height: 11px;
  border-left: 2px solid var(--lantern);
}
</style>
