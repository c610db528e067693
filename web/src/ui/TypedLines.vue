<script setup lang="ts">
import { computed, ref } from "vue";

/** Text typed or pasted at the left, and on the same line at the right what was understood of it. */
const props = defineProps<{
  id: string;
  label: string;
  placeholder: string;
  lines: { number: number; state: string; said: string }[];
  rows: number;
  /** Whether Tab indents a line; Esc, then Tab leaves the field. */
  indents?: boolean;
  /** Whether what was understood stands elsewhere. */
  alone?: boolean;
  /** Whether a dialog that opens with it begins here. */
  autofocus?: boolean;
}>();
const text = defineModel<string>({ required: true });

const LINE = 22;
const scroll = ref(0);
const count = computed(() => Math.max(props.rows, text.value.split("\n").length + 1));
/** Of a line that means several things, all of them. */
const byNumber = computed(() => {
  const by = new Map<number, { number: number; state: string; said: string }>();
  for (const l of props.lines) {
    const before = by.get(l.number);
    const weighs = before && (open(before) || (before.state === "off" && !open(l))) ? before : l;
    by.set(l.number, before ? { ...weighs, said: `${before.said}; ${l.said}` } : l);
  }
  return by;
});
const open = (l: { state: string }) => l.state === "not-understood" || l.state === "doubtful";
const wrong = computed(() => props.lines.filter(open).length);
const doubts = computed(() => props.lines.some((l) => l.state === "doubtful"));
/** Only lines near the visible part are drawn. */
const visible = computed(() => {
  const first = Math.max(1, Math.floor(scroll.value / LINE) - 5);
  const list = [];
  for (let n = first; n < first + props.rows + 12; n++) {
    const line = byNumber.value.get(n);
    if (line) list.push(line);
  }
  return list;
});

let leaving = false;
function tab(event: KeyboardEvent) {
  const field = event.target as HTMLTextAreaElement;
  if (event.key !== "Tab") {
    leaving = event.key === "Escape";
    return;
  }
  if (!props.indents || leaving || event.shiftKey || event.ctrlKey || field.selectionStart !== field.selectionEnd)
    return;
  const at = field.selectionStart;
  const before = text.value.slice(text.value.lastIndexOf("\n", at - 1) + 1, at);
  if (before.trim() !== "" || at === 0) return; // only in the indent, so that Tab still leaves the field
  event.preventDefault();
  text.value = text.value.slice(0, at) + "  " + text.value.slice(at);
  requestAnimationFrame(() => field.setSelectionRange(at + 2, at + 2));
}
const sum = computed(() => {
  const by = new Map<string, number>();
  props.lines.forEach((l) => by.set(l.state, (by.get(l.state) ?? 0) + 1));
  const name: Record<string, [string, string]> = {
    unit: ["unit line", "unit lines"],
    lesson: ["lesson", "lessons"],
    work: ["line of work", "lines of work"],
    off: ["day off or run", "days off or runs"],
    passed: ["date put aside", "dates put aside"],
    outside: ["date of another term", "dates of another term"],
    double: ["said twice", "said twice"],
    meets: ["date without effect", "dates without effect"],
    heading: ["heading", "headings"],
  };
  return [...by]
    .filter(([s]) => s !== "not-understood" && s !== "doubtful")
    .map(([s, n]) => `${n} ${name[s]?.[n === 1 ? 0 : 1] ?? s}`)
    .join(", ");
});
function move(step: number) {
  const list = props.lines.filter(open);
  const line = list[step];
  const field = document.getElementById(props.id) as HTMLTextAreaElement | null;
  if (!line || !field) return;
  const start =
    text.value
      .split("\n")
      .slice(0, line.number - 1)
      .join("\n").length + (line.number > 1 ? 1 : 0);
  field.focus();
  field.setSelectionRange(start, start + (text.value.split("\n")[line.number - 1]?.length ?? 0));
  field.scrollTop = (line.number - 2) * LINE;
}
</script>

<template>
  <div class="typed">
    <label class="vh" :for="id">{{ label }}</label>
    <div class="both" :class="{ alone }" :style="{ height: rows * LINE + 8 + 'px' }">
      <textarea
        :id="id"
        v-model="text"
        class="field"
        spellcheck="false"
        wrap="off"
        :autofocus="autofocus"
        :placeholder="placeholder"
        :aria-describedby="`${id}-sum`"
        @scroll="scroll = ($event.target as HTMLElement).scrollTop"
        @keydown="tab"
        @blur="leaving = false"
      ></textarea>
      <div v-if="!alone" class="understood" aria-hidden="true">
        <div :style="{ height: count * LINE + 'px', transform: `translateY(${-scroll}px)`, position: 'relative' }">
          <div
            v-for="line in visible"
            :key="line.number"
            class="line"
            :class="line.state"
            :style="{ top: (line.number - 1) * LINE + 4 + 'px' }"
            :title="line.said"
          >
            <i>{{
              open(line) ? "▲" : ["heading", "meets", "passed", "outside", "double"].includes(line.state) ? "–" : "✓"
            }}</i>
            <span>{{ line.said }}</span>
          </div>
        </div>
      </div>
    </div>
    <p :id="`${id}-sum`" class="sum soft" role="status">
      <template v-if="indents">Tab indents a new line; Esc, then Tab goes on. </template>{{ sum
      }}<template v-if="sum && wrong">, </template>
      <button v-if="wrong" type="button" class="plain look" @click="move(0)">
        {{ wrong }} {{ doubts ? "in doubt or " : "" }}not understood: go to the first
      </button>
    </p>
  </div>
</template>

<style scoped>
.both {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 8px;
}
.both.alone {
  grid-template-columns: minmax(0, 1fr);
}
textarea {
  line-height: 22px !important;
  resize: none;
  padding: 4px 8px;
  white-space: pre;
  overflow: auto;
  tab-size: 8;
  height: 100%;
}
.understood {
  overflow: hidden;
  position: relative;
}
.line {
  position: absolute;
  left: 0;
  right: 0;
  height: 22px;
  line-height: 22px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  border-bottom: 1px solid var(--rule);
}
.line i {
  font-style: normal;
  display: inline-block;
  width: 18px;
}
.line.not-understood {
  color: var(--lantern);
  font-weight: 650;
}
.line.heading,
.line.meets {
  color: var(--ink-soft);
}
.sum {
  margin: 4px 0 0;
  min-height: 20px;
}
.sum button {
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 24px;
  color: var(--lantern);
}
@media (max-width: 800px) {
  .both {
    grid-template-columns: 1fr;
    height: auto !important;
  }
  .understood {
    display: none;
  }
  textarea {
    min-height: 140px;
  }
}
</style>
