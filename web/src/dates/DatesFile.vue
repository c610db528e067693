<script setup lang="ts">
import Dialog from "../ui/Dialog.vue";
import { computed, ref, watch } from "vue";
import { type Change, type Schemas, api, ask } from "../api/client";
import { base64 } from "../ui/file";
import { count } from "../ui/say";
import FoundCells from "./FoundCells.vue";
import { injectDates } from "./useDates";

/** Dates and classes as tables: taken away, and read again for what differs; entries of other calendars too. */
const props = defineProps<{ courses: string[]; course: string }>();
const emit = defineEmits<{ done: [] }>();
const state = injectDates();
const chooser = ref<HTMLInputElement>();
const read = ref<Schemas["TableRead"] | null>(null);
const wrong = ref("");
const name = ref("");
const content = ref("");
const into = ref(props.course);

async function choose(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0];
  if (!file) return;
  name.value = file.name;
  content.value = await base64(file);
  if (chooser.value) chooser.value.value = "";
  await look();
}

async function look() {
  wrong.value = "";
  read.value = null;
  try {
    read.value = await ask(
      api.POST("/api/terms/{termId}/dates/file", {
        params: { path: { termId: state.termId } },
        body: { name: name.value, content: content.value, course: into.value || null },
      }),
    );
  } catch (e) {
    wrong.value = (e as Error).message;
  }
}
watch(into, () => content.value && look());
const base = `/api/terms/${state.termId}`;
const rows = computed(() =>
  (read.value?.lines ?? []).map((l) => ({
    texts: [String(l.row), `${l.title}${l.section ? `, ${l.section}` : ""}`, l.date, l.said],
    wrong: l.state === "not-understood" || l.state === "unknown",
    word: STATE[l.state],
  })),
);
async function propose() {
  if (read.value?.change && (await state.propose(read.value.change as Change, "always"))) emit("done");
}
const STATE: Record<string, string> = {
  changed: "",
  doubt: "doubtful",
  "not-understood": "not understood",
  unknown: "passed over",
};
</script>

<template>
  <Dialog :visible="true" modal header="Tables" :style="{ width: '760px' }" @update:visible="emit('done')">
    <p>
      Dates: <a :href="`${base}/dates.xlsx`" download autofocus>.xlsx</a>,
      <a :href="`${base}/dates.csv`" download>.csv</a>,
      <a :href="`${base}/dates-template.xlsx`" download>an empty template</a>. Classes:
      <a :href="`${base}/classes.xlsx`" download>.xlsx</a>, <a :href="`${base}/classes.csv`" download>.csv</a>. Office
      hours: <a :href="`${base}/office-hours.xlsx`" download>.xlsx</a>,
      <a :href="`${base}/office-hours.csv`" download>.csv</a>.
    </p>
    <p class="soft">
      Edit it in a spreadsheet, and read it again here: only what differs is proposed. A table of entries from another
      calendar, under its own headings, can be read too: what is called as a piece of work says when that is due, the
      rest becomes notices.
    </p>
    <p class="reading">
      <button type="button" class="btn" @click="chooser?.click()">Read a table</button>
      <span class="soft"> .xlsx, .csv{{ name ? `; ${name}` : "" }}</span>
      <label v-if="props.courses.length > 1">
        entries are for
        <select v-model="into" class="sel">
          <option value="">as they say</option>
          <option v-for="c in props.courses" :key="c">{{ c }}</option>
        </select>
      </label>
      <input
        ref="chooser"
        type="file"
        class="vh"
        tabindex="-1"
        accept=".xlsx,.csv,.tsv"
        aria-label="Table of dates"
        @change="choose"
      />
    </p>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <template v-if="read">
      <p role="status">
        <b>{{ read.lines.length ? count(read.lines.length, "cell") + " to look at" : "Nothing differs" }}</b>,
        {{ count(read.same, "date") }} as here.
      </p>
      <FoundCells v-if="read.lines.length" :heads="['Row', 'What', 'Date', 'Understood']" :rows="rows" />
    </template>
    <div class="actions">
      <button type="button" class="btn quiet" @click="emit('done')">Close</button>
      <button type="button" class="btn go" :disabled="!read?.change || state.busy.value" @click="propose">
        See what it does
      </button>
    </div>
  </Dialog>
</template>

<style scoped>
.reading {
  display: flex;
  align-items: center;
  gap: 8px;
  flex-wrap: wrap;
}
.reading label {
  margin-left: auto;
}
.actions {
  display: flex;
  justify-content: flex-end;
  gap: 10px;
  margin-top: 10px;
}
</style>
