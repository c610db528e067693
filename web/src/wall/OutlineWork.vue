<script setup lang="ts">
import type { Schemas } from "../api/client";
import { weekdayNumber } from "../ui/say";

/** A line of work in the outline: its name, and its day or, without one, its kind. */
defineProps<{ item: Schemas["OutlineItem"]; picked: boolean; undated?: boolean }>();
</script>

<template>
  <button
    type="button"
    class="r i"
    :class="{ sel: picked, un: undated }"
    :data-drag="'item:' + item.id"
    :title="item.title"
  >
    <span class="nm">{{ item.title }}</span>
    <span class="d" :class="{ moved: item.moved }">{{ item.date ? weekdayNumber(item.date) : item.kind }}</span>
  </button>
</template>
