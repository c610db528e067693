<script setup lang="ts">
import { nextTick, ref } from "vue";
import { api, ask } from "../api/client";
import { weekdayDay } from "../ui/say";
import HeardLine from "./HeardLine.vue";
import { type TypedInto, useTypedLine } from "./useTypedLine";

/** A line for something new on a day, with the course that it is for in sight; "for MAP 115" in the line says another. */
const props = defineProps<{
  state: TypedInto<{ into: Into; date: string }>;
  date: string;
  /** The courses that it can be for, each with the section that is looked at. */
  choices: readonly Into[];
}>();
const emit = defineEmits<{ added: [key: string, into: Into] }>();
/** Names the one that is meant. */
const into = defineModel<string>("into", { required: true });
interface Into {
  key: string;
  termId: number;
  course: string;
  section: string;
  name: string;
}
const chosen = () => props.choices.find((c) => c.key === into.value) ?? props.choices[0]!;

const typed = useTypedLine(
  props.state,
  () => ({ into: chosen(), date: props.date }),
  (text, { into: of, date }) =>
    ask(
      api.POST("/api/terms/{termId}/outline/day", {
        params: { path: { termId: of.termId } },
        body: { course: of.course, section: of.section, date, text },
      }),
    ),
  (read, at) => {
    const of = props.choices.find((c) => c.termId === at.into.termId && c.course === read.course) ?? at.into;
    if (at.date === props.date) emit("added", read.key, of);
  },
);
const adder = ref<HTMLInputElement>();
/** Puts the keyboard into the field, which may begin with some words. */
async function add(words = "") {
  if (words) typed.type(words);
  await nextTick();
  adder.value?.focus();
  adder.value?.setSelectionRange(typed.text.value.length, typed.text.value.length);
}
defineExpose({ add });
</script>

<template>
  <form v-if="choices.length" class="add" @submit.prevent="typed.enter()">
    <label class="for">
      <span class="soft">for</span>
      <select v-model="into" class="field" aria-label="The course that it is for" @change="typed.hear()">
        <option v-for="c in choices" :key="c.key" :value="c.key">{{ c.name }}</option>
      </select>
      <b v-if="typed.heard.value?.course && typed.heard.value.course !== chosen().course" class="other"
        >→ {{ typed.heard.value.course }}</b
      >
    </label>
    <input
      ref="adder"
      :value="typed.text.value"
      class="field"
      :aria-label="`Something new on ${weekdayDay(date)}, for ${chosen().course} in every section`"
      placeholder="new: quiz 3, 5pm"
      :aria-invalid="typed.wrong.value !== '' || !!typed.heard.value?.wrong"
      autocomplete="off"
      aria-describedby="added-said"
      @input="typed.type(($event.target as HTMLInputElement).value)"
      @keydown.escape.stop="typed.clear()"
    />
    <HeardLine
      id="added-said"
      :typed="typed"
      hint="also “lesson: …”, “notice: …”, “note: …”; opens, closes, times, points, “for” a course"
    />
  </form>
</template>

<style scoped>
.add {
  padding: 8px 10px 0;
}
.add > .field {
  width: 100%;
}
.for {
  display: flex;
  gap: 6px;
  align-items: center;
  margin-bottom: 3px;
}
.for select {
  min-width: 0;
  padding-block: 1px;
}
.other {
  white-space: nowrap;
}
</style>
