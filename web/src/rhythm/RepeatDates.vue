<script setup lang="ts">
import { computed, ref, watch } from "vue";
import { type Change, type Schemas, api, ask } from "../api/client";
import { count, moment } from "../ui/say";

/** Every date of what repeats, and how many, before it is added. */
const props = defineProps<{
  termId: number;
  course: string;
  section: string;
  /** What would put it; null while it says too little. */
  change: Change | null;
}>();
const emit = defineEmits<{ read: [found: Schemas["RepeatsRead"] | null] }>();
const found = ref<Schemas["RepeatsRead"] | null>(null);
const wrong = ref("");
let timer = 0;
let asked = 0;

watch(
  () => JSON.stringify(props.change),
  () => {
    asked++; // what is still asked of another change is not shown when it is answered
    window.clearTimeout(timer);
    timer = window.setTimeout(look, 150);
  },
  { immediate: true },
);
async function look() {
  const turn = asked;
  if (!props.change) {
    found.value = null;
    emit("read", null);
    return;
  }
  try {
    const answer = await ask(
      api.POST("/api/terms/{termId}/repeats", {
        params: { path: { termId: props.termId } },
        body: { course: props.course, section: props.section, change: props.change },
      }),
    );
    if (turn !== asked) return;
    found.value = answer;
    wrong.value = "";
    emit("read", answer);
  } catch (e) {
    if (turn !== asked) return;
    found.value = null;
    wrong.value = (e as Error).message;
    emit("read", null);
  }
}
const says = computed(() => {
  const all = found.value?.dates ?? [];
  const off = all.filter((d) => d.off).length;
  const over = all.filter((d) => d.over).length;
  return [
    `${count(all.length, "date")} in ${props.section}`,
    over ? `${over} before today` : "",
    off ? `${off} on days off` : "",
  ]
    .filter(Boolean)
    .join(", ");
});
const datesOf = (d: Schemas["RepeatDate"]) =>
  Object.entries(d.dates)
    .map(([name, at]) => `${name} ${moment(at)}`)
    .join(", ");
</script>

<template>
  <div class="repeats">
    <p v-if="wrong" class="look" role="status">{{ wrong }}</p>
    <template v-else-if="found">
      <b role="status">{{ says }}</b>
      <!-- eslint-disable-next-line vuejs-accessibility/no-static-element-interactions -->
      <ol tabindex="0" aria-label="Every date">
        <li v-for="(d, n) in found.dates" :key="n" :class="{ soft: d.over }">
          {{ d.title }}: {{ datesOf(d) }}<span v-if="d.off" class="look"> ({{ d.off }})</span>
        </li>
      </ol>
    </template>
  </div>
</template>

<style scoped>
.repeats {
  border-top: 1px solid var(--rule-firm);
  padding-top: 4px;
  min-height: 60px;
}
ol {
  margin: 2px 0 0;
  padding-left: 24px;
  max-height: 132px;
  overflow-y: auto;
}
p {
  margin: 0;
}
</style>
