<script setup lang="ts">
import { computed, ref } from "vue";
import type { Change, Schemas } from "../api/client";
import RuleField from "../ui/RuleField.vue";
import { injectWall } from "../change/useWall";
import { DATES } from "./dates";

/** Other dates of a thing for one section or one student; a student's are private. */
const props = defineProps<{ course: string; item: string; lesson: string; sections: Schemas["PlanSection"][] }>();
const emit = defineEmits<{ done: [] }>();
const { propose, problem, busy, termId } = injectWall();

/** "A" for a section, "A/4101" for a student of it; empty while nobody is chosen. */
const who = ref("");
const dates = ref<Pick<Schemas["PlanAdjustment"], "opens" | "due" | "closes">>({});
const why = ref("");

const given = computed(() =>
  props.sections.flatMap((s) =>
    (s.adjustments ?? [])
      .filter((a) => a.item === props.item)
      .map((a) => ({
        key: a.student ? `${s.code}/${a.student}` : s.code,
        name: a.student
          ? `${s.students?.find((x) => x.id === a.student)?.name ?? a.student}, ${s.code}`
          : `section ${s.code}`,
        adjustment: a,
      })),
  ),
);
function open(key: string) {
  who.value = key;
  const was = given.value.find((g) => g.key === key)?.adjustment;
  dates.value = { opens: was?.opens, due: was?.due, closes: was?.closes };
  why.value = was?.why ?? "";
}
async function send(take: boolean) {
  const [section = "", student] = who.value.split("/");
  const some = Object.fromEntries(DATES.map(([w]) => [w, dates.value[w]]).filter(([, rule]) => rule));
  const adjustment = {
    item: props.item,
    ...(student ? { student } : {}),
    ...(take ? {} : some),
    ...(why.value.trim() && !take ? { why: why.value.trim() } : {}),
  };
  const change: Change = { kind: "put-adjustment", course: props.course, section, adjustment };
  if (await propose(change)) emit("done");
}
</script>

<template>
  <details class="other">
    <summary>
      {{ given.length ? `${given.length} with other dates` : "Other dates for a section or a student" }}
    </summary>
    <p v-for="g in given" :key="g.key">
      {{ g.name }}<span v-if="g.adjustment.why" class="soft">, {{ g.adjustment.why }}</span>
      <button type="button" class="do" @click="open(g.key)">change</button>
    </p>
    <div class="grid">
      <label for="other-who">For</label>
      <select id="other-who" class="field" :value="who" @change="open(($event.target as HTMLSelectElement).value)">
        <option value="">choose</option>
        <optgroup v-for="s in sections" :key="s.code" :label="`Section ${s.code}`">
          <option :value="s.code">all of section {{ s.code }}</option>
          <option v-for="x in s.students ?? []" :key="x.id" :value="`${s.code}/${x.id}`">{{ x.name }}</option>
        </optgroup>
      </select>
      <template v-if="who">
        <template v-for="[which, name] in DATES" :key="which + who">
          <label :for="`other-${which}`">{{ name }}</label>
          <RuleField
            :id="`other-${which}`"
            v-model="dates[which]"
            :term-id="termId"
            :course="course"
            :lesson="lesson"
            :which="which"
            empty="as the others"
          />
        </template>
        <label for="other-why">Why</label>
        <input id="other-why" v-model="why" class="field" maxlength="500" placeholder="private" />
        <p v-if="problem" class="problem wide" role="alert">{{ problem }}</p>
        <div class="wide actions">
          <button type="button" class="btn" :disabled="busy || !given.some((g) => g.key === who)" @click="send(true)">
            Take back
          </button>
          <button type="button" class="btn" :disabled="busy" @click="send(false)">Give these dates</button>
        </div>
      </template>
    </div>
  </details>
</template>

<style scoped>
.other {
  padding: 6px 0;
}
.other p {
  margin: 4px 0;
}
.grid {
  display: grid;
  grid-template-columns: 76px 1fr;
  gap: 6px 10px;
  align-items: center;
  padding-top: 6px;
}
.grid .wide {
  grid-column: 1 / -1;
}
.actions {
  display: flex;
  gap: 10px;
}
</style>
