<script setup lang="ts">
import { computed } from "vue";
import type { Schemas } from "../api/client";

/** What happens in a lesson, in minutes, held against the time it has. */
type Step = Schemas["PlanStep"];
const props = defineProps<{
  /** Minutes that its classes have. */
  room: number;
}>();
const steps = defineModel<Step[]>({ required: true });
const sum = computed(() => steps.value.reduce((a, s) => a + (s.minutes || 0), 0));
const over = computed(() => sum.value - props.room);
const set = (n: number, more: Partial<Step>) =>
  (steps.value = steps.value.map((s, at) => (at === n ? { ...s, ...more } : s)));
function move(n: number, by: 1 | -1) {
  const list = [...steps.value];
  const [step] = list.splice(n, 1);
  list.splice(n + by, 0, step!);
  steps.value = list;
}
function add() {
  steps.value = [...steps.value, { minutes: Math.max(0, Math.min(15, -over.value)) || 5, text: "" }];
}
const value = (event: Event) => (event.target as HTMLInputElement).value;
</script>

<template>
  <div class="steps">
    <div class="bar" aria-hidden="true">
      <span
        v-for="(s, n) in steps"
        :key="n"
        :style="{ flexGrow: s.minutes, flexBasis: 0 }"
        :title="`${s.minutes} min ${s.text ?? ''}`"
      ></span>
      <i v-if="over < 0" :style="{ flexGrow: -over, flexBasis: 0 }"></i>
    </div>
    <div v-for="(s, n) in steps" :key="n" class="step">
      <input
        class="field min"
        type="number"
        min="0"
        max="600"
        :value="s.minutes"
        :aria-label="`Step ${n + 1}: minutes`"
        @input="set(n, { minutes: Number(value($event)) || 0 })"
      />
      <input
        class="field what"
        :value="s.text ?? ''"
        maxlength="500"
        :aria-label="`Step ${n + 1}: what happens`"
        @input="set(n, { text: value($event) })"
      />
      <button type="button" class="plain" :disabled="n === 0" :aria-label="`Step ${n + 1} one up`" @click="move(n, -1)">
        ▴
      </button>
      <button
        type="button"
        class="plain"
        :disabled="n === steps.length - 1"
        :aria-label="`Step ${n + 1} one down`"
        @click="move(n, 1)"
      >
        ▾
      </button>
      <button
        type="button"
        class="plain"
        :aria-label="`Remove step ${n + 1}`"
        @click="steps = steps.filter((_, at) => at !== n)"
      >
        ×
      </button>
    </div>
    <button type="button" class="do" @click="add">add a step</button>
    <span v-if="steps.length" class="sum" :class="{ look: over > 0 }" role="status">
      {{ sum }} of {{ room }} minutes{{ over > 0 ? `, ${over} over` : over < 0 ? `, ${-over} free` : "" }}
    </span>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  height: 10px;
  gap: 1px;
  margin-bottom: 4px;
}
.bar span {
  background: var(--ink);
}
.bar i {
  border: 1px dashed var(--rule-firm);
}
.step {
  display: flex;
  gap: 6px;
  padding: 1px 0;
}
.step .min {
  width: 62px;
}
.step .what {
  flex: 1;
}
.step .plain {
  min-width: 24px;
  min-height: 24px;
}
.sum {
  margin-left: 14px;
}
</style>
