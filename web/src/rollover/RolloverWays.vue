<script setup lang="ts">
import { computed } from "vue";
import type { Schemas } from "../api/client";

/** The ways of rolling over as rows: what each would mess up, in words and in counts. */
const props = defineProps<{ ways: Schemas["RollWay"][]; days: number }>();
const by = defineModel<string>({ required: true });

const way = (word: string) => props.ways.find((w) => w.by === word);
const dayWays = computed(() => props.ways.filter((w) => w.by.startsWith("days=")));
const number = (word: string) => Number(word.slice(5));
const week = computed(() => (by.value === "teaching-week" ? "teaching-week" : "week"));
const days = computed(() => (by.value.startsWith("days=") ? by.value : `days=${props.days}`));
const rows = computed(() => [
  { word: "class", name: "By class", chosen: by.value === "class" },
  { word: week.value, name: "By week and weekday", chosen: by.value === week.value },
  { word: days.value, name: "By a number of days", chosen: by.value.startsWith("days=") },
  { word: "rule", name: "By rule", chosen: by.value === "rule" },
]);
const said = (n: number | undefined) => (n === undefined ? "" : n === 0 ? "none" : String(n));
</script>

<template>
  <table class="ways">
    <thead>
      <tr>
        <th scope="col">Which way</th>
        <th scope="col">What it would mess up</th>
        <th scope="col" class="n">change their weekday</th>
        <th scope="col" class="n">land on a day off</th>
        <th scope="col" class="n">lessons with no session</th>
        <th scope="col" class="n">wait for a hand</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.name" :class="{ chosen: row.chosen }">
        <th scope="row">
          <label><input v-model="by" type="radio" name="way" :value="row.word" /> {{ row.name }}</label>
          <select
            v-if="row.name === 'By week and weekday'"
            class="field small"
            aria-label="Which weeks are counted"
            :value="week"
            @change="by = ($event.target as HTMLSelectElement).value"
          >
            <option value="week">weeks of the term</option>
            <option value="teaching-week">teaching weeks</option>
          </select>
          <span v-if="row.name === 'By a number of days'" class="numbers" role="group" aria-label="How many days">
            <button
              v-for="d in dayWays"
              :key="d.by"
              type="button"
              class="btn small"
              :aria-pressed="by === d.by"
              @click="by = d.by"
            >
              {{ number(d.by) }}
            </button>
          </span>
        </th>
        <td>{{ way(row.word)?.messes }}</td>
        <td class="n">{{ said(way(row.word)?.weekdays) }}</td>
        <td class="n">{{ said(way(row.word)?.landed) }}</td>
        <td class="n">{{ said(way(row.word)?.noSession) }}</td>
        <td class="n">{{ said(way(row.word)?.hands) }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.ways {
  width: 100%;
  border-collapse: collapse;
  font-size: 13.5px;
}
th,
td {
  text-align: left;
  padding: 6px 12px;
  border-bottom: 1px solid var(--rule);
  vertical-align: middle;
}
thead th {
  font-weight: 400;
  color: var(--ink-soft);
  padding-top: 3px;
  padding-bottom: 3px;
}
tbody th {
  font-weight: 400;
  width: 340px;
}
tbody label {
  font-weight: 650;
  font-size: 14.5px;
  margin-right: 8px;
}
.n {
  text-align: right;
  width: 104px;
}
td.n {
  font-weight: 650;
  font-variant-numeric: tabular-nums;
}
.chosen > * {
  background: var(--paper-raised);
  border-top: 2px solid var(--ink);
  border-bottom: 2px solid var(--ink);
}
.small {
  min-height: 26px;
  padding: 1px 7px;
  font-size: 13px;
}
.numbers {
  display: inline-flex;
  gap: 5px;
}
.numbers [aria-pressed="true"] {
  font-weight: 700;
  text-decoration: underline;
  background: var(--paper-raised);
}
@media (width < 900px) {
  .ways,
  tbody,
  tr,
  td,
  th {
    display: block;
    width: auto;
  }
  thead {
    display: none;
  }
  td.n {
    display: inline-block;
    border: 0;
    font-size: 12px;
  }
  td.n::before {
    font-weight: 400;
  }
  td.n:nth-child(3)::before {
    content: "weekdays: ";
  }
  td.n:nth-child(4)::before {
    content: "days off: ";
  }
  td.n:nth-child(5)::before {
    content: "no session: ";
  }
  td.n:nth-child(6)::before {
    content: "wait: ";
  }
}
</style>
