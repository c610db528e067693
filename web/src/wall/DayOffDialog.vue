<script setup lang="ts">
import Dialog from "primevue/dialog";
import { computed, ref, watch } from "vue";
import type { WallView } from "../api/client";
import DateInput from "../ui/DateInput.vue";
import { weekdayDay } from "../ui/say";
import { injectWall } from "./useWall";

/** Makes a day, or a run of days, a day off. */
const props = defineProps<{ wall: WallView; firstDay: string; lastDay: string }>();
const visible = defineModel<boolean>("visible", { required: true });

const KINDS = ["public-holiday", "break", "staff-day", "testing", "event", "weather", "instructor-away", "other"];
const { propose, problem, busy, termId } = injectWall();
const first = ref("");
const last = ref("");
const reason = ref("");
const kind = ref("other");
const noClass = ref(true);
const planPauses = ref(false);
const nothingDue = ref(true);
const scope = ref("everyone");
const part = ref(false);
const from = ref("10:10");
const to = ref("10:35");

watch(visible, (now) => {
  if (now) {
    first.value = props.firstDay;
    last.value = props.lastDay;
    problem.value = "";
  }
});
const scopes = computed(() => {
  const courses = [...new Set(props.wall.sections.map((s) => s.course))];
  return [
    { value: "everyone", label: "everyone" },
    ...courses.map((c) => ({ value: c, label: `${c}, all sections` })),
    ...props.wall.sections.map((s) => ({ value: `${s.course}/${s.section}`, label: `${s.course} ${s.section} only` })),
  ];
});
const said = computed(() => {
  const days =
    first.value === last.value ? weekdayDay(first.value) : `${weekdayDay(first.value)} to ${weekdayDay(last.value)}`;
  const effects = [
    noClass.value && "no class",
    planPauses.value && "the plan pauses",
    nothingDue.value && "nothing due",
  ];
  return `${days}: ${effects.filter(Boolean).join(", ") || "nothing follows from it"}`;
});

async function send() {
  const ok = await propose({
    kind: "add-closure",
    closure: {
      first: first.value,
      last: last.value,
      reason: reason.value.trim(),
      kind: kind.value,
      noClass: noClass.value,
      planPauses: planPauses.value,
      nothingDue: nothingDue.value,
      ...(part.value ? { from: from.value, to: to.value } : {}),
      ...(scope.value === "everyone" ? {} : { only: [scope.value] }),
    },
  });
  if (ok) {
    visible.value = false;
    reason.value = "";
  }
}
</script>

<template>
  <Dialog v-model:visible="visible" modal header="Day off" :style="{ width: '470px' }">
    <form class="form" @submit.prevent="send">
      <label for="off-first">First day</label>
      <DateInput
        id="off-first"
        v-model="first"
        :term-id="termId"
        @update:model-value="last < first && (last = first)"
      />
      <label for="off-last">Last day</label>
      <DateInput id="off-last" v-model="last" :term-id="termId" />
      <label for="off-reason">Reason</label>
      <input
        id="off-reason"
        v-model="reason"
        class="field"
        maxlength="200"
        placeholder="what the wall says"
        autofocus
      />
      <label for="off-kind">Kind</label>
      <select id="off-kind" v-model="kind" class="field">
        <option v-for="k in KINDS" :key="k" :value="k">{{ k.replace("-", " ") }}</option>
      </select>
      <label for="off-scope">Concerns</label>
      <select id="off-scope" v-model="scope" class="field">
        <option v-for="s in scopes" :key="s.value" :value="s.value">{{ s.label }}</option>
      </select>
      <fieldset class="wide effects">
        <legend class="soft">What follows from it</legend>
        <div class="ticks">
          <label><input v-model="noClass" type="checkbox" /> no class</label>
          <label><input v-model="planPauses" type="checkbox" /> plan pauses</label>
          <label><input v-model="nothingDue" type="checkbox" /> nothing due</label>
          <label><input v-model="part" type="checkbox" /> only part of the day</label>
        </div>
        <div v-if="part" class="ticks">
          <label>from <input v-model="from" type="time" class="field" required /></label>
          <label>to <input v-model="to" type="time" class="field" required /></label>
        </div>
      </fieldset>
      <p class="wide soft">{{ said }}</p>
      <p v-if="problem" class="problem wide" role="alert">{{ problem }}</p>
      <div class="wide actions">
        <button type="button" class="btn quiet" @click="visible = false">Cancel</button>
        <button type="submit" class="btn go" :disabled="busy">See what it does</button>
      </div>
    </form>
  </Dialog>
</template>

<style scoped>
.effects {
  border: 1px solid var(--rule);
  padding: 4px 10px 8px;
  margin: 0;
}
</style>
