<script setup lang="ts">
import type { CalendarView } from "../api/client";
import { clock } from "../ui/say";

/** The days off as a list, with files in and out. */
defineProps<{ term: CalendarView }>();
const emit = defineEmits<{ open: [number]; paste: [] }>();
</script>

<template>
  <section class="sec">
    <h2>
      Days off
      <button type="button" class="do" @click="emit('paste')">paste a list or read a file</button>
    </h2>
    <p v-if="!term.closures.length" class="soft">
      None yet. Drag over days at the left, paste the school’s list, or take public holidays below.
    </p>
    <table v-else>
      <thead>
        <tr>
          <th scope="col">Days</th>
          <th scope="col">Reason</th>
          <th scope="col">For</th>
          <th scope="col">No class</th>
          <th scope="col">Nothing due</th>
          <th scope="col"><span class="vh">Change</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(c, n) in term.closures" :key="c.first + c.last + c.reason + n" :class="{ look: c.proposed }">
          <td>
            {{ c.days }}<template v-if="c.from && c.to">, {{ clock(c.from) }}–{{ clock(c.to) }}</template>
          </td>
          <td>{{ c.reason }}<span v-if="c.justInCase" class="soft"> not certain</span></td>
          <td>{{ c.only?.join(", ") ?? "everyone" }}</td>
          <td>{{ c.noClass ? "yes" : c.planPauses ? "lessons wait" : "no" }}</td>
          <td>{{ c.nothingDue ? "yes" : "no" }}</td>
          <td>
            <button v-if="!c.proposed" type="button" class="do" @click="emit('open', n)">
              change<span class="vh">{{ ` ${c.reason} ${c.days}` }}</span>
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="soft">
      Download:
      <a :href="`/api/terms/${term.termId}/days-off.ics`">days off .ics</a>,
      <a :href="`/api/terms/${term.termId}/days-off.csv`">.csv</a>,
      <a :href="`/api/terms/${term.termId}/classes.ics`">classes .ics</a>,
      <a :href="`/api/terms/${term.termId}/classes.csv`">.csv</a>,
      <a :href="`/api/terms/${term.termId}/plan`" download>the plan file</a>
    </p>
  </section>
</template>

<style scoped>
p {
  margin: 4px 0 0;
}
a {
  color: inherit;
  padding: 3px 0;
  display: inline-block;
}
</style>
