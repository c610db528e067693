<script setup lang="ts">
import { computed } from "vue";
import type { WallView, Week } from "../api/client";
import { dayMonth, span } from "../ui/say";
import DayCell from "./DayCell.vue";
import LoadStrokes from "./LoadStrokes.vue";
import type { Cell } from "../draw/rows";
import PastCell from "./PastCell.vue";
import type { Looks } from "../draw/units";
import type { PastWeek } from "./usePast";

/** One week of the wall. Given only what concerns this week, so that a week that says the same is not drawn again. */
const props = defineProps<{
  week: Week;
  cells: readonly Cell[];
  columns: WallView["columns"];
  course: string;
  looks: Looks;
  /** Width for work in each column, in pixels. */
  room: readonly number[];
  /** A week that is away as a whole is one band. */
  band: boolean;
  /** The day of this week that the keys stand on, that is opened, and over which something is carried; else empty. */
  focus: string;
  opened: string;
  over: string;
  /** What dropping there means. */
  says: string;
  /** First and last day of a chosen run. */
  run: [string, string] | null;
  carrying: boolean;
  picked: ReadonlySet<string>;
  /** Minutes of work a week. */
  limit: number;
  /** The wall is close-set; then one week is open. */
  close: boolean;
  open: boolean;
  /** The same week of an earlier term, null where that has none; undefined where no term lies beside this one. */
  then?: PastWeek | null | undefined;
}>();
const emit = defineEmits<{ keep: [] }>();
const past = computed(() => props.week.days.every((d) => d.past));
</script>

<template>
  <div role="row" class="row" :class="{ nr: cells.some((c) => c.nowLeft) }">
    <div v-if="band" class="brk hatched" :class="{ beside: then !== undefined }" role="gridcell">
      <span class="when">{{ span(week.days[0]!.date, week.days[week.days.length - 1]!.date) }}</span>
      <span class="whole">{{ week.away || "no class" }}</span>
    </div>
    <template v-else>
      <div
        class="wk"
        role="rowheader"
        :class="{ past, o: close && open }"
        :title="
          week.teachingWeek
            ? `Week ${week.number} of the term; week ${week.teachingWeek} of those that teach`
            : `Week ${week.number}`
        "
      >
        <button
          v-if="close"
          type="button"
          class="plain"
          :aria-label="`Keep week ${week.number} open`"
          tabindex="-1"
          @click.stop="emit('keep')"
        >
          <b>{{ week.number }}</b>
        </button>
        <b v-else>{{ week.number }}</b><small
          v-if="week.teachingWeek && week.teachingWeek !== week.number"
          aria-hidden="true"
          >({{ week.teachingWeek }})</small
        ><i v-if="week.headline || week.targets.length" :title="[week.headline, ...week.targets].join('; ')"
          ><span class="vh">{{ week.headline }}. {{ week.targets.join(". ") }}</span
          ><span aria-hidden="true">¶</span></i
        ><span>{{ dayMonth(week.first) }}</span>
      </div>
      <DayCell
        v-for="(cell, n) in cells"
        :key="cell.day.date"
        :cell="cell"
        :looks="looks"
        :meets="columns[n]!.meets"
        :course="course"
        :room="room[n] ?? 100"
        :close="close && !open"
        :open="close && open"
        :opened="cell.day.date === opened"
        :chosen="run !== null && cell.day.date >= run[0] && cell.day.date <= run[1]"
        :picked="picked"
        :carrying="carrying"
        :target="over === cell.day.date ? says : ''"
        :tabbable="cell.day.date === focus"
      />
      <div class="load" role="gridcell" :class="{ past, o: close && open }">
        <LoadStrokes :minutes="week.minutes" :over="week.over" :limit="limit" :close="close && !open" />
      </div>
    </template>
    <PastCell v-if="then !== undefined" :week="then" />
  </div>
</template>
