<script setup lang="ts">
import { ref } from "vue";
import { type Schemas, ProblemError, api, ask } from "../api/client";
import { store } from "../api/store";
import DateField from "../ui/DateField.vue";

/** Links that are kept as links, and files that are stored with the data. */
type Link = Schemas["PlanLink"];
type FileUse = Schemas["PlanFile"];
const props = defineProps<{
  termId: number;
  /** With whose classes a file can come. */
  lessons?: { id: string; title: string }[];
  /** When a file comes of which nothing else is said. */
  opens?: string;
  /** It belongs to no unit with which a file could come. */
  noUnit?: boolean;
}>();
const links = defineModel<Link[]>("links", { required: true });
const files = defineModel<FileUse[]>("files", { default: () => [] });
const chooser = ref<HTMLInputElement>();
const wrong = ref("");
const busy = ref(false);

/** The file that the next one chosen takes the place of; null to add. */
let instead: string | null = null;
function open(inPlaceOf: string | null) {
  instead = inPlaceOf;
  chooser.value?.click();
}
/** Adds a file, or puts it where another was, with what was said of that one. */
function keep(kept: Schemas["FileKept"]) {
  const was = instead;
  instead = null;
  const fresh = { file: kept.file, name: kept.name };
  const others = files.value.filter((f) => f.file === was || f.file !== kept.file);
  files.value = others.some((f) => f.file === was)
    ? others.map((f) => (f.file === was ? { ...f, ...fresh } : f))
    : [...others, fresh];
}
async function storing(action: () => Promise<void>) {
  wrong.value = "";
  busy.value = true;
  try {
    await action();
  } catch (e) {
    wrong.value = e instanceof ProblemError ? e.message : "The server does not answer. The file was not stored.";
  } finally {
    busy.value = false;
    if (chooser.value) chooser.value.value = "";
  }
}
function choose(event: Event) {
  const list = [...((event.target as HTMLInputElement).files ?? [])];
  return storing(async () => {
    for (const file of list)
      keep(
        await store<Schemas["FileKept"]>(
          `/api/terms/${props.termId}/files?name=${encodeURIComponent(file.name)}`,
          file,
        ),
      );
  });
}
/** What is on the shelf; null until it is looked at. */
const shelf = ref<Schemas["OnShelf"][] | null>(null);
const look = () => storing(async () => void (shelf.value = (await ask(api.GET("/api/shelf"))).files));
const take = (event: Event) =>
  storing(async () => {
    const id = Number(value(event));
    if (!id) return;
    keep(await ask(api.POST("/api/terms/{termId}/shelf/{id}", { params: { path: { termId: props.termId, id } } })));
    shelf.value = null;
  });
const setFile = (n: number, more: Partial<FileUse>) =>
  (files.value = files.value.map((f, at) => (at === n ? { ...f, ...more } : f)));
/** A file that is to come at a date that is not given yet. */
const dated = ref(new Set<string>());
const release = (f: FileUse) =>
  f.from || dated.value.has(f.file) ? "date" : !f.with ? "" : f.with === "unit" ? "unit" : `lesson:${f.with}`;
function setRelease(n: number, how: string) {
  const file = files.value[n]!.file;
  if (how === "date") dated.value.add(file);
  else dated.value.delete(file);
  const lesson = how.startsWith("lesson:") ? how.slice(7) : undefined;
  setFile(n, { from: undefined, with: how === "unit" ? "unit" : lesson });
}
const setLink = (n: number, more: Partial<Link>) =>
  (links.value = links.value.map((l, at) => (at === n ? { ...l, ...more } : l)));
const value = (event: Event) => (event.target as HTMLInputElement).value;
</script>

<template>
  <div class="fl">
    <div v-for="(f, n) in files" :key="f.file" class="line">
      <a :href="`/api/terms/${termId}/files/${f.file}`" download>{{ f.name }}</a>
      <select
        class="field"
        :value="f.publish === false ? 'no' : 'yes'"
        :aria-label="`${f.name}: for whom`"
        @change="setFile(n, { publish: value($event) === 'yes' ? undefined : false })"
      >
        <option value="yes">for students</option>
        <option value="no">held back: not for publishing</option>
      </select>
      <span v-if="f.publish !== false" class="from">
        <select
          class="field"
          :value="release(f)"
          :aria-label="`${f.name}: from when`"
          @change="setRelease(n, value($event))"
        >
          <option value="">{{ opens ?? "when it opens" }}</option>
          <option v-if="!noUnit" value="unit">when its unit begins</option>
          <option value="date">from a date on</option>
          <option v-for="l in lessons" :key="l.id" :value="`lesson:${l.id}`">in the class of {{ l.title }}</option>
        </select>
        <DateField
          v-if="release(f) === 'date'"
          :id="`file-from-${n}`"
          :model-value="f.from ?? ''"
          :term-id="termId"
          time="start"
          empty="when it opens"
          :label="`${f.name}: from when; empty for when it opens`"
          @update:model-value="setFile(n, { from: $event || undefined })"
        />
      </span>
      <button type="button" class="do" :aria-label="`Replace ${f.name}`" @click="open(f.file)">replace</button>
      <button
        type="button"
        class="do"
        :aria-label="`Remove ${f.name}`"
        @click="files = files.filter((_, at) => at !== n)"
      >
        remove
      </button>
    </div>
    <div v-for="(l, n) in links" :key="n" class="line">
      <input
        class="field"
        :value="l.title ?? ''"
        placeholder="what it is called"
        :aria-label="`Link ${n + 1}: name`"
        @input="setLink(n, { title: value($event) || undefined })"
      />
      <input
        class="field url"
        type="url"
        required
        pattern="(https?|mailto):.+"
        :value="l.url"
        placeholder="https://"
        :aria-label="`Link ${n + 1}: address`"
        @input="setLink(n, { url: value($event) })"
      />
      <button
        type="button"
        class="do"
        :aria-label="`Remove link ${n + 1}`"
        @click="links = links.filter((_, at) => at !== n)"
      >
        remove
      </button>
    </div>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <button type="button" class="do" :disabled="busy" @click="open(null)">
      {{ busy ? "storing…" : "add files" }}
    </button>
    <select v-if="shelf?.length" class="field" aria-label="A file of the shelf" @change="take">
      <option value="">which?</option>
      <option v-for="f in shelf" :key="f.id" :value="f.id">{{ f.name }}</option>
    </select>
    <span v-else-if="shelf" class="soft">The shelf is empty.</span>
    <button v-else type="button" class="do" :disabled="busy" @click="look">from the shelf</button>
    <button type="button" class="do" @click="links = [...links, { url: '' }]">add a link</button>
    <input ref="chooser" type="file" multiple class="vh" tabindex="-1" aria-label="Files" @change="choose" />
  </div>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 5px 10px;
  align-items: center;
  padding: 2px 0;
}
.line a {
  color: inherit;
  flex: 1;
  min-width: 140px;
}
.url {
  flex: 1;
  min-width: 160px;
}
.fl > .do {
  margin-right: 14px;
}
</style>
