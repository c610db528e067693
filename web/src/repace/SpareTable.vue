<script setup lang="ts">
import type { Schemas } from "../api/client";

/** What if more classes are lost: how many each unit can bear. */
const props = defineProps<{
  spare: Schemas["WaySpare"][];
  units: Schemas["WayUnit"][];
  looks: ReadonlyMap<string, string[]>;
}>();
const unitOf = (id: string) => props.units.find((u) => u.id === id);
const bears = (s: Schemas["WaySpare"]) => (s.bears === 0 ? "none" : s.bears === s.classes ? "all" : s.bears);
</script>

<template>
  <section class="spare">
    <h3>What if more classes are lost?</h3>
    <table class="moves">
      <thead>
        <tr>
          <th scope="col">Unit</th>
          <th scope="col">Classes to come</th>
          <th scope="col">Can lose, with the best repair</th>
          <th scope="col">One lost costs</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="s in spare" :key="s.unit">
          <td>
            <b class="code" :class="looks.get(s.unit)">{{ unitOf(s.unit)?.code }}</b> {{ unitOf(s.unit)?.title }}
          </td>
          <td>{{ s.classes }}</td>
          <td :class="{ look: !s.bears }">{{ bears(s) }}</td>
          <td>{{ s.costs.toLocaleString("en") }}</td>
        </tr>
      </tbody>
    </table>
    <p class="soft">
      Can lose: before a required lesson finds no class. The lost ones are taken from the unit’s first on.
    </p>
  </section>
</template>

<style scoped>
.spare {
  padding: 14px;
  max-width: 760px;
}
.spare h3 {
  margin: 0 0 6px;
  font-size: 15px;
}
</style>
