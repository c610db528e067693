<script setup lang="ts">
import Mark from "../draw/Mark.vue";

/** What the marks of all courses mean. */
defineProps<{ by: "weeks" | "month" | "agenda" }>();
</script>

<template>
  <div class="legend" aria-label="Legend" role="group">
    <span><i class="knot taught"></i>taught</span>
    <span><i class="knot"></i>planned</span>
    <span class="opt"><i class="knot cont"></i>goes on</span>
    <span class="opt"><i class="knot beat"></i>no meeting</span>
    <span><i class="stem"></i>due</span>
    <span><i class="box">Quiz</i>test</span>
    <span class="opt"><i class="flag"></i>notice</span>
    <span><Mark is="pin" />fixed date</span>
    <span class="opt"><Mark is="told" />told otherwise</span>
    <span><i class="sw hatched"></i>no class</span>
    <span v-if="by === 'weeks'"><i class="stair"></i>now</span>
    <span v-if="by === 'weeks'" class="opt">a stroke: two hours of work</span>
    <span v-if="by === 'weeks'" style="margin-left: auto">press a week to widen it</span>
    <span v-else-if="by === 'month'" style="margin-left: auto">what is due hangs below its course</span>
  </div>
</template>
