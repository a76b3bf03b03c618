<script setup lang="ts">
import { computed, ref } from 'vue'
import { who } from '../../api/client'
import { said } from '../../api/said'
import type { DisplayView } from '../../api/types'
import InPlaceText from '../../parts/InPlaceText.vue'
import { useDisplay } from '../../state/display'

/** What holds for the season: whether starts keep still, when the show is on, who sits here. */
type Settings = DisplayView['settings']

const display = useDisplay()
const settings = computed<Settings>(() => display.view!.settings)
const name = ref(who.get())

const set = (changes: Partial<Settings>) =>
  void display.edit({ type: 'SetDisplay', settings: said(changes) })

const HOURS = /^([01]\d|2[0-3]):[0-5]\d\s*[–-]\s*([01]\d|2[0-3]):[0-5]\d$/
const hours = computed(() => {
  const { showHours } = settings.value
  return showHours ? `${showHours.from}–${showHours.to}` : ''
})
function setHours(text: string) {
  const [from, to] = text.split(/\s*[–-]\s*/)
  set({ showHours: text ? { from, to } : undefined })
}
function named(text: string) {
  who.set(text)
  name.value = text
}
</script>

<template>
  <div class="season">
    <label title="Edits change what they must, and leave every other start where it is">
      <input
        type="checkbox"
        :checked="settings.keepsStill ?? false"
        data-test="keeps-still"
        @change="set({ keepsStill: ($event.target as HTMLInputElement).checked })"
      />
      Keep starts still
    </label>
    <span
      >Show is on
      <InPlaceText
        :value="hours"
        label="When the show is on each evening"
        none="any time"
        :most="13"
        :pattern="HOURS"
        told="two times of the day, such as 17:00–22:30"
        @change="setHours"
      />
    </span>
    <span
      >I am
      <InPlaceText
        local
        :value="name"
        label="Your name, which the log and what you give carry"
        none="nobody"
        :most="40"
        @change="named"
      />
    </span>
  </div>
</template>

<style scoped>
.season {
  display: grid;
  gap: 3px;
  padding: 10px 10px 4px;
  margin-top: auto;
  border-top: 1px solid var(--line);
  font-size: 12.5px;
}
input[type='checkbox'] {
  accent-color: var(--copper);
}
</style>
