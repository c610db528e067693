<script setup lang="ts">
import Dialog from "../ui/Dialog.vue";
import { computed } from "vue";
import FoundCells from "./FoundCells.vue";
import { count } from "../ui/say";
import { injectDates } from "./useDates";
import type { Pasted } from "./useBlocks";

/** What was pasted, cell for cell beside what is understood of it. */
const props = defineProps<{ pasted: Pasted }>();
const emit = defineEmits<{ done: [] }>();
const state = injectDates();
const bad = computed(() => props.pasted.cells.filter((c) => !c.understood).length);

const rows = computed(() =>
  props.pasted.cells.map((c) => ({ texts: [c.title, c.column, c.text || "empty", c.said], wrong: !c.understood })),
);

async function propose() {
  if (props.pasted.change && (await state.propose(props.pasted.change, "always"))) emit("done");
}
</script>

<template>
  <Dialog :visible="true" modal header="Pasted dates" :style="{ width: '760px' }" @update:visible="emit('done')">
    <p role="status">
      <b>{{ count(pasted.cells.length - bad, "cell") }} understood</b
      ><template v-if="bad"
        >, <span class="look">{{ bad }} not, which {{ bad === 1 ? "stays" : "stay" }} as before</span></template
      >.
    </p>
    <FoundCells :heads="['What', 'Date', 'Pasted', 'Understood']" :rows="rows" />
    <div class="actions">
      <button type="button" class="btn quiet" @click="emit('done')">Discard</button>
      <button type="button" class="btn go" autofocus :disabled="!pasted.change || state.busy.value" @click="propose">
        See what it does
      </button>
    </div>
  </Dialog>
</template>

<style scoped>
.actions {
  display: flex;
  justify-content: flex-end;
  gap: 10px;
  margin-top: 10px;
}
</style>
