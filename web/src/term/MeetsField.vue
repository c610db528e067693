<script setup lang="ts">
import { ref } from "vue";
import type { Schemas } from "../api/client";
import { meetings } from "./meetings";
import { injectTerm } from "./useTerm";

/** When and where a section meets, as typed; beneath it what is understood of it. */
defineProps<{
  id: string;
  required: boolean;
  /** What stands beneath an empty field. */
  hint: string;
}>();
const emit = defineEmits<{
  /** The series read from the field; null while the field is empty. */
  read: [Schemas["PlanPattern"][] | null];
}>();
/** Whether what stands in the field is not understood. */
const wrong = defineModel<boolean>("wrong", { required: true });
const state = injectTerm();
const text = ref("");
const said = ref("");

async function read() {
  const typed = text.value;
  if (!typed.trim()) {
    said.value = "";
    wrong.value = false;
    emit("read", null);
    return;
  }
  try {
    const found = await meetings(state.termId, typed);
    if (typed !== text.value) return;
    said.value = found.said;
    wrong.value = false;
    emit("read", found.patterns);
  } catch (e) {
    if (typed !== text.value) return;
    said.value = (e as Error).message;
    wrong.value = true;
  }
}
</script>

<template>
  <span>
    <input
      :id="id"
      v-model="text"
      class="field"
      style="width: 100%"
      :required="required"
      :aria-invalid="wrong"
      :aria-describedby="`${id}-said`"
      placeholder="MWF 10-10:50 Weir House 2; every second Thu 15-16:50 Lab"
      @input="read"
    />
    <span :id="`${id}-said`" :class="wrong ? 'look' : 'soft'" role="status">{{ said || hint }}</span>
  </span>
</template>
