<script setup lang="ts">
import { onMounted, ref, useTemplateRef } from "vue";

/** The password, asked for once more before what counts most. */
defineProps<{ does: string; busy: boolean }>();
const emit = defineEmits<{ given: [password: string]; leave: [] }>();
const password = ref("");
const field = useTemplateRef("field");
onMounted(() => field.value?.focus());
</script>

<template>
  <form @submit.prevent="emit('given', password)">
    <label class="line"
      ><span>Your password, once more</span>
      <input ref="field" v-model="password" class="field" type="password" autocomplete="current-password" required
    /></label>
    <button type="submit" class="btn" :disabled="busy">{{ does }}</button>
    <button type="button" class="btn quiet" @click="emit('leave')">leave it as it is</button>
  </form>
</template>

<style scoped>
form {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: center;
  margin: 4px 0 8px;
}
.line {
  flex: 1 0 100%;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
}
</style>
