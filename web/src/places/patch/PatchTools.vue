<script setup lang="ts">
import { inject } from 'vue'
import { counted } from '../../parts/words'
import { useDisplay } from '../../state/display'
import { useHandover } from '../../state/handover'
import { LENS } from './scale'

/** What stands above the lanes: how much hangs, and how it is looked at. */
defineProps<{
  /** Lanes that are shown. */
  ports: number
  /** What the pixel under the pointer answers to, where there is one. */
  pixel: string
  /** Whether there is more than one controller, so that folding is of use. */
  folds: boolean
  allFolded: boolean
}>()
const emit = defineEmits<{ foldAll: [] }>()
const onlyUsed = defineModel<boolean>('onlyUsed', { required: true })

const display = useDisplay()
const handover = useHandover()
const { zoom } = inject(LENS)!
</script>

<template>
  <div class="tools">
    <h1>Patch</h1>
    <span class="quiet">
      {{ display.legs.size.toLocaleString('en') }} of
      {{ display.pieces.size.toLocaleString('en') }} pieces hang ·
      {{ counted(ports, 'port') }}
    </span>
    <span v-if="pixel" class="mono very" data-test="very-pixel">{{ pixel }}</span>
    <v-btn
      v-if="handover.shadows"
      size="small"
      title="Under each ribbon lies where it hung then"
      data-test="no-shadows"
      @click="handover.showShadows()"
      >Shadows of {{ handover.shadows.name }} ×</v-btn
    >
    <v-spacer />
    <v-btn
      v-if="folds"
      size="small"
      title="A click on a controller with Alt folds all others"
      data-test="fold-all"
      @click="emit('foldAll')"
      >{{ allFolded ? 'Unfold all' : 'Fold all' }}</v-btn
    >
    <label class="check"><input v-model="onlyUsed" type="checkbox" /> only ports in use</label>
    <label class="zoom">
      zoom
      <input v-model.number="zoom" type="range" min="1" max="8" step="0.25" aria-label="Zoom" />
    </label>
    <v-btn size="small" :disabled="zoom === 1" @click="zoom = 1">Fit</v-btn>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 8px 16px;
  flex: none;
  font-size: 13px;
}
.zoom,
.check {
  display: flex;
  align-items: center;
  gap: 6px;
}
.zoom input {
  width: 110px;
  accent-color: var(--copper);
}
.check input {
  accent-color: var(--copper);
}
@media (width < 700px) {
  .tools {
    flex-wrap: wrap;
    gap: 4px 12px;
    padding: 6px 12px;
  }
}
.very {
  overflow: hidden;
  font-size: 12px;
  white-space: nowrap;
  text-overflow: ellipsis;
}
</style>
