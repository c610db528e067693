<script setup lang="ts">
import Dialog from "primevue/dialog";
import { ref } from "vue";
import type { WallView } from "../api/client";
import DateInput from "../ui/DateInput.vue";
import { injectWall } from "./useWall";
import { type Json, useSetup } from "./useSetup";

/** The term's bounds, the course, and when its sections meet. */
const props = defineProps<{ wall: WallView }>();
const emit = defineEmits<{ done: [] }>();

const state = injectWall();
const { problem, busy } = state;
const setup = useSetup(state, props.wall.section.course);
const { term, course, sections, loaded } = setup;
const WEEKDAYS = ["MO", "TU", "WE", "TH", "FR", "SA", "SU"];
const chosen = ref(props.wall.section.section);
const meets = ref("");
const said = ref("");
const pattern = ref<Json | null>(null);
const code = ref(chosen.value);
const pace = ref("sessions");

function section(): Json | undefined {
  return sections.value.find((s) => s.code === chosen.value);
}
function choose(next: string) {
  chosen.value = next;
  code.value = next;
  meets.value = "";
  said.value = "";
  pattern.value = null;
  pace.value = section()?.pace ?? "sessions";
}
async function read() {
  try {
    const found = await setup.meets(meets.value);
    pattern.value = found.pattern;
    said.value = found.said;
  } catch (e) {
    pattern.value = null;
    said.value = (e as Error).message;
  }
}
async function done(saved: Promise<boolean>) {
  if (await saved) emit("done");
}
function saveSection() {
  const was = section();
  const next = { ...(was ?? {}), code: code.value, pace: pace.value };
  return done(setup.saveSection(was ? chosen.value : "", pattern.value ? { ...next, meets: [pattern.value] } : next));
}
function now(): string {
  const list: Json[] = section()?.meets ?? [];
  return list
    .map(
      (m) =>
        `${String(m.rule ?? "letters").replace(/^FREQ=WEEKLY;BYDAY=([A-Z,]+)$/, (_, d) => d.replaceAll(",", ", "))} at ${m.start}, ${m.minutes} minutes ${m.place ?? ""}`,
    )
    .join("; ");
}
</script>

<template>
  <Dialog :visible="true" modal header="Term and sections" :style="{ width: '620px' }" @update:visible="emit('done')">
    <p v-if="!loaded">Looking it up…</p>
    <template v-else>
      <form class="form" @submit.prevent="done(setup.saveTerm())">
        <h2 class="wide">Term</h2>
        <label for="term-name">Name</label>
        <input id="term-name" v-model="term.name" class="field" maxlength="200" />
        <label for="term-first">First day</label>
        <DateInput id="term-first" v-model="term.first" :term-id="state.termId" />
        <label for="term-last">Last day</label>
        <DateInput id="term-last" v-model="term.last" :term-id="state.termId" />
        <span>Teaches on</span>
        <span class="ticks">
          <label v-for="w in WEEKDAYS" :key="w"
            ><input v-model="term.weekdays" type="checkbox" :value="w" />{{ w[0] }}{{ w[1]?.toLowerCase() }}</label
          >
        </span>
        <div class="wide actions"><button type="submit" class="btn" :disabled="busy">See what it does</button></div>
      </form>
      <form class="form" @submit.prevent="done(setup.saveCourse())">
        <h2 class="wide">Course</h2>
        <label for="course-code">Code</label>
        <input id="course-code" v-model="course.code" class="field" required maxlength="100" />
        <label for="course-title">Title</label>
        <input id="course-title" v-model="course.title" class="field" required maxlength="300" />
        <label for="course-minutes">Minutes of class asked for</label>
        <input id="course-minutes" v-model.number="course.requiredMinutes" class="field" type="number" min="0" />
        <div class="wide actions"><button type="submit" class="btn" :disabled="busy">Save the course</button></div>
      </form>
      <form class="form" @submit.prevent="saveSection">
        <h2 class="wide">Sections</h2>
        <div class="wide ticks">
          <button
            v-for="s in sections"
            :key="s.code"
            type="button"
            class="btn"
            :aria-pressed="s.code === chosen"
            @click="choose(s.code)"
          >
            {{ s.code }}
          </button>
          <button type="button" class="btn" :aria-pressed="chosen === ''" @click="choose('')">Add a section</button>
        </div>
        <label for="section-code">Code</label>
        <input id="section-code" v-model="code" class="field" required maxlength="40" />
        <span v-if="chosen">Meets</span>
        <span v-if="chosen" class="soft">{{ now() || "no meetings" }}</span>
        <label for="section-meets">{{ chosen ? "Meets from now on" : "Meets" }}</label>
        <span>
          <input
            id="section-meets"
            v-model="meets"
            class="field"
            style="width: 100%"
            :required="!chosen"
            placeholder="MWF 10-10:50 Weir House 2"
            @input="read"
          />
          <span class="soft" role="status">{{ said }}</span>
        </span>
        <label for="section-pace">Lessons take</label>
        <select id="section-pace" v-model="pace" class="field">
          <option value="sessions">whole classes</option>
          <option value="minutes">minutes, across classes</option>
        </select>
        <p v-if="problem" class="problem wide" role="alert">{{ problem }}</p>
        <div class="wide actions">
          <button
            v-if="chosen && sections.length > 1"
            type="button"
            class="btn"
            @click="done(setup.removeSection(chosen))"
          >
            Take out section {{ chosen }}
          </button>
          <button type="button" class="btn quiet" @click="emit('done')">Close</button>
          <button type="submit" class="btn go" :disabled="busy">{{ chosen ? "See what it does" : "Add it" }}</button>
        </div>
      </form>
    </template>
  </Dialog>
</template>

<style scoped>
form + form {
  border-top: 1px solid var(--rule);
  margin-top: 10px;
  padding-top: 10px;
}
[aria-pressed="true"] {
  background: var(--ink-wash);
  font-weight: 680;
}
</style>
