<script setup lang="ts">
import Dialog from "primevue/dialog";
import { computed } from "vue";
import type { Change, FindingView, WallView } from "../api/client";
import { injectWall } from "./useWall";

/** All findings of the term, those of the shown section first, each with what mends it. */
const props = defineProps<{ wall: WallView }>();
const visible = defineModel<boolean>("visible", { required: true });
const { propose } = injectWall();

const here = computed(() => `${props.wall.section.course}/${props.wall.section.section}`);
const groups = computed(() => {
  const by = new Map<string, FindingView[]>();
  by.set(here.value, []);
  for (const f of props.wall.findings) by.set(f.section, [...(by.get(f.section) ?? []), f]);
  return [...by].filter(([, list]) => list.length);
});
async function mend(finding: FindingView) {
  visible.value = false;
  await propose(finding.mend as unknown as Change);
}
</script>

<template>
  <Dialog v-model:visible="visible" modal header="Findings" :style="{ width: '640px' }" dismissable-mask>
    <p v-if="!groups.length">Nothing to mend.</p>
    <div v-for="[section, list] in groups" :key="section">
      <h2>{{ section.replace("/", " ") }}</h2>
      <ul class="list">
        <li v-for="(f, n) in list" :key="n">
          <b :class="{ look: f.severity === 'problem' }">{{ f.severity }}</b>
          <span class="grow">{{ f.sentence }}</span>
          <button v-if="f.mend" type="button" class="btn" @click="mend(f)">Mend…</button>
        </li>
      </ul>
    </div>
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
.grow {
  flex: 1;
}
</style>
