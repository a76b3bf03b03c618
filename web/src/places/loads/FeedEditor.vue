<script setup lang="ts">
import { computed } from 'vue'
import type { Feed, FeedView, LaneView } from '../../api/types'
import { gaugesWith } from '../../parts/gauges'
import InPlaceChoice from '../../parts/InPlaceChoice.vue'
import InPlaceNumber from '../../parts/InPlaceNumber.vue'
import { useDisplay } from '../../state/display'
import { feedAt, placeName } from './feeds'

/** The chosen feed as a sentence from the supply to the wire, every value edited where it stands. */
const props = defineProps<{ lane: LaneView; feed: FeedView; lost: boolean }>()
const emit = defineEmits<{ change: [changes: Partial<Feed>]; lose: []; remove: [] }>()

const display = useDisplay()
const own = computed(() => props.feed.piece === undefined)
const entered = computed(() =>
  own.value
    ? undefined
    : feedAt(props.lane, { piece: props.feed.piece!, index: props.feed.index! }),
)
const supplies = computed(() =>
  display.view!.power.supplies.map(({ supply }) => ({
    value: supply.id,
    title: `${supply.name}, ${supply.volts} V`,
  })),
)
const origins = { ENTERED: '', ESTIMATED: '≈', UNKNOWN: '?' }
/** Names the supply of the power input behind a socket. */
function name(supply?: string) {
  const { bank, input } = props.feed
  const { controller } = props.lane.port
  void display.edit({ type: 'PowerInput', controller, bank, input: input!, supply })
}
const behind = computed(() =>
  props.feed.bank === undefined
    ? `power input ${props.feed.input}`
    : `box ${props.feed.input} of bank ${props.feed.bank}`,
)
</script>

<template>
  <p class="feed" data-test="feed-editor">
    <template v-if="own">
      <strong>The socket</strong>
      <template v-if="feed.input">
        is fed through {{ behind }} by
        <InPlaceChoice
          :value="feed.supply"
          :label="`Supply of ${behind}`"
          :choices="supplies"
          :none="`nobody said; ${feed.volts} V are assumed`"
          @change="name"
        />
      </template>
      <template v-else>gives {{ feed.volts }} V</template>
      over
      {{
        feed.leadOrigin === 'UNKNOWN'
          ? 'a cable that nobody measured'
          : `${origins[feed.leadOrigin]}${feed.leadMetres} m`
      }}
      of {{ feed.gauge }}, with a fuse of
      {{ feed.fuseAmps ? `${feed.fuseAmps} A, as the model has it` : 'unknown size' }}
    </template>
    <template v-else>
      <strong>The feed at {{ placeName(lane, feed.position) }}</strong>
      comes from
      <InPlaceChoice
        :value="feed.supply"
        label="Supply of this feed"
        :choices="supplies"
        @change="(v) => v && emit('change', { supply: v })"
      />
      over
      <InPlaceNumber
        :value="entered?.leadMetres"
        :none="`${origins[feed.leadOrigin]}${feed.leadMetres}`"
        label="Lead of this feed, metres; left out: estimated from the zones"
        :least="0"
        :most="1000"
        :step="0.1"
        @change="(v) => emit('change', { leadMetres: v })"
      />
      m of
      <InPlaceChoice
        :value="entered?.gauge"
        label="Wire of the lead"
        :choices="gaugesWith(entered?.gauge)"
        none="AWG 18, as usual †"
        @change="(v) => emit('change', { gauge: v })"
      />
      with a fuse of
      <InPlaceNumber
        :value="entered?.fuseAmps"
        none="none"
        label="Fuse of this feed, amperes"
        :least="0.1"
        :most="1000"
        :step="0.1"
        @change="(v) => emit('change', { fuseAmps: v })"
      />
      A
    </template>
    <span class="mono now">
      {{ feed.amps.toFixed(2) }} A planned · {{ feed.fullAmps.toFixed(2) }} A at 100 %
    </span>
    <v-btn size="small" :aria-pressed="lost" data-test="lose" @click="emit('lose')">
      {{ lost ? 'Put it back' : 'See it lost' }}
    </v-btn>
    <v-btn v-if="!own" size="small" data-test="remove-feed" @click="emit('remove')">Remove</v-btn>
  </p>
</template>

<style scoped>
.feed {
  font-size: 13px;
  line-height: 28px;
}
.now {
  margin-left: 10px;
  font-size: 12px;
}
</style>
