<script setup lang="ts">
import Dialog from "../ui/Dialog.vue";
import { computed, onMounted, ref } from "vue";
import { type Schemas, api, ask } from "../api/client";
import TypedLines from "../ui/TypedLines.vue";
import { base64 } from "../ui/file";
import { count } from "../ui/say";
import { injectWall } from "../change/useWall";

/** An outline that is pasted, or read from a table, a text or a Common Cartridge, and added to the course. */
const props = defineProps<{ course: string }>();
const emit = defineEmits<{ done: [] }>();
const state = injectWall();
const text = ref("");
const read = ref<Schemas["OutlineRead"] | null>(null);
const wrong = ref("");
const name = ref("");
const chooser = ref<HTMLInputElement>();
let asked = 0;
let timer = 0;

async function look(body: { text?: string; name?: string; content?: string }) {
  const turn = ++asked;
  wrong.value = "";
  try {
    const found = await ask(
      api.POST("/api/terms/{termId}/outline/reading", {
        params: { path: { termId: state.termId } },
        body: { course: props.course, ...body },
      }),
    );
    if (turn === asked) read.value = found;
  } catch (e) {
    if (turn === asked) wrong.value = (e as Error).message;
  }
}
function typed(now: string) {
  text.value = now;
  name.value = "";
  window.clearTimeout(timer);
  timer = window.setTimeout(() => (now.trim() ? void look({ text: now }) : (read.value = null)), 250);
}
async function choose(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0];
  if (!file) return;
  name.value = file.name;
  read.value = null;
  await look({ name: file.name, content: await base64(file) });
  if (read.value) text.value = (read.value as Schemas["OutlineRead"]).lines.map((l) => l.text).join("\n");
  if (chooser.value) chooser.value.value = "";
}
/** Units of the person's terms, by term and course. */
const offered = ref<Schemas["UnitOffered"][]>([]);
const offeredBy = computed(() => {
  const by = new Map<string, Schemas["UnitOffered"][]>();
  for (const u of offered.value) {
    const name = `${u.term}, ${u.course}`;
    by.set(name, [...(by.get(name) ?? []), u]);
  }
  return [...by];
});
const unit = ref<Schemas["UnitOffered"] | null>(null);
const taken = ref<Schemas["UnitTaken"] | null>(null);
onMounted(async () => {
  const path = { termId: state.termId };
  offered.value = await ask(
    api.GET("/api/terms/{termId}/outline/units", { params: { path, query: { course: props.course } } }),
  );
});
async function take() {
  taken.value = null;
  wrong.value = "";
  const { termId: fromTerm, course: fromCourse, unit: id } = unit.value ?? {};
  if (!fromTerm || !fromCourse || !id) return;
  try {
    taken.value = await ask(
      api.POST("/api/terms/{termId}/outline/unit", {
        params: { path: { termId: state.termId } },
        body: { course: props.course, fromTerm, fromCourse, unit: id },
      }),
    );
  } catch (e) {
    wrong.value = (e as Error).message;
  }
}
async function propose() {
  const change = taken.value?.change ?? read.value?.change;
  if (change && (await state.propose(change))) emit("done");
}
/** What would be added, without what would not. */
const added = (found: Schemas["OutlineRead"]) =>
  [found.units ? count(found.units, "unit") : "", found.lessons ? count(found.lessons, "lesson") : ""]
    .concat(found.items ? count(found.items, "thing") : "")
    .filter(Boolean)
    .join(", ");
</script>

<template>
  <Dialog
    :visible="true"
    modal
    :header="`An outline for ${course}`"
    :style="{ width: '940px' }"
    @update:visible="emit('done')"
  >
    <p class="soft">
      Paste rows from a spreadsheet (unit, lesson, sessions, work, when due) or type with indents; or read a file. What
      is understood stands beside it.
    </p>
    <TypedLines
      id="read-outline"
      :model-value="text"
      label="Outline"
      indents
      autofocus
      placeholder="Ice on rivers
  Frazil and anchor ice (2)
    Read 30, due same day"
      :lines="read?.lines ?? []"
      :rows="14"
      @update:model-value="typed"
    />
    <div v-if="offered.length" class="whole">
      <label for="whole-unit">Or a unit that you have taught</label>
      <select id="whole-unit" v-model="unit" class="field" @change="take">
        <option :value="null">none</option>
        <optgroup v-for="[name, list] in offeredBy" :key="name" :label="name">
          <option v-for="u in list" :key="u.unit" :value="u">
            {{ u.code }} {{ u.title }} ({{ count(u.lessons, "lesson") }}, {{ count(u.items, "thing") }})
          </option>
        </optgroup>
      </select>
      <span v-if="taken" class="soft" role="status">{{
        taken.undated.length
          ? `Dates of that time stay behind: ${taken.undated.join(", ")}`
          : "All its dates come along, worked out anew."
      }}</span>
    </div>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <div class="wide actions">
      <button type="button" class="btn" @click="chooser?.click()">Read a file</button>
      <span class="soft">.csv, .xlsx, .txt, Common Cartridge (.imscc), plan file{{ name ? `; ${name}` : "" }}</span>
      <input
        ref="chooser"
        type="file"
        class="vh"
        tabindex="-1"
        accept=".csv,.tsv,.xlsx,.txt,.imscc,.zip,.json"
        aria-label="Outline as a file"
        @change="choose"
      />
      <span style="flex: 1"></span>
      <button type="button" class="btn quiet" @click="emit('done')">Close</button>
      <button v-if="taken" type="button" class="btn go" :disabled="state.busy.value" @click="propose">
        Add {{ unit?.title }}
      </button>
      <button v-else type="button" class="btn go" :disabled="!read?.change || state.busy.value" @click="propose">
        {{ read?.change ? `Add ${added(read)}` : "Add it" }}
      </button>
    </div>
  </Dialog>
</template>

<style scoped>
.whole {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  padding: 6px 0;
}
.actions {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
</style>
