<script setup lang="ts">
import { computed, ref } from "vue";
import type { Change } from "../api/client";
import { courseOfShared, leaving } from "../change/shared";

/** Takes a thing that several courses have out of all of them, or of one. */
const props = defineProps<{
  /** The course that it is written in. */
  course: string;
  /** "item:set-1" or "notice:hut". */
  thing: string;
  shared: readonly string[];
  /** The course from which one looks at it. */
  from: string;
  /** What takes it out of all. */
  all: Change;
}>();
const emit = defineEmits<{ send: [change: Change] }>();
const courses = computed(() => [...new Set([props.course, ...props.shared.map(courseOfShared)])]);
const where = ref(props.from === props.course ? "" : props.from);
</script>

<template>
  <span class="rs">
    <select v-model="where" class="field" aria-label="Where it is taken out">
      <option value="">all: {{ courses.join(", ") }}</option>
      <option v-for="c in courses" :key="c" :value="c">{{ c }} alone</option>
    </select>
    <button type="button" class="btn" @click="emit('send', where ? leaving(course, thing, where) : all)">
      Take out
    </button>
  </span>
</template>

<style scoped>
.rs {
  display: inline-flex;
  gap: 6px;
  align-items: center;
}
</style>
