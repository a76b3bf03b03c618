<script setup lang="ts">
import { STAGES } from './waiting'
import { ticking, tickStage } from './known'

/** Which stage a tick means on this phone, until another is chosen. */
const choices = STAGES.slice(1)
</script>

<template>
  <label class="stage"
    ><span>A tick means</span>
    <select
      :value="ticking.stage"
      data-test="stage"
      @change="tickStage(($event.target as HTMLSelectElement).value as typeof ticking.stage)"
    >
      <option v-for="one in choices" :key="one.stage" :value="one.stage">{{ one.title }}</option>
    </select></label
  >
</template>

<style scoped>
.stage {
  display: flex;
  align-items: center;
  gap: 10px;
}
.stage span {
  white-space: nowrap;
}
</style>
