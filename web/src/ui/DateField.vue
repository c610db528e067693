<script setup lang="ts">
import type PrimeDatePicker from "primevue/datepicker";
import Popover from "primevue/popover";
import { usePrimeVue } from "primevue/config";
import { computed, ref, shallowRef } from "vue";
import { api, ask } from "../api/client";
import { me } from "../api/me";
import ReadField from "./ReadField.vue";
import { clock, weekdayDay } from "./say";
import { useTyped } from "./useTyped";

/**
 * A date as people type it ("3 nov", "20 oct, 17:00", "fri 5pm", "+2 weeks", "next class"), or chosen from a month; beside
 * it what was understood. The model is an ISO date, or a local date and time where a time may be said; empty for none.
 */
const props = withDefaults(
  defineProps<{
    id: string;
    termId: number;
    section?: string;
    /** Where in its day it lies when no time is said; "none" where only a day is asked for. */
    time?: "none" | "start" | "end";
    /** Its name where no label stands beside it. */
    label?: string;
    /** What an empty field means; without it something has to be given. */
    empty?: string;
    /** Whether a dialog that opens with it begins here. */
    autofocus?: boolean;
  }>(),
  { section: "", time: "none", label: "", empty: undefined },
);
const date = defineModel<string>({ required: true });

const full = (value: string) => `${weekdayDay(value)} ${value.slice(0, 4)}`;
const typed = useTyped(date, {
  async read(text) {
    const found = await ask(
      api.GET("/api/terms/{termId}/days", {
        params: {
          path: { termId: props.termId },
          query: { text, section: props.section || undefined, time: props.time },
        },
      }),
    );
    return { value: props.time === "none" ? found.date : (found.at ?? "").slice(0, 16), said: found.said };
  },
  show: (value) => (value.includes("T") ? `${full(value)}, ${clock(value)}` : full(value)),
  empty: "",
  emptySays: "",
  required: () => props.empty === undefined,
});

const prime = usePrimeVue();
const month = ref<InstanceType<typeof Popover>>();
const chosen = computed(() => {
  const [year, number, day] = date.value.slice(0, 10).split("-").map(Number);
  return year && number && day ? new Date(year, number - 1, day) : null;
});
/** The days are pressed, not chosen among: they are no options. */
const DAYS = { day: { "aria-selected": undefined, "aria-disabled": undefined } };
/** The month is fetched when it is first opened. */
const Month = shallowRef<typeof PrimeDatePicker>();
async function open(event: Event) {
  const at = event.currentTarget;
  Month.value ??= (await import("primevue/datepicker")).default;
  if (prime.config.locale) prime.config.locale.firstDayOfWeek = me.value?.preferences.weekStart === "SU" ? 0 : 1;
  month.value?.toggle(event, at as HTMLElement);
}
const two = (n: number) => String(n).padStart(2, "0");
async function pick(value: Date) {
  const day = `${value.getFullYear()}-${two(value.getMonth() + 1)}-${two(value.getDate())}`;
  const time = date.value.slice(10) || (props.time === "start" ? "T00:00" : "T23:59");
  const next = props.time === "none" ? day : day + time;
  month.value?.hide();
  await typed.take(next, "");
  typed.field.value?.focus();
}
</script>

<template>
  <ReadField
    :id="id"
    :typed="typed"
    :label="label || undefined"
    :placeholder="empty"
    :autofocus="autofocus"
    :required="empty === undefined"
  >
    <button
      type="button"
      class="month"
      tabindex="-1"
      :aria-label="`Choose ${label || 'it'} from a month`"
      title="choose from a month"
      @click="open"
    >
      <svg width="14" height="14" viewBox="0 0 14 14" aria-hidden="true">
        <path d="M1 2.5h12v10.5H1zM1 5.5h12M4 1v3M10 1v3" fill="none" stroke="currentColor" stroke-width="1.3" />
      </svg>
    </button>
    <Popover ref="month">
      <component
        :is="Month"
        inline
        :pt="DAYS"
        :model-value="chosen"
        @update:model-value="(v: unknown) => v instanceof Date && pick(v)"
      />
    </Popover>
  </ReadField>
</template>

<style scoped>
.month {
  border: 1px solid var(--edge, currentColor);
  border-left: 0;
  background: none;
  color: inherit;
  height: 28px;
  width: 28px;
  display: grid;
  place-items: center;
  cursor: pointer;
}
</style>
