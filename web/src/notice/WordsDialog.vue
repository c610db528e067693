<script setup lang="ts">
import Dialog from "../ui/Dialog.vue";
import { computed, onMounted, ref } from "vue";
import type { Change, Schemas, WallView } from "../api/client";
import { courseOf } from "../api/plan";
import { weekdayDay } from "../ui/say";
import { useFirstField } from "../ui/useFirstField";
import { injectWall } from "../change/useWall";

/** Words on a day, and headline and targets of its week. */
const props = defineProps<{ wall: WallView; day: string }>();
const emit = defineEmits<{ done: [] }>();
const { propose, problem, busy, termId } = injectWall();
const { course, section } = props.wall.section;
const week = computed(() => props.wall.weeks.find((w) => w.days.some((d) => d.date === props.day)));
const scope = ref("");
const notes = ref<Schemas["PlanDayNote"][]>([]);
const weeks = ref<Schemas["PlanWeekNote"][]>([]);
const text = ref("");
const own = ref(false);
const headline = ref("");
const loaded = ref(false);
const targets = ref("");
const here = (note: { section?: string }) => (note.section ?? "") === scope.value;
const dayNote = () => notes.value.find((n) => n.date === props.day && here(n));
const weekNote = () => weeks.value.find((n) => n.first === week.value?.first && here(n));

function show() {
  text.value = dayNote()?.text ?? "";
  own.value = dayNote()?.own ?? false;
  headline.value = weekNote()?.headline ?? "";
  targets.value = (weekNote()?.targets ?? []).join("\n");
}
onMounted(async () => {
  problem.value = "";
  const found = await courseOf(termId, course);
  notes.value = found?.dayNotes ?? [];
  weeks.value = found?.weekNotes ?? [];
  if (!dayNote() && notes.value.some((n) => n.date === props.day && n.section === section)) scope.value = section;
  show();
  loaded.value = true;
});
useFirstField(() => loaded.value, "words-day");
async function save() {
  const at = scope.value ? { section: scope.value } : {};
  const changes: Change[] = [];
  if (text.value !== (dayNote()?.text ?? "") || own.value !== (dayNote()?.own ?? false)) {
    changes.push({ kind: "put-day-note", course, note: { date: props.day, ...at, text: text.value, own: own.value } });
  }
  const lines = targets.value
    .split("\n")
    .map((l) => l.trim())
    .filter(Boolean);
  const same =
    headline.value === (weekNote()?.headline ?? "") && lines.join("\n") === (weekNote()?.targets ?? []).join("\n");
  if (!same && week.value) {
    const note = { first: week.value.first, ...at, headline: headline.value, targets: lines };
    changes.push({ kind: "put-week-note", course, note });
  }
  if (!changes.length) return emit("done");
  const change: Change = changes.length === 1 ? changes[0]! : { kind: "together", does: "", changes };
  if (await propose(change)) emit("done");
}
</script>

<template>
  <Dialog
    :visible="true"
    modal
    :header="`Words on ${weekdayDay(day)} and its week`"
    :style="{ width: '560px' }"
    @update:visible="emit('done')"
  >
    <form v-if="loaded" class="form" @submit.prevent="save">
      <span>For</span>
      <div class="ticks">
        <label><input v-model="scope" type="radio" value="" @change="show" /> all of {{ course }}</label>
        <label><input v-model="scope" type="radio" :value="section" @change="show" /> {{ section }} only</label>
      </div>
      <label for="words-day">On the day</label>
      <input id="words-day" v-model="text" class="field" maxlength="300" autofocus />
      <label class="wide ticks"
        ><span><input v-model="own" type="checkbox" /> for me and whoever stands in, never for students</span></label
      >
      <label for="words-week">Headline of week {{ week?.number }}</label>
      <input id="words-week" v-model="headline" class="field" maxlength="200" />
      <label for="words-targets">Targets, a line each</label>
      <textarea id="words-targets" v-model="targets" class="field" rows="4" maxlength="5000"></textarea>
      <p v-if="problem" class="problem wide" role="alert">{{ problem }}</p>
      <div class="wide actions">
        <button type="button" class="btn quiet" @click="emit('done')">Cancel</button>
        <button type="submit" class="btn go" :disabled="busy">Save</button>
      </div>
    </form>
    <p v-else>Looking it up…</p>
  </Dialog>
</template>
