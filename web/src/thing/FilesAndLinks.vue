<script setup lang="ts">
import { ref } from "vue";
import { type Schemas, ProblemError } from "../api/client";
import { cookie } from "../api/cookie";
import DateField from "../ui/DateField.vue";

/** Links that are kept as links, and files that are stored with the data. */
type Link = Schemas["PlanLink"];
type FileUse = Schemas["PlanFile"];
const props = defineProps<{
  termId: number;
  linksOnly?: boolean;
  /** With whose classes a file can come. */
  lessons?: { id: string; title: string }[];
}>();
const links = defineModel<Link[]>("links", { required: true });
const files = defineModel<FileUse[]>("files", { default: () => [] });
const chooser = ref<HTMLInputElement>();
const wrong = ref("");
const busy = ref(false);

const MOST = 8_000_000;
async function choose(event: Event) {
  const list = [...((event.target as HTMLInputElement).files ?? [])];
  wrong.value = "";
  busy.value = true;
  try {
    for (const file of list) {
      if (file.size > MOST)
        throw new ProblemError(
          413,
          "too-large",
          `“${file.name}” has more than 8 MB. Put it where students can open it and keep the link.`,
        );
      const response = await fetch(`/api/terms/${props.termId}/files?name=${encodeURIComponent(file.name)}`, {
        method: "POST",
        headers: { "X-XSRF-TOKEN": cookie("XSRF-TOKEN"), "Content-Type": "application/octet-stream" },
        body: file,
      });
      const body = (await response.json().catch(() => ({}))) as Schemas["FileKept"] & { detail?: string };
      if (!response.ok) throw new ProblemError(response.status, "file-refused", body.detail ?? "The file was refused.");
      files.value = [...files.value.filter((f) => f.file !== body.file), { file: body.file, name: body.name }];
    }
  } catch (e) {
    wrong.value = e instanceof ProblemError ? e.message : "The server does not answer. The file was not stored.";
  } finally {
    busy.value = false;
    if (chooser.value) chooser.value.value = "";
  }
}
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
        <option value="no">not for publishing</option>
      </select>
      <span v-if="f.publish !== false" class="from">
        <select
          class="field"
          :value="release(f)"
          :aria-label="`${f.name}: from when`"
          @change="setRelease(n, value($event))"
        >
          <option value="">when it opens</option>
          <option value="unit">when its unit begins</option>
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
    <button v-if="!linksOnly" type="button" class="do" :disabled="busy" @click="chooser?.click()">
      {{ busy ? "storing…" : "add a file" }}
    </button>
    <button type="button" class="do" @click="links = [...links, { url: '' }]">add a link</button>
    <input
      v-if="!linksOnly"
      ref="chooser"
      type="file"
      multiple
      class="vh"
      tabindex="-1"
      aria-label="Files"
      @change="choose"
    />
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
