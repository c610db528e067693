<script setup lang="ts">
import { reactive, ref } from "vue";
import type { ChangeOf } from "../api/client";
import { meetingLink } from "../api/meeting";
import type { HoursLine } from "./useHours";

/** What a line of office hours does not say: their name, words on how to come, and until when slots are booked. */
const props = defineProps<{ of: HoursLine; termId: number; busy: boolean }>();
const emit = defineEmits<{ put: [ChangeOf<"put-office-hours">]; close: [] }>();
const plan = props.of.officeHours;
const rules = reactive({
  title: plan.title,
  howToCome: plan.howToCome ?? "",
  link: plan.windows?.find((w) => w.link)?.link ?? "",
  fromDays: plan.booking?.fromDays ?? 14,
  untilHours: plan.booking?.untilHours ?? 1,
  giveBackHours: plan.booking?.giveBackHours ?? 1,
  namesSeen: plan.booking?.namesSeen ?? false,
});
const wrong = ref("");
/** One link of the provider serves all of them. */
async function makeLink() {
  wrong.value = "";
  try {
    rules.link = await meetingLink(props.termId);
  } catch (e) {
    wrong.value = (e as Error).message;
  }
}
function put() {
  const { title, howToCome, link, ...booking } = rules;
  const windows = plan.windows?.map((w) => ({ ...w, link }));
  emit("put", {
    kind: "put-office-hours",
    hours: {
      ...plan,
      ...(windows ? { windows } : {}),
      title,
      howToCome,
      ...(plan.booking ? { booking: { ...plan.booking, ...booking } } : {}),
    },
  });
}
</script>

<template>
  <form class="rules" @submit.prevent="put">
    <label>Name <input v-model="rules.title" class="field" required maxlength="200" /></label>
    <label>How to come <input v-model="rules.howToCome" class="field" maxlength="1000" /></label>
    <label>
      Meeting link
      <span class="link"
        ><input v-model="rules.link" class="field" type="url" maxlength="2000" />
        <button v-if="!rules.link" type="button" class="btn" @click="makeLink">make one</button></span
      >
    </label>
    <p v-if="wrong" class="problem" role="alert">{{ wrong }}</p>
    <template v-if="of.booked">
      <label>
        Booked from
        <span
          ><input v-model.number="rules.fromDays" class="field n" type="number" min="0" max="366" required /> days
          before</span
        >
      </label>
      <label>
        until
        <span
          ><input v-model.number="rules.untilHours" class="field n" type="number" min="0" max="8784" required /> hours
          before</span
        >
      </label>
      <label>
        given back until
        <span
          ><input v-model.number="rules.giveBackHours" class="field n" type="number" min="0" max="8784" required />
          hours before</span
        >
      </label>
      <label class="tick"><input v-model="rules.namesSeen" type="checkbox" /> students see who booked</label>
    </template>
    <p>
      <button class="btn go" :disabled="busy">Change</button>
      <button type="button" class="btn quiet" @click="emit('close')">Close</button>
    </p>
  </form>
</template>

<style scoped>
.rules label {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
  align-items: center;
  gap: 6px;
  margin: 3px 0;
}
.rules .tick {
  display: flex;
}
.link {
  display: flex;
  gap: 4px;
}
.link .field {
  flex: 1;
  min-width: 0;
}
.n {
  width: 74px;
}
</style>
