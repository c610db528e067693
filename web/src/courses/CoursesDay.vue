<script setup lang="ts">
import { type Ref, type ShallowRef, computed, ref, watchEffect } from "vue";
import type { Change, ProposalView } from "../api/client";
import type { Gate } from "../change/useChanges";
import DayLine from "../wall/DayLine.vue";
import { hiddenKinds } from "../draw/kinds";
import Mark from "../draw/Mark.vue";
import { clock, weekdayDay } from "../ui/say";
import type { CoursesState } from "./useCourses";
import type { LaidClass, LaidDay, LaidThing } from "./lay";

/** The opened day over all courses: classes and things by time, each with the course it is of and its place there. */
const props = defineProps<{ day: LaidDay; state: CoursesState; picked: ReadonlySet<string> }>();
const emit = defineEmits<{ pick: [key: string]; edit: [key: string]; close: [] }>();
const keyOf = (one: { lane: string; thing: string }) => `${one.lane}\t${one.thing}`;
const place = (one: { lane: string; thing: string }) => {
  const line = props.state.lineOf(one.lane);
  return {
    path: `/terms/${line?.termId}/wall`,
    query: { section: `${line?.course}/${line?.section}`, ...(one.thing ? { thing: one.thing } : {}) },
  };
};
const courseOf = (lane: string) => {
  const line = props.state.lineOf(lane);
  return line ? `${line.course} ${line.section}` : "";
};
/** The lessons of a class with their steps, as the server laid them out. */
const lessonsOf = (c: LaidClass) =>
  props.state.laneOf(c.lane)?.days.find((d) => d.date === props.day.date)?.lessons ?? [];
const steps = computed(() => !hiddenKinds.value.has("steps"));
/** Courses into which something can be typed: one line for all sections of a course. */
const choices = computed(() => {
  const may = props.state.view.value?.courses.filter(
    (c) =>
      props.state.shown.value.has(c.key) &&
      c.role !== "reader" &&
      c.first <= props.day.date &&
      props.day.date <= c.last,
  );
  const first = may?.filter((c, n) => may.findIndex((o) => o.termId === c.termId && o.course === c.course) === n) ?? [];
  return first.map((c) => ({
    ...c,
    name: `${c.course}${first.some((o) => o !== c && o.course === c.course) ? `, ${c.termName}` : ""}`,
  }));
});
const into = ref("");
watchEffect(() => {
  if (!choices.value.some((c) => c.key === into.value)) into.value = choices.value[0]?.key ?? "";
});
/** What is typed changes the term of the course that it is for. */
const typing = {
  proposal: computed(
    () => props.state.active.value?.proposal.value ?? null,
  ) as unknown as ShallowRef<ProposalView | null>,
  problem: computed(() => props.state.active.value?.problem.value ?? "") as unknown as Ref<string>,
  propose: (change: Change, gate: Gate, { into: of }: { into: { key: string } }) =>
    props.state.take(of.key)?.propose(change, gate) ?? Promise.resolve(false),
};
const things = computed(() => [...props.day.things].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0)));
const says = (t: LaidThing) => (t.what === "notice" ? "noted" : t.what);
</script>

<template>
  <section class="slip" :aria-label="`Opened day, ${weekdayDay(day.date)}`">
    <div class="back">
      <button type="button" class="plain" @click="emit('close')"><span aria-hidden="true">←</span> All courses</button>
      <kbd aria-hidden="true">Esc</kbd>
    </div>
    <div class="scrolls">
      <h2>{{ weekdayDay(day.date) }}</h2>
      <p v-if="day.off" class="soft">No class: {{ day.off }}</p>
      <p v-else-if="day.apart" class="soft">No class for {{ day.apart }}</p>
      <p v-if="!day.classes.length && !day.off" class="soft">No class.</p>
      <div v-for="c in day.classes" :key="c.lane" class="les" :class="c.look">
        <div class="of">
          <b class="lt">{{ c.letter }}</b> {{ courseOf(c.lane) }}
          <span class="soft">{{ c.beat ? "without meeting" : clock(c.start) }}</span>
          <RouterLink :to="place(c)" class="ln" :aria-label="`To the wall of ${courseOf(c.lane)}`">wall</RouterLink>
        </div>
        <template v-for="l in lessonsOf(c)" :key="l.id">
          <button
            type="button"
            class="plain name"
            :class="{ picked: picked.has(`${c.lane}\tlesson:${l.id}`) }"
            :data-drag="c.drag ? `${c.lane}\tlesson:${l.id}` : undefined"
            :aria-pressed="picked.has(`${c.lane}\tlesson:${l.id}`)"
            @click="emit('pick', `${c.lane}\tlesson:${l.id}`)"
            @dblclick="emit('edit', `${c.lane}\tlesson:${l.id}`)"
          >
            <span class="code">{{ l.id }}</span> {{ l.title }} <span v-if="l.taught" class="soft">taught</span
            ><Mark v-if="l.pinned" is="pin" />
          </button>
          <ol v-if="steps && l.steps.length">
            <li v-for="(s, n) in l.steps" :key="n">
              <span class="tm">{{ clock(s.time) }}</span><span>{{ s.text }}</span>
              <span class="soft">{{ s.minutes }} min</span>
            </li>
          </ol>
        </template>
        <span v-if="!lessonsOf(c).length" class="soft">nothing planned</span>
      </div>
      <h3>
        <span>On this day</span><span class="soft">{{ things.length || "nothing" }}</span>
      </h3>
      <ol class="ev">
        <li v-for="t in things" :key="t.lane + t.thing + t.what">
          <span class="tm">{{ t.at ? clock(t.at) : "" }}</span>
          <b class="lt">{{ t.letters }}</b>
          <span class="kd"><Mark :is="t.what" />{{ says(t) }}</span>
          <button
            type="button"
            class="plain nm"
            :class="{ picked: picked.has(keyOf(t)) }"
            :data-drag="t.drag ? keyOf(t) : undefined"
            :aria-pressed="picked.has(keyOf(t))"
            @click="emit('pick', keyOf(t))"
            @dblclick="emit('edit', keyOf(t))"
          >
            {{ t.title }}<Mark v-if="t.fixed" is="pin" />
          </button>
          <RouterLink :to="place(t)" class="ln" :aria-label="`${t.title}: to its place in ${courseOf(t.lane)}`"
            >go</RouterLink
          >
          <span v-if="t.told" class="toldso under"><Mark is="told" /> {{ t.told }}</span>
        </li>
      </ol>
      <p v-for="g in day.gone" :key="g" class="soft">{{ g }}</p>
      <DayLine
        v-model:into="into"
        :state="typing"
        :date="day.date"
        :choices="choices"
        @added="(key, of) => emit('pick', `${of.key}\t${key}`)"
      />
    </div>
  </section>
</template>
