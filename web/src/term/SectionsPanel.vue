<script setup lang="ts">
import type { CalendarView } from "../api/client";
import { count } from "../ui/say";

/** Courses with their sections, and what can be done about them. */
defineProps<{ term: CalendarView }>();
const emit = defineEmits<{
  edit: [course: string, section: string];
  course: [string];
  classes: [course: string, section: string];
  book: [];
  roster: [course: string, section: string];
  timetable: [];
}>();
const at = (beat?: string | null) =>
  beat === "daily" ? "a lesson each teaching day" : beat ? "a lesson a week" : "no meetings yet";
</script>

<template>
  <section class="sec">
    <h2>
      Courses and sections
      <span class="side">
        <button type="button" class="do" @click="emit('book')">grade book</button>
        <button type="button" class="do add" @click="emit('timetable')">read the timetable (.ics)</button>
        <button type="button" class="do add" @click="emit('course', '')">add a course</button>
      </span>
    </h2>
    <p v-if="!term.courses.length" class="soft">None yet. Add a course, or read your timetable.</p>
    <table v-for="c in term.courses" :key="c.code">
      <thead>
        <tr>
          <th scope="colgroup" colspan="4">
            <b class="code">{{ c.code }}</b> {{ c.title === c.code ? "" : c.title
            }}<span v-if="c.asks || c.requiredMinutes"
              >, {{ c.asks || `${c.requiredMinutes?.toLocaleString("en-US")} minutes asked` }}</span
            >
            <button type="button" class="do side-do" @click="emit('course', c.code)">
              change<span class="vh">{{ ` ${c.code}` }}</span>
            </button>
            <button type="button" class="do side-do" @click="emit('edit', c.code, '')">
              add a section<span class="vh"> to {{ c.code }}</span>
            </button>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="s in term.sections.filter((x) => x.course === c.code)" :key="s.section">
          <td>
            <b>{{ s.section }}</b>
          </td>
          <td>
            <div v-for="m in s.meets" :key="m">{{ m }}</div>
            <div v-if="!s.meets.length">{{ at(s.beat) }}</div>
            <div v-if="s.partOf || s.instructor" class="soft">
              {{ [s.partOf && `half of ${s.partOf}`, s.instructor].filter(Boolean).join(", ") }}
            </div>
          </td>
          <td>
            <button type="button" class="do" @click="emit('roster', c.code, s.section)">
              {{ s.students ? count(s.students, "student") : "add students"
              }}<span class="vh"> of {{ c.code }} {{ s.section }}</span>
            </button>
          </td>
          <td class="r">
            <button type="button" class="do" @click="emit('classes', c.code, s.section)">
              {{ count(s.sessions, "class", "classes") }}<span class="vh"> of {{ c.code }} {{ s.section }}</span>
            </button>
            <button type="button" class="do side-do" @click="emit('edit', c.code, s.section)">
              change<span class="vh">{{ ` ${c.code} ${s.section}` }}</span>
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
table + table {
  margin-top: 6px;
}
.code {
  color: var(--ink);
}
.side-do,
.add {
  margin-left: 12px;
}
</style>
