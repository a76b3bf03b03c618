<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed } from 'vue'
import { said } from '../../api/said'
import type { Enclosure, EnclosureView, Link } from '../../api/types'
import DrawnIcon from '../../parts/DrawnIcon'
import InPlaceChoice from '../../parts/InPlaceChoice.vue'
import InPlaceNumber from '../../parts/InPlaceNumber.vue'
import InPlaceText from '../../parts/InPlaceText.vue'
import NearOnly from '../../parts/NearOnly.vue'
import RowButton from '../../parts/RowButton.vue'
import { useDisplay } from '../../state/display'
import { freshId } from '../../state/freshId'
import { branches, lengthState, SWITCHES, switchesOf, switchesTold } from './cabling'

/** Enclosures as cables lead to them, each cable drawn to scale, with what is in each. */
const props = defineProps<{
  /** An enclosure, or a link, that somebody was sent to: it is drawn, however far down it is. */
  sent?: string
}>()
/** So many at most are all drawn. */
const SHORT = 12
const display = useDisplay()
const network = computed(() => display.view!.network)
const rows = computed(() =>
  branches(network.value.enclosures, network.value.links, (view) =>
    view.controllers.some((id) => display.controllerOf(id)?.host),
  ),
)
const isSentTo = ({ view, link, closing }: (typeof rows.value)[number]) =>
  [view.enclosure.id, link?.id, ...closing.map((one) => one.id)].includes(props.sent)
/** So few that every field may list all of them. */
const few = computed(() => network.value.enclosures.length <= 24)
const supplies = computed(() => display.view!.power.supplies.map((one) => one.supply))
const supplyNames = computed(() => new Map(supplies.value.map(({ id, name }) => [id, name])))
const mains = computed(() =>
  display.view!.power.mains.map(({ mains }) => ({ value: mains.id, title: mains.name })),
)
const names = computed(
  () => new Map(network.value.enclosures.map(({ enclosure }) => [enclosure.id, enclosure.name])),
)

/** What is in no enclosure: it may be put into one. */
const loose = computed(() => [
  ...display
    .view!.controllers.filter((view) => !view.controller.settings.enclosure)
    .map(({ controller }) => ({
      value: `c:${controller.id}`,
      title: `${controller.tag} ${controller.name}`,
    })),
  ...supplies.value
    .filter((supply) => !supply.enclosure)
    .map((supply) => ({ value: `s:${supply.id}`, title: supply.name })),
])
/** What is in an enclosure, by the same keys. */
function inside(view: EnclosureView) {
  return [
    ...view.controllers.map((id) => {
      const controller = display.controllerOf(id)?.controller
      return { key: `c:${id}`, title: controller?.tag, told: controller?.name, tag: true }
    }),
    ...view.supplies.map((id) => {
      return { key: `s:${id}`, title: supplyNames.value.get(id), told: undefined, tag: false }
    }),
  ]
}
function move(what: string | undefined, enclosure: string | undefined) {
  if (!what) {
    return
  }
  const id = what.slice(2)
  if (what.startsWith('c:')) {
    void display.set(id, { enclosure })
  } else {
    void display.edit({ type: 'SetSupplies', supplies: [id], set: said({ enclosure }) })
  }
}

function put(enclosure: Enclosure, changes: Partial<Enclosure>) {
  void display.edit({ type: 'SetEnclosures', enclosures: [enclosure.id], set: said(changes) })
}
function putLink(link: Link, changes: Partial<Link>) {
  void display.edit({ type: 'SetLinks', links: [link.id], set: said(changes) })
}
/** Enclosures that no link joins with this one. */
function others(id: string) {
  const joined = new Set(
    network.value.links
      .filter((link) => link.from === id || link.to === id)
      .flatMap((link) => [link.from, link.to]),
  )
  return network.value.enclosures
    .filter(({ enclosure }) => enclosure.id !== id && !joined.has(enclosure.id))
    .map(({ enclosure }) => ({ value: enclosure.id, title: enclosure.name }))
}
function join(from: string, to: string | undefined) {
  if (to) {
    void display.edit(() => {
      const ids = network.value.links.map((link) => link.id)
      return {
        type: 'PutLink',
        link: {
          id: freshId('link', ids),
          name: `N${ids.length + 1}`,
          from,
          to,
          kind: 'COPPER',
        },
      }
    })
  }
}
/** More choices than these are listed in a field that somebody is near: a row has several fields. */
const MANY = 8
const KINDS = [
  { value: 'COPPER', title: 'copper' },
  { value: 'FIBRE', title: 'fibre' },
]
const percent = (metres: number) =>
  `${Math.min(100, (metres / network.value.mostCopperMetres) * 100)}%`
</script>

<template>
  <ul class="tree" data-test="enclosures">
    <NearOnly
      v-for="row in rows"
      :key="row.view.enclosure.id"
      as="li"
      :height="44"
      :always="rows.length <= SHORT || isSentTo(row)"
      :style="{ '--depth': row.depth }"
      data-test="enclosure"
    >
      <div
        v-if="row.link"
        class="cable"
        :class="lengthState(row.link, network)"
        :data-part="row.link.id"
      >
        <span class="bend" aria-hidden="true" />
        <span class="mono name">
          <InPlaceText
            :value="row.link.name"
            :label="`Name of the link to ${row.view.enclosure.name}`"
            @change="(name) => putLink(row.link!, { name })"
          />
        </span>
        <span
          class="length"
          :class="{ fibre: row.link.kind === 'FIBRE' }"
          :title="`${network.plannedCopperMetres} m of copper are planned at most, ${network.mostCopperMetres} m carry`"
        >
          <span class="fill" :style="{ width: percent(row.link.metres ?? 0) }" />
          <span class="mark" :style="{ left: percent(network.plannedCopperMetres) }" />
        </span>
        <span class="told">
          <template v-if="lengthState(row.link, network)">▲ </template>
          <InPlaceNumber
            :value="row.link.metres"
            none="? m"
            :label="`Length of ${row.link.name}, metres`"
            :least="0.1"
            :most="100000"
            :step="0.1"
            @change="(metres) => putLink(row.link!, { metres })"
          /><template v-if="row.link.metres !== undefined"> m</template> of
          <InPlaceChoice
            :value="row.link.kind"
            :label="`Kind of ${row.link.name}`"
            :choices="KINDS"
            @change="(kind) => putLink(row.link!, { kind: kind as Link['kind'] })"
          />
        </span>
        <button
          type="button"
          class="away"
          :aria-label="`Remove link ${row.link.name}`"
          @click="display.edit({ type: 'RemoveLink', link: row.link.id })"
        >
          <DrawnIcon :path="mdiClose" :size="14" />
        </button>
      </div>
      <div class="box" :data-part="row.view.enclosure.id">
        <div class="title">
          <strong>
            <InPlaceText
              :value="row.view.enclosure.name"
              label="Name of the enclosure"
              @change="(name) => put(row.view.enclosure, { name })"
            />
          </strong>
          <span>
            in
            <InPlaceChoice
              :value="row.view.enclosure.zone"
              :label="`Zone of ${row.view.enclosure.name}`"
              :choices="display.zoneChoices"
              :many="MANY"
              none="no zone"
              @change="(zone) => put(row.view.enclosure, { zone })"
            />
            on
            <InPlaceChoice
              :value="row.view.enclosure.mains"
              :label="`Mains circuit of ${row.view.enclosure.name}`"
              :choices="mains"
              :many="MANY"
              none="no mains circuit"
              @change="(mains) => put(row.view.enclosure, { mains })"
            />
          </span>
          <span class="switch">
            switch of
            <InPlaceText
              :value="switchesTold(row.view.enclosure.switches)"
              none="none"
              :label="`Ports of each switch in ${row.view.enclosure.name}`"
              :pattern="SWITCHES"
              told="write the ports of each switch, such as 8, or 8 + 5 for two"
              @change="(text) => put(row.view.enclosure, { switches: switchesOf(text) })"
            />
            <template v-if="row.view.switchPorts">
              ports,
              <span :class="{ clash: row.view.plugged > row.view.switchPorts }"
                >{{ row.view.plugged > row.view.switchPorts ? '▲ ' : ''
                }}{{ row.view.plugged }} wanted</span
              >
            </template>
          </span>
        </div>
        <div class="inside">
          <span v-for="thing in inside(row.view)" :key="thing.key" class="thing">
            <span :class="{ mono: thing.tag }" :title="thing.told">{{ thing.title }}</span>
            <button
              type="button"
              :aria-label="`Take ${thing.title} out of ${row.view.enclosure.name}`"
              @click="move(thing.key, undefined)"
            >
              <DrawnIcon :path="mdiClose" :size="12" />
            </button>
          </span>
          <span v-if="inside(row.view).length === 0" class="quiet">empty</span>
          <InPlaceChoice
            v-if="loose.length"
            :label="`Put something into ${row.view.enclosure.name}`"
            :choices="loose"
            none="put in …"
            @change="(what) => move(what, row.view.enclosure.id)"
          />
          <InPlaceChoice
            v-if="!few || others(row.view.enclosure.id).length"
            :label="`Link ${row.view.enclosure.name} to`"
            :choices="few ? others(row.view.enclosure.id) : () => others(row.view.enclosure.id)"
            none="link to …"
            @change="(to) => join(row.view.enclosure.id, to)"
          />
          <span v-for="link in row.closing" :key="link.id" class="clash" :data-part="link.id">
            ▲ {{ link.name }} leads round to
            {{ names.get(link.from === row.view.enclosure.id ? link.to : link.from) }}
            <button
              type="button"
              :aria-label="`Remove link ${link.name}`"
              @click="display.edit({ type: 'RemoveLink', link: link.id })"
            >
              <DrawnIcon :path="mdiClose" :size="12" />
            </button>
          </span>
        </div>
      </div>
      <RowButton
        :aria-label="`Remove ${row.view.enclosure.name}`"
        @click="display.edit({ type: 'RemoveEnclosure', enclosure: row.view.enclosure.id })"
        >Remove</RowButton
      >
    </NearOnly>
  </ul>
</template>

<style scoped>
.tree {
  list-style: none;
  font-size: 13px;
  display: grid;
  gap: 6px;
  margin-top: 6px;
}
li {
  display: flex;
  padding-left: calc(var(--depth) * var(--indent, 22px));
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
}
.cable {
  display: grid;
  grid-template-columns: 14px 44px 150px 150px 18px;
  gap: 6px;
  align-items: center;
}
.bend {
  height: 20px;
  margin-top: -20px;
  border-left: 2px solid var(--line-strong);
  border-bottom: 2px solid var(--line-strong);
}
.length {
  position: relative;
  height: 6px;
  background: var(--line);
}
.fill {
  position: absolute;
  inset: 0 auto 0 0;
  background: rgb(var(--v-theme-success));
}
.fibre .fill {
  background: var(--copper);
}
.near .fill {
  background: rgb(var(--v-theme-warning));
}
.over .fill {
  background: rgb(var(--v-theme-error));
}
.over .told,
.clash {
  color: rgb(var(--v-theme-error));
}
.fibre .mark {
  display: none;
}
.mark {
  position: absolute;
  top: -3px;
  bottom: -3px;
  width: 1px;
  background: var(--line-strong);
}
.box {
  flex: 1 1 480px;
  border-left: 3px solid var(--copper);
  padding: 2px 0 2px 12px;
}
.title,
.inside {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 12px;
}
.title > * {
  min-width: 0;
  max-width: 100%;
}
.inside {
  font-size: 12.5px;
}
.thing {
  white-space: nowrap;
}
.thing button,
.away {
  opacity: 0.35;
}
.thing button:hover,
.thing button:focus-visible,
.away:hover,
.away:focus-visible {
  opacity: 1;
}
@container (width < 700px) {
  .tree {
    --indent: 6px;
    grid-template-columns: minmax(0, 1fr);
  }
  .cable {
    grid-template-columns: 14px 44px minmax(30px, 90px) auto 18px;
  }
  .box {
    flex-basis: 100%;
    min-width: 0;
  }
}
</style>
