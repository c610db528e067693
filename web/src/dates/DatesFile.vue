<script setup lang="ts">
import Dialog from "../ui/Dialog.vue";
import { computed, ref } from "vue";
import { type Change, type Schemas, api, ask } from "../api/client";
import { base64 } from "../ui/file";
import { count } from "../ui/say";
import FoundCells from "./FoundCells.vue";
import { injectDates } from "./useDates";

/** The table of dates as a file: taken away, and read again for what differs. */
const emit = defineEmits<{ done: [] }>();
const state = injectDates();
const chooser = ref<HTMLInputElement>();
const read = ref<Schemas["TableRead"] | null>(null);
const wrong = ref("");
const name = ref("");

async function choose(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0];
  if (!file) return;
  name.value = file.name;
  wrong.value = "";
  read.value = null;
  try {
    const content = await base64(file);
    read.value = await ask(
      api.POST("/api/terms/{termId}/dates/file", {
        params: { path: { termId: state.termId } },
        body: { name: file.name, content },
      }),
    );
  } catch (e) {
    wrong.value = (e as Error).message;
  } finally {
    if (chooser.value) chooser.value.value = "";
  }
}
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
  <Dialog :visible="true" modal header="Dates as a file" :style="{ width: '760px' }" @update:visible="emit('done')">
    <p>
      Download: <a :href="`/api/terms/${state.termId}/dates.xlsx`" download autofocus>.xlsx</a>,
      <a :href="`/api/terms/${state.termId}/dates.csv`" download>.csv</a>,
      <a :href="`/api/terms/${state.termId}/dates-template.xlsx`" download>an empty template</a>. Edit it in a
      spreadsheet, and read it again here: only what differs is proposed.
    </p>
    <p>
      <button type="button" class="btn" @click="chooser?.click()">Read a table</button>
      <span class="soft"> .xlsx, .csv{{ name ? `; ${name}` : "" }}</span>
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
.actions {
  display: flex;
  justify-content: flex-end;
  gap: 10px;
  margin-top: 10px;
}
</style>
