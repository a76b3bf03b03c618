<script setup lang="ts">
import { computed } from 'vue'
import type { PortRow } from './types'
import StringState from './StringState.vue'
import TickButton from './TickButton.vue'
import { known } from './known'

/** A port upright: its wire from the socket down, each leg as long as it is, in wire order. */
const props = defineProps<{
  port: PortRow
  /** Places of the longest run of the controller, so that all are drawn to one scale. */
  longest: number
  prints: Record<string, string>
}>()

/** The longest run is drawn about so long (px). */
const TALL = 280
const LEAST = 76
const rows = computed(() =>
  props.port.legs.map((leg, index) => ({
    leg,
    string: known.value.get(leg.piece),
    height: Math.max(LEAST, Math.round((leg.pixels / Math.max(1, props.longest)) * TALL)),
    // power enters before a place of this leg, or at the end of the wire behind it
    feeds: props.port.feeds.filter(
      (feed) =>
        feed.place >= leg.from &&
        (feed.place < leg.from + leg.pixels || index === props.port.legs.length - 1),
    ),
  })),
)
const metres = (length?: number) => (length ? `${length.toFixed(1)} m` : '')
</script>

<template>
  <section class="port" :data-port="port.written">
    <h3>
      <span class="mono">{{ port.written }}</span>
      <span v-if="port.at" class="quiet">{{ port.at }}</span>
      <span v-if="!port.legs.length" class="quiet free">free</span>
    </h3>
    <ol v-if="port.legs.length" class="wire">
      <li v-for="{ leg, string, height, feeds } in rows" :key="leg.piece">
        <p v-if="leg.nullPixels || leg.cableMetres || leg.cableTag || leg.box" class="gap">
          <span v-if="leg.box">box {{ leg.box }}</span>
          <span v-if="leg.cableMetres">cable {{ metres(leg.cableMetres) }}</span>
          <span v-if="leg.cableTag" class="mono">{{ leg.cableTag }}</span>
          <span v-if="leg.nullPixels">{{ leg.nullPixels }} null pixels</span>
        </p>
        <div class="leg" :style="{ minHeight: `${height}px` }">
          <span class="bar" :class="{ mirror: leg.mirror, plain: !leg.pixels }" aria-hidden="true">
            <span class="count mono">{{ leg.pixels || '' }}</span>
            <span
              v-for="feed in feeds"
              :key="feed.place"
              class="enters"
              :style="{ top: `${Math.min(100, ((feed.place - leg.from) / leg.pixels) * 100)}%` }"
              >↯</span
            >
          </span>
          <router-link
            :to="{ name: 'string', params: { piece: leg.piece } }"
            class="what"
            :data-string="leg.piece"
          >
            <strong>{{ leg.title }}</strong>
            <span class="quiet"
              >{{ leg.set || `${leg.first} to ${leg.last}`
              }}<template v-if="leg.tag">
                · <span class="mono">{{ leg.tag }}</span></template
              ></span
            >
            <span v-if="leg.dataIn" class="quiet">data in: {{ leg.dataIn }}</span>
            <span v-if="leg.backward" class="quiet">counted from its far end</span>
            <span v-if="leg.mirror" class="quiet">shows what another shows</span>
            <StringState v-if="string" :string="string" />
            <span v-for="feed in feeds" :key="feed.place" class="quiet"
              >↯ power before {{ feed.place }}: {{ feed.supply }}, {{ feed.lead
              }}<template v-if="feed.fuseAmps">, fuse {{ feed.fuseAmps }} A</template
              ><span v-if="feed.tag" class="mono">, {{ feed.tag }}</span></span
            >
          </router-link>
          <TickButton v-if="string" :string="string" :print="prints[leg.piece]" />
        </div>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.port {
  border-top: 2px solid var(--line);
  padding-top: 8px;
}
h3 {
  display: flex;
  align-items: baseline;
  gap: 10px;
  font-size: 20px;
}
.free {
  font-weight: 400;
}
.wire {
  margin-top: 6px;
}
.gap {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  margin-left: 21px;
  padding: 6px 0 6px 25px;
  font-size: 15px;
  border-left: 3px dashed var(--line);
}
.leg {
  display: flex;
  gap: 10px;
  align-items: stretch;
  margin-bottom: 2px;
}
.bar {
  position: relative;
  flex: none;
  display: flex;
  justify-content: center;
  width: 45px;
  padding-top: 6px;
  color: var(--on-copper);
  background: var(--copper);
  border-radius: 3px;
}
.bar.mirror,
.bar.plain {
  color: var(--ink);
  background: none;
  border: 3px dashed var(--copper);
}
.count {
  font-size: 15px;
}
.enters {
  position: absolute;
  left: 0;
  right: -8px;
  text-align: right;
  line-height: 0;
  border-top: 3px solid var(--ground);
}
.what {
  flex: 1;
  min-width: 0;
  min-height: 48px;
  overflow-wrap: anywhere;
}
.what > * {
  display: block;
}
.what .quiet {
  font-size: 15px;
}
</style>
