<script setup lang="ts">
import { computed, nextTick, onMounted, ref, shallowRef, useTemplateRef } from "vue";
import { useRoute } from "vue-router";
import { type ChangeOf, type Schemas, api, ask } from "../api/client";
import ChangeLine from "../change/ChangeLine.vue";
import { useStepKeys } from "../change/useStepKeys";
import Band from "../frame/Band.vue";
import ChangeTools from "../frame/ChangeTools.vue";
import ViewLinks from "../frame/ViewLinks.vue";
import { count, dayMonth, hourMinute, numberOf, weekdayDay, weekdayName } from "../ui/say";
import { useDrag } from "../wall/useDrag";
import HoursCell from "./HoursCell.vue";
import HoursRules from "./HoursRules.vue";
import HoursTyped from "./HoursTyped.vue";
import SlotPanel from "./SlotPanel.vue";
import { type HoursBlock, type HoursSlot, type HoursView, useHours } from "./useHours";

/** Office hours: when they are, week by week, who comes, and what is done about it. */
const route = useRoute();
const termId = Number(route.params.termId);
const state = useHours(termId);
const { view, shown, proposal, problem, busy } = state;
useStepKeys(state);
const weeks = useTemplateRef<HTMLElement>("weeks");
onMounted(async () => {
  await state.load();
  await nextTick();
  document.title = "Office hours, Matsuri";
  const now = weeks.value?.querySelector<HTMLElement>("tr.now");
  if (weeks.value && now) weeks.value.scrollTop = now.offsetTop - 34;
});
const WORDS = ["MO", "TU", "WE", "TH", "FR", "SA", "SU"];
const columns = computed(() =>
  (shown.value?.weekdays ?? []).map((w) => ({ word: w, name: weekdayName(WORDS.indexOf(w) + 1) })),
);
/** Which week today is in. */
const current = computed(() => {
  const s = shown.value;
  return s ? (s.weeks.findLast((w) => w.first <= s.today)?.number ?? 0) : 0;
});
const chosen = ref("");
/** A slot, or by its head the slots of its day, is dragged to another day at the same time; with Alt all from there on. */
const drag = useDrag(
  () => new Set(),
  (keys, date, held) => {
    const [reach, hours, slot, start] = keys[0]!.split("\t") as [
      ChangeOf<"change-slots">["reach"],
      string,
      string,
      string,
    ];
    if (proposal.value || start.startsWith(date)) return;
    void state.propose({
      kind: "change-slots",
      hours,
      slot,
      as: "move",
      reach: held.alt ? "on" : reach,
      to: `${date}T${start.slice(11, 16)}`,
    });
  },
);
const found = computed<{ slot: HoursSlot; block: HoursBlock } | null>(() => {
  for (const w of shown.value?.weeks ?? [])
    for (const d of w.days)
      for (const block of d.blocks)
        for (const slot of block.slots) if (`${block.id} ${slot.name}` === chosen.value) return { slot, block };
  return null;
});
const line = computed(() => shown.value?.hours.find((h) => h.id === found.value?.block.id) ?? null);
function choose(slot: HoursSlot, block: HoursBlock) {
  const key = `${block.id} ${slot.name}`;
  chosen.value = chosen.value === key ? "" : key;
}
const editing = ref("");
const ruling = ref("");
const fresh = useTemplateRef<InstanceType<typeof HoursTyped>>("fresh");
async function put(change: ChangeOf<"put-office-hours">, isNew: boolean) {
  if (!(await state.propose(change))) return;
  editing.value = ruling.value = "";
  if (isNew) fresh.value?.taken();
}
const asking = ref(false);
/** A booking is no change of the plan: it is made at once, and no undo takes it back. */
async function booking(action: () => Promise<HoursView>) {
  asking.value = true;
  problem.value = "";
  try {
    view.value = await action();
  } catch (e) {
    problem.value = (e as Error).message;
  } finally {
    asking.value = false;
  }
}
type Whom = Omit<Schemas["BookingGiven"], "hours" | "slot">;
const book = (given: Whom) =>
  booking(() =>
    ask(
      api.POST("/api/terms/{termId}/hours/bookings", {
        params: { path: { termId } },
        body: { ...given, hours: line.value!.id, slot: found.value!.slot.name },
      }),
    ),
  );
const back = (uid: string, why: string) =>
  booking(() =>
    ask(
      api.POST("/api/terms/{termId}/hours/bookings/{uid}/back", { params: { path: { termId, uid } }, body: { why } }),
    ),
  );
/** Who comes from today on, by day. */
const coming = computed(() => {
  const by = new Map<string, HoursView["bookings"]>();
  for (const b of shown.value?.bookings ?? [])
    if (b.state === "held") by.set(b.start.slice(0, 10), [...(by.get(b.start.slice(0, 10)) ?? []), b]);
  return [...by].slice(0, 5);
});
const removing = shallowRef("");
</script>

<template>
  <Band>
    <ViewLinks :term-id="termId" here="hours" />
    <template #right>
      <ChangeTools
        :state="state"
        :findings="shown?.findings ?? null"
        :undo="view?.undo"
        :redo="view?.redo"
        :here="String(route.query.section ?? '')"
      />
    </template>
  </Band>
  <h1 class="vh">Office hours</h1>
  <main v-if="shown" class="hours">
    <div ref="weeks" class="weeks" tabindex="0" aria-label="Week by week">
      <table v-if="columns.length">
        <thead>
          <tr>
            <th scope="col" class="wk">Week</th>
            <th v-for="c in columns" :key="c.word" scope="col">{{ c.name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="w in shown.weeks" :key="w.number" :class="{ now: w.number === current }">
            <th scope="row" class="wk">
              <b>{{ w.number }}</b> <span class="soft">{{ dayMonth(w.first) }}</span>
            </th>
            <td
              v-for="d in w.days"
              :key="d.date"
              :data-date="d.date"
              :class="{
                hatched: d.off,
                today: d.date === shown.today,
                gone: d.date < shown.today,
                over: drag.over.value === d.date,
              }"
            >
              <div class="no">
                {{ numberOf(d.date) }}<span v-if="d.off">{{ ` ${d.off}` }}</span>
              </div>
              <HoursCell
                v-for="b in d.blocks"
                :key="b.id + b.start"
                :block="b"
                :chosen="chosen"
                :past="d.date < shown.today"
                @choose="choose"
              />
            </td>
          </tr>
        </tbody>
      </table>
      <div v-else class="empty">
        <p>
          No office hours yet. Type when they are, at the right: for all your courses or for some, cut into slots that
          students book on their page, or open without booking.
        </p>
        <p class="soft">
          “Tue 13-15, Thu 9-10 Weir House 1” · “Fri 13-14 in 15 min for HYD 210, 2 a week” · “Wed 14-15:30 in 20 min, 5
          min pause, groups of 2 to 4”
        </p>
      </div>
    </div>
    <aside class="side">
      <SlotPanel
        v-if="found && line"
        :at="found.slot"
        :of="line"
        :view="shown"
        :busy="busy || asking || proposal !== null"
        @change="(c) => state.propose(c)"
        @book="book"
        @back="back"
      />
      <section v-if="columns.length" aria-label="Who comes">
        <h2>Who comes</h2>
        <p v-if="!coming.length" class="soft">Nobody has booked from today on.</p>
        <div v-for="[day, list] in coming" :key="day">
          <h3 :class="{ look: day === shown.today }">
            {{ day === shown.today ? "Today, " : "" }}{{ weekdayDay(day) }}
          </h3>
          <ul class="list">
            <li v-for="b in list" :key="b.uid">
              <button type="button" class="plain" @click="chosen = `${b.hours} ${b.slot}`">
                <b>{{ hourMinute(b.start.slice(11, 16)) }}</b> {{ b.name
                }}<span v-if="b.people > 1">, {{ b.people }} people</span
                ><span v-if="b.about" class="soft">: {{ b.about }}</span>
              </button>
            </li>
          </ul>
        </div>
      </section>
      <section aria-label="Times">
        <h2>Times</h2>
        <div v-for="h in shown.hours" :key="h.id" class="of">
          <p class="top">
            <b>{{ h.title }}</b>
            <span class="soft">{{ h.courses.length ? h.courses.join(", ") : "all courses" }}</span>
          </p>
          <HoursTyped
            v-if="editing === h.id"
            :term-id="termId"
            :hours="h.id"
            :text="h.line"
            :label="`When ${h.title} are`"
            :busy="busy"
            @put="(c) => put(c, false)"
            @close="editing = ''"
          />
          <HoursRules
            :term-id="termId"
            v-else-if="ruling === h.id"
            :of="h"
            :busy="busy"
            @put="(c) => put(c, false)"
            @close="ruling = ''"
          />
          <template v-else>
            <p v-for="s in h.said" :key="s">{{ s }}</p>
            <p class="soft">
              {{ h.how
              }}<template v-if="h.slots">; {{ h.taken }} of {{ count(h.slots, "place") }} taken in seven days</template>
            </p>
            <p class="row">
              <button type="button" class="plain" :disabled="proposal !== null" @click="editing = h.id">change</button>
              <button type="button" class="plain" :disabled="proposal !== null" @click="ruling = h.id">
                name and rules
              </button>
              <button
                v-if="removing !== h.id"
                type="button"
                class="plain"
                :disabled="proposal !== null"
                @click="removing = h.id"
              >
                remove
              </button>
              <button
                v-else
                type="button"
                class="btn"
                :disabled="busy"
                @click="
                  removing = '';
                  state.propose({ kind: 'remove-office-hours', id: h.id });
                "
              >
                Remove {{ h.title }}
              </button>
            </p>
          </template>
        </div>
        <h3>New</h3>
        <HoursTyped
          ref="fresh"
          :term-id="termId"
          label="New office hours"
          :busy="busy || proposal !== null"
          @put="(c) => put(c, true)"
        />
      </section>
    </aside>
  </main>
  <main v-else class="page">
    <p v-if="!problem">Laying out the hours…</p>
  </main>
  <ChangeLine :state="state" :held="false" :loaded="view !== null" @again="state.load()">
    <div v-if="shown && columns.length" class="legend">
      <span><i class="k booked">MS</i> booked</span><span><i class="k"></i> free</span
      ><span><i class="k">3/6</i> taken of places</span><span><i class="k away">MS</i> withdrawn</span
      ><span><i class="k off">–</i> blocked</span><span><i class="hatched sw"></i> day off</span
      ><span class="soft">names show to you only</span>
    </div>
  </ChangeLine>
</template>

<style scoped>
.hours {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
}
.weeks {
  overflow: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
}
thead th {
  position: sticky;
  top: 0;
  z-index: 2;
  background: var(--paper);
  text-align: left;
  border-bottom: 1px solid var(--ink);
  padding: 6px 8px;
}
td,
tbody th {
  border: 1px solid var(--rule);
  vertical-align: top;
  text-align: left;
  padding: 4px 8px 6px;
  font-weight: 400;
}
.wk {
  width: 74px;
}
.wk b {
  font-size: 18px;
  display: block;
}
tr.now .wk b,
td.today .no {
  color: var(--lantern);
  font-weight: 700;
}
td.today {
  border-left: 3px solid var(--lantern);
}
td.hatched :deep(.head > *),
td.hatched .no {
  background: var(--paper);
  width: fit-content;
  padding: 0 3px;
}
td.gone {
  background-color: var(--paper-past);
}
.no {
  font-size: 12px;
}
.side {
  border-left: 1px solid var(--rule-firm);
  background: var(--paper-raised);
  overflow: auto;
  padding: 8px 14px 60px;
}
.side > section {
  border-bottom: 1px solid var(--rule-firm);
  padding: 6px 0 10px;
}
h2 {
  margin: 0 0 4px;
  font-size: 16px;
}
h3 {
  margin: 8px 0 2px;
  font-size: 14px;
}
h3.look {
  color: var(--lantern);
}
.list {
  list-style: none;
  margin: 0;
  padding: 0;
}
.list .plain {
  text-align: left;
  min-height: 24px;
}
.of {
  border-bottom: 1px solid var(--rule);
  padding: 4px 0;
}
.of p {
  margin: 0;
}
.of .top {
  display: flex;
  justify-content: space-between;
  gap: 8px;
}
.of .row {
  display: flex;
  gap: 12px;
}
.of .row .plain {
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 24px;
}
.empty {
  max-width: 560px;
  padding: 30px 24px;
}
.k {
  display: inline-block;
  min-width: 26px;
  height: 18px;
  padding: 0 4px;
  border: 1px solid var(--rule-firm);
  font-style: normal;
  font-weight: 700;
  font-size: 12px;
  text-align: center;
  vertical-align: middle;
}
.k.booked {
  background: var(--ink);
  color: var(--paper);
}
.k.away {
  border-style: dashed;
  text-decoration: line-through;
  color: var(--lantern);
}
.k.off {
  background: var(--paper-off);
}
.sw {
  display: inline-block;
  width: 16px;
  height: 11px;
}
@media (max-width: 900px) {
  /* both in sight: what is chosen above, the weeks below */
  .hours {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(0, 2fr) minmax(0, 3fr);
  }
  .side {
    order: -1;
    border-left: 0;
    border-bottom: 2px solid var(--rule-firm);
    padding-bottom: 12px;
  }
}
td.over {
  outline: 2px solid var(--ink);
  outline-offset: -2px;
}
</style>
