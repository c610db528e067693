<script setup lang="ts">
import Dialog from "../ui/Dialog.vue";

const visible = defineModel<boolean>("visible", { required: true });
const keys = [
  ["← ↑ ↓ →", "walk the days"],
  ["Shift + arrows", "choose a run of days"],
  ["Enter", "open the day"],
  ["Space", "choose the day's lesson; again for its work"],
  ["D", "day off, for the day or the chosen run"],
  [".   ,", "later or earlier by one class, with all that follows"],
  [">   <", "the same, only this lesson"],
  ["S", "later or earlier, with choices"],
  [
    "M",
    "pick up what is chosen; arrows carry it, Enter puts it down, Shift Enter keeps the spacing, P fixes it there, Escape lets go",
  ],
  ["P", "fix what is chosen, or the day's lesson, on this day; again lets it go"],
  ["Del", "take what is chosen out of the plan"],
  ["N", "type something new into the day; in the outline, a new line below"],
  ["E", "edit what is chosen"],
  ["B", "words on the day and its week; in the outline, B is a new notice"],
  ["A   X", "apply or discard the proposal"],
  ["W   K", "close-set or wide; keep this week open"],
  ["Space, Shift + arrows", "in the outline: choose one more, choose a range; Ctrl + A all that is shown"],
  ["Alt + arrows", "in the outline and in a day's list: put in order; right and left: into the thing above and out"],
  ["/", "find"],
  ["Ctrl + Z", "undo; with Shift, redo"],
  ["?", "this list"],
];
</script>

<template>
  <Dialog v-model:visible="visible" modal header="Keys" :style="{ width: '520px' }" dismissable-mask>
    <dl class="form">
      <template v-for="[key, does] in keys" :key="key">
        <dt>
          <kbd>{{ key }}</kbd>
        </dt>
        <dd>{{ does }}</dd>
      </template>
    </dl>
  </Dialog>
</template>

<style scoped>
dl {
  margin: 0;
  gap: 4px 14px;
}
dd {
  margin: 0;
}
</style>
