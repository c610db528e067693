<script setup lang="ts">
import { computed, ref, shallowRef, watch } from "vue";
import { type CalendarView, type Change, type Schemas, api, ask } from "../api/client";
import { count } from "../ui/say";
import { useDoing } from "../ui/useDoing";
import { injectTerm } from "./useTerm";

/** The school's calendar, kept once: which one this term follows and how it differs, and what is published of this term. */
const props = defineProps<{ term: CalendarView }>();
const state = injectTerm();
const { busy, problem, doing } = useDoing();
/** Looking it up holds nobody back from typing. */
const looking = useDoing();
const view = shallowRef<Schemas["SchoolView"] | null>(null);
const published = shallowRef<Schemas["PublishedCalendar"][]>([]);
const link = ref("");
const name = ref("");
const said = ref("");
const ticked = ref(new Set<string>());
/** One's other terms, and those that are published together with this one. */
const others = shallowRef<Schemas["TermLine"][]>([]);
const also = ref<number[]>([]);
const path = { params: { path: { termId: props.term.termId } } };

function show(found: Schemas["SchoolView"]) {
  view.value = found;
  ticked.value = new Set(found.lines.filter((l) => l.state !== "by-hand").map((l) => l.key));
}
async function look() {
  show(await ask(api.GET("/api/terms/{termId}/school", path)));
  others.value = (await ask(api.GET("/api/terms"))).filter(
    (t) => t.role === "own" && !t.archived && t.id !== props.term.termId,
  );
  published.value = (await ask(api.GET("/api/school-calendars"))).filter((c) => c.terms.includes(props.term.termId));
}
// what was taken is seen as soon as the term has it
watch(
  () => props.term.version,
  () => void looking.doing(look),
  { immediate: true },
);
const follow = () =>
  doing(async () => {
    show(await ask(api.PUT("/api/terms/{termId}/school", { ...path, body: { link: link.value } })));
    link.value = "";
  });
const stop = () =>
  doing(async () => {
    await ask(api.DELETE("/api/terms/{termId}/school", path));
    await look();
  });
const leave = () =>
  doing(async () => {
    const keys = view.value!.lines.map((l) => l.key).filter((k) => ticked.value.has(k));
    show(await ask(api.POST("/api/terms/{termId}/school/left", { ...path, body: { keys } })));
  });
const chosen = computed(() => view.value?.lines.filter((l) => ticked.value.has(l.key)) ?? []);
function tick(key: string) {
  const now = new Set(ticked.value);
  if (!now.delete(key)) now.add(key);
  ticked.value = now;
}
const take = () =>
  state.propose(
    {
      kind: "together",
      does: `Take ${count(chosen.value.length, "line")} from “${view.value!.name}”`,
      changes: chosen.value.map((l) => l.change as Change),
    },
    "always",
  );
const publish = () =>
  doing(async () => {
    await ask(
      api.POST("/api/school-calendars", { body: { name: name.value, terms: [props.term.termId, ...also.value] } }),
    );
    name.value = "";
    await look();
  });
const withdraw = (id: number) =>
  doing(async () => {
    await ask(api.DELETE("/api/school-calendars/{id}", { params: { path: { id } } }));
    await look();
    said.value = "Withdrawn. Terms that follow it keep their days.";
  });
async function copy(text: string) {
  try {
    await navigator.clipboard.writeText(text);
    said.value = "Copied.";
  } catch {
    said.value = "Copying is not allowed here: mark the link and copy it.";
  }
}
const STATES: Record<string, string> = {
  new: "new",
  changed: "changed there",
  gone: "no longer there",
  "by-hand": "changed by hand here",
};
</script>

<template>
  <section class="sec">
    <h2>The school’s calendar</h2>
    <p v-if="problem || looking.problem.value" class="problem" role="alert">{{ problem || looking.problem.value }}</p>
    <p class="vh" role="status">{{ said }}</p>
    <template v-if="view?.name">
      <p>
        Follows <b>{{ view.name }}</b><template v-if="view.withdrawn"
          >, which is published no more: its days stay</template
        ><template v-else-if="!view.lines.length">: in step</template>.
        <span v-if="view.left" class="soft">{{ count(view.left, "line") }} left as here.</span>
        <button type="button" class="do" :disabled="busy" @click="stop">follow it no longer</button>
      </p>
      <ul v-if="view.lines.length" aria-label="What the school’s calendar says otherwise">
        <li v-for="l in view.lines" :key="l.key">
          <label
            ><input type="checkbox" :checked="ticked.has(l.key)" @change="tick(l.key)" /> {{ l.said }}
            <span :class="l.state === 'by-hand' ? 'soft' : 'look'">{{ STATES[l.state] }}</span></label
          >
        </li>
      </ul>
      <p v-if="view.lines.length" class="acts">
        <button type="button" class="btn go" :disabled="!chosen.length || state.busy.value" @click="take">
          See what they do
        </button>
        <button type="button" class="btn" :disabled="!chosen.length || busy" @click="leave">Leave them</button>
      </p>
    </template>
    <form v-else class="row" @submit.prevent="follow">
      <label for="school-link">Follow one by its link</label>
      <input id="school-link" v-model="link" class="field" required maxlength="2000" placeholder="https://…/school/…" />
      <button type="submit" class="btn" :disabled="busy">Follow</button>
    </form>
    <ul v-if="published.length" aria-label="Published from this term">
      <li v-for="c in published" :key="c.id" class="pub">
        <b>{{ c.name }}</b>
        <span v-if="c.withdrawn" class="soft">withdrawn</span>
        <template v-else>
          <input class="field" readonly :value="c.link" :aria-label="`Link of ${c.name}`" />
          <button type="button" class="do" @click="copy(c.link)">copy</button>
          <a :href="`${c.link}.ics`">.ics</a>
          <button type="button" class="do" :disabled="busy" @click="withdraw(c.id)">withdraw</button>
        </template>
      </li>
    </ul>
    <form v-if="!view?.name" class="row" @submit.prevent="publish">
      <label for="school-name">Publish these days for others</label>
      <input id="school-name" v-model="name" class="field" required maxlength="200" placeholder="what it is called" />
      <button type="submit" class="btn" :disabled="busy">Publish</button>
      <details v-if="others.length" class="also">
        <summary>and those of other terms</summary>
        <label v-for="t in others" :key="t.id"
          ><input v-model="also" type="checkbox" :value="t.id" /> {{ t.name }}</label
        >
      </details>
    </form>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 4px 0;
  padding: 0;
}
li {
  border-bottom: 1px solid var(--rule);
  min-height: 26px;
}
.row,
.pub,
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
  margin: 4px 0 0;
}
.row .field,
.pub .field {
  flex: 1;
  min-width: 120px;
}
.row label {
  flex: 0 0 100%;
}
.also {
  flex: 0 0 100%;
}
.also label {
  display: flex;
  gap: 6px;
  align-items: center;
  min-height: 24px;
}
summary {
  cursor: pointer;
  min-height: 24px;
}
a {
  color: inherit;
}
</style>
