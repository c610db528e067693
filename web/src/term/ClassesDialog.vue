<script setup lang="ts">
import Dialog from "../ui/Dialog.vue";
import { nextTick, onMounted, ref, shallowRef, watch } from "vue";
import { type Change, type Schemas, api, ask } from "../api/client";
import { vSeen } from "../ui/seen";
import DateField from "../ui/DateField.vue";
import TimeField from "../ui/TimeField.vue";
import { clock, count, hourMinute, weekdayDay } from "../ui/say";
import { courseOf } from "../api/plan";
import { injectTerm } from "./useTerm";

/** The classes of a section: cancel, move or add one; change one, this and all later, or all of its series. */
const props = defineProps<{
  course: string;
  section: string;
  /** Name of the class to open at once; empty for none. */
  openAt: string;
}>();
const emit = defineEmits<{ done: [] }>();
const state = injectTerm();
const { problem, busy } = state;

type Line = Schemas["ClassLine"];
const lines = shallowRef<Line[]>([]);
const patterns = shallowRef<Schemas["PlanPattern"][]>([]);
const open = ref("");
const day = ref("");
const time = ref("");
const minutes = ref(50);
const place = ref("");
const reach = ref<"one" | "later" | "all">("one");
const query = { course: props.course, section: props.section };

async function load() {
  try {
    lines.value = await ask(
      api.GET("/api/terms/{termId}/classes", { params: { path: { termId: state.termId }, query } }),
    );
    const course = await courseOf(state.termId, props.course);
    patterns.value = course?.sections?.find((s) => s.code === props.section)?.meets ?? [];
  } catch (e) {
    problem.value = (e as Error).message;
  }
}
onMounted(async () => {
  await load();
  const line = lines.value.find((l) => l.name === props.openAt);
  if (line) {
    edit(line);
    await nextTick();
    document.querySelector(".box")?.scrollIntoView({ block: "center" });
  }
});
watch(
  () => state.view.value?.version,
  () => void load(),
);

function edit(line: Line | null) {
  problem.value = "";
  reach.value = "one";
  open.value = line?.name ?? "new";
  const from = line ?? lines.value.find((l) => l.state === "stands");
  day.value = line ? line.start.slice(0, 10) : "";
  time.value = hourMinute(from?.start ?? "T10:00");
  minutes.value = from?.minutes || 50;
  place.value = from?.place ?? "";
}
async function propose(change: Change) {
  if (await state.propose(change)) {
    open.value = "";
    // what moves other things waits on the strip, which stands outside this dialog
    if (state.proposal.value) emit("done");
  }
}
const one = (change: Schemas["PlanSessionChange"]) => propose({ kind: "change-session", ...query, change });
function save(line: Line | null) {
  const at = `${day.value}T${time.value}`;
  if (!line) return one({ add: at, minutes: minutes.value, ...(place.value ? { place: place.value } : {}) });
  if (reach.value === "one") return one({ move: line.name, to: at, minutes: minutes.value });
  const pattern = patterns.value[line.series ?? -1];
  if (!pattern || line.series == null) return;
  return propose({
    kind: "change-series",
    ...query,
    pattern: line.series,
    ...(reach.value === "later" ? { from: line.name.slice(0, 10) } : {}),
    meets: { ...pattern, start: time.value, minutes: minutes.value, place: place.value },
  });
}
</script>

<template>
  <Dialog
    :visible="true"
    modal
    :header="`Classes of ${course} ${section}`"
    :style="{ width: '760px' }"
    @update:visible="emit('done')"
  >
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p>
      {{ count(lines.filter((l) => l.number).length, "class takes", "classes take") }} place.
      <button type="button" class="btn" autofocus @click="edit(null)">Add a class</button>
    </p>
    <form v-if="open === 'new'" v-seen class="form box" @submit.prevent="save(null)">
      <label for="class-day">Day</label>
      <DateField id="class-day" v-model="day" :term-id="state.termId" />
      <label for="class-time">Starts</label>
      <TimeField id="class-time" v-model="time" :term-id="state.termId" />
      <label for="class-minutes">Minutes</label>
      <input id="class-minutes" v-model.number="minutes" type="number" min="1" class="field" required />
      <label for="class-place">Place</label>
      <input id="class-place" v-model="place" class="field" maxlength="200" />
      <div class="wide actions">
        <button type="button" class="btn quiet" @click="open = ''">Leave it</button>
        <button type="submit" class="btn go" :disabled="busy">Add it</button>
      </div>
    </form>
    <table class="moves">
      <thead>
        <tr>
          <th scope="col">Class</th>
          <th scope="col">When</th>
          <th scope="col">Minutes</th>
          <th scope="col">Place</th>
          <th scope="col"></th>
        </tr>
      </thead>
      <tbody>
        <template v-for="l in lines" :key="l.name + l.state">
          <tr :class="{ soft: !l.number }">
            <td>{{ l.number ?? "" }}</td>
            <td>
              {{ weekdayDay(l.start) }}<template v-if="l.minutes">, {{ clock(l.start) }}</template>
              <b v-if="l.state === 'moved'"> moved from {{ weekdayDay(l.name) }}, {{ clock(l.name) }}</b>
              <b v-else-if="l.state === 'added'"> added</b>
              <b v-else-if="l.state === 'cancelled'"> cancelled</b>
              <template v-else-if="l.state === 'off'">: {{ l.reason || "day off" }}</template>
              <template v-if="l.taught">, taught</template>
            </td>
            <td>{{ l.minutes || "" }}</td>
            <td>{{ l.place }}</td>
            <td>
              <button v-if="l.number && l.minutes" type="button" class="do" @click="edit(l)">
                change<span class="vh"> the class of {{ weekdayDay(l.start) }}</span>
              </button>
              <button
                v-if="l.state === 'cancelled' || l.state === 'moved' || l.state === 'added'"
                type="button"
                class="do more"
                @click="propose({ kind: 'restore-session', ...query, session: l.name })"
              >
                {{ l.state === "added" ? "delete" : "as usual again" }}
              </button>
            </td>
          </tr>
          <tr v-if="open === l.name">
            <td colspan="5">
              <form v-seen class="form box" @submit.prevent="save(l)">
                <span>Change</span>
                <span class="ticks" role="radiogroup" aria-label="Which classes">
                  <label><input v-model="reach" type="radio" value="one" /> this class</label>
                  <label v-if="l.series != null"
                    ><input v-model="reach" type="radio" value="later" /> this and all later</label
                  >
                  <label v-if="l.series != null"><input v-model="reach" type="radio" value="all" /> all</label>
                </span>
                <template v-if="reach === 'one'">
                  <label for="class-day">Day</label>
                  <DateField id="class-day" v-model="day" :term-id="state.termId" />
                </template>
                <label for="class-time">Starts</label>
                <TimeField id="class-time" v-model="time" :term-id="state.termId" />
                <label for="class-minutes">Minutes</label>
                <input id="class-minutes" v-model.number="minutes" type="number" min="1" class="field" required />
                <template v-if="reach !== 'one'">
                  <label for="class-place">Place</label>
                  <input id="class-place" v-model="place" class="field" maxlength="200" />
                </template>
                <div class="wide actions">
                  <button
                    v-if="reach === 'one' && !l.taught"
                    type="button"
                    class="btn"
                    :disabled="busy"
                    @click="one({ cancel: l.name })"
                  >
                    Cancel this class
                  </button>
                  <button type="button" class="btn quiet" @click="open = ''">Leave it</button>
                  <button type="submit" class="btn go" :disabled="busy">See what it does</button>
                </div>
              </form>
            </td>
          </tr>
        </template>
      </tbody>
    </table>
  </Dialog>
</template>

<style scoped>
.box {
  border: 1px solid var(--rule-firm);
  padding: 8px 12px;
  margin: 4px 0;
}
.more {
  margin-left: 10px;
}
</style>
