<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from "vue";
import { type Schemas, api, ask } from "../api/client";
import { store } from "../api/store";
import Band from "../frame/Band.vue";
import CoursesLinks from "../frame/CoursesLinks.vue";
import { count, moment } from "../ui/say";
import { useDoing } from "../ui/useDoing";

/** Files that belong to no course, and where those of all terms are used: what is held back from students is said there. */
type Used = Schemas["FileUsed"];
const view = shallowRef<Schemas["ShelfView"] | null>(null);
const { busy, problem, doing } = useDoing();
const said = ref("");
const held = ref(false);
const chooser = ref<HTMLInputElement>();
const look = async () => (view.value = await ask(api.GET("/api/shelf")));
onMounted(() => {
  document.title = "Files, Matsuri";
  void doing(look);
});
function put(event: Event) {
  const list = [...((event.target as HTMLInputElement).files ?? [])];
  said.value = "";
  return doing(async () => {
    try {
      for (const file of list) await store(`/api/shelf?name=${encodeURIComponent(file.name)}`, file);
      said.value = `Put on the shelf: ${list.map((f) => f.name).join(", ")}.`;
    } finally {
      if (chooser.value) chooser.value.value = "";
      await look();
    }
  });
}
function remove(id: number, name: string) {
  said.value = "";
  return doing(async () => {
    await ask(api.DELETE("/api/shelf/{id}", { params: { path: { id } } }));
    await look();
    said.value = `“${name}” is off the shelf. What uses it keeps it.`;
  });
}
const terms = computed(() => {
  const used = (view.value?.used ?? []).filter((u) => !held.value || !u.publish);
  return [...new Set(used.map((u) => u.termId))].map((id) => {
    const of = used.filter((u) => u.termId === id);
    return { id, name: of[0]!.term, of };
  });
});
const back = computed(() => view.value?.used.filter((u) => !u.publish).length ?? 0);
function comes(u: Used): string {
  if (!u.publish) return "held back: students never get it";
  if (u.from) return `from ${moment(u.from)} on`;
  if (u.with === "unit") return "when its unit begins";
  if (u.with) return `in the class of ${u.with}`;
  return u.what === "notice" ? "with the notice" : u.what === "unit" ? "when the unit begins" : "when it opens";
}
const place = (u: Used) => ({
  path: `/terms/${u.termId}/wall`,
  query: { section: `${u.course}/${u.section}`, thing: `${u.what}:${u.id}`, edit: "1" },
});
const size = (bytes: number) =>
  bytes < 1000
    ? `${bytes} B`
    : bytes < 1_000_000
      ? `${Math.round(bytes / 1000)} kB`
      : `${(bytes / 1_000_000).toFixed(1)} MB`;
</script>

<template>
  <Band><CoursesLinks here="/shelf" /></Band>
  <main class="page files">
    <h1>Files</h1>
    <p class="said" role="status">{{ busy && !view ? "Looking up the files…" : said }}</p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <section v-if="view" aria-labelledby="on-shelf">
      <h2 id="on-shelf">On the shelf</h2>
      <p class="soft">
        Files that belong to no course. Units, lessons, work and notices take them from here; what takes one has it for
        good.
      </p>
      <table v-if="view.files.length">
        <thead class="vh">
          <tr>
            <th scope="col">File</th>
            <th scope="col">Size</th>
            <th scope="col">What can be done</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="f in view.files" :key="f.id">
            <td>
              <a :href="`/api/shelf/${f.id}`" download>{{ f.name }}</a>
            </td>
            <td class="soft">{{ size(f.size) }}</td>
            <td>
              <button type="button" class="btn quiet" :aria-label="`Take ${f.name} off`" @click="remove(f.id, f.name)">
                take off
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-else class="soft">Nothing is on it yet.</p>
      <button type="button" class="btn" :disabled="busy" @click="chooser?.click()">
        {{ busy ? "storing…" : "Put files on the shelf" }}
      </button>
      <input
        ref="chooser"
        type="file"
        multiple
        class="vh"
        tabindex="-1"
        aria-label="Files for the shelf"
        @change="put"
      />
      <span class="soft"> One of the same name takes the place of the one that is there.</span>
    </section>
    <section v-if="view" aria-labelledby="in-use">
      <h2 id="in-use">In use</h2>
      <label v-if="back"
        ><input v-model="held" type="checkbox" /> only what is held back from students, {{ back }}</label
      >
      <p v-if="!terms.length" class="soft">
        Nothing has a file yet. Open a unit, a lesson, work or a notice on the wall to attach some.
      </p>
      <template v-for="t in terms" :key="t.id">
        <h3>
          {{ t.name }} <span class="soft">{{ count(t.of.length, "file") }}</span>
        </h3>
        <table>
          <thead class="vh">
            <tr>
              <th scope="col">File</th>
              <th scope="col">Where it is</th>
              <th scope="col">When students get it</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(u, n) in t.of" :key="n">
              <td>
                <a :href="`/api/terms/${u.termId}/files/${u.file}`" download>{{ u.name }}</a>
              </td>
              <td>
                {{ u.course }}, <RouterLink :to="place(u)">{{ u.title }}</RouterLink>
              </td>
              <td :class="u.publish ? 'soft' : 'look'">{{ comes(u) }}</td>
            </tr>
          </tbody>
        </table>
      </template>
    </section>
  </main>
</template>

<style scoped>
.files {
  max-width: 1000px;
}
section {
  border-top: 1px solid var(--ink);
  padding: 8px 0 18px;
}
table {
  width: 100%;
  border-collapse: collapse;
  margin-bottom: 8px;
}
td {
  border-bottom: 1px solid var(--rule);
  padding: 4px 10px 4px 0;
  vertical-align: baseline;
}
td:last-child {
  width: 250px;
}
td:first-child {
  width: 34%;
}
.files a {
  color: var(--ink);
}
h3 {
  margin: 12px 0 0;
  font-size: 13px;
}
.said {
  min-height: 18px;
  margin: 0;
}
</style>
