<script setup lang="ts">
import Popover from "primevue/popover";
import { ref } from "vue";
import { hiddenKinds } from "./kinds";
import KindsShown from "./KindsShown.vue";

/** Opens what a wall shows and leaves out. */
const choice = ref<InstanceType<typeof Popover>>();
</script>

<template>
  <span>
    <button type="button" class="plain ks" aria-haspopup="dialog" @click="choice?.toggle($event)">
      kinds shown<span v-if="hiddenKinds.size" class="look">, {{ hiddenKinds.size }} left out</span>
    </button>
    <Popover ref="choice"><KindsShown /></Popover>
  </span>
</template>

<style scoped>
.ks {
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
