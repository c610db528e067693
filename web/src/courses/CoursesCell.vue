<script setup lang="ts">
import { computed } from "vue";
import Mark from "../draw/Mark.vue";
import type { LaidDay } from "./lay";
import { fittingLines } from "./packing";
import { type Slots, placed } from "./slots";

/** One day over all courses. Presses, drags and keys are heard by the page around it. */
const props = defineProps<{
  day: LaidDay;
  slots: Slots[number];
  /** Classes beside each other. */
  beside: number;
  /** Width for work, in pixels, and how many lines of it. */
  room: number;
  lines: number;
  /** One line a day: of work only how much there is. */
  close: boolean;
  opened: boolean;
  says: string;
  picked: ReadonlySet<string>;
  tabbable: boolean;
  /** The day before is off for the same reason, and says so. */
  goesOn: boolean;
  nowTop: boolean;
  nowLeft: boolean;
}>();
const places = computed(() => placed(props.day, props.slots));
const fits = computed(() => (props.close ? 0 : fittingLines(props.day.things, props.room, props.lines)));
const rest = computed(() => props.day.things.slice(fits.value));
const keyOf = (lane: string, thing: string) => `${lane}\t${thing}`;
</script>

<template>
  <div
    class="day cd"
    role="gridcell"
    :class="{
      past: day.past,
      hatched: day.off !== '',
      opened,
      nt: nowTop,
      nl: nowLeft,
      target: says !== '',
      close,
    }"
    :data-date="day.date"
    :tabindex="tabbable ? 0 : -1"
    :aria-label="day.label"
    :aria-selected="opened"
  >
    <span class="n" :class="{ today: day.today }">{{ Number(day.date.slice(8)) }}</span>
    <span v-if="day.off && !goesOn" class="why"
      ><span>{{ day.off }}</span></span
    >
    <div v-if="!day.off || day.classes.length" class="cls" :style="{ '--beside': beside }">
      <template v-for="(c, n) in places" :key="n">
        <span
          v-if="c"
          class="cl"
          :class="[c.look, { neu: c.proposed, picked: picked.has(keyOf(c.lane, c.thing)) }]"
          :data-drag="c.drag ? keyOf(c.lane, c.thing) : undefined"
          :data-thing="c.thing ? keyOf(c.lane, c.thing) : undefined"
          :title="c.words"
          ><span class="nm2"
            ><b>{{ c.letter }}</b>
            <span class="code" :class="{ tested: close && c.tests }">{{ c.short || "–" }}</span></span
          ><span class="thread"></span
          ><i v-if="c.thing" class="k" :class="{ taught: c.taught, cont: c.goesOn, beat: c.beat }"></i
          ><i v-else class="k none"></i><i v-if="close && c.due" class="hang" :style="{ '--n': c.due }"></i
        ></span>
        <span v-else></span>
      </template>
    </div>
    <span v-if="close && day.loose.n" class="loose"
      >{{ day.loose.letter }}<i class="hang" :style="{ '--n': day.loose.n }"></i
    ></span>
    <div v-if="!close && day.things.length" class="due">
      <span
        v-for="t in day.things.slice(0, fits)"
        :key="t.lane + t.thing + t.what"
        class="it"
        :class="{
          test: t.test,
          read: t.reading,
          ntc: t.what === 'notice',
          opn2: t.what === 'opens',
          cls2: t.what === 'closes',
          neu2: t.proposed,
          picked: picked.has(keyOf(t.lane, t.thing)),
        }"
        :data-drag="t.drag ? keyOf(t.lane, t.thing) : undefined"
        :data-thing="keyOf(t.lane, t.thing)"
        :title="t.words"
        ><Mark v-if="t.told" is="told" /><Mark v-if="t.fixed" is="pin" /><b>{{ t.letters }}</b> {{ t.name
        }}<span v-if="t.draft" class="draft">draft</span></span
      >
      <span v-if="rest.length" class="more" :title="rest.map((t) => `${t.letters} ${t.words}`).join('\n')"
        >+{{ rest.length }}</span
      >
    </div>
    <span v-if="day.apart && !close" class="apart" :title="`no class for ${day.apart}`">{{ day.apart }}</span>
    <span v-if="day.gone.length" class="gone" :title="day.gone.join('\n')">−{{ day.gone.length }}</span>
    <span v-if="says" class="says">{{ says }}</span>
  </div>
</template>
