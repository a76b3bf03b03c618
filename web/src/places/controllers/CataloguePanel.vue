<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { CatalogueView, ControllerView, ModelView } from '../../api/types'
import FilterField from '../../parts/FilterField.vue'
import { matches } from '../../parts/matches'
import { useDisplay } from '../../state/display'

/** What there is to place, with every limit in plain words; two models side by side. */
const props = defineProps<{ catalogue?: CatalogueView; exchanging?: ControllerView }>()
const emit = defineEmits<{
  add: [model: ModelView, count: number]
  exchange: [model: ModelView]
  stop: []
}>()

const display = useDisplay()
const filter = ref('')
const chosen = ref<string>()
const other = ref<string>()
const count = ref(1)
const file = ref<HTMLInputElement>()

const models = computed(() => props.catalogue?.models ?? [])
const shown = computed(() =>
  models.value.filter((one) =>
    matches(filter.value, one.title, ...one.facts.map((fact) => fact.text)),
  ),
)
const find = (id?: string) => models.value.find((one) => one.model.id === id)
const model = computed(() => find(chosen.value))
const compared = computed(() => find(other.value))
const summary = (one: ModelView) => {
  const pixels = one.facts[0].text === 'none' ? '' : `${one.facts[0].text} pixel ports`
  const others = one.facts.find((fact) => fact.aspect === 'Other ports')!.text
  return [pixels, others === 'none' ? '' : others].filter(Boolean).join(', ') || 'sends'
}
watch(
  () => props.exchanging,
  (view) => {
    if (view) {
      other.value = view.controller.model
    }
  },
)
function take(event: Event) {
  const input = event.target as HTMLInputElement
  if (input.files?.[0]) {
    void display.addToCatalogue(input.files[0])
  }
  input.value = ''
}
</script>

<template>
  <aside class="catalogue" aria-label="Catalogue">
    <div class="title">
      <h2>{{ exchanging ? `Exchange ${exchanging.controller.tag} for` : 'Catalogue' }}</h2>
      <v-spacer />
      <v-btn v-if="exchanging" size="small" @click="emit('stop')">Leave it</v-btn>
      <v-btn v-else size="small" @click="file?.click()">Import a model file…</v-btn>
    </div>
    <input
      ref="file"
      type="file"
      accept=".json"
      hidden
      aria-label="Model file"
      data-test="model-file"
      @change="take"
    />
    <FilterField
      v-model="filter"
      label="Filter models"
      :shown="shown.length"
      :all="models.length"
    />
    <ul class="models" role="listbox" aria-label="Models">
      <li
        v-for="one in shown"
        :key="one.model.id"
        role="option"
        tabindex="0"
        :aria-selected="chosen === one.model.id"
        :class="{ chosen: chosen === one.model.id }"
        :data-model="one.model.id"
        @click="chosen = one.model.id"
        @keydown.enter.prevent="chosen = one.model.id"
        @keydown.space.prevent="chosen = one.model.id"
        @keydown.down.prevent="
          (($event.target as HTMLElement).nextElementSibling as HTMLElement | null)?.focus()
        "
        @keydown.up.prevent="
          (($event.target as HTMLElement).previousElementSibling as HTMLElement | null)?.focus()
        "
      >
        <strong>{{ one.title }}</strong>
        <span class="quiet">{{ summary(one) }}{{ one.own ? ' · your own' : '' }}</span>
      </li>
    </ul>
    <div v-if="model" class="facts" data-test="model-facts">
      <div class="acts">
        <template v-if="exchanging">
          <v-btn
            color="primary"
            variant="flat"
            size="small"
            :disabled="model.model.id === exchanging.controller.model"
            @click="emit('exchange', model)"
            >What would change</v-btn
          >
        </template>
        <form v-else class="add" @submit.prevent="emit('add', model, count)">
          <input
            v-model.number="count"
            type="number"
            min="1"
            max="50"
            required
            aria-label="How many"
            class="mono"
          />
          <v-btn type="submit" color="primary" variant="flat" size="small" data-test="add-model"
            >Add</v-btn
          >
        </form>
        <label class="beside">
          beside
          <select v-model="other" aria-label="Compare with">
            <option :value="undefined">nothing</option>
            <option v-for="one in models" :key="one.model.id" :value="one.model.id">
              {{ one.title }}
            </option>
          </select>
        </label>
      </div>
      <p v-if="model.model.note" class="quiet">{{ model.model.note }}</p>
      <dl :class="{ two: compared }">
        <template v-if="compared">
          <dt></dt>
          <dd>
            <strong>{{ model.title }}</strong>
          </dd>
          <dd>
            <strong>{{ compared.title }}</strong>
          </dd>
        </template>
        <template v-for="(fact, i) in model.facts" :key="fact.aspect">
          <dt>{{ fact.aspect }}</dt>
          <dd>{{ fact.text }}</dd>
          <dd v-if="compared" :class="{ differs: compared.facts[i].text !== fact.text }">
            {{ compared.facts[i].text === fact.text ? 'the same' : compared.facts[i].text }}
          </dd>
        </template>
      </dl>
    </div>
    <p v-else class="quiet hint">Choose a model to read its limits and to place it.</p>
  </aside>
</template>

<style scoped>
.catalogue {
  width: 350px;
  flex: none;
  overflow: auto;
  border-left: 1px solid var(--line);
  background: rgb(var(--v-theme-surface));
  padding: 12px 14px 24px;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.title {
  display: flex;
  align-items: center;
  min-height: 32px;
}
.models {
  list-style: none;
  flex: 0 0 auto;
  max-height: 240px;
  min-height: 120px;
  overflow: auto;
  border: 1px solid var(--line);
  border-radius: 4px;
}
.models li {
  padding: 5px 10px;
  display: grid;
  font-size: 13px;
  line-height: 18px;
  cursor: pointer;
}
.models .chosen {
  background: rgb(var(--v-theme-surface-variant));
  box-shadow: inset 3px 0 var(--copper);
}
.facts {
  display: grid;
  gap: 8px;
  font-size: 12.5px;
}
.acts {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
}
.add {
  display: flex;
  gap: 6px;
}
.add input {
  width: 48px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  padding: 2px 6px;
}
.beside select {
  border-bottom: 1px dashed var(--copper);
  max-width: 160px;
}
.beside option {
  color: rgb(var(--v-theme-on-surface));
  background: rgb(var(--v-theme-surface));
}
dl {
  display: grid;
  grid-template-columns: 112px 1fr;
  gap: 4px 10px;
  margin: 0;
}
dl.two {
  grid-template-columns: 96px 1fr 1fr;
}
dt {
  color: var(--quiet);
}
dd {
  margin: 0;
}
.differs {
  font-weight: 600;
}
.hint {
  font-size: 13px;
}
</style>
