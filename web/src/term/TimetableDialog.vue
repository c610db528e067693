<script setup lang="ts">
import Dialog from "../ui/Dialog.vue";
import { computed, ref, shallowRef } from "vue";
import { type Change, type Schemas, api, ask } from "../api/client";
import { MOST_BYTES, base64 } from "../ui/file";
import { count } from "../ui/say";
import { injectTerm } from "./useTerm";

/** The institution's timetable, read into courses and sections; read again, only what differs is taken. */
const emit = defineEmits<{ done: [] }>();
const state = injectTerm();
const { busy } = state;
const groups = shallowRef<Schemas["TimetableGroup"][]>([]);
const left = ref<Set<string>>(new Set());
const name = ref("");
const problem = ref("");
const key = (g: Schemas["TimetableGroup"]) => `${g.course}/${g.section}`;
const chosen = computed(() => groups.value.filter((g) => g.change && !left.value.has(key(g))));

async function read(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0];
  if (!file) return;
  problem.value = "";
  groups.value = [];
  left.value = new Set();
  if (file.size > MOST_BYTES) {
    problem.value = `“${file.name}” has ${(file.size / 1e6).toFixed(0)} MB; at most 5 MB are read.`;
    return;
  }
  name.value = file.name;
  try {
    groups.value = await ask(
      api.POST("/api/terms/{termId}/timetable/read", {
        params: { path: { termId: state.termId } },
        body: { name: file.name, content: await base64(file) },
      }),
    );
    if (!groups.value.length) problem.value = "No class of this term stands in that file.";
  } catch (e) {
    problem.value = (e as Error).message;
  }
}
function tick(g: Schemas["TimetableGroup"]) {
  const next = new Set(left.value);
  if (!next.delete(key(g))) next.add(key(g));
  left.value = next;
}
/** Two new sections of one course: the first brings the course, the others are put into it. */
function changes(): Change[] {
  const seen = new Set<string>();
  return chosen.value.flatMap((g): Change[] => {
    if (!g.change) return [];
    const section = g.change.kind === "put-course" ? g.change.course.sections?.[0] : undefined;
    if (section && seen.has(g.course)) return [{ kind: "put-section", course: g.course, section }];
    seen.add(g.course);
    return [g.change];
  });
}
async function take() {
  const ok = await state.propose({
    kind: "together",
    does: `Take ${count(chosen.value.length, "section")} from “${name.value}”`,
    changes: changes(),
  });
  if (ok) emit("done");
  else problem.value = state.problem.value;
}
</script>

<template>
  <Dialog :visible="true" modal header="The timetable" :style="{ width: '720px' }" @update:visible="emit('done')">
    <p>
      Export your timetable as .ics and read it here. Entries of one name become a section; read again later, only what
      differs is taken.
    </p>
    <p>
      <label class="btn"
        >Read a file<input type="file" class="vh" accept=".ics" aria-label="The timetable, as a file" @change="read"
      /></label>
      <span class="soft"> {{ name || ".ics" }}</span>
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <table v-if="groups.length" class="moves">
      <thead>
        <tr>
          <th scope="col">Section</th>
          <th scope="col">Meets</th>
          <th scope="col">Classes</th>
          <th scope="col"></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="g in groups" :key="key(g)">
          <td>
            <label
              ><input
                type="checkbox"
                :checked="!!g.change && !left.has(key(g))"
                :disabled="!g.change"
                @change="tick(g)"
              />
              <b> {{ g.course }} {{ g.section }}</b></label
            >
            <div v-if="g.title !== g.course" class="soft">{{ g.title }}</div>
          </td>
          <td>
            <div v-for="s in g.said.slice(0, 6)" :key="s">{{ s }}</div>
            <div v-if="g.said.length > 6" class="soft">and {{ g.said.length - 6 }} more</div>
          </td>
          <td>{{ g.classes }}</td>
          <td>{{ g.state === "same" ? "as it stands" : g.state }}</td>
        </tr>
      </tbody>
    </table>
    <div class="actions">
      <button type="button" class="btn quiet" @click="emit('done')">Close</button>
      <button type="button" class="btn go" :disabled="!chosen.length || busy" @click="take">
        Take {{ count(chosen.length, "section") }}
      </button>
    </div>
  </Dialog>
</template>
