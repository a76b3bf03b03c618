<script setup lang="ts">
import { mdiFlaskOutline } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import type { ControllerView, MisbehaviourKind, TrialController } from '../../api/types'
import { inkAt } from '../../parts/ink'
import { useWidth } from '../../parts/useWidth'
import { counted } from '../../parts/words'
import { stretches } from '../../ribbon/geometry'
import { portKey, useDisplay } from '../../state/display'
import { useLighting } from '../../state/lighting'
import { useLooking } from '../../state/looking'
import { ofPiece } from '../../state/targets'
import { PRESENCE } from '../network/presence'
import { countOf, drawRow, type Ink, NAME_WIDTH, pixelAt, type Row, rowsOf } from './drawLight'
import { brightest, decoded, type Rate } from './pixels'

/** The ports of one controller: meant above shown, pixel by pixel, with what arrives there. */
const props = defineProps<{
  view: ControllerView
  look: TrialController
  /** Whether it is in view, or nearly: else its canvas is not drawn. */
  near: boolean
  rates: Rate[]
  /** Pixels of the longest port of all: one scale for the display. */
  most: number
  live: boolean
  misbehaviours: MisbehaviourKind[]
}>()
const emit = defineEmits<{
  told: [text: string]
  pixel: [piece: string, pixel: number]
  misbehave: [key: string, on: boolean]
}>()

const display = useDisplay()
const lighting = useLighting()
const looking = useLooking()
/** Who answered there when it was last asked. */
const there = computed(() => looking.byController.get(props.view.controller.id))
const canvas = ref<HTMLCanvasElement>()
const frame = ref<HTMLElement>()
const width = useWidth(frame)

const rows = computed(() =>
  rowsOf(
    props.look.ports.map(decoded).filter((port) => countOf(port) > 0),
    (pixels) => display.laneByPort.get(portKey(pixels.port)),
    (lane) => display.pieces.get(lane?.legs[0]?.piece ?? '')?.wall?.width ?? 1,
    props.view.controller.tag,
  ),
)
const height = computed(() => {
  const last = rows.value.at(-1)
  return last ? last.top + last.height : 0
})
const differing = computed(() => props.look.ports.reduce((sum, port) => sum + port.differing, 0))
const others = computed(() => props.rates.filter((rate) => !rate.own))
const perSecond = computed(() => props.rates.reduce((sum, rate) => sum + rate.perSecond, 0))
const arriving = computed(() =>
  [
    ...props.rates.map(
      (rate) => `${rate.universe || 'DDP'} from ${rate.sender}: ${rate.perSecond.toFixed(0)}/s`,
    ),
    ...Object.entries(props.look.refused).map(
      ([why, count]) => `${counted(count, 'packet')} not taken: ${why}`,
    ),
  ].join('\n'),
)

function ink(): Ink {
  const { theme, colour } = inkAt(canvas.value!)
  return {
    text: theme('on-surface'),
    quiet: theme('on-surface', 0.68),
    line: theme('on-surface', 0.2),
    fault: theme('error'),
    copper: theme('primary'),
    night: '#000',
    brightest: brightest(rows.value.map((row) => row.pixels)),
    zoneOf: (piece) => colour(display.zoneColour(display.propOfPiece.get(piece)?.prop.zone)),
    titleOf: (piece) => display.pieces.get(piece)?.title ?? '',
  }
}

function draw() {
  const context = canvas.value?.getContext('2d')
  if (!context || !props.near) {
    return
  }
  const ratio = window.devicePixelRatio || 1
  canvas.value!.width = width.value * ratio
  canvas.value!.height = height.value * ratio
  context.scale(ratio, ratio)
  const colours = ink()
  const picked = new Set(lighting.what.map((one) => one.key))
  rows.value.forEach((row) =>
    drawRow(context, row, width.value, props.most, colours, (piece) =>
      picked.has(`piece ${piece}`),
    ),
  )
}
watch([rows, width, () => props.near, () => lighting.what], draw, { flush: 'post' })

/** The row and its pixel under the pointer, with the piece that it is of. */
function under(event: MouseEvent) {
  const box = canvas.value!.getBoundingClientRect()
  const x = event.clientX - box.left
  const y = event.clientY - box.top
  const row = rows.value.find((one) => y >= one.top && y < one.top + one.height)
  const pixel = row && pixelAt(row, x, y, width.value, props.most)
  return row ? { row, pixel, at: pixel === undefined ? undefined : pieceAt(row, pixel) } : undefined
}
/** The piece at a place of a port, and which pixel of it that is, from 1, null pixels left out. */
function pieceAt(row: Row, pixel: number) {
  if (row.lane?.port.kind !== 'PIXEL') {
    return row.lane?.legs[0] && { piece: row.lane.legs[0].piece, pixel: pixel + 1 }
  }
  const one = stretches(row.lane).find(
    (s) => pixel >= s.from + s.gap && pixel < s.from + s.gap + s.length,
  )
  const piece = one && display.pieces.get(one.leg.piece)?.piece
  if (!one || piece?.kind !== 'string') {
    return undefined
  }
  let place = pixel - one.from - one.gap
  let before = 0
  for (const section of piece.sections) {
    if (place < section.nullPixels) {
      return undefined
    }
    if (place < section.nullPixels + section.pixels) {
      return { piece: piece.id, pixel: before + place - section.nullPixels + 1 }
    }
    place -= section.nullPixels + section.pixels
    before += section.pixels
  }
  return undefined
}

const levels = (bytes: Uint8Array | undefined, from: number, count: number) =>
  bytes ? Array.from(bytes.slice(from, from + count)).join(' ') : 'not known'
function point(event: MouseEvent) {
  const here = under(event)
  if (!here || here.pixel === undefined) {
    emit('told', '')
    return
  }
  const { row, pixel, at } = here
  const title = at && display.pieces.get(at.piece)?.title
  const start = pixel * row.pixels.width
  emit(
    'told',
    `${row.written} ${title ? `${title}, pixel ${at.pixel}` : `position ${pixel + 1}`} · meant ` +
      `${levels(row.pixels.meant, start, row.pixels.width)} · shown ` +
      levels(row.pixels.shown, start, row.pixels.width),
  )
}
/** A click picks the piece, with Shift besides what is picked; a double click one pixel of it. */
function pick(event: MouseEvent) {
  const at = under(event)?.at
  const piece = at && display.pieces.get(at.piece)
  if (piece) {
    const target = ofPiece(piece)
    const left = lighting.what.filter((one) => one.key !== target.key)
    lighting.what = event.shiftKey
      ? left.length < lighting.what.length
        ? left
        : [...left, target]
      : [target]
  }
}
function pickPixel(event: MouseEvent) {
  const at = under(event)?.at
  if (at) {
    emit('pixel', at.piece, at.pixel)
  }
}
const told = computed(
  () =>
    `${props.view.controller.tag}: ${counted(rows.value.length, 'port')}, ` +
    `${counted(
      rows.value.reduce((sum, row) => sum + countOf(row.pixels), 0),
      'pixel',
    )}, ` +
    (differing.value ? `${differing.value} show something else than is meant` : 'all as meant'),
)
</script>

<template>
  <section class="controller" :data-trial="view.controller.id" :data-differing="differing">
    <header>
      <h2>
        {{ view.controller.tag }} <span class="quiet">{{ view.controller.name }}</span>
      </h2>
      <span v-if="look.sent && !live" class="mono quiet" :title="arriving" data-test="rate"
        >{{ perSecond.toFixed(0) }} packets/s
        <template v-if="rates.length">in {{ counted(rates.length, 'stream') }}</template></span
      >
      <span v-else-if="!look.sent && lighting.look?.lit" class="quiet"
        >plays by itself, nothing is sent</span
      >
      <router-link
        v-if="there && PRESENCE[there.state].wrong"
        :to="{ name: 'network', params: { part: 'who' } }"
        class="wrong"
        :title="there.told.join('\n')"
        data-test="presence"
        >{{ PRESENCE[there.state].mark }} {{ PRESENCE[there.state].title }}</router-link
      >
      <strong v-if="look.away" class="wrong" data-test="away">▲ {{ look.away }}</strong>
      <strong v-if="differing" class="wrong" data-test="differing"
        >▲ {{ counted(differing, 'pixel') }} {{ differing === 1 ? 'differs' : 'differ' }}</strong
      >
      <strong v-if="others.length" class="wrong" :title="arriving"
        >▲ {{ others[0].sender }} sends too</strong
      >
      <span v-if="look.testing" class="warn">its own test is on</span>
      <span v-for="one in look.misbehaves" :key="one" class="chip">{{ one }}</span>
      <v-spacer />
      <v-menu v-if="!live" :close-on-content-click="false" location="bottom end">
        <template #activator="{ props: menu }">
          <v-btn
            v-bind="menu"
            size="small"
            variant="text"
            :prepend-icon="mdiFlaskOutline"
            :data-test="`misbehave-${view.controller.id}`"
            :title="`Let the stand-in of ${view.controller.tag} misbehave`"
            >Misbehave</v-btn
          >
        </template>
        <div class="switches" role="group" aria-label="What the stand-in does that nobody planned">
          <label v-for="one in misbehaviours" :key="one.key">
            <input
              type="checkbox"
              :checked="look.misbehaves.includes(one.key)"
              :data-switch="one.key"
              @change="emit('misbehave', one.key, ($event.target as HTMLInputElement).checked)"
            />
            <span
              ><strong>{{ one.key }}</strong> {{ one.title }}</span
            >
          </label>
        </div>
      </v-menu>
    </header>
    <div ref="frame" class="frame" :style="{ height: `${height}px` }">
      <canvas
        ref="canvas"
        role="img"
        :aria-label="told"
        :style="{ width: `${width}px`, height: `${height}px` }"
        @mousemove="point"
        @mouseleave="emit('told', '')"
        @click="pick"
        @dblclick="pickPixel"
      />
      <!-- what the canvas draws, for whoever does not use a pointer -->
      <button
        v-for="row in rows.filter((one) => one.lane)"
        :key="row.written"
        type="button"
        class="port"
        :style="{ top: `${row.top}px`, width: `${NAME_WIDTH - 8}px` }"
        :aria-label="`Pick what hangs on ${row.written}`"
        :title="row.lane!.legs.map((leg) => display.pieces.get(leg.piece)?.title).join(', ')"
        @click="
          lighting.what = row.lane!.legs.flatMap((leg) => {
            const piece = display.pieces.get(leg.piece)
            return piece ? [ofPiece(piece)] : []
          })
        "
      />
    </div>
  </section>
</template>

<style scoped>
.controller {
  padding: 10px 16px 4px;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 12px;
  font-size: 12.5px;
  min-height: 30px;
}
h2 {
  font-size: 14px;
}
h2 span {
  font-weight: 400;
}
.wrong {
  color: rgb(var(--v-theme-error));
}
.warn {
  color: rgb(var(--v-theme-warning));
}
.chip {
  padding: 0 6px;
  border: 1px dashed rgb(var(--v-theme-warning));
  border-radius: 3px;
  font-size: 11.5px;
}
.frame {
  position: relative;
  overflow: hidden;
}
canvas {
  display: block;
  cursor: crosshair;
}
.port {
  position: absolute;
  left: 0;
  height: 22px;
  border-radius: 3px;
}
.port:hover {
  box-shadow: inset 0 0 0 1px var(--copper);
}
.switches {
  max-width: 460px;
  max-height: 70vh;
  overflow: auto;
  padding: 10px 14px;
  display: grid;
  gap: 6px;
  font-size: 12.5px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: rgb(var(--v-theme-surface));
}
.switches label {
  display: flex;
  gap: 8px;
}
</style>
