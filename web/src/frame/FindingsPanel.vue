<script setup lang="ts">
import Dialog from "../ui/Dialog.vue";
import { computed, onMounted, ref } from "vue";
import { type FindingView, api, ask } from "../api/client";
import type { ChangeState } from "../change/useChanges";

/** All findings of the term, those of the section that is looked at first, each with what mends it and where it is. */
const props = defineProps<{ state: Omit<ChangeState<unknown>, "load" | "view" | "shown">; here: string }>();
const emit = defineEmits<{ done: [] }>();

const findings = ref<FindingView[] | null>(null);
const wrong = ref("");
const only = ref("");
const severities = ["problem", "warning", "remark"] as const;

onMounted(async () => {
  try {
    findings.value = await ask(
      api.GET("/api/terms/{termId}/findings", { params: { path: { termId: props.state.termId } } }),
    );
  } catch (e) {
    wrong.value = (e as Error).message;
  }
});
const groups = computed(() => {
  const by = new Map<string, FindingView[]>();
  if (props.here) by.set(props.here, []);
  for (const f of findings.value ?? []) {
    if (!only.value || f.severity === only.value) by.set(f.section, [...(by.get(f.section) ?? []), f]);
  }
  return [...by].filter(([, list]) => list.length);
});
const counted = (severity: string) => (findings.value ?? []).filter((f) => f.severity === severity).length;
const thing = (f: FindingView) =>
  f.about === "lesson" ? `lesson:${f.id}` : ["item", "opens", "due", "closes"].includes(f.about) ? `item:${f.id}` : "";

async function mend(finding: FindingView) {
  emit("done");
  await props.state.propose(finding.mend!);
}
</script>

<template>
  <Dialog
    :visible="true"
    modal
    header="Findings"
    :style="{ width: '700px' }"
    dismissable-mask
    @update:visible="emit('done')"
  >
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <p v-else-if="!findings" role="status">Looking…</p>
    <template v-else>
      <p class="ticks" role="radiogroup" aria-label="Which findings">
        <label><input v-model="only" type="radio" value="" autofocus />all {{ findings.length }}</label>
        <label v-for="s in severities" :key="s"
          ><input v-model="only" type="radio" :value="s" />{{ counted(s) }} {{ s
          }}{{ counted(s) === 1 ? "" : "s" }}</label
        >
      </p>
      <p v-if="!groups.length">Nothing to mend.</p>
      <div v-for="[section, list] in groups" :key="section">
        <h2>{{ section.replace("/", " ") }}</h2>
        <ul class="list">
          <li v-for="(f, n) in list" :key="n">
            <b :class="{ look: f.severity === 'problem' }">{{ f.severity }}</b>
            <span class="grow">{{ f.sentence }}</span>
            <RouterLink
              v-if="thing(f)"
              class="do"
              :to="{ path: `/terms/${state.termId}/wall`, query: { section, thing: thing(f) } }"
              @click="emit('done')"
              >show</RouterLink
            >
            <button v-if="f.mend" type="button" class="btn" @click="mend(f)">Mend…</button>
          </li>
        </ul>
      </div>
    </template>
  </Dialog>
</template>

<style scoped>
.list {
  list-style: none;
  margin: 0 0 10px;
  padding: 0;
}
.list li {
  display: flex;
  gap: 10px;
  align-items: baseline;
  border-top: 1px solid var(--rule);
  padding: 4px 0;
}
.list b {
  width: 62px;
  flex: none;
}
.list a {
  color: inherit;
  text-underline-offset: 3px;
}
.grow {
  flex: 1;
}
</style>
