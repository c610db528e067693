<script setup lang="ts">
import { onMounted, ref, shallowRef } from "vue";
import { useRoute, useRouter } from "vue-router";
import { type Schemas, api, ask, signIn } from "../api/client";
import { me } from "../api/me";
import OpenPage from "./OpenPage.vue";

/** An invitation to a colleague's term: taken with one's account, or with a new one. */
const route = useRoute();
const router = useRouter();
const token = String(route.params.token);
const invitation = shallowRef<Schemas["InvitationView"] | null>(null);
const name = ref("");
const password = ref("");
const problem = ref("");
const busy = ref(false);
const path = { token };
const SAID: Record<string, string> = {
  "co-teacher": "to teach it together: you may change everything in it",
  reader: "to look at it",
  substitute: "to take some of its classes",
};

onMounted(async () => {
  try {
    me.value = await ask(api.GET("/api/me")).catch(() => null);
    invitation.value = await ask(api.GET("/api/invitations/{token}", { params: { path } }));
  } catch (e) {
    problem.value = (e as Error).message;
  }
});
async function doing(action: () => Promise<unknown>) {
  busy.value = true;
  problem.value = "";
  try {
    await action();
    me.value = await ask(api.GET("/api/me"));
    await router.push("/");
  } catch (e) {
    problem.value = (e as Error).message;
  } finally {
    busy.value = false;
  }
}
const take = () => doing(() => ask(api.POST("/api/invitations/{token}/take", { params: { path } })));
const takeWithAccount = () =>
  doing(async () => {
    await ask(
      api.POST("/api/invitations/{token}/account", {
        params: { path },
        body: { signIn: name.value, password: password.value },
      }),
    );
    await signIn(name.value, password.value);
  });
</script>

<template>
  <OpenPage home="/" title="Invitation" :problem="problem">
    <template v-if="invitation">
      <p>
        Dear {{ invitation.name }}, {{ invitation.by }} invites you to <b>{{ invitation.term || "a term" }}</b>,
        {{ SAID[invitation.role] }}.
      </p>
      <p v-if="invitation.taken">
        It was taken already. <RouterLink to="/sign-in">Sign in</RouterLink> with the account that took it.
      </p>
      <p v-else-if="me">
        <button type="button" class="btn go" :disabled="busy" @click="take">Take it as {{ me.displayName }}</button>
      </p>
      <form v-else class="form" @submit.prevent="takeWithAccount">
        <p class="wide">
          Choose a sign-in name and a password. If you have an account here,
          <RouterLink :to="{ path: '/sign-in', query: { to: route.fullPath } }">sign in first</RouterLink>.
        </p>
        <label for="invited-name">Sign-in name</label>
        <input id="invited-name" v-model="name" class="field" required maxlength="100" autocomplete="username" />
        <label for="invited-password">Password</label>
        <input
          id="invited-password"
          v-model="password"
          class="field"
          type="password"
          required
          minlength="10"
          maxlength="72"
          autocomplete="new-password"
        />
        <div class="wide actions">
          <button type="submit" class="btn go" :disabled="busy">Take the invitation</button>
        </div>
      </form>
    </template>
  </OpenPage>
</template>
