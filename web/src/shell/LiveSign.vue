<script setup lang="ts">
import { onMounted } from 'vue'
import { useOutput } from '../state/output'

const output = useOutput()
onMounted(output.look)
</script>

<template>
  <strong
    v-if="output.ground"
    class="where"
    :class="{ live: output.ground.live }"
    :title="output.meant"
    data-test="ground"
    >{{ output.where }}</strong
  >
</template>

<style scoped>
.where {
  flex: none;
  font-size: 12.5px;
  font-weight: 500;
  color: var(--quiet);
}
.where.live {
  padding: 3px 8px;
  border-radius: 3px;
  font-weight: 700;
  color: rgb(var(--v-theme-on-error));
  background: rgb(var(--v-theme-error));
}
</style>
