<script setup lang="ts">
import { useVirtualizer } from "@tanstack/vue-virtual";
import { computed, nextTick, ref, watch } from "vue";
import type { DatesRow, DatesView } from "../api/client";
import { isTyping } from "../ui/typing";
import { threadOf } from "../draw/units";
import DateCell from "./DateCell.vue";
import { type DateColumn, type TableLine, type TableRow, isNotice } from "./table";
import { cellKey } from "./cells";
import type { Sheet } from "./useSheet";

/** Every dated thing in rows, its dates in cells that are walked and typed into as in a spreadsheet. */
const props = defineProps<{
  view: DatesView;
  lines: TableLine[];
  columns: DateColumn[];
  sheet: Sheet;
  sort: string;
  /** Rows of several courses are shown: each says whose it is. */
  several: boolean;
  /** Whether something is proposed: cells show old and new, and take no typing. */
  proposed: boolean;
}>();
const emit = defineEmits<{ sort: [string]; open: [row: DatesRow] }>();

const ROW = 29;
const scroller = ref<HTMLElement>();
const editors = ref<HTMLInputElement[]>([]);
const editor = computed(() => editors.value[0]);
const { at, range, chosen, typing, said, misread, unsaved, waits } = props.sheet;

const virtual = useVirtualizer(
  computed(() => ({
    count: props.lines.length,
    getScrollElement: () => scroller.value ?? null,
    estimateSize: () => ROW,
    overscan: 12,
    initialRect: { width: 1200, height: 640 },
  })),
);
const wide = computed(() => [
  30,
  190,
  ...(props.several ? [74] : []),
  66,
  ...props.columns.map((c) => (c.section < 0 ? (c.which === "due" ? 278 : 212) : 152)),
]);
const template = computed(() => wide.value.map((w) => `${w}px`).join(" ") + " minmax(170px, 1fr)");
const least = computed(() => wide.value.reduce((a, b) => a + b, 0) + 170 + "px");
const isRow = (line: TableLine | undefined): line is TableRow => line !== undefined && "row" in line;
const units = computed(
  () =>
    new Map(
      props.view.courses.flatMap((c) => c.units.map((u) => [`${c.code}/${u.id}`, threadOf(u.number, u.colour ?? "")])),
    ),
);
const rows = computed(() => props.lines.filter(isRow));
const all = computed(() => rows.value.length > 0 && rows.value.every((r) => chosen.value.has(r.key)));
const some = computed(() => !all.value && rows.value.some((r) => chosen.value.has(r.key)));
const look = (row: DatesRow) => units.value.get(`${row.course}/${row.unit}`) ?? [];
/** The active cell, while its row is drawn. */
const active = computed(() =>
  isRow(props.lines[at.value.line]) && virtual.value.getVirtualItems().some((v) => v.index === at.value.line)
    ? `cell-${at.value.line}-${at.value.column}`
    : undefined,
);
const within = (line: number, column: number) =>
  line >= range.value.first && line <= range.value.last && column >= range.value.left && column <= range.value.right;
const wrongText = (row: DatesRow) => row.wrong.map((w) => w.sentence).join(" ");

function show(line: number) {
  virtual.value.scrollToIndex(line, { align: "auto" });
}
async function focus() {
  await nextTick();
  scroller.value?.focus({ preventScroll: true });
}
defineExpose({ show, focus });

watch(typing, async (now, before) => {
  if (now !== null && before === null) {
    await nextTick();
    editor.value?.focus();
    editor.value?.setSelectionRange(now.length, now.length);
  }
});

function press(event: MouseEvent) {
  const cell = (event.target as HTMLElement).closest<HTMLElement>("[data-line]");
  if (!cell || cell.contains(editor.value ?? null)) return;
  const line = Number(cell.dataset.line);
  const column = Number(cell.dataset.column ?? 0);
  if ((event.target as HTMLElement).closest(".tick")) {
    event.preventDefault();
    props.sheet.choose(line, event.shiftKey);
    props.sheet.go(line, 0);
  } else {
    props.sheet.go(line, column, event.shiftKey);
  }
  void focus();
}
function drag(event: MouseEvent) {
  if (event.buttons !== 1 || typing.value !== null) return;
  const cell = (event.target as HTMLElement).closest<HTMLElement>("[data-line]");
  if (cell?.dataset.column) props.sheet.go(Number(cell.dataset.line), Number(cell.dataset.column), true);
}
function edit() {
  const row = props.lines[at.value.line];
  const column = props.columns[at.value.column - 1];
  if (!isRow(row) || !column) return;
  const kept = unsaved.value.get(cellKey(row, column))?.text;
  props.sheet.type(kept ?? (column.section < 0 ? (row.row[column.which].typed ?? "") : ""));
}
function editOrOpen() {
  const row = props.lines[at.value.line];
  if (at.value.column === 0 && isRow(row)) emit("open", row.row);
  else edit();
}
async function key(event: KeyboardEvent) {
  const { line, column } = at.value;
  const command = event.ctrlKey || event.metaKey;
  const page = Math.max(1, Math.floor((scroller.value?.clientHeight ?? 400) / ROW) - 2);
  const steps: Record<string, [number, number]> = {
    ArrowUp: [-1, 0],
    ArrowDown: [1, 0],
    ArrowLeft: [0, -1],
    ArrowRight: [0, 1],
    PageUp: [-page, 0],
    PageDown: [page, 0],
  };
  const step = steps[event.key];
  if (step) {
    event.preventDefault();
    const far = command ? props.lines.length : 1;
    props.sheet.go(line + step[0] * far, column + step[1] * (command ? 99 : 1), event.shiftKey);
  } else if (event.key === "Home" || event.key === "End") {
    event.preventDefault();
    const end = event.key === "End";
    props.sheet.go(
      command ? (end ? props.lines.length - 1 : 0) : line,
      end ? props.columns.length : command ? column : 0,
      event.shiftKey,
    );
  } else if (command && event.key.toLowerCase() === "a") {
    event.preventDefault();
    props.sheet.chooseShown(!all.value);
  } else if (command && event.key.toLowerCase() === "d") {
    event.preventDefault();
    await props.sheet.fillDown("same");
  } else if (command || event.altKey) {
    return;
  } else if (event.key === " ") {
    event.preventDefault();
    props.sheet.chooseRange();
  } else if (event.key === "Escape") {
    props.sheet.single();
  } else if (event.key === "Enter" && column === 0) {
    event.preventDefault();
    const row = props.lines[line];
    if (isRow(row)) emit("open", row.row);
  } else if (event.key === "F2" || event.key === "Enter") {
    event.preventDefault();
    edit();
  } else if (event.key === "Delete" || event.key === "Backspace") {
    event.preventDefault();
    await props.sheet.clear();
  } else if (props.proposed && !isTyping() && ["a", "x"].includes(event.key.toLowerCase())) {
    return; // applies or discards what is proposed
  } else if (event.key.length === 1 && event.key !== "?" && event.key !== "/" && column > 0) {
    event.preventDefault();
    props.sheet.type(event.key);
  }
}
function typed(event: KeyboardEvent) {
  event.stopPropagation();
  const { line, column } = at.value;
  if (event.key === "Escape") {
    props.sheet.leave();
    void focus();
  } else if (event.key === "Enter" || event.key === "Tab") {
    event.preventDefault();
    if (!props.sheet.take(event.ctrlKey || event.metaKey)) return;
    void focus();
    if (event.ctrlKey || event.metaKey) return;
    const back = event.shiftKey ? -1 : 1;
    if (event.key === "Enter") props.sheet.go(line + back, column);
    else props.sheet.go(line, column + back);
  }
}
function input(event: Event) {
  props.sheet.retype((event.target as HTMLInputElement).value);
}
function copy(event: ClipboardEvent) {
  if (typing.value !== null) return;
  event.preventDefault();
  event.clipboardData?.setData("text/plain", props.sheet.copied());
}
function paste(event: ClipboardEvent) {
  if (typing.value !== null) return;
  event.preventDefault();
  void props.sheet.paste(event.clipboardData?.getData("text/plain") ?? "");
}
const order = (name: string) =>
  props.sort === name ? "ascending" : props.sort === `-${name}` ? "descending" : undefined;
function sortBy(name: string) {
  emit("sort", props.sort === name ? `-${name}` : props.sort === `-${name}` ? "plan" : name);
}
</script>

<template>
  <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions, vuejs-accessibility/mouse-events-have-key-events -->
  <div
    ref="scroller"
    class="dg"
    role="grid"
    tabindex="0"
    aria-label="Dates"
    aria-multiselectable="true"
    :aria-rowcount="lines.length + 1"
    :aria-colcount="columns.length + (several ? 5 : 4)"
    :aria-activedescendant="active"
    @keydown="key"
    @mousedown="press"
    @mousemove="drag"
    @dblclick="editOrOpen"
    @copy="copy"
    @paste="paste"
  >
    <div class="dg-head" role="row" :aria-rowindex="1" :style="{ gridTemplateColumns: template, minWidth: least }">
      <span role="columnheader" class="th">
        <input
          type="checkbox"
          tabindex="-1"
          :checked="all"
          :indeterminate="some"
          aria-label="Choose all rows"
          @mousedown.stop
          @change="sheet.chooseShown(!all)"
        />
      </span>
      <span role="columnheader" class="th" :aria-sort="order('title')">
        <button type="button" tabindex="-1" @mousedown.stop @click="sortBy('title')">
          Work<i v-if="order('title')">{{ order("title") === "ascending" ? "▴" : "▾" }}</i>
        </button>
      </span>
      <span v-if="several" role="columnheader" class="th" :aria-sort="order('course')">
        <button type="button" tabindex="-1" @mousedown.stop @click="sortBy('course')">
          Course<i v-if="order('course')">{{ order("course") === "ascending" ? "▴" : "▾" }}</i>
        </button>
      </span>
      <span role="columnheader" class="th" :aria-sort="order('lesson')">
        <button type="button" tabindex="-1" @mousedown.stop @click="sortBy('lesson')">
          Lesson<i v-if="order('lesson')">{{ order("lesson") === "ascending" ? "▴" : "▾" }}</i>
        </button>
      </span>
      <span v-for="c in columns" :key="c.key" role="columnheader" class="th" :aria-sort="order(c.key)">
        <button type="button" tabindex="-1" @mousedown.stop @click="sortBy(c.key)">
          {{ c.name
          }}<i v-if="order(c.key)">{{ order(c.key) === "ascending" ? "▴ earliest first" : "▾ latest first" }}</i>
        </button>
      </span>
      <span role="columnheader" class="th" :aria-sort="order('wrong')">
        <button type="button" tabindex="-1" @mousedown.stop @click="sortBy('wrong')">
          What is wrong<i v-if="order('wrong')">▴</i>
        </button>
      </span>
    </div>
    <div role="rowgroup" :style="{ height: virtual.getTotalSize() + 'px', position: 'relative', minWidth: least }">
      <template v-for="v in virtual.getVirtualItems()" :key="v.index">
        <div
          v-if="!isRow(lines[v.index])"
          role="row"
          class="dg-group"
          :aria-rowindex="v.index + 2"
          :style="{ transform: `translateY(${v.start}px)` }"
        >
          <span role="gridcell" :aria-colspan="columns.length + (several ? 5 : 4)">
            <b>{{ (lines[v.index] as { heading: string }).heading }}</b>
            <span class="soft">{{ ` ${(lines[v.index] as { count: number }).count}` }}</span>
          </span>
        </div>
        <div
          v-else
          role="row"
          class="dg-row"
          :class="{
            chosen: chosen.has((lines[v.index] as TableRow).key),
            moved: (lines[v.index] as TableRow).was !== null,
          }"
          :aria-rowindex="v.index + 2"
          :aria-selected="chosen.has((lines[v.index] as TableRow).key)"
          :style="{ transform: `translateY(${v.start}px)`, gridTemplateColumns: template }"
        >
          <template v-for="line in [lines[v.index] as TableRow]" :key="line.key">
            <span role="gridcell" class="td tick" :data-line="v.index">
              <input
                type="checkbox"
                tabindex="-1"
                :checked="chosen.has(line.key)"
                :aria-label="`Choose ${line.row.title}`"
                @click.prevent
              />
            </span>
            <span
              :id="`cell-${v.index}-0`"
              role="gridcell"
              class="td work"
              :class="{ at: at.line === v.index && at.column === 0, in: within(v.index, 0) }"
              :data-line="v.index"
              :data-column="0"
              :title="line.row.title"
            >
              {{ line.row.title
              }}<span v-if="line.row.locked" class="soft">{{ isNotice(line.row) ? " series" : " official" }}</span
              ><span v-if="line.row.draft" class="draft">draft</span
              ><span v-if="line.row.only" class="soft">{{ ` for ${line.row.only.join(", ")}` }}</span>
            </span>
            <span v-if="several" role="gridcell" class="td">{{ line.row.course }}</span>
            <span role="gridcell" class="td lesson">
              <span v-if="line.row.lesson" class="thread" :class="look(line.row)" aria-hidden="true"></span>
              <b v-if="line.row.lesson" :class="look(line.row)[0]">{{ line.row.lesson }}</b>
              <span v-else class="soft">{{ isNotice(line.row) ? "notice" : "none" }}</span>
            </span>
            <span
              v-for="(c, n) in columns"
              :id="`cell-${v.index}-${n + 1}`"
              :key="c.key"
              role="gridcell"
              class="td date"
              :class="{ at: at.line === v.index && at.column === n + 1, in: within(v.index, n + 1) }"
              :data-line="v.index"
              :data-column="n + 1"
            >
              <template v-if="typing !== null && at.line === v.index && at.column === n + 1">
                <input
                  ref="editors"
                  class="typing"
                  :value="typing"
                  :aria-label="`${c.name} of ${line.row.title}, ${c.code ? 'section ' + c.code : 'all sections'}`"
                  :aria-invalid="misread"
                  aria-describedby="dates-said"
                  autocomplete="off"
                  spellcheck="false"
                  @input="input"
                  @keydown="typed"
                  @mousedown.stop
                />
                <span id="dates-said" class="said" :class="{ look: misread }" role="status">
                  {{ c.code ? `${c.code} only` : "all sections" }}: {{ said || "…" }}
                </span>
              </template>
              <span v-else-if="unsaved.get(cellKey(line, c))" class="look" :title="unsaved.get(cellKey(line, c))!.why"
                >not saved: {{ unsaved.get(cellKey(line, c))!.text }}</span
              >
              <span v-else-if="waits.has(cellKey(line, c))" class="soft"
                >{{ waits.get(cellKey(line, c)) }}{{ sheet.slow.value ? ", saving" : "" }}</span
              >
              <DateCell v-else :row="line.row" :was="line.was" :column="c" />
            </span>
            <span role="gridcell" class="td wrong" :title="wrongText(line.row)">
              <template v-if="line.row.wrong[0]">
                <span aria-hidden="true">{{
                  line.row.wrong[0].severity === "problem" ? "▲" : line.row.wrong[0].severity === "warning" ? "△" : "–"
                }}</span><span class="vh">{{ ` ${line.row.wrong[0].severity}: ` }}</span
                >&nbsp;
                <span :class="{ look: line.row.wrong[0].severity === 'problem' }">{{
                  line.row.wrong[0].sentence.replace(`“${line.row.title}” `, "")
                }}</span>
              </template>
            </span>
          </template>
        </div>
      </template>
    </div>
  </div>
</template>
