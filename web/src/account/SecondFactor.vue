<script setup lang="ts">
import { onMounted, ref, shallowRef } from "vue";
import { type Schemas, api, ask } from "../api/client";
import { count } from "../ui/say";
import { useDoing } from "../ui/useDoing";
import PasswordAgain from "../ui/PasswordAgain.vue";

/** The second factor of who is signed in: off, a key that waits for its first code, codes on paper, on. */
const { busy, problem, doing } = useDoing();
const state = shallowRef<Schemas["FactorState"] | null>(null);
const begun = shallowRef<Schemas["Begun"] | null>(null);
const paper = shallowRef<string[]>([]);
const asking = ref(false);
const code = ref("");
const said = ref("");

async function load() {
  state.value = await ask(api.GET("/api/me/second-factor"));
}
onMounted(() => doing(load));
function afresh() {
  asking.value = false;
  begun.value = null;
  paper.value = [];
  code.value = "";
  said.value = "";
}
async function begin(password: string) {
  await doing(async () => {
    const made = await ask(api.POST("/api/me/second-factor", { body: { password } }));
    afresh();
    begun.value = made;
  });
}
async function confirm() {
  await doing(async () => {
    const made = await ask(api.PUT("/api/me/second-factor", { body: { code: code.value } }));
    afresh();
    paper.value = made.codes;
    await load();
  });
}
async function end(password: string) {
  await doing(async () => {
    await ask(api.POST("/api/me/second-factor/end", { body: { password } }));
    afresh();
    said.value = "It is off: name and password are enough again.";
    await load();
  });
}
</script>

<template>
  <section aria-labelledby="p-factor">
    <h2 id="p-factor">Second factor</h2>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="said" role="status">{{ said }}</p>
    <template v-if="paper.length">
      <p role="status">
        It is on. Note these codes down: each signs you in once when the phone is not at hand. They are not shown again.
      </p>
      <ol class="codes">
        <li v-for="one in paper" :key="one">{{ one }}</li>
      </ol>
      <button type="button" class="btn" @click="afresh">I have noted them down</button>
    </template>
    <form v-else-if="begun" class="key" @submit.prevent="confirm">
      <svg :viewBox="`0 0 ${begun.size} ${begun.size}`" role="img" aria-label="The key as a QR code">
        <rect :width="begun.size" :height="begun.size" fill="#fff" />
        <path :d="begun.picture" fill="#000" shape-rendering="crispEdges" />
      </svg>
      <div>
        <p>
          Read this with a program on your phone that makes codes by the time, or type the key into it:
          <code>{{ begun.key.replace(/(.{4})(?=.)/g, "$1 ") }}</code>
        </p>
        <label class="line"
          ><span>The code that it shows</span>
          <input v-model="code" class="field" inputmode="numeric" autocomplete="one-time-code" required maxlength="30"
        /></label>
        <button type="submit" class="btn go">Turn it on</button>
        <button type="button" class="btn quiet" @click="afresh">leave it off</button>
      </div>
    </form>
    <PasswordAgain
      v-else-if="asking"
      :does="state?.on ? 'Turn it off' : 'Go on'"
      :busy="busy"
      @given="state?.on ? end($event) : begin($event)"
      @leave="afresh"
    />
    <template v-else-if="state">
      <p v-if="state.on">
        On: whoever signs in as you needs your phone as well. {{ count(state.codesLeft, "recovery code") }} left.
      </p>
      <p v-else class="soft">Off. With it, signing in needs a code of your phone besides the password.</p>
      <button type="button" class="btn" @click="asking = true">{{ state.on ? "Turn it off" : "Turn it on" }}</button>
    </template>
  </section>
</template>

<style scoped>
.key {
  display: flex;
  flex-wrap: wrap;
  gap: 18px;
  align-items: flex-start;
}
.key > div {
  flex: 1 1 320px;
}
svg {
  width: 190px;
  height: 190px;
}
code {
  display: block;
  font-size: 1.1em;
  letter-spacing: 0.04em;
  margin-top: 4px;
  overflow-wrap: anywhere;
}
.codes {
  columns: 2;
  max-width: 420px;
  font-family: monospace;
  font-size: 1.05em;
}
</style>
