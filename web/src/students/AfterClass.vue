<script setup lang="ts">
import { ref } from "vue";
import type { Change, Schemas } from "../api/client";
import { weekdayDay } from "../ui/say";

/** Links and recordings of classes that are over: pasted, seen by students at once. */
const props = defineProps<{ course: string; section: string; classes: Schemas["PastClass"][]; busy: boolean }>();
const emit = defineEmits<{ put: [change: Change] }>();
const url = ref<Record<string, string>>({});
const more = ref(false);

function put(of: Schemas["PastClass"], links: Schemas["Link"][]) {
  emit("put", { kind: "put-session-links", course: props.course, section: props.section, session: of.session, links });
}
function add(of: Schemas["PastClass"]) {
  const at = url.value[of.session]?.trim();
  if (!at) return;
  put(of, [...of.links, { title: `Recording of ${weekdayDay(of.start.slice(0, 10))}`, url: at }]);
  url.value[of.session] = "";
}
/** What is pasted is added at once. */
function pasted(of: Schemas["PastClass"], event: ClipboardEvent) {
  const text = event.clipboardData?.getData("text").trim() ?? "";
  if (!/^https?:\/\/\S+$/.test(text)) return;
  event.preventDefault();
  url.value[of.session] = text;
  add(of);
}
</script>

<template>
  <section class="panel" aria-labelledby="after-head">
    <h2 id="after-head">After class</h2>
    <p class="soft">
      Paste the address of a recording or of notes beside its class: students see it with the class at once.
    </p>
    <form v-for="c in more ? classes : classes.slice(0, 3)" :key="c.session" @submit.prevent="add(c)">
      <p class="of">
        <b>{{ weekdayDay(c.start.slice(0, 10)) }}</b> {{ c.lessons || "class" }}
      </p>
      <p v-for="(l, n) in c.links" :key="n" class="link">
        <a :href="l.url" target="_blank" rel="noopener">{{ l.title || l.url }}</a>
        <button
          type="button"
          class="do"
          :disabled="busy"
          :aria-label="`Take ${l.title || l.url} away`"
          @click="
            put(
              c,
              c.links.filter((_, k) => k !== n),
            )
          "
        >
          take away
        </button>
      </p>
      <input
        v-model="url[c.session]"
        class="field"
        type="url"
        :aria-label="`Address to add to the class of ${weekdayDay(c.start.slice(0, 10))}`"
        placeholder="https://"
        autocomplete="off"
        @paste="pasted(c, $event)"
      />
      <button type="submit" class="btn" :disabled="busy || !url[c.session]?.trim()">Add</button>
    </form>
    <p v-if="!classes.length" class="soft">No class is over yet.</p>
    <p v-else-if="classes.length > 3 && !more">
      <button type="button" class="do" @click="more = true">earlier classes</button>
    </p>
  </section>
</template>

<style scoped>
form {
  border-top: 1px solid var(--rule);
  padding: 6px 0;
}
.of,
.link {
  margin: 0 0 2px;
}
.field {
  width: calc(100% - 70px);
}
</style>
