<script setup lang="ts">
import { nextTick, ref } from "vue";

/** What is unclear, each settled by one press or one key: the letter that is underlined. */
export interface Reading {
  as: string;
  /** What the press says; its first letter is the key. */
  says: string;
}
export interface Doubt {
  key: string;
  /** What was given; empty for what concerns the whole. */
  given: string;
  asks: string;
  readings: Reading[];
}
const props = withDefaults(defineProps<{ doubts: Doubt[]; label: string; allSays?: string }>(), {
  allSays: "take all as shown",
});
const emit = defineEmits<{ settle: [key: string, as: string]; all: [] }>();
const list = ref<HTMLElement>();

/** The first button of each. */
const firsts = () => [...(list.value?.querySelectorAll<HTMLElement>("li button:first-child") ?? [])];
function settle(at: number, doubt: Doubt, as: string) {
  const focused = list.value?.contains(document.activeElement);
  emit("settle", doubt.key, as);
  // the next one comes to where this one stood
  if (focused)
    void nextTick(() => {
      const left = firsts();
      (left[Math.min(at, left.length - 1)] ?? list.value)?.focus();
    });
}
function pressed(event: KeyboardEvent, at: number, doubt: Doubt) {
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  if (event.key === "ArrowDown" || event.key === "ArrowUp") {
    firsts()[at + (event.key === "ArrowDown" ? 1 : -1)]?.focus();
    event.preventDefault();
    return;
  }
  const found = doubt.readings.find((r) => r.says[0]?.toLowerCase() === event.key.toLowerCase());
  if (!found) return;
  event.preventDefault();
  settle(at, doubt, found.as);
}
</script>

<template>
  <div v-if="doubts.length" class="doubts" role="group" :aria-label="label">
    <p class="top">
      <b>{{ doubts.length }} in doubt</b>
      <span class="soft">one key each: the letter underlined; arrows go on</span>
      <button type="button" class="plain" @click="emit('all')">{{ allSays }}</button>
    </p>
    <ul ref="list" tabindex="-1">
      <li v-for="(d, at) in props.doubts" :key="d.key">
        <span class="asks"
          ><span v-if="d.given" class="gave">{{ d.given }}</span> {{ d.asks }}</span
        >
        <span class="readings">
          <button
            v-for="r in d.readings"
            :key="r.as"
            type="button"
            class="btn small"
            :aria-label="`${r.says}: ${d.given} ${d.asks}`"
            @click="settle(at, d, r.as)"
            @keydown="pressed($event, at, d)"
          >
            <span
              ><u>{{ r.says[0] }}</u
              >{{ r.says.slice(1) }}</span
            >
          </button>
        </span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: baseline;
  margin: 0 0 4px;
}
.top button {
  margin-left: auto;
  text-decoration: underline;
  text-underline-offset: 3px;
  min-height: 24px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 190px;
  overflow: auto;
  border-top: 1px solid var(--rule);
}
li {
  display: flex;
  gap: 10px;
  align-items: center;
  justify-content: space-between;
  border-bottom: 1px solid var(--rule);
  border-left: 3px solid var(--lamp);
  padding: 3px 4px 3px 8px;
}
.gave {
  color: var(--ink-faint);
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
}
.asks {
  min-width: 0;
}
.readings {
  display: flex;
  gap: 4px;
  flex-wrap: wrap;
  justify-content: flex-end;
  flex: none;
  max-width: 320px;
}
.btn.small {
  padding: 1px 8px;
  min-height: 26px;
}
@media (max-width: 640px) {
  li {
    flex-direction: column;
    align-items: flex-start;
  }
}
</style>
