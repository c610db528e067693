<script setup lang="ts">
import { computed, ref, watch } from "vue";
import { count, weekdayDay } from "../ui/say";
import { type LinkLine, useLinks } from "./useStudents";

/** The links of a section and of its students: made, copied, handed out, withdrawn, made anew. */
const props = defineProps<{ termId: number; course: string; section: string; students: number; places: string[] }>();
const { lines, problem, busy, load, make, withdraw, renew, withdrawAll, handOut } = useLinks(
  props.termId,
  () => props.course,
);
const said = ref("");
watch(
  () => props.course,
  () => load(),
  { immediate: true },
);
const here = computed(() => lines.value?.filter((l) => l.section === props.section) ?? []);
const page = computed(() => here.value.filter((l) => l.kind === "section"));
const others = computed(
  () => lines.value?.filter((l) => l.kind === "own" || l.kind === "place" || l.kind === "run") ?? [],
);
const people = computed(() => here.value.filter((l) => l.kind === "student"));
const open = computed(() => people.value.filter((l) => l.address));
const table = computed(
  () =>
    `/api/terms/${props.termId}/links/students.csv?course=${encodeURIComponent(props.course)}&section=${encodeURIComponent(props.section)}`,
);
const name = (line: LinkLine) =>
  ({
    own: "My own calendar",
    place: line.student,
    run: `Classes of ${line.student}${line.section ? `, section ${line.section}` : ""}`,
  })[line.kind] ?? `Page of section ${line.section}`;
/** The pages as files that open from a disk, to be kept after the term. */
const zip = (line: LinkLine) => `/api/terms/${props.termId}/links/${line.id}/pages.zip`;
const opened = (line: LinkLine) =>
  line.withdrawnOn
    ? `withdrawn ${weekdayDay(line.withdrawnOn)}`
    : line.lastUsedOn
      ? `opened ${weekdayDay(line.lastUsedOn)}`
      : "not opened yet";

async function copy(line: LinkLine | undefined) {
  if (!line?.address) return;
  try {
    await navigator.clipboard.writeText(line.address);
    said.value = "Copied. Paste it where the class looks.";
  } catch {
    said.value = line.address;
  }
}
/** The page of the class, made where there is none, into the clipboard. */
async function give() {
  await copy(page.value.find((l) => l.address) ?? (await make(props.section)));
}
/** One's own calendar, or when a place is taken, likewise. */
async function giveOther(of: { place?: string; own?: boolean }) {
  await copy(await make(props.section, of));
}
async function out(mail: boolean) {
  const done = await handOut(props.section, mail);
  if (!done) return;
  const without = done.withoutAddress ? ` ${count(done.withoutAddress, "student")} without an address.` : "";
  said.value = `${count(done.made, "link")} made${mail ? `, ${count(done.links - done.withoutAddress, "mail")} in the outbox` : ""}.${without}`;
}
</script>

<template>
  <section class="panel" aria-labelledby="links-head">
    <h2 id="links-head">Links</h2>
    <p class="row">
      <button type="button" class="btn go" :disabled="busy" @click="give">Copy the class's link</button>
      <button v-if="students" type="button" class="btn" :disabled="busy" @click="out(true)">
        Mail {{ count(students, "student") }} their own
      </button>
    </p>
    <p class="row">
      <button type="button" class="do" :disabled="busy" @click="giveOther({ own: true })">copy my own calendar</button>
      <button v-for="p in places" :key="p" type="button" class="do" :disabled="busy" @click="giveOther({ place: p })">
        copy when {{ p }} is taken
      </button>
    </p>
    <p v-if="said" role="status" class="said">{{ said }}</p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <table v-if="page.length || others.length">
      <tbody>
        <tr v-for="l in [...page, ...others]" :key="l.id" :class="{ gone: l.withdrawnOn }">
          <td>
            <a v-if="l.address" class="do" :href="l.address" target="_blank" rel="noopener">{{ name(l) }}</a>
            <s v-else>{{ name(l) }}</s>
          </td>
          <td class="soft">{{ opened(l) }}</td>
          <td>
            <button v-if="l.address" type="button" class="do" @click="copy(l)">copy</button>
            <button v-if="l.address" type="button" class="do" :disabled="busy" @click="withdraw(l.id)">withdraw</button>
            <button type="button" class="do" :disabled="busy" @click="renew(l.id)">make anew</button>
            <a v-if="l.address && l.kind === 'section'" class="do" :href="zip(l)" download>keep as .zip</a>
          </td>
        </tr>
      </tbody>
    </table>
    <details v-if="people.length">
      <summary>{{ count(open.length, "own link") }}, {{ people.filter((l) => l.lastUsedOn).length }} opened</summary>
      <p><a :href="table" download>Table with name, address and link (.csv)</a></p>
      <table>
        <tbody>
          <tr v-for="l in people" :key="l.id" :class="{ gone: l.withdrawnOn }">
            <td>{{ l.student }}</td>
            <td class="soft">{{ opened(l) }}</td>
            <td>
              <button v-if="l.address" type="button" class="do" @click="copy(l)">copy</button>
              <button v-if="l.address" type="button" class="do" :disabled="busy" @click="withdraw(l.id)">
                withdraw
              </button>
              <button type="button" class="do" :disabled="busy" @click="renew(l.id)">make anew</button>
            </td>
          </tr>
        </tbody>
      </table>
    </details>
    <p v-if="lines?.some((l) => l.address)">
      <button type="button" class="do" :disabled="busy" @click="withdrawAll">
        withdraw every link of {{ course }}
      </button>
    </p>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
table {
  width: 100%;
  border-collapse: collapse;
}
td {
  padding: 4px 6px 4px 0;
  border-top: 1px solid var(--rule);
  vertical-align: baseline;
}
td:last-child {
  text-align: right;
}
td .do {
  display: inline-block;
  min-height: 26px;
  line-height: 26px;
  margin-top: 2px;
  white-space: nowrap;
  margin-left: 8px;
}
.gone td:first-child {
  color: var(--ink-faint);
}
summary {
  cursor: pointer;
  padding: 4px 0;
}
</style>
