<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from "vue";
import { type Schemas, api, ask } from "../api/client";
import Band from "../frame/Band.vue";
import CoursesLinks from "../frame/CoursesLinks.vue";
import { clock, weekdayDay } from "../ui/say";

/** What is due over all of one's courses, and what each thing still waits for. */
type Line = Schemas["DueLine"];
const view = shallowRef<Schemas["DueView"] | null>(null);
const problem = ref("");
const course = ref("");
const waiting = ref(false);
onMounted(async () => {
  document.title = "Due, Matsuri";
  try {
    view.value = await ask(api.GET("/api/due"));
  } catch (e) {
    problem.value = (e as Error).message;
  }
});
const courses = computed(() => [...new Set(view.value?.lines.map((l) => l.course))]);
const lines = computed(
  () =>
    view.value?.lines.filter(
      (l) => (!course.value || l.course === course.value) && (!waiting.value || l.waits.length),
    ) ?? [],
);
const PARTS: [string, string][] = [
  ["today", "Today"],
  ["week", "This week"],
  ["month", "This month"],
  ["later", "Later"],
  ["past", "Past"],
];
const parts = computed(() =>
  PARTS.map(([when, name]) => {
    const of = lines.value.filter((l) => l.when === when);
    return { when, name, of: when === "past" ? of.reverse() : of };
  }).filter((p) => p.of.length),
);
const WAITS: Record<string, string> = {
  "not-told": "not told",
  "no-link": "no link to hand it in",
  "nothing-handed-in": "nothing handed in",
};
const place = (l: Line) => ({
  path: `/terms/${l.termId}/dates`,
  query: { section: `${l.course}/${l.sections[0] ?? ""}`, find: l.title },
});
</script>

<template>
  <Band><CoursesLinks here="/due" /></Band>
  <main class="page due">
    <h1>Due over all courses</h1>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-else-if="!view" role="status">Looking up what is due…</p>
    <template v-else>
      <p class="top">
        <select v-model="course" class="field" aria-label="Which course">
          <option value="">all courses</option>
          <option v-for="c in courses" :key="c" :value="c">{{ c }}</option>
        </select>
        <label><input v-model="waiting" type="checkbox" /> only what still waits for something</label>
      </p>
      <p v-if="!parts.length" class="soft">Nothing is due{{ course || waiting ? " of that" : "" }}.</p>
      <component :is="p.when === 'past' ? 'details' : 'section'" v-for="p in parts" :key="p.when">
        <component :is="p.when === 'past' ? 'summary' : 'h2'"
          >{{ p.name }} <span class="soft">{{ p.of.length }}</span></component
        >
        <table>
          <thead class="vh">
            <tr>
              <th scope="col">Due</th>
              <th scope="col">Course</th>
              <th scope="col">What</th>
              <th scope="col">Taken until</th>
              <th scope="col">Waits for</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="l in p.of" :key="`${l.termId} ${l.course} ${l.id} ${l.due}`">
              <td class="when">
                <b>{{ weekdayDay(l.due.slice(0, 10)) }}</b> {{ clock(l.due.slice(11, 16)) }}
              </td>
              <td class="of">{{ l.course }} {{ l.sections.join(", ") }}</td>
              <td>
                <RouterLink :to="place(l)">{{ l.title }}</RouterLink> <span class="soft">{{ l.kind }}</span>
              </td>
              <td class="soft">
                <template v-if="l.closes && l.closes !== l.due"
                  >until {{ weekdayDay(l.closes.slice(0, 10)) }}, {{ clock(l.closes.slice(11, 16)) }}</template
                >
              </td>
              <td>
                <span v-for="w in l.waits" :key="w" class="wait">{{ WAITS[w] }}</span>
              </td>
            </tr>
          </tbody>
        </table>
      </component>
    </template>
  </main>
</template>

<style scoped>
.due {
  max-width: 1080px;
}
.top {
  display: flex;
  gap: 16px;
  align-items: center;
  flex-wrap: wrap;
}
h2,
summary {
  font-size: 17px;
  font-weight: 700;
  margin: 18px 0 2px;
  border-bottom: 1px solid var(--ink);
}
summary {
  cursor: pointer;
}
table {
  width: 100%;
  border-collapse: collapse;
}
td {
  border-bottom: 1px solid var(--rule);
  padding: 5px 8px 5px 0;
  vertical-align: baseline;
}
.due a {
  color: var(--ink);
}
td:last-child {
  width: 230px;
}
.when {
  white-space: nowrap;
  width: 150px;
}
.of {
  width: 150px;
}
.wait {
  color: var(--lantern);
  margin-right: 10px;
  white-space: nowrap;
}
@media (max-width: 640px) {
  tr {
    display: flex;
    flex-wrap: wrap;
    border-bottom: 1px solid var(--rule);
    padding: 4px 0;
  }
  td {
    border: 0;
    padding: 0 8px 0 0;
  }
  .when,
  .of {
    width: auto;
  }
}
</style>
