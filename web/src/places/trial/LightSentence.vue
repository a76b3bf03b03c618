<script setup lang="ts">
import { mdiLightbulbOffOutline, mdiLightbulbOnOutline } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import type { Colour } from '../../api/types'
import { choices, longest, piecesOf, type Target, typedSlot } from '../../state/targets'
import { useDisplay } from '../../state/display'
import { useLighting } from '../../state/lighting'
import PixelSteps from './PixelSteps.vue'

/** What is lit with what, at which level: a sentence from left to right. */
const display = useDisplay()
const lighting = useLighting()
const typed = ref('')

const COLOURS: { value: Colour; title: string }[] = [
  { value: 'WHITE', title: 'white' },
  { value: 'RED', title: 'red' },
  { value: 'GREEN', title: 'green' },
  { value: 'BLUE', title: 'blue' },
  { value: 'FOURTH', title: 'the fourth channel' },
]
/** Kinds that have a colour of their own. */
const COLOURED = ['COLOUR', 'COUNT', 'PART', 'COLUMNS', 'ROWS', 'ARROW']
const WALLS = ['CORNERS', 'COLUMNS', 'ROWS', 'ARROW']

const items = computed<Target[]>(() => {
  const slot = typedSlot(typed.value, display.view!)
  return [...(slot ? [slot] : []), ...choices(display.view!), ...lighting.what]
})
const pieces = computed(() => piecesOf(lighting.what, display.view!))
const walls = computed(() => pieces.value.some((one) => one.piece.kind === 'wall'))
const patterns = computed(() =>
  lighting.patterns.filter((one) => walls.value || !WALLS.includes(one.kind)),
)
const purpose = computed(
  () => lighting.patterns.find((one) => one.kind === lighting.kind)?.purpose ?? '',
)
const most = computed(() => longest(pieces.value))

/** A change of what is lit already is sent at once. */
watch(
  [
    () => lighting.what,
    () => lighting.kind,
    () => lighting.colour,
    () => lighting.from,
    () => lighting.to,
    () => lighting.percent,
    () => lighting.ceiling,
  ],
  ([what], [before]) => {
    if (!lighting.mine) {
      return
    }
    // who takes the last name away wants it dark, and not the whole yard lit
    void (what.length === 0 && before.length > 0 ? lighting.leave() : lighting.light())
  },
)
watch(most, (now) => {
  lighting.from = Math.min(lighting.from, now)
  lighting.to = Math.min(Math.max(lighting.from, lighting.to), now)
})
watch(
  () => lighting.kind,
  (kind) => {
    if (kind === 'PART') {
      lighting.from = 1
      lighting.to = most.value
    }
  },
)
</script>

<template>
  <div class="sentence" role="group" aria-label="What is lit">
    <v-autocomplete
      v-model="lighting.what"
      v-model:search="typed"
      class="what"
      :items="items"
      item-title="title"
      item-value="key"
      return-object
      multiple
      chips
      closable-chips
      clear-on-select
      hide-details
      density="compact"
      label="Light"
      placeholder="everything"
      persistent-placeholder
      data-test="what"
    >
      <template #item="{ props, item }">
        <v-list-item v-bind="props" :subtitle="item.told" density="compact" />
      </template>
    </v-autocomplete>
    <v-select
      v-model="lighting.kind"
      class="pattern"
      :items="patterns"
      item-title="title"
      item-value="kind"
      hide-details
      density="compact"
      label="with"
      :title="purpose"
      data-test="pattern"
    />
    <v-select
      v-if="COLOURED.includes(lighting.kind)"
      v-model="lighting.colour"
      class="colour"
      :items="COLOURS"
      hide-details
      density="compact"
      label="in"
      data-test="colour"
    />
    <label class="level">
      <span
        >at <strong class="mono">{{ lighting.percent }} %</strong></span
      >
      <input
        v-model.number="lighting.percent"
        type="range"
        min="1"
        max="100"
        :aria-label="`Level, ${lighting.percent} %`"
        data-test="level"
      />
    </label>
    <label
      class="ceiling"
      title="The most light that may result, whatever a device takes off itself"
    >
      at most
      <select v-model.number="lighting.ceiling" class="mono" data-test="ceiling">
        <option v-for="one in [10, 20, 30, 50, 70, 100]" :key="one" :value="one">
          {{ one }} %
        </option>
      </select>
      of light
    </label>
    <v-btn
      v-if="lighting.mine"
      :prepend-icon="mdiLightbulbOffOutline"
      variant="tonal"
      data-test="dark"
      @click="lighting.leave()"
      >Let it go dark</v-btn
    >
    <v-btn
      v-else
      :prepend-icon="mdiLightbulbOnOutline"
      color="primary"
      variant="flat"
      data-test="light"
      @click="lighting.light()"
      >Light it</v-btn
    >
    <PixelSteps v-if="lighting.kind === 'COUNT' || lighting.kind === 'PART'" :most="most" />
  </div>
</template>

<style scoped>
.sentence {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 12px;
  padding: 10px 16px;
  border-bottom: 1px solid var(--line);
}
/* what a field is for is read before it is filled */
.sentence :deep(.v-label) {
  opacity: 1;
  color: var(--quiet);
}
.what {
  flex: 2 1 260px;
  min-width: 220px;
}
.pattern {
  flex: 1 1 220px;
  max-width: 320px;
}
.colour {
  flex: 0 1 130px;
}
.level {
  display: grid;
  font-size: 12.5px;
}
.level input {
  width: 120px;
  accent-color: rgb(var(--v-theme-primary));
}
.ceiling {
  font-size: 12.5px;
  color: var(--quiet);
}
.ceiling select {
  padding: 2px 4px;
  border: 1px solid var(--line-strong);
  border-radius: 3px;
  color: rgb(var(--v-theme-on-surface));
  background: rgb(var(--v-theme-surface));
}
@media (width < 700px) {
  .what,
  .pattern {
    flex: 1 1 100%;
    max-width: none;
  }
  .sentence .v-btn {
    flex: 1 1 100%;
    min-height: 48px;
  }
}
</style>
