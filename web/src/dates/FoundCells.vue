<script setup lang="ts">
/** Cells that were pasted or read, each with what is understood of it. */
defineProps<{
  heads: readonly string[];
  /** The texts of a row, the last of which says what is understood, with a word before it where there is more to say. */
  rows: readonly { texts: readonly string[]; wrong: boolean; word?: string }[];
}>();
</script>

<template>
  <div class="found">
    <table class="moves">
      <thead>
        <tr>
          <th v-for="head in heads" :key="head" scope="col">{{ head }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, n) in rows" :key="n">
          <td v-for="(text, k) in row.texts" :key="k" :class="{ look: row.wrong && k === row.texts.length - 1 }">
            <b v-if="row.word && k === row.texts.length - 1">{{ row.word }}: </b>{{ text }}
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.found {
  max-height: 48vh;
  overflow: auto;
}
</style>
