<script setup lang="ts">
import type { Schemas } from "../api/client";
import { span } from "../ui/say";

/** How long each unit took, term by term, as a table. */
defineProps<{ course: string; units: Schemas["LookUnit"][] }>();
</script>

<template>
  <div class="scroll">
    <table>
      <caption class="vh">
        How long each unit of
        {{
          course
        }}
        took, term by term
      </caption>
      <thead>
        <tr>
          <th scope="col">Unit</th>
          <th scope="col">Term</th>
          <th scope="col">Planned</th>
          <th scope="col">Taught</th>
          <th scope="col">Sessions</th>
          <th scope="col">From, to</th>
          <th scope="col">Weeks</th>
          <th scope="col">Teaching weeks</th>
          <th scope="col">Lost</th>
          <th scope="col">Tests</th>
          <th scope="col">Why</th>
        </tr>
      </thead>
      <tbody v-for="u in units" :key="u.id">
        <tr v-for="(r, n) in u.rows" :key="r.termId">
          <th v-if="n === 0" scope="rowgroup" :rowspan="u.rows.length">{{ u.code }} {{ u.title }}</th>
          <td>{{ r.term }}</td>
          <td>{{ r.planned }}</td>
          <td>{{ r.taught }}</td>
          <td>{{ r.sessions }}</td>
          <td>{{ r.first && r.last ? span(r.first, r.last) : "" }}</td>
          <td>{{ r.weeks }}</td>
          <td>{{ r.teachingWeeks }}</td>
          <td>{{ r.lost.join("; ") }}</td>
          <td>{{ r.tests.join("; ") }}</td>
          <td>{{ r.notes.join(". ") }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.scroll {
  overflow: auto;
}
table {
  border-collapse: collapse;
  font-size: 13px;
  width: 100%;
}
.scroll th,
.scroll td {
  text-align: left;
  vertical-align: top;
  padding: 3px 10px;
  border-bottom: 1px solid var(--rule);
}
</style>
