<script setup lang="ts">
import { useRouter } from "vue-router";
import { signOut } from "../api/client";
import Popover from "primevue/popover";
import { ref } from "vue";
import type { Schemas } from "../api/client";
import { me, prefer } from "../api/me";
import { useDoing } from "../ui/useDoing";
import NextClass from "./NextClass.vue";
import TryingBar from "./TryingBar.vue";
import Lantern from "./Lantern.vue";

const router = useRouter();
const own = ref<InstanceType<typeof Popover>>();
const { problem, doing } = useDoing();

function set(more: Partial<Schemas["Preferences"]>) {
  void doing(() => prefer({ ...me.value!.preferences, ...more }));
}

async function leave() {
  await signOut();
  me.value = null;
  await router.push("/sign-in");
}
</script>

<template>
  <header class="band">
    <RouterLink to="/" class="brand" aria-label="Matsuri, all terms"
      ><Lantern /><span class="w">Matsuri</span></RouterLink
    >
    <div v-if="$slots.course" class="course"><slot name="course" /></div>
    <slot />
    <div class="right">
      <slot name="right" />
      <button
        v-if="me"
        type="button"
        class="plain who"
        title="how you read times and weeks"
        aria-haspopup="dialog"
        @click="own?.toggle($event)"
      >
        <span class="w">{{ me.displayName }}</span><span class="n" aria-hidden="true">…</span>
      </button>
      <Popover ref="own">
        <form v-if="me" class="own" @submit.prevent>
          <fieldset>
            <legend>Clock</legend>
            <label
              ><input
                type="radio"
                name="clock"
                :checked="!me.preferences.twelveHours"
                @change="set({ twelveHours: false })"
              />17:00</label
            >
            <label
              ><input
                type="radio"
                name="clock"
                :checked="me.preferences.twelveHours"
                @change="set({ twelveHours: true })"
              />5:00 pm</label
            >
          </fieldset>
          <fieldset>
            <legend>Weeks begin on</legend>
            <label
              ><input
                type="radio"
                name="week"
                :checked="me.preferences.weekStart === 'MO'"
                @change="set({ weekStart: 'MO' })"
              />Monday</label
            >
            <label
              ><input
                type="radio"
                name="week"
                :checked="me.preferences.weekStart === 'SU'"
                @change="set({ weekStart: 'SU' })"
              />Sunday</label
            >
          </fieldset>
          <p class="soft">In months and for new terms. The weeks of a term begin as its Term view says.</p>
          <fieldset>
            <legend>Before my next class</legend>
            <label
              ><select
                class="field"
                aria-label="Remind me before my next class"
                :value="me.preferences.classReminder ?? ''"
                @change="set({ classReminder: Number(($event.target as HTMLSelectElement).value) || undefined })"
              >
                <option value="">no reminder</option>
                <option v-for="m in [5, 10, 15, 30, 60]" :key="m" :value="m">{{ m }} minutes before</option>
              </select></label
            >
          </fieldset>
          <fieldset>
            <legend>My mail address</legend>
            <input
              class="field"
              type="email"
              aria-label="My mail address"
              placeholder="for reminders to who teaches"
              :value="me.preferences.mail ?? ''"
              @change="set({ mail: ($event.target as HTMLInputElement).value })"
            />
          </fieldset>
          <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
          <button type="button" class="btn" @click="leave">Sign out</button>
        </form>
      </Popover>
    </div>
  </header>
  <NextClass />
  <TryingBar />
</template>

<style scoped>
.own {
  display: grid;
  gap: 8px;
  max-width: 260px;
}
.own fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  gap: 14px;
}
.own legend {
  font-weight: 680;
}
.own label {
  display: inline-flex;
  gap: 5px;
  align-items: center;
}
.own p {
  margin: 0;
}
.who .n {
  display: none;
}
@media (max-width: 1120px) {
  .who .n {
    display: inline-block;
    min-width: 24px;
    text-align: center;
  }
}
</style>
