<script setup lang="ts">
import { mdiMagnify } from '@mdi/js'
import { computed, onScopeDispose, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useDisplay } from '../state/display'
import { usePatching } from '../state/patching'
import { find, type Found } from './finder'
import { useGoThere } from './goThere'
import { isTyping } from './undoKeys'

const display = useDisplay()
const patching = usePatching()
const goThere = useGoThere()
const router = useRouter()
const query = ref('')
const at = ref(0)
const open = ref(false)
const box = ref<{ $el: HTMLElement }>()

const found = computed(() => (display.view ? find(display.view, query.value) : []))
watch(query, () => {
  at.value = 0
  open.value = query.value.trim() !== ''
})

const onKey = (event: KeyboardEvent) => {
  if (event.key === '/' && !isTyping(event) && !event.ctrlKey && !event.metaKey) {
    event.preventDefault()
    box.value?.$el.querySelector('input')?.focus()
  }
}
window.addEventListener('keydown', onKey)
onScopeDispose(() => window.removeEventListener('keydown', onKey))

function step(by: number) {
  const count = found.value.length
  at.value = count ? (at.value + by + count) % count : 0
}

async function choose(one: Found | undefined) {
  if (!one) {
    return
  }
  query.value = ''
  open.value = false
  if (one.patch) {
    await patching.patch([one.patch.piece], { port: one.patch.lane.port })
    await goThere({ piece: one.patch.piece })
  } else if (one.to) {
    await router.push(one.to)
  } else if (one.subject) {
    await goThere(one.subject)
  }
}

function leave() {
  open.value = false
  query.value = ''
  box.value?.$el.querySelector('input')?.blur()
}
</script>

<template>
  <div class="finder">
    <v-text-field
      ref="box"
      v-model="query"
      placeholder="Find, or “ridge to K2-5”"
      aria-label="Find a name, address, port or IP; or patch: name to port"
      :prepend-inner-icon="mdiMagnify"
      role="combobox"
      :aria-expanded="open"
      data-test="finder"
      @keydown.down.prevent="step(1)"
      @keydown.up.prevent="step(-1)"
      @keydown.enter.prevent="choose(found[at])"
      @keydown.esc="leave"
      @blur="open = false"
    >
      <template #append-inner><kbd class="mono quiet">/</kbd></template>
    </v-text-field>
    <ul v-if="open" class="finds" role="listbox" aria-label="Found">
      <li v-if="found.length === 0" class="quiet none">Nothing is called that</li>
      <li
        v-for="(one, index) in found"
        :key="one.key"
        role="option"
        :aria-selected="index === at"
        :class="{ at: index === at }"
        @mousedown.prevent="choose(one)"
      >
        <span>{{ one.title }}</span>
        <span class="quiet mono detail">{{ one.detail }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.finder {
  position: relative;
}
.finds {
  position: absolute;
  z-index: 30;
  top: 44px;
  left: 0;
  width: 460px;
  list-style: none;
  background: rgb(var(--v-theme-surface));
  border: 1px solid var(--line-strong);
  border-radius: 6px;
  padding: 4px;
  box-shadow: 0 6px 20px rgba(0, 0, 0, 0.18);
}
.finds li {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  padding: 6px 10px;
  border-radius: 4px;
  cursor: pointer;
}
.finds .at {
  background: rgb(var(--v-theme-surface-variant));
}
.detail {
  font-size: 12px;
}
</style>
