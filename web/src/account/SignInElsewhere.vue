<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from "vue";
import { useRoute } from "vue-router";
import { type Schemas, api, ask } from "../api/client";
import { useDoing } from "../ui/useDoing";
import PasswordAgain from "../ui/PasswordAgain.vue";

/** That one signs in elsewhere too, where there is an elsewhere: connecting the account with it, and taking that back. */
const route = useRoute();
const { busy, problem, doing } = useDoing();
const state = shallowRef<Schemas["OpenIdState"] | null>(null);
const asking = ref(false);
const said = ref("");
const CAME_BACK: Record<string, string> = {
  connected: "It is connected: from now on you may sign in there.",
  taken: "Nothing was connected: whoever signed in there has another account here.",
  unavailable: "Nothing was connected: it could not be kept just now. Try again.",
};

const cameBack = computed(() => CAME_BACK[String(route.query.elsewhere ?? "")] ?? "");
async function load() {
  state.value = await ask(api.GET("/api/me/openid"));
}
onMounted(() => doing(load));
async function connect(password: string) {
  await doing(async () => location.assign((await ask(api.POST("/api/me/openid", { body: { password } }))).address));
}
async function end(password: string) {
  await doing(async () => {
    await ask(api.POST("/api/me/openid/end", { body: { password } }));
    asking.value = false;
    said.value = "It is not connected any more: you sign in here.";
    await load();
  });
}
</script>

<template>
  <section v-if="state?.provider" aria-labelledby="p-elsewhere">
    <h2 id="p-elsewhere">Signing in with {{ state.provider }}</h2>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-else-if="said || cameBack" role="status">{{ said || cameBack }}</p>
    <PasswordAgain
      v-if="asking"
      :does="state.connected ? 'Disconnect it' : 'Go on'"
      :busy="busy"
      @given="state.connected ? end($event) : connect($event)"
      @leave="asking = false"
    />
    <template v-else>
      <p v-if="state.connected">
        <template v-if="!said && !cameBack">Connected.</template>
        <template v-if="!state.password"
          >You have no password here; with one you could sign in when {{ state.provider }} is not to be reached. Ask for
          one with “Password forgotten?” on the sign-in page.</template
        >
      </p>
      <p v-else class="soft">Not connected. Once it is, whoever signs in there as you is you here.</p>
      <button v-if="state.password" type="button" class="btn" @click="asking = true">
        {{ state.connected ? "Disconnect it" : "Connect it" }}
      </button>
    </template>
  </section>
</template>
