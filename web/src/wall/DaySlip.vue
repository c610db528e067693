<script setup lang="ts">
import { computed, ref } from "vue";
import { type Change, type Day, type ItemView, type NoticeView, type WallView, api, ask } from "../api/client";
import { clock, moment, weekdayDay, weekdayNumber } from "../ui/say";
import HeardLine from "./HeardLine.vue";
import LessonActions from "./LessonActions.vue";
import Mark from "./Mark.vue";
import { noticeKey, noticeTime } from "./drawn";
import { useTypedLine } from "./useTypedLine";
import { injectWall } from "./useWall";
import { unitsOf } from "./units";

/** The opened day as a list, with what can be done with it. */
const props = defineProps<{
  wall: WallView;
  day: Day;
  picked: ReadonlySet<string>;
  /** The days that are chosen, first and last; null for the opened one alone. */
  run: [string, string] | null;
}>();
const emit = defineEmits<{
  pick: [key: string, more: boolean];
  edit: [key: string];
  off: [];
  shift: [];
  move: [];
  words: [];
  close: [];
  /** Goes to the day before or after, without closing. */
  step: [by: 1 | -1];
}>();

const state = injectWall();
const { propose, proposal, termId } = state;
const units = computed(() => unitsOf(props.wall));
const { course, section } = props.wall.section;
const lines = computed(() => {
  const work = props.day.items.map((i) => ({
    key: i.course ? "" : `item:${i.id}`,
    time: clock(i.time),
    lesson: null,
    item: i,
    notice: null,
  }));
  const notices = props.day.notices.map((n) => ({
    key: n.course === course ? noticeKey(n) : "",
    time: n.allDay ? "" : clock(n.begins),
    lesson: null,
    item: null,
    notice: n,
  }));
  const lessons = props.day.lessons.map((l) => ({
    key: `lesson:${l.id}`,
    time: props.day.sessions[0] && !props.day.sessions[0].beat ? clock(props.day.sessions[0].start) : "",
    lesson: l,
    item: null,
    notice: null,
  }));
  return [...lessons, ...work, ...notices];
});
const week = computed(() => props.wall.weeks.find((w) => w.days.some((d) => d.date === props.day.date)));
const typed = useTypedLine(
  state,
  () => props.day.date,
  (text, date) =>
    ask(
      api.POST("/api/terms/{termId}/outline/day", {
        params: { path: { termId } },
        body: { course, section, date, text },
      }),
    ),
  (read) => emit("pick", read.key, false),
);
const adder = ref<HTMLInputElement>();
/** Work on its main date, in the order of the day's list. */
const order = computed(() => props.day.items.filter((i) => i.which.startsWith("main-") && !i.course).map((i) => i.id));

/** Moves a thing within the day's list: by one, or to its beginning or end. */
function place(id: string, to: "first" | "up" | "down" | "last") {
  const list = order.value.filter((x) => x !== id);
  const was = order.value.indexOf(id);
  const at = { first: 0, up: Math.max(0, was - 1), down: was + 1, last: list.length }[to];
  list.splice(at, 0, id);
  void propose({ kind: "order-day", course, items: list });
}
function keys(event: KeyboardEvent, id: string) {
  const to = ({ ArrowUp: "up", ArrowDown: "down", Home: "first", End: "last" } as const)[event.key];
  if (!event.altKey || !to || proposal.value) return;
  event.preventDefault();
  place(id, to);
}
const linksOf = (line: (typeof lines.value)[number]) => (line.lesson ?? line.item ?? line.notice)?.links ?? [];
/** What a notice says beside its title. */
function noticeSays(n: NoticeView): string {
  // the time it begins stands before its title
  const one = n.begins.slice(0, 10) === n.ends.slice(0, 10);
  const days = !one ? noticeTime(n) : n.allDay || n.begins === n.ends ? "" : `to ${clock(n.ends)}`;
  return (
    [n.own ? "only me" : n.course === course ? "" : n.course, days, n.place].filter(Boolean).join(", ") || "notice"
  );
}
defineExpose({ add: () => adder.value?.focus() });
const session = computed(() => props.day.sessions[0]);
const open = computed(() => props.day.lessons.filter((l) => !l.taught));
const over = computed(() => props.day.date <= props.wall.today);
const canRecord = computed(() =>
  over.value && session.value?.state === "open" && open.value.length > 0 ? session.value : null,
);
/** More of a lesson is planned behind this class. */
const goesOn = computed(() => open.value.some((l) => l.part < l.parts));
const several = computed(() => props.wall.sections.filter((s) => s.course === course).length > 1);
/** Classes up to this day, or those of the chosen days, as they were planned. */
function upToHere(all: boolean) {
  const [from, until] = props.run ?? [undefined, props.day.date];
  void send({ kind: "record-held", course, ...(all ? {} : { section }), ...(from ? { from } : {}), until });
}
const heldSays = computed(() =>
  props.run ? `Taught, ${weekdayDay(props.run[0])} to ${weekdayDay(props.run[1])}` : "Taught up to here",
);

/** The lesson that is chosen here, if it is one that is still to be taught. */
const chosen = computed(() => {
  const key = props.picked.size === 1 ? [...props.picked][0] : "";
  return open.value.find((l) => key === `lesson:${l.id}`);
});
/** Why something was not taught as planned; kept with the lesson. */
const why = ref("");

function send(change: Change) {
  return propose(change);
}
function record(lessons: string[], partly: boolean, finished = false) {
  if (session.value) {
    void send({
      kind: "record-taught",
      course,
      section,
      session: session.value.name,
      lessons,
      partly,
      ...(finished ? { finished } : {}),
      note: why.value.trim(),
    });
    why.value = "";
  }
}
function reopen() {
  const { date, off } = props.day;
  void send({ kind: "remove-closure", first: date, last: date, reason: off?.reason ?? undefined });
}
function switches(item: ItemView) {
  return (
    !item.locked &&
    !item.course &&
    item.which === "main-due" &&
    !proposal.value &&
    (!item.fixed || props.day.lessons.length > 0)
  );
}
/** Switches an item between a fixed date and the class of its day. */
function fix(id: string, fixed: boolean) {
  void send({ kind: "move", course, seenIn: section, items: [id], to: props.day.date, place: "last", fixed });
}
</script>

<template>
  <section class="slip" :aria-label="`Opened day, ${weekdayDay(day.date)}`">
    <h2>
      <span class="steps"
        ><button type="button" class="plain" aria-label="Day before" title="day before" @click="emit('step', -1)">
          ◂</button
        >{{ weekdayDay(day.date)
        }}<button type="button" class="plain" aria-label="Day after" title="day after" @click="emit('step', 1)">
          ▸
        </button></span
      >
      <span v-if="session"
        >{{ session.beat ? "session" : "class" }} {{ session.number }} of {{ wall.section.sessions }}</span
      >
      <span v-else>{{ day.inTerm ? (day.off?.noClass ? "day off" : "does not meet") : "outside the term" }}</span>
    </h2>
    <div v-for="s in day.sessions" :key="s.name" class="soft">
      <template v-if="!s.beat">{{ clock(s.start) }} to {{ clock(s.end) }}</template
      >{{ s.place ? `, ${s.place}` : "" }} <template v-if="s.state === 'held'"> · held empty</template
      ><template v-if="s.state === 'paused'"> · the plan pauses</template>
    </div>
    <div v-if="day.off" class="soft">
      {{ day.off.reason || "Day off" }}:
      {{
        [
          day.off.noClass && "no class",
          day.off.planPauses && "plan pauses",
          day.off.nothingDue ? "nothing due" : "work may be due",
        ]
          .filter(Boolean)
          .join(", ")
      }}
    </div>
    <div v-for="note in day.notes" :key="note" class="soft">{{ note }}</div>
    <details v-if="week && (week.headline || week.targets.length)" class="week">
      <summary>Week {{ week.number }}: {{ week.headline || "targets" }}</summary>
      <ul>
        <li v-for="target in week.targets" :key="target">{{ target }}</li>
      </ul>
    </details>
    <ol>
      <li v-for="(line, n) in lines" :key="line.key + (line.item?.which ?? '') + n">
        <span class="tm">{{ line.time }}</span>
        <button
          type="button"
          class="plain nm"
          :class="{ picked: picked.has(line.key) }"
          :data-drag="line.lesson?.taught || line.item?.locked || !line.key ? undefined : line.key"
          :title="line.lesson?.title ?? line.item?.title ?? line.notice?.title"
          :disabled="!line.key"
          @click="emit('pick', line.key, $event.ctrlKey || $event.metaKey)"
          @keydown="line.item && keys($event, line.item.id)"
          @dblclick="emit('edit', line.key)"
        >
          <span v-if="line.lesson" class="code" :class="units.get(line.lesson.unit)?.look"
            >{{ line.lesson.id }} </span>{{ line.lesson?.title ?? line.item?.title ?? line.notice?.title }}
        </button>
        <template v-if="line.lesson">
          <span v-if="line.lesson.taught" class="soft">taught</span>
          <span v-else-if="line.lesson.parts > 1" class="soft">{{ line.lesson.part }} of {{ line.lesson.parts }}</span>
          <Mark v-if="line.lesson.pinned" is="pin" /><span v-if="line.lesson.pinned" class="vh">fixed</span>
          <span v-if="line.lesson.told" class="toldso"><Mark is="told" /> {{ line.lesson.told }}</span>
        </template>
        <template v-else-if="line.item">
          <span
            v-if="order.length > 1 && line.item.which.startsWith('main-') && !line.item.course && !proposal"
            class="nudge"
          >
            <button
              type="button"
              class="plain"
              :disabled="order[0] === line.item.id"
              :aria-label="`${line.item.title} one up`"
              title="one up (Alt ↑; Alt Home: first)"
              @click="place(line.item.id, 'up')"
            >
              ▴</button
            ><button
              type="button"
              class="plain"
              :disabled="order[order.length - 1] === line.item.id"
              :aria-label="`${line.item.title} one down`"
              title="one down (Alt ↓; Alt End: last)"
              @click="place(line.item.id, 'down')"
            >
              ▾
            </button>
          </span>
          <button
            v-if="switches(line.item)"
            type="button"
            class="plain soft switch"
            :title="
              line.item.fixed
                ? `A fixed date. Press to let it move with ${day.lessons[0]?.id}.`
                : `${line.item.hangsOn}. Press to fix it on this date.`
            "
            @click="fix(line.item.id, !line.item.fixed)"
          >
            <Mark v-if="line.item.fixed" is="pin" />{{ line.item.which.replace("main-", "") }}
            <span class="vh">{{
              line.item.fixed ? "fixed date: let it move with the class" : "fix it on this date"
            }}</span>
          </button>
          <template v-else>
            <Mark v-if="line.item.fixed" :is="line.item.locked ? 'lock' : 'pin'" />
            <span class="soft" :title="line.item.hangsOn ?? 'a fixed date'">{{
              line.item.which.replace("main-", "")
            }}</span>
          </template>
          <span v-if="line.item.told" class="toldso"><Mark is="told" /> {{ line.item.told }}</span>
        </template>
        <span v-else-if="line.notice" class="soft cut" :title="noticeSays(line.notice)">{{
          noticeSays(line.notice)
        }}</span>
        <span v-if="linksOf(line).length" class="links"
          ><a
            v-for="link in linksOf(line)"
            :key="link.url"
            :href="link.url"
            target="_blank"
            rel="noopener noreferrer"
            :title="link.title"
            ><span aria-hidden="true">↗</span><span class="vh">{{ link.title }}, opens in a new window</span></a
          ></span
        >
      </li>
      <li v-for="g in day.gone" :key="'g' + g.what + g.id">
        <s class="nm was">{{ g.title }}</s><span class="soft">{{
          g.to ? `to ${weekdayNumber(g.to)}` : "no date"
        }}</span>
        <span class="vh">{{ g.to ? moment(g.to) : "" }}, {{ g.why }}</span>
      </li>
    </ol>
    <p v-for="w in day.words" :key="(w.section ?? '') + w.text" class="words">
      {{ w.text }}<span v-if="w.own" class="soft"> (not for students)</span>
    </p>
    <form v-if="!proposal && day.inTerm" class="add" @submit.prevent="typed.enter()">
      <input
        ref="adder"
        :value="typed.text.value"
        class="field"
        :aria-label="`Something new on ${weekdayDay(day.date)}, for ${course} in every section`"
        :placeholder="`new for all of ${course}: quiz 3, 5pm; notice: …`"
        :aria-invalid="typed.wrong.value !== '' || !!typed.heard.value?.wrong"
        autocomplete="off"
        aria-describedby="added-said"
        @input="typed.type(($event.target as HTMLInputElement).value)"
        @keydown.escape.stop="typed.clear()"
      />
      <HeardLine id="added-said" :typed="typed as never" hint="" />
    </form>
    <p v-if="!lines.length && !day.gone.length && day.inTerm" class="soft">Nothing on this day.</p>
    <LessonActions v-if="chosen && !proposal" :course="course" :section="section" :day="day.date" :lesson="chosen" />
    <div v-if="!proposal && day.inTerm" class="act">
      <button v-if="day.off" type="button" class="btn" @click="reopen">Reopen</button>
      <button v-else type="button" class="btn" @click="emit('off')">Day off…</button>
      <button type="button" class="btn" @click="emit('shift')">Later or earlier…</button>
      <button type="button" class="btn" :disabled="!picked.size && !open.length" @click="emit('move')">Move…</button>
      <button v-if="picked.size === 1" type="button" class="btn" @click="emit('edit', [...picked][0]!)">Edit…</button>
      <button type="button" class="btn" @click="emit('words')">Words…</button>
      <template v-if="canRecord">
        <button
          type="button"
          class="btn"
          @click="
            record(
              open.map((l) => l.id),
              false,
            )
          "
        >
          Taught
        </button>
        <button
          type="button"
          class="btn"
          @click="
            record(
              open.map((l) => l.id),
              true,
            )
          "
        >
          Partly
        </button>
        <button
          v-if="goesOn"
          type="button"
          class="btn"
          title="done, though more of it was planned"
          @click="
            record(
              open.map((l) => l.id),
              false,
              true,
            )
          "
        >
          To the end
        </button>
        <button type="button" class="btn" @click="record([], false)">Not reached</button>
        <input
          v-model="why"
          class="field why"
          maxlength="1000"
          placeholder="why, if not as planned"
          aria-label="Why it was not taught as planned; kept with the lesson"
        />
      </template>
      <template v-if="over && session && session.state !== 'taught'">
        <button
          type="button"
          class="btn"
          title="earlier classes without a record too, as planned"
          @click="upToHere(false)"
        >
          {{ heldSays }}
        </button>
        <button v-if="several" type="button" class="btn" @click="upToHere(true)">{{ heldSays }}, all sections</button>
      </template>
      <button
        v-if="session && session.state === 'taught'"
        type="button"
        class="btn"
        @click="send({ kind: 'remove-record', course, section, session: session.name })"
      >
        Take back the record
      </button>
      <button
        v-if="session && (session.state === 'held' || session.state === 'open')"
        type="button"
        class="btn"
        @click="send({ kind: 'hold-empty', course, section, session: session.name, hold: session.state === 'open' })"
      >
        {{ session.state === "held" ? "Use again" : "Hold empty" }}
      </button>
      <button type="button" class="btn quiet" @click="emit('close')">Close</button>
    </div>
  </section>
</template>
