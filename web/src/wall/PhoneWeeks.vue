<script setup lang="ts">
import { computed, nextTick, onMounted, ref } from "vue";
import type { Day, WallView } from "../api/client";
import { clock, dayMonth, weekdayName } from "../ui/say";
import LoadStrokes from "./LoadStrokes.vue";
import { noticeKey, noticeTime } from "./drawn";
import { hiddenKinds, showsItem, showsNotice } from "../draw/kinds";
import Mark from "../draw/Mark.vue";
import { isOff } from "../draw/rows";
import { unitsOf } from "../draw/units";
import { injectWall } from "../change/useWall";

/** The wall on a phone: weeks as lists, threads running down. */
const props = defineProps<{ wall: WallView; opened: string; picked: ReadonlySet<string> }>();
const emit = defineEmits<{
  off: [];
  shift: [];
  move: [];
  undo: [];
  pick: [key: string, date: string | undefined, more: boolean];
}>();

const { proposal, propose } = injectWall();
const list = ref<HTMLElement>();
const units = computed(() => unitsOf(props.wall));
const nowWeek = computed(
  () => props.wall.weeks.find((w) => w.days.some((d) => d.date >= props.wall.today))?.number ?? 1,
);

function go(week: number) {
  const at = list.value?.querySelector<HTMLElement>(`[data-week="${week}"]`);
  if (list.value && at) list.value.scrollTop = at.offsetTop - list.value.offsetTop;
}
onMounted(async () => {
  await nextTick();
  go(nowWeek.value);
});
function look(day: Day) {
  return day.thread ? (units.value.get(day.thread.unit)?.look ?? []) : [];
}
function reopen(day: Day) {
  void propose({
    kind: "remove-closure",
    first: day.date,
    last: day.date,
    ...(day.off?.reason ? { reason: day.off.reason } : {}),
  });
}
</script>

<template>
  <div class="phone">
    <div class="tabs" role="group" aria-label="Weeks">
      <button
        v-for="week in wall.weeks"
        :key="week.number"
        type="button"
        :class="{ now: week.number === nowWeek, over: week.over > 0 }"
        :aria-label="`Week ${week.number}, ${dayMonth(week.first)}`"
        @click.stop="go(week.number)"
      >
        {{ week.number }}
      </button>
    </div>
    <div ref="list" class="weeks">
      <section
        v-for="week in wall.weeks"
        :key="week.number"
        :data-week="week.number"
        :aria-label="`Week ${week.number}`"
      >
        <h2>
          <b>Week {{ week.number }}</b> <span class="soft">{{ dayMonth(week.first) }}</span>
          <span class="lo"
            ><LoadStrokes :minutes="week.minutes" :over="week.over" :limit="wall.section.weekLimit"
          /></span>
        </h2>
        <div
          v-for="day in week.days"
          :key="day.date"
          class="d"
          :class="{ past: day.past, hatched: isOff(day), today: day.today, open: day.date === opened }"
          :data-date="day.date"
        >
          <button
            type="button"
            class="plain date"
            :aria-expanded="day.date === opened"
            :aria-label="`Open ${dayMonth(day.date)}`"
          >
            {{ weekdayName(new Date(day.date + "T00:00:00Z").getUTCDay() || 7) }}
            <b>{{ Number(day.date.slice(8)) }}</b><span v-if="day.today" class="look"> today</span>
          </button>
          <span class="line" :class="look(day)"
            ><span v-if="day.thread && !isOff(day) && day.inTerm" class="upright"></span
            ><i
              v-for="l in day.lessons.slice(0, 1)"
              :key="l.id"
              class="k"
              :class="[{ taught: l.taught }, units.get(l.unit)?.look]"
            ></i
          ></span>
          <div class="what">
            <div v-if="day.off" class="why" :class="{ look: day.off.proposed }">
              {{ day.off.reason || "Day off"
              }}<span class="soft"
                >{{ day.off.noClass ? ", no class" : "" }}{{ day.off.nothingDue ? ", nothing due" : "" }}</span
              >
            </div>
            <div
              v-for="l in hiddenKinds.has('classes') ? [] : day.lessons"
              :key="l.id"
              class="le"
              :class="{ boxed: l.proposed }"
              :data-drag="l.taught ? undefined : 'lesson:' + l.id"
            >
              <span class="code" :class="units.get(l.unit)?.look">{{ l.id }}</span> {{ l.title }}
              <span v-if="l.parts > 1" class="soft">{{ l.part }} of {{ l.parts }}</span>
              <Mark v-if="l.pinned" is="pin" />
              <span v-if="l.told" class="toldso"><Mark is="told" /> {{ l.told }}</span>
            </div>
            <div v-if="!day.sessions.length && !day.off && day.inTerm && !day.items.length" class="soft">
              does not meet
            </div>
            <div v-else-if="day.sessions.length && !day.lessons.length" class="soft">nothing planned</div>
            <div
              v-for="i in day.items.filter((x) => showsItem(x, hiddenKinds))"
              :key="i.id + i.which"
              class="it"
              :class="{ boxed: i.proposed }"
              :data-drag="i.locked || i.course ? undefined : 'item:' + i.id"
            >
              <span class="t"
                ><Mark v-if="i.fixed" is="pin" /> <b v-if="i.test" class="box">{{ i.title }}</b><template v-else>{{
                  i.title
                }}</template
                ><span v-if="i.which !== 'main-due'" class="soft which">{{ i.which.replace("main-", "") }}</span></span
              >
              <span v-if="i.told" class="toldso"><Mark is="told" /> {{ i.told }}</span>
              <span class="soft">{{ clock(i.time) }}</span>
            </div>
            <div v-for="n in day.notices.filter((x) => showsNotice(x, hiddenKinds))" :key="noticeKey(n)" class="it">
              <span class="t"><i class="flag" aria-hidden="true"></i> {{ n.title }}</span>
              <span class="soft">{{ noticeTime(n) }}</span>
            </div>
            <div v-for="w in day.words" :key="w.text" class="soft words">{{ w.text }}</div>
            <div v-for="g in day.gone" :key="g.what + g.id" class="it">
              <s class="was">{{ g.title }}</s>
            </div>
            <div v-if="day.date === opened && !proposal && day.inTerm" class="act">
              <button v-if="day.off" type="button" class="btn" @click.stop="reopen(day)">No longer off</button>
              <button v-else type="button" class="btn" @click.stop="emit('off')">Day off</button>
              <button type="button" class="btn" @click.stop="emit('shift')">Later or earlier</button>
              <button type="button" class="btn" @click.stop="emit('move')">Move</button>
            </div>
          </div>
        </div>
      </section>
    </div>
    <nav class="foot" aria-label="On this page">
      <button type="button" @click.stop="go(nowWeek)">Now</button>
      <span>{{ wall.outline.noDate.length + wall.outline.noSession.length }} without a date</span>
      <button type="button" :disabled="!wall.undo || !!proposal" @click.stop="emit('undo')">Undo</button>
    </nav>
  </div>
</template>

<style scoped>
.phone {
  display: flex;
  flex-direction: column;
  flex: 1;
  min-width: 0;
  font-size: 14px;
  line-height: 20px;
}
.tabs {
  display: flex;
  overflow-x: auto;
  flex: none;
  border-bottom: 1px solid var(--ink);
}
.tabs button {
  flex: 1 0 24px;
  min-width: 24px;
  min-height: 34px;
  border: 0;
  border-right: 1px solid var(--rule);
  background: var(--paper-past);
  padding: 0;
}
.tabs .now {
  background: var(--paper);
  border-top: 2px solid var(--lantern);
  color: var(--lantern);
  font-weight: 700;
}
.tabs .over {
  border-bottom: 3px double var(--lantern);
}
.weeks {
  overflow-y: auto;
  flex: 1;
}
h2 {
  display: flex;
  gap: 8px;
  align-items: baseline;
  padding: 5px 12px;
  margin: 0;
  border-bottom: 1px solid var(--ink);
  position: sticky;
  top: 0;
  background: var(--paper);
  z-index: 3;
  font-weight: 400;
}
.lo {
  margin-left: auto;
  display: flex;
  gap: 8px;
  font-size: 12px;
  align-items: baseline;
}
.lo :deep(.st) {
  position: relative;
  width: 72px;
  height: 12px;
  display: inline-block;
}
.lo :deep(.st i) {
  position: absolute;
  bottom: 0;
  width: 2px;
  height: 12px;
  background: var(--ink-soft);
}
.lo :deep(.st i.h) {
  height: 6px;
}
.lo :deep(.st i.o) {
  background: var(--lantern);
  transform: skewX(-22deg);
}
.lo :deep(.st u) {
  display: none;
}
.d {
  display: grid;
  grid-template-columns: 62px 22px 1fr;
  border-bottom: 1px solid var(--rule);
  min-height: 34px;
  padding-right: 10px;
}
.d.past {
  background: var(--paper-past);
}
.d.today {
  box-shadow:
    inset 3px 0 0 var(--lantern),
    inset 0 2px 0 var(--lantern);
}
.d.open {
  outline: 2px solid var(--ink);
  outline-offset: -2px;
  background: var(--paper-raised);
}
.date {
  padding: 7px 0 7px 12px;
  text-align: left;
  align-self: start;
  min-height: 34px;
}
.line {
  position: relative;
  display: flex;
  justify-content: center;
}
.line .upright {
  height: 100%;
}
.line .k {
  position: absolute;
  top: 11px;
  width: 11px;
  height: 11px;
  border-radius: 50%;
  border: 2px solid var(--t);
  background: var(--paper);
}
.line .k.taught {
  background: var(--t);
}
.what {
  padding: 7px 0;
  min-width: 0;
}
.it {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  min-height: 22px;
}
.which {
  margin-left: 6px;
}
.code {
  margin-right: 2px;
}
.weeks {
  position: relative;
}
.hatched .why {
  background: var(--paper-off);
  display: inline-block;
  padding: 0 6px;
}
.boxed {
  outline: 1.5px solid var(--ink);
  padding: 0 3px;
}
.box {
  background: var(--ink);
  color: var(--paper);
  padding: 0 5px;
}
.act {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  margin-top: 6px;
}
.foot {
  flex: none;
  display: flex;
  border-top: 2px solid var(--ink);
  background: var(--paper-raised);
  align-items: center;
}
.foot > * {
  flex: 1;
  min-height: 46px;
  border: 0;
  background: none;
  display: flex;
  align-items: center;
  justify-content: center;
  text-align: center;
}
.foot button:disabled {
  opacity: 0.55;
}
</style>
