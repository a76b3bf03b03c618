<script setup lang="ts">
import { onScopeDispose, ref } from 'vue'
import { isTyping, type KeyGroup, KEYS, keyOf, told } from '../parts/keys'

/** All keys on one sheet, on "?". */
const open = ref(false)
const groups = Object.values<KeyGroup>(KEYS)

const onKey = (event: KeyboardEvent) => {
  if (keyOf(KEYS.everywhere, event) === 'keys' && !isTyping(event)) {
    event.preventDefault()
    open.value = !open.value
  }
}
window.addEventListener('keydown', onKey)
onScopeDispose(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <v-dialog v-model="open" max-width="1080">
    <v-card aria-label="Keys" data-test="keys">
      <div class="head">
        <h1>Keys</h1>
        <span class="quiet">? or Escape puts this sheet away</span>
      </div>
      <div class="groups">
        <section v-for="group in groups" :key="group.where">
          <h2>{{ group.where }}</h2>
          <dl>
            <template v-for="(one, name) in group.keys" :key="name">
              <dt>
                <kbd v-for="on in one.on" :key="on" class="mono">{{ told(on) }}</kbd>
              </dt>
              <dd>{{ one.does }}</dd>
            </template>
          </dl>
        </section>
      </div>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.head {
  display: flex;
  align-items: baseline;
  gap: 16px;
  padding: 16px 24px 0;
}
.groups {
  columns: 2 420px;
  column-gap: 32px;
  padding: 4px 24px 24px;
  overflow: auto;
}
section {
  break-inside: avoid;
  padding-top: 14px;
}
dl {
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: 2px 12px;
  font-size: 13px;
  line-height: 20px;
}
dt {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 6px;
  align-content: start;
}
kbd {
  font-size: 12px;
  color: var(--copper);
}
dd {
  margin: 0;
}
</style>
