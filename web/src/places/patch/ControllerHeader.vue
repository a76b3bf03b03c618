<script setup lang="ts">
import DrawnIcon from '../../parts/DrawnIcon'
import { mdiChevronDown, mdiChevronRight, mdiWifi } from '@mdi/js'
import { computed } from 'vue'
import type { ControllerView } from '../../api/types'
import { blockTold } from '../../parts/blockTold'
import { PROTOCOLS } from '../../parts/words'
import StateMark from '../../shell/StateMark.vue'
import MiniRibbon from '../../ribbon/MiniRibbon.vue'

const props = defineProps<{
  view: ControllerView
  folded: boolean
  most: number
  /** Whether something is dragged over it. */
  aimed: boolean
}>()
const emit = defineEmits<{ fold: [others: boolean] }>()

const facts = computed(() => {
  const { settings } = props.view.controller
  return [
    PROTOCOLS[props.view.protocol],
    blockTold(props.view),
    settings.address ?? (props.view.host ? '' : 'no address'),
  ]
    .filter(Boolean)
    .join(' · ')
})
const used = computed(() => props.view.lanes.filter((lane) => lane.legs.length).length)
</script>

<template>
  <div class="head" :class="{ aimed }" :data-controller="view.controller.id">
    <!-- drawn by itself: one comes into view with every controller that is scrolled past -->
    <button
      type="button"
      class="fold"
      :aria-label="`${folded ? 'Unfold' : 'Fold'} ${view.controller.tag}`"
      :aria-expanded="!folded"
      @click="(event: MouseEvent) => emit('fold', event.altKey)"
    >
      <DrawnIcon :path="folded ? mdiChevronRight : mdiChevronDown" :size="20" />
    </button>
    <h2>{{ view.controller.tag }} {{ view.controller.name }}</h2>
    <span class="quiet model">
      {{ view.modelTitle
      }}<template v-if="view.controller.settings.mode"
        >, {{ view.controller.settings.mode }}</template
      >
      <span v-if="view.wifi" title="On the air"><DrawnIcon :path="mdiWifi" :size="14" /></span>
    </span>
    <StateMark :controller="view.controller.id" only-open />
    <MiniRibbon v-if="folded" :controller="view" :width="260" :most="most" class="mini" />
    <span class="mono facts">{{ facts }}</span>
    <span class="quiet ports">{{ used }} of {{ view.lanes.length }} ports</span>
  </div>
</template>

<style scoped>
.head {
  height: 100%;
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 0 16px 0 6px;
  background: rgb(var(--v-theme-surface-variant));
  position: var(--stays);
  left: 0;
  overflow: hidden;
  white-space: nowrap;
}
.head > h2 {
  overflow: hidden;
  text-overflow: ellipsis;
}
.fold {
  display: grid;
  place-items: center;
  width: 32px;
  height: 32px;
  border-radius: 50%;
}
.fold:hover {
  background: var(--line);
}
.head.aimed {
  background: color-mix(in srgb, var(--copper) 26%, rgb(var(--v-theme-surface-variant)));
}
.model {
  font-size: 12.5px;
}
.facts {
  margin-left: auto;
  font-size: 12px;
}
.ports {
  font-size: 12px;
}
.mini {
  max-height: 36px;
}
@media (width < 700px) {
  .model,
  .ports,
  .mini {
    display: none;
  }
}
</style>
