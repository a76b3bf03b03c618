<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import { api } from '../../api/client'
import type { Units } from '../../api/types'
import InPlaceText from '../../parts/InPlaceText.vue'
import { moment } from '../../parts/handoverWords'
import { useDisplay } from '../../state/display'
import { latestOf } from '../../state/latest'

/** Devices by serial number: where each stands, what happened with it, and where it lies. */
const display = useDisplay()
const view = shallowRef<Units>()
const opened = ref<string>()
const serial = ref('')
const ask = latestOf<Units>((answer) => (view.value = answer))
watch(
  [() => display.view!.id, () => display.view!.version, () => display.besides],
  () => void ask(() => api.units(display.view!.id)),
  { immediate: true },
)
async function put(which: string, place: string) {
  view.value =
    (await display.attempt(() => api.putUnit(display.view!.id, which, place))) ?? view.value
}
async function add() {
  const given = serial.value.trim()
  if (given) {
    await put(given, 'storage')
    serial.value = ''
  }
}
</script>

<template>
  <section v-if="view" class="list" aria-label="Units">
    <p class="line">
      <span class="quiet"
        >A unit is met when it says its serial number while it is given something.</span
      >
      <span
        >One that lies in storage:
        <input
          v-model="serial"
          class="field serial mono"
          aria-label="Serial number of a unit in storage"
          placeholder="serial number"
          maxlength="80"
          data-test="unit-serial"
          @keydown.enter.prevent="add"
      /></span>
    </p>
    <div
      v-if="view.units.length"
      class="rows scrolls"
      tabindex="0"
      role="region"
      aria-label="All units"
    >
      <table>
        <tbody>
          <template v-for="one in view.units" :key="one.serial">
            <tr :data-unit="one.serial">
              <td class="mono">{{ one.serial }}</td>
              <td>{{ one.model }}</td>
              <td class="mono">{{ one.now ? one.controller : '' }}</td>
              <td>
                <button
                  v-if="one.history.length"
                  type="button"
                  class="to"
                  :aria-expanded="opened === one.serial"
                  @click="opened = opened === one.serial ? undefined : one.serial"
                >
                  {{ one.history[0].told }}
                </button>
              </td>
              <td>
                <InPlaceText
                  :value="one.place"
                  :label="`Where ${one.serial} lies`"
                  none="where it lies"
                  local
                  @change="(place: string) => put(one.serial, place)"
                />
              </td>
            </tr>
            <tr v-if="opened === one.serial">
              <td></td>
              <td colspan="4">
                <p v-for="event in one.history" :key="event.at + event.told">
                  <span class="mono quiet">{{ moment(event.at) }}</span> {{ event.told }}
                  <span v-if="event.by" class="quiet">by {{ event.by }}</span>
                </p>
              </td>
            </tr>
          </template>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped src="./list.css"></style>
<style scoped>
.serial {
  width: 18ch;
}
.to {
  text-decoration: underline dotted var(--line-strong);
  text-underline-offset: 3px;
}
</style>
