<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from "vue";
import { useRouter } from "vue-router";
import { type Place, ProblemError, type Schemas, api, ask, openPlan } from "../api/client";
import { display } from "../api/me";
import Band from "../frame/Band.vue";
import CoursesLinks from "../frame/CoursesLinks.vue";
import Dialog from "../ui/Dialog.vue";
import { dayMonth, span, weekdayDay } from "../ui/say";

const router = useRouter();
/** Views over all courses in which one can begin. */
const LANDINGS = ["courses", "days", "due"];
const terms = shallowRef<Schemas["TermLine"][] | null>(null);
const problem = ref("");
const faults = shallowRef<Place[]>([]);
const busy = ref(false);
const deleted = shallowRef<Schemas["DeletedTerm"][]>([]);
/** The term that is about to be deleted, with what goes. */
const going = shallowRef<{ id: number; goes: Schemas["Goes"] } | null>(null);
const listed = computed(() => terms.value?.filter((t) => !t.archived) ?? []);
const archived = computed(() => terms.value?.filter((t) => t.archived) ?? []);

async function doing(action: () => Promise<unknown>) {
  problem.value = "";
  busy.value = true;
  try {
    await action();
    terms.value = await ask(api.GET("/api/terms"));
    deleted.value = await ask(api.GET("/api/terms/deleted"));
  } catch (e) {
    problem.value = (e as Error).message;
  } finally {
    busy.value = false;
  }
}
const path = (termId: number) => ({ params: { path: { termId } } });
function askDelete(id: number) {
  return doing(async () => {
    going.value = { id, goes: await ask(api.GET("/api/terms/{termId}/goes", path(id))) };
  });
}
function remove(id: number) {
  going.value = null;
  return doing(() => ask(api.DELETE("/api/terms/{termId}", path(id))));
}
const bringBack = (id: number) => doing(() => ask(api.POST("/api/terms/{termId}/bring-back", path(id))));
const archive = (id: number, put: boolean) =>
  doing(() => ask(api.PUT("/api/terms/{termId}/archived", { ...path(id), body: { archived: put } })));
const chooser = ref<HTMLInputElement>();

onMounted(async () => {
  try {
    const found = await ask(api.GET("/api/terms"));
    const signedIn = String(window.history.state?.back).startsWith("/sign-in");
    const landing = display.value.landing;
    // who signs in means the term that they are in, unless they prefer to begin elsewhere
    const running = found.length === 1 ? found : found.filter((term) => term.now);
    const only = signedIn && landing === "wall" && running.length === 1 ? running[0] : undefined;
    if (only) await router.replace(`/terms/${only.id}/${only.role === "substitute" ? "sheet" : "wall"}`);
    else if (signedIn && found.length && LANDINGS.includes(landing)) await router.replace(`/${landing}`);
    else terms.value = found;
    deleted.value = await ask(api.GET("/api/terms/deleted"));
  } catch (e) {
    problem.value = (e as Error).message;
  }
});

async function open(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0];
  if (!file) return;
  busy.value = true;
  problem.value = "";
  faults.value = [];
  try {
    const made = await openPlan(file);
    await router.push(`/terms/${made.id}/wall`);
  } catch (e) {
    problem.value = (e as Error).message;
    faults.value = e instanceof ProblemError ? e.faults : [];
  } finally {
    busy.value = false;
    if (chooser.value) chooser.value.value = "";
  }
}
</script>

<template>
  <Band><CoursesLinks here="/" /></Band>
  <main class="page">
    <h1>Terms</h1>
    <p v-if="!terms && !problem" role="status">Looking up the terms…</p>
    <p v-if="terms && terms.length === 0">
      There is no term yet. Begin with <b>New term</b>: name its days, paste an outline, and the wall is there. Or open
      a plan file that was written before.
    </p>
    <ul v-if="terms" class="terms">
      <li v-for="term in listed" :key="term.id">
        <RouterLink :to="`/terms/${term.id}/${term.role === 'substitute' ? 'sheet' : 'wall'}`" class="name">{{
          term.name || "Term without a name"
        }}</RouterLink>
        <span v-if="term.role !== 'own'" class="soft">{{ term.role }}</span>
        <span class="soft">{{ span(term.first, term.last) }} {{ term.last.slice(0, 4) }}</span>
        <span class="sections">
          <RouterLink
            v-for="key in term.sections"
            :key="key"
            :to="{ path: `/terms/${term.id}/wall`, query: { section: key } }"
            >{{ key.replace("/", " ") }}</RouterLink
          >
        </span>
        <a
          v-if="term.role !== 'substitute'"
          :href="`/api/terms/${term.id}/plan`"
          :aria-label="`Plan file of ${term.name}, from ${dayMonth(term.first)}`"
          >plan file</a
        >
        <template v-if="term.role === 'own'">
          <a
            :href="`/api/terms/${term.id}/bundle?history=true`"
            title="the plan file, what is attached to things, and the history, as one .zip"
            :aria-label="`Bundle of ${term.name}, from ${dayMonth(term.first)}`"
            >bundle</a
          >
          <button
            type="button"
            class="btn quiet"
            :disabled="busy"
            :aria-label="`Archive ${term.name}`"
            @click="archive(term.id, true)"
          >
            archive
          </button>
          <button
            type="button"
            class="btn quiet"
            :disabled="busy"
            :aria-label="`Delete ${term.name}`"
            @click="askDelete(term.id)"
          >
            delete…
          </button>
        </template>
      </li>
    </ul>
    <details v-if="archived.length" class="away">
      <summary>Archived, {{ archived.length }}</summary>
      <ul class="terms">
        <li v-for="term in archived" :key="term.id">
          <RouterLink :to="`/terms/${term.id}/wall`" class="name">{{ term.name || "Term without a name" }}</RouterLink>
          <span class="soft grow">{{ span(term.first, term.last) }} {{ term.last.slice(0, 4) }}</span>
          <button type="button" class="btn quiet" :disabled="busy" @click="archive(term.id, false)">
            Back into the list
          </button>
        </li>
      </ul>
    </details>
    <details v-if="deleted.length" class="away">
      <summary>Deleted, {{ deleted.length }}</summary>
      <ul class="terms">
        <li v-for="term in deleted" :key="term.id">
          <b class="name">{{ term.name || "Term without a name" }}</b>
          <span class="soft grow">can be brought back until {{ weekdayDay(term.until) }}</span>
          <button type="button" class="btn quiet" :disabled="busy" @click="bringBack(term.id)">Bring back</button>
        </li>
      </ul>
    </details>
    <Dialog
      v-if="going"
      :visible="true"
      modal
      :header="`Delete ${going.goes.name || 'the term'}?`"
      :style="{ width: '460px' }"
      @update:visible="going = null"
    >
      <p>With it go {{ going.goes.parts.join(", ") || "its days" }}.</p>
      <p class="soft">Until {{ weekdayDay(going.goes.until) }} it can be brought back from the list of terms.</p>
      <div class="actions">
        <button type="button" class="btn quiet" autofocus @click="going = null">Keep it</button>
        <button type="button" class="btn go" @click="remove(going.id)">Delete</button>
      </div>
    </Dialog>
    <div v-if="problem" class="problem" role="alert">
      {{ problem }}
      <ul v-if="faults.length">
        <li v-for="(fault, n) in faults" :key="n">
          <span class="soft">line {{ fault.line }}, {{ fault.pointer || "the file" }}:</span> {{ fault.message }}
        </li>
      </ul>
    </div>
    <div class="actions begin">
      <RouterLink to="/new" class="btn go">New term</RouterLink>
      <button type="button" class="btn" :disabled="busy" @click="chooser?.click()">
        {{ busy ? "Opening…" : "Open a plan file or bundle" }}
      </button>
      <input
        ref="chooser"
        type="file"
        accept=".json,.zip,application/json,application/zip"
        class="vh"
        tabindex="-1"
        aria-label="Plan file"
        @change="open"
      />
    </div>
  </main>
</template>

<style scoped>
.terms {
  list-style: none;
  padding: 0;
  margin: 0 0 14px;
  border-top: 1px solid var(--ink);
}
.terms li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: baseline;
  padding: 8px 4px;
  border-bottom: 1px solid var(--rule);
}
.name {
  font-size: 15px;
  font-weight: 680;
}
.sections {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  flex: 1;
}
a {
  color: var(--ink);
  text-underline-offset: 3px;
  min-height: 24px;
}
a.btn.go {
  color: var(--paper);
}
.away {
  margin: 0 0 14px;
}
.grow {
  flex: 1;
}
.begin {
  justify-content: flex-start;
}
</style>
