<script setup lang="ts">
import type { Schemas } from "../api/client";
import FilesAndLinks from "./FilesAndLinks.vue";
import StepsField from "./StepsField.vue";

/** Everything of a lesson: how long it is, what students can do by its end, what happens in it. */
const form = defineModel<Partial<Schemas["PlanLesson"]>>({ required: true });
defineProps<{ termId: number; usualMinutes: number }>();
</script>

<template>
  <div class="row">
    <label for="edit-length">Length</label>
    <span class="ticks">
      <input
        id="edit-length"
        v-model.number="form.length"
        type="number"
        min="1"
        max="200"
        class="field few"
        placeholder="1"
      />
      classes
      <label><input v-model="form.optional" type="checkbox" /> may be left out</label>
      <label><input v-model="form.joinable" type="checkbox" /> may join the one before</label>
      <label><input v-model="form.reserve" type="checkbox" /> spare day</label>
    </span>
  </div>
  <label class="row"
    ><span>By the end they can</span>
    <textarea v-model="form.objectives" class="field" rows="2" maxlength="5000"></textarea>
  </label>
  <div class="row">
    <span>Steps</span>
    <StepsField
      :model-value="form.steps ?? []"
      :room="(form.length || 1) * usualMinutes"
      @update:model-value="form.steps = $event.length ? $event : undefined"
    />
  </div>
  <div class="row">
    <span>Files</span>
    <FilesAndLinks
      :term-id="termId"
      :links="form.links ?? []"
      :files="form.files ?? []"
      @update:links="form.links = $event.length ? $event : undefined"
      @update:files="form.files = $event.length ? $event : undefined"
    />
  </div>
  <label class="row"
    ><span>For myself</span>
    <textarea id="edit-notes" v-model="form.notes" class="field" rows="2" placeholder="not for publishing"></textarea>
  </label>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 96px 1fr;
  gap: 10px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
.row textarea {
  width: 100%;
}
.few {
  width: 70px;
}
</style>
