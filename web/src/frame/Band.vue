<script setup lang="ts">
import { useRouter } from "vue-router";
import { signOut } from "../api/client";
import { me } from "../app/me";
import TryingBar from "../whatif/TryingBar.vue";
import Lantern from "./Lantern.vue";

const router = useRouter();

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
      <button type="button" class="plain who" :title="`Signed in as ${me?.displayName ?? ''}: sign out`" @click="leave">
        <span class="w">{{ me?.displayName }}</span><span class="vh">, </span><span class="out">Sign out</span>
      </button>
    </div>
  </header>
  <TryingBar />
</template>
