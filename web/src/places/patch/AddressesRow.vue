<script setup lang="ts">
import type { ControllerView } from '../../api/types'
import { usedTold } from '../../parts/blockTold'
import AddressRuler from '../../ribbon/AddressRuler.vue'
import { usePatching } from '../../state/patching'

/** Whose addresses are where, under the lanes of a controller. */
defineProps<{
  view: ControllerView
  /** What is beside the label (px). */
  room: number
  /** Whether there is no room beside it. */
  narrow: boolean
}>()
const emit = defineEmits<{ choose: [piece: string] }>()

const patching = usePatching()
</script>

<template>
  <div class="addresses">
    <div class="rulerlabel mono">
      <span class="quiet">addresses</span>
    </div>
    <AddressRuler
      :view="view"
      :width="room"
      :pointed="patching.pointed"
      :selected="patching.selected"
      @point="(piece) => (patching.pointed = piece)"
      @choose="(piece) => emit('choose', piece)"
    />
    <div v-if="!narrow" class="rulerfacts mono quiet">
      {{ usedTold(view) }}<br />
      {{ view.block.channels.toLocaleString('en') }} channels
    </div>
  </div>
</template>

<style scoped>
.addresses {
  display: grid;
  grid-template-columns: var(--label) auto 1fr;
  padding-top: 5px;
}
.rulerlabel {
  font-size: 11px;
  padding: 16px 0 0 16px;
}
.rulerfacts {
  font-size: 11px;
  padding: 10px 0 0 24px;
  line-height: 16px;
}
</style>
