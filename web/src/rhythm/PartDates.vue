<script setup lang="ts">
import { computed, ref } from "vue";
import TimeField from "../ui/TimeField.vue";
import { formOf, ruleOf, type PartDate, type Rule } from "./part";

/** One date of what a rhythm brings: so far before or after the class. */
const props = defineProps<{ name: string; rhythm: string; part: number; termId: number }>();
const rule = defineModel<Rule | null | undefined>({ required: true });

const way = ref<PartDate["way"]>("after");
function set(more: Partial<PartDate>) {
  const form = f.value;
  if (more.way) way.value = more.way;
  if (form) rule.value = ruleOf({ ...form, ...more }, props.rhythm);
}
const f = computed(() => formOf(rule.value, way.value));
const value = (event: Event) => (event.target as HTMLInputElement).value;
const label = (what: string) => `Part ${props.part}, ${props.name}: ${what}`;
</script>

<template>
  <div class="date">
    <span v-if="!f" class="soft">{{ name }}: as set in the plan file</span>
    <template v-else>
      <label class="tick"
        ><input type="checkbox" :checked="f.on" @change="set({ on: ($event.target as HTMLInputElement).checked })" />{{
          name
        }}</label
      >
      <template v-if="f.on">
        <input
          class="field few"
          type="number"
          min="0"
          max="999"
          :value="f.n"
          :aria-label="label('how many')"
          @change="set({ n: Number(value($event)) || 0 })"
        />
        <select class="field" :value="f.unit" :aria-label="label('counted in')" @change="set({ unit: value($event) })">
          <option value="minutes">minutes</option>
          <option value="hours">hours</option>
          <option value="days">days</option>
          <option value="teaching-days">teaching days</option>
          <option value="sessions">classes</option>
          <option value="weeks">weeks</option>
        </select>
        <select
          class="field"
          :value="f.way"
          :aria-label="label('before or after')"
          @change="set({ way: value($event) as PartDate['way'] })"
        >
          <option>before</option>
          <option>after</option>
        </select>
        <select
          class="field"
          :value="f.edge"
          :aria-label="label('of what')"
          @change="set({ edge: value($event) as PartDate['edge'] })"
        >
          <option value="start">its start</option>
          <option value="end">its end</option>
        </select>
        <span>at</span>
        <TimeField
          :id="`part-${part}-${name}-time`"
          :model-value="f.time"
          :term-id="termId"
          empty="its time"
          :label="label('time of day; empty to keep it')"
          @update:model-value="set({ time: $event })"
        />
      </template>
    </template>
  </div>
</template>

<style scoped>
.date {
  display: flex;
  flex-wrap: wrap;
  gap: 3px 7px;
  align-items: center;
  min-height: 28px;
}
.tick {
  display: inline-flex;
  gap: 4px;
  align-items: center;
  min-width: 66px;
}
.few {
  width: 56px;
}
</style>
