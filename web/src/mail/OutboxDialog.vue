<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from "vue";
import { type Schemas, api, ask } from "../api/client";
import Dialog from "../ui/Dialog.vue";
import { moment } from "../ui/say";
import { useDoing } from "../ui/useDoing";

/** Every letter of the workspace, as it went out or would have. */
const emit = defineEmits<{ close: [] }>();
type Mail = Schemas["Mail"];
const mails = shallowRef<Mail[] | null>(null);
const chosen = ref<number | null>(null);
const page = ref("");
const { busy, problem, doing } = useDoing();
const mail = computed(() => mails.value?.find((m) => m.id === chosen.value) ?? mails.value?.[0]);
const STATES: Record<string, string> = {
  waiting: "waits",
  sending: "goes out now",
  sent: "",
  failed: "not taken by the mail server",
  missed: "missed: its moment passed while the server was down",
  unsure: "may have gone out: the server stopped meanwhile",
};

async function load() {
  mails.value = await ask(api.GET("/api/outbox"));
  if (mail.value) await look(mail.value);
}
onMounted(() => doing(load));

async function look(of: Mail) {
  chosen.value = of.id;
  page.value = of.html
    ? await ask(api.GET("/api/outbox/{id}/page", { params: { path: { id: of.id } }, parseAs: "text" }))
    : "";
}
const again = (of: Mail) =>
  doing(async () => {
    await ask(api.POST("/api/outbox/{id}/again", { params: { path: { id: of.id } } }));
    await load();
  });
const parts = (body: string) => body.split(/(\/invitation\/\S+|https?:\/\/[^\s>]+)/);
const address = (part: string) => /^(\/invitation\/|https?:)/.test(part);
</script>

<template>
  <Dialog
    :visible="true"
    modal
    header="Outbox"
    :style="{ width: '900px' }"
    dismissable-mask
    @update:visible="emit('close')"
  >
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p v-if="mails && !mails.length">Nothing was sent yet.</p>
    <div v-else-if="mails" class="box">
      <ul aria-label="Letters">
        <li v-for="m in mails" :key="m.id">
          <button type="button" :aria-current="m.id === mail?.id" @click="doing(() => look(m))">
            <b>{{ m.subject }}</b>
            <span>{{ m.recipient }}, {{ moment(m.sentAt) }}</span>
            <span v-if="STATES[m.state]" class="look">{{ STATES[m.state] }}</span>
          </button>
        </li>
      </ul>
      <article v-if="mail">
        <p>
          <b>{{ mail.subject }}</b> <span class="soft">to {{ mail.recipient }}</span>
        </p>
        <p v-if="mail.fault" class="problem">The mail server said: {{ mail.fault }}</p>
        <p class="acts">
          <a class="do" :href="`/api/outbox/${mail.id}/letter.eml`" download>as .eml</a>
          <button
            v-if="mail.state === 'failed' || mail.state === 'unsure'"
            type="button"
            class="do"
            :disabled="busy"
            @click="again(mail)"
          >
            send it again
          </button>
        </p>
        <iframe v-if="page && mail.html" sandbox="" :srcdoc="page" title="The letter as it arrives"></iframe>
        <p v-else class="body">
          <template v-for="(part, n) in parts(mail.body)" :key="n"
            ><a v-if="address(part)" :href="part">{{ part }}</a
            ><template v-else>{{ part }}</template></template
          >
        </p>
      </article>
    </div>
  </Dialog>
</template>

<style scoped>
.box {
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr);
  gap: 14px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: 60vh;
  overflow-y: auto;
  border-right: 1px solid var(--rule-firm);
}
li button {
  display: grid;
  width: 100%;
  text-align: left;
  background: none;
  border: 0;
  border-bottom: 1px solid var(--rule);
  padding: 5px 8px;
  color: inherit;
  font: inherit;
  overflow-wrap: anywhere;
  cursor: pointer;
}
li button[aria-current="true"] {
  background: var(--ink-wash);
}
li span {
  font-size: 13px;
  line-height: 17px;
}
p {
  margin: 0 0 6px;
}
iframe {
  width: 100%;
  height: 50vh;
  border: 1px solid var(--rule-firm);
}
.body {
  white-space: pre-wrap;
  border-left: 2px solid var(--rule-firm);
  padding-left: 10px;
  overflow-wrap: anywhere;
}
a {
  color: inherit;
}
@media (max-width: 700px) {
  .box {
    display: block;
  }
}
</style>
