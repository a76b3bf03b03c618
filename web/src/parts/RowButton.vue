<script setup lang="ts">
/** A button in a row of a long list, which looks like the small ones beside lists and weighs little. */
</script>

<template>
  <button type="button" class="row-button"><slot /></button>
</template>

<style scoped>
.row-button {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  min-width: 28px;
  height: 28px;
  padding: 0 8px;
  border-radius: 6px;
  font-size: 12px;
  font-weight: 500;
}
.row-button:has(> .drawn) {
  padding: 0;
}
.row-button:hover {
  background: color-mix(in srgb, currentColor 6%, transparent);
}
</style>
