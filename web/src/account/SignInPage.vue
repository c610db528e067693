<script setup lang="ts">
import { computed, nextTick, onMounted, ref, shallowRef } from "vue";
import { useRoute, useRouter } from "vue-router";
import { ProblemError, type Schemas, api, ask, signIn } from "../api/client";
import Lantern from "../frame/Lantern.vue";
import { weekdayDay } from "../ui/say";

const route = useRoute();
const router = useRouter();
const welcome = shallowRef<Schemas["Welcome"] | null>(null);
const name = ref("");
const shownName = ref("");
const password = ref("");
const code = ref("");
/** Whether the password was right and the phone's code is asked for. */
const wanted = ref(false);
const factor = ref("");
const problem = ref("");
const busy = ref(false);
const first = computed(() => welcome.value?.firstVisit === true);
/** Why nobody was signed in who came back from elsewhere. */
const CAME_BACK: Record<string, string> = {
  refused: "You were not signed in there. Try again, or sign in here.",
  unavailable: "It cannot be reached just now. Try again later, or sign in here.",
  "no-account":
    "Whoever signed in there has no account here. If you have one, sign in here and connect it in Preferences; else ask whoever runs this Matsuri.",
  "no-room":
    "This Matsuri has as many accounts as it is set to have. Ask whoever runs it for more room; nothing was stored.",
  locked: "Whoever runs this Matsuri keeps your account out. Ask them.",
};
const begin = computed(() => `/api/openid/begin/provider?to=${encodeURIComponent(to())}`);

/** Where one was going, if that is one of our pages. */
function to(): string {
  const wanted = route.query.to;
  return typeof wanted === "string" && wanted.startsWith("/") && !wanted.startsWith("//") ? wanted : "/";
}

onMounted(async () => {
  problem.value = CAME_BACK[String(route.query.elsewhere ?? "")] ?? "";
  try {
    welcome.value = await ask(api.GET("/api/welcome"));
  } catch (e) {
    problem.value = (e as Error).message;
  }
});

async function enter(action: () => Promise<unknown>) {
  busy.value = true;
  problem.value = "";
  try {
    await action();
    await router.push(to());
  } catch (e) {
    if (e instanceof ProblemError && e.type.endsWith("/code-wanted")) return askForCode();
    problem.value = e instanceof ProblemError ? e.message : "Signing in did not work. Try again.";
  } finally {
    busy.value = false;
  }
}

async function askForCode() {
  wanted.value = true;
  await nextTick();
  document.getElementById("factor")?.focus();
}

function submit() {
  return enter(() =>
    first.value
      ? ask(
          api.POST("/api/accounts", {
            body: { signIn: name.value, displayName: shownName.value, password: password.value, code: code.value },
          }),
        )
      : signIn(name.value, password.value, factor.value.trim()),
  );
}
</script>

<template>
  <main class="gate">
    <div class="weave" aria-hidden="true">
      <span v-for="n in 6" :key="n" class="thread" :class="[`c${n - 1}`, `p${n - 1}`]"></span>
    </div>
    <section class="entry">
      <h1><Lantern /> Matsuri</h1>
      <p class="soft">A term whose dates follow.</p>
      <template v-if="welcome?.demo">
        <p><b>The demo.</b> Everyone in it is made up; today is {{ weekdayDay(welcome.today) }}.</p>
        <button
          v-for="who in welcome.demoSignIns"
          :key="who.signIn"
          type="button"
          class="btn go demo"
          :disabled="busy"
          @click="enter(() => signIn(who.signIn, who.password))"
        >
          Enter as {{ who.displayName }} <span class="what">{{ who.what }}</span>
        </button>
        <p v-if="!welcome.elsewhere" class="soft">or sign in by hand</p>
      </template>
      <template v-if="welcome?.elsewhere && !first">
        <a :href="begin" class="btn go elsewhere">Sign in with {{ welcome.elsewhere }}</a>
        <p class="soft">or with a name and password of this Matsuri</p>
      </template>
      <p v-if="first"><b>The first visit.</b> Make the account that this Matsuri belongs to.</p>
      <form class="form" @submit.prevent="submit">
        <label for="sign-in">Sign-in name</label>
        <input id="sign-in" v-model="name" class="field" autocomplete="username" required maxlength="100" />
        <template v-if="first">
          <label for="shown">Your name, as shown</label>
          <input id="shown" v-model="shownName" class="field" autocomplete="name" required maxlength="100" />
        </template>
        <label for="password">Password</label>
        <input
          id="password"
          v-model="password"
          class="field"
          type="password"
          :autocomplete="first ? 'new-password' : 'current-password'"
          required
          maxlength="72"
        />
        <p v-if="first" class="wide soft">
          A password of ten characters or more. It cannot be looked up later, so note it down.
        </p>
        <template v-if="first">
          <label for="code">Code</label>
          <input id="code" v-model="code" class="field" autocomplete="off" required maxlength="100" />
          <p class="wide soft">The server printed it when it started, such as ABCD-2345.</p>
        </template>
        <template v-if="wanted">
          <p class="wide">Type the code that your phone shows for Matsuri, or one of your recovery codes.</p>
          <label for="factor">Code</label>
          <input
            id="factor"
            v-model="factor"
            class="field"
            inputmode="numeric"
            autocomplete="one-time-code"
            required
            maxlength="30"
          />
        </template>
        <p v-if="problem" class="problem wide" role="alert">{{ problem }}</p>
        <div class="wide actions">
          <button type="submit" class="btn go" :disabled="busy">{{ first ? "Make the account" : "Sign in" }}</button>
          <RouterLink v-if="!first" to="/password-reset" class="soft">Password forgotten?</RouterLink>
        </div>
      </form>
    </section>
  </main>
</template>

<style scoped>
.gate {
  flex: 1;
  display: flex;
  align-items: center;
  justify-content: center;
  position: relative;
  overflow: auto;
  padding: 20px;
}
.weave {
  position: absolute;
  inset: 0;
  display: flex;
  flex-direction: column;
  justify-content: space-around;
  opacity: 0.28;
}
.entry {
  position: relative;
  width: 400px;
  max-width: 100%;
  background: var(--paper-raised);
  border: 1px solid var(--rule-firm);
  border-top: 3px solid var(--ink);
  padding: 18px 22px;
}
h1 {
  display: flex;
  gap: 8px;
  align-items: center;
  margin: 0;
}
p {
  margin: 6px 0 10px;
}
.demo {
  display: flex;
  width: 100%;
  margin-bottom: 6px;
  justify-content: space-between;
}
.elsewhere {
  display: flex;
  justify-content: center;
  align-items: center;
  text-decoration: none;
}
.what {
  font-weight: 400;
}
</style>
