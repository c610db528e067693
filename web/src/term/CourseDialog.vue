<script setup lang="ts">
import type { Schemas } from "../api/client";
import { clean, courseOf } from "../api/plan";
import Dialog from "../ui/Dialog.vue";
import { onMounted, ref } from "vue";
import { useFirstField } from "../ui/useFirstField";
import MeetsField from "./MeetsField.vue";
import { injectTerm } from "./useTerm";

/** Adds a course with its first section, or changes a course. */
const props = defineProps<{ course: string }>();
const emit = defineEmits<{ done: [] }>();
const state = injectTerm();
const { problem, busy } = state;

const was = ref<Schemas["PlanCourse"] | null>(null);
const loaded = ref(props.course === "");
const code = ref("");
const title = ref("");
const asks = ref<"none" | "credits" | "ects" | "minutes">("none");
const amount = ref<number | "">("");
const usual = ref<number>(50);
const patterns = ref<Schemas["PlanPattern"][]>([]);
const wrong = ref(false);

onMounted(async () => {
  if (!props.course) return;
  const found = (await courseOf(state.termId, props.course)) ?? null;
  was.value = found;
  if (found) {
    code.value = found.code;
    title.value = found.title;
    usual.value = found.usualMinutes ?? 50;
    asks.value = found.asks?.credits
      ? "credits"
      : found.asks?.ects
        ? "ects"
        : found.requiredMinutes
          ? "minutes"
          : "none";
    amount.value = found.asks?.credits ?? found.asks?.ects ?? found.requiredMinutes ?? "";
  }
  loaded.value = true;
});
async function save() {
  const kept = Object.fromEntries(
    Object.entries(was.value ?? {}).filter(([field]) => field !== "requiredMinutes" && field !== "asks"),
  );
  const measure = asks.value === "credits" || asks.value === "ects" ? { asks: { [asks.value]: amount.value } } : {};
  const first = patterns.value[0];
  const next = {
    ...kept,
    code: code.value.trim(),
    title: title.value.trim() || code.value.trim(),
    usualMinutes: was.value ? usual.value : (first?.minutes ?? 50),
    ...measure,
    ...(asks.value === "minutes" ? { requiredMinutes: amount.value } : {}),
    sections: was.value ? [] : [{ code: "A", meets: patterns.value }],
    units: [],
  };
  const ok = await state.propose({
    kind: "put-course",
    ...(was.value ? { was: props.course } : {}),
    course: clean(next) as Schemas["PlanCourse"],
  });
  if (ok) emit("done");
}
async function remove() {
  if (await state.propose({ kind: "remove-course", course: props.course })) emit("done");
}
useFirstField(() => loaded.value, "course-code");
</script>

<template>
  <Dialog
    :visible="true"
    modal
    :header="course ? `Course ${course}` : 'A course'"
    :style="{ width: '560px' }"
    @update:visible="emit('done')"
  >
    <form v-if="loaded" class="form" @submit.prevent="save">
      <label for="course-code">Code</label>
      <input id="course-code" v-model="code" class="field" required maxlength="100" placeholder="HYD 210" autofocus />
      <label for="course-title">Title</label>
      <input id="course-title" v-model="title" class="field" maxlength="300" placeholder="Reading Rivers" />
      <template v-if="!course">
        <label for="course-meets">Section A meets</label>
        <MeetsField
          id="course-meets"
          v-model:wrong="wrong"
          required
          hint="days, times and place; several parted by “;”"
          @read="patterns = $event ?? []"
        />
      </template>
      <template v-else>
        <label for="course-usual">Usual minutes of a class</label>
        <input id="course-usual" v-model.number="usual" class="field" type="number" min="1" required />
      </template>
      <label for="course-asks">Asks for</label>
      <span class="ticks">
        <select id="course-asks" v-model="asks" class="field">
          <option value="none">nothing</option>
          <option value="credits">credit hours (34 CFR 600.2)</option>
          <option value="ects">ECTS credits</option>
          <option value="minutes">minutes of class</option>
        </select>
        <input
          v-if="asks !== 'none'"
          v-model.number="amount"
          class="field"
          style="width: 90px"
          type="number"
          min="1"
          :max="asks === 'minutes' ? 100000 : 100"
          required
          aria-label="How many"
        />
      </span>
      <p v-if="problem" class="problem wide" role="alert">{{ problem }}</p>
      <div class="wide actions">
        <button v-if="course" type="button" class="btn" :disabled="busy" @click="remove">Delete this course</button>
        <button type="button" class="btn quiet" @click="emit('done')">Close</button>
        <button type="submit" class="btn go" :disabled="busy || wrong">
          {{ course ? "See what it does" : "Add it" }}
        </button>
      </div>
    </form>
  </Dialog>
</template>
