<script setup lang="ts">
import { onMounted } from "vue";
import { useFraming } from "./useStudents";

/** Which other pages may show the pages of links in a frame. */
const { hosts, said, load, save } = useFraming();
onMounted(load);
</script>

<template>
  <form @submit.prevent="save">
    <label for="framed-by">may stand in a frame on</label>
    <p class="row">
      <input
        id="framed-by"
        v-model="hosts"
        class="field"
        placeholder="courses.quillmarsh.example"
        autocomplete="off"
        @change="save"
      />
    </p>
    <p v-if="said" role="status">{{ said }}</p>
  </form>
</template>

<style scoped>
.field {
  width: 100%;
}
</style>
