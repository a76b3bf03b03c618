<script setup lang="ts">
import { computed } from 'vue'
import type { PieceView, PropView } from '../../api/types'
import { useDisplay } from '../../state/display'

/** The pieces of a prop, each as a ribbon to one common scale; what has no pixels as its own sign. */
const props = defineProps<{ view: PropView; scale: number }>()

const display = useDisplay()
const colour = computed(() => display.zoneColour(props.view.prop.zone))

interface Part {
  at: number
  wide: number
  kind: 'pixels' | 'nulls'
  backward?: boolean
}
function partsOf(view: PieceView): Part[] {
  if (view.piece.kind !== 'string') {
    return []
  }
  let at = 0
  return view.piece.sections.flatMap((section) => {
    const parts: Part[] = []
    if (section.nullPixels) {
      parts.push({ at, wide: section.nullPixels, kind: 'nulls' })
      at += section.nullPixels
    }
    parts.push({ at, wide: section.pixels, kind: 'pixels', backward: section.backward })
    at += section.pixels
    return parts
  })
}
function word(view: PieceView): string {
  const { piece } = view
  switch (piece.kind) {
    case 'circuit':
      return 'circuit'
    case 'fixture':
      return `slot ${piece.slot}, ${piece.channels} channels`
    case 'decoder':
      return `slot ${piece.slot}, ${piece.pixels} RGBW`
    case 'dimmer':
      return `unit ${piece.unit}, ${piece.circuits} dimmed`
    case 'wall':
      return `${view.wall!.width} × ${view.wall!.height}`
    default:
      return ''
  }
}
</script>

<template>
  <div class="ribbons">
    <div v-for="one in view.pieces" :key="one.piece.id" class="ribbon" :title="one.title">
      <template v-if="one.piece.kind === 'string'">
        <span
          v-for="part in partsOf(one)"
          :key="part.at"
          :class="part.kind"
          :style="{
            left: `${part.at * scale}px`,
            width: `${Math.max(2, part.wide * scale - 1)}px`,
            '--zone': colour,
          }"
        />
      </template>
      <span v-else class="sign mono" :class="one.piece.kind" :style="{ '--zone': colour }">{{
        word(one)
      }}</span>
    </div>
  </div>
</template>

<style scoped>
.ribbons {
  display: grid;
  gap: 2px;
}
.ribbon {
  position: relative;
  height: 16px;
}
.pixels,
.nulls {
  position: absolute;
  top: 2px;
  bottom: 2px;
}
.pixels {
  background: color-mix(in srgb, var(--zone) 55%, transparent);
  border-left: 3px solid var(--zone);
  border-radius: 2px;
}
.nulls {
  background: repeating-linear-gradient(45deg, var(--line-strong) 0 1px, transparent 1px 4px);
}
.sign {
  display: inline-block;
  height: 16px;
  font-size: 11.5px;
  line-height: 15px;
  padding: 0 6px;
  border: 1px solid var(--zone);
  border-left-width: 3px;
  border-radius: 2px;
  white-space: nowrap;
}
.sign.circuit {
  border-radius: 2px 8px 8px 2px;
}
.sign.wall {
  border-style: double;
  border-width: 3px;
  line-height: 11px;
}
</style>
