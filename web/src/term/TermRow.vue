<script setup lang="ts">
import { computed } from "vue";
import type { CalendarDay, CalendarView, CalendarWeek, ClosureView } from "../api/client";
import { clock, dayMonth, numberOf, span, weekdayDay, weekdayName } from "../ui/say";

/** One week of the term as it is set up. Given only what concerns it, so that other weeks are not drawn again. */
const props = defineProps<{
  week: CalendarWeek;
  closures: readonly ClosureView[];
  sections: CalendarView["sections"];
  /** Indexes of the sections whose classes are drawn. */
  drawn: readonly number[];
  /** The first plan day where one is set; empty for the term's first day. */
  planStart: string;
  columns: CalendarView["columns"];
  /** The part of a painted run that lies in this week, first and last day; empty for none. */
  from: string;
  to: string;
  focus: string;
  close: boolean;
}>();

interface Shown {
  day: CalendarDay;
  off: ClosureView | null;
  index: number;
  /** First of its run in this row, and how many days of the row the run covers. */
  begins: boolean;
  length: number;
  words: string;
  month: boolean;
  monthLeft: boolean;
}

const shortWeekday = (code: string) =>
  weekdayName(["", "MO", "TU", "WE", "TH", "FR", "SA", "SU"].indexOf(code)) || code;

function marks(day: CalendarDay): string[] {
  const said: string[] = [];
  if (day.runsAs) said.push(`runs as ${shortWeekday(day.runsAs)}`);
  if (day.extra) said.push("teaches");
  if (day.planStart && day.date === props.planStart) said.push("plan starts");
  for (const n of day.parts) {
    const c = props.closures[n];
    if (!c) continue;
    const hours = c.from && c.to ? `${clock(c.from)}–${clock(c.to)} ` : "";
    const what = c.noClass ? "" : c.planPauses ? "lessons wait: " : "nothing due: ";
    said.push(`${what}${hours}${c.reason}${c.only ? ` (${c.only.join(", ")})` : ""}`);
  }
  return said;
}

const days = computed<Shown[]>(() =>
  props.week.days.map((day, n) => {
    const index = day.off ?? -1;
    const off = props.closures[index] ?? null;
    const before = props.week.days[n - 1];
    let length = 0;
    if (off) while ((props.week.days[n + length]?.off ?? -2) === index) length++;
    const number = Number(day.date.slice(8));
    return {
      day,
      off,
      index,
      begins: off !== null && before?.off !== day.off,
      length,
      words: marks(day).join("; "),
      month: number <= 7 && day.inTerm,
      monthLeft: number === 1 && n > 0 && day.inTerm,
    };
  }),
);
const number = (s: Shown) =>
  s.off && s.begins && s.length > 1
    ? span(s.day.date, props.week.days[props.week.days.indexOf(s.day) + s.length - 1]!.date)
    : s.off && !s.begins
      ? ""
      : numberOf(s.day.date);

const classes = (day: CalendarDay) => day.sessions.filter((c) => props.drawn.includes(c.section));

function label(s: Shown): string {
  const words = [weekdayDay(s.day.date)];
  if (s.day.today) words.push("today");
  if (!s.day.inTerm) words.push("outside the term");
  else if (!s.day.teaches && !s.off) words.push("does not teach");
  if (s.off) words.push(`${s.off.reason || "day off"}, ${s.off.days}${s.off.justInCase ? ", not certain" : ""}`);
  if (s.day.letter) words.push(`day ${s.day.letter}`);
  if (s.words) words.push(s.words);
  for (const c of classes(s.day)) {
    const section = props.sections[c.section];
    words.push(`${section?.course} ${section?.section} class ${c.number}${c.paused ? ", lessons wait" : ""}`);
  }
  return words.join(". ");
}
const counts = computed(() => props.drawn.map((n) => ({ n, stand: 0, usual: 0, ...props.week.counts[n] })));
const name = (n: number) => props.sections[n]?.section ?? "";
</script>

<template>
  <div role="row" class="row">
    <div
      class="tw"
      role="rowheader"
      :title="
        week.teachingWeek
          ? `Week ${week.number} of the term; week ${week.teachingWeek} of those that teach`
          : `Week ${week.number}`
      "
    >
      <b>{{ week.number }}</b><small v-if="week.teachingWeek && week.teachingWeek !== week.number"
        >({{ week.teachingWeek }})</small
      >
      <span>{{ dayMonth(week.first) }}</span>
    </div>
    <div
      v-for="(s, n) in days"
      :key="s.day.date"
      class="td"
      role="gridcell"
      :data-date="s.day.date"
      :tabindex="s.day.date === focus ? 0 : -1"
      :aria-label="label(s)"
      :aria-selected="from !== '' && s.day.date >= from && s.day.date <= to"
      :class="{
        we: !columns[n]?.teaches && !s.day.teaches,
        out: !s.day.inTerm,
        hatched: s.off,
        begins: s.off && s.begins,
        jic: s.off?.justInCase,
        'run-on': s.off && n < 6 && week.days[n + 1]?.off === s.day.off,
        brush: from !== '' && s.day.date >= from && s.day.date <= to,
        prop: s.off?.proposed,
        past: s.day.past,
        tday: s.day.today,
        nt: s.day.today,
        mt: s.month,
        ml: s.monthLeft,
        pstart: s.day.planStart,
        more: s.day.extra || s.day.runsAs,
      }"
    >
      <span class="n">{{ number(s) }}</span>
      <span v-if="s.day.letter" class="letter" aria-hidden="true">{{ s.day.letter }}</span>
      <span
        v-if="s.off && s.begins"
        class="why"
        :class="{ one: s.length === 1 }"
        :style="{ width: `calc(${s.length * 100}% - 10px)` }"
        ><span :class="{ look: s.off.proposed }">{{ s.off.reason || "Day off" }}</span></span
      >
      <template v-if="s.off">
        <i
          v-if="s.day.date === s.off.first"
          class="end l"
          :data-end="s.index"
          :data-other="s.off.last"
          title="Drag to begin elsewhere"
        ></i>
        <i
          v-if="s.day.date === s.off.last"
          class="end r"
          :data-end="s.index"
          :data-other="s.off.first"
          title="Drag to end elsewhere"
        ></i>
      </template>
      <span v-if="s.words && !close" class="fp" :title="s.words">{{ s.words }}</span>
      <span v-else-if="s.words" class="dot" :title="s.words" aria-hidden="true">·</span>
      <span v-if="!s.off || classes(s.day).length" class="sss">
        <span
          v-for="c in close ? [] : classes(s.day).slice(0, 3)"
          :key="c.section + c.name"
          class="ss"
          :class="[
            `s${drawn.indexOf(c.section) % 4}`,
            { paused: c.paused, moved: c.origin === 'moved', added: c.origin === 'added' },
          ]"
          ><i aria-hidden="true"></i>{{ name(c.section) }} {{ c.number }}</span
        >
        <span v-if="close && classes(s.day).length" class="ss n" aria-hidden="true"
          ><i v-for="c in classes(s.day)" :key="c.section + c.name" :class="`s${drawn.indexOf(c.section) % 4}`"></i
        ></span>
        <span v-else-if="classes(s.day).length > 3" class="ss n">+{{ classes(s.day).length - 3 }}</span>
      </span>
    </div>
    <div v-for="{ n, stand, usual } in counts" :key="n" class="tc" role="gridcell">
      <b :class="{ look: stand < usual }">{{ usual || stand ? stand : "" }}</b><template v-if="stand < usual">
        of {{ usual }}</template
      >
    </div>
  </div>
</template>
