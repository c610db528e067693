<script setup lang="ts">
import { computed, nextTick, reactive, ref, watch } from "vue";
import type { WallView } from "../api/client";
import { count, span, weekdayDay, weekdayNumber } from "../ui/say";
import {
  NO_OUTLINE_FILTER,
  type OutlineRow,
  chosenWords,
  filters,
  itemsOf,
  noticesOf,
  outlineParts,
} from "../change/outline";
import HeardLine from "./HeardLine.vue";
import { useOutline } from "./useOutline";
import { paperOf } from "../draw/units";
import { injectWall } from "../change/useWall";

/** The outline at the wall's left: what has no date first, then units, lessons and their work, to walk, choose and type in. */
const props = defineProps<{ wall: WallView; picked: ReadonlySet<string> }>();
const emit = defineEmits<{
  /** What is chosen now; with a day, that day is opened. */
  pick: [keys: ReadonlySet<string>, date?: string];
  /** A day is to be opened. */
  open: [date: string];
  edit: [key: string];
  read: [];
  notice: [];
  rhythm: [];
  /** Sets plain facts of what is chosen. */
  facts: [];
  /** There was no class on the day. */
  noClass: [day: string];
  /** Looks at ways to tidy the plan as it stands. */
  ways: [];
}>();
const state = injectWall();

const filter = reactive({ ...NO_OUTLINE_FILTER });
const closed = ref(new Set<string>());
const opened = ref(new Set<string>());
const finder = ref<HTMLInputElement>();
const typed = ref<HTMLInputElement[]>([]);

const kinds = computed(() => [
  ...[...new Set(itemsOf(props.wall).map((i) => i.kind))].sort(),
  ...(noticesOf(props.wall).length ? ["notice"] : []),
]);
const markings = computed(() =>
  [
    ...new Set(
      itemsOf(props.wall)
        .map((i) => i.marking)
        .filter(Boolean),
    ),
  ].sort(),
);
const filtering = computed(() => filters(filter));
const nowUnit = computed(
  () =>
    props.wall.outline.units.find((u) => u.last && u.last >= props.wall.today)?.id ?? props.wall.outline.units[0]?.id,
);
const isOpen = (unit: string) => opened.value.has(unit) || (unit === nowUnit.value && !closed.value.has(unit));
const parts = computed(() => outlineParts(props.wall, filter, isOpen));
const rows = computed(() => parts.value.flatMap((p) => p.rows));
const chosen = computed(() => rows.value.filter((r) => props.picked.has(r.key)));
const hidden = computed(() => props.picked.size - chosen.value.length);

function toggle(unit: string, open: boolean) {
  opened.value = new Set([...opened.value].filter((u) => u !== unit));
  closed.value = new Set([...closed.value].filter((u) => u !== unit));
  (open ? opened : closed).value.add(unit);
}
const hand = useOutline(
  state,
  () => props.wall,
  rows,
  () => props.picked,
  {
    pick: (keys, date) => emit("pick", keys, date),
    toggle,
    edit: (key) => emit("edit", key),
    open: (date) => emit("open", date),
    notice: () => emit("notice"),
  },
);
const { current, line, lineFor, typed: heard } = hand;

watch(
  () => line.value?.after,
  async (now) => {
    if (now === undefined) return;
    await nextTick();
    typed.value[0]?.focus();
    typed.value[0]?.scrollIntoView({ block: "nearest" });
  },
);

function press(event: MouseEvent, row: OutlineRow) {
  const tick = (event.target as HTMLElement).closest(".tk") !== null;
  if (row.what === "unit" && !event.ctrlKey && !event.metaKey && !event.shiftKey && !filtering.value) {
    toggle(row.unit, !row.open);
    // opening a unit is no choice in place of what is chosen
    if ([...props.picked].some((k) => !k.startsWith("unit:"))) return;
  }
  hand.press(row, event.ctrlKey || event.metaKey || tick, event.shiftKey);
}
function typing(event: KeyboardEvent) {
  event.stopPropagation();
  if (event.key === "Enter") {
    event.preventDefault();
    void hand.take();
  } else if (event.key === "Tab") {
    event.preventDefault();
    hand.levels(event.shiftKey ? -1 : 1);
  } else if (event.key === "Escape") hand.leave();
}
function write(event: Event) {
  heard.type((event.target as HTMLInputElement).value);
}
const dateOf = (row: OutlineRow) =>
  row.what === "unit"
    ? row.date && row.last
      ? span(row.date, row.last)
      : ""
    : row.date
      ? weekdayNumber(row.date)
      : row.what === "lesson"
        ? row.state.replace("-", " ")
        : row.kind;
const stateOf = (row: OutlineRow) => (row.what === "notice" && row.state ? `${row.state}, next ` : "");
/** Opens the unit of a thing and puts the keyboard on its line. */
function show(key: string) {
  const item = itemsOf(props.wall).find((i) => `item:${i.id}` === key);
  const notice = noticesOf(props.wall).find((n) => `notice:${n.id}` === key);
  const unit =
    item?.unit ??
    notice?.unit ??
    props.wall.outline.units.find((u) => u.lessons.some((l) => `lesson:${l.id}` === key))?.id;
  if (unit) toggle(unit, true);
  Object.assign(filter, NO_OUTLINE_FILTER);
  hand.focus(key);
}
defineExpose({ find: () => finder.value?.focus(), show, row: (key: string) => rows.value.find((r) => r.key === key) });
</script>

<template>
  <div class="find">
    <input
      ref="finder"
      v-model="filter.text"
      class="field"
      type="search"
      placeholder="Find or filter"
      aria-label="Find or filter"
    />
    <kbd aria-hidden="true">/</kbd>
  </div>
  <div class="chips">
    <select v-model="filter.kind" aria-label="Kind of work">
      <option value="">Kind: any</option>
      <option v-for="k in kinds" :key="k" :value="k">{{ k }}</option>
    </select>
    <select v-model="filter.marking" aria-label="Who marks it">
      <option value="">Marked by: any</option>
      <option v-for="m in markings" :key="m" :value="m">{{ m.replace("-", " ") }}</option>
    </select>
    <select v-model="filter.unit" aria-label="Unit">
      <option value="">Unit: any</option>
      <option v-for="u in wall.outline.units" :key="u.id" :value="u.id">{{ u.code }} {{ u.title }}</option>
    </select>
    <select v-model="filter.dated" aria-label="Has a date">
      <option value="">Date: any</option>
      <option value="dated">has a date</option>
      <option value="undated">has none yet</option>
    </select>
  </div>
  <div class="chosen-bar" :class="{ on: picked.size > 1 || filtering }" role="status">
    <template v-if="picked.size > 1"
      ><b>{{ picked.size }} chosen</b> <span class="soft">{{ chosenWords(chosen, wall) }}</span><span
        v-if="hidden"
        class="soft"
        >, {{ hidden }} not shown</span
      ></template
    >
    <span v-else-if="filtering" class="soft"
      >{{ count(rows.filter((r) => r.what === "item").length, "thing") }} shown</span
    >
    <span v-else class="soft">{{ wall.outline.units.length ? count(wall.outline.units.length, "unit") : "" }}</span>
    <span class="grow"></span>
    <button v-if="filtering" type="button" class="do" @click="hand.pickAll()">choose these</button>
    <template v-if="picked.size > 1 || [...picked].some((k) => k.startsWith('unit:'))">
      <button type="button" class="do" @click="emit('facts')">facts…</button>
    </template>
    <button v-if="picked.size > 1" type="button" class="do" @click="emit('pick', new Set())">choose none</button>
  </div>
  <div class="ol" role="tree" aria-label="Outline" aria-multiselectable="true" @keydown="hand.key">
    <p v-if="!wall.outline.units.length && !line" class="h soft">No units yet. Begin with one.</p>
    <template v-for="part in parts" :key="part.heading">
      <h2 v-if="part.heading" class="h" role="presentation">
        <span :class="{ look: part.look }">{{ part.heading }}</span><span class="soft">{{ part.rows.length }}</span>
      </h2>
      <template v-for="row in part.rows" :key="row.key">
        <!-- eslint-disable-next-line vuejs-accessibility/click-events-have-key-events, vuejs-accessibility/interactive-supports-focus -->
        <div
          class="r"
          role="treeitem"
          :class="[
            row.what === 'unit' ? 'u' : row.what === 'lesson' ? 'l' : row.what === 'notice' ? 'i n' : 'i',
            ...(row.what === 'item' || row.what === 'notice' ? [] : row.look),
            { sel: picked.has(row.key), un: part.heading !== '', many: picked.size > 1 },
          ]"
          :data-row="row.key"
          :data-drag="row.locked ? undefined : row.key"
          :tabindex="current?.key === row.key ? 0 : -1"
          :aria-level="row.depth + 1"
          :aria-selected="picked.has(row.key)"
          :aria-expanded="row.opens ? row.open : undefined"
          :title="row.code && row.what === 'lesson' ? `${row.code} ${row.title}` : row.title"
          :style="row.depth > 1 && row.what === 'item' ? { paddingLeft: 8 + row.depth * 16 + 'px' } : undefined"
          @click="press($event, row)"
          @dblclick="emit('edit', row.key)"
          @focus="hand.at.value = row.key"
        >
          <template v-if="row.what === 'unit'">
            <span class="tri" aria-hidden="true">{{ row.open ? "▾" : "▸" }}</span><span class="thread"></span>
            <i v-if="paperOf(row.kind)" :class="paperOf(row.kind)" :title="`${row.kind} paper`"></i>
          </template>
          <template v-else-if="row.what === 'lesson' && !part.heading">
            <span class="k" :class="{ taught: row.state === 'taught', none: !row.date }"></span>
            <span class="vh">{{ row.state }}</span>
          </template>
          <span v-else-if="row.what === 'item'" class="tk" aria-hidden="true">{{
            picked.has(row.key) ? "☑" : "☐"
          }}</span>
          <span v-else-if="row.what === 'notice'" class="flag" aria-hidden="true"></span>
          <span v-if="row.code" class="code">{{ row.code }}</span>
          <s v-if="row.state === 'left-out'" class="nm">{{ row.title }}</s>
          <span v-else class="nm">{{ row.title }}</span>
          <span v-if="row.draft" class="draft">draft</span>
          <span v-if="row.what === 'notice'" class="vh">{{ row.kind }}</span>
          <!-- eslint-disable-next-line vuejs-accessibility/click-events-have-key-events, vuejs-accessibility/no-static-element-interactions -->
          <span
            v-if="dateOf(row)"
            class="d"
            :class="{ moved: row.moved, opens: row.what !== 'unit' && row.date }"
            :title="row.what !== 'unit' && row.date ? 'open this day (Enter)' : undefined"
            @click="row.what !== 'unit' && row.date && emit('open', row.date.slice(0, 10))"
            >{{ stateOf(row) }}{{ dateOf(row) }}</span
          >
        </div>
        <div
          v-if="line?.after === row.key"
          class="new"
          role="treeitem"
          tabindex="-1"
          :aria-level="2"
          :aria-selected="false"
        >
          <input
            ref="typed"
            class="field"
            :value="heard.text.value"
            :aria-label="`New line: ${lineFor}`"
            :aria-invalid="heard.wrong.value !== '' || !!heard.heard.value?.wrong"
            aria-describedby="new-said"
            autocomplete="off"
            @input="write"
            @keydown="typing"
          />
          <HeardLine id="new-said" :typed="heard" :hint="`${lineFor}; Tab changes that, Enter takes it`" />
        </div>
      </template>
    </template>
    <div v-if="line?.after === ''" class="new" role="treeitem" tabindex="-1" :aria-level="2" :aria-selected="false">
      <input
        ref="typed"
        class="field"
        :value="heard.text.value"
        :aria-label="`New line: ${lineFor}`"
        :aria-invalid="heard.wrong.value !== '' || !!heard.heard.value?.wrong"
        autocomplete="off"
        @input="write"
        @keydown="typing"
      />
      <HeardLine id="new-said" :typed="heard" :hint="`${lineFor}; Enter takes it`" />
    </div>
    <p v-if="filtering && !rows.length" class="h soft">Nothing fits. Change the words or the kind.</p>
  </div>
  <div v-if="!filtering" class="adding">
    <button type="button" class="do" @click="hand.begin(current)">+ a line <kbd>N</kbd></button>
    <button type="button" class="do" @click="hand.begin(undefined)">+ a unit</button>
    <button type="button" class="do" @click="emit('notice')">+ a notice</button>
    <button type="button" class="do" @click="emit('rhythm')">rhythms</button>
    <button type="button" class="do" @click="emit('read')">read an outline</button>
    <button v-if="wall.section.lastClass" type="button" class="do" @click="emit('noClass', wall.section.lastClass)">
      no class on {{ weekdayDay(wall.section.lastClass) }}?
    </button>
    <button type="button" class="do" @click="emit('ways')">tidy the weeks</button>
  </div>
</template>
