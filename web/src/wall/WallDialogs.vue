<script lang="ts">
/** The dialogs of the wall; empty for none. */
export type WallDialog = "" | "off" | "shift" | "move" | "keys" | "read" | "notice" | "rhythm" | "words" | "facts";
</script>

<script setup lang="ts">
import { defineAsyncComponent, onMounted } from "vue";
import type { WallView } from "../api/client";
import DayOffDialog from "./DayOffDialog.vue";
import FactsDialog from "./FactsDialog.vue";
import KeysDialog from "./KeysDialog.vue";
import MoveDialog from "./MoveDialog.vue";
import ShiftDialog from "./ShiftDialog.vue";

/** The large dialogs, which look something up before they open anyway, are fetched when the wall stands. */
const LARGE = {
  edit: () => import("./EditDialog.vue"),
  notice: () => import("../notice/NoticeDialog.vue"),
  words: () => import("../notice/WordsDialog.vue"),
  rhythm: () => import("../rhythm/RhythmDialog.vue"),
  read: () => import("./ReadOutline.vue"),
};
const EditDialog = defineAsyncComponent(LARGE.edit);
const NoticeDialog = defineAsyncComponent(LARGE.notice);
const WordsDialog = defineAsyncComponent(LARGE.words);
const RhythmDialog = defineAsyncComponent(LARGE.rhythm);
const ReadOutline = defineAsyncComponent(LARGE.read);
onMounted(() =>
  window.setTimeout(() => {
    // one that cannot be fetched now is fetched again, and said, when it is opened
    for (const fetch of Object.values(LARGE)) fetch().catch(() => undefined);
  }, 300),
);

/** Whichever dialog of the wall is open. */
defineProps<{
  wall: WallView;
  /** The day one stands on. */
  day: string;
  /** The opened day; empty for none. */
  opened: string;
  /** The run of days that is chosen, or that day. */
  run: [string, string];
  picked: ReadonlySet<string>;
  /** What a move moves. */
  moving: string[];
  /** The course from which a shared thing is looked at, where it is another than the wall's. */
  from?: string | undefined;
}>();
const emit = defineEmits<{ go: [date: string] }>();
const dialog = defineModel<WallDialog>("dialog", { required: true });
/** The thing that is edited, as "item:set-1"; empty for none. */
const editing = defineModel<string>("editing", { required: true });
</script>

<template>
  <DayOffDialog
    :visible="dialog === 'off'"
    :wall="wall"
    :first-day="run[0]"
    :last-day="run[1]"
    @update:visible="dialog = ''"
  />
  <ShiftDialog
    :visible="dialog === 'shift'"
    :wall="wall"
    :picked="picked.size ? picked : new Set(moving)"
    :day="day"
    :run="run"
    @update:visible="dialog = ''"
  />
  <MoveDialog
    :visible="dialog === 'move'"
    :wall="wall"
    :keys="moving"
    :day="day"
    @update:visible="dialog = ''"
    @go="emit('go', $event)"
  />
  <FactsDialog v-if="dialog === 'facts'" :wall="wall" :picked="picked" @done="dialog = ''" />
  <RhythmDialog v-if="dialog === 'rhythm'" :wall="wall" @done="dialog = ''" />
  <WordsDialog v-if="dialog === 'words'" :wall="wall" :day="day" @done="dialog = ''" />
  <NoticeDialog
    v-if="dialog === 'notice' || editing.startsWith('notice:')"
    :wall="wall"
    :notice="editing.slice(7).split('@')[0] ?? ''"
    :entry="editing.split('@')[1] ?? ''"
    :day="opened"
    :from="from"
    @done="((dialog = ''), (editing = ''))"
  />
  <ReadOutline v-if="dialog === 'read'" :course="wall.section.course" @done="dialog = ''" />
  <EditDialog
    v-if="editing && !editing.startsWith('notice:')"
    :thing="editing"
    :wall="wall"
    :from="from"
    @done="editing = ''"
  />
  <KeysDialog :visible="dialog === 'keys'" @update:visible="dialog = ''" />
</template>
