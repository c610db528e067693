<script setup lang="ts">
import { computed, ref } from "vue";
import type { ChangeState } from "../change/useChanges";
import FindingsPanel from "./FindingsPanel.vue";
import UndoRedo from "./UndoRedo.vue";

/** What stands at the right of the band in every view that changes a term: its findings, undo and redo. */
const props = defineProps<{
  state: Omit<ChangeState<unknown>, "load" | "view" | "shown">;
  /** How many findings the view counts; null until it is loaded. */
  findings: number | null;
  undo?: string | null;
  redo?: string | null;
  /** The section whose findings come first, as "HYD 210/A". */
  here: string;
}>();
const open = ref(false);
const held = computed(() => props.state.proposal.value !== null || props.state.busy.value);
</script>

<template>
  <button v-if="findings !== null" type="button" class="plain" @click="open = true">
    <span class="lamp">{{ findings }}</span><span class="w">{{ findings === 1 ? "finding" : "findings" }}</span
    ><span class="vh">, show them</span>
  </button>
  <UndoRedo :undo="undo" :redo="redo" :held="held" @undo="state.undo()" @redo="state.redo()" />
  <FindingsPanel v-if="open" :state="state" :here="here" @done="open = false" />
</template>
