<script setup lang="ts">
import { computed } from 'vue'
import { known, pages, yard } from './known'

/** The whole yard: each controller with what is left to do there. */
const counts = computed(() => {
  const all = new Map<string, { strings: number; done: number; trouble: number }>()
  for (const one of known.value.values()) {
    if (one.port) {
      const id = one.port.controller
      const count = all.get(id) ?? { strings: 0, done: 0, trouble: 0 }
      count.strings++
      count.done += one.stage === 'SEEN_RIGHT' && !one.trouble ? 1 : 0
      count.trouble += one.trouble ? 1 : 0
      all.set(id, count)
    }
  }
  return all
})
const left = computed(
  () =>
    [...known.value.values()].filter(
      (one) => one.trouble || (one.port && one.stage !== 'SEEN_RIGHT'),
    ).length,
)
const troubles = computed(() => [...known.value.values()].filter((one) => one.trouble).length)
const kept = computed(() => pages.size)
const told = (id: string) => {
  const count = counts.value.get(id)
  return count ? `${count.done} of ${count.strings} seen right` : 'no strings'
}
</script>

<template>
  <div class="page" data-test="yard">
    <div class="acts">
      <router-link to="/left" class="button" data-test="left">{{ left }} left</router-link>
      <router-link to="/trouble" class="button" :class="{ main: troubles }" data-test="troubles"
        >▲ {{ troubles }} in trouble</router-link
      >
    </div>
    <h1>Controllers</h1>
    <ul class="rows">
      <li v-for="one in yard!.controllers" :key="one.id">
        <router-link
          :to="{ name: 'controller', params: { id: one.id } }"
          class="card"
          :data-controller="one.id"
        >
          <strong class="mono tag">{{ one.tag }}</strong>
          <span class="words">
            <strong>{{ one.name }}</strong>
            <span class="quiet"
              >{{ one.zone || 'no zone' }} · {{ told(one.id)
              }}<template v-if="counts.get(one.id)?.trouble">
                · <span class="wrong">▲ {{ counts.get(one.id)!.trouble }}</span></template
              ></span
            >
          </span>
        </router-link>
      </li>
    </ul>
    <p class="quiet">
      This phone keeps {{ kept }} of {{ yard!.controllers.length }} controllers for when it is out
      of reach. Planned values: measure before energising.
    </p>
  </div>
</template>

<style scoped>
.card {
  display: flex;
  gap: 14px;
  align-items: center;
}
.tag {
  min-width: 3ch;
  font-size: 22px;
}
.words > * {
  display: block;
}
</style>
