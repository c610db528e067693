<script setup lang="ts">
import { ref } from "vue";
import { show } from "../api/me";
import { FOR, STANDS, WORK, hiddenKinds } from "./kinds";
import Mark from "./Mark.vue";

/** What walls show and leave out, by what stands on a day, by kind of work and by whom it is for; kept for the person. */
const problem = ref("");
async function turn(key: string) {
  problem.value = "";
  const now = new Set(hiddenKinds.value);
  if (!now.delete(key)) now.add(key);
  try {
    await show({ hiddenKinds: [...now] });
  } catch (e) {
    problem.value = (e as Error).message;
  }
}
async function all() {
  try {
    await show({ hiddenKinds: [] });
  } catch (e) {
    problem.value = (e as Error).message;
  }
}
const MARKS = new Set(["opens", "due", "closes"]);
const further = [
  { name: "Kinds of work", of: WORK },
  { name: "For whom", of: FOR },
];
const left = (of: readonly [string, string][]) => of.filter(([key]) => hiddenKinds.value.has(key)).length;
</script>

<template>
  <fieldset class="kinds">
    <legend class="vh">Shown</legend>
    <label v-for="[key, name] in STANDS" :key="key">
      <input type="checkbox" :checked="!hiddenKinds.has(key)" @change="turn(key)" />
      <Mark v-if="MARKS.has(key)" :is="key as 'due'" /><span v-else-if="key === 'notices'" class="flag"></span
      >{{ name }}
    </label>
  </fieldset>
  <details v-for="part in further" :key="part.name" class="kinds">
    <summary>
      {{ part.name }}<span v-if="left(part.of)" class="soft">, {{ left(part.of) }} left out</span>
    </summary>
    <fieldset class="kinds">
      <legend class="vh">{{ part.name }}</legend>
      <label v-for="[key, name] in part.of" :key="key">
        <input type="checkbox" :checked="!hiddenKinds.has(key)" @change="turn(key)" />{{ name }}
      </label>
    </fieldset>
  </details>
  <button v-if="hiddenKinds.size" type="button" class="btn quiet" @click="all">show everything</button>
  <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
</template>

<style scoped>
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(3, auto);
  gap: 2px 10px;
}
label {
  display: flex;
  align-items: center;
  gap: 5px;
  min-height: 24px;
  white-space: nowrap;
}
summary {
  cursor: pointer;
  min-height: 24px;
}
</style>
