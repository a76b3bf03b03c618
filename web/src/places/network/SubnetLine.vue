<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { AddressLine, Occupant, Present } from '../../api/types'
import { KEYS, keyOf } from '../../parts/keys'
import NearOnly from '../../parts/NearOnly.vue'
import { followPointer } from '../../parts/followPointer'
import { flagsOf } from './flags'
import { addressOf, bitsOf } from './ip'
import { PRESENCE } from './presence'

/**
 * The addresses of a subnet place by place, as many to a line as can be told apart; only lines where
 * anything stands. A device is dragged to a free place, or walked there with the arrow keys.
 */
const props = defineProps<{
  line: AddressLine
  width: number
  lit?: string
  /** Who has answered, by controller; then nothing is moved. */
  present?: Map<string, Present>
  /** Devices that nobody planned. */
  unknown?: Present[]
}>()
const emit = defineEmits<{
  give: [occupant: Occupant, address: string]
  step: [occupant: Occupant, by: number]
  point: [controller: string | undefined]
}>()

/** So many rows at most are all drawn. */
const SHORT = 4
const lines = ref<HTMLElement>()
/** Places to a line: whole steps of a subnet, each some pixels wide. */
const places = computed(() => (props.width < 480 ? 32 : 64))
/** A longer DHCP range is shown by its ends. */
const mostDhcpRows = computed(() => (places.value < 64 ? 1 : 4))
/** Room for an address in full (px). */
const WHOLE_ADDRESS = 92
const first = computed(() => bitsOf(props.line.first))
const last = computed(() => bitsOf(props.line.last))
const base = computed(() => bitsOf(props.line.subnet.network))
const dhcp = computed(() => {
  const { dhcpFirst, dhcpLast } = props.line.subnet
  return dhcpFirst && dhcpLast ? { from: bitsOf(dhcpFirst), to: bitsOf(dhcpLast) } : undefined
})
const taken = computed(() => new Set(props.line.occupants.map((one) => bitsOf(one.address))))
const size = computed(() => last.value - first.value + 3)
const perRow = computed(() => Math.min(places.value, size.value))
const scale = computed(() => props.width / perRow.value)

/** What nobody planned stands at its address like what is planned, by another name. */
const strangers = computed<Occupant[]>(() =>
  (props.unknown ?? [])
    .filter((one) => bitsOf(one.at!) >= first.value && bitsOf(one.at!) <= last.value)
    .map((one) => ({
      controller: '',
      tag: '+',
      title: `${one.ownName || one.product || 'a device'}, which nobody planned`,
      address: one.at!,
    })),
)
/** The mark of whoever was asked who he is. */
function markOf(one: Occupant): string {
  const state = props.present?.get(one.controller)?.state
  return state && state !== 'CANNOT_BE_ASKED' ? ` ${PRESENCE[state].mark}` : ''
}
const isWrong = (one: Occupant) => {
  const state = props.present?.get(one.controller)?.state
  return !!props.present && (one.controller === '' || (!!state && PRESENCE[state].wrong))
}
const isAway = (one: Occupant) => props.present?.get(one.controller)?.state === 'MISSING'

/** Rows of the line that hold a device, the DHCP range or the next free place. */
const rows = computed(() => {
  const wanted = new Set<number>()
  const add = (bits: number) => wanted.add(Math.floor((bits - base.value) / places.value))
  props.line.occupants.forEach((one) => add(bitsOf(one.address)))
  strangers.value.forEach((one) => add(bitsOf(one.address)))
  if (props.line.free[0] && !props.present) {
    add(bitsOf(props.line.free[0]))
  }
  if (dhcp.value && !props.present) {
    const most = dhcp.value.from + mostDhcpRows.value * places.value
    for (let bits = dhcp.value.from; bits < Math.min(most, dhcp.value.to); bits += places.value) {
      add(bits)
    }
    add(dhcp.value.to)
  }
  add(first.value)
  return [...wanted].sort((a, b) => a - b).map((row) => base.value + row * places.value)
})
function inRow(from: number, bits: number) {
  return bits >= from && bits < from + places.value
}

/** Flags stand on as many levels as it takes that no two cover each other. */
const flags = computed(() =>
  rows.value.map((from) => {
    const here = [...props.line.occupants, ...strangers.value].filter((one) =>
      inRow(from, bitsOf(one.address)),
    )
    return { from, ...flagsOf(here, from, scale.value, props.width) }
  }),
)
function tagOf(one: Occupant): string {
  return one.tag + (one.adapter !== undefined ? '·' : '')
}

const dragged = ref<{ occupant: Occupant; bits: number }>()
function free(bits: number): boolean {
  return bits >= first.value && bits <= last.value && !taken.value.has(bits)
}
function givenOut(bits: number): boolean {
  return dhcp.value !== undefined && bits >= dhcp.value.from && bits <= dhcp.value.to
}
function press(event: PointerEvent, occupant: Occupant, from: number) {
  if (props.present) {
    return
  }
  const box = (event.currentTarget as HTMLElement).closest('.row')!.getBoundingClientRect()
  followPointer(
    event,
    (moved) => {
      const place = Math.floor((moved.clientX - box.left) / scale.value)
      dragged.value = { occupant, bits: from + place }
    },
    (dropped) => {
      if (dropped && dragged.value && free(dragged.value.bits)) {
        emit('give', occupant, addressOf(dragged.value.bits))
      }
      dragged.value = undefined
    },
  )
}
/** Arrow keys: to the next address that nobody has. */
function onKey(event: KeyboardEvent, occupant: Occupant) {
  const pressed = keyOf(KEYS.address, event)
  if (pressed && !props.present) {
    event.preventDefault()
    walked = flagOf(occupant)
    emit('step', occupant, pressed === 'left' ? -1 : 1)
  }
}
const flagOf = (one: Occupant) => `${one.controller} ${one.adapter ?? ''}`
/** Whose flag is drawn anew at its next address keeps the keyboard. */
let walked: string | undefined
watch(
  flags,
  () => {
    if (walked && document.activeElement === document.body) {
      lines.value?.querySelector<HTMLElement>(`[data-flag="${CSS.escape(walked)}"]`)?.focus()
    }
  },
  { flush: 'post' },
)
const clash = (bits: number) => props.line.clashes.includes(addressOf(bits))
</script>

<template>
  <div ref="lines" class="lines">
    <NearOnly
      v-for="row in flags"
      :key="row.from"
      class="row"
      :height="row.levels * 22 + 34"
      :always="flags.length <= SHORT"
      :style="{ height: `${row.levels * 22 + 34}px`, width: `${width}px` }"
    >
      <div
        v-for="flag in row.made"
        :key="flag.bits"
        class="flag"
        :class="{ turned: flag.turned }"
        :style="{ left: `${flag.x}px`, top: `${(row.levels - 1 - flag.level) * 22}px` }"
      >
        <span class="pole" :style="{ height: `${flag.level * 22 + 26}px` }" />
        <button
          v-for="one in flag.occupants"
          :key="one.controller + one.adapter"
          type="button"
          class="name mono"
          :class="{
            clash: clash(flag.bits) || isWrong(one),
            away: isAway(one),
            lit: lit === one.controller,
          }"
          :aria-label="`${one.title} at ${one.address}${clash(flag.bits) ? ', as another device' : ''}; arrow keys move it`"
          :title="`${one.title}: ${one.address}`"
          :data-occupant="one.controller"
          :data-flag="flagOf(one)"
          @pointerdown="(event) => press(event, one, row.from)"
          @keydown="(event) => onKey(event, one)"
          @pointerenter="emit('point', one.controller)"
          @pointerleave="emit('point', undefined)"
        >
          {{ clash(flag.bits) ? '▲' : '' }}{{ tagOf(one) }}{{ markOf(one) }}
        </button>
      </div>
      <div class="scale">
        <div
          v-for="n in perRow - 1"
          :key="`place ${n}`"
          class="tick"
          :style="{ left: `${n * scale}px` }"
        />
        <div
          v-if="dhcp && dhcp.to >= row.from && dhcp.from < row.from + places"
          class="dhcp"
          :style="{
            left: `${Math.max(0, dhcp.from - row.from) * scale}px`,
            width: `${(Math.min(row.from + places, dhcp.to + 1) - Math.max(row.from, dhcp.from)) * scale}px`,
          }"
        >
          <span class="word">DHCP</span>
        </div>
        <div
          v-for="flag in row.made"
          :key="flag.bits"
          class="at"
          :class="{ clash: clash(flag.bits) }"
          :style="{ left: `${(flag.bits - row.from) * scale}px`, width: `${Math.max(2, scale)}px` }"
        />
        <div
          v-if="line.free[0] && inRow(row.from, bitsOf(line.free[0]))"
          class="next"
          :style="{
            left: `${(bitsOf(line.free[0]) - row.from) * scale}px`,
            width: `${Math.max(2, scale)}px`,
          }"
        />
        <div
          v-if="dragged && inRow(row.from, dragged.bits)"
          class="ghost"
          :class="{ no: !free(dragged.bits) }"
          :style="{ left: `${(dragged.bits - row.from) * scale}px` }"
        >
          <span class="mono"
            >{{ addressOf(dragged.bits)
            }}{{
              !free(dragged.bits)
                ? ' is not free'
                : givenOut(dragged.bits)
                  ? ' ▲ given out by DHCP'
                  : ''
            }}</span
          >
        </div>
      </div>
      <div class="marks mono quiet">
        <span v-for="n in 9" :key="n" :style="{ left: `${((n - 1) / 8) * width}px` }">{{
          n === 9 || (n > 1 && ((n - 1) / 8) * width < WHOLE_ADDRESS)
            ? ''
            : addressOf(row.from + Math.floor(((n - 1) * perRow) / 8))
                .split('.')
                .slice(n === 1 ? 0 : 3)
                .join('.')
        }}</span>
      </div>
    </NearOnly>
  </div>
</template>

<style scoped>
.row {
  position: relative;
}
.scale {
  position: absolute;
  left: 0;
  right: 0;
  bottom: 16px;
  height: 16px;
  background: var(--line);
  border-radius: 2px;
}
.dhcp {
  position: absolute;
  top: 0;
  bottom: 0;
  font-size: 10.5px;
  line-height: 16px;
  overflow: hidden;
  background: repeating-linear-gradient(
    45deg,
    transparent 0 3.2426px,
    var(--line-strong) 3.2426px 4.2426px
  );
  font-weight: 600;
}
/* it covers the places that it stands on: their edges went through it */
.word {
  display: inline-block;
  padding: 0 4px;
  background: color-mix(
    in srgb,
    rgb(var(--v-theme-on-surface)) 14%,
    rgb(var(--v-theme-background))
  );
}
.tick {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 1px;
  background: rgb(var(--v-theme-background));
}
.at {
  position: absolute;
  top: 0;
  bottom: 0;
  background: rgb(var(--v-theme-on-surface));
  border-radius: 1px;
}
.at.clash {
  background: rgb(var(--v-theme-error));
}
.next {
  position: absolute;
  top: 0;
  bottom: 0;
  border: 1.5px solid var(--copper);
}
.flag {
  position: absolute;
  display: flex;
}
.pole {
  position: absolute;
  left: -0.5px;
  top: 18px;
  width: 1px;
  background: var(--line-strong);
}
.name {
  height: 20px;
  font-size: 12px;
  padding: 0 5px;
  border-radius: 0 3px 3px 0;
  background: rgb(var(--v-theme-surface-variant));
  border-left: 2px solid rgb(var(--v-theme-on-surface));
  cursor: grab;
  touch-action: none;
}
.turned {
  transform: translateX(-100%);
}
.turned .pole {
  left: auto;
  right: -0.5px;
}
.turned .name {
  border-left: none;
  border-right: 2px solid rgb(var(--v-theme-on-surface));
  border-radius: 3px 0 0 3px;
}
.name.lit {
  background: color-mix(in srgb, var(--copper) 30%, rgb(var(--v-theme-surface-variant)));
}
.name.clash {
  border-color: rgb(var(--v-theme-error));
  color: rgb(var(--v-theme-error));
  font-weight: 600;
}
.name.away {
  border-left-style: dashed;
  background: none;
}
.turned .name.away {
  border-style: none dashed none none;
}
.ghost {
  position: absolute;
  top: -5px;
  bottom: -5px;
  width: 3px;
  background: var(--copper);
  z-index: 4;
}
.ghost.no {
  background: rgb(var(--v-theme-error));
}
.ghost span {
  position: absolute;
  bottom: 24px;
  left: -4px;
  white-space: nowrap;
  font-size: 12px;
  padding: 2px 6px;
  border-radius: 3px;
  color: rgb(var(--v-theme-background));
  background: rgb(var(--v-theme-on-surface));
}
.marks span {
  position: absolute;
  bottom: 0;
  font-size: 10.5px;
}
</style>
