<script setup lang="ts">
import { onMounted, ref, shallowRef } from "vue";
import { type Schemas, api, ask } from "../api/client";
import Dialog from "../ui/Dialog.vue";
import { MOST_BYTES, base64 } from "../ui/file";
import { count } from "../ui/say";
import { injectTerm } from "./useTerm";

/** What the simulated grade book knows of hand-ins, and reading it from a table. */
const emit = defineEmits<{ done: [] }>();
const { termId } = injectTerm();
const path = { termId };
const book = shallowRef<Schemas["GradeBookView"] | null>(null);
const name = ref("");
const problem = ref("");
/** As many lines are said that were not understood. */
const MOST = 20;

async function doing(action: () => Promise<void>) {
  problem.value = "";
  try {
    await action();
  } catch (e) {
    problem.value = (e as Error).message;
  }
}
onMounted(() =>
  doing(async () => {
    book.value = await ask(api.GET("/api/terms/{termId}/grade-book", { params: { path } }));
  }),
);
async function read(event: Event) {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  if (!file) return;
  name.value = file.name;
  await doing(async () => {
    if (file.size > MOST_BYTES) {
      throw new Error(`“${file.name}” has ${(file.size / 1e6).toFixed(0)} MB; at most 5 MB are read.`);
    }
    book.value = await ask(
      api.PUT("/api/terms/{termId}/grade-book", {
        params: { path },
        body: { name: file.name, content: await base64(file) },
      }),
    );
  });
  input.value = "";
}
</script>

<template>
  <Dialog :visible="true" modal header="Grade book" :style="{ width: '640px' }" @update:visible="emit('done')">
    <p>
      A small grade book that stands in for your institution’s: it knows who handed in what and when, so that a change
      can say whom it makes late, or no longer late. Nothing that was handed in is ever touched.
    </p>
    <p v-if="book" role="status">
      <b v-if="book.handIns"
        >{{ count(book.handIns, "hand-in") }} of {{ count(book.works, "piece") }} of work by
        {{ count(book.students, "student") }}.</b
      ><span v-else>It knows of no hand-in yet.</span>
    </p>
    <p>
      <label class="btn"
        >Read hand-ins<input
          type="file"
          class="vh"
          accept=".csv,.xlsx,.txt"
          autofocus
          aria-label="Hand-ins, as a file"
          @change="read"
      /></label>
      <span class="soft said">{{ name || ".csv or .xlsx with the columns course, work, student, handed in" }}</span>
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <template v-if="book?.wrong.length">
      <p class="look" role="alert">
        {{ count(book.wrong.length, "line") }} not understood; the rest was taken. Mend the file and read it again.
      </p>
      <ul>
        <li v-for="w in book.wrong.slice(0, MOST)" :key="w.line">
          <b>line {{ w.line }}</b> <span class="soft">{{ w.text }}</span> {{ w.said }}
        </li>
      </ul>
    </template>
  </Dialog>
</template>

<style scoped>
.said {
  padding-left: 10px;
}
</style>
