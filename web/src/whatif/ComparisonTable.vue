<script setup lang="ts">
import { computed } from "vue";
import type { Schemas } from "../api/client";
import SmallWall from "../draw/SmallWall.vue";
import { count, moment, weekdayDay } from "../ui/say";
import { threadOf } from "../draw/units";

/** The plan of a section with what-ifs beside it: weeks, problems, costs, and each date that is not everywhere the same. */
const props = defineProps<{ comparison: Schemas["ComparisonView"] }>();
const looks = computed(() => new Map(props.comparison.units.map((u) => [u.id, threadOf(u.number, u.colour ?? "")])));
const weeks = computed(() => props.comparison.columns[0]?.weeks ?? []);
const weeksSaid = computed(() =>
  weeks.value.length
    ? `Weeks ${weeks.value[0]!.number} to ${weeks.value[weeks.value.length - 1]!.number}`
    : "No week differs",
);
/** Problems that are said in full. */
const MOST = 4;
type Column = Schemas["ComparisonColumn"];
type Row = Schemas["ComparisonRow"];
const cost = (column: Column, kind: string) => column.costs.find((c) => c.kind === kind);
const kinds = computed(() => {
  const words = new Map<string, string>();
  for (const column of props.comparison.columns) for (const c of column.costs) words.set(c.kind, c.words);
  return [...words];
});
const date = (row: Row, n: number) => {
  const at = row.at[n];
  return !at ? "no date" : row.what === "lesson" ? weekdayDay(at.slice(0, 10)) : moment(at);
};
</script>

<template>
  <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions, vuejs-accessibility/no-noninteractive-element-interactions -->
  <div class="comparison" role="region" aria-label="Beside each other" tabindex="0">
    <table
      aria-label="The plan and what-ifs beside each other"
      :style="{ minWidth: `${comparison.columns.length * 236 + 150}px` }"
    >
      <thead>
        <tr>
          <th scope="col"><span class="vh">Of each</span></th>
          <th v-for="c in comparison.columns" :key="c.name" scope="col">{{ c.name }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-if="weeks.length">
          <th scope="row">{{ weeksSaid }}</th>
          <td v-for="c in comparison.columns" :key="c.name" class="walled">
            <SmallWall :weeks="c.weeks" :weekdays="comparison.weekdays" :looks="looks" />
          </td>
        </tr>
        <tr>
          <th scope="row">Findings of the term</th>
          <td v-for="c in comparison.columns" :key="c.name">
            <b>{{ count(c.problems, "problem") }}</b>, {{ count(c.warnings, "warning") }}
            <p v-for="p in c.appear.slice(0, MOST)" :key="p" class="look">▲ {{ p }}</p>
            <p v-if="c.appear.length > MOST" class="look">and {{ c.appear.length - MOST }} more</p>
            <p v-for="p in c.beside" :key="p" class="look">{{ p }}</p>
            <p v-for="p in c.goAway.slice(0, MOST)" :key="p" class="soft">gone: {{ p }}</p>
            <p v-if="c.broken" class="look">▲ {{ c.broken }}</p>
          </td>
        </tr>
        <tr>
          <th scope="row">Costs</th>
          <td v-for="c in comparison.columns" :key="c.name">
            <b>{{ c.total.toLocaleString("en") }}</b>
          </td>
        </tr>
        <tr v-for="[kind, words] in kinds" :key="kind" class="kind">
          <th scope="row">{{ words }}</th>
          <td v-for="c in comparison.columns" :key="c.name">
            <span v-if="cost(c, kind)">{{ cost(c, kind)!.times }} × {{ cost(c, kind)!.each }}</span>
          </td>
        </tr>
        <tr v-for="row in comparison.rows" :key="row.what + row.id">
          <th scope="row">
            <b v-if="row.what === 'lesson'">{{ row.id }}</b> {{ row.title
            }}<span v-if="row.what === 'due'" class="soft"> due</span>
          </th>
          <td v-for="(c, n) in comparison.columns" :key="c.name" :class="{ same: n > 0 && row.at[n] === row.at[0] }">
            <b v-if="n > 0 && row.at[n] !== row.at[0]" :class="{ look: !row.at[n] }">{{ date(row, n) }}</b>
            <template v-else>{{ date(row, n) }}</template>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="!comparison.rows.length" class="soft none">
      No lesson and no due date of {{ comparison.course }} {{ comparison.section }} differs.
    </p>
  </div>
</template>

<style scoped>
.comparison {
  overflow: auto;
  min-width: 0;
}
table {
  border-collapse: collapse;
  width: 100%;
  table-layout: fixed;
}
th,
td {
  border-bottom: 1px solid var(--rule);
  padding: 5px 12px;
  text-align: left;
  vertical-align: top;
}
td {
  border-left: 1px solid var(--rule-firm);
}
thead th {
  position: sticky;
  top: 0;
  z-index: 5;
  background: var(--paper);
  font-size: 15px;
  border-bottom: 1px solid var(--ink);
}
th:first-child {
  width: 150px;
  font-weight: 400;
}
td.walled {
  padding: 0;
}
td p {
  margin: 2px 0 0;
}
.same {
  color: var(--ink-faint);
}
.kind th {
  padding-left: 24px;
  color: var(--ink-soft);
}
.none {
  padding: 0 12px;
}
</style>
