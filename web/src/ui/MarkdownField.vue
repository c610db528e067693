<script setup lang="ts">
import type MarkdownIt from "markdown-it";
import { computed, shallowRef, watchEffect } from "vue";

/** Text with light marks (Markdown, CommonMark), and beside it how it will look. Marks of HTML stay plain text. */
defineProps<{ label: string; rows?: number }>();
const text = defineModel<string | undefined>({ required: true });
const reader = shallowRef<MarkdownIt | null>(null);
const shown = computed(() => reader.value?.render(text.value ?? "") ?? "");

/** The reader is fetched with the first text that there is to show. */
const stop = watchEffect(async () => {
  if (!text.value?.trim() || reader.value) return;
  const { default: Reader } = await import("markdown-it");
  reader.value = new Reader({ html: false, linkify: true, breaks: true }).disable("image");
  stop();
});
</script>

<template>
  <span class="md" :class="{ two: (text ?? '').trim() !== '' }">
    <textarea
      v-model="text"
      class="field"
      :rows="rows ?? 3"
      maxlength="20000"
      :aria-label="label"
      placeholder="**bold**, - list, [name](https://…)"
    ></textarea>
    <!-- the reader escapes all HTML and refuses addresses that run scripts -->
    <!-- eslint-disable-next-line vue/no-v-html -->
    <span v-if="(text ?? '').trim()" class="shown" aria-label="As it will look" role="group" v-html="shown"></span>
  </span>
</template>

<style scoped>
.md {
  display: grid;
  gap: 8px;
  min-width: 0;
}
.md.two {
  grid-template-columns: 1fr 1fr;
}
textarea {
  width: 100%;
  resize: vertical;
}
.shown {
  border-left: 2px solid var(--rule);
  padding: 2px 0 2px 9px;
  overflow-wrap: anywhere;
  max-height: 150px;
  overflow: auto;
}
.shown :deep(:is(p, ul, ol, h1, h2, h3)) {
  margin: 0 0 4px;
  font-size: inherit;
  line-height: 18px;
}
.shown :deep(:is(ul, ol)) {
  padding-left: 18px;
}
.shown :deep(a) {
  color: inherit;
}
@media (max-width: 700px) {
  .md.two {
    grid-template-columns: 1fr;
  }
}
</style>
