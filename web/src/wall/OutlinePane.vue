<script setup lang="ts">
import { computed, ref } from "vue";
import type { Schemas, WallView } from "../api/client";
import { span, weekdayNumber } from "../ui/say";
import OutlineWork from "./OutlineWork.vue";
import { threadOf } from "./units";

/** The outline at the wall's left: what has no date first, then units, lessons and their work. */
const props = defineProps<{ wall: WallView; picked: ReadonlySet<string> }>();
const emit = defineEmits<{
  /** A thing was pressed; with more, it joins what is chosen. */
  pick: [key: string, date: string | undefined, more: boolean];
  edit: [key: string];
}>();

type OutlineItem = Schemas["OutlineItem"];
const text = ref("");
const kind = ref("");
const marking = ref("");
const closed = ref(new Set<string>());
const opened = ref(new Set<string>());
const finder = ref<HTMLInputElement>();

const kinds = computed(() => [...new Set(all(props.wall).map((i) => i.kind))].sort());
const markings = computed(() =>
  [
    ...new Set(
      all(props.wall)
        .map((i) => i.marking)
        .filter(Boolean),
    ),
  ].sort(),
);
const filtering = computed(() => text.value.trim() !== "" || kind.value !== "" || marking.value !== "");
const nowUnit = computed(
  () =>
    props.wall.outline.units.find((u) => u.last && u.last >= props.wall.today)?.id ?? props.wall.outline.units[0]?.id,
);

function all(wall: WallView): OutlineItem[] {
  return wall.outline.units.flatMap((u) => [...u.items, ...u.lessons.flatMap((l) => l.items)]);
}
function fits(item: OutlineItem) {
  return (
    has(item.title) && (!kind.value || item.kind === kind.value) && (!marking.value || item.marking === marking.value)
  );
}
function has(title: string) {
  return title.toLowerCase().includes(text.value.trim().toLowerCase());
}
const noDate = computed(() => props.wall.outline.noDate.filter(fits));
const units = computed(() =>
  props.wall.outline.units
    .map((unit) => {
      const items = unit.items.filter((i) => i.date && fits(i));
      const lessons = unit.lessons
        .map((lesson) => ({ ...lesson, items: lesson.items.filter((i) => i.date && fits(i)) }))
        .filter(
          (l) => !filtering.value || l.items.length || (!kind.value && !marking.value && has(`${l.id} ${l.title}`)),
        );
      return { ...unit, items, lessons, look: threadOf(unit.number) };
    })
    .filter((u) => !filtering.value || u.lessons.length || u.items.length),
);

function open(unit: string) {
  if (filtering.value) return true;
  return opened.value.has(unit) || (unit === nowUnit.value && !closed.value.has(unit));
}
function toggle(unit: string) {
  const is = open(unit);
  opened.value = new Set([...opened.value].filter((u) => u !== unit));
  closed.value = new Set([...closed.value].filter((u) => u !== unit));
  (is ? closed : opened).value.add(unit);
}
function pick(event: MouseEvent, key: string, date?: string | null) {
  emit("pick", key, date?.slice(0, 10), event.ctrlKey || event.metaKey || event.shiftKey);
}
defineExpose({ find: () => finder.value?.focus() });
</script>

<template>
  <div class="find">
    <input
      ref="finder"
      v-model="text"
      class="field"
      type="search"
      placeholder="Find or filter"
      aria-label="Find or filter"
    />
    <kbd aria-hidden="true">/</kbd>
  </div>
  <div class="chips">
    <select v-model="kind" aria-label="Kind of work">
      <option value="">Kind: any</option>
      <option v-for="k in kinds" :key="k" :value="k">{{ k }}</option>
    </select>
    <select v-model="marking" aria-label="Who marks it">
      <option value="">Marked by: any</option>
      <option v-for="m in markings" :key="m" :value="m">{{ m.replace("-", " ") }}</option>
    </select>
  </div>
  <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions -->
  <div class="ol" tabindex="-1">
    <template v-if="wall.outline.noSession.length">
      <h2 class="h">
        <span class="look">Finds no class</span><span class="soft">{{ wall.outline.noSession.length }}</span>
      </h2>
      <button
        v-for="l in wall.outline.noSession"
        :key="l.id"
        type="button"
        class="r i un"
        :class="{ sel: picked.has('lesson:' + l.id) }"
        :data-drag="'lesson:' + l.id"
        @click="pick($event, 'lesson:' + l.id)"
        @dblclick="emit('edit', 'lesson:' + l.id)"
      >
        <b>{{ l.id }}</b><span class="nm">{{ l.title }}</span>
      </button>
    </template>
    <template v-if="noDate.length">
      <h2 class="h">
        <span>No date yet</span><span class="soft">{{ noDate.length }}</span>
      </h2>
      <OutlineWork
        v-for="i in noDate"
        :key="i.id"
        :item="i"
        :undated="true"
        :picked="picked.has('item:' + i.id)"
        @click="pick($event, 'item:' + i.id, i.date)"
        @dblclick="emit('edit', 'item:' + i.id)"
      />
    </template>
    <p v-if="!wall.outline.units.length" class="h soft">No units yet. Begin with one.</p>
    <template v-for="unit in units" :key="unit.id">
      <button
        type="button"
        class="r u"
        :class="[...unit.look, { sel: picked.has('unit:' + unit.id) }]"
        :aria-expanded="open(unit.id)"
        @click="
          toggle(unit.id);
          pick($event, 'unit:' + unit.id, unit.first);
        "
        @dblclick="emit('edit', 'unit:' + unit.id)"
      >
        <span class="tri" aria-hidden="true">{{ open(unit.id) ? "▾" : "▸" }}</span><span class="thread"></span>
        <span class="code">{{ unit.code }}</span><span class="nm">{{ unit.title }}</span>
        <span v-if="unit.first && unit.last" class="d">{{ span(unit.first, unit.last) }}</span>
      </button>
      <template v-if="open(unit.id)">
        <template v-for="lesson in unit.lessons" :key="lesson.id">
          <button
            type="button"
            class="r l"
            :class="[...unit.look, { sel: picked.has('lesson:' + lesson.id) }]"
            :data-drag="lesson.state === 'taught' ? undefined : 'lesson:' + lesson.id"
            :title="`${lesson.id} ${lesson.title}`"
            @click="pick($event, 'lesson:' + lesson.id, lesson.date)"
            @dblclick="emit('edit', 'lesson:' + lesson.id)"
          >
            <span class="k" :class="{ taught: lesson.state === 'taught', none: !lesson.date }"></span>
            <span class="vh">{{ lesson.state }}</span>
            <span class="code">{{ lesson.id }}</span>
            <s v-if="lesson.state === 'left-out'" class="nm">{{ lesson.title }}</s>
            <span v-else class="nm">{{ lesson.title }}</span>
            <span class="d" :class="{ moved: lesson.moved }">{{
              lesson.date ? weekdayNumber(lesson.date) : lesson.state.replace("-", " ")
            }}</span>
          </button>
          <OutlineWork
            v-for="i in lesson.items"
            :key="i.id"
            :item="i"
            :picked="picked.has('item:' + i.id)"
            @click="pick($event, 'item:' + i.id, i.date)"
            @dblclick="emit('edit', 'item:' + i.id)"
          />
        </template>
        <OutlineWork
          v-for="i in unit.items"
          :key="i.id"
          :item="i"
          :picked="picked.has('item:' + i.id)"
          @click="pick($event, 'item:' + i.id, i.date)"
          @dblclick="emit('edit', 'item:' + i.id)"
        />
      </template>
    </template>
    <button v-if="!filtering" type="button" class="r soft" @click="emit('edit', 'unit:')">+ Add a unit</button>
    <p v-if="filtering && !units.length && !noDate.length" class="h soft">
      Nothing fits. Change the words or the kind.
    </p>
  </div>
</template>
