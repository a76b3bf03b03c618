<script setup lang="ts">
import NewDisplay from './NewDisplay.vue'
</script>

<template>
  <section class="empty">
    <h1>No display yet</h1>
    <p class="quiet">
      Give one a name and begin with nothing, open a display file (*.hamper.json), or look round in
      the demo first.
    </p>
    <NewDisplay />
  </section>
</template>

<style scoped>
.empty {
  max-width: 560px;
  margin: 12vh auto;
  display: grid;
  gap: 16px;
}
</style>
