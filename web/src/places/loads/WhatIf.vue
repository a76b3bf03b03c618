<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { counted } from '../../parts/words'
import { useDisplay } from '../../state/display'
import type { useTrial } from '../../state/trial'
import { brightnessEdit, type Scope } from './whatIf'

/** A brightness that is tried over a controller, a zone or everything, before it is applied. */
const props = defineProps<{ trial: ReturnType<typeof useTrial> }>()

const display = useDisplay()
const scope = ref('display')
const percent = ref(30)
const trying = computed<Scope>(() => {
  const [kind, id] = scope.value.split(' ')
  return { kind: kind as Scope['kind'], id }
})
const driving = computed(() => display.view!.controllers.filter((view) => !view.host))
const preview = computed(() => props.trial.preview.value)
const told = computed(() => {
  const { lanes, found, cleared } = preview.value!
  if (lanes.length === 0) {
    return 'nothing would change: what hangs there has a brightness of its own'
  }
  const brings = found.length ? `, brings ${counted(found.length, 'finding')}` : ''
  const clears = cleared.length ? `, clears ${cleared.length}` : ''
  return `${counted(lanes.length, 'port')} would change, shown below${brings}${clears}`
})

function tryIt() {
  const { controllers, props: all } = display.view!
  void props.trial.aim(brightnessEdit(trying.value, percent.value, controllers, all))
}
watch(scope, () => props.trial.edit.value && tryIt())
</script>

<template>
  <form class="whatif" data-test="what-if" @submit.prevent="trial.apply()">
    <label>
      What if
      <select v-model="scope" aria-label="What is made brighter or darker">
        <option value="display">all controllers</option>
        <option
          v-for="view in driving"
          :key="view.controller.id"
          :value="`controller ${view.controller.id}`"
        >
          {{ view.controller.tag }} {{ view.controller.name }}
        </option>
        <option v-for="zone in display.view!.zones" :key="zone.id" :value="`zone ${zone.id}`">
          the props of {{ zone.name }}
        </option>
      </select>
    </label>
    <label class="slider">
      shone at
      <input
        v-model.number="percent"
        type="range"
        min="1"
        max="100"
        aria-label="Brightness that is tried, percent"
        @input="tryIt"
      />
      <span class="mono">{{ percent }} %</span>
    </label>
    <template v-if="trial.edit.value">
      <span v-if="preview" role="status" class="told">{{ told }}</span>
      <v-btn type="submit" size="small" color="primary" variant="flat">Apply</v-btn>
      <v-btn size="small" @click="trial.leave()">Leave it</v-btn>
    </template>
    <span v-else class="quiet">nothing is changed before you apply it</span>
  </form>
</template>

<style scoped>
.whatif {
  display: flex;
  align-items: center;
  flex-wrap: wrap;
  gap: 8px 18px;
  min-height: 40px;
  padding: 6px 14px;
  font-size: 13px;
  background: rgb(var(--v-theme-surface));
  border-left: 3px solid var(--copper);
}
.whatif > label {
  min-width: 0;
  max-width: 100%;
}
.whatif select {
  max-width: 100%;
  text-overflow: ellipsis;
  border-bottom: 1px dashed var(--copper);
}
.whatif option {
  color: rgb(var(--v-theme-on-surface));
  background: rgb(var(--v-theme-surface));
}
.slider {
  display: flex;
  align-items: center;
  gap: 8px;
}
.slider input {
  width: 200px;
  accent-color: var(--copper);
}
.told {
  color: var(--copper);
  font-weight: 500;
}
</style>
