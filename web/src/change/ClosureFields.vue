<script setup lang="ts">
import { computed, ref } from "vue";
import TimeField from "../ui/TimeField.vue";
import { type ClosureDraft, KINDS } from "./closure";

/** The fields of a day off but its days. */
const props = defineProps<{
  /** Begins the fields' ids. */
  id: string;
  termId: number;
  sections: readonly { course: string; section: string }[];
}>();
const draft = defineModel<ClosureDraft>({ required: true });

const part = ref(draft.value.from !== "");
const scopes = computed(() => [
  ...[...new Set(props.sections.map((s) => s.course))].map((c) => ({ value: c, label: `${c}, all sections` })),
  ...props.sections.map((s) => ({ value: `${s.course}/${s.section}`, label: `${s.course} ${s.section} only` })),
]);
const scope = computed(() => (draft.value.only.length > 1 ? "several" : (draft.value.only[0] ?? "")));
const several = ref(draft.value.only.length > 1);

function set(more: Partial<ClosureDraft>) {
  draft.value = { ...draft.value, ...more };
}
function concern(event: Event) {
  const value = (event.target as HTMLSelectElement).value;
  several.value = value === "several";
  if (value !== "several") set({ only: value ? [value] : [] });
}
function tick(value: string, on: boolean) {
  set({ only: on ? [...draft.value.only, value] : draft.value.only.filter((v) => v !== value) });
}
function partly(on: boolean) {
  part.value = on;
  set(on ? { from: "10:10", to: "10:35" } : { from: "", to: "" });
}
const checked = (event: Event) => (event.target as HTMLInputElement).checked;
const typed = (event: Event) => (event.target as HTMLInputElement).value;
</script>

<template>
  <label :for="`${id}-reason`">Reason</label>
  <input
    :id="`${id}-reason`"
    :value="draft.reason"
    class="field"
    maxlength="200"
    placeholder="what the wall says"
    autocomplete="off"
    autofocus
    @input="set({ reason: typed($event) })"
  />
  <label :for="`${id}-kind`">Kind</label>
  <select :id="`${id}-kind`" :value="draft.kind" class="field" @change="set({ kind: typed($event) })">
    <option v-for="k in KINDS" :key="k" :value="k">{{ k.replace("-", " ") }}</option>
    <option v-if="!(KINDS as readonly string[]).includes(draft.kind)" :value="draft.kind">{{ draft.kind }}</option>
  </select>
  <label :for="`${id}-scope`">Concerns</label>
  <select :id="`${id}-scope`" :value="several ? 'several' : scope" class="field" @change="concern">
    <option value="">everyone</option>
    <option v-for="s in scopes" :key="s.value" :value="s.value">{{ s.label }}</option>
    <option v-if="scopes.length > 2" value="several">several…</option>
  </select>
  <div v-if="several" class="wide ticks">
    <label v-for="s in scopes" :key="s.value">
      <input type="checkbox" :checked="draft.only.includes(s.value)" @change="tick(s.value, checked($event))" />{{
        s.label.replace(" only", "")
      }}
    </label>
  </div>
  <fieldset class="wide effects">
    <legend class="soft">What follows from it</legend>
    <div class="ticks">
      <label
        ><input type="checkbox" :checked="draft.noClass" @change="set({ noClass: checked($event) })" /> no class</label
      >
      <label
        ><input type="checkbox" :checked="draft.planPauses" @change="set({ planPauses: checked($event) })" /> lessons
        wait: the class is held without one</label
      >
      <label
        ><input type="checkbox" :checked="draft.nothingDue" @change="set({ nothingDue: checked($event) })" /> nothing
        due</label
      >
      <label><input type="checkbox" :checked="part" @change="partly(checked($event))" /> only part of the day</label>
      <label
        ><input type="checkbox" :checked="draft.justInCase" @change="set({ justInCase: checked($event) })" /> not
        certain: set aside for snow or the like</label
      >
    </div>
    <div v-if="part" class="ticks">
      <span>from</span>
      <TimeField
        :id="`${id}-from`"
        :model-value="draft.from"
        :term-id="termId"
        label="From"
        @update:model-value="set({ from: $event })"
      />
      <span>to</span>
      <TimeField
        :id="`${id}-to`"
        :model-value="draft.to"
        :term-id="termId"
        label="To; midnight for the end of the day"
        @update:model-value="set({ to: $event === '23:59' ? '24:00' : $event })"
      />
    </div>
  </fieldset>
</template>

<style scoped>
.effects {
  border: 1px solid var(--rule);
  padding: 2px 10px 6px;
  margin: 0;
}
</style>
