<script setup lang="ts">
import Dialog from "../ui/Dialog.vue";
import { computed, ref, watch } from "vue";
import type { WallView } from "../api/client";
import DateField from "../ui/DateField.vue";
import { dropChange } from "./drop";
import { injectWall } from "../change/useWall";

/** Moves what is chosen to a day, without a pointer. */
const props = defineProps<{ wall: WallView; keys: readonly string[]; day: string }>();
const visible = defineModel<boolean>("visible", { required: true });

const { propose, problem, busy, termId } = injectWall();
const to = ref("");
const pin = ref(false);
const spacing = ref(false);
/** Whether to go to that day afterwards; else one stays. */
const follow = ref(false);
const emit = defineEmits<{ go: [date: string] }>();
const several = computed(() => props.keys.filter((k) => k.startsWith("item:")).length > 1);
watch(visible, (now) => {
  if (now) {
    to.value = props.day;
    pin.value = false;
    problem.value = "";
  }
});

async function send() {
  const change = dropChange(props.wall.section, props.keys, to.value, { fix: pin.value, spacing: spacing.value });
  if (!(await propose(change, "always"))) return;
  visible.value = false;
  if (follow.value) emit("go", to.value);
}
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="keys.length === 1 ? 'Move to a day' : `Move ${keys.length} things to a day`"
    :style="{ width: '420px' }"
  >
    <form class="form" @submit.prevent="send">
      <label for="move-to">To</label>
      <DateField
        id="move-to"
        v-model="to"
        autofocus
        :term-id="termId"
        :section="`${wall.section.course}/${wall.section.section}`"
      />
      <p class="wide soft">
        A lesson goes in order before what stands there; work is due with that day's lesson, or on that date.
      </p>
      <div class="wide ticks">
        <label><input v-model="pin" type="checkbox" /> fix it on this date</label>
        <label v-if="several"><input v-model="spacing" type="checkbox" /> keep their spacing</label>
        <label><input v-model="follow" type="checkbox" /> go there afterwards</label>
      </div>
      <p v-if="problem" class="problem wide" role="alert">{{ problem }}</p>
      <div class="wide actions">
        <button type="button" class="btn quiet" @click="visible = false">Cancel</button>
        <button type="submit" class="btn go" :disabled="busy">See what it does</button>
      </div>
    </form>
  </Dialog>
</template>
