<script setup lang="ts">
import { computed, ref, watch } from "vue";
import type { Schemas } from "../api/client";
import DateField from "../ui/DateField.vue";
import RuleField from "../ui/RuleField.vue";
import { moment } from "../ui/say";
import type { Rule } from "./when";
import TimeField from "../ui/TimeField.vue";

/** When a thing opens, is due or closes: on a date, with a class, so many days after one; anything else behind “more”. */
const props = defineProps<{
  which: "opens" | "due" | "closes";
  name: string;
  termId: number;
  course: string;
  /** The lesson that the thing belongs to; empty for none. */
  lesson: string;
  lessons: readonly { id: string; title: string }[];
  /** What it gives in each section. */
  given: readonly Schemas["DateGiven"][];
}>();
const rule = defineModel<Rule | null | undefined>({ required: true });

type Way = "none" | "date" | "class" | "after" | "more";
const wayOf = (r: Rule | null | undefined): Way => {
  if (!r) return "none";
  const plain = !r.snapTo && !r.onDayOff;
  if (r.at !== undefined && plain && !r.plus && !r.time) return "date";
  if (r.lesson && plain && !r.plus && !r.time) return "class";
  if (
    (r.lesson || r.own) &&
    plain &&
    Number(r.plus ?? 0) > 0 &&
    ["days", "teaching-days", "weeks"].includes(String(r.in))
  )
    return "after";
  return "more";
};
const way = ref<Way>(wayOf(rule.value));
watch(rule, (now) => {
  if (wayOf(now) === "none" && way.value !== "none" && way.value !== "more") way.value = "none";
});
const first = computed(() => props.lesson || props.lessons[0]?.id || "");
const at = computed(() => String(rule.value?.at ?? ""));
const noneName = computed(() => ({ opens: "always open", due: "no date", closes: "never" })[props.which]);

function choose(next: Way) {
  way.value = next;
  const was = rule.value ?? {};
  const lesson = was.lesson ?? first.value;
  if (next === "none") rule.value = undefined;
  else if (next === "date") {
    const known = props.given.find((g) => g.at)?.at;
    rule.value = { at: (known ?? "").slice(0, 16) };
  } else if (next === "class") rule.value = { lesson, edge: props.which === "opens" ? "end" : "start" };
  else if (next === "after" && wayOf(was) !== "after")
    rule.value =
      props.which === "closes"
        ? { own: "due", plus: 2, in: "days" }
        : { lesson, edge: "end", plus: 2, in: "teaching-days", time: props.which === "opens" ? "00:00" : "23:59" };
}
function set(field: keyof Rule, value: unknown) {
  const next: Rule = { ...rule.value, [field]: value };
  if (value === "" || value === undefined) delete next[field];
  rule.value = next;
}
const anchor = computed(() =>
  rule.value?.own
    ? `own:${String(rule.value.own)}`
    : `${String(rule.value?.edge ?? "start")}:${String(rule.value?.lesson ?? "")}`,
);
function setAnchor(value: string) {
  const [edge, id] = [value.slice(0, value.indexOf(":")), value.slice(value.indexOf(":") + 1)];
  const next: Rule = { ...rule.value };
  delete next.own;
  delete next.lesson;
  delete next.edge;
  rule.value =
    edge === "own" ? { own: id as Rule["own"], ...next } : { lesson: id, edge: edge as Rule["edge"], ...next };
}
const owns = computed(() => (["opens", "due", "closes"] as const).filter((w) => w !== props.which));
const value = (event: Event) => (event.target as HTMLInputElement).value;
</script>

<template>
  <fieldset class="choice">
    <legend>{{ name }}</legend>
    <div class="ways ticks">
      <label
        ><input type="radio" :name="`way-${which}`" :checked="way === 'date'" @change="choose('date')" />on this
        date</label
      >
      <label
        ><input
          type="radio"
          :name="`way-${which}`"
          :checked="way === 'class'"
          :disabled="!first"
          @change="choose('class')"
        />with that class</label
      >
      <label
        ><input
          type="radio"
          :name="`way-${which}`"
          :checked="way === 'after'"
          :disabled="!first && which === 'due'"
          @change="choose('after')"
        />n days after</label
      >
      <label
        ><input type="radio" :name="`way-${which}`" :checked="way === 'none'" @change="choose('none')" />{{
          noneName
        }}</label
      >
      <label
        ><input type="radio" :name="`way-${which}`" :checked="way === 'more'" @change="choose('more')" />more</label
      >
    </div>
    <div v-if="way === 'date'" class="how">
      <DateField
        :id="`${which}-day`"
        :model-value="at"
        :term-id="termId"
        :time="which === 'opens' ? 'start' : 'end'"
        :label="name"
        @update:model-value="rule = { at: $event }"
      />
    </div>
    <div v-else-if="way === 'class'" class="how">
      at the
      <select
        class="field"
        :value="rule?.edge ?? 'start'"
        :aria-label="`${name}, start or end`"
        @change="set('edge', value($event))"
      >
        <option value="start">start</option>
        <option value="end">end</option>
      </select>
      of
      <select
        class="field"
        :value="rule?.lesson"
        :aria-label="`${name}, lesson`"
        @change="set('lesson', value($event))"
      >
        <option v-for="l in lessons" :key="l.id" :value="l.id">{{ l.id }} {{ l.title }}</option>
      </select>
    </div>
    <div v-else-if="way === 'after'" class="how">
      <input
        class="field few"
        type="number"
        min="1"
        max="999"
        :value="rule?.plus"
        :aria-label="`${name}, how many`"
        @change="set('plus', Number(value($event)) || 1)"
      />
      <select class="field" :value="rule?.in" :aria-label="`${name}, counted in`" @change="set('in', value($event))">
        <option value="teaching-days">teaching days</option>
        <option value="days">days</option>
        <option value="weeks">weeks</option>
      </select>
      after
      <select class="field" :value="anchor" :aria-label="`${name}, after what`" @change="setAnchor(value($event))">
        <option v-for="w in owns" :key="w" :value="`own:${w}`">it {{ w === "due" ? "is due" : w }}</option>
        <template v-for="l in lessons" :key="l.id">
          <option :value="`end:${l.id}`">end of {{ l.id }}</option>
          <option :value="`start:${l.id}`">start of {{ l.id }}</option>
        </template>
      </select>
      at
      <TimeField
        :id="`${which}-time`"
        :model-value="String(rule?.time ?? '')"
        :term-id="termId"
        empty="its time"
        :label="`${name}, time`"
        @update:model-value="set('time', $event)"
      />
    </div>
    <RuleField
      v-else-if="way === 'more'"
      class="how"
      :id="`edit-${which}`"
      v-model="rule"
      :term-id="termId"
      :course="course"
      :lesson="lesson"
      :which="which"
      :label="`${name}, in words`"
    />
    <p class="gives" role="status">
      <span v-for="g in given" :key="g.section"
        ><b>{{ g.section }}</b> {{ g.at ? moment(g.at) : g.said
        }}<span v-if="g.wrong" class="look"> {{ g.wrong }}</span></span
      >
    </p>
  </fieldset>
</template>

<style scoped>
.choice {
  border: 0;
  border-bottom: 1px solid var(--rule);
  margin: 0;
  padding: 6px 0;
  display: grid;
  grid-template-columns: 76px 1fr auto;
  gap: 4px 10px;
  align-items: start;
}
.choice legend {
  float: left;
  padding: 2px 0 0;
  font-weight: 680;
  grid-column: 1;
}
.ways,
.how {
  grid-column: 2;
}
.choice :deep(.field) {
  max-width: 230px;
}
.how {
  display: flex;
  flex-wrap: wrap;
  gap: 5px 7px;
  align-items: center;
}
.how:is(span) {
  display: block;
}
.choice :deep(span .wide-in) {
  max-width: none;
}
.few {
  width: 60px;
}
.gives {
  grid-column: 3;
  grid-row: 1 / span 2;
  margin: 0;
  display: flex;
  flex-direction: column;
  min-width: 150px;
  font-variant-numeric: tabular-nums;
}
.gives b {
  padding-right: 5px;
}
</style>
