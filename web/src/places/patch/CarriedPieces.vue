<script setup lang="ts">
import { computed } from 'vue'
import { useDisplay } from '../../state/display'
import { isAcross, usePatching } from '../../state/patching'

/** What is dragged, at the pointer. */
defineProps<{ at: { x: number; y: number } }>()

const display = useDisplay()
const patching = usePatching()

/** What a spread over several ports would do, told once, at the pointer. */
const summed = computed(() => {
  const { preview, target } = patching
  if (!preview || !target || !isAcross(target)) {
    return ''
  }
  const titles = preview.found
    .filter((finding) => finding.severity !== 'HINT')
    .map((finding) => finding.title)
  const told = [...new Set(titles)].map((title) => {
    const count = titles.filter((one) => one === title).length
    return `▲ ${title}${count > 1 ? ` (${count} times)` : ''}`
  })
  return [preview.moved, ...told].filter(Boolean).join(' — ')
})
</script>

<template>
  <div class="carried mono" :style="{ left: `${at.x + 12}px`, top: `${at.y + 10}px` }">
    {{
      patching.dragged.length === 1
        ? display.pieces.get(patching.dragged[0])?.title
        : `${patching.dragged.length} pieces`
    }}<template v-if="summed"> — {{ summed }}</template>
  </div>
</template>

<style scoped>
.carried {
  position: fixed;
  z-index: 50;
  pointer-events: none;
  font-size: 11.5px;
  padding: 2px 8px;
  border-radius: 3px;
  border: 1px dashed var(--copper);
  background: rgb(var(--v-theme-surface));
}
</style>
