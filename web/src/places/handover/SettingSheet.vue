<script setup lang="ts">
import { PACKINGS } from '../../parts/words'
import { computed } from 'vue'
import type { Given, Output, OutputSection } from '../../api/types'
import { toldStart } from '../../parts/deviceStart'
import { portKey, useDisplay } from '../../state/display'
import { maskOf } from '../network/ip'

/** What one device has to be told, in its own numbering, in the order in which it is typed in. */
const props = defineProps<{ given: Given }>()

const display = useDisplay()
const configuration = computed(() => props.given.configuration)
const protocols = { E131: 'E1.31', ARTNET: 'Art-Net', DDP: 'DDP', NONE: 'none' }
const kinds = {
  PIXEL: 'Pixel ports',
  RELAY: 'Relay ports',
  PANEL: 'Panel ports',
  DMX: 'DMX lines',
  SERIAL: 'Serial lines',
}

/** Of the subnet that its address is in, as a device asks for it. */
const mask = computed(() => {
  const address = configuration.value.address
  const line = display.view!.network.lines.find((one) =>
    one.occupants.some((occupant) => occupant.address === address),
  )
  return address && line && maskOf(line.subnet.prefix)
})
/** Where each section ends on the wire, and what hangs there, as Patch has it. */
function planned(output: Output, index: number) {
  const { controller } = configuration.value
  const lane = display.laneByPort.get(portKey({ controller, kind: output.kind, port: output.port }))
  const sections = lane?.legs.flatMap((leg) => leg.sections.map((section) => ({ leg, section })))
  return sections?.length === output.sections.length ? sections[index] : undefined
}
/** The last address on the wire; of bytes without universes the device's own start says enough. */
function lastOf(output: Output, index: number): string {
  const end = planned(output, index)?.section.end
  return end?.includes(':') ? end : ''
}
/** The pixel type of a section, where it is another than of the one before. */
function typeOf(output: Output, index: number): string | undefined {
  const of = (i: number) => {
    const piece = display.pieces.get(planned(output, i)?.leg.piece ?? '')?.piece
    return piece?.kind === 'string' ? display.pixelTypes.get(piece.pixelType)?.name : undefined
  }
  return index > 0 && of(index) === of(index - 1) ? undefined : of(index)
}
function panelsTold(panels: NonNullable<NonNullable<OutputSection['matrix']>['panels']>): string {
  return `${panels.columns} × ${panels.rows} panels of ${panels.panelWidth} × ${panels.panelHeight} from ${panels.order.start.toLowerCase().replace('_', ' ')}${panels.order.serpentine ? ', back and forth' : ''}`
}

const groups = computed(() => {
  const byKind = new Map<Output['kind'], Output[]>()
  configuration.value.outputs.forEach((output) =>
    byKind.set(output.kind, [...(byKind.get(output.kind) ?? []), output]),
  )
  return [...byKind].map(([kind, outputs]) => ({
    kind,
    title: kinds[kind],
    used: outputs.filter((output) => output.used),
    empty: outputs.filter((output) => !output.used),
  }))
})

/** What an input listens to, in words. */
function heard(input: Given['configuration']['inputs'][number]): string {
  return [
    `${input.count === 1 ? '1 universe' : `${input.count} universes`} of ${input.size} channels`,
    input.dmxPort !== undefined && `to DMX line ${input.dmxPort}`,
    input.start !== undefined && `from channel ${input.start}`,
  ]
    .filter(Boolean)
    .join(', ')
}

/** Settings of a section that are not what a device starts out with. */
function options(output: Output, section: OutputSection): string {
  const said = (name: 'nullPixels' | 'group' | 'fold' | 'brightness') =>
    section[name] ?? output.options[name]
  return [
    section.matrix &&
      `${section.matrix.width} × ${section.matrix.height} from ${section.matrix.order.start.toLowerCase().replace('_', ' ')}, ${section.matrix.order.lines.toLowerCase()}${section.matrix.order.serpentine ? ', back and forth' : ''}`,
    section.matrix?.panels && panelsTold(section.matrix.panels),
    section.matrix?.panels?.cards
      .map((card) => `${card.name} rows ${card.rows.join('+')}`)
      .join(', '),
    section.box !== undefined && `box ${String.fromCharCode(64 + section.box)}`,
    said('nullPixels') && `${said('nullPixels')} null`,
    (said('group') ?? 1) > 1 && `groups of ${said('group')}`,
    said('fold') !== undefined && `fold ${said('fold')}`,
    (section.backward ?? output.options.backward) && 'backward',
    section.colourOrder ?? output.options.colourOrder,
    said('brightness') !== undefined && `${said('brightness')} %`,
    section.slot !== undefined && `slot ${section.slot}`,
    section.ledsPerPixel !== undefined &&
      `${section.pixels} pixels of ${section.ledsPerPixel} LEDs`,
    section.threshold !== undefined && `on from ${section.threshold}`,
    section.safeOn !== undefined && `rests ${section.safeOn ? 'on' : 'off'}`,
  ]
    .filter(Boolean)
    .join(' · ')
}
</script>

<template>
  <article class="sheet" :aria-label="`Setting sheet of ${configuration.tag}`" data-test="sheet">
    <header>
      <span class="tag">{{ configuration.tag }}</span>
      <div>
        <h2>{{ configuration.name }}</h2>
        <p class="quiet">
          {{ configuration.modelTitle
          }}<template v-if="configuration.mode">, {{ configuration.mode }}</template> ·
          {{ protocols[configuration.protocol] }}, {{ configuration.transport.toLowerCase() }} ·
          <span class="mono">{{ configuration.address ?? 'no address' }}</span>
          <template v-if="mask">
            mask <span class="mono">{{ mask }}</span></template
          >
        </p>
      </div>
    </header>
    <p v-for="untold in configuration.untold" :key="untold.what + untold.piece" class="untold">
      ▲ {{ configuration.tag }}{{ untold.port ? `-${untold.port.port}` : '' }}: {{ untold.what }}
    </p>

    <h3>1 · Inputs</h3>
    <table>
      <tbody>
        <tr v-for="(input, i) in configuration.inputs" :key="i">
          <td class="mono big">
            <template v-if="input.universe !== undefined">
              {{
                input.count > 1
                  ? `${input.universe} – ${input.universe + input.count - 1}`
                  : input.universe
              }}
            </template>
            <template v-else>{{ input.size }} bytes</template>
          </td>
          <td v-if="input.universe !== undefined">{{ heard(input) }}</td>
          <td v-else>from its own first channel on</td>
        </tr>
        <tr v-if="configuration.inputs.length === 0">
          <td class="quiet">none: nothing hangs on it</td>
        </tr>
      </tbody>
    </table>
    <p v-if="configuration.packing" class="quiet how">
      Packing: a pixel that meets the end of a universe {{ PACKINGS[configuration.packing] }}.
    </p>
    <p v-if="configuration.ownStorage" class="quiet how">
      Plays a show of its own storage; it is only started.
    </p>

    <template v-for="(group, g) in groups" :key="group.kind">
      <h3>{{ g + 2 }} · {{ group.title }}</h3>
      <table v-if="group.used.length">
        <thead>
          <tr>
            <th>Port</th>
            <th>Start</th>
            <th>Last address</th>
            <th>What hangs there</th>
            <th class="right">
              {{ group.kind === 'PIXEL' || group.kind === 'PANEL' ? 'Pixels' : 'Channels' }}
            </th>
            <th>Settings</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="output in group.used" :key="output.port">
            <tr v-for="(section, i) in output.sections" :key="i" :class="{ first: i === 0 }">
              <td class="mono big">{{ i === 0 ? output.label : '' }}</td>
              <td class="mono big">
                {{
                  toldStart(section.start) ||
                  (i === 0 ? toldStart(output.start) : '') ||
                  (group.kind === 'PIXEL' ? 'follows' : '')
                }}
              </td>
              <td class="mono quiet">{{ lastOf(output, i) }}</td>
              <td>{{ section.name }}</td>
              <td class="mono right">{{ section.slots ?? section.pixels }}</td>
              <td class="mono quiet">
                {{ [typeOf(output, i), options(output, section)].filter(Boolean).join(' · ') }}
              </td>
            </tr>
          </template>
        </tbody>
      </table>
      <p v-if="group.empty.length" class="quiet empty">
        To be emptied: {{ group.empty.map((output) => output.label).join(', ') }}
      </p>
    </template>
  </article>
</template>

<style scoped>
.sheet {
  max-width: 860px;
  background: rgb(var(--v-theme-surface));
  border: 1px solid var(--line);
  padding: 20px 28px 28px;
  font-size: 13px;
}
header {
  display: flex;
  gap: 16px;
  align-items: center;
  border-bottom: 2px solid rgb(var(--v-theme-on-surface));
  padding-bottom: 12px;
}
.tag {
  font: 600 24px/1 var(--mono);
  padding: 8px 10px;
  border: 2px solid rgb(var(--v-theme-on-surface));
  border-radius: 4px;
}
h3 {
  font-size: 13px;
  font-weight: 600;
  margin: 16px 0 4px;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-weight: 500;
  font-size: 11.5px;
  color: var(--quiet);
  padding: 2px 12px 2px 0;
}
td {
  padding: 4px 12px 4px 0;
  vertical-align: baseline;
}
tr.first td {
  border-top: 1px solid var(--line);
}
.big {
  font-size: 14px;
  font-weight: 500;
  white-space: nowrap;
}
.right {
  text-align: right;
}
.how {
  margin-top: 4px;
}
.empty {
  margin-top: 6px;
}
.untold {
  color: rgb(var(--v-theme-error));
  margin-top: 8px;
}
@media (width < 700px) {
  .sheet {
    padding: 12px;
    overflow-x: auto;
  }
}
</style>
