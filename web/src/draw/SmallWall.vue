<script setup lang="ts">
import type { Schemas } from "../api/client";
import Knot from "../ui/Knot.vue";
import { weekdayDay } from "../ui/say";

/** The weeks that a way changes, a row each: what is in each class, and struck what was. */
defineProps<{
  weeks: Schemas["WayWeek"][];
  weekdays: number[];
  looks: ReadonlyMap<string, string[]>;
}>();
const NAMES = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"];
type Day = Schemas["WayDay"];
const look = (day: Day, looks: ReadonlyMap<string, string[]>) => looks.get(day.lessons[0]?.unit ?? "") ?? [];
const dayNumber = (date: string) => Number(date.slice(8));
/** The whole of a day for those who hear it. */
const says = (day: Day) =>
  [
    weekdayDay(day.date),
    day.off ?? "",
    ...day.lessons.map((l) => `${l.id} ${l.title}${l.moved ? ", moved here" : ""}${l.test ? ", test" : ""}`),
    day.was.length ? `was ${day.was.join(", ")}` : "",
    day.classes && !day.lessons.length ? "class, nothing planned" : "",
  ]
    .filter(Boolean)
    .join(": ");
</script>

<template>
  <table class="small">
    <thead>
      <tr>
        <th scope="col"><span class="vh">Week</span></th>
        <th v-for="d in weekdays" :key="d" scope="col">{{ NAMES[d - 1] }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="w in weeks" :key="w.number">
        <th scope="row">{{ w.number }}</th>
        <td v-for="d in w.days" :key="d.date" :class="{ hatched: d.off, lost: d.off && d.was.length }">
          <span class="vh">{{ says(d) }}</span>
          <div aria-hidden="true">
            <span class="n">{{ dayNumber(d.date) }}</span>
            <span v-if="d.off" class="off" :class="{ look: d.was.length }">{{ d.off }}</span>
            <span
              v-for="l in d.lessons"
              :key="l.id"
              class="le"
              :class="[...(looks.get(l.unit) ?? []), { moved: l.moved }]"
              :title="l.title"
              ><span class="code">{{ l.id }}</span></span
            >
            <span v-if="d.lessons.some((l) => l.test && !l.goesOn)" class="tb">test</span>
            <span v-if="!d.off && d.classes && !d.lessons.length" class="soft">free</span>
            <s v-for="id in d.was" :key="id" class="was">{{ id }}</s>
          </div>
          <span v-if="d.lessons.length" class="line" :class="look(d, looks)" aria-hidden="true">
            <span class="thread"></span
            ><Knot class="knot" :taught="d.lessons[0]!.taught" :goes-on="d.lessons[0]!.goesOn" />
          </span>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.small {
  width: 100%;
  border-collapse: collapse;
  table-layout: fixed;
}
.small thead th {
  font-weight: 400;
  color: var(--ink-soft);
  text-align: left;
  padding: 3px 4px;
}
.small th:first-child {
  width: 26px;
  padding-left: 8px;
  text-align: left;
}
.small tbody th {
  border-top: 1px solid var(--rule);
  vertical-align: top;
  padding-top: 4px;
}
.small td {
  position: relative;
  height: 54px;
  border: 1px solid var(--rule);
  border-right: 0;
  vertical-align: top;
  padding: 3px 3px 0 4px;
  overflow: hidden;
}
.small td.lost {
  outline: 1.5px dashed var(--lantern);
  outline-offset: -2px;
}
.small td > div {
  display: flex;
  flex-wrap: wrap;
  gap: 0 4px;
  align-items: baseline;
  line-height: 17px;
}
.n {
  color: var(--ink-soft);
}
.off {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  max-width: 100%;
}
.le.moved {
  border: 1.5px solid var(--ink);
  padding: 0 2px;
  line-height: 14px;
  background: var(--paper-raised);
}
.was {
  color: var(--ink-faint);
}
.tb {
  background: var(--ink);
  color: var(--paper);
  padding: 0 3px;
  font-weight: 700;
  line-height: 15px;
}
.line {
  position: absolute;
  left: 5px;
  right: 0;
  bottom: 5px;
  height: 9px;
  display: flex;
  align-items: center;
}
.line .thread {
  width: 100%;
}
.knot {
  position: absolute;
  left: 0;
}
</style>
