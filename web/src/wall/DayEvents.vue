<script setup lang="ts">
import { computed } from "vue";
import type { Day, ItemView, NoticeView } from "../api/client";
import { clock, moment, weekdayNumber } from "../ui/say";
import { hiddenKinds, showsItem, showsNotice } from "../draw/kinds";
import { alsoIn, sharedKey } from "../change/shared";
import Mark from "../draw/Mark.vue";
import { noticeKey, noticeTime } from "./drawn";

/** What opens, is due, closes and is noted on the opened day, in order of time. */
const props = defineProps<{ day: Day; course: string; picked: ReadonlySet<string> }>();
const emit = defineEmits<{
  pick: [key: string, more: boolean];
  edit: [key: string];
  order: [event: KeyboardEvent, id: string];
}>();

interface Line {
  key: string;
  at: string;
  what: "opens" | "due" | "closes" | "notice";
  title: string;
  says: string;
  told: string;
  drag: boolean;
  item: ItemView | null;
  links: readonly { title: string; url: string }[];
}
const whichOf = (i: ItemView) => i.which.replace("main-", "") as Line["what"];
function noticeSays(n: NoticeView): string {
  const one = n.begins.slice(0, 10) === n.ends.slice(0, 10);
  const days = !one ? noticeTime(n) : n.allDay || n.begins === n.ends ? "" : `to ${clock(n.ends)}`;
  return [n.own ? "only me" : n.course === props.course ? alsoIn(n.sharedWith) : `shared by ${n.course}`, days, n.place]
    .filter(Boolean)
    .join(", ");
}
const lines = computed<Line[]>(() =>
  [
    ...props.day.items
      .filter((i) => showsItem(i, hiddenKinds.value))
      .map<Line>((i) => ({
        key: i.course ? sharedKey(i.course, `item:${i.id}`) : `item:${i.id}`,
        at: i.time,
        what: whichOf(i),
        title: i.title,
        says: i.course ? `shared by ${i.course}` : alsoIn(i.sharedWith),
        told: i.told ?? "",
        drag: !i.locked && !i.course,
        item: i,
        links: i.links,
      })),
    ...props.day.notices
      .filter((n) => showsNotice(n, hiddenKinds.value))
      .map<Line>((n) => ({
        key: n.course === props.course ? noticeKey(n) : sharedKey(n.course, noticeKey(n)),
        at: n.allDay || n.begins.slice(0, 10) < props.day.date ? "" : n.begins.slice(11),
        what: "notice",
        title: n.title,
        says: noticeSays(n),
        told: "",
        drag: n.course === props.course,
        item: null,
        links: n.links,
      })),
  ].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0)),
);
/** How many things of the day are not shown. */
const leftOut = computed(() => props.day.items.length + props.day.notices.length - lines.value.length);
const told = computed(() => lines.value.filter((l) => l.told).length);
/** The day's work on its main date. */
const movable = computed(() =>
  lines.value.filter((l) => l.drag && l.key && l.item?.which.startsWith("main-")).map((l) => l.key),
);
function pickAll() {
  movable.value.forEach((key, n) => emit("pick", key, n > 0));
}
</script>

<template>
  <h3>
    <span>On this day</span
    ><button v-if="movable.length > 1" type="button" class="plain all" @click="pickAll">
      choose all {{ movable.length }}</button
    ><span class="soft"
      >{{ lines.length || "nothing" }}{{ told ? `, ${told} told otherwise` : ""
      }}{{ leftOut ? `, ${leftOut} left out` : "" }}</span
    >
  </h3>
  <ol class="ev">
    <li v-for="(line, n) in lines" :key="line.key + line.what + n">
      <span class="tm">{{ line.at ? clock(line.at) : "" }}</span>
      <span class="kd"><Mark :is="line.what" />{{ line.what === "notice" ? "noted" : line.what }}</span>
      <span class="rest">
        <button
          type="button"
          class="plain nm"
          :class="{ picked: picked.has(line.key) }"
          :data-drag="line.drag && line.key ? line.key : undefined"
          :disabled="!line.key"
          :aria-pressed="picked.has(line.key)"
          @click="emit('pick', line.key, $event.ctrlKey || $event.metaKey)"
          @keydown="line.item && emit('order', $event, line.item.id)"
          @dblclick="emit('edit', line.key)"
        >
          {{ line.title }}
          <Mark v-if="line.item?.locked" is="lock" /><Mark v-else-if="line.item?.fixed" is="pin" />
        </button>
        <a
          v-for="link in line.links"
          :key="link.url"
          :href="link.url"
          target="_blank"
          rel="noopener noreferrer"
          :title="link.title"
          ><span aria-hidden="true">↗</span><span class="vh">{{ link.title }}, opens in a new window</span></a
        >
        <span v-if="line.item?.hangsOn && !line.item.course" class="vh">, {{ line.item.hangsOn }}</span>
        <span v-if="line.says" class="soft under">{{ line.says }}</span>
        <span v-if="line.told" class="toldso under"><Mark is="told" /> {{ line.told }}</span>
      </span>
    </li>
    <li v-for="g in day.gone" :key="'g' + g.what + g.id">
      <span class="tm"></span><span class="kd"></span>
      <span class="rest"
        ><s class="was">{{ g.title }}</s>
        <span class="soft">{{ g.to ? `to ${weekdayNumber(g.to)}` : "no date" }}</span><span class="vh"
          >{{ g.to ? moment(g.to) : "" }}, {{ g.why }}</span
        ></span
      >
    </li>
  </ol>
</template>

<style scoped>
h3 {
  margin: 9px 10px 0;
  font-size: 13px;
  line-height: 20px;
  display: flex;
  justify-content: space-between;
  border-bottom: 1px solid var(--ink);
}
h3 .soft,
h3 .all {
  font-weight: 400;
}
h3 .all {
  margin-left: auto;
  margin-right: 12px;
  text-decoration: underline;
}
.ev {
  list-style: none;
  margin: 0 10px;
  padding: 0;
}
.ev li {
  display: flex;
  gap: 7px;
  padding: 2px 0;
  border-bottom: 1px solid var(--rule);
  line-height: 17px;
}
.tm {
  width: 36px;
  flex: none;
  color: var(--ink-soft);
}
.kd {
  width: 52px;
  flex: none;
  display: flex;
  gap: 4px;
  align-items: center;
  height: 17px;
}
.rest {
  flex: 1;
  min-width: 0;
}
.nm {
  text-align: left;
  white-space: normal;
  text-wrap: balance;
  line-height: 17px;
  display: inline;
  user-select: none;
}
.was {
  margin-right: 6px;
}
.nm.picked {
  outline: 2px solid var(--ink);
  outline-offset: 1px;
}
.rest a {
  padding: 0 6px;
  color: inherit;
  text-decoration: none;
}
.under {
  display: block;
  font-size: 12px;
  line-height: 16px;
}
</style>
