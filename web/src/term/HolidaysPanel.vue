<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, watch } from "vue";
import { type CalendarView, type Schemas, api, ask } from "../api/client";
import { count, weekdayDay } from "../ui/say";
import { injectTerm } from "./useTerm";

/** Public holidays of a country and region within the term, taken one by one or all at once. */
const props = defineProps<{ term: CalendarView }>();
const state = injectTerm();
const { busy } = state;

type Place = Schemas["Place"];
const KEPT = "matsuri.holidays";
const language = navigator.language;
const countries = shallowRef<Place[]>([]);
const regions = shallowRef<Place[]>([]);
const country = ref("");
const region = ref("");
const found = shallowRef<Schemas["HolidaysRead"] | null>(null);
const chosen = ref<Set<string>>(new Set());
const problem = ref("");

/** A country to begin with: the one that was chosen last, else by the browser's language. */
function guess(): [string, string] {
  const kept = (localStorage.getItem(KEPT) ?? "").split("/");
  if (kept[0]) return [kept[0], kept[1] ?? ""];
  const zone = props.term.zone;
  if (zone.startsWith("America/") && language.endsWith("US")) return ["us", ""];
  return [(language.split("-")[1] ?? "us").toLowerCase(), ""];
}

const open = computed(() => found.value?.holidays.filter((h) => h.state === "teaches") ?? []);
const shown = computed(() => found.value?.holidays.filter((h) => h.state !== "weekend") ?? []);
const weekend = computed(() => (found.value?.holidays.length ?? 0) - shown.value.length);

async function load() {
  problem.value = "";
  try {
    if (!countries.value.length) {
      countries.value = await ask(api.GET("/api/holidays/countries", { params: { query: { language } } }));
    }
    const at = { country: country.value, region: region.value, language };
    found.value = await ask(
      api.GET("/api/terms/{termId}/holidays", { params: { path: { termId: props.term.termId }, query: at } }),
    );
    chosen.value = new Set([...chosen.value].filter((d) => open.value.some((h) => h.day === d)));
  } catch (e) {
    problem.value = (e as Error).message;
  }
}
async function choose(next: string) {
  country.value = next;
  region.value = "";
  regions.value = await ask(api.GET("/api/holidays/regions", { params: { query: { country: next, language } } })).catch(
    () => [],
  );
  keep();
  await load();
}
function keep() {
  localStorage.setItem(KEPT, `${country.value}/${region.value}`);
}
onMounted(async () => {
  const [first, second] = guess();
  country.value = first;
  region.value = second;
  regions.value = await ask(
    api.GET("/api/holidays/regions", { params: { query: { country: first, language } } }),
  ).catch(() => []);
  await load();
});
watch(
  () => state.view.value?.version,
  () => void load(),
);

function take(days: string[]) {
  const taken = open.value.filter((h) => days.includes(h.day));
  if (!taken.length) return;
  void state.propose({
    kind: "together",
    does:
      taken.length === 1
        ? `Day off ${weekdayDay(taken[0]!.day)}, ${taken[0]!.name}`
        : `Take ${taken.length} public holidays`,
    changes: taken.map((h) => ({ kind: "add-closure" as const, closure: h.closure })),
  });
}
function tick(day: string) {
  const next = new Set(chosen.value);
  if (!next.delete(day)) next.add(day);
  chosen.value = next;
}
</script>

<template>
  <section class="sec">
    <h2>
      Public holidays
      <span class="side places">
        <select
          :value="country"
          class="field"
          aria-label="Country"
          @change="choose(($event.target as HTMLSelectElement).value)"
        >
          <option v-for="c in countries" :key="c.code" :value="c.code">{{ c.name }}</option>
        </select>
        <select v-if="regions.length" v-model="region" class="field" aria-label="Region" @change="(keep(), load())">
          <option value="">the whole country’s</option>
          <option v-for="r in regions" :key="r.code" :value="r.code">{{ r.name }}</option>
        </select>
      </span>
    </h2>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-else-if="found && !shown.length" class="soft">None of them falls on a day that teaches.</p>
    <ul v-else class="days">
      <li v-for="h in shown" :key="h.day">
        <label>
          <input
            type="checkbox"
            :checked="h.state === 'off' || chosen.has(h.day)"
            :disabled="h.state === 'off'"
            @change="tick(h.day)"
          />
          <span class="d">{{ weekdayDay(h.day) }}</span>
          <span class="h">{{ h.name }}</span>
          <span class="soft">{{ h.state === "off" ? "off already" : h.takes }}</span>
        </label>
      </li>
    </ul>
    <p v-if="found && !found.checked" class="soft">
      This country’s list was not checked by us: compare it with an official one.
    </p>
    <p v-if="weekend" class="soft">{{ count(weekend, "more falls", "more fall") }} on days that do not teach.</p>
    <div v-if="open.length" class="fr">
      <button type="button" class="btn" :disabled="!chosen.size || busy" @click="take([...chosen])">
        Take the chosen
      </button>
      <button type="button" class="btn" :disabled="busy" @click="take(open.map((h) => h.day))">
        Take all{{ open.length > 1 ? ` ${open.length}` : "" }}
      </button>
    </div>
  </section>
</template>

<style scoped>
p {
  margin: 4px 0 0;
}
.places {
  display: flex;
  gap: 6px;
}
.places select {
  max-width: 170px;
}
.days {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 178px;
  overflow: auto;
}
.days label {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 26px;
  border-top: 1px solid var(--rule);
}
.days .d {
  width: 84px;
  flex: none;
}
.days .h {
  flex: 1;
  min-width: 0;
}
</style>
