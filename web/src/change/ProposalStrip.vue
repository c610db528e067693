<script setup lang="ts">
import Dialog from "../ui/Dialog.vue";
import { computed, ref } from "vue";
import type { Change, ProposalView } from "../api/client";
import type { Otherwise } from "./useChanges";
import { trying } from "../api/mode";
import { count, lateness, moment } from "../ui/say";

/** Says what a change would do before it is made. */
const props = defineProps<{
  proposal: ProposalView;
  busy: boolean;
  problem: string;
  ways?: boolean;
  seen: boolean;
  /** What is proposed. */
  change: Change | null;
}>();
const emit = defineEmits<{
  apply: [];
  discard: [];
  ways: [];
  see: [seen: boolean];
  /** The same with some of it said otherwise. */
  vary: [otherwise: Otherwise];
  keep: [name: string];
}>();
const ticked = (event: Event) => (event.target as HTMLInputElement).checked;
/** Classes that are over count as held as planned, unless that was unticked. */
const open = computed(() => props.change?.held === false);
/** Of a shift, a move or a pin. */
const placing = computed(() => {
  const change = props.change;
  return change?.kind === "shift" || change?.kind === "move" || change?.kind === "pin" ? change : null;
});
/** The section that a shift, a move or a pin concerns alone, or in which it was made for all. */
const here = computed(() => {
  const change = placing.value;
  return change?.section ?? (change && "seenIn" in change ? change.seenIn : null) ?? "";
});
const alone = computed(() => placing.value?.section !== undefined);
function only(yes: boolean) {
  emit("vary", yes ? { section: here.value, seenIn: undefined } : { section: undefined, seenIn: here.value });
}
/** What moves stays within its unit. */
const kept = computed(() => !!placing.value && "keepUnit" in placing.value && !!placing.value.keepUnit);
const inUnit = computed(() => {
  const change = placing.value;
  return !!change && change.kind !== "pin" && (props.proposal.leavesUnit || kept.value);
});
/** Lessons move that no hand moved: there are ways out. */
const bumped = computed(() => props.proposal.moves.some((m) => m.what === "lesson" && !m.hand));

const showing = ref(false);
/** The name under which it is kept as a what-if is being typed. */
const naming = ref(false);
const name = ref("");
/** Whom it makes late, or no longer late, by the grade book. */
const lateSaid = computed(() => props.proposal.late.map((l) => `${l.title}, ${l.section}: ${lateness(l)}.`));
/** What is said of several things in the same words is said once, with how many more there are. */
function once(notes: readonly string[]): string[] {
  const like = new Map<string, string[]>();
  for (const note of notes) {
    const words = note.replace(/“[^”]*”/g, "“”").replace(/\b(Mon|Tue|Wed|Thu|Fri|Sat|Sun) \d+ \w+\b/g, "day");
    like.set(words, [...(like.get(words) ?? []), note]);
  }
  // what lands on another weekday than was meant goes first
  const first = (l: readonly string[]) => (/does not teach|there is no class|not a [A-Z]/.test(l[0]!) ? 0 : 1);
  return [...like.values()]
    .sort((a, b) => first(a) - first(b))
    .map((l) => (l.length > 2 ? `${l[0]} And ${l.length - 1} more like it.` : l.join(" ")));
}
const second = computed(() =>
  [
    ...once(props.proposal.notes),
    ...lateSaid.value,
    ...props.proposal.appear
      .filter((f) => f.severity === "problem")
      .slice(0, 2)
      .map((f) => f.sentence),
  ].join(" "),
);
/** Dates of several years are told apart by their year. */
const years = computed(
  () =>
    new Set(props.proposal.moves.flatMap((m) => [m.from, m.to]).flatMap((at) => (at ? [at.slice(0, 4)] : []))).size > 1,
);
const when = (at: string) => (years.value ? `${moment(at)}, ${at.slice(0, 4)}` : moment(at));
const groups = computed(() => {
  const by = new Map<string, ProposalView["moves"]>();
  for (const m of props.proposal.moves) {
    const key = `${m.course} ${m.section}`;
    by.set(key, [...(by.get(key) ?? []), m]);
  }
  return [...by];
});
</script>

<template>
  <section class="strip" aria-label="Proposal">
    <div class="say" role="status">
      <p>
        <b>{{ proposal.sentence }}</b>
      </p>
      <p v-if="problem" class="look">{{ problem }}</p>
      <p v-else>{{ second }}</p>
    </div>
    <div class="choices">
      <label v-if="proposal.held || open" class="sees"
        ><input
          type="checkbox"
          :checked="!open"
          :disabled="busy"
          @change="emit('vary', { held: ticked($event) ? undefined : false })"
        />{{ proposal.held || "earlier classes count as held as planned" }}</label
      >
      <label v-if="here" class="sees"
        ><input type="checkbox" :checked="alone" :disabled="busy" @change="only(ticked($event))" />only in
        {{ here }}</label
      >
      <label v-if="inUnit" class="sees"
        ><input
          type="checkbox"
          :checked="kept"
          :disabled="busy"
          @change="emit('vary', { keepUnit: ticked($event) || undefined })"
        />stays in its unit</label
      >
      <label
        v-if="proposal.altered"
        class="sees"
        :title="`${count(proposal.altered, 'date')} that students were told otherwise`"
        ><input type="checkbox" :checked="seen" :disabled="busy" @change="emit('see', ticked($event))" />students see
        this</label
      >
    </div>
    <button v-if="ways && bumped" type="button" class="btn" @click="emit('ways')">Ways out</button>
    <button type="button" class="btn" @click="showing = true">Show each</button>
    <button v-if="!trying" type="button" class="btn" @click="naming = true">What if…</button>
    <button type="button" class="btn quiet" :disabled="busy" @click="emit('discard')">Discard</button>
    <button type="button" class="btn go" :disabled="busy" @click="emit('apply')">
      {{ busy ? "Applying…" : "Apply" }}
    </button>
    <Dialog v-model:visible="naming" modal header="Keep it as a what-if" :style="{ width: '440px' }">
      <form class="form" @submit.prevent="emit('keep', name)">
        <p class="wide soft">The plan stays as it is; the change is kept beside it, to try more and to compare.</p>
        <label for="keep-name">Name</label>
        <input id="keep-name" v-model="name" class="field" maxlength="100" required autocomplete="off" autofocus />
        <p v-if="problem" class="problem wide" role="alert">{{ problem }}</p>
        <div class="wide actions">
          <button type="button" class="btn quiet" @click="naming = false">Cancel</button>
          <button type="submit" class="btn go" :disabled="busy">Keep it</button>
        </div>
      </form>
    </Dialog>
    <Dialog v-model:visible="showing" modal :header="proposal.does" :style="{ width: '820px' }" dismissable-mask>
      <p v-if="!proposal.moves.length">Nothing moves.</p>
      <div v-for="[key, moves] in groups" :key="key">
        <h2>{{ key }}</h2>
        <table class="moves">
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col">From</th>
              <th scope="col">To</th>
              <th scope="col">Why</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="m in moves" :key="m.what + m.id">
              <td>
                <b v-if="m.what === 'lesson'">{{ m.id }}</b> {{ m.title }}
                <span v-if="m.what !== 'lesson'" class="soft">{{ m.what }}</span>
              </td>
              <td>{{ m.from ? when(m.from) : "no date" }}</td>
              <td>
                <b>{{ m.to ? when(m.to) : "no date" }}</b>
              </td>
              <td class="soft">{{ m.why }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <template v-if="proposal.notes.length">
        <h2>What did not go quite as asked</h2>
        <ul>
          <li v-for="(note, n) in proposal.notes" :key="n">{{ note }}</li>
        </ul>
      </template>
      <template v-if="lateSaid.length">
        <h2>Students</h2>
        <ul>
          <li v-for="(said, n) in lateSaid" :key="n">{{ said }}</li>
        </ul>
      </template>
      <template v-if="proposal.appear.length">
        <h2>Appears</h2>
        <ul>
          <li v-for="(f, n) in proposal.appear" :key="n">
            <b>{{ f.severity }}</b> {{ f.section.replace("/", " ") }}: {{ f.sentence }}
          </li>
        </ul>
      </template>
      <template v-if="proposal.goAway.length">
        <h2>Goes away</h2>
        <ul>
          <li v-for="(f, n) in proposal.goAway" :key="n">
            <b>{{ f.severity }}</b> {{ f.section.replace("/", " ") }}: {{ f.sentence }}
          </li>
        </ul>
      </template>
    </Dialog>
  </section>
</template>
