<script setup lang="ts">
import { computed } from "vue";
import { hours } from "../ui/say";
import Mark from "../draw/Mark.vue";
import { draw } from "./drawn";
import type { Cell } from "../draw/rows";
import type { Looks } from "../draw/units";

/** One day of the wall. Presses, drags and keys are heard by the grid around it. */
const props = defineProps<{
  cell: Cell;
  looks: Looks;
  meets: boolean;
  /** The wall's course. */
  course: string;
  /** Width for work, in pixels. */
  room: number;
  /** One line a day; of the one week that is open then, all. */
  close: boolean;
  open: boolean;
  opened: boolean;
  /** In the chosen run of days. */
  chosen: boolean;
  /** Ids of chosen lessons and items. */
  picked: ReadonlySet<string>;
  /** A thing is being carried over it. */
  target: string;
  /** Something is being carried: the day says how full it is, in place of its work. */
  carrying: boolean;
  tabbable: boolean;
}>();

const day = computed(() => props.cell.day);
/** What there is no room for. */
const hidden = computed(() =>
  shows.value.items
    .slice(shows.value.fits)
    .map((i) => i.words)
    .join("\n"),
);
const shows = computed(() => draw(props.cell, props.looks, props.room, props.close, props.course));
</script>

<template>
  <div
    class="day"
    role="gridcell"
    :class="{
      past: day.past,
      narrow: !meets,
      hatched: cell.off,
      opened,
      chosen,
      outside: !day.inTerm,
      'run-on': cell.runGoesOn,
      'run-begins': cell.runLength > 0,
      prop: day.off?.proposed,
      o: open,
      nt: cell.nowTop,
      nl: cell.nowLeft,
      tb: cell.toldBottom,
      tr: cell.toldRight,
      target: target !== '',
    }"
    :data-date="day.date"
    :tabindex="tabbable ? 0 : -1"
    :aria-label="shows.label"
    :aria-selected="chosen || opened"
  >
    <span class="n" :class="{ today: day.today }">{{ shows.number }}</span>
    <template v-if="cell.off">
      <span v-if="cell.runLength > 0" class="why" :style="{ width: `calc(${cell.runLength * 100}% - 8px)` }"
        ><span :class="{ look: day.off?.proposed }">{{ day.off?.reason || "Day off" }}</span></span
      >
    </template>
    <template v-else>
      <div class="ti" :class="{ wn: shows.number.length > 2 && meets }">
        <span
          v-for="lesson in shows.lessons"
          :key="lesson.id"
          class="le"
          :class="[
            ...(looks.get(lesson.unit) ?? []),
            { neu: lesson.proposed, picked: picked.has('lesson:' + lesson.id) },
          ]"
          :data-drag="lesson.taught ? undefined : 'lesson:' + lesson.id"
          :data-thing="'lesson:' + lesson.id"
          :title="[`${lesson.id} ${lesson.title}`, lesson.told].filter(Boolean).join(', ')"
        >
          <span class="code">{{ lesson.id }}</span>
          <span class="nm" :class="{ reserve: lesson.reserve, soft: lesson.optional }">{{ lesson.title }}</span>
          <span v-if="lesson.parts > 1 && !close" class="soft part">{{ lesson.part }}/{{ lesson.parts }}</span>
          <Mark v-if="lesson.pinned" is="pin" /><Mark v-if="lesson.told" is="told" />
        </span>
        <span v-if="shows.none" class="none">{{ shows.none }}</span>
        <s v-for="g in shows.goneLessons" :key="g.id" class="was" :title="`${g.title}: ${g.why}`">{{ g.id }}</s>
        <span v-if="close && shows.items.length" class="cn">
          <span v-if="shows.test" class="tb">{{ shows.test.shortName }}</span>
          <template v-if="shows.others > 0"><i></i>{{ shows.others }}</template>
        </span>
        <span v-if="day.today" class="look tdy">today</span>
      </div>
      <div
        v-if="day.thread && day.inTerm"
        class="run"
        :class="[...shows.thread, { start: day.thread.begins, end: day.thread.ends }]"
      >
        <span class="thread"></span>
      </div>
      <span v-if="shows.knot" class="knot" :class="shows.knot"></span>
      <span v-else-if="shows.empty" class="gap"></span>
      <span v-if="day.thread?.ends" class="tail" :class="shows.thread"><Mark is="tail" /></span>
      <span v-if="cell.holeLeft" class="hole l" :class="shows.thread"></span>
      <span v-if="cell.holeRight" class="hole r" :class="shows.thread"></span>
    </template>
    <div
      v-if="carrying && !close && day.inTerm && !(day.off?.nothingDue && !day.load.due)"
      class="due full"
      :class="{ on: cell.off }"
    >
      <template v-if="day.load.due">
        <span v-if="day.load.tests" class="it test">{{
          day.load.tests === 1 ? "test" : `${day.load.tests} tests`
        }}</span>
        <span class="it">{{ day.load.due }} due</span>
        <span class="soft" title="of work due on it">{{ hours(day.load.minutes) }}</span>
        <span v-if="day.load.over" class="look">{{ hours(day.load.over) }} over</span>
      </template>
      <span v-else class="soft">free</span>
      <span v-if="day.load.work" class="soft" title="of work on it, each thing spread over the days until it is due"
        >{{ hours(day.load.work) }} a day</span
      >
    </div>
    <div v-else-if="!close && (shows.items.length || shows.goneWork.length)" class="due" :class="{ on: cell.off }">
      <span
        v-for="item in shows.items.slice(0, shows.fits)"
        :key="item.key"
        class="it"
        :class="{
          test: item.test,
          read: item.reading,
          ntc: item.notice,
          wrd: item.word,
          neu2: item.proposed,
          picked: picked.has(item.key),
        }"
        :data-drag="item.carries ? item.key : undefined"
        :data-thing="/^(item|notice|shared):/.test(item.key) ? item.key : undefined"
        :title="item.words"
        ><Mark v-if="item.told" is="told" /><Mark v-if="item.locked" is="lock" /><Mark
          v-else-if="item.fixed"
          is="pin"
        />{{ item.shortName }}<span v-if="item.draft" class="draft">draft</span></span
      >
      <span v-if="shows.items.length > shows.fits" class="more" :data-hidden="hidden"
        >+{{ shows.items.length - shows.fits }}</span
      >
      <s v-for="g in shows.goneWork.slice(0, 2)" :key="g.what + g.id" class="was" :title="`${g.title}: ${g.why}`">{{
        g.title
      }}</s>
      <span v-if="shows.goneWork.length > 2" class="more">−{{ shows.goneWork.length - 2 }}</span>
    </div>
    <span v-if="shows.opens.length && !carrying" class="opn" :title="shows.opens.join('\n')" aria-hidden="true"
      ><Mark is="opens" /><template v-if="shows.opens.length > 1">{{ shows.opens.length }}</template></span
    >
    <span v-if="shows.goesOn" class="pencil" aria-hidden="true"></span>
    <span v-if="target" class="says">{{ target }}</span>
  </div>
</template>
