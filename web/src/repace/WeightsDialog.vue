<script setup lang="ts">
import { computed, ref } from "vue";
import type { Change, Schemas } from "../api/client";
import Dialog from "../ui/Dialog.vue";
import { injectWall } from "../change/useWall";

/** What each way of giving way costs in a course. What is odd about the figures is said before they are taken. */
const props = defineProps<{ course: string; weights: Schemas["WayWeight"][] }>();
const emit = defineEmits<{ done: []; changed: [] }>();
const { propose, apply, discard, proposal, problem, busy } = injectWall();
const costs = ref<Record<string, number>>(Object.fromEntries(props.weights.map((w) => [w.kind, w.cost])));
const doubts = computed(() => proposal.value?.notes ?? []);
const asking = ref(false);

async function save() {
  const change: Change = { kind: "set-weights", course: props.course, weights: costs.value };
  if (!(await propose(change))) return;
  asking.value = proposal.value !== null;
  if (!asking.value) emit("changed");
}
async function anyway() {
  await apply();
  emit("changed");
}
function back() {
  discard();
  asking.value = false;
}
function usual() {
  costs.value = Object.fromEntries(props.weights.map((w) => [w.kind, w.usual]));
}
function close() {
  if (asking.value) discard();
  emit("done");
}
</script>

<template>
  <Dialog
    :visible="true"
    modal
    :header="`What giving way costs in ${course}`"
    :style="{ width: '560px' }"
    @update:visible="close"
  >
    <form class="form" @submit.prevent="save">
      <template v-for="(w, n) in weights" :key="w.kind">
        <label :for="`cost-${w.kind}`">{{ w.words }}</label>
        <span>
          <input
            :id="`cost-${w.kind}`"
            v-model.number="costs[w.kind]"
            type="number"
            class="field cost"
            min="0"
            max="100000"
            required
            :autofocus="n === 0"
            :disabled="asking"
          />
          <span v-if="costs[w.kind] !== w.usual" class="soft"> usually {{ w.usual }}</span>
        </span>
      </template>
      <p v-if="problem" class="problem wide" role="alert">{{ problem }}</p>
      <div v-if="asking" class="wide" role="alert">
        <p v-for="d in doubts" :key="d" class="look">▲ {{ d }}</p>
      </div>
      <div class="wide actions">
        <template v-if="asking">
          <button type="button" class="btn" @click="back">Change them</button>
          <button type="button" class="btn go" :disabled="busy" @click="anyway">Take them all the same</button>
        </template>
        <template v-else>
          <button type="button" class="btn" @click="usual">The usual ones</button>
          <button type="button" class="btn quiet" @click="close">Cancel</button>
          <button type="submit" class="btn go" :disabled="busy">Save</button>
        </template>
      </div>
    </form>
  </Dialog>
</template>

<style scoped>
.cost {
  width: 100px;
}
</style>
