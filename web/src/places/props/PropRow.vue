<script setup lang="ts">
import DrawnIcon from '../../parts/DrawnIcon'
import { mdiChevronDown, mdiChevronRight } from '@mdi/js'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import type { PieceView, PropView } from '../../api/types'
import InPlaceText from '../../parts/InPlaceText.vue'
import { counted } from '../../parts/words'
import PieceEditor from '../../ribbon/PieceEditor.vue'
import { useGoThere } from '../../shell/goThere'
import { useDisplay } from '../../state/display'
import { usePatching } from '../../state/patching'
import PropRibbons from './PropRibbons.vue'

/** A prop in its list: ribbons to scale, where it hangs; opened, all that its pieces are. */
const props = defineProps<{
  view: PropView
  chosen: boolean
  opened: boolean
  narrow: boolean
  /** Of its name, its ribbons, where it hangs, and an opened strip (px). */
  widths: { name: number; ribbons: number; hangs: number; strip: number }
  /** Screen pixels for one pixel of a string. */
  scale: number
}>()
const emit = defineEmits<{ toggle: [] }>()

const display = useDisplay()
const patching = usePatching()
const router = useRouter()
const goThere = useGoThere()

const loose = computed(() => props.view.pieces.filter((piece) => !piece.port))
const hangs = computed(() =>
  [...new Set(props.view.pieces.flatMap((piece) => piece.written ?? []))].join(', '),
)
const told = computed(() => {
  const pixels = props.view.pieces.reduce((sum, piece) => sum + piece.pixels, 0)
  return pixels ? counted(pixels, 'pixel') : counted(props.view.pieces.length, 'piece')
})

function rename(name: string) {
  void display.edit({ type: 'SetProps', props: [props.view.prop.id], set: { name } })
}
/** Its pieces are taken in the tray, and places are proposed for them. */
function hang() {
  patching.selected = loose.value.map(({ piece }) => piece.id)
  void router.push({ name: 'patch', params: { piece: 'arrange' } })
}
function sections(piece: PieceView) {
  return display.legs.get(piece.piece.id)?.leg.sections
}
function brightness(piece: PieceView): number {
  return display.legs.get(piece.piece.id)?.leg.brightness ?? piece.brightness
}
</script>

<template>
  <div
    class="prop"
    :class="{ chosen, opened }"
    role="row"
    :aria-selected="chosen"
    :aria-label="`${view.prop.name}, ${told}, ${hangs || 'not patched'}`"
    :data-prop="view.prop.id"
  >
    <div class="line" role="presentation">
      <span role="gridcell" class="name" :style="{ width: `${widths.name}px` }">
        <button
          type="button"
          class="foldbutton"
          tabindex="-1"
          :aria-label="`Open ${view.prop.name}`"
          :aria-expanded="opened"
          @click.stop="emit('toggle')"
        >
          <DrawnIcon :path="opened ? mdiChevronDown : mdiChevronRight" :size="16" />
        </button>
        <InPlaceText
          v-if="opened"
          :value="view.prop.name"
          label="Name of the prop"
          @change="rename"
          @click.stop
          @dblclick.stop
        />
        <span v-else class="cutname" :title="view.prop.name">{{ view.prop.name }}</span>
      </span>
      <PropRibbons
        v-if="!narrow"
        role="gridcell"
        :view="view"
        :scale="scale"
        :style="{ width: `${widths.ribbons}px` }"
      />
      <span role="gridcell" class="hangs" :style="{ width: `${widths.hangs}px` }">
        <span class="mono count">{{ told }}</span>
        <button
          v-if="hangs"
          type="button"
          tabindex="-1"
          class="mono port"
          :title="`Go to ${hangs}`"
          @click.stop="goThere({ piece: view.pieces.find((one) => one.port)!.piece.id })"
        >
          {{ hangs }}
        </button>
        <button
          v-if="loose.length"
          type="button"
          class="loose"
          tabindex="-1"
          :aria-label="`○ not patched · arrange … ${view.prop.name}`"
          title="Find it a place"
          @click.stop="hang"
        >
          ○ not patched · arrange …
        </button>
      </span>
    </div>
    <div v-if="opened" role="gridcell" class="editors" @click.stop @dblclick.stop>
      <div v-for="piece in view.pieces" :key="piece.piece.id" class="editor">
        <p class="quiet piecetitle">
          {{ piece.piece.name }}
          <template v-if="piece.piece.kind === 'string'">
            · {{ display.pixelTypes.get(piece.piece.pixelType)?.name }}
            <template v-if="piece.piece.dataIn">· data in {{ piece.piece.dataIn }}</template>
            <template v-if="piece.piece.connector">· {{ piece.piece.connector }}</template>
            <template v-if="piece.piece.leadMetres">· lead {{ piece.piece.leadMetres }} m</template>
          </template>
          · {{ piece.written ?? 'not patched' }}
        </p>
        <PieceEditor
          :view="piece"
          :zone="view.prop.zone"
          :at="sections(piece)"
          :brightness="brightness(piece)"
          :width="widths.strip"
        />
      </div>
    </div>
  </div>
</template>

<style scoped>
.prop {
  padding: 5px 12px 5px 24px;
  border-bottom: 1px solid var(--line);
  border-left: 3px solid transparent;
  cursor: default;
  user-select: none;
  overflow: hidden;
}
.prop:hover {
  background: color-mix(in srgb, rgb(var(--v-theme-on-surface)) 4%, transparent);
}
.prop.chosen {
  border-left-color: var(--copper);
  background: color-mix(in srgb, var(--copper) 9%, transparent);
}
.prop.opened {
  background: rgb(var(--v-theme-surface));
}
.prop:focus-visible {
  outline-offset: -2px;
}
.line {
  display: flex;
  align-items: flex-start;
  font-size: 13px;
  line-height: 19px;
}
.name {
  flex: none;
  display: flex;
  gap: 4px;
  overflow: hidden;
  white-space: nowrap;
}
.cutname {
  overflow: hidden;
  text-overflow: ellipsis;
}
.foldbutton {
  color: var(--quiet);
}
.hangs {
  flex: none;
  display: flex;
  gap: 10px;
  padding-left: 12px;
  overflow: hidden;
  white-space: nowrap;
}
.count {
  font-size: 12px;
  min-width: 82px;
  text-align: right;
}
.port {
  color: inherit;
  font-size: 12px;
  overflow: hidden;
  text-overflow: ellipsis;
}
.loose {
  color: var(--copper);
  font-size: 12.5px;
}
.loose:hover {
  text-decoration: underline;
}
.editors {
  padding: 4px 0 0 20px;
  overflow-x: auto;
}
.piecetitle {
  font-size: 12.5px;
  line-height: 24px;
}
</style>
