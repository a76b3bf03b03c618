<script setup lang="ts">
import DrawnIcon from '../parts/DrawnIcon'
import { mdiMagnify } from '@mdi/js'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api } from '../api/client'
import { outcome } from '../parts/previewWords'
import { useLighting } from '../state/lighting'
import { useTrial } from '../state/trial'
import { useDisplay } from '../state/display'
import { find } from './finder'
import type { Found } from './found'
import { foundSpot, lookup } from './veryPixel'
import { useGoThere } from './goThere'
import { isTyping, KEYS, keyOf } from '../parts/keys'

const display = useDisplay()
const goThere = useGoThere()
const router = useRouter()
const query = ref('')
const at = ref(0)
const open = ref(false)
const box = ref<HTMLInputElement>()

/** Pixels that an address was asked for; none where the text asks for no address. */
const spots = shallowRef<Found[]>()
const locatingNow = ref(false)
const found = computed(() => spots.value ?? (display.view ? find(display.view, query.value) : []))
let locating: AbortController | undefined
async function locate() {
  locating?.abort()
  const asked = display.view && lookup(display.view, query.value.trim())
  spots.value = asked && []
  locatingNow.value = asked !== undefined
  if (!asked) {
    return
  }
  const mine = (locating = new AbortController())
  const answer = await api.locate(display.view!.id, asked, mine.signal).catch(() => [])
  if (locating === mine) {
    spots.value = answer.map(foundSpot)
    locatingNow.value = false
  }
}
watch(query, () => {
  at.value = 0
  open.value = query.value.trim() !== ''
  void locate()
})

/** What the command that is about to be chosen would do. */
const trial = useTrial()
const lighting = useLighting()
const PAUSE = 200
let pausing: number | undefined
watch([() => found.value[at.value]?.key, open], () => {
  window.clearTimeout(pausing)
  trial.leave()
  const edit = open.value ? found.value[at.value]?.act?.edit : undefined
  if (edit) {
    pausing = window.setTimeout(() => void trial.aim(edit), PAUSE)
  }
})
const would = computed(() =>
  trial.refused.value
    ? [`This cannot be: ${trial.refused.value}`]
    : trial.preview.value
      ? outcome(trial.preview.value)
      : [],
)

const onKey = (event: KeyboardEvent) => {
  if (keyOf(KEYS.everywhere, event) === 'find' && !isTyping(event)) {
    event.preventDefault()
    box.value?.focus()
  }
}
window.addEventListener('keydown', onKey)
onScopeDispose(() => window.removeEventListener('keydown', onKey))

function step(by: number) {
  const count = found.value.length
  at.value = count ? (at.value + by + count) % count : 0
}

async function choose(one: Found | undefined, stay = false) {
  if (!one) {
    return
  }
  if (one.fills !== undefined) {
    query.value = one.fills
    box.value?.focus()
    return
  }
  if (one.act && stay) {
    // the next command is typed at once
    query.value = ''
    await display.edit(one.act.edit)
    return
  }
  // the keyboard belongs to where it goes
  leave()
  if (one.act) {
    await display.edit(one.act.edit)
    // whoever is typing the next command already is not called away
    if (one.act.piece && document.activeElement !== box.value) {
      await goThere({ piece: one.act.piece })
    }
  } else if (one.lights) {
    lighting.what = [one.lights]
    await router.push({ name: 'trial' })
    await lighting.light()
  } else if (one.to) {
    await router.push(one.to)
  } else if (one.subject) {
    await goThere(one.subject)
  }
}

/** Tab fills in what the list offers first, if it is a word or a name to go on with. */
function fill(event: KeyboardEvent) {
  const one = found.value[at.value]?.fills
    ? found.value[at.value]
    : found.value.find((f) => f.fills)
  if (open.value && one && !event.shiftKey) {
    event.preventDefault()
    void choose(one)
  }
}

function leave() {
  open.value = false
  query.value = ''
  box.value?.blur()
}
</script>

<template>
  <div class="finder">
    <DrawnIcon :path="mdiMagnify" :size="20" class="sign" />
    <input
      ref="box"
      v-model="query"
      class="field"
      placeholder="Find, 12:301, or “ridge to K2-5”"
      aria-label="Find a name, address, port, pixel or IP; or a command such as: ridge to K2-5"
      role="combobox"
      aria-autocomplete="list"
      aria-controls="finds"
      :aria-expanded="open"
      :aria-activedescendant="open && found.length ? `find-${at}` : undefined"
      data-test="finder"
      @keydown.down.prevent="step(1)"
      @keydown.up.prevent="step(-1)"
      @keydown.enter.prevent="(event: KeyboardEvent) => choose(found[at], event.shiftKey)"
      @keydown.tab="fill"
      @keydown.esc="leave"
      @blur="open = false"
    />
    <kbd class="mono quiet" aria-hidden="true">/</kbd>
    <ul v-show="open" id="finds" class="finds" role="listbox" aria-label="Found">
      <li v-if="found.length === 0" class="quiet none" role="option" aria-selected="false">
        {{
          locatingNow ? 'Looking …' : spots ? 'Nothing answers to that' : 'Nothing is called that'
        }}
      </li>
      <li
        v-for="(one, index) in found"
        :id="`find-${index}`"
        :key="one.key"
        role="option"
        :aria-selected="index === at"
        :class="{ at: index === at }"
        @mousedown.prevent="choose(one)"
      >
        <span>{{ one.title }}</span>
        <span class="quiet mono detail">{{ one.detail }}</span>
      </li>
      <li v-if="would.length" class="would" role="presentation" data-test="finder-would">
        <span v-for="line in would.slice(0, 5)" :key="line">{{ line }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.finder {
  position: relative;
  display: flex;
  align-items: center;
  gap: 8px;
  height: 38px;
  padding: 0 10px;
  border: 1px solid var(--line-strong);
  border-radius: 6px;
}
.finder:focus-within {
  outline: 2px solid var(--copper);
}
.sign {
  color: var(--quiet);
}
.field {
  flex: 1;
  min-width: 0;
}
.field:focus-visible {
  outline: none;
}
.field::placeholder {
  color: var(--quiet);
  opacity: 1;
}
.finds {
  position: absolute;
  z-index: 30;
  top: 44px;
  left: 0;
  width: min(560px, 92vw);
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
  text-align: right;
}
.finds .would {
  display: grid;
  gap: 1px;
  margin-top: 4px;
  border-top: 1px solid var(--line);
  border-radius: 0;
  font-size: 12px;
  color: var(--copper);
  cursor: default;
}
</style>
