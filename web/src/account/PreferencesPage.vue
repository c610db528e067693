<script setup lang="ts">
import { onMounted, ref, shallowRef } from "vue";
import { type Schemas, api, ask } from "../api/client";
import { display, me, prefer, show } from "../api/me";
import KindsShown from "../draw/KindsShown.vue";
import Band from "../frame/Band.vue";
import CoursesLinks from "../frame/CoursesLinks.vue";
import { count } from "../ui/say";
import { useDoing } from "../ui/useDoing";
import OwnData from "./OwnData.vue";
import SecondFactor from "./SecondFactor.vue";
import SignInElsewhere from "./SignInElsewhere.vue";

/** How a person reads times and weeks, what they are shown and reminded of, their password and where they are signed in. */
const { problem, doing } = useDoing();
const said = ref("");
const now = ref("");
const password = ref("");
const sessions = shallowRef<Schemas["OpenSession"][]>([]);

async function keep(action: () => Promise<unknown>, what: string) {
  said.value = "";
  if (await doing(action)) said.value = what;
}
const set = (more: Partial<Schemas["Preferences"]>) =>
  keep(() => prefer({ ...me.value!.preferences, ...more }), "Kept.");
const look = (more: Partial<Schemas["Display"]>) => keep(() => show(more), "Kept.");
async function list() {
  const found = await ask(api.GET("/api/me/sessions"));
  sessions.value = found;
}
onMounted(() => {
  document.title = "Preferences, Matsuri";
  void doing(list);
});
function mute(before: string) {
  const was = display.value.mutedReminders;
  void look({ mutedReminders: was.includes(before) ? was.filter((b) => b !== before) : [...was, before] });
}
async function change() {
  await keep(async () => {
    await ask(api.PUT("/api/me/password", { body: { now: now.value, password: password.value } }));
    await list();
    now.value = "";
    password.value = "";
  }, "Your password is changed. Everywhere else you are signed out.");
}
async function end(name: string) {
  await keep(async () => {
    await ask(api.DELETE("/api/me/sessions/{name}", { params: { path: { name } } }));
    await list();
  }, "Signed out there.");
}
const moment = (iso: string) =>
  new Intl.DateTimeFormat("en-GB", {
    day: "numeric",
    month: "short",
    hour: "numeric",
    minute: "2-digit",
    hour12: me.value?.preferences.twelveHours ?? false,
  }).format(new Date(iso));
/** "Chromium on Linux", of what a browser says of itself. */
function browserOf(says: string): string {
  const names: [RegExp, string][] = [
    [/Edg\//, "Edge"],
    [/Firefox\//, "Firefox"],
    [/Chrom(e|ium)\//, "Chromium or Chrome"],
    [/Safari\//, "Safari"],
  ];
  const systems: [RegExp, string][] = [
    [/Android/, "Android"],
    [/iPhone|iPad/, "iPhone or iPad"],
    [/Windows/, "Windows"],
    [/Mac OS/, "macOS"],
    [/Linux/, "Linux"],
  ];
  const name = names.find(([is]) => is.test(says))?.[1] ?? "some program";
  const system = systems.find(([is]) => is.test(says))?.[1];
  return system ? `${name} on ${system}` : name;
}
const BEFORE: [string, string][] = [
  ["opens", "something opens"],
  ["due", "something is due"],
  ["closes", "something closes"],
  ["session", "a class"],
  ["booking", "a booking of office hours"],
];
const LANDINGS: [string, string][] = [
  ["wall", "the wall of the term that runs, else the terms"],
  ["terms", "the list of terms"],
  ["courses", "all courses"],
  ["days", "days"],
  ["due", "what is due"],
];
</script>

<template>
  <Band><CoursesLinks here="/preferences" /></Band>
  <main v-if="me" class="page prefs">
    <h1>Preferences</h1>
    <p class="said" role="status">{{ said }}</p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <section aria-labelledby="p-read">
      <h2 id="p-read">Times and weeks</h2>
      <fieldset>
        <legend>Clock</legend>
        <label v-for="twelve in [false, true]" :key="`${twelve}`"
          ><input
            type="radio"
            name="clock"
            :checked="me.preferences.twelveHours === twelve"
            @change="set({ twelveHours: twelve })"
          />{{ twelve ? "5:00 pm" : "17:00" }}</label
        >
      </fieldset>
      <fieldset>
        <legend>Weeks begin on</legend>
        <label v-for="[day, name] in [['MO', 'Monday'] as const, ['SU', 'Sunday'] as const]" :key="day"
          ><input
            type="radio"
            name="week"
            :checked="me.preferences.weekStart === day"
            @change="set({ weekStart: day })"
          />{{ name }}</label
        >
      </fieldset>
      <p class="soft">
        In months, over all courses and for new terms. The weeks of a term begin as its Term view says.
      </p>
    </section>
    <section aria-labelledby="p-look">
      <h2 id="p-look">Looks</h2>
      <fieldset>
        <legend>Theme</legend>
        <label
          v-for="[theme, name] in [
            ['system', 'as the machine has it'],
            ['light', 'light'],
            ['dark', 'dark'],
          ] as const"
          :key="theme"
          ><input type="radio" name="theme" :checked="display.theme === theme" @change="look({ theme })" />{{
            name
          }}</label
        >
      </fieldset>
      <fieldset>
        <legend>Walls</legend>
        <label
          v-for="[density, name] in [
            ['wide', 'as wide as there is room'],
            ['close', 'close-set'],
          ] as const"
          :key="density"
          ><input type="radio" name="density" :checked="display.density === density" @change="look({ density })" />{{
            name
          }}</label
        >
      </fieldset>
      <label class="line"
        ><span>After signing in</span>
        <select
          class="field"
          :value="display.landing"
          @change="look({ landing: ($event.target as HTMLSelectElement).value })"
        >
          <option v-for="[where, name] in LANDINGS" :key="where" :value="where">{{ name }}</option>
        </select></label
      >
    </section>
    <section aria-labelledby="p-shown">
      <h2 id="p-shown">Shown on walls and days</h2>
      <KindsShown />
    </section>
    <section aria-labelledby="p-remind">
      <h2 id="p-remind">Reminders</h2>
      <label class="line"
        ><span>Before my next class</span>
        <select
          class="field"
          :value="me.preferences.classReminder ?? ''"
          @change="set({ classReminder: Number(($event.target as HTMLSelectElement).value) || undefined })"
        >
          <option value="">no reminder</option>
          <option v-for="m in [5, 10, 15, 30, 60]" :key="m" :value="m">{{ m }} minutes before, on the screen</option>
        </select></label
      >
      <label class="line"
        ><span>My mail address</span>
        <input
          class="field"
          type="email"
          placeholder="none: no reminders by mail"
          :value="me.preferences.mail ?? ''"
          @change="set({ mail: ($event.target as HTMLInputElement).value })"
        />
      </label>
      <fieldset>
        <legend>By mail, where a course has a reminder to who teaches, before</legend>
        <label v-for="[before, name] in BEFORE" :key="before"
          ><input
            type="checkbox"
            :checked="!display.mutedReminders.includes(before)"
            :disabled="!me.preferences.mail"
            @change="mute(before)"
          />{{ name }}</label
        >
      </fieldset>
    </section>
    <section aria-labelledby="p-pass">
      <h2 id="p-pass">Password</h2>
      <form @submit.prevent="change">
        <input
          type="text"
          :value="me.signIn"
          autocomplete="username"
          class="vh"
          tabindex="-1"
          aria-hidden="true"
          readonly
        />
        <label class="line"
          ><span>The one I have now</span>
          <input v-model="now" class="field" type="password" autocomplete="current-password" required
        /></label>
        <label class="line"
          ><span>The new one, 10 characters or more</span>
          <input v-model="password" class="field" type="password" autocomplete="new-password" required
        /></label>
        <button type="submit" class="btn">Change the password</button>
      </form>
    </section>
    <SecondFactor />
    <SignInElsewhere />
    <section aria-labelledby="p-sess">
      <h2 id="p-sess">Signed in</h2>
      <p v-if="!sessions.length" class="soft">Nowhere that is known of.</p>
      <ul v-else :aria-label="count(sessions.length, 'place')">
        <li v-for="s in sessions" :key="s.name">
          <span>{{ browserOf(s.browser) }}</span>
          <span class="soft">since {{ moment(s.since) }}, last used {{ moment(s.last) }}</span>
          <b v-if="s.here">here</b>
          <button v-else type="button" class="btn quiet" @click="end(s.name)">sign out there</button>
        </li>
      </ul>
    </section>
    <OwnData />
  </main>
</template>

<style scoped>
.prefs {
  max-width: 880px;
}
:deep(section),
section {
  border-top: 1px solid var(--ink);
  padding: 8px 0 14px;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
}
legend {
  float: left;
  width: 190px;
  padding: 0;
}
fieldset label {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  min-height: 28px;
}
:deep(.line),
.line {
  display: flex;
  gap: 0 16px;
  align-items: center;
  min-height: 34px;
  flex-wrap: wrap;
}
:deep(.line > span),
.line > span {
  width: 190px;
}
:deep(.line .field),
.line .field {
  min-width: 240px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  align-items: center;
  min-height: 30px;
  border-bottom: 1px solid var(--rule);
}
li > :last-child {
  margin-left: auto;
}
.said {
  min-height: 18px;
  margin: 0;
}
</style>
