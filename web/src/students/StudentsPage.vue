<script setup lang="ts">
import { computed, onMounted, ref } from "vue";
import { useRoute, useRouter } from "vue-router";
import type { ChangeOf } from "../api/client";
import ChangeLine from "../change/ChangeLine.vue";
import { useStepKeys } from "../change/useStepKeys";
import Band from "../frame/Band.vue";
import ChangeTools from "../frame/ChangeTools.vue";
import ViewLinks from "../frame/ViewLinks.vue";
import RemindersPanel from "../reminder/RemindersPanel.vue";
import TellDialog from "../telling/TellDialog.vue";
import { useTelling } from "../telling/useTelling";
import { count, moment, weekdayDay } from "../ui/say";
import AfterClass from "./AfterClass.vue";
import FramingField from "./FramingField.vue";
import LinksPanel from "./LinksPanel.vue";
import { useStudents } from "./useStudents";

/** What students see now, as they see it; what telling them would change; their links; recordings; what they cannot open. */
const route = useRoute();
const router = useRouter();
const termId = Number(route.params.termId);
const { state, section } = useStudents(termId, String(route.query.section ?? ""));
const { view, problem, busy } = state;
const { telling } = useTelling(termId, state.version);
const as = ref("");
const tells = ref(false);
/** The page as it would be if they were told now. */
const wouldBe = ref(false);

useStepKeys(state);
onMounted(async () => {
  document.title = "For students, Matsuri";
  await state.load();
});
const key = computed(() => (view.value ? `${view.value.course}/${view.value.section}` : ""));
const told = computed(() => telling.value?.sections.find((s) => `${s.course}/${s.section}` === key.value));
/** The page in the frame; made anew with each version, so that what was told shows. */
const page = computed(() => {
  const v = view.value;
  if (!v) return "";
  const of = v.people.find((p) => p.id === as.value) ?? v;
  return wouldBe.value ? of.toldPage : of.page;
});
const date = (what: string, at?: string | null) =>
  !at ? "none" : what === "lesson" || at.endsWith("T00:00:00") ? weekdayDay(at.slice(0, 10)) : moment(at);

type Publishing = ChangeOf<"set-publishing">["publishing"];
type Language = NonNullable<Publishing["language"]>;
const LANGUAGES: [Language, string][] = [
  ["en", "English"],
  ["de", "Deutsch"],
  ["fr", "français"],
  ["es", "español"],
];
async function show(other: Publishing) {
  const v = view.value;
  if (!v) return;
  const publishing = { ...v.publishing, ...other } as Publishing;
  await state.propose({ kind: "set-publishing", course: v.course, publishing });
}

async function lookAt(other: string) {
  section.value = other;
  as.value = "";
  await state.load();
  await router.replace({ query: { section: other } });
}
</script>

<template>
  <Band>
    <template #course>
      <select
        v-if="view"
        class="sel"
        aria-label="Course and section"
        :value="key"
        @change="lookAt(($event.target as HTMLSelectElement).value)"
      >
        <option v-for="s in view.sections" :key="s" :value="s">{{ s.replace("/", " ") }}</option>
      </select>
    </template>
    <ViewLinks :term-id="termId" here="students" />
    <template #right>
      <ChangeTools
        :state="state"
        :findings="view?.findings ?? null"
        :undo="view?.undo"
        :redo="view?.redo"
        :here="key"
      />
    </template>
  </Band>
  <main v-if="view" class="seen">
    <div class="top">
      <h1>What students of {{ view.course }} {{ view.section }} see now</h1>
      <label
        >as
        <select v-model="as" class="field" aria-label="See it as">
          <option value="">the class</option>
          <option v-for="p in view.people" :key="p.id" :value="p.id">{{ p.name }}</option>
        </select></label
      >
      <label><input v-model="wouldBe" type="checkbox" /> as if told now</label>
      <a class="do" :href="page" target="_blank" rel="noopener">open the page</a>
    </div>
    <iframe :key="`${view.version} ${page}`" :src="page" title="The page as students see it"></iframe>
    <aside>
      <section class="panel" aria-labelledby="told-head">
        <h2 id="told-head">Telling</h2>
        <template v-if="told">
          <p v-if="!told.begun">
            Students were told nothing yet: their page says so.
            {{ count(told.dates.length, "date") }} can be told.
          </p>
          <p v-else-if="!told.dates.length && !told.sessions.length" class="soft">
            They were told every date{{ told.upTo ? ` up to ${weekdayDay(told.upTo)}` : "" }}.
          </p>
          <table v-else>
            <tbody>
              <tr v-for="d in told.dates.slice(0, 8)" :key="d.what + d.id">
                <td>{{ d.title }}</td>
                <td>
                  <s>{{ date(d.what, d.told) }}</s>
                </td>
                <td :class="{ look: (d.days ?? 0) < 0 }">{{ date(d.what, d.now) }}</td>
              </tr>
              <tr v-for="c in told.sessions.slice(0, 4)" :key="c.session">
                <td>class</td>
                <td>
                  <s>{{ c.told }}</s>
                </td>
                <td>{{ c.now }}</td>
              </tr>
            </tbody>
          </table>
          <p v-if="told.begun && told.dates.length > 8" class="soft">and {{ told.dates.length - 8 }} more</p>
          <p class="row">
            <button
              type="button"
              class="btn"
              :class="{ go: told.dates.length || told.sessions.length }"
              @click="tells = true"
            >
              Tell them…
            </button>
            <span v-if="told.last" class="soft">last told {{ moment(told.last) }}</span>
          </p>
        </template>
      </section>
      <LinksPanel
        :term-id="termId"
        :course="view.course"
        :section="view.section"
        :students="view.people.length"
        :places="view.places"
      />
      <RemindersPanel
        :term-id="termId"
        :course="view.course"
        :section="view.section"
        :version="view.version"
        @put="state.propose($event)"
      />
      <AfterClass
        :course="view.course"
        :section="view.section"
        :classes="view.classes"
        :busy="busy"
        @put="state.propose($event)"
      />
      <section class="panel" aria-labelledby="shown-head">
        <h2 id="shown-head">How it is shown</h2>
        <p class="row">
          <label
            >language
            <select
              class="field"
              aria-label="Language of pages, sheets and feeds"
              :value="view.publishing.language"
              @change="show({ language: ($event.target as HTMLSelectElement).value as Language })"
            >
              <option v-for="[code, name] in LANGUAGES" :key="code" :value="code">{{ name }}</option>
            </select></label
          >
        </p>
        <p>
          <label
            ><input
              type="checkbox"
              :checked="view.publishing.twelveHours"
              @change="show({ twelveHours: ($event.target as HTMLInputElement).checked })"
            />
            times as 5:00 pm</label
          >
        </p>
        <p>
          <label
            ><input
              type="checkbox"
              :checked="view.publishing.linkAroundClass"
              @change="show({ linkAroundClass: ($event.target as HTMLInputElement).checked })"
            />
            meeting links only from the day before a class until its end</label
          >
        </p>
        <FramingField />
      </section>
      <section v-if="view.closed.length" class="panel" aria-labelledby="closed-head">
        <h2 id="closed-head">What they cannot open</h2>
        <ul>
          <li v-for="f in view.closed" :key="f.sentence">{{ f.sentence }}</li>
        </ul>
      </section>
    </aside>
    <TellDialog v-if="tells && telling" :state="state" :telling="telling" :here="key" @done="tells = false" />
  </main>
  <p v-else-if="problem" class="problem" role="alert">{{ problem }}</p>
  <ChangeLine :state="state" :held="state.proposal.value !== null" :loaded="view !== null" />
</template>

<style scoped>
.seen {
  display: grid;
  grid-template: auto minmax(0, 1fr) / minmax(0, 1fr) 400px;
  flex: 1;
  min-height: 0;
}
.top {
  grid-column: 1 / -1;
  display: flex;
  gap: 18px;
  align-items: center;
  padding: 4px 14px;
  border-bottom: 1px solid var(--rule-firm);
}
.top label {
  display: inline-flex;
  gap: 6px;
  align-items: center;
}
.top h1 {
  flex: 1;
  font-size: 16px;
  margin: 0;
}
iframe {
  border: 0;
  width: 100%;
  height: 100%;
}
aside {
  border-left: 1px solid var(--rule-firm);
  overflow-y: auto;
}
aside :deep(.panel) {
  padding: 10px 14px 12px;
  border-bottom: 1px solid var(--rule-firm);
}
aside :deep(h2) {
  font-size: 15px;
  margin: 0 0 4px;
}
aside :deep(p) {
  margin: 0 0 6px;
}
table {
  width: 100%;
  border-collapse: collapse;
  margin-bottom: 8px;
}
td {
  padding: 3px 8px 3px 0;
  border-top: 1px solid var(--rule);
}
.row {
  display: flex;
  gap: 10px;
  align-items: center;
}
ul {
  margin: 0;
  padding-left: 18px;
}
@media (max-width: 900px) {
  .seen {
    display: block;
    overflow-y: auto;
  }
  iframe {
    height: 620px;
  }
  aside {
    overflow-y: visible;
  }
  .top {
    flex-wrap: wrap;
  }
  .top h1 {
    flex-basis: 100%;
  }
}
</style>
