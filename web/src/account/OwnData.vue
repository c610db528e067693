<script setup lang="ts">
import { ref } from "vue";
import { useRouter } from "vue-router";
import { api, ask } from "../api/client";
import { useDoing } from "../ui/useDoing";

/** What is kept about who is signed in, and the end of their account. */
const router = useRouter();
const { problem, doing } = useDoing();
const closing = ref(false);
const password = ref("");
const to = ref("");

async function close() {
  const ok = await doing(() =>
    ask(api.POST("/api/me/closing", { body: { password: password.value, to: to.value.trim() } })),
  );
  if (ok) await router.push("/sign-in");
}
</script>

<template>
  <section aria-labelledby="p-data">
    <h2 id="p-data">What is kept about me</h2>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p>
      <a href="/api/me/data" download>All of it as a file</a>: the account, my steps, what I looked at, drafts and
      letters to me. Terms are files of their own.
    </p>
    <button v-if="!closing" type="button" class="btn" @click="closing = true">Close the account…</button>
    <form v-else @submit.prevent="close">
      <p>
        Nobody signs in as me any more, and my name stands nowhere but where others typed it. My terms go to somebody
        else; without one, delete them first and wait until they are gone. This cannot be undone.
      </p>
      <label class="line"
        ><span>My password</span>
        <input v-model="password" class="field" type="password" autocomplete="current-password" required
      /></label>
      <label class="line"
        ><span>Who has my terms (sign-in name)</span>
        <input v-model="to" class="field" autocomplete="off" maxlength="100" placeholder="nobody: I have none"
      /></label>
      <button type="button" class="btn quiet" @click="closing = false">leave it open</button>
      <button type="submit" class="btn">Close the account for good</button>
    </form>
  </section>
</template>

<style scoped>
a {
  color: inherit;
}
</style>
