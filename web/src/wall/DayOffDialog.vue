<script setup lang="ts">
import Dialog from "../ui/Dialog.vue";
import { computed, ref, watch } from "vue";
import type { WallView } from "../api/client";
import ClosureFields from "../change/ClosureFields.vue";
import { effects, newClosure, written } from "../change/closure";
import DateField from "../ui/DateField.vue";
import { weekdayDay } from "../ui/say";
import { injectWall } from "../change/useWall";

/** Makes a day, or a run of days, a day off. */
const props = defineProps<{ wall: WallView; firstDay: string; lastDay: string }>();
const visible = defineModel<boolean>("visible", { required: true });

const { propose, problem, busy, termId } = injectWall();
const first = ref("");
const last = ref("");
const draft = ref(newClosure());

watch(visible, (now) => {
  if (now) {
    first.value = props.firstDay;
    last.value = props.lastDay;
    problem.value = "";
  }
});
const said = computed(() => {
  const days =
    first.value === last.value ? weekdayDay(first.value) : `${weekdayDay(first.value)} to ${weekdayDay(last.value)}`;
  return `${days}: ${effects(draft.value)}`;
});

async function send() {
  if (await propose({ kind: "add-closure", closure: written(draft.value, first.value, last.value) }, "always")) {
    visible.value = false;
    draft.value = newClosure();
  }
}
</script>

<template>
  <Dialog v-model:visible="visible" modal header="Day off" :style="{ width: '470px' }">
    <form class="form" @submit.prevent="send">
      <label for="off-first">First day</label>
      <DateField
        id="off-first"
        v-model="first"
        :term-id="termId"
        @update:model-value="last < first && (last = first)"
      />
      <label for="off-last">Last day</label>
      <DateField id="off-last" v-model="last" :term-id="termId" />
      <ClosureFields id="off" :term-id="termId" v-model="draft" :sections="wall.sections" />
      <p class="wide soft">{{ said }}</p>
      <p v-if="problem" class="problem wide" role="alert">{{ problem }}</p>
      <div class="wide actions">
        <button type="button" class="btn quiet" @click="visible = false">Cancel</button>
        <button type="submit" class="btn go" :disabled="busy">See what it does</button>
      </div>
    </form>
  </Dialog>
</template>
