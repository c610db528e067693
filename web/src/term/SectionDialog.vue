<script setup lang="ts">
import Dialog from "../ui/Dialog.vue";
import { useFirstField } from "../ui/useFirstField";
import { selectAll } from "../ui/selectAll";
import { computed, onMounted, ref } from "vue";
import type { CalendarView, Schemas } from "../api/client";
import { meetingLink } from "../api/meeting";
import { clean, courseOf } from "../api/plan";
import MeetsField from "./MeetsField.vue";
import { injectTerm } from "./useTerm";

/** Adds a section to a course, or changes one: when it meets, where, with whom, and how lessons take its time. */
const props = defineProps<{ term: CalendarView; course: string; section: string }>();
const emit = defineEmits<{ done: [] }>();
const state = injectTerm();
const { problem, busy } = state;

type PlanSection = Schemas["PlanSection"];
const was = ref<PlanSection | null>(null);
const loaded = ref(false);
const code = ref(props.section);
const kind = ref<"meets" | "daily" | "weekly">("meets");
const weekday = ref("MO");
const patterns = ref<Schemas["PlanPattern"][]>([]);
const wrong = ref(false);
const pace = ref<NonNullable<PlanSection["pace"]>>("sessions");
const instructor = ref("");
const partOf = ref("");
const WEEKDAYS = ["MO", "TU", "WE", "TH", "FR", "SA", "SU"];

const head = computed(() => props.term.sections.find((s) => s.course === props.course && s.section === props.section));
const others = computed(() =>
  props.term.sections.filter((s) => !(s.course === props.course && s.section === props.section)),
);

onMounted(async () => {
  const course = await courseOf(state.termId, props.course);
  was.value = course?.sections?.find((s) => s.code === props.section) ?? null;
  if (was.value) {
    patterns.value = was.value.meets ?? [];
    pace.value = was.value.pace ?? "sessions";
    instructor.value = was.value.instructor ?? "";
    partOf.value = was.value.partOf ?? "";
    if (was.value.beat && !patterns.value.length) {
      kind.value = was.value.beat.weekday ? "weekly" : "daily";
      weekday.value = was.value.beat.weekday ?? "MO";
    }
  } else {
    const codes = (course?.sections ?? []).map((s) => s.code);
    code.value = [..."ABCDEFGHJKLM"].find((c) => !codes.includes(c)) ?? "";
  }
  loaded.value = true;
});

function read(found: Schemas["PlanPattern"][] | null) {
  patterns.value = found ?? was.value?.meets ?? [];
  const usual = props.term.courses.find((c) => c.code === props.course)?.usualMinutes ?? 50;
  const first = found?.[0];
  if (first && !was.value) pace.value = Math.abs(first.minutes - usual) > 10 ? "minutes" : "sessions";
}
async function save() {
  const next = {
    ...(was.value ?? {}),
    code: code.value.trim(),
    instructor: instructor.value.trim(),
    partOf: partOf.value,
    pace: pace.value,
    meets: kind.value === "meets" ? patterns.value : [],
    beat: kind.value === "meets" ? null : kind.value === "daily" ? {} : { weekday: weekday.value },
  };
  const ok = await state.propose({
    kind: "put-section",
    course: props.course,
    ...(was.value ? { was: props.section } : {}),
    section: clean(next) as PlanSection,
  });
  if (ok) emit("done");
}
async function remove() {
  if (await state.propose({ kind: "remove-section", course: props.course, section: props.section })) emit("done");
}
function setLink(n: number, link: string) {
  patterns.value = patterns.value.map((p, at) => (at === n ? { ...p, link } : p));
}
const link = (n: number, event: Event) => setLink(n, (event.target as HTMLInputElement).value);
/** One link of the provider serves the whole series. */
async function makeLink(n: number) {
  problem.value = "";
  try {
    setLink(n, await meetingLink(state.termId));
  } catch (e) {
    problem.value = (e as Error).message;
  }
}
useFirstField(() => loaded.value, "section-code");
</script>

<template>
  <Dialog
    :visible="true"
    modal
    :header="section ? `Section ${course} ${section}` : `A section of ${course}`"
    :style="{ width: '640px' }"
    @update:visible="emit('done')"
  >
    <form v-if="loaded" class="form" @submit.prevent="save">
      <label for="section-code">Code</label>
      <input id="section-code" v-model="code" class="field" required maxlength="40" autofocus @focus="selectAll" />
      <span>Meets</span>
      <span class="ticks" role="radiogroup" aria-label="Meets">
        <label><input v-model="kind" type="radio" value="meets" /> at set times</label>
        <label><input v-model="kind" type="radio" value="weekly" /> no meetings: a lesson a week</label>
        <label><input v-model="kind" type="radio" value="daily" /> no meetings: a lesson a day</label>
      </span>
      <template v-if="kind === 'meets'">
        <label for="section-meets">{{ section ? "Meets instead" : "When and where" }}</label>
        <MeetsField
          id="section-meets"
          v-model:wrong="wrong"
          :required="!patterns.length"
          :hint="
            head?.meets.join('; ') || 'days, times and place; several parted by “;”; day letters as “days A, C 9-9:50”'
          "
          @read="read"
        />
        <template v-for="(p, n) in patterns" :key="n">
          <label :for="`section-link-${n}`">Meeting link{{ patterns.length > 1 ? ` ${n + 1}` : "" }}</label>
          <span class="link">
            <input
              :id="`section-link-${n}`"
              class="field"
              :value="p.link ?? ''"
              maxlength="1000"
              placeholder="one for the whole series, or none"
              @input="link(n, $event)"
            />
            <button v-if="!p.link" type="button" class="btn" @click="makeLink(n)">make one</button>
          </span>
        </template>
      </template>
      <template v-else-if="kind === 'weekly'">
        <label for="section-beat">On</label>
        <select id="section-beat" v-model="weekday" class="field">
          <option v-for="w in WEEKDAYS" :key="w" :value="w">{{ w[0] }}{{ w[1]?.toLowerCase() }}</option>
        </select>
      </template>
      <label for="section-who">Instructor</label>
      <input id="section-who" v-model="instructor" class="field" maxlength="200" placeholder="you" />
      <label for="section-half">Half-group of</label>
      <select id="section-half" v-model="partOf" class="field">
        <option value="">none</option>
        <option v-for="o in others" :key="o.course + o.section" :value="`${o.course}/${o.section}`">
          {{ o.course }} {{ o.section }}
        </option>
      </select>
      <label for="section-pace">Lessons take</label>
      <select id="section-pace" v-model="pace" class="field">
        <option value="sessions">whole classes</option>
        <option value="minutes">minutes, across classes</option>
      </select>
      <p v-if="problem" class="problem wide" role="alert">{{ problem }}</p>
      <div class="wide actions">
        <button v-if="section" type="button" class="btn" :disabled="busy" @click="remove">Delete this section</button>
        <button type="button" class="btn quiet" @click="emit('done')">Close</button>
        <button type="submit" class="btn go" :disabled="busy || wrong">
          {{ section ? "See what it does" : "Add it" }}
        </button>
      </div>
    </form>
  </Dialog>
</template>

<style scoped>
.link {
  display: flex;
  gap: 8px;
}
.link input {
  flex: 1;
}
</style>
