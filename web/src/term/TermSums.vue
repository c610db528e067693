<script setup lang="ts">
import { computed } from "vue";
import type { CalendarView, Weekday } from "../api/client";
import { count, span, weekdayLong } from "../ui/say";
import { injectTerm } from "./useTerm";

/** What the term gives: days, classes and minutes, against what is asked. Old values are struck while one is proposed. */
const props = defineProps<{
  /** As it stands. */
  was: CalendarView;
  /** As it would be. */
  term: CalendarView;
}>();
const state = injectTerm();

const format = (n: number) => n.toLocaleString("en-US");
const many = computed(() => new Set(props.term.sections.map((s) => s.course)).size > 1);
const before = (n: number) => props.was.sections[n];
const short = computed(() =>
  props.term.weeks.flatMap((w) =>
    w.counts.flatMap((c, n) =>
      c.stand < c.usual ? [{ week: w.number, section: props.term.sections[n]!, stand: c.stand, usual: c.usual }] : [],
    ),
  ),
);
const shortSaid = computed(() => {
  const weeks = [...new Set(short.value.map((s) => s.week))];
  return weeks.length ? `${weeks.length === 1 ? "Week" : "Weeks"} ${weeks.join(", ")}` : "none";
});
const balance = computed(() =>
  props.term.balance
    .filter((b) => b.count > 0)
    .map((b) => `${weekdayLong(b.weekday)}s ${b.count}`)
    .join(", "),
);
const inAll = (n: number) => {
  const s = props.term.sections[n]!;
  return s.minutes + s.work;
};
function mend() {
  const swap = props.term.mend;
  if (swap)
    void state.propose({
      kind: "mark-days",
      first: swap.day,
      last: swap.day,
      as: "runs-as",
      weekday: swap.as as Weekday,
    });
}
</script>

<template>
  <section class="sec">
    <h2>
      What the term gives
      <span
        >{{ span(term.first, term.last) }}, {{ count(term.weekCount, "week")
        }}<template v-if="term.teachingWeeks !== term.weekCount"
          >, {{ term.teachingWeeks }} of them teaching</template
        ></span
      >
    </h2>
    <p>
      <span v-if="was.teachingDays !== term.teachingDays" class="was2">{{ was.teachingDays }}</span><b>{{
        term.teachingDays
      }}</b>
      teaching days: {{ balance }}.
      <button v-if="term.mend && !state.proposal.value" type="button" class="do" @click="mend">
        Even them out: {{ term.mend.said }}
      </button>
    </p>
    <table v-if="term.sections.length">
      <thead>
        <tr>
          <th scope="col">Section</th>
          <th scope="col" class="r">Classes</th>
          <th scope="col" class="r">Minutes of class</th>
          <th scope="col" class="r">Asked</th>
          <th scope="col">Missing</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(s, n) in term.sections" :key="s.course + s.section">
          <th scope="row">
            <b>{{ many ? `${s.course} ${s.section}` : s.section }}</b>
          </th>
          <td class="r">
            <span v-if="before(n) && before(n)!.sessions !== s.sessions" class="was2">{{
              before(n)!.sessions
            }}</span><b>{{ s.sessions }}</b>
          </td>
          <td class="r">
            <span v-if="before(n) && before(n)!.minutes !== s.minutes" class="was2">{{
              format(before(n)!.minutes)
            }}</span><b>{{ format(s.minutes) }}</b>
          </td>
          <td class="r">
            <template v-if="s.asked">{{ format(s.asked) }}</template>
            <template v-else-if="s.leastInAll"
              >{{ Math.round(s.leastInAll / 60) }}–{{ Math.round((s.mostInAll ?? 0) / 60) }} h in all</template
            >
            <span v-else class="soft">not said</span>
          </td>
          <td>
            <span v-if="s.missing" class="look"
              >{{ format(s.missing) }}, {{ count(s.missingSessions, "class", "classes") }}</span
            >
            <span v-else-if="s.leastInAll && inAll(n) < s.leastInAll" class="look"
              >{{ Math.ceil((s.leastInAll - inAll(n)) / 60) }} h of class and work</span
            >
            <span v-else-if="s.asked || s.leastInAll">none</span>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="soft">Weeks with fewer classes than usual: {{ shortSaid }}.</p>
  </section>
</template>

<style scoped>
p {
  margin: 3px 0;
}
tbody th {
  color: var(--ink);
  border-top: 1px solid var(--rule);
}
</style>
