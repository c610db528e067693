<script setup lang="ts">
import { ref } from "vue";
import type { Schemas } from "../api/client";
import { count } from "../ui/say";

/** The ways of rolling over as rows, all beside each other: what each would mess up, in words and in counts. */
const props = defineProps<{ ways: Schemas["RollWay"][]; days: number }>();
const by = defineModel<string>({ required: true });

const number = (word: string) => Number(word.slice(5));
const NAMES: Readonly<Record<string, string>> = {
  class: "By class",
  week: "By week of the term and weekday",
  "teaching-week": "By teaching week and weekday",
  rule: "By rule",
};
function name(word: string): string {
  if (!word.startsWith("days=")) return NAMES[word] ?? word;
  const n = number(word);
  const said = n === props.days ? ", first days match" : n % 7 === 0 ? `, ${n / 7} weeks` : "";
  return `By ${n} days${said}`;
}
/** Another number of days, as it is typed. */
const typed = ref("");
function other() {
  const n = typed.value.trim();
  if (/^-?\d{1,5}$/.test(n)) by.value = `days=${Number(n)}`;
}
const said = (n: number) => (n === 0 ? "none" : String(n));
</script>

<template>
  <table class="ways">
    <thead>
      <tr>
        <th scope="col">Which way</th>
        <th scope="col">What it would mess up</th>
        <th scope="col" class="n">change weekday</th>
        <th scope="col" class="n">land on a day off</th>
        <th scope="col" class="n">have their place</th>
        <th scope="col" class="n">wait for a hand</th>
        <th scope="col" class="n">have none</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="way in ways" :key="way.by" :class="{ chosen: way.by === by }">
        <th scope="row">
          <label><input v-model="by" type="radio" name="way" :value="way.by" /> {{ name(way.by) }}</label>
        </th>
        <td>{{ way.messes }}</td>
        <td class="n">{{ said(way.weekdays) }}</td>
        <td class="n">{{ said(way.landed) }}</td>
        <td class="n">{{ way.placed }}</td>
        <td class="n">{{ said(way.waiting) }}</td>
        <td class="n">
          {{ said(way.lost) }}<span v-if="way.noSession" class="soft of"> ({{ count(way.noSession, "lesson") }})</span>
        </td>
      </tr>
      <tr>
        <th scope="row" colspan="7">
          <form class="numbers" @submit.prevent="other">
            <label for="other-days">By another number of days</label>
            <input id="other-days" v-model="typed" class="field small" inputmode="numeric" pattern="-?[0-9]{1,5}" />
            <button type="submit" class="btn small">Look</button>
          </form>
        </th>
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
  padding: 3px 12px;
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
  width: 290px;
}
tbody label {
  font-weight: 650;
  font-size: 14.5px;
  margin-right: 8px;
}
.n {
  text-align: right;
  width: 92px;
}
td.n {
  font-weight: 650;
  font-variant-numeric: tabular-nums;
}
.of {
  display: block;
  white-space: nowrap;
  font-weight: 400;
  font-size: 12.5px;
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
  gap: 7px;
  align-items: center;
}
.numbers .field {
  width: 8ch;
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
    width: auto;
    font-size: 12px;
  }
  .of {
    display: inline;
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
    content: "placed: ";
  }
  td.n:nth-child(6)::before {
    content: "wait: ";
  }
  td.n:nth-child(7)::before {
    content: "none: ";
  }
}
</style>
