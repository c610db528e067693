<script setup lang="ts">
import Dialog from "../ui/Dialog.vue";
import { computed, onMounted, ref, shallowRef } from "vue";
import { type Change, type CalendarView, type Schemas, api, ask } from "../api/client";
import GiveList, { type Given } from "../ui/GiveList.vue";
import { count } from "../ui/say";
import { injectTerm } from "./useTerm";

/** The students of a section: read from a list or file, looked over, split into half-groups, removed. */
const props = defineProps<{ term: CalendarView; course: string; section: string }>();
const emit = defineEmits<{ done: [] }>();
const state = injectTerm();
const { busy } = state;

type Student = Schemas["StudentLine"];
const students = shallowRef<Student[]>([]);
const read = shallowRef<Schemas["RosterRead"] | null>(null);
const problem = ref("");
/** Whose removal is looked at: of this section, or of the whole course. */
const removing = ref<"" | "section" | "course">("");
const everyone = shallowRef<{ section: string; students: Student[] }[]>([]);
const splitting = ref(false);
const half = ref<Record<string, string>>({});
let asked = 0;
const query = { course: props.course, section: props.section };
const fresh = computed(() => (read.value?.lines ?? []).filter((l) => l.state === "student").length);
const halves = computed(() => props.term.sections.filter((s) => s.partOf === `${props.course}/${props.section}`));

async function load() {
  students.value = await ask(
    api.GET("/api/terms/{termId}/roster", { params: { path: { termId: state.termId }, query } }),
  );
}
onMounted(() => load().catch((e: Error) => (problem.value = e.message)));

async function look(given: Given) {
  const turn = ++asked;
  problem.value = "";
  try {
    const found = await ask(
      api.POST("/api/terms/{termId}/roster/read", {
        params: { path: { termId: state.termId } },
        body: { ...query, ...given },
      }),
    );
    if (turn === asked) read.value = found;
  } catch (e) {
    if (turn === asked) problem.value = (e as Error).message;
  }
}
async function propose(change: Change) {
  if (!(await state.propose(change))) {
    problem.value = state.problem.value;
    return;
  }
  if (state.proposal.value) emit("done");
  read.value = null;
  removing.value = "";
  splitting.value = false;
  await load();
}
const put = (list: Student[], section = props.section, course = props.course): Change => ({
  kind: "put-roster",
  course,
  section,
  students: list.map((s) => ({ id: s.id, name: s.name, ...(s.mail ? { mail: s.mail } : {}) })),
});
function without(id: string) {
  return propose(put(students.value.filter((s) => s.id !== id)));
}
/** Who is taken out for good, out of the history too. */
const forGood = shallowRef<Student | null>(null);
const dataOf = (s: Student) => `/api/terms/${state.termId}/student-data?student=${encodeURIComponent(s.id)}`;
async function forget(student: Student) {
  try {
    await ask(
      api.POST("/api/terms/{termId}/student-removal", {
        params: { path: { termId: state.termId } },
        body: { version: state.version.value, student: student.id },
      }),
    );
    forGood.value = null;
    await state.load();
    await load();
  } catch (e) {
    problem.value = (e as Error).message;
  }
}
/** One look at who they all are, before a course's people are removed. */
async function lookAtCourse() {
  const codes = props.term.sections.filter((s) => s.course === props.course).map((s) => s.section);
  try {
    everyone.value = await Promise.all(
      codes.map(async (section) => ({
        section,
        students: await ask(
          api.GET("/api/terms/{termId}/roster", {
            params: { path: { termId: state.termId }, query: { course: props.course, section } },
          }),
        ),
      })),
    );
    removing.value = "course";
  } catch (e) {
    problem.value = (e as Error).message;
  }
}
const removeCourse = () =>
  propose({
    kind: "together",
    does: `Remove the students of ${props.course}`,
    changes: everyone.value.filter((e) => e.students.length).map((e) => put([], e.section)),
  });
/** Deals the students out evenly, in the order of the list. */
function evenly() {
  half.value = Object.fromEntries(
    students.value.map((s, n) => [
      s.id,
      halves.value[Math.floor((n * halves.value.length) / students.value.length)]!.section,
    ]),
  );
}
function split() {
  return propose({
    kind: "together",
    does: `Half-groups of ${props.course} ${props.section}`,
    changes: halves.value.map((h) =>
      put(
        students.value.filter((s) => half.value[s.id] === h.section),
        h.section,
        h.course,
      ),
    ),
  });
}
</script>

<template>
  <Dialog
    :visible="true"
    modal
    :header="`Students of ${course} ${section}`"
    :style="{ width: '960px' }"
    @update:visible="emit('done')"
  >
    <div class="two">
      <div>
        <GiveList
          id="roster-list"
          label="Names of students"
          accept=".csv,.xlsx,.txt"
          :wrong="problem"
          placeholder="Paste names, a line each, or a table with a header:

Oakes, Wren
Tove Lindqvist <tove@quillmarsh.example>"
          @given="look"
        />
        <ul v-if="read?.lines.length" class="understood" aria-live="polite">
          <li v-for="l in read.lines" :key="l.number">
            <span v-if="l.state === 'student'">+ {{ l.said }}</span>
            <span v-else>
              <span class="faint">{{ l.text.trim() }}</span>
              <span :class="l.state === 'not-understood' ? 'look' : 'soft'">: {{ l.said }}</span>
            </span>
          </li>
        </ul>
        <p v-if="read?.missing.length" class="soft">
          On the roster and not on this list: {{ read.missing.map((s) => s.name).join(", ") }}.
        </p>
        <div class="actions">
          <button type="button" class="btn go" :disabled="!read?.change || busy" @click="propose(read!.change!)">
            Add {{ count(fresh, "student") }}
          </button>
        </div>
      </div>
      <div>
        <h2>{{ count(students.length, "student") }}</h2>
        <p v-if="!students.length" class="soft">Nobody yet. Names stay with you: students’ pages never show them.</p>
        <ul v-else class="list" :class="{ short: forGood }">
          <li v-for="s in students" :key="s.id">
            <span>{{ s.name }}</span>
            <span class="soft">{{ s.mail }}</span>
            <select v-if="splitting" v-model="half[s.id]" class="field" :aria-label="`Half-group of ${s.name}`">
              <option :value="undefined">no half-group</option>
              <option v-for="h in halves" :key="h.course + h.section" :value="h.section">{{ h.section }}</option>
            </select>
            <span v-else>
              <button type="button" class="do" :disabled="busy" @click="without(s.id)">
                remove<span class="vh">{{ ` ${s.name}` }}</span>
              </button>
              <button type="button" class="do more" :disabled="busy" @click="forGood = s">
                what is kept…<span class="vh">{{ ` about ${s.name}` }}</span>
              </button>
            </span>
          </li>
        </ul>
        <div v-if="forGood" class="good" role="group" :aria-label="`What is kept about ${forGood.name}`">
          <p>
            <b>{{ forGood.name }}</b>:
            <a :href="dataOf(forGood)" download>all that this term keeps about them, as a file</a>.
          </p>
          <p>
            Taken out for good they leave every roster of the term, with dates of their own, what they handed in,
            bookings, links and letters, and every earlier step of the history. <b>Undo does not bring that back.</b>
          </p>
          <div class="actions">
            <button type="button" class="btn quiet" @click="forGood = null">Keep them</button>
            <button type="button" class="btn" :disabled="busy" @click="forget(forGood)">Take out for good</button>
          </div>
        </div>
        <div v-else-if="students.length" class="actions">
          <template v-if="splitting">
            <button type="button" class="btn" @click="evenly">Deal them out evenly</button>
            <button type="button" class="btn quiet" @click="splitting = false">Leave it</button>
            <button type="button" class="btn go" :disabled="busy" @click="split">Set the half-groups</button>
          </template>
          <template v-else-if="removing === 'section'">
            <span>These {{ count(students.length, "person is", "people are") }} removed; Undo brings them back.</span>
            <button type="button" class="btn quiet" @click="removing = ''">Keep them</button>
            <button type="button" class="btn go" :disabled="busy" @click="propose(put([]))">Remove them all</button>
          </template>
          <div v-else-if="removing === 'course'">
            <p v-for="e in everyone.filter((x) => x.students.length)" :key="e.section">
              <b>{{ course }} {{ e.section }}</b> {{ e.students.map((s) => s.name).join(", ") }}
            </p>
            <p>All of them are removed from the course; Undo brings them back.</p>
            <button type="button" class="btn quiet" @click="removing = ''">Keep them</button>
            <button type="button" class="btn go" :disabled="busy" @click="removeCourse">Remove everyone</button>
          </div>
          <template v-else>
            <button v-if="halves.length > 1" type="button" class="btn" @click="splitting = true">Half-groups…</button>
            <button type="button" class="btn" @click="removing = 'section'">Remove all…</button>
            <button type="button" class="btn" @click="lookAtCourse">Remove everyone of {{ course }}…</button>
          </template>
        </div>
      </div>
    </div>
  </Dialog>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 18px;
}
.list,
.understood {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 380px;
  overflow: auto;
}
.list.short {
  max-height: 230px;
}
.understood {
  max-height: 150px;
  margin-top: 6px;
}
.list li {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 10px;
  border-bottom: 1px solid var(--rule);
  align-items: center;
  min-height: 27px;
}
.more {
  margin-left: 10px;
}
.good {
  border-top: 1px solid var(--ink);
  padding-top: 6px;
}
.good a {
  color: inherit;
}
@media (max-width: 760px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
