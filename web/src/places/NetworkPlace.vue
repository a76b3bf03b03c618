<script setup lang="ts">
import { computed } from 'vue'
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
    <nav class="looks" aria-label="Ways to look at the network">
      <h1>Network</h1>
      <router-link
        v-for="one in LOOKS"
        :key="one.part"
        :to="{ name: 'network', params: { part: one.part } }"
        :class="{ here: one === look }"
        :aria-current="one === look ? 'page' : undefined"
        :data-test="`look-${one.part || 'planned'}`"
        >{{ one.title }}</router-link
      >
    </nav>
    <WhoPage v-if="look.part === 'who'" />
    <LinePage v-else-if="look.part === 'line'" />
    <ArrivesPage v-else-if="look.part === 'arrives'" />
    <CapturePage v-else-if="look.part === 'capture'" />
    <PlannedNetwork v-else :part="part" />
  </div>
</template>

<style scoped>
.looks {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 18px;
  padding: 14px 24px 0;
  font-size: 13.5px;
}
h1 {
  margin-right: 6px;
}
.looks a {
  color: var(--quiet);
  padding: 2px 0;
  border-bottom: 2px solid transparent;
}
.looks a.here {
  color: rgb(var(--v-theme-on-surface));
  border-bottom-color: var(--copper);
}
@media (width < 700px) {
  .looks {
    padding: 10px 12px 0;
  }
}
</style>
