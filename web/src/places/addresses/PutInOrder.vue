<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { BlockChange, Edit } from '../../api/types'
import TrialBar from '../../parts/TrialBar.vue'
import InPlaceNumber from '../../parts/InPlaceNumber.vue'
import { useDisplay } from '../../state/display'
import { useTrial } from '../../state/trial'

/** First universes numbered anew, gaps closed; every move shown before it. */
const emit = defineEmits<{ leave: [] }>()

type By = 'LIST' | 'ZONE' | 'AS_THEY_STAND'
const WAYS: { value: By; title: string; told: string }[] = [
  { value: 'LIST', title: 'in list order', told: 'first universes follow the list from then on' },
  { value: 'ZONE', title: 'zone by zone', told: 'as Props lists the zones; fixed then' },
  { value: 'AS_THEY_STAND', title: 'as they stand', told: 'gaps between them closed; fixed then' },
]
const display = useDisplay()
const trial = useTrial()
const by = ref<By>('LIST')
const stride = ref(display.view!.settings.universeStride)
const letGo = ref(false)
const edit = computed<Edit>(() => ({
  type: 'OrderUniverses',
  by: by.value,
  stride: stride.value,
  letGo: letGo.value,
}))
watch([edit, () => display.view!.version], () => void trial.aim(edit.value), { immediate: true })

const tag = (id: string) => display.controllerOf(id)?.controller.tag ?? ''
const first = (block?: BlockChange['after']) => block?.firstUniverse ?? '–'
const moves = computed(() =>
  (trial.preview.value?.blocks ?? []).filter(
    (one) => one.before?.firstUniverse !== one.after?.firstUniverse,
  ),
)
async function apply() {
  trial.leave()
  if (await display.editMoving(edit.value)) {
    emit('leave')
  }
}
</script>

<template>
  <section class="order" aria-label="Put universes in order" data-test="order">
    <fieldset>
      <legend>Number first universes</legend>
      <label v-for="way in WAYS" :key="way.value">
        <input
          v-model="by"
          type="radio"
          name="by"
          :value="way.value"
          :data-test="`by-${way.value}`"
        />
        {{ way.title }} <span class="quiet">{{ way.told }}</span>
      </label>
    </fieldset>
    <div class="more">
      <span
        >every
        <InPlaceNumber
          local
          :value="stride"
          label="Stride of first universes"
          :least="1"
          :most="1000"
          @change="(v) => (stride = v!)"
        />
        universes</span
      >
      <label
        ><input v-model="letGo" type="checkbox" data-test="let-go" /> let held starts go, so that
        gaps within controllers close too</label
      >
      <p v-if="!letGo" class="quiet">
        Who has a start held at a universe of its own stays; others go round it.
      </p>
    </div>
    <div class="result">
      <p v-if="trial.preview.value && !moves.length" class="quiet">
        First universes are in this order already.
      </p>
      <p v-else class="mono moves" data-test="moves">
        <span v-for="one in moves" :key="one.controller">
          <b>{{ tag(one.controller) }}</b> {{ first(one.before) }} → {{ first(one.after) }}
        </span>
      </p>
      <TrialBar
        :preview="trial.preview.value"
        :refused="trial.refused.value"
        @apply="apply"
        @leave="emit('leave')"
      />
    </div>
  </section>
</template>

<style scoped>
.order {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 32px;
  padding: 10px 16px;
  border-bottom: 1px solid var(--line);
  font-size: 13px;
}
fieldset {
  border: none;
  padding: 0;
  display: grid;
  align-content: start;
  gap: 2px;
}
legend {
  font-weight: 500;
}
.more {
  display: grid;
  gap: 4px;
  align-content: start;
  max-width: 380px;
}
.result {
  flex: 1 1 320px;
}
.moves {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  margin-bottom: 6px;
  max-height: 120px;
  overflow: auto;
}
</style>
