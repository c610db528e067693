<script setup lang="ts">
import Dialog from "../ui/Dialog.vue";
import { computed, onUnmounted, ref, shallowRef, watch } from "vue";
import { type Change, type Schemas, api, ask } from "../api/client";
import Doubts, { type Doubt } from "../ui/Doubts.vue";
import TermSoFar from "./TermSoFar.vue";
import GiveList, { type Given } from "../ui/GiveList.vue";
import { count } from "../ui/say";
import { injectTerm } from "./useTerm";

/** Days off from the list that a school publishes, pasted or as a file, with what was understood beside it. */
const emit = defineEmits<{ done: [] }>();
const state = injectTerm();
const { busy } = state;
const read = shallowRef<Schemas["DaysOffRead"] | null>(null);
const given = shallowRef<Given>({});
/** Places of the lines that are taken otherwise than they came. */
const turned = ref<Set<number>>(new Set());
const dayFirst = ref(/^(?!en-US|en$)/.test(navigator.language));
const problem = ref("");
let asked = 0;

const lines = computed(() => (read.value?.lines ?? []).map((l, at) => ({ ...l, at })));
/** Doubtful lines that were settled: whether each is taken. */
const settled = ref(new Map<number, boolean>());
/** Doubts are settled before anything else is looked at. */
const doubts = computed<Doubt[]>(() =>
  lines.value
    .filter((l) => l.state === "doubtful" && (l.closure || l.change) && !settled.value.has(l.at))
    .map((l) => ({
      key: String(l.at),
      given: l.text.trim(),
      asks: [(l.closure as { reason?: string } | null)?.reason, l.said, l.takes].filter(Boolean).join(", "),
      readings: [
        { as: "take", says: "take it" },
        { as: "out", says: "out" },
      ],
    })),
);
function settle(key: string, as: string) {
  settled.value = new Map(settled.value).set(Number(key), as === "take");
}
const settleAll = () =>
  (settled.value = new Map([...settled.value, ...doubts.value.map((d): [number, boolean] => [Number(d.key), false])]));
/** Lines that are not in doubt any more. */
const clear = computed(() => lines.value.filter((l) => !doubts.value.some((d) => d.key === String(l.at))));
const TAKEN = ["off", "overlap", "marked", "doubtful"];
const ready = computed(() => lines.value.filter((l) => (l.closure || l.change) && TAKEN.includes(l.state)));
/** What is taken: a doubt that was settled so, anything else unless it is unticked. */
const ticked = (l: { at: number; state: string }) =>
  (l.state === "doubtful" ? settled.value.get(l.at) === true : true) !== turned.value.has(l.at);
const chosen = computed(() => ready.value.filter(ticked));
/** Days off, and days with another timetable where there are some. */
const what = computed(() => (chosen.value.every((l) => l.closure) ? "day off" : "day"));
const whats = computed(() => (chosen.value.every((l) => l.closure) ? "days off" : "days"));
const counts = computed(() => {
  const doubtful = doubts.value.length;
  const aside = lines.value.filter(
    (l) => !l.closure && !l.change && l.state !== "heading" && l.state !== "not-understood",
  ).length;
  const wrong = lines.value.filter((l) => l.state === "not-understood").length;
  return [
    `${ready.value.length - doubtful} taken`,
    ...(doubtful ? [`${doubtful} in doubt`] : []),
    ...(aside ? [`${aside} put aside`] : []),
    ...(wrong ? [`${wrong} not understood`] : []),
  ].join(", ");
});
const again = computed(() => read.value?.differences !== undefined && read.value?.differences !== null);

async function look(next: Given) {
  given.value = next;
  const turn = ++asked;
  problem.value = "";
  try {
    const found = await ask(
      api.POST("/api/terms/{termId}/days-off/read", {
        params: { path: { termId: state.termId } },
        body: { ...next, dayFirst: dayFirst.value },
      }),
    );
    if (turn === asked) {
      read.value = found;
      turned.value = new Set();
      settled.value = new Map();
    }
  } catch (e) {
    if (turn === asked) problem.value = (e as Error).message;
  }
}
const bounds = (l: { change?: unknown }) => (l.change as { kind?: string } | null)?.kind === "set-term";
/** Ticks all lines that can be taken, or none. */
function tickAll(all: boolean) {
  turned.value = new Set(
    ready.value
      .filter((l) => !doubts.value.some((d) => d.key === String(l.at)))
      .filter((l) => (l.state === "doubtful" ? settled.value.get(l.at) === true : true) !== all)
      .map((l) => l.at),
  );
}
/** A file that was read is kept, so that reading it again tells what differs. */
async function keep() {
  const { name, content } = given.value;
  if (!name || !content) return;
  await ask(
    api.POST("/api/terms/{termId}/days-off/files", {
      params: { path: { termId: state.termId } },
      body: { name, content },
    }),
  );
}
/** Whether a day off lies in the term as the lines would set it. */
function within(closure: { first: string; last: string } | null): boolean {
  const terms = chosen.value
    .filter(bounds)
    .map((l) => (l.change as unknown as { term: { first: string; last: string } }).term);
  return !closure || terms.every((t) => closure.first <= t.last && closure.last >= t.first);
}
/** What taking the lines comes to, as one change; other bounds of the term first: they say the whole term. */
function change(): Change {
  const from = given.value.name ? ` from “${given.value.name}”` : "";
  return {
    kind: "together",
    does: `Take ${count(chosen.value.length, what.value, whats.value)}${from}`,
    changes: [...chosen.value]
      .sort((a, b) => Number(bounds(b)) - Number(bounds(a)))
      .filter((l) => within(l.closure as { first: string; last: string } | null))
      .flatMap((l): Change[] =>
        l.closure ? [{ kind: "add-closure", closure: l.closure }] : l.change ? [l.change as Change] : [],
      ),
  };
}
watch(chosen, async (now) => {
  try {
    await state.look(now.length ? change() : null);
  } catch (e) {
    problem.value = (e as Error).message;
  }
});
onUnmounted(() => void state.look(null));
async function take() {
  const ok = await state.propose(change());
  if (ok) await finish();
  else problem.value = state.problem.value;
}
async function takeDifferences() {
  const change = read.value?.differences;
  if (change && (await state.propose(change))) await finish();
  else problem.value = state.problem.value;
}
async function finish() {
  try {
    await keep();
    emit("done");
  } catch (e) {
    problem.value = (e as Error).message;
  }
}
function tick(at: number) {
  const next = new Set(turned.value);
  if (!next.delete(at)) next.add(at);
  turned.value = next;
}
</script>

<template>
  <Dialog
    :visible="true"
    modal
    header="Days off from a list"
    :style="{ width: '1020px' }"
    @update:visible="emit('done')"
  >
    <div class="two">
      <div class="give-side">
        <GiveList
          id="paste-off"
          autofocus
          label="The school’s list of dates"
          accept=".ics,.csv,.xlsx,.ods,.docx,.html,.pdf,.txt"
          :wrong="problem"
          placeholder="Paste the list as the school publishes it, a line each:

Fall break October 12-13
Nov 25 to 27: Harvest holiday
12.-13.10. Herbstferien"
          @given="look"
        />
        <p class="ticks">
          <label
            ><input v-model="dayFirst" type="checkbox" @change="look(given)" /> 10/11 is the tenth of November</label
          >
        </p>
      </div>
      <div class="understood" aria-live="polite">
        <p v-if="!read?.lines.length" class="soft">What is understood of it stands here, line by line.</p>
        <p v-else>
          <span class="counts" role="status">{{ counts }}</span>
          <button type="button" class="plain" @click="tickAll(true)">tick all</button>
          <button type="button" class="plain" @click="tickAll(false)">tick none</button>
        </p>
        <Doubts :doubts="doubts" label="In doubt" all-says="leave all out" @settle="settle" @all="settleAll" />
        <ul v-if="read?.lines.length">
          <li v-for="l in clear" :key="l.at" :class="l.state">
            <label v-if="(l.closure || l.change) && TAKEN.includes(l.state)">
              <input type="checkbox" :checked="ticked(l)" @change="tick(l.at)" />
              <span>
                <template v-if="l.closure"
                  ><b>{{ (l.closure as { reason?: string }).reason || "Day off" }}</b
                  >, </template
                >{{ l.said
                }}<span v-if="l.takes" class="soft">{{ l.state === "doubtful" ? " " : ", " }}{{ l.takes }}</span>
                <span v-if="l.state === 'doubtful' || l.change" class="gave line">{{ l.text.trim() }}</span>
              </span>
            </label>
            <span v-else>
              <span class="gave">{{ l.text.trim() }}</span>
              <span :class="l.state === 'not-understood' ? 'look' : 'soft'"> {{ l.said }}</span>
            </span>
          </li>
        </ul>
        <div v-if="again" class="problem">
          <p>This file was read before.</p>
          <p v-if="!read?.differencesSaid.length">Nothing in it differs.</p>
          <ul v-else>
            <li v-for="d in read?.differencesSaid" :key="d">{{ d }}</li>
          </ul>
          <button
            v-if="read?.differencesSaid.length"
            type="button"
            class="btn"
            :disabled="busy"
            @click="takeDifferences"
          >
            Take what differs
          </button>
        </div>
      </div>
    </div>
    <TermSoFar
      v-if="read?.lines.length && state.shown.value && state.view.value"
      :term="state.shown.value"
      :before="state.view.value"
    />
    <div class="actions">
      <button type="button" class="btn quiet" @click="emit('done')">Close</button>
      <button type="button" class="btn go" :disabled="!chosen.length || doubts.length > 0 || busy" @click="take">
        Take {{ count(chosen.length, what, whats) }}
      </button>
    </div>
  </Dialog>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px;
}
.give-side {
  display: flex;
  flex-direction: column;
}
.give-side > :first-child {
  flex: 1;
}
.understood {
  max-height: 420px;
  overflow: auto;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  border-bottom: 1px solid var(--rule);
  padding: 3px 0;
}
li label {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
.understood p .plain {
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 24px;
  margin-left: 8px;
}
.counts {
  margin: 0 0 4px;
  font-weight: bold;
}
.line {
  display: block;
}
li.doubtful {
  border-left: 3px solid var(--lamp);
  padding-left: 6px;
}
.gave {
  color: var(--ink-faint);
}
@media (max-width: 760px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
