<script setup lang="ts">
import { onMounted, ref, shallowRef } from "vue";
import { useRoute } from "vue-router";
import { type Schemas, api, ask } from "../api/client";
import Band from "../frame/Band.vue";
import { clock, count, span, weekdayDay } from "../ui/say";

/** What a substitute needs: the classes of some days, with their lessons and what is due. */
const route = useRoute();
const sheet = shallowRef<Schemas["Sheet"] | null>(null);
const problem = ref("");
onMounted(async () => {
  try {
    sheet.value = await ask(
      api.GET("/api/terms/{termId}/sheet", { params: { path: { termId: Number(route.params.termId) } } }),
    );
  } catch (e) {
    problem.value = (e as Error).message;
  }
});
</script>

<template>
  <Band />
  <main class="page">
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <template v-if="sheet">
      <h1>{{ sheet.course }} {{ sheet.section }}, {{ span(sheet.first, sheet.last) }}</h1>
      <p v-if="!sheet.classes.length">There is no class on these days.</p>
      <section v-for="c in sheet.classes" :key="c.start">
        <h2>
          {{ weekdayDay(c.start) }}, {{ clock(c.start) }} to {{ clock(c.end)
          }}<span v-if="c.place" class="soft">, {{ c.place }}</span>
        </h2>
        <p v-if="c.students" class="soft">{{ count(c.students, "student") }}</p>
        <p v-for="n in c.notes" :key="n" class="own">{{ n }}</p>
        <p v-for="l in c.lessons" :key="l">
          <b>{{ l }}</b>
        </p>
        <p v-if="!c.lessons.length" class="soft">nothing planned</p>
        <ol v-if="c.steps.length">
          <li v-for="s in c.steps" :key="s.at + s.text">
            <b>{{ clock(s.at) }}</b> <span class="soft">{{ s.minutes }} min</span> {{ s.text }}
          </li>
        </ol>
        <p v-if="c.links.length">
          <a v-for="l in c.links" :key="l.url" :href="l.url" target="_blank" rel="noopener noreferrer">{{
            l.title || l.url
          }}</a>
        </p>
        <p v-if="c.due.length" class="soft">Due: {{ c.due.join(", ") }}</p>
      </section>
    </template>
  </main>
</template>

<style scoped>
section {
  border-top: 1px solid var(--rule);
  padding: 8px 0;
}
p {
  margin: 2px 0;
}
.own {
  font-style: italic;
}
ol {
  list-style: none;
  margin: 4px 0;
  padding: 0;
}
a {
  color: inherit;
  margin-right: 10px;
}
</style>
