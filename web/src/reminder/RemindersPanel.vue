<script setup lang="ts">
import { computed, reactive, ref, watch } from "vue";
import type { ChangeOf, Schemas } from "../api/client";
import OutboxDialog from "../mail/OutboxDialog.vue";
import DateField from "../ui/DateField.vue";
import Dialog from "../ui/Dialog.vue";
import TimeField from "../ui/TimeField.vue";
import { count, moment } from "../ui/say";
import { KINDS } from "../thing/dates";
import { BEFORES, type Coming, LEADS, type Reminder, said, useReminders } from "./useReminders";

/** Of what a course reminds: set, seen before it goes out, stopped, and what went. */
const props = defineProps<{ termId: number; course: string; section: string; version: number }>();
const emit = defineEmits<{ put: [ChangeOf<"put-reminders">] }>();
const { view, busy, problem, load, stop, letter, letRun } = useReminders(props.termId, () => props.course);
watch(
  () => [props.course, props.version],
  () => load(),
  { immediate: true },
);

const reminders = computed(() => (view.value?.reminders ?? []) as Reminder[]);
const MOST = 6;
const all = ref(false);
const coming = computed(() => view.value?.coming.slice(0, all.value ? undefined : MOST) ?? []);
const outbox = ref(false);
const adding = ref(false);
const fresh = reactive({
  what: "marked",
  before: "due" as NonNullable<Reminder["before"]>,
  lead: 0,
  to: "students" as "students" | "instructor",
  mail: true,
  feed: true,
});
const arriving = ref<Schemas["Arriving"] | null>(null);
const until = reactive({ day: "", time: "12:00" });
const ran = ref("");

/** Work that is to be reminded of, by its id: each piece may have its own. */
const things = computed(
  () => new Map((view.value?.coming ?? []).flatMap((c) => (c.item ? [[c.item, c.title] as [string, string]] : []))),
);
const name = (r: Reminder) => (r.item ? (things.value.get(r.item) ?? r.item) : "");

/** Work has dates of its own; a class or a booking begins. */
const ofWork = computed(() => fresh.before !== "session" && fresh.before !== "booking");
function add() {
  const taken = new Set(reminders.value.map((r) => r.id));
  let n = 1;
  while (taken.has(`reminder-${n}`)) n++;
  const kind = (KINDS as readonly string[]).includes(fresh.what);
  const one: Reminder = {
    id: `reminder-${n}`,
    before: fresh.before,
    lead: LEADS[fresh.lead]!.lead,
    ...(ofWork.value && fresh.what === "marked" ? { marked: true } : {}),
    ...(ofWork.value && fresh.what.startsWith("item:") ? { item: fresh.what.slice(5) } : {}),
    ...(ofWork.value && kind ? { kinds: [fresh.what] } : {}),
    ...(fresh.to === "instructor" ? { to: "instructor" as const } : {}),
    ...(fresh.mail ? {} : { mail: false }),
    ...(fresh.feed ? {} : { feed: false }),
  };
  emit("put", { kind: "put-reminders", course: props.course, reminders: [...reminders.value, one] });
  adding.value = false;
}
function remove(id: string) {
  emit("put", { kind: "put-reminders", course: props.course, reminders: reminders.value.filter((r) => r.id !== id) });
}
async function run() {
  const letters = await letRun(`${until.day}T${until.time}`);
  if (letters !== null) ran.value = `${count(letters, "letter")} went into the outbox.`;
}
const WHAT: Record<string, string> = {
  due: "due",
  opens: "opens",
  closes: "closes",
  session: "class",
  booking: "booking",
};
const title = (c: Coming) => c.title || "class";
const to = (c: Coming) =>
  `${c.mail ? count(c.readers, "person", "people") : "calendars"}${c.withoutAddress && c.mail ? `, ${c.withoutAddress} not reached` : ""}`;
function went(g: Schemas["WentOut"]): string {
  return [
    g.sent && `${g.sent} sent`,
    g.waiting && `${g.waiting} waiting`,
    g.failed && `${g.failed} failed`,
    g.missed && `${g.missed} missed`,
    g.unsure && `${g.unsure} not known`,
  ]
    .filter(Boolean)
    .join(", ");
}
</script>

<template>
  <section class="panel" aria-labelledby="reminders-head">
    <h2 id="reminders-head">
      Reminders
      <span class="side"><button type="button" class="do" @click="outbox = true">outbox</button></span>
    </h2>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <template v-if="view">
      <p v-if="!reminders.length" class="soft">Nobody is reminded of anything in {{ course }}.</p>
      <ul v-else class="rules">
        <li v-for="r in reminders" :key="r.id">
          {{ said(r, name(r)) }}
          <button type="button" class="do" @click="remove(r.id)">take out</button>
        </li>
      </ul>
      <form v-if="adding" class="add" @submit.prevent="add">
        <label for="rem-lead">When</label>
        <select id="rem-lead" v-model="fresh.lead" class="field" autofocus>
          <option v-for="(l, n) in LEADS" :key="n" :value="n">{{ l.words }}</option>
        </select>
        <label for="rem-before">before</label>
        <select id="rem-before" v-model="fresh.before" class="field">
          <option v-for="[value, words] in BEFORES" :key="value" :value="value">{{ words }}</option>
        </select>
        <template v-if="ofWork">
          <label for="rem-what">of</label>
          <select id="rem-what" v-model="fresh.what" class="field">
            <option value="marked">all work with points</option>
            <option value="all">all work</option>
            <option v-for="k in KINDS" :key="k" :value="k">{{ k }}</option>
            <optgroup label="one piece of work, in place of all others">
              <option v-for="[id, name] in things" :key="id" :value="`item:${id}`">{{ name }}</option>
            </optgroup>
          </select>
        </template>
        <label for="rem-to">to</label>
        <select id="rem-to" v-model="fresh.to" class="field">
          <option value="students">students who did not hand it in</option>
          <option value="instructor">who teaches</option>
        </select>
        <span></span>
        <span class="ticks">
          <label><input v-model="fresh.mail" type="checkbox" />by mail</label>
          <label><input v-model="fresh.feed" type="checkbox" />in calendars</label>
        </span>
        <p class="wide">
          <button type="submit" class="btn go" :disabled="busy">Add</button>
          <button type="button" class="btn quiet" @click="adding = false">Leave it</button>
        </p>
      </form>
      <p v-else>
        <button type="button" class="btn" @click="adding = true">Add a reminder</button>
      </p>
      <template v-if="coming.length">
        <h3>What will go out</h3>
        <table>
          <tbody>
            <tr v-for="c in coming" :key="c.name + c.at" :class="{ gone: c.stopped }">
              <td>{{ moment(c.at) }}</td>
              <td>
                <b>{{ title(c) }}</b><span class="soft"
                  >, {{ c.section }}: {{ WHAT[c.before] }} {{ moment(c.date) }}</span
                >
                <br />
                <span class="soft">{{ c.stopped ? "stopped" : to(c) }}</span>
              </td>
              <td class="acts">
                <button
                  v-if="c.mail && c.readers"
                  type="button"
                  class="do"
                  :disabled="busy"
                  @click="letter(c.name).then((found) => (arriving = found))"
                >
                  read<span class="vh"> the letter of {{ title(c) }}</span>
                </button>
                <button type="button" class="do" :disabled="busy" @click="stop(c.name, !c.stopped)">
                  {{ c.stopped ? "let it go" : "stop" }}<span class="vh"> the reminder of {{ title(c) }}</span>
                </button>
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="!all && view.coming.length > MOST">
          <button type="button" class="do" @click="all = true">{{ view.coming.length + view.more - MOST }} more</button>
        </p>
        <p v-else-if="all && view.more" class="soft">and {{ view.more }} later</p>
      </template>
      <p v-else-if="reminders.length" class="soft">Nothing that students were told is to be reminded of.</p>
      <form v-if="view.still && reminders.length" class="clock" @submit.prevent="run">
        <p>
          Time stands still at <b>{{ moment(view.now) }}</b>: let it run up to
        </p>
        <DateField id="rem-until" v-model="until.day" :term-id="termId" label="Let time run up to the day" />
        <TimeField id="rem-until-time" v-model="until.time" :term-id="termId" label="and the time" />
        <button type="submit" class="btn" :disabled="busy || !until.day || !until.time">Run</button>
        <p v-if="ran" role="status">{{ ran }}</p>
      </form>
      <details v-if="view.gone.length">
        <summary>What went out</summary>
        <table>
          <tbody>
            <tr v-for="g in view.gone" :key="g.letter + g.title + g.at">
              <td>{{ moment(g.at) }}</td>
              <td>{{ g.title || "class" }}</td>
              <td :class="{ look: g.failed || g.missed || g.unsure }">{{ went(g) }}</td>
            </tr>
          </tbody>
        </table>
      </details>
      <p v-if="view.simulated" class="soft fine">Mail is simulated here: letters stay in the outbox.</p>
    </template>
    <OutboxDialog v-if="outbox" @close="outbox = false" />
    <Dialog
      :visible="arriving !== null"
      modal
      :header="arriving?.subject ?? ''"
      :style="{ width: '640px' }"
      dismissable-mask
      @update:visible="arriving = null"
    >
      <p class="soft">To {{ arriving?.recipient || "who teaches" }}, the first of those who get it.</p>
      <iframe sandbox="" :srcdoc="arriving?.html" title="The letter as it will arrive"></iframe>
    </Dialog>
  </section>
</template>

<style scoped>
h2 .side {
  float: right;
  font-weight: 400;
}
h3 {
  font-size: 14px;
  margin: 8px 0 2px;
}
.rules {
  margin: 0 0 6px;
  padding-left: 18px;
}
.add,
.clock {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 5px 10px;
  align-items: center;
  margin-bottom: 8px;
}
.clock {
  grid-template-columns: minmax(0, 1fr) 90px auto;
  border-top: 1px solid var(--rule);
  padding-top: 6px;
}
.clock p,
.wide {
  grid-column: 1 / -1;
}
.ticks label {
  margin-right: 12px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
td {
  padding: 4px 6px 4px 0;
  border-top: 1px solid var(--rule);
  vertical-align: baseline;
}
td:first-child {
  white-space: nowrap;
}
.acts {
  text-align: right;
  white-space: nowrap;
}
.acts .do {
  min-height: 26px;
  margin-left: 8px;
}
.gone td {
  color: var(--ink-faint);
  text-decoration: line-through;
}
.gone .acts {
  text-decoration: none;
}
summary {
  cursor: pointer;
  padding: 4px 0;
}
iframe {
  width: 100%;
  height: 45vh;
  border: 1px solid var(--rule-firm);
}
</style>
