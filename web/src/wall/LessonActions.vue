<script setup lang="ts">
import { computed } from "vue";
import type { Change, Day } from "../api/client";
import { injectWall } from "./useWall";

/** What can be done with one lesson of the opened day, in the section that is shown. */
const props = defineProps<{ course: string; section: string; day: string; lesson: Day["lessons"][number] }>();
const { propose, busy } = injectWall();
const at = computed(() => ({ course: props.course, section: props.section, lesson: props.lesson.id }));

function length(by: 1 | -1) {
  void propose({ kind: "set-length", ...at.value, length: props.lesson.parts + by });
}
function swap() {
  const { course, section, lesson } = at.value;
  void propose({ kind: "shift", course, section, lessons: [lesson], by: 1, in: "sessions", onlyThese: true });
}
function pin() {
  void propose({ kind: "pin", ...at.value, ...(props.lesson.pinned ? {} : { date: props.day }) } as Change);
}
</script>

<template>
  <details class="of-lesson">
    <summary>{{ lesson.id }} in {{ section }}: more, less, join, leave out …</summary>
    <div class="act" role="group" :aria-label="`${lesson.id}, in ${section}`">
      <button type="button" class="btn" :disabled="busy" @click="length(1)">One class more</button>
      <button v-if="lesson.parts > 1" type="button" class="btn" :disabled="busy" @click="length(-1)">One less</button>
      <button
        type="button"
        class="btn"
        :disabled="busy"
        @click="propose({ kind: 'join', ...at, join: !lesson.joined })"
      >
        {{ lesson.joined ? "Own class again" : "Join to the one before" }}
      </button>
      <button type="button" class="btn" :disabled="busy" @click="swap">Swap with the next</button>
      <button type="button" class="btn" :disabled="busy" @click="pin">
        {{ lesson.pinned ? "Let it move" : "Fix it here" }}
      </button>
      <button type="button" class="btn" :disabled="busy" @click="propose({ kind: 'leave-out', ...at, leave: true })">
        Leave out
      </button>
    </div>
  </details>
</template>

<style scoped>
.of-lesson {
  margin-top: 6px;
}
</style>
