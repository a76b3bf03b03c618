<script setup lang="ts">
import { computed } from 'vue'
import PlaceLooks from '../parts/PlaceLooks.vue'
import CapturePage from './network/CapturePage.vue'
import ArrivesPage from './network/ArrivesPage.vue'
import LinePage from './network/LinePage.vue'
import PlannedNetwork from './network/PlannedNetwork.vue'
import WhoPage from './network/WhoPage.vue'

/** The show network: as it is planned, and as it is found. */
/** A subnet, an enclosure or a link that something leads to; or a way to look at the network. */
const props = defineProps<{ part?: string }>()

const LOOKS = [
  { part: '', title: 'As planned' },
  { part: 'who', title: 'Who is there' },
  { part: 'line', title: 'On a line' },
  { part: 'arrives', title: 'What arrives' },
  { part: 'capture', title: 'A capture' },
]
const look = computed(() => LOOKS.find((one) => one.part && one.part === props.part) ?? LOOKS[0])
</script>

<template>
  <div class="place">
    <PlaceLooks
      title="Network"
      label="Ways to look at the network"
      place="network"
      :looks="LOOKS"
      :here="look.part"
    />
    <WhoPage v-if="look.part === 'who'" />
    <LinePage v-else-if="look.part === 'line'" />
    <ArrivesPage v-else-if="look.part === 'arrives'" />
    <CapturePage v-else-if="look.part === 'capture'" />
    <PlannedNetwork v-else :part="part" />
  </div>
</template>
