<script setup lang="ts">
import { useRouter } from "vue-router";
import { signOut } from "../api/client";
import Popover from "primevue/popover";
import { ref } from "vue";
import { me } from "../api/me";
import NextClass from "./NextClass.vue";
import TryingBar from "./TryingBar.vue";
import Lantern from "./Lantern.vue";

const router = useRouter();
const own = ref<InstanceType<typeof Popover>>();

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
        title="preferences, and signing out"
        aria-haspopup="dialog"
        @click="own?.toggle($event)"
      >
        <span class="w">{{ me.displayName }}</span><span class="n" aria-hidden="true">…</span>
      </button>
      <Popover ref="own">
        <div v-if="me" class="own">
          <RouterLink to="/preferences" class="ln" @click="own?.hide()">Preferences</RouterLink>
          <RouterLink to="/courses" class="ln" @click="own?.hide()">All courses</RouterLink>
          <button type="button" class="btn" @click="leave">Sign out</button>
        </div>
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
  min-width: 140px;
}
.own .ln {
  color: var(--ink);
  min-height: 24px;
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
