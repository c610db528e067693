<script setup lang="ts">
import { computed, ref, watch } from "vue";
import type { CalendarView, Schemas } from "../api/client";
import DateField from "../ui/DateField.vue";
import { weekdayDay } from "../ui/say";
import { vSeen } from "../ui/seen";
import { clean, planOf } from "../api/plan";
import { injectTerm } from "./useTerm";

/** The term's bounds and weekdays, where the plan starts, and day letters. */
const props = defineProps<{ term: CalendarView }>();
const state = injectTerm();
const { busy, problem } = state;
const WEEKDAYS = ["MO", "TU", "WE", "TH", "FR", "SA", "SU"];

const editing = ref<"" | "term" | "letters">("");
const name = ref("");
const first = ref("");
const last = ref("");
const weekdays = ref<string[]>([]);
const weekStart = ref("MO");
const letters = ref("");
const advances = ref<NonNullable<Schemas["PlanRotation"]["advances"]>>("teaching-days");
const restartDay = ref("");
const restartLetter = ref("");
const restarts = ref<Record<string, string>>({});

const given = computed(() =>
  letters.value
    .trim()
    .split(/[\s,]+/)
    .filter(Boolean),
);
const said = computed(() => {
  const r = props.term.rotation;
  if (!r) return "none";
  const more = Object.entries(r.restarts).map(([d, l]) => `${l} again from ${weekdayDay(d)}`);
  return [
    r.letters.join(" "),
    r.advances === "teaching-days" ? "a day off uses up no letter" : "a day off uses up its letter",
    ...more,
  ].join(", ");
});

watch(editing, (now) => {
  problem.value = "";
  if (now === "term") {
    name.value = props.term.termName;
    first.value = props.term.first;
    last.value = props.term.last;
    weekdays.value = [...props.term.weekdays];
    weekStart.value = props.term.weekStart;
  } else if (now === "letters") {
    letters.value = props.term.rotation?.letters.join(" ") ?? "A B";
    advances.value = (props.term.rotation?.advances as typeof advances.value) ?? "teaching-days";
    restarts.value = { ...props.term.rotation?.restarts };
  }
});
async function saveTerm() {
  const plan = await planOf(state.termId);
  const term = {
    ...plan.term,
    name: name.value,
    first: first.value,
    last: last.value,
    weekdays: weekdays.value,
    weekStart: weekStart.value,
  };
  if (await state.propose({ kind: "set-term", term: clean(term) as Schemas["PlanTerm"] })) editing.value = "";
}
async function saveLetters(none: boolean) {
  const rotation = { letters: given.value, advances: advances.value, restarts: restarts.value };
  if (await state.propose({ kind: "set-rotation", ...(none ? {} : { rotation }) })) editing.value = "";
}
function addRestart() {
  if (restartDay.value && restartLetter.value) {
    restarts.value = { ...restarts.value, [restartDay.value]: restartLetter.value };
    restartDay.value = "";
  }
}
function dropRestart(day: string) {
  restarts.value = Object.fromEntries(Object.entries(restarts.value).filter(([d]) => d !== day));
}
</script>

<template>
  <section class="sec">
    <h2>Beginning and day letters</h2>
    <table>
      <tbody>
        <tr>
          <th scope="row">The term</th>
          <td>
            {{ weekdayDay(term.first) }} {{ term.first.slice(0, 4) }} to {{ weekdayDay(term.last) }}
            {{ term.last.slice(0, 4) }}, {{ term.weekdays.map((w) => w[0] + w[1]!.toLowerCase()).join(" ") }}
          </td>
          <td class="r">
            <button type="button" class="do" @click="editing = 'term'">change<span class="vh"> the term</span></button>
          </td>
        </tr>
        <tr>
          <th scope="row">First plan day</th>
          <td>{{ weekdayDay(term.firstPlanDay ?? term.first) }}</td>
          <td class="r">
            <button
              v-if="term.firstPlanDay"
              type="button"
              class="do"
              :disabled="busy"
              @click="state.propose({ kind: 'first-plan-day' })"
            >
              with the term
            </button>
          </td>
        </tr>
        <tr>
          <th scope="row">Day letters</th>
          <td>{{ said }}</td>
          <td class="r">
            <button type="button" class="do" @click="editing = 'letters'">
              {{ term.rotation ? "change" : "set a cycle of 2 to 10" }}<span class="vh"> day letters</span>
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <form v-if="editing === 'term'" v-seen class="form box" @submit.prevent="saveTerm">
      <label for="term-name">Name</label>
      <input id="term-name" v-model="name" class="field" maxlength="200" />
      <label for="term-first">First day</label>
      <DateField id="term-first" v-model="first" :term-id="state.termId" />
      <label for="term-last">Last day</label>
      <DateField id="term-last" v-model="last" :term-id="state.termId" />
      <span>Teaches on</span>
      <span class="ticks">
        <label v-for="w in WEEKDAYS" :key="w"
          ><input v-model="weekdays" type="checkbox" :value="w" />{{ w[0] }}{{ w[1]?.toLowerCase() }}</label
        >
      </span>
      <label for="term-start">Week begins on</label>
      <select id="term-start" v-model="weekStart" class="field">
        <option value="MO">Monday</option>
        <option value="SU">Sunday</option>
      </select>
      <p v-if="problem" class="problem wide" role="alert">{{ problem }}</p>
      <div class="wide actions">
        <button type="button" class="btn quiet" @click="editing = ''">Leave it</button>
        <button type="submit" class="btn go" :disabled="busy">See what it does</button>
      </div>
    </form>
    <form v-if="editing === 'letters'" v-seen class="form box" @submit.prevent="saveLetters(false)">
      <label for="letters">Letters</label>
      <span class="ticks">
        <input id="letters" v-model="letters" class="field" required placeholder="A B C D" />
        <span :class="given.length < 2 || given.length > 10 ? 'look' : 'soft'">{{ given.length }} of 2 to 10</span>
      </span>
      <label for="letters-advance">A day off</label>
      <select id="letters-advance" v-model="advances" class="field">
        <option value="teaching-days">uses up no letter</option>
        <option value="weekdays">uses up its letter</option>
      </select>
      <label for="letters-restart">Begin again on</label>
      <span class="ticks">
        <DateField id="letters-restart" v-model="restartDay" :term-id="state.termId" empty="no day" />
        <select v-model="restartLetter" class="field" aria-label="With letter">
          <option v-for="l in given" :key="l" :value="l">{{ l }}</option>
        </select>
        <button type="button" class="btn" :disabled="!restartDay || !restartLetter" @click="addRestart">Add</button>
      </span>
      <ul v-if="Object.keys(restarts).length" class="wide">
        <li v-for="(l, d) in restarts" :key="d">
          {{ weekdayDay(String(d)) }}: {{ l }}
          <button type="button" class="do" @click="dropRestart(String(d))">remove</button>
        </li>
      </ul>
      <p v-if="problem" class="problem wide" role="alert">{{ problem }}</p>
      <div class="wide actions">
        <button v-if="term.rotation" type="button" class="btn" :disabled="busy" @click="saveLetters(true)">
          No letters
        </button>
        <button type="button" class="btn quiet" @click="editing = ''">Leave it</button>
        <button type="submit" class="btn go" :disabled="busy || given.length < 2 || given.length > 10">
          See what it does
        </button>
      </div>
    </form>
  </section>
</template>

<style scoped>
th {
  width: 130px;
}
tr:first-child td,
tr:first-child th {
  border-top: 0;
}
.box {
  border-top: 1px solid var(--rule);
  padding-top: 8px;
  margin-top: 4px;
}
ul {
  margin: 0;
}
</style>
