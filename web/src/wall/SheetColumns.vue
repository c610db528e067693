<script setup lang="ts">
import type { Schemas } from "../api/client";

/** How the columns of a sheet were taken, each with what stands in its first cells; another meaning is chosen above it. */
defineProps<{ columns: Schemas["OutlineColumn"][]; meanings: string[] }>();
const emit = defineEmits<{ choose: [number: number, meaning: string] }>();
</script>

<template>
  <div class="scroll" tabindex="0" role="group" aria-label="Columns of the sheet">
    <table>
      <thead>
        <tr>
          <th v-for="c in columns" :key="c.number" scope="col" :class="{ none: c.meaning === 'not taken' }">
            <select
              class="field"
              :value="c.meaning"
              :aria-label="`Column ${c.number}${c.head ? `, ${c.head}` : ''}`"
              @change="emit('choose', c.number, ($event.target as HTMLSelectElement).value)"
            >
              <option v-for="m in meanings" :key="m">{{ m }}</option>
            </select>
            <span class="head" :title="c.head">{{ c.head || "no head" }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="at in 2" :key="at">
          <td v-for="c in columns" :key="c.number" :title="c.samples[at - 1]">{{ c.samples[at - 1] ?? "" }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
  margin: 6px 0;
}
table {
  border-collapse: collapse;
}
th,
td {
  border: 1px solid var(--rule);
  padding: 2px 6px;
  text-align: left;
  font-weight: normal;
  max-width: 150px;
  min-width: 92px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
td {
  color: var(--ink-soft);
  height: 22px;
}
th.none {
  border-top: 3px solid var(--lamp);
}
select {
  width: 100%;
  font-weight: 650;
}
.head {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
