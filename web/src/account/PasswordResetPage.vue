<script setup lang="ts">
import { onMounted, ref } from "vue";
import { useRoute } from "vue-router";
import { api, ask } from "../api/client";
import { useDoing } from "../ui/useDoing";
import OpenPage from "./OpenPage.vue";

/** A forgotten password: a letter is asked for, and with its address another one is chosen. */
const route = useRoute();
const token = String(route.params.token ?? "");
const { problem, doing } = useDoing();
const name = ref("");
const password = ref("");
const whose = ref("");
const done = ref(false);

onMounted(async () => {
  document.title = "Another password, Matsuri";
  await doing(async () => {
    await ask(api.GET("/api/welcome"));
    if (!token) return;
    const of = await ask(api.GET("/api/password-resets/{token}", { params: { path: { token } } }));
    whose.value = of.signIn;
  });
});
async function write() {
  done.value = await doing(() => ask(api.POST("/api/password-resets", { body: { signIn: name.value } })));
}
async function replace() {
  done.value = await doing(() =>
    ask(api.PUT("/api/password-resets/{token}", { params: { path: { token } }, body: { password: password.value } })),
  );
}
</script>

<template>
  <OpenPage home="/sign-in" title="Another password" :problem="problem">
    <template v-if="done">
      <p v-if="token" role="status">
        It is changed, and you are signed out everywhere. <RouterLink to="/sign-in">Sign in</RouterLink> with it.
      </p>
      <p v-else role="status">
        If somebody signs in so and gave an address for mail in Preferences, a letter is on its way to it. It works
        once, for half an hour. If none comes, ask whoever runs this Matsuri: they can give you another password.
      </p>
    </template>
    <form v-else-if="!token" class="form" @submit.prevent="write">
      <p class="wide">
        A letter goes to the address that you gave in Preferences; with it you choose another password.
      </p>
      <label for="forgotten">Sign-in name</label>
      <input id="forgotten" v-model="name" class="field" required maxlength="100" autocomplete="username" />
      <div class="wide actions"><button type="submit" class="btn go">Write to me</button></div>
    </form>
    <form v-else-if="whose" class="form" @submit.prevent="replace">
      <p class="wide">
        For <b>{{ whose }}</b>: 10 characters or more, and none that is guessed in moments.
      </p>
      <input type="text" :value="whose" autocomplete="username" class="vh" tabindex="-1" aria-hidden="true" readonly />
      <label for="other">New password</label>
      <input
        id="other"
        v-model="password"
        class="field"
        type="password"
        required
        maxlength="72"
        autocomplete="new-password"
      />
      <div class="wide actions"><button type="submit" class="btn go">Change the password</button></div>
    </form>
    <p v-else-if="problem"><RouterLink to="/password-reset">Ask for another letter</RouterLink></p>
  </OpenPage>
</template>
