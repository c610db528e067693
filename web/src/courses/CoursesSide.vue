<script setup lang="ts">
import { computed, ref } from "vue";
import type { Schemas } from "../api/client";
import KindsShown from "../draw/KindsShown.vue";
import Mark from "../draw/Mark.vue";
import { clock, count, dayMonth, weekdayDay } from "../ui/say";
import type { CourseLine, CoursesView } from "./lay";

/** Beside all courses: which are shown, which kinds, whose work is counted, and what is due. */
const props = defineProps<{
  view: CoursesView;
  due: Schemas["DueView"] | null;
  shown: ReadonlySet<string>;
  group: readonly string[];
}>();
const emit = defineEmits<{ toggle: [key: string]; group: [keys: readonly string[]]; go: [date: string] }>();
const over = ref(false);
const running = computed(() => props.view.courses.filter((c) => !c.finished));
const finished = computed(() => props.view.courses.filter((c) => c.finished));
const listed = computed(() => [...running.value, ...(over.value ? finished.value : finished.value.filter(isShown))]);
function isShown(c: CourseLine): boolean {
  return props.shown.has(c.key);
}
const letterOf = computed(() => new Map(props.view.courses.map((c) => [c.key, c.letter])));
const groups = computed(() => props.view.groups.filter((g) => g.keys.every((k) => props.shown.has(k))));
const words = (keys: readonly string[]) => keys.map((k) => letterOf.value.get(k)).join(" ");

/** How many lines a part of what is due has at first. */
const FEW = 7;
const PARTS: [string, string][] = [
  ["today", "Today"],
  ["week", "This week"],
  ["month", "This month"],
  ["later", "Later"],
  ["past", "Past"],
];
const parts = computed(() =>
  PARTS.map(([when, name]) => {
    const of = (props.due?.lines ?? [])
      .filter((l) => l.when === when)
      .map((l) => ({
        ...l,
        keys: l.sections.map((s) => `${l.termId}/${l.course}/${s}`).filter((k) => props.shown.has(k)),
      }))
      .filter((l) => l.keys.length);
    return { when, name, of: when === "past" ? of.reverse() : of };
  }).filter((p) => p.of.length),
);
</script>

<template>
  <div class="side">
    <section>
      <h2>
        <span>Courses</span><span class="soft">{{ shown.size }} of {{ view.courses.length }} shown</span>
      </h2>
      <ul>
        <li v-for="c in listed" :key="c.key">
          <label>
            <input type="checkbox" :checked="shown.has(c.key)" @change="emit('toggle', c.key)" />
            <b class="lt">{{ c.letter }}</b>
            <span class="nm">{{ c.course }} {{ c.section }}</span>
            <span class="soft mt">{{ c.finished ? c.termName : c.meets }}</span>
          </label>
        </li>
      </ul>
      <p v-if="finished.length" class="fin">
        <span class="soft">{{ finished.length }} finished</span>
        <button type="button" class="plain ln" :aria-expanded="over" @click="over = !over">
          {{ over ? "fewer" : "show" }}
        </button>
      </p>
      <label v-if="groups.length" class="grp">
        <span class="soft">work of</span>
        <select
          class="field"
          :value="group.join('\n')"
          @change="emit('group', ($event.target as HTMLSelectElement).value.split('\n').filter(Boolean))"
        >
          <option value="">all that is shown</option>
          <option v-for="g in groups" :key="g.keys.join('\n')" :value="g.keys.join('\n')">
            {{ count(g.students, "student") }} with {{ words(g.keys) }}
          </option>
        </select>
      </label>
    </section>
    <section>
      <h2>Kinds</h2>
      <KindsShown />
    </section>
    <section class="due">
      <h2><span>Due</span><RouterLink to="/due" class="ln">all of it</RouterLink></h2>
      <p v-if="due && !parts.length" class="soft">Nothing is due.</p>
      <component :is="p.when === 'past' ? 'details' : 'div'" v-for="p in parts" :key="p.when">
        <component :is="p.when === 'past' ? 'summary' : 'h3'" :class="{ look: p.when === 'today' }">
          <span>{{ p.name }}{{ p.when === "today" ? `, ${weekdayDay(view.today)}` : "" }}</span>
          <span class="soft">{{ p.of.length }}</span>
        </component>
        <ol>
          <li v-for="l in p.of.slice(0, FEW)" :key="`${l.termId} ${l.course} ${l.id} ${l.due}`">
            <button type="button" class="plain" @click="emit('go', l.due.slice(0, 10))">
              <span class="tm">{{ p.when === "today" ? clock(l.due) : dayMonth(l.due) }}</span>
              <b class="lt">{{ words(l.keys) }}</b>
              <span class="nm">{{ l.title }}</span>
              <Mark v-if="l.waits.includes('not-told')" is="told" /><span v-if="l.waits.includes('not-told')" class="vh"
                >not told</span
              >
            </button>
          </li>
        </ol>
        <p v-if="p.of.length > FEW" class="rest">
          <RouterLink to="/due" class="ln">{{ p.of.length - FEW }} more</RouterLink>
        </p>
      </component>
    </section>
  </div>
</template>
