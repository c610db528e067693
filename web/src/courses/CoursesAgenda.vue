<script setup lang="ts">
import { computed, ref } from "vue";
import Mark from "../draw/Mark.vue";
import { clock, span, weekdayDay } from "../ui/say";
import { focusWithin } from "../ui/walk";
import DaysTools from "./DaysTools.vue";
import type { LaidDay } from "./lay";

/** Some days one below the other: classes by time at the left, what opens, is due and is noted at the right. */
const props = defineProps<{
  days: readonly LaidDay[];
  focus: string;
  opened: string;
  picked: ReadonlySet<string>;
  target: { date: string; says: string } | null;
}>();
const emit = defineEmits<{ focus: [date: string]; today: [] }>();
const list = ref<HTMLElement>();
/** How many days at once. */
const many = ref(14);
/** The day that the list begins with; it moves when the day that one stands on is no longer in it. */
const begins = ref(0);
const from = computed(() => {
  const at = props.days.findIndex((d) => d.date === props.focus);
  return at < begins.value || at >= begins.value + many.value ? Math.max(0, at) : begins.value;
});
const shown = computed(() => props.days.slice(from.value, from.value + many.value));
function turn(by: number) {
  begins.value = Math.max(0, Math.min(props.days.length - 1, from.value + by * many.value));
  const first = props.days[begins.value];
  if (first) emit("focus", first.date);
}
function today() {
  begins.value = Math.max(
    0,
    props.days.findIndex((d) => d.today || !d.past),
  );
  emit("today");
}
const keyOf = (one: { lane: string; thing: string }) => `${one.lane}\t${one.thing}`;
const says = (day: LaidDay) => (props.target?.date === day.date ? props.target.says : "");
const byTime = (day: LaidDay) => [...day.things].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
const title = computed(() => {
  const [first, last] = [shown.value[0], shown.value[shown.value.length - 1]];
  return first && last ? span(first.date, last.date) : "";
});
defineExpose({ focusDay: (date: string) => focusWithin(list.value, date) });
</script>

<template>
  <div class="wallscroll">
    <DaysTools
      show="agenda"
      :title="title"
      :before="from > 0"
      :after="from + many < days.length"
      @turn="turn"
      @today="today"
    >
      <label
        >days at once
        <select v-model="many" class="field">
          <option v-for="n in [5, 10, 14, 20, 40]" :key="n" :value="n">{{ n }}</option>
        </select></label
      >
    </DaysTools>
    <div ref="list" class="agenda" role="grid" aria-label="Days of all courses">
      <div
        v-for="day in shown"
        :key="day.date"
        role="row"
        class="aday"
        :class="{ past: day.past, now: day.today, opened: opened === day.date, target: says(day) !== '' }"
        :data-date="day.date"
        :tabindex="focus === day.date ? 0 : -1"
        :aria-label="day.label"
        :aria-selected="opened === day.date"
      >
        <div class="when" role="rowheader">
          <b>{{ weekdayDay(day.date) }}</b>{{ " " }}
          <span v-if="day.today" class="look">today</span>
          <span v-if="says(day)" class="says">{{ says(day) }}</span>
        </div>
        <div role="gridcell">
          <p v-if="day.off" class="soft">no class: {{ day.off }}</p>
          <p v-if="day.apart" class="soft">no class for {{ day.apart }}</p>
          <p v-for="c in day.classes" :key="c.lane" class="acl" :class="c.look">
            <span class="tm">{{ c.beat ? "" : clock(c.start) }}</span>
            <b class="lt">{{ c.letter }}</b>
            <i class="k" :class="{ taught: c.taught, cont: c.goesOn, beat: c.beat, none: !c.thing }"></i>
            <span
              class="nm"
              :class="{ neu: c.proposed, picked: picked.has(keyOf(c)) }"
              :data-drag="c.drag ? keyOf(c) : undefined"
              :data-thing="c.thing ? keyOf(c) : undefined"
              ><span class="code">{{ c.code || "nothing planned" }}</span> {{ c.title }}</span
            >
          </p>
        </div>
        <div role="gridcell">
          <p v-for="t in byTime(day)" :key="t.lane + t.thing + t.what" class="acl">
            <span class="tm">{{ t.at ? clock(t.at) : "" }}</span>
            <b class="lt">{{ t.letters }}</b>
            <span class="kd"><Mark :is="t.what" />{{ t.what === "notice" ? "noted" : t.what }}</span>
            <span
              class="nm"
              :class="{ neu2: t.proposed, picked: picked.has(keyOf(t)), tst: t.test }"
              :data-drag="t.drag ? keyOf(t) : undefined"
              :data-thing="keyOf(t)"
              :title="t.words"
              ><Mark v-if="t.told" is="told" /><Mark v-if="t.fixed" is="pin" />{{ t.title }}</span
            >
          </p>
          <s v-for="g in day.gone" :key="g" class="was">{{ g }}</s>
        </div>
      </div>
    </div>
  </div>
</template>
