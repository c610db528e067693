<script setup lang="ts">
import Dialog from "../ui/Dialog.vue";
import { computed, ref, watch } from "vue";
import type { ChangeOf, WallView } from "../api/client";
import { weekdayDay } from "../ui/say";
import { daysOf } from "./days";
import { itemsOf } from "../change/outline";
import { injectWall } from "../change/useWall";

/** Later or earlier by n classes or weekdays. */
const props = defineProps<{
  wall: WallView;
  picked: ReadonlySet<string>;
  day: string;
  /** A chosen run of days; the same day twice for none. */
  run: [string, string];
}>();
const visible = defineModel<boolean>("visible", { required: true });

const { propose, problem, busy } = injectWall();
const way = ref(1);
const by = ref(1);
const unit = ref<NonNullable<ChangeOf<"shift">["in"]>>("sessions");
const what = ref("picked");
const only = ref(false);
const all = ref(false);

const chosen = computed(() => [...props.picked]);
const choices = computed(() => {
  const list: { value: string; label: string }[] = [];
  const things = chosen.value.filter((k) => !k.startsWith("unit:"));
  if (things.length)
    list.push({ value: "picked", label: things.length === 1 ? name(things[0]!) : `the ${things.length} chosen` });
  const unitId = unitOf();
  const found = props.wall.outline.units.find((u) => u.id === unitId);
  if (found) list.push({ value: "unit", label: `unit ${found.code} ${found.title}` });
  if (props.run[0] !== props.run[1] && inRun.value.length)
    list.push({
      value: "run",
      label: `the ${inRun.value.length} lessons of ${weekdayDay(props.run[0])} to ${weekdayDay(props.run[1])}`,
    });
  list.push({ value: "from", label: `all from ${weekdayDay(props.day)} on` });
  return list;
});
/** Lessons that are still to be taught on the days of the run. */
const inRun = computed(() => [
  ...new Set(
    daysOf(props.wall)
      .filter((d) => d.date >= props.run[0] && d.date <= props.run[1])
      .flatMap((d) => d.lessons.filter((l) => !l.taught).map((l) => l.id)),
  ),
]);
const sections = computed(() => props.wall.sections.filter((s) => s.course === props.wall.section.course).length);
watch(visible, (now) => {
  if (now) {
    problem.value = "";
    const run = choices.value.find((c) => c.value === "run");
    what.value = chosen.value.some((k) => k.startsWith("unit:"))
      ? "unit"
      : (run?.value ?? choices.value[0]?.value ?? "from");
    all.value = false;
  }
});

function lessons() {
  return props.wall.outline.units.flatMap((u) => u.lessons);
}
function name(key: string) {
  const id = key.slice(key.indexOf(":") + 1);
  const lesson = lessons().find((l) => l.id === id);
  if (key.startsWith("lesson:") && lesson) return `${id} ${lesson.title}`;
  return itemsOf(props.wall).find((i) => `item:${i.id}` === key)?.title ?? "what is chosen";
}
function unitOf() {
  const unitKey = chosen.value.find((k) => k.startsWith("unit:"));
  if (unitKey) return unitKey.slice(5);
  const lessonKey = chosen.value.find((k) => k.startsWith("lesson:"));
  return lessons().find((l) => l.id === lessonKey?.slice(7))?.unit;
}
async function send() {
  const { course, section } = props.wall.section;
  const of = (kind: string) => chosen.value.filter((k) => k.startsWith(kind)).map((k) => k.slice(kind.length));
  const ok = await propose(
    {
      kind: "shift",
      course,
      ...(all.value ? {} : { section }),
      ...(what.value === "unit" ? { unit: unitOf() } : {}),
      ...(what.value === "from" ? { from: props.day } : {}),
      ...(what.value === "run" ? { lessons: inRun.value } : {}),
      ...(what.value === "picked" ? { lessons: of("lesson:"), items: of("item:") } : {}),
      by: way.value * by.value,
      in: unit.value,
      ...(only.value ? { onlyThese: true } : {}),
    },
    "always",
  );
  if (ok) visible.value = false;
}
</script>

<template>
  <Dialog v-model:visible="visible" modal header="Later or earlier" :style="{ width: '440px' }">
    <form class="form" @submit.prevent="send">
      <label for="shift-what">What</label>
      <select id="shift-what" v-model="what" class="field">
        <option v-for="c in choices" :key="c.value" :value="c.value">{{ c.label }}</option>
      </select>
      <span>Where to</span>
      <span class="ticks">
        <label><input v-model="way" type="radio" :value="1" name="way" /> later</label>
        <label><input v-model="way" type="radio" :value="-1" name="way" /> earlier</label>
      </span>
      <label for="shift-by">By</label>
      <span class="ticks">
        <input
          id="shift-by"
          v-model.number="by"
          type="number"
          min="1"
          max="200"
          class="field"
          style="width: 70px"
          required
          autofocus
          @focus="($event.target as HTMLInputElement).select()"
        />
        <select v-model="unit" class="field" aria-label="Counted in">
          <option value="sessions">{{ by === 1 ? "class" : "classes" }}</option>
          <option value="weekdays">{{ by === 1 ? "weekday" : "weekdays" }}</option>
          <optgroup label="more">
            <option value="days">calendar days</option>
            <option value="weeks">weeks</option>
          </optgroup>
        </select>
      </span>
      <div class="wide ticks">
        <label v-if="what !== 'from'"
          ><input v-model="only" type="checkbox" /> only these: they change places with the next ones</label
        >
        <label v-if="sections > 1"
          ><input v-model="all" type="checkbox" /> all sections of {{ wall.section.course }}</label
        >
      </div>
      <p v-if="problem" class="problem wide" role="alert">{{ problem }}</p>
      <div class="wide actions">
        <button type="button" class="btn quiet" @click="visible = false">Cancel</button>
        <button type="submit" class="btn go" :disabled="busy">See what it does</button>
      </div>
    </form>
  </Dialog>
</template>
