<script setup lang="ts">
import KindsButton from "../draw/KindsButton.vue";
import Mark from "../draw/Mark.vue";

defineProps<{
  close: boolean;
  /** Some dates are not what students were told. */
  told: boolean;
  /** Students were told dates up to a day. */
  upTo: boolean;
}>();
</script>

<template>
  <div class="legend" aria-label="Legend" role="group">
    <span><i class="knot taught"></i>taught</span>
    <span><i class="knot"></i>planned</span>
    <span class="opt"><i class="knot cont"></i>goes on</span>
    <span class="opt"><i class="gapk"></i>no lesson yet</span>
    <span
      ><span class="c1 p1"><Mark is="tail" style="color: var(--t)" /></span>unit ends</span
    >
    <span><i class="stem"></i>{{ close ? "so many due" : "due" }}</span>
    <span v-if="!close"><Mark is="opens" />opens</span>
    <span><i class="box">Quiz</i>test</span>
    <span class="opt"><i class="flag"></i>notice</span>
    <span><Mark is="pin" />fixed date</span>
    <span v-if="told"><Mark is="told" />told otherwise</span>
    <span v-if="upTo"><i class="told"></i>told to here</span>
    <span><i class="sw hatched"></i>no class</span>
    <span><i class="stair"></i>now</span>
    <span class="opt">a stroke: an hour</span>
    <KindsButton style="margin-left: auto" />
    <span><kbd>?</kbd> keys</span>
  </div>
</template>
