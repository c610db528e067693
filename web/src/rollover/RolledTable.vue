<script setup lang="ts">
import { computed, ref } from "vue";
import type { Schemas } from "../api/client";
import { count, moment, weekdayDay } from "../ui/say";
import { threadOf } from "../draw/units";
import { type RolledRow, type RolloverView, handKey } from "./useRollover";

/** Every dated thing in the old term and in the new one, and why; first what needs a hand. */
const props = defineProps<{
  view: RolloverView;
  taken: ReadonlyMap<string, Schemas["TakenDate"]>;
  section: string;
  busy: boolean;
}>();
const emit = defineEmits<{ take: [rows: RolledRow[]]; leave: [key: string] }>();
const changed = ref(false);

const waits = computed(() => props.view.rows.filter((r) => r.hand));
/** A date by hand can be given to work, and to a lesson that was fixed. */
const takes = (row: RolledRow) => !!row.suggested && ["opens", "due", "closes", "pin"].includes(row.what);
const lost = computed(() => props.view.rows.filter((r) => r.what === "lesson" && !r.now && r.old));
const rowOf = (key: string) => props.view.rows.find((r) => handKey(r) === key);
const before = (key: string) => {
  const row = rowOf(key);
  return row ? at(row, row.old) : "";
};
const several = computed(() => new Set(props.view.rows.map((r) => r.course)).size > 1);
const mine = computed(() =>
  props.view.rows.filter(
    (r) => (!props.section || `${r.course}/${r.section}` === props.section) && (!changed.value || r.weekday),
  ),
);
/** The rows by section and unit, in order. */
const groups = computed(() => {
  const found: { key: string; head: string; row: RolledRow; rows: RolledRow[] }[] = [];
  for (const row of mine.value) {
    const key = `${row.course}/${row.section}/${row.unit ?? ""}`;
    const last = found[found.length - 1];
    if (last?.key === key) last.rows.push(row);
    else
      found.push({
        key,
        head: `${several.value ? row.course + " " : ""}${row.section}`,
        row,
        rows: [row],
      });
  }
  return found;
});
const lessons = (rows: RolledRow[]) => rows.filter((r) => r.what === "lesson").length;
/** Lessons have a day, work has a moment. */
const at = (row: RolledRow, date: string | null | undefined) =>
  date ? (["lesson", "pin"].includes(row.what) ? weekdayDay(date) : moment(date)) : "";
const word = (row: RolledRow) => (row.what === "lesson" ? "" : row.what === "pin" ? "pinned" : row.what);
</script>

<template>
  <table class="rolled">
    <thead>
      <tr>
        <th scope="col">{{ count(mine.length, "date") }} of {{ view.from || "the old term" }}</th>
        <th scope="col">{{ view.from || "Old" }}</th>
        <th scope="col">{{ view.to || "New" }}</th>
        <th scope="col">Why</th>
        <th scope="col">
          <label><input v-model="changed" type="checkbox" /> only what changes its weekday</label>
        </th>
      </tr>
    </thead>
    <tbody v-if="waits.length || lost.length || taken.size">
      <tr class="first">
        <th scope="rowgroup" colspan="4">
          Needs a hand first: {{ waits.length + lost.length }}
          <span class="soft">What you leave waits without a date in the new term.</span>
        </th>
        <td class="act">
          <button
            v-if="waits.some(takes)"
            type="button"
            class="btn small"
            :disabled="busy"
            @click="emit('take', waits.filter(takes))"
          >
            Take all
          </button>
        </td>
      </tr>
      <tr v-for="row in waits" :key="'w' + handKey(row) + row.section">
        <th scope="row">
          <b v-if="row.what === 'pin'">{{ row.id }}</b> {{ row.title }} <span class="soft">{{ word(row) }}</span>
        </th>
        <td>{{ at(row, row.old) }}</td>
        <td>
          <span v-if="row.suggested" class="maybe">{{ at(row, row.suggested) }}</span>
        </td>
        <td class="soft">{{ row.hand }}</td>
        <td class="act">
          <button
            v-if="takes(row)"
            type="button"
            class="btn small"
            :disabled="busy"
            :aria-label="`Take ${at(row, row.suggested)} for ${row.title}, ${row.what}`"
            @click="emit('take', [row])"
          >
            {{ row.what === "pin" ? "Pin here" : "Take" }}
          </button>
        </td>
      </tr>
      <tr v-for="row in lost" :key="'l' + handKey(row) + row.section">
        <th scope="row">
          <b>{{ row.id }}</b> {{ row.title }} <span class="soft">section {{ row.section }}</span>
        </th>
        <td>{{ at(row, row.old) }}</td>
        <td><b class="look">no session</b></td>
        <td class="soft" colspan="2">{{ row.why }}</td>
      </tr>
      <tr v-for="[key, t] in taken" :key="'t' + key">
        <th scope="row">
          {{ rowOf(key)?.title ?? t.id }} <span class="soft">{{ t.what === "pin" ? "pinned" : t.what }}</span>
        </th>
        <td>{{ before(key) }}</td>
        <td>
          <b>{{ moment(t.at) }}</b>
        </td>
        <td class="soft">taken</td>
        <td class="act">
          <button type="button" class="btn quiet small" :disabled="busy" @click="emit('leave', key)">Leave it</button>
        </td>
      </tr>
    </tbody>
    <tbody v-for="group in groups" :key="group.key">
      <tr class="unit">
        <th scope="rowgroup" colspan="5">
          <span
            v-if="group.row.unit"
            class="thread"
            :class="threadOf(group.row.number, group.row.colour ?? '')"
            aria-hidden="true"
          ></span>
          {{ group.row.unitCode }} {{ group.row.unit ?? "Notices" }}
          <span class="soft"
            >section {{ group.head }}; {{ count(lessons(group.rows), "lesson") }},
            {{ count(group.rows.length - lessons(group.rows), "other date") }}</span
          >
        </th>
      </tr>
      <tr v-for="row in group.rows" :key="row.section + handKey(row)">
        <th scope="row" :class="{ work: row.what !== 'lesson' }">
          <b v-if="row.what === 'lesson'">{{ row.id }}</b> {{ row.title }} <span class="soft">{{ word(row) }}</span>
        </th>
        <td>{{ at(row, row.old) }}</td>
        <td>
          <b v-if="row.now">{{ at(row, row.now) }}</b><span v-else class="look">{{
            row.what === "lesson" ? "no session" : "no date yet"
          }}</span>
        </td>
        <td class="soft">{{ row.why }}</td>
        <td>
          <span v-if="row.weekday" class="turn">{{ row.weekday }}</span>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.rolled {
  width: 100%;
  border-collapse: collapse;
  font-size: 13.5px;
  table-layout: fixed;
}
th,
td {
  text-align: left;
  padding: 3px 12px;
  border-bottom: 1px solid var(--rule);
  font-weight: 400;
  overflow-wrap: anywhere;
}
thead th {
  position: sticky;
  top: 0;
  z-index: 2;
  background: var(--paper);
  font-weight: 650;
  border-bottom: 1px solid var(--ink);
}
thead th:nth-child(1) {
  width: 25%;
}
thead th:nth-child(2),
thead th:nth-child(3) {
  width: 166px;
}
thead th:nth-child(5) {
  width: 238px;
}
thead label {
  font-weight: 400;
}
.first th,
.unit th {
  font-weight: 650;
}
.first > * {
  border-left: 0;
  background: var(--paper-raised);
}
.unit th {
  background: var(--paper-past);
}
.unit .thread {
  display: inline-block;
  width: 30px;
  margin-right: 8px;
  vertical-align: middle;
}
.work {
  padding-left: 30px;
}
.maybe {
  border: 1px dashed var(--rule-firm);
  padding: 1px 5px;
}
.act {
  text-align: right;
}
.small {
  min-height: 26px;
  padding: 1px 9px;
  font-size: 13px;
}
.turn {
  border-left: 3px double var(--ink);
  padding-left: 6px;
}
@media (width < 900px) {
  .rolled {
    table-layout: auto;
    min-width: 760px;
  }
}
</style>
