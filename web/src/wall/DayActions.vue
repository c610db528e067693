<script setup lang="ts">
import { computed, ref } from "vue";
import type { Change, Day, WallView } from "../api/client";
import { weekdayDay } from "../ui/say";
import Mark from "../draw/Mark.vue";
import { daysOf } from "./days";
import { noticeKey } from "./drawn";
import { injectWall } from "../change/useWall";

/** What can be done with the opened day, with the thing that is chosen on it, and what is recorded of its class. */
const props = defineProps<{
  wall: WallView;
  day: Day;
  picked: ReadonlySet<string>;
  run: [string, string] | null;
  /** Work on its main date, in the order of the plan. */
  order: readonly string[];
}>();
const emit = defineEmits<{
  open: [dialog: "off" | "shift" | "move" | "words" | "facts", keys?: readonly string[]];
  edit: [key: string];
  place: [id: string, to: "up" | "down"];
  /** Begins a lesson in the class. */
  lesson: [];
}>();
const { propose, busy } = injectWall();
const here = computed(() => ({ course: props.wall.section.course, section: props.wall.section.section }));
const session = computed(() => props.day.sessions[0]);
const open = computed(() => props.day.lessons.filter((l) => !l.taught));
const chosen = computed(() => [...props.picked]);
/** The lesson of this day that the keys of its row act on: the chosen one, else the first, unless other things are chosen. */
const lesson = computed(() => {
  const found = open.value.find((l) => props.picked.has(`lesson:${l.id}`));
  return found ?? (item.value || notice.value ? undefined : open.value[0]);
});
const item = computed(() => props.day.items.find((i) => !i.course && props.picked.has(`item:${i.id}`)));
const notice = computed(() => props.day.notices.find((n) => props.picked.has(noticeKey(n))));
const several = computed(() => chosen.value.length > 1);
const before = computed(() => {
  const all = props.wall.outline.units.flatMap((u) => u.lessons);
  return all[all.findIndex((l) => l.id === lesson.value?.id) - 1];
});

/** The lesson that is acted on, here; looked at only where there is one. */
const at = computed(() => ({ ...here.value, lesson: lesson.value?.id ?? "" }));
const send = (change: Change) => void propose(change);
const shift = (by: number, onlyThese = false) =>
  send({
    kind: "shift",
    ...here.value,
    lessons: [lesson.value!.id],
    by,
    in: "sessions",
    ...(onlyThese ? { onlyThese } : {}),
  });
const pin = () => send({ kind: "pin", ...at.value, ...(lesson.value!.pinned ? {} : { date: props.day.date }) });
/** Switches work between a fixed date and the class of its day. */
function fix() {
  const i = item.value!;
  send({
    kind: "move",
    course: here.value.course,
    seenIn: here.value.section,
    items: [i.id],
    to: props.day.date,
    place: "last",
    fixed: !i.fixed,
  });
}
const fixes = computed(
  () =>
    item.value &&
    !item.value.locked &&
    item.value.which === "main-due" &&
    (!item.value.fixed || props.day.lessons.length > 0),
);
function notOff() {
  const { date, off } = props.day;
  send({ kind: "remove-closure", first: date, last: date, reason: off?.reason ?? undefined });
}

// --- recording

const over = computed(() => props.day.date <= props.wall.today);
const records = computed(() => over.value && session.value?.state === "open" && open.value.length > 0);
/** More of a lesson is planned behind this class. */
const goesOn = computed(() => open.value.some((l) => l.part < l.parts));
const sections = computed(() => props.wall.sections.filter((s) => s.course === here.value.course).length > 1);
const why = ref("");
function record(lessons: string[], partly: boolean, finished = false) {
  send({
    kind: "record-taught",
    ...here.value,
    session: session.value!.name,
    lessons,
    partly,
    ...(finished ? { finished } : {}),
    note: why.value.trim(),
  });
  why.value = "";
}
const all = () => open.value.map((l) => l.id);
/** First and last day of the lessons and units that are chosen, where they are several and over; else the chosen run. */
const heldRun = computed<[string, string] | null>(() => {
  const on = daysOf(props.wall).filter((d) =>
    d.lessons.some((l) => props.picked.has(`lesson:${l.id}`) || props.picked.has(`unit:${l.unit}`)),
  );
  const last = on[on.length - 1]?.date ?? "";
  return on.length > 1 && last <= props.wall.today ? [on[0]!.date, last] : props.run;
});
/** Classes up to this day, or those of the chosen days, as they were planned. */
function upToHere(every: boolean) {
  const [from, until] = heldRun.value ?? [undefined, props.day.date];
  send({
    kind: "record-held",
    course: here.value.course,
    ...(every ? {} : { section: here.value.section }),
    ...(from ? { from } : {}),
    until,
  });
}
const heldSays = computed(() =>
  heldRun.value ? `Taught, ${weekdayDay(heldRun.value[0])} to ${weekdayDay(heldRun.value[1])}` : "Taught up to here",
);
</script>

<template>
  <div class="acts">
    <h3>This day</h3>
    <div class="cells">
      <button v-if="day.off" type="button" title="the day teaches as usual again" @click="notOff">No longer off</button>
      <button v-else type="button" @click="emit('open', 'off')">Day off…</button>
      <button
        v-if="session && !day.lessons.length"
        type="button"
        title="type a lesson for this class"
        @click="emit('lesson')"
      >
        A lesson here
      </button>
      <button
        v-if="session && (session.state === 'held' || session.state === 'open')"
        type="button"
        title="a class that is kept free has no lesson: those behind it move on"
        @click="send({ kind: 'hold-empty', ...here, session: session.name, hold: session.state === 'open' })"
      >
        {{ session.state === "held" ? "Use again" : "Keep free" }}
      </button>
    </div>
    <div class="cells two">
      <button type="button" title="chosen things, or all from this day on" @click="emit('open', 'shift')">
        Later or earlier…
      </button>
      <button type="button" @click="emit('open', 'words')">Words…</button>
    </div>
    <template v-if="several">
      <h3>{{ chosen.length }} chosen things</h3>
      <div class="cells">
        <button type="button" @click="emit('open', 'move', chosen)">Move…</button
        ><button type="button" @click="emit('open', 'facts')">Facts…</button>
      </div>
    </template>
    <template v-else-if="lesson">
      <h3>
        <span class="cut">{{ lesson.id }} {{ lesson.title }}</span>
        <button type="button" class="do" @click="emit('open', 'move', ['lesson:' + lesson.id])">Move…</button>
        <button type="button" class="do" @click="emit('edit', 'lesson:' + lesson.id)">Edit…</button>
      </h3>
      <div class="cells">
        <button type="button" :disabled="busy" @click="shift(-1)">Earlier</button>
        <button type="button" :disabled="busy" @click="shift(1)">Later</button>
        <button type="button" :disabled="busy" @click="send({ kind: 'set-length', ...at, length: lesson.parts + 1 })">
          1 class more
        </button>
        <button
          v-if="lesson.parts > 1"
          type="button"
          :disabled="busy"
          @click="send({ kind: 'set-length', ...at, length: lesson.parts - 1 })"
        >
          1 fewer
        </button>
      </div>
      <div class="cells two">
        <button
          v-if="lesson.joined || before"
          type="button"
          :disabled="busy"
          @click="send({ kind: 'join', ...at, join: !lesson.joined })"
        >
          {{ lesson.joined ? "Own class" : `Join to ${before!.id}` }}
        </button>
        <button type="button" title="changes places with the next lesson" :disabled="busy" @click="shift(1, true)">
          Swap
        </button>
        <button type="button" :disabled="busy" @click="send({ kind: 'leave-out', ...at, leave: true })">
          Leave out
        </button>
        <button type="button" title="P" :disabled="busy" @click="pin">
          <Mark is="pin" />{{ lesson.pinned ? "Let move" : "Fix here" }}
        </button>
      </div>
    </template>
    <template v-else-if="item">
      <h3>
        <span class="cut">{{ item.title }}</span>
      </h3>
      <div class="cells">
        <button type="button" :disabled="item.locked" @click="emit('open', 'move', ['item:' + item.id])">Move…</button>
        <button v-if="fixes" type="button" :title="item.hangsOn ?? 'P'" :disabled="busy" @click="fix">
          <Mark is="pin" />{{ item.fixed ? `Let move with ${day.lessons[0]?.id}` : "Fix here" }}
        </button>
        <template v-if="order.length > 1 && order.includes(item.id)">
          <button
            type="button"
            :disabled="order[0] === item.id"
            :aria-label="`${item.title} one up`"
            title="one up in the day (Alt ↑)"
            @click="emit('place', item.id, 'up')"
          >
            ▴
          </button>
          <button
            type="button"
            :disabled="order[order.length - 1] === item.id"
            :aria-label="`${item.title} one down`"
            title="one down in the day (Alt ↓)"
            @click="emit('place', item.id, 'down')"
          >
            ▾
          </button>
        </template>
        <button type="button" @click="emit('edit', 'item:' + item.id)">Edit…</button>
      </div>
    </template>
    <template v-else-if="notice">
      <h3>
        <span class="cut">{{ notice.title }}</span>
      </h3>
      <div class="cells">
        <button type="button" @click="emit('open', 'move', [noticeKey(notice)])">Move…</button>
        <button type="button" @click="emit('edit', noticeKey(notice))">Edit…</button>
      </div>
    </template>
    <template v-if="records || (over && session)">
      <h3>Record</h3>
      <div v-if="records" class="cells">
        <button type="button" @click="record(all(), false)">Taught</button>
        <button type="button" @click="record(all(), true)">Partly</button>
        <button
          v-if="goesOn"
          type="button"
          title="done, though more of it was planned"
          @click="record(all(), false, true)"
        >
          To the end
        </button>
        <button type="button" @click="record([], false)">Not reached</button>
      </div>
      <div class="cells" :class="{ two: records }">
        <template v-if="session && session.state !== 'taught'">
          <button type="button" title="earlier classes without a record too, as planned" @click="upToHere(false)">
            {{ heldSays }}
          </button>
          <button v-if="sections" type="button" :aria-label="`${heldSays}, all sections`" @click="upToHere(true)">
            in all sections
          </button>
        </template>
        <button v-else type="button" @click="send({ kind: 'remove-record', ...here, session: session!.name })">
          Take back the record
        </button>
      </div>
      <input
        v-if="records"
        v-model="why"
        class="field why"
        maxlength="1000"
        placeholder="why, if not as planned"
        aria-label="Why it was not taught as planned; kept with the lesson"
      />
    </template>
  </div>
</template>

<style scoped>
.acts {
  padding: 4px 10px 8px;
  border-top: 1px solid var(--ink);
  background: var(--paper);
}
h3 {
  margin: 3px 0 2px;
  font-size: 12px;
  line-height: 15px;
  font-weight: 680;
  display: flex;
  gap: 8px;
}
h3 .do {
  font-size: 12px;
  font-weight: 400;
}
.cut {
  flex: 1;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.cells {
  display: flex;
  flex-wrap: wrap;
  row-gap: 0;
}
.cells.two {
  margin-top: 0;
}
.cells button {
  flex: 1 0 auto;
  border: 1px solid var(--rule-firm);
  background: var(--paper-raised);
  height: 25px;
  padding: 0 4px;
  margin-left: -1px;
  margin-bottom: -1px;
  font-size: 12.5px;
  white-space: nowrap;
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 4px;
  cursor: pointer;
}
.cells button:first-child {
  margin-left: 0;
}
.cells button:disabled {
  color: var(--ink-faint);
  cursor: default;
}
.why {
  width: 100%;
  margin-top: 4px;
}
</style>
