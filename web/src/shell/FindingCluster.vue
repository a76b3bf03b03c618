<script setup lang="ts">
import DrawnIcon from '../parts/DrawnIcon'
import { mdiChevronDown, mdiChevronRight } from '@mdi/js'
import { computed, ref } from 'vue'
import type { Cluster } from './clusters'
import FindingEntry from './FindingEntry.vue'

/** Many findings of one kind: one line, which opens. */
const props = defineProps<{ cluster: Cluster }>()

const open = ref(false)
/** What the first of them are about, so that one need not open it to know. */
const about = computed(() => {
  const messages = props.cluster.findings.map((finding) => finding.message)
  return `${messages[0]}, and ${messages.length - 1} more`
})
</script>

<template>
  <div class="cluster" data-test="cluster" :data-code="cluster.key">
    <button type="button" class="line" :aria-expanded="open" @click="open = !open">
      <DrawnIcon :path="open ? mdiChevronDown : mdiChevronRight" :size="18" />
      <span
        ><strong>{{ cluster.title }}</strong
        ><span v-if="!open" class="quiet about">{{ about }}</span></span
      >
    </button>
    <div v-if="open" class="within">
      <FindingEntry v-for="one in cluster.findings" :key="one.identity" :finding="one" />
    </div>
  </div>
</template>

<style scoped>
.cluster {
  border-top: 1px solid var(--line);
  font-size: 13px;
  line-height: 18px;
}
.line {
  display: grid;
  grid-template-columns: 22px 1fr;
  gap: 8px;
  width: 100%;
  padding: 10px 0;
  text-align: left;
}
.line:hover strong {
  text-decoration: underline;
}
.about {
  display: block;
}
.within {
  padding-left: 10px;
  border-left: 2px solid var(--line-strong);
}
</style>
