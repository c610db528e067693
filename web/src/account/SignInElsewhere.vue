<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from "vue";
import { useRoute } from "vue-router";
import { type Schemas, api, ask } from "../api/client";
import { useDoing } from "../ui/useDoing";

/** That one signs in elsewhere too, where there is an elsewhere: connecting the account with it, and taking that back. */
const route = useRoute();
const { busy, problem, doing } = useDoing();
const state = shallowRef<Schemas["OpenIdState"] | null>(null);
const asking = ref(false);
const password = ref("");
const said = ref("");
const CAME_BACK: Record<string, string> = {
  connected: "It is connected: from now on you may sign in there.",
  taken: "Nothing was connected: whoever signed in there has another account here.",
};

const cameBack = computed(() => CAME_BACK[String(route.query.elsewhere ?? "")] ?? "");
async function load() {
  state.value = await ask(api.GET("/api/me/openid"));
}
onMounted(() => doing(load));
const again = () => ({ body: { password: password.value } });
function leave() {
  asking.value = false;
  password.value = "";
}
async function connect() {
  await doing(async () => location.assign((await ask(api.POST("/api/me/openid", again()))).address));
}
async function end() {
  await doing(async () => {
    await ask(api.POST("/api/me/openid/end", again()));
    leave();
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
    <form v-if="asking" @submit.prevent="state.connected ? end() : connect()">
      <label class="line"
        ><span>Your password, once more</span>
        <input v-model="password" class="field" type="password" autocomplete="current-password" required
      /></label>
      <button type="submit" class="btn" :disabled="busy">{{ state.connected ? "Disconnect it" : "Go on" }}</button>
      <button type="button" class="btn quiet" @click="leave">leave it as it is</button>
    </form>
    <template v-else>
      <p v-if="state.connected">
        Connected.
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
