<script setup lang="ts">
import { computed, ref } from "vue";
import { weekdayOf } from "../ui/say";
import TimeField from "../ui/TimeField.vue";
import DateField from "../ui/DateField.vue";
import RuleField from "../ui/RuleField.vue";
import {
  type Repeat,
  type Way,
  type When,
  WEEKDAYS,
  between,
  from,
  later,
  onDays,
  tied,
  wayOf,
  type Rule,
  weekly,
  weeklyRule,
} from "../thing/when";

/** When a notice is: a day, several, a time, a series, with some work, or in words. */
const props = defineProps<{
  id: string;
  termId: number;
  course: string;
  /** A day to begin with. */
  day: string;
  /** Work that a span can be tied to. */
  work: readonly { id: string; title: string }[];
  /** Only a series is meant. */
  series?: boolean;
}>();
const when = defineModel<When>({ required: true });

const NAMES: readonly [Way, string][] = [
  ["day", "one day"],
  ["days", "several days"],
  ["time", "at a time"],
  ["repeats", "repeats"],
  ["work", "up to some work"],
  ["words", "in words"],
];
const WEEKDAY_NAMES = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"];
const way = ref<Way>(wayOf(when.value));
const begin = computed(() => String(when.value.begins?.at ?? (props.day && `${props.day}T00:00`)));
const end = computed(() => String(when.value.ends?.at ?? begin.value));
const repeat = computed<Repeat>(() => when.value.repeats?.[0] ?? { rule: "" });
const week = computed(() => (repeat.value.rule ? weekly(repeat.value.rule) : { days: [], every: 1 }));

function choose(next: Way) {
  way.value = next;
  const first = begin.value.slice(0, 10);
  const last = end.value.slice(0, 10);
  if (next === "day") when.value = onDays(first);
  else if (next === "days") when.value = onDays(first, last);
  else if (next === "time") when.value = from(begin.value, when.value.ends && !when.value.allDay ? end.value : "");
  else if (next === "repeats") {
    const weekday = WEEKDAYS[first ? weekdayOf(first) - 1 : 0] ?? "MO";
    when.value = { repeats: [{ rule: weeklyRule([weekday], 1), ...(first ? { from: first } : {}) }] };
  } else if (next === "work" && props.work[0]) when.value = tied(props.work[0].id, "due", 7);
  else if (next === "words") when.value = { begins: when.value.begins, ends: when.value.ends };
}
function setRepeat(more: Partial<Repeat>) {
  const next = { ...repeat.value, ...more };
  for (const key of ["from", "until", "time", "minutes"] as const) if (!next[key]) delete next[key];
  if (!next.time) delete next.minutes;
  when.value = { ...when.value, repeats: [next, ...(when.value.repeats ?? []).slice(1)] };
}
function setDay(weekday: string, on: boolean) {
  const days = (week.value?.days ?? []).filter((d) => d !== weekday);
  if (on) days.push(weekday);
  if (days.length) setRepeat({ rule: weeklyRule(days, week.value?.every ?? 1) });
}
const rule = (which: "begins" | "ends") => ({ ...(when.value[which] ?? {}) });
function setRule(which: "begins" | "ends", value: unknown) {
  const next: When = { ...when.value, [which]: value };
  if (!value) delete next[which];
  when.value = next;
}
const days = computed(() => -Number(when.value.begins?.plus ?? 0));
const value = (event: Event) => (event.target as HTMLInputElement).value;
</script>

<template>
  <div class="when">
    <div v-if="!series" class="ticks">
      <label v-for="[w, name] in NAMES" :key="w"
        ><input
          type="radio"
          :name="`${id}-way`"
          :checked="way === w"
          :disabled="w === 'work' && !work.length"
          @change="choose(w)"
        />{{ name }}</label
      >
    </div>
    <div v-if="way === 'day' || way === 'days'" class="how">
      <DateField
        :id="`${id}-first`"
        :model-value="begin.slice(0, 10)"
        :term-id="termId"
        :label="way === 'day' ? 'Day' : 'First day'"
        @update:model-value="when = way === 'day' ? onDays($event) : onDays($event, end.slice(0, 10))"
      />
      <template v-if="way === 'days'"
        ><span>to</span>
        <DateField
          :id="`${id}-last`"
          :model-value="end.slice(0, 10)"
          :term-id="termId"
          label="Last day"
          @update:model-value="when = onDays(begin.slice(0, 10), $event)"
        />
      </template>
    </div>
    <div v-else-if="way === 'time'" class="how">
      <DateField
        :id="`${id}-begins`"
        :model-value="begin"
        :term-id="termId"
        time="start"
        label="Begins"
        @update:model-value="when = from($event, when.ends ? end : '')"
      />
      <span>to</span>
      <DateField
        :id="`${id}-ends`"
        :model-value="when.ends ? end : ''"
        :term-id="termId"
        time="end"
        empty="a moment"
        label="Ends; empty for a moment"
        @update:model-value="when = from(begin, $event)"
      />
    </div>
    <template v-else-if="way === 'repeats'">
      <div v-if="week" class="how">
        <span>every</span>
        <input
          class="field few"
          type="number"
          min="1"
          max="20"
          aria-label="Every so many weeks"
          :value="week.every"
          @change="setRepeat({ rule: weeklyRule(week?.days ?? [], Number(value($event)) || 1) })"
        />
        <span>{{ week.every === 1 ? "week" : "weeks" }} on</span>
        <label v-for="(weekday, n) in WEEKDAYS" :key="weekday" class="tick"
          ><input
            type="checkbox"
            :checked="week.days.includes(weekday)"
            @change="setDay(weekday, ($event.target as HTMLInputElement).checked)"
          />{{ WEEKDAY_NAMES[n] }}</label
        >
      </div>
      <div v-else class="how">
        <input
          class="field wide-in"
          aria-label="Recurrence rule (RFC 5545)"
          :value="repeat.rule"
          @change="setRepeat({ rule: value($event) })"
        />
      </div>
      <div class="how">
        <TimeField
          :id="`${id}-time`"
          :model-value="repeat.time ?? ''"
          :term-id="termId"
          empty="whole day"
          label="From; empty for the whole day"
          @update:model-value="setRepeat({ time: $event })"
        />
        <template v-if="repeat.time"
          ><span>to</span>
          <TimeField
            :id="`${id}-to`"
            :model-value="later(repeat.time, repeat.minutes ?? 0)"
            :term-id="termId"
            empty="a moment"
            label="To; empty for a moment"
            @update:model-value="setRepeat({ minutes: between(repeat.time ?? '', $event) })"
          />
        </template>
      </div>
      <div class="how">
        <template v-if="!series"
          ><span>from</span>
          <DateField
            :id="`${id}-from`"
            :model-value="repeat.from ?? ''"
            :term-id="termId"
            empty="the term's first"
            label="First day of the series"
            @update:model-value="setRepeat({ from: $event })"
          />
        </template>
        <span>until</span>
        <DateField
          :id="`${id}-until`"
          :model-value="repeat.until ?? ''"
          :term-id="termId"
          empty="the term's last"
          label="Last day of the series; empty for the term's last"
          @update:model-value="setRepeat({ until: $event })"
        />
      </div>
      <p v-if="(when.repeats?.length ?? 0) > 1" class="soft">
        Goes on otherwise later: {{ when.repeats!.length - 1 }} more stretch{{ when.repeats!.length > 2 ? "es" : "" }}.
      </p>
    </template>
    <div v-else-if="way === 'work'" class="how">
      <input
        class="field few"
        type="number"
        min="0"
        max="365"
        aria-label="Days before"
        :value="days"
        @change="when = tied(String(when.begins?.item), when.begins?.date ?? 'due', Number(value($event)) || 0)"
      />
      <span>days before</span>
      <select
        class="field"
        aria-label="Work"
        :value="when.begins?.item"
        @change="when = tied(value($event), when.begins?.date ?? 'due', days)"
      >
        <option v-for="w in work" :key="w.id" :value="w.id">{{ w.title }}</option>
      </select>
      <select
        class="field"
        aria-label="Which of its dates"
        :value="when.begins?.date ?? 'due'"
        @change="when = tied(String(when.begins?.item), value($event) as Rule['date'], days)"
      >
        <option value="opens">opens</option>
        <option value="due">is due</option>
        <option value="closes">closes</option>
      </select>
      <span class="soft">and until then; it moves with it</span>
    </div>
    <div v-else class="how words">
      <label :for="`${id}-begins`">Begins</label>
      <RuleField
        :id="`${id}-begins`"
        :model-value="when.begins && rule('begins')"
        :term-id="termId"
        :course="course"
        lesson=""
        which="opens"
        @update:model-value="setRule('begins', $event)"
      />
      <label :for="`${id}-ends`">Ends</label>
      <RuleField
        :id="`${id}-ends`"
        :model-value="when.ends && rule('ends')"
        :term-id="termId"
        :course="course"
        lesson=""
        which="due"
        empty="a moment"
        @update:model-value="setRule('ends', $event)"
      />
      <label class="tick"
        ><input
          type="checkbox"
          :checked="when.allDay"
          @change="when = { ...when, allDay: ($event.target as HTMLInputElement).checked || undefined }"
        />
        whole days</label
      >
    </div>
  </div>
</template>

<style scoped>
.when {
  display: grid;
  gap: 5px;
}
.how {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
}
.how.words {
  display: grid;
  grid-template-columns: 60px 1fr;
}
.few {
  width: 58px;
}
.tick {
  display: inline-flex;
  gap: 3px;
  align-items: center;
}
p {
  margin: 0;
}
</style>
