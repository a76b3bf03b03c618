<script setup lang="ts">
import { computed } from 'vue'
import type { Spot } from '../../api/types'
import { LETTER_COLOURS } from '../../ribbon/colourOrders'

/** The colour that the channel asked for makes, as its letter; nothing where it makes none. */
const props = defineProps<{ spot: Spot }>()

const colour = computed(() => props.spot.channels[props.spot.asked ?? -1]?.colour ?? '')
</script>

<template>
  <span v-if="colour" class="letter" :style="{ background: LETTER_COLOURS[colour] }">{{
    colour
  }}</span>
</template>

<style scoped>
.letter {
  display: inline-block;
  min-width: 16px;
  margin: 0 4px;
  padding: 0 4px;
  border-radius: 2px;
  color: #fff;
  font-size: 11px;
  text-align: center;
}
</style>
