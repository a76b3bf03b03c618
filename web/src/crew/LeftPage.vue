<script setup lang="ts">
import { computed } from 'vue'
import StageBar from './StageBar.vue'
import StringState from './StringState.vue'
import TickButton from './TickButton.vue'
import { rank } from './waiting'
import { known, may, pages, ticking } from './known'

/** What is left for tonight, zone by zone; or what is in trouble, the most urgent first. */
const props = defineProps<{ troubles?: boolean }>()

const URGENCY = ['TONIGHT', 'SOON', 'LATER']
const shown = computed(() => {
  const all = [...known.value.values()]
  return props.troubles
    ? all
        .filter((one) => one.trouble)
        .sort((a, b) => URGENCY.indexOf(a.trouble!.urgency) - URGENCY.indexOf(b.trouble!.urgency))
    : all.filter((one) => one.trouble || rank(one.stage) < rank(ticking.stage))
})
const zones = computed(() => {
  const all = new Map<string, typeof shown.value>()
  for (const one of shown.value) {
    const zone = props.troubles ? one.trouble!.urgency.toLowerCase() : one.zone || 'no zone'
    all.set(zone, [...(all.get(zone) ?? []), one])
  }
  return [...all]
})
const printOf = (piece: string, controller?: string) =>
  controller === undefined ? undefined : pages.get(controller)?.prints[piece]
</script>

<template>
  <div class="page" :data-test="troubles ? 'trouble-page' : 'left-page'">
    <h1>{{ troubles ? 'In trouble' : 'Left to do' }}</h1>
    <StageBar v-if="may('TICK') && !troubles" />
    <p v-if="!shown.length" class="quiet">
      {{ troubles ? 'Nothing is in trouble.' : 'Nothing is left: all of it is done.' }}
    </p>
    <section v-for="[zone, some] in zones" :key="zone">
      <h2>{{ zone }} · {{ some.length }}</h2>
      <ul class="rows">
        <li v-for="one in some" :key="one.piece" class="row">
          <router-link :to="{ name: 'string', params: { piece: one.piece } }" class="what">
            <strong>{{ one.title }}</strong>
            <span class="mono">{{ one.written || 'on no port yet' }}</span>
            <StringState :string="one" />
          </router-link>
          <TickButton
            v-if="!troubles"
            :string="one"
            :print="printOf(one.piece, one.port?.controller)"
          />
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
section > * + * {
  margin-top: 8px;
}
.row {
  display: flex;
  gap: 10px;
}
.what {
  flex: 1;
  min-width: 0;
  min-height: 56px;
  overflow-wrap: anywhere;
}
.what > * {
  display: block;
}
</style>
