<script setup lang="ts">
import { computed, ref } from "vue";
import type { ChangeState } from "../change/useChanges";
import TellDialog from "../telling/TellDialog.vue";
import { useTelling } from "../telling/useTelling";
import Mark from "../draw/Mark.vue";
import { trying } from "../api/mode";
import FindingsPanel from "./FindingsPanel.vue";
import UndoRedo from "./UndoRedo.vue";

/** What stands at the right of the band in every view that changes a term: its findings, what students were not told, undo and redo. */
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
const tells = ref(false);
const { telling, wrong } = useTelling(props.state.termId, props.state.version);
const held = computed(() => props.state.proposal.value !== null || props.state.busy.value);
</script>

<template>
  <button v-if="findings !== null" type="button" class="plain lamps" @click="open = true">
    <span class="lamp">{{ findings }}</span><span class="w">{{ findings === 1 ? "finding" : "findings" }}</span
    ><span class="vh">, show them</span>
  </button>
  <span v-if="wrong" class="problem" role="alert">{{ wrong }}</span>
  <button v-if="telling && !trying" type="button" class="plain told" @click="tells = true">
    <template v-if="telling.differ"><Mark is="told" />{{ telling.differ }}<span class="w">not told</span></template>
    <template v-else-if="telling.sections.some((s) => s.begun)">all told</template>
    <template v-else>tell students</template><span class="vh">: what students were told</span>
  </button>
  <UndoRedo :undo="undo" :redo="redo" :held="held" @undo="state.undo()" @redo="state.redo()" />
  <TellDialog v-if="tells && telling" :state="state" :telling="telling" :here="here" @done="tells = false" />
  <FindingsPanel v-if="open" :state="state" :here="here" @done="open = false" />
</template>
