<script setup lang="ts">
import { computed } from "vue";
import { count, hourMinute, weekdayDay } from "../ui/say";
import type { HoursBlock, HoursSlot } from "./useHours";

/** Slots one after the other, as a row of boxes on their times. */
const props = defineProps<{ block: HoursBlock; chosen: string; past: boolean }>();
const emit = defineEmits<{ choose: [slot: HoursSlot, block: HoursBlock] }>();
const time = (iso: string) => hourMinute(iso.slice(11, 16));
const key = (s: HoursSlot) => `${props.block.id} ${s.name}`;
/** What is carried: which reach, of which office hours, and the slot. */
const dragged = (reach: "slot" | "day", s: HoursSlot) => [reach, props.block.id, s.name, s.start].join("\t");
const summary = computed(() => {
  if (props.block.withdrawn) return "withdrawn";
  const came = props.block.slots.reduce((sum, s) => sum + s.taken, 0);
  if (!props.block.places) return "open";
  return props.past ? (came ? `${came} came` : "") : `${props.block.free} of ${props.block.places} free`;
});
function says(s: HoursSlot): string {
  const what =
    s.state === "booked"
      ? s.places > 1
        ? `${s.taken} of ${count(s.places, "place")} taken`
        : `booked, ${s.who.join(", ")}`
      : s.state;
  return `${props.block.title}, ${weekdayDay(s.start.slice(0, 10))}, ${time(s.start)}: ${what}${s.byHand ? ", changed by hand" : ""}`;
}
</script>

<template>
  <div class="block">
    <div
      class="head"
      :data-drag="block.withdrawn || past || !block.slots[0] ? undefined : dragged('day', block.slots[0])"
      :title="past ? undefined : 'drag it to another day'"
    >
      <s v-if="block.withdrawn">{{ time(block.start) }} to {{ time(block.end) }}</s>
      <span v-else class="span"
        >{{ time(block.start) }} to {{ time(block.end) }}
        <span class="soft">{{ block.place || (block.link ? "by link" : "") }}</span></span
      >
      <span class="sum" :class="{ look: block.withdrawn }">{{ summary }}</span>
    </div>
    <div class="boxes">
      <button
        v-for="s in block.slots"
        :key="s.name"
        type="button"
        class="box"
        :class="[s.state, { chosen: chosen === key(s), wide: s.places === 0, hand: s.byHand }]"
        :aria-label="says(s)"
        :aria-pressed="chosen === key(s)"
        :title="says(s)"
        :data-drag="past || s.state === 'withdrawn' ? undefined : dragged('slot', s)"
        @click="emit('choose', s, block)"
      >
        <template v-if="s.state === 'blocked'">–</template>
        <template v-else-if="s.places > 1 && s.state !== 'withdrawn'">{{ s.taken }}/{{ s.places }}</template>
        <template v-else>{{ s.who[0] ?? "" }}</template>
      </button>
    </div>
    <div class="times" aria-hidden="true">
      <span v-for="(s, at) in block.slots" :key="s.name" :class="{ wide: s.places === 0 }">{{
        at === 0 || s.start.slice(14, 16) === "00" ? time(s.start) : `:${s.start.slice(14, 16)}`
      }}</span>
    </div>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  white-space: nowrap;
}
.span {
  overflow: hidden;
  text-overflow: ellipsis;
}
.sum {
  color: var(--ink-soft);
}
.sum.look {
  color: var(--lantern);
  font-weight: 700;
}
.boxes,
.times {
  display: flex;
}
.times {
  font-size: 12px;
  color: var(--ink-faint);
}
.box,
.times span {
  flex: 0 1 44px;
  min-width: 30px;
}
.wide {
  flex: 1 1 auto;
}
.box {
  min-height: 28px;
  margin-left: -1px;
  border: 1px solid var(--rule-firm);
  border-radius: 0;
  background: var(--paper-raised);
  color: var(--ink);
  font: inherit;
  font-weight: 700;
  padding: 0 2px;
  cursor: pointer;
}
.box.booked {
  background: var(--ink);
  color: var(--paper);
}
.box.withdrawn {
  border-style: dashed;
  background: none;
  color: var(--lantern);
  text-decoration: line-through;
}
.box.blocked {
  background: var(--paper-off);
  color: var(--ink-faint);
}
.box.hand {
  border-bottom-width: 3px;
}
.box.chosen {
  outline: 3px solid var(--ink);
  outline-offset: 1px;
  position: relative;
  z-index: 1;
}
</style>
