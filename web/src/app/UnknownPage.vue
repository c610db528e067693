<script setup lang="ts">
import Band from "../frame/Band.vue";

/** An address that leads nowhere. */
</script>

<template>
  <Band />
  <main class="page">
    <h1>There is nothing at this address</h1>
    <p>It may have been mistyped, or belong to a term that is gone. <RouterLink to="/">All terms</RouterLink></p>
  </main>
</template>
