<script setup lang="ts">
import type { Conductor, LaneView } from '../../api/types'
import { stretches } from '../../ribbon/geometry'
import { useDisplay } from '../../state/display'

/** Joints between legs: positive, negative and data, each passing or cut. */
const props = defineProps<{ lane: LaneView; scale: number }>()

const display = useDisplay()
const WIRES: { conductor: Conductor; sign: string; name: string }[] = [
  { conductor: 'POSITIVE', sign: '+', name: 'positive' },
  { conductor: 'NEGATIVE', sign: '−', name: 'negative' },
  { conductor: 'DATA', sign: 'd', name: 'data' },
]
const joints = () => stretches(props.lane).filter((wire) => wire.index > 0)

/** Of what is cut when its turn has come: two clicks in quick succession are both kept. */
function toggle(piece: string, conductor: Conductor) {
  void display.edit(() => {
    const now = display.legs.get(piece)?.leg.cut ?? []
    const cut = now.includes(conductor)
      ? now.filter((one) => one !== conductor)
      : [...now, conductor]
    return { type: 'SetLegs', pieces: [piece], set: { cut } }
  })
}
</script>

<template>
  <div class="joints">
    <span
      v-for="joint in joints()"
      :key="joint.leg.piece"
      class="joint"
      role="group"
      :aria-label="`Joint before ${joint.leg.title}`"
      :style="{ left: `${joint.from * scale}px` }"
    >
      <button
        v-for="wire in WIRES"
        :key="wire.conductor"
        type="button"
        class="mono"
        :class="{ cut: joint.leg.cut.includes(wire.conductor) }"
        :aria-pressed="joint.leg.cut.includes(wire.conductor)"
        :aria-label="`Cut ${wire.name} before ${joint.leg.title}`"
        :title="`${wire.name} ${joint.leg.cut.includes(wire.conductor) ? 'is cut' : 'passes'} before ${joint.leg.title}`"
        @click="toggle(joint.leg.piece, wire.conductor)"
      >
        {{ wire.sign }}
      </button>
    </span>
  </div>
</template>

<style scoped>
.joints {
  position: relative;
  height: 20px;
}
.joint {
  position: absolute;
  display: flex;
  transform: translateX(-50%);
  border: 1px solid var(--line);
  border-radius: 3px;
  background: rgb(var(--v-theme-surface));
}
.joint button {
  width: 16px;
  height: 18px;
  font-size: 12px;
  line-height: 16px;
}
.joint button:hover {
  background: var(--line);
}
.joint button.cut {
  color: rgb(var(--v-theme-error));
  text-decoration: line-through;
  font-weight: 700;
}
</style>
