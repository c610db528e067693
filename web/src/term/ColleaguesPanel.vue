<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from "vue";
import { type CalendarView, type Schemas, api, ask } from "../api/client";
import OutboxDialog from "../mail/OutboxDialog.vue";
import DateField from "../ui/DateField.vue";
import PasswordAgain from "../ui/PasswordAgain.vue";
import { clock, count, moment, span } from "../ui/say";

/** Who else may change or see this term, and the simulated outbox with their invitations. */
const props = defineProps<{ term: CalendarView }>();
type Line = Schemas["ColleagueLine"];
const lines = shallowRef<Line[] | null>(null);
const outbox = ref(false);
const inviting = ref(false);
const role = ref<"co-teacher" | "reader" | "substitute">("co-teacher");
const name = ref("");
const mail = ref("");
const section = ref("");
const first = ref("");
const last = ref("");
const problem = ref("");
const busy = ref(false);
const path = computed(() => ({ termId: props.term.termId }));
const SAID: Record<string, string> = {
  "co-teacher": "may change everything",
  reader: "may look",
  substitute: "sees the classes of",
};

const handing = shallowRef<Line | null>(null);
const said = ref("");
const looks = shallowRef<Schemas["Look"][] | null>(null);

async function load() {
  // a colleague sees the term, not who else does
  lines.value = await ask(api.GET("/api/terms/{termId}/colleagues", { params: { path: path.value } })).catch(
    () => null,
  );
}
onMounted(load);

async function doing(action: () => Promise<unknown>) {
  busy.value = true;
  problem.value = "";
  try {
    await action();
    await load();
    return true;
  } catch (e) {
    problem.value = (e as Error).message;
    return false;
  } finally {
    busy.value = false;
  }
}
async function invite() {
  const at = section.value.lastIndexOf("/");
  const part =
    role.value === "substitute"
      ? {
          course: section.value.slice(0, at),
          section: section.value.slice(at + 1),
          first: first.value,
          last: last.value,
        }
      : {};
  const ok = await doing(() =>
    ask(
      api.POST("/api/terms/{termId}/colleagues", {
        params: { path: path.value },
        body: { role: role.value, name: name.value, mail: mail.value, ...part },
      }),
    ),
  );
  if (ok) {
    inviting.value = false;
    name.value = "";
    mail.value = "";
  }
}
async function look() {
  looks.value = looks.value ? null : await ask(api.GET("/api/terms/{termId}/looks", { params: { path: path.value } }));
}
function hand(line: Line | null) {
  handing.value = line;
  said.value = "";
}
async function handOver(password: string) {
  const to = handing.value!;
  const ok = await doing(() =>
    ask(
      api.POST("/api/terms/{termId}/colleagues/{colleagueId}/ownership", {
        params: { path: { ...path.value, colleagueId: to.id } },
        body: { password },
      }),
    ),
  );
  if (!ok) return;
  hand(null);
  said.value = `The term is ${to.name}’s now; you teach it together as before.`;
}
function withdraw(line: Line) {
  return doing(() =>
    ask(
      api.DELETE("/api/terms/{termId}/colleagues/{colleagueId}", {
        params: { path: { ...path.value, colleagueId: line.id } },
      }),
    ),
  );
}

/** "Wed 7 Oct, 09:00 to 10:30": from one moment to another, said once where they are the same minute. */
function during(first: string, last: string): string {
  if (moment(first) === moment(last)) return moment(first);
  return `${moment(first)} to ${first.slice(0, 10) === last.slice(0, 10) ? clock(last) : moment(last)}`;
}
</script>

<template>
  <p v-if="said" role="status">{{ said }}</p>
  <section v-if="lines" class="sec">
    <h2>
      Colleagues
      <span class="side">
        <button v-if="lines.length" type="button" class="do" :aria-expanded="!!looks" @click="doing(look)">
          who looked
        </button>
        <button type="button" class="do more" @click="outbox = true">outbox</button>
        <button type="button" class="do more" @click="inviting = !inviting">invite someone</button>
      </span>
    </h2>
    <p v-if="!lines.length && !inviting" class="soft">
      Nobody else. A co-teacher may change the term, a reader may look, a substitute sees some days of one section.
    </p>
    <table v-if="lines.length">
      <tbody>
        <tr v-for="l in lines" :key="l.id">
          <td>
            <b>{{ l.name }}</b>
          </td>
          <td>
            {{ SAID[l.role] }}
            {{ l.course && l.first && l.last ? `${l.course} ${l.section}, ${span(l.first, l.last)}` : "" }}
          </td>
          <td class="soft">{{ l.accepted ? "joined" : "invited" }}</td>
          <td class="r">
            <button
              v-if="l.accepted && l.role === 'co-teacher'"
              type="button"
              class="do"
              :disabled="busy"
              @click="hand(l)"
            >
              hand over…<span class="vh"> the term to {{ l.name }}</span>
            </button>
            <button type="button" class="do more" :disabled="busy" @click="withdraw(l)">
              take back<span class="vh"> the invitation of {{ l.name }}</span>
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <template v-if="handing">
      <p>
        The term becomes <b>{{ handing.name }}</b>’s, with its links and its history; you stay as a co-teacher, and only
        they can hand it back.
      </p>
      <PasswordAgain does="Hand it over" :busy="busy" @given="handOver" @leave="hand(null)" />
    </template>
    <template v-if="looks">
      <p v-if="!looks.length" class="soft">Nobody but you has looked at it yet.</p>
      <table v-else aria-label="Who looked">
        <tbody>
          <tr v-for="l in looks" :key="l.name + l.first">
            <td>
              <b>{{ l.name }}</b>
            </td>
            <td>{{ during(l.first, l.last) }}</td>
            <td class="soft">{{ count(l.times, "request") }}</td>
          </tr>
        </tbody>
      </table>
      <p class="soft">Kept for 400 days. Who changed what stands in the history.</p>
    </template>
    <form v-if="inviting" class="form" @submit.prevent="invite">
      <label for="col-name">Name</label>
      <input id="col-name" v-model="name" class="field" required maxlength="100" />
      <label for="col-mail">Mail</label>
      <input id="col-mail" v-model="mail" class="field" type="email" required maxlength="200" />
      <label for="col-role">May</label>
      <select id="col-role" v-model="role" class="field">
        <option value="co-teacher">change everything (co-teacher)</option>
        <option value="reader">look (reader)</option>
        <option value="substitute">see some days of a section (substitute)</option>
      </select>
      <template v-if="role === 'substitute'">
        <label for="col-section">Section</label>
        <select id="col-section" v-model="section" class="field" required>
          <option v-for="s in term.sections" :key="s.course + s.section" :value="`${s.course}/${s.section}`">
            {{ s.course }} {{ s.section }}
          </option>
        </select>
        <label for="col-first">From</label>
        <DateField id="col-first" v-model="first" :term-id="term.termId" />
        <label for="col-last">To</label>
        <DateField id="col-last" v-model="last" :term-id="term.termId" />
      </template>
      <div class="wide actions">
        <button type="button" class="btn quiet" @click="inviting = false">Leave it</button>
        <button type="submit" class="btn go" :disabled="busy">Invite</button>
      </div>
    </form>
    <OutboxDialog v-if="outbox" @close="outbox = false" />
  </section>
</template>

<style scoped>
p {
  margin: 4px 0;
}
.more {
  margin-left: 12px;
}
</style>
