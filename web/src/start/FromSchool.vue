<script setup lang="ts">
import { ref, shallowRef } from "vue";
import { type Schemas, api, ask } from "../api/client";
import { useDoing } from "../ui/useDoing";

/** Begins from the school's calendar: its first and last day and its days off, and follows it from then on. */
const emit = defineEmits<{ use: [term: Schemas["CalendarTerm"], link: string] }>();
const { busy, problem, doing } = useDoing();
const link = ref("");
const found = shallowRef<Schemas["CalendarRead"] | null>(null);
const used = ref("");
const read = () =>
  doing(async () => {
    found.value = await ask(api.POST("/api/school-calendars/reading", { body: { link: link.value } }));
    const only = found.value.terms.length === 1 ? found.value.terms[0] : undefined;
    if (only) use(only);
  });
function use(term: Schemas["CalendarTerm"]) {
  used.value = term.name || "the term";
  emit("use", term, link.value);
}
</script>

<template>
  <div class="from" role="group" aria-label="The school’s calendar">
    <label for="from-school">or begin from the school’s calendar, by its link</label>
    <input
      id="from-school"
      v-model="link"
      class="field"
      maxlength="2000"
      placeholder="https://…/school/…"
      @keydown.enter.prevent="read"
    />
    <button type="button" class="btn" :disabled="busy || !link.trim()" @click="read">Begin from it</button>
    <template v-if="found && found.terms.length > 1">
      <button v-for="t in found.terms" :key="t.name + t.first" type="button" class="btn" @click="use(t)">
        {{ t.name }}
      </button>
    </template>
    <span role="status"
      ><template v-if="used">Taken from {{ found?.name }}, {{ used }}: the term will follow it.</template></span
    >
    <span v-if="problem" class="problem" role="alert">{{ problem }}</span>
  </div>
</template>

<style scoped>
.from {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: center;
}
.from .field {
  flex: 1;
  min-width: 180px;
}
.from label {
  flex: 0 0 100%;
}
</style>
