<script setup lang="ts">
import { computed, ref } from "vue";
import type { Schemas } from "../api/client";
import type { ChangeState } from "../change/useChanges";
import DateField from "../ui/DateField.vue";
import Dialog from "../ui/Dialog.vue";
import { count, lateness, moment, weekdayDay } from "../ui/say";

/** What students were told beside what is planned, section by section, and telling them. */
const props = defineProps<{
  state: Omit<ChangeState<unknown>, "load" | "view" | "shown">;
  telling: Schemas["TellingView"];
  /** The section that is looked at, as "HYD 210/A"; may be empty. */
  here: string;
}>();
const emit = defineEmits<{ done: [] }>();
const { problem, busy, digest, propose } = props.state;

type Section = Schemas["SectionTold"];
const key = (s: Section) => `${s.course}/${s.section}`;
const differ = (s: Section) => s.dates.length + s.sessions.length;
const waiting = (s: Section) => differ(s) > 0 && s.begun;
const sections = props.telling.sections;
const first =
  sections.find((s) => key(s) === props.here && waiting(s)) ??
  sections.find(waiting) ??
  sections.find((s) => key(s) === props.here) ??
  sections[0];
const chosen = ref(first ? key(first) : "");
const section = computed(() => sections.find((s) => key(s) === chosen.value));
const upTo = ref(first?.upTo ?? "");
const all = ref(!first?.upTo);
const why = ref("");
/** As many dates are listed; the rest is counted. */
const MOST = 40;

function choose(now: string) {
  chosen.value = now;
  const to = section.value?.upTo;
  all.value = !to;
  upTo.value = to ?? "";
}
const said = computed(() => {
  const s = section.value;
  if (!s) return "";
  const last = s.last ? `, last told ${moment(s.last)}` : "";
  const far = s.upTo ? `, dates up to ${weekdayDay(s.upTo)}` : "";
  return s.begun ? `${count(s.students, "student")}${last}${far}` : `${count(s.students, "student")}, told nothing yet`;
});
const date = (what: string, at?: string | null, none = "no date") =>
  !at ? none : what === "lesson" || at.endsWith("T00:00:00") ? weekdayDay(at.slice(0, 10)) : moment(at);
function effect(d: Schemas["UntoldDate"]): string {
  if (d.days == null) return "";
  const by =
    d.days === 0
      ? "another time of the day"
      : d.days > 0
        ? `${count(d.days, "day")} more`
        : `${count(-d.days, "day")} less`;
  const late = { becomes: d.becomesLate, noLonger: d.noLongerLate, handedIn: d.handedIn };
  return d.handedIn ? `${by}; ${lateness(late)}` : by;
}

async function tell() {
  const s = section.value;
  if (!s) return;
  const made = await propose({
    kind: "tell",
    course: s.course,
    section: s.section,
    ...(all.value ? {} : { upTo: upTo.value }),
    ...(why.value.trim() ? { why: why.value.trim() } : {}),
  });
  if (made) emit("done");
}
function close() {
  problem.value = "";
  emit("done");
}
</script>

<template>
  <Dialog
    :visible="true"
    modal
    header="What students were told"
    :style="{ width: '760px' }"
    dismissable-mask
    @update:visible="close"
  >
    <form v-if="section" class="tell" @submit.prevent="tell">
      <p>
        <select
          :value="chosen"
          class="field"
          aria-label="Section"
          @change="choose(($event.target as HTMLSelectElement).value)"
        >
          <option v-for="s in sections" :key="key(s)" :value="key(s)">
            {{ s.course }} {{ s.section }}{{ waiting(s) ? `: ${differ(s)} not told` : "" }}
          </option>
        </select>
        <span class="soft">{{ said }}</span>
      </p>
      <p v-if="!section.begun">
        Students see a date when they are told it. From the first telling on, each change tells them what it alters,
        unless you untick “students see this”. There {{ section.dates.length === 1 ? "is" : "are" }}
        {{ count(section.dates.length, "date") }} to tell.
      </p>
      <p v-else-if="!differ(section)">Students were told every date{{ section.upTo ? " up to that day" : "" }}.</p>
      <div v-else class="scroll">
        <table class="moves">
          <thead>
            <tr>
              <th scope="col">Date</th>
              <th scope="col">Students were told</th>
              <th scope="col">Planned</th>
              <th scope="col"></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="d in section.dates.slice(0, MOST)" :key="d.what + d.id">
              <td>
                <b v-if="d.what === 'lesson'">{{ d.id }}</b> {{ d.title }}
                <span v-if="d.what !== 'lesson' && !d.id.startsWith('notice:')" class="soft">{{ d.what }}</span>
              </td>
              <td>{{ date(d.what, d.told, "nothing yet") }}</td>
              <td>
                <b>{{ date(d.what, d.now, "not planned any more") }}</b>
              </td>
              <td :class="{ look: (d.days ?? 0) < 0 }">{{ effect(d) }}</td>
            </tr>
            <tr v-for="c in section.begun ? section.sessions.slice(0, MOST) : []" :key="c.session">
              <td>class of {{ weekdayDay(c.session.slice(0, 10)) }}</td>
              <td>{{ c.told }}</td>
              <td>
                <b>{{ c.now }}</b>
              </td>
              <td></td>
            </tr>
          </tbody>
        </table>
        <p v-if="section.dates.length > MOST" class="soft">and {{ section.dates.length - MOST }} more</p>
      </div>
      <p class="ticks" role="radiogroup" aria-label="Which dates to tell">
        <label><input v-model="all" type="radio" :value="true" />all dates</label>
        <label><input v-model="all" type="radio" :value="false" />dates up to</label>
        <DateField
          v-if="!all"
          id="tell-up-to"
          v-model="upTo"
          :term-id="state.termId"
          :section="chosen"
          label="Dates up to"
        />
      </p>
      <label for="tell-why">Why, in one sentence <span class="soft">stands beside what moved</span></label>
      <input id="tell-why" v-model="why" class="field long" maxlength="1000" autocomplete="off" autofocus />
      <p v-if="section.students" class="ticks">
        <label><input v-model="digest" type="checkbox" />mail each student what moved</label>
      </p>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
      <p class="actions">
        <button type="button" class="btn quiet" @click="close">
          {{ section.begun && differ(section) ? "Keep them back" : "Close" }}
        </button>
        <button
          type="submit"
          class="btn go"
          :disabled="busy || (!all && !upTo) || (all && !section.upTo && !differ(section))"
        >
          {{ section.students ? `Tell ${count(section.students, "student")}` : "Tell students" }}
        </button>
      </p>
    </form>
    <p v-else>This term has no section yet whose students could be told anything.</p>
  </Dialog>
</template>

<style scoped>
.tell > p:first-child {
  display: flex;
  gap: 12px;
  align-items: center;
}
.scroll {
  max-height: 300px;
  overflow-y: auto;
}
.long {
  width: 100%;
}
.actions {
  display: flex;
  gap: 8px;
  justify-content: flex-end;
  margin-top: 14px;
}
.ticks {
  align-items: center;
}
</style>
