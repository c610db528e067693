<script setup lang="ts">
import { computed, onMounted, provide, ref, watch } from "vue";
import { useRoute, useRouter } from "vue-router";
import type { DatesRow } from "../api/client";
import ChangeLine from "../change/ChangeLine.vue";
import { useStepKeys } from "../change/useStepKeys";
import Band from "../frame/Band.vue";
import ChangeTools from "../frame/ChangeTools.vue";
import ViewLinks from "../frame/ViewLinks.vue";
import { isTyping } from "../ui/typing";
import { useFocusBack } from "../ui/useFocusBack";
import BulkBar from "./BulkBar.vue";
import DatesFile from "./DatesFile.vue";
import DatesGrid from "./DatesGrid.vue";
import PastedDialog from "./PastedDialog.vue";
import { type Filter, NO_FILTER, columnsOf, isNotice, lines, passes, rowsOf, sorted, usualColumns } from "./table";
import { DATES, useDates } from "./useDates";
import { useSheet } from "./useSheet";

/** Every dated thing of a term as a table: seen together, typed into, and changed many at a time. */
const route = useRoute();
const router = useRouter();
const termId = Number(route.params.termId);
const state = useDates(termId);
provide(DATES, state);
const { view, shown, proposal, problem } = state;

const filter = ref<Filter>({ ...NO_FILTER });
const sort = ref("plan");
const group = ref("");
const picked = ref<string[] | null>(null);
const choosing = ref(false);
const file = ref(false);
const grid = ref<InstanceType<typeof DatesGrid>>();
const find = ref<HTMLInputElement>();

const course = computed(() => shown.value?.courses.find((c) => c.code === filter.value.course) ?? null);
const sections = computed(() => course.value?.sections ?? []);
const possible = computed(() => columnsOf(sections.value));
const columns = computed(() => {
  const keys = picked.value ?? usualColumns(sections.value);
  return possible.value.filter((c) => keys.includes(c.key));
});
const all = computed(() => (shown.value ? rowsOf(shown.value, view.value) : []));
const rows = computed(() =>
  sorted(
    all.value.filter((r) => passes(r.row, filter.value, shown.value?.now ?? "", filter.value.course ? 0 : -1)),
    sort.value,
    possible.value,
  ),
);
const table = computed(() => (shown.value ? lines(rows.value, group.value, shown.value) : []));
const total = computed(
  () => all.value.filter((r) => !filter.value.course || r.row.course === filter.value.course).length,
);
const sheet = useSheet(state, table, columns, (line) => grid.value?.show(line));
const { chosen, size, range, pasted } = sheet;
const chosenRows = computed(() => all.value.filter((r) => chosen.value.has(r.key)).map((r) => r.row));
/** What is wrong with the row that the keys stand on, whole. */
const wrongHere = computed(() => {
  const line = table.value[sheet.at.value.line];
  return line && "row" in line ? line.row.wrong.map((w) => w.sentence).join(" ") : "";
});
const kinds = computed(() => [...new Set(all.value.map((r) => r.row.kind))].sort());
const here = computed(() => (course.value && sections.value[0] ? `${course.value.code}/${sections.value[0]}` : ""));

watch(
  () => filter.value.course,
  () => {
    picked.value = null;
    filter.value.unit = "";
    sheet.chooseNone();
    sheet.go(0, 1);
  },
);
watch([group, sort], () => sheet.go(0, sheet.at.value.column));
useFocusBack(
  () => proposal.value !== null || pasted.value !== null || file.value,
  () => void grid.value?.focus(),
);

onMounted(async () => {
  await state.load();
  document.title = `${view.value?.termName || "Term"}, dates, Matsuri`;
  const asked = String(route.query.section ?? "");
  const code = asked.slice(0, Math.max(asked.lastIndexOf("/"), 0));
  const codes = view.value?.courses.map((c) => c.code) ?? [];
  filter.value.course = codes.includes(code) ? code : (codes[0] ?? "");
  filter.value.text = String(route.query.find ?? "");
  sheet.go(0, 1);
  await grid.value?.focus();
});

useStepKeys(
  state,
  (event) => {
    if (event.key !== "/") return;
    event.preventDefault();
    find.value?.focus();
  },
  isTyping,
);
function chooseCourse(event: Event) {
  const code = (event.target as HTMLSelectElement).value;
  filter.value.course = code;
  const to = view.value?.courses.find((c) => c.code === code);
  void router.replace({ query: to?.sections[0] ? { section: `${code}/${to.sections[0]}` } : {} });
}
/** Opens a thing where it can be edited: on the wall of its course. */
function openThing(row: DatesRow) {
  const to = view.value?.courses.find((c) => c.code === row.course);
  const section = to?.sections[0] ? `${row.course}/${to.sections[0]}` : undefined;
  const thing = `${isNotice(row) ? "notice" : "item"}:${row.id}`;
  void router.push({ path: `/terms/${termId}/wall`, query: { section, thing, edit: "1" } });
}
function column(key: string, on: boolean) {
  const keys = columns.value.map((c) => c.key);
  picked.value = on ? [...keys, key] : keys.filter((k) => k !== key);
}
</script>

<template>
  <Band>
    <template #course>
      <select v-if="shown" class="sel" :value="filter.course" aria-label="Course" @change="chooseCourse">
        <option v-for="c in shown.courses" :key="c.code" :value="c.code">{{ c.code }} {{ c.title }}</option>
        <option v-if="shown.courses.length > 1" value="">all courses</option>
      </select>
    </template>
    <ViewLinks :term-id="termId" here="dates" />
    <template #right>
      <ChangeTools
        :state="state"
        :findings="shown?.findings.length ?? null"
        :undo="view?.undo"
        :redo="view?.redo"
        :here="here"
      />
    </template>
  </Band>
  <h1 class="vh">Dates of {{ course?.code ?? "all courses" }}</h1>
  <main v-if="shown" class="main dates">
    <form class="sieve" role="search" aria-label="Which rows" @submit.prevent="grid?.focus()">
      <span class="find"
        ><input
          ref="find"
          v-model="filter.text"
          class="field"
          type="search"
          placeholder="Find or filter"
          aria-label="Find or filter"
        /><kbd aria-hidden="true">/</kbd></span
      >
      <select v-model="filter.when" class="field" aria-label="When it is due">
        <option value="">due at any time</option>
        <option value="from">due from now on</option>
        <option value="none">without a due date</option>
      </select>
      <select v-model="filter.kind" class="field" aria-label="Kind">
        <option value="">any kind</option>
        <option v-for="k in kinds" :key="k" :value="k">{{ k }}</option>
      </select>
      <select v-model="filter.marking" class="field" aria-label="Marked by">
        <option value="">marked by anyone</option>
        <option value="instructor">marked by instructor</option>
        <option value="machine">marked by machine</option>
        <option value="not-marked">not marked</option>
      </select>
      <select v-if="course" v-model="filter.unit" class="field" aria-label="Unit">
        <option value="">any unit</option>
        <option v-for="u in course.units" :key="u.id" :value="u.id">{{ u.code }} {{ u.title }}</option>
      </select>
      <label class="tickable"><input v-model="filter.wrong" type="checkbox" />only what is wrong</label>
      <button type="button" class="btn" :aria-expanded="choosing" @click="choosing = !choosing">Order, columns</button>
      <button type="button" class="btn" @click="file = true">Tables</button>
      <span class="soft count" role="status">{{ rows.length }} of {{ total }} rows</span>
    </form>
    <fieldset v-if="choosing" class="choosing ticks">
      <legend class="vh">Order and columns</legend>
      <select v-model="sort" class="field" aria-label="Sorted by">
        <option value="plan">in the plan’s order</option>
        <option value="title">by name</option>
        <option value="lesson">by lesson</option>
        <template v-for="c in columns" :key="c.key">
          <option :value="c.key">{{ c.name }}, earliest first</option>
          <option :value="`-${c.key}`">{{ c.name }}, latest first</option>
        </template>
        <option value="wrong">what is wrong first</option>
      </select>
      <select v-model="group" class="field" aria-label="Grouped by">
        <option value="">no groups</option>
        <option value="unit">by unit</option>
        <option value="week">by week due</option>
        <option value="kind">by kind</option>
        <option v-if="!filter.course" value="course">by course</option>
      </select>
      <label v-for="c in possible" :key="c.key"
        ><input
          type="checkbox"
          :checked="columns.some((x) => x.key === c.key)"
          @change="column(c.key, ($event.target as HTMLInputElement).checked)"
        />{{ c.name }}</label
      >
    </fieldset>
    <p v-if="!shown.rows.length" class="page">
      There is nothing dated yet.
      <RouterLink :to="{ path: `/terms/${termId}/wall`, query: route.query }"
        >Lay out units, lessons and work on the Wall</RouterLink
      >; it appears here with its dates.
    </p>
    <DatesGrid
      v-else
      ref="grid"
      :view="shown"
      :lines="table"
      :columns="columns"
      :sheet="sheet"
      :sort="sort"
      :proposed="proposal !== null"
      :several="!filter.course"
      @open="openThing"
      @sort="sort = $event"
    />
    <div
      v-if="size > 1 && range.last > range.first && range.right > 0 && !proposal"
      class="filling"
      role="group"
      aria-label="Fill down"
    >
      <b>Fill down</b> {{ range.last - range.first + 1 }} rows from the first:
      <button type="button" class="btn" @click="sheet.fillDown('same')">the same <kbd>Ctrl D</kbd></button>
      <button type="button" class="btn" @click="sheet.fillDown('week')">a week later each</button>
      <button type="button" class="btn" @click="sheet.fillDown('class')">the next class each</button>
      <span class="soft"
        >Typing, then <kbd>Ctrl Enter</kbd>, goes into all of them; <kbd>Space</kbd> chooses the rows.</span
      >
    </div>
    <BulkBar v-if="chosenRows.length && !proposal" :rows="chosenRows" :sections="sections" @none="sheet.chooseNone()" />
  </main>
  <main v-else class="page">
    <p v-if="!problem">Laying out the dates…</p>
  </main>
  <ChangeLine :state="state" :held="file" :loaded="view !== null" @again="state.load()">
    <div v-if="wrongHere" class="legend wrong-here" role="status">{{ wrongHere }}</div>
    <div v-else-if="shown?.rows.length" class="legend">
      <span><kbd>Enter</kbd> or type to edit</span><span><kbd>Tab</kbd> goes on</span
      ><span><kbd>Shift</kbd> with arrows: a range</span
      ><span><kbd>Space</kbd> chooses the row, <kbd>Ctrl A</kbd> all</span><span><kbd>Del</kbd> clears dates</span
      ><span><kbd>Ctrl C</kbd> <kbd>Ctrl V</kbd> from and to a spreadsheet</span
      ><span>the plan’s date holds for all sections</span>
    </div>
  </ChangeLine>
  <PastedDialog v-if="pasted" :pasted="pasted" @done="pasted = null" />
  <DatesFile
    v-if="file"
    :courses="shown?.courses.map((c) => c.code) ?? []"
    :course="filter.course"
    @done="file = false"
  />
</template>
