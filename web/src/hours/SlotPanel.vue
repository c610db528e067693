<script setup lang="ts">
import { computed, ref, watch } from "vue";
import { type ChangeOf } from "../api/client";
import DateField from "../ui/DateField.vue";
import { moment } from "../ui/say";
import type { BookingLine, HoursLine, HoursSlot, HoursView } from "./useHours";

/** What stands in a slot, and what can be done with it. */
const props = defineProps<{ at: HoursSlot; of: HoursLine; view: HoursView; busy: boolean }>();
const emit = defineEmits<{
  change: [ChangeOf<"change-slots">];
  book: [
    {
      course?: string;
      section?: string;
      student?: string;
      name?: string;
      mail?: string;
      people: number;
      about: string;
    },
  ];
  back: [uid: string, why: string];
}>();
const reach = ref<"slot" | "day" | "on">("slot");
const to = ref("");
const who = ref("");
const mail = ref("");
const about = ref("");
const people = ref(1);
const why = ref("");
watch(
  () => props.at.name,
  () => {
    reach.value = "slot";
    to.value = props.at.start.slice(0, 16);
    who.value = mail.value = about.value = why.value = "";
    people.value = props.of.groupFrom;
  },
  { immediate: true },
);
const here = computed<BookingLine[]>(() =>
  props.view.bookings.filter((b) => b.hours === props.of.id && b.slot === props.at.name && b.state !== "given-back"),
);
/** Students by "Name (HYD 210 A)", each once. */
const students = computed(() => {
  const by = new Map<string, HoursView["students"][number]>();
  for (const s of props.view.students)
    if (![...by.values()].some((o) => o.id === s.id && o.name === s.name))
      by.set(`${s.name} (${s.course} ${s.section})`, s);
  return by;
});
function act(as: ChangeOf<"change-slots">["as"]) {
  const base = { kind: "change-slots" as const, hours: props.of.id, slot: props.at.name, as, reach: reach.value };
  emit("change", as === "move" ? { ...base, to: to.value } : base);
}
function book() {
  const student = students.value.get(who.value.trim());
  emit("book", {
    ...(student
      ? { course: student.course, section: student.section, student: student.id }
      : { name: who.value, mail: mail.value }),
    people: people.value,
    about: about.value,
  });
}
const away = computed(() => props.at.state === "withdrawn");
</script>

<template>
  <section class="slip" aria-label="The slot that is chosen">
    <h2>{{ moment(at.start) }}</h2>
    <p class="soft">{{ of.title }}, {{ at.state }}{{ at.byHand ? ", changed by hand" : "" }}</p>
    <ul v-if="here.length" class="who">
      <li v-for="b in here" :key="b.uid">
        <b :class="{ gone: b.state !== 'held' }">{{ b.name }}</b><span v-if="b.people > 1">
          and {{ b.people - 1 }} more</span
        >
        <span v-if="!b.onRoster" class="look"> not on the roster</span>
        <p v-if="b.about">{{ b.about }}</p>
        <p v-if="b.state !== 'held'" class="soft">
          {{
            b.state === "asked"
              ? "it was withdrawn; asked by mail whether they still come"
              : `withdrawn, told${b.why ? `: ${b.why}` : ""}`
          }}
        </p>
        <div v-else class="row">
          <input
            v-model="why"
            class="field"
            maxlength="1000"
            placeholder="why, if you like"
            :aria-label="`Why ${b.name} gives it back`"
          />
          <button type="button" class="btn" :disabled="busy" @click="emit('back', b.uid, why)">Give back</button>
        </div>
      </li>
    </ul>
    <form v-if="of.booked && !away && at.taken < at.places" class="for" @submit.prevent="book">
      <input
        v-model="who"
        class="field"
        list="whom"
        required
        maxlength="200"
        placeholder="book for: a student, or a name"
        aria-label="Book for"
      />
      <datalist id="whom"><option v-for="[name] in students" :key="name" :value="name"></option></datalist>
      <input
        v-if="who && !students.has(who.trim())"
        v-model="mail"
        class="field"
        type="email"
        maxlength="200"
        placeholder="address, if there is one"
        aria-label="Their address"
      />
      <input v-model="about" class="field" maxlength="1000" placeholder="what about" aria-label="What about" />
      <label v-if="of.groupTo > 1"
        >people <input v-model.number="people" class="field" type="number" min="1" :max="at.places - at.taken"
      /></label>
      <button class="btn" :disabled="busy">Book</button>
    </form>
    <fieldset>
      <legend class="vh">Which slots</legend>
      <label><input v-model="reach" type="radio" value="slot" /> this one</label>
      <label><input v-model="reach" type="radio" value="day" /> all of the day</label>
      <label><input v-model="reach" type="radio" value="on" /> from here on</label>
    </fieldset>
    <div class="row">
      <template v-if="away">
        <button type="button" class="btn" :disabled="busy" @click="act('restore')">Put back</button>
      </template>
      <template v-else>
        <button type="button" class="btn" :disabled="busy" @click="act('withdraw')">Withdraw</button>
        <button v-if="at.state === 'blocked'" type="button" class="btn" :disabled="busy" @click="act('unblock')">
          Give out
        </button>
        <button v-else type="button" class="btn" :disabled="busy" @click="act('block')">Block</button>
        <button v-if="at.byHand" type="button" class="btn" :disabled="busy" @click="act('restore')">Put back</button>
      </template>
    </div>
    <form v-if="!away" class="row" @submit.prevent="act('move')">
      <DateField id="slot-to" v-model="to" :term-id="view.termId" time="start" label="Where it moves" />
      <button class="btn" :disabled="busy">Move</button>
    </form>
  </section>
</template>

<style scoped>
h2 {
  margin: 0;
  font-size: 16px;
}
p {
  margin: 0 0 4px;
}
.who {
  list-style: none;
  margin: 0 0 8px;
  padding: 0;
}
.who li {
  border-bottom: 1px solid var(--rule);
  padding: 4px 0;
}
.gone {
  text-decoration: line-through;
}
.look {
  color: var(--lantern);
}
.row {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
  margin: 4px 0;
}
.row .field {
  flex: 1 1 140px;
  min-width: 0;
}
.for {
  display: grid;
  gap: 4px;
  margin: 4px 0 8px;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  display: flex;
  gap: 2px 12px;
  flex-wrap: wrap;
}
</style>
