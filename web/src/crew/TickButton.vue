<script setup lang="ts">
import { computed, ref } from 'vue'
import type { StringAt } from './types'
import { rank, titleOf } from './waiting'
import { hasName, may, setName, ticking, waiting } from './known'
import { tick } from './saying'

/** One string's tick: a touch says that it reached the stage, another takes it back. */
const props = defineProps<{ string: StringAt; print?: string }>()

const asking = ref(false)
const typed = ref('')
const done = computed(() => rank(props.string.stage) >= rank(ticking.stage))
const waits = computed(() =>
  waiting.value.some((one) => one.piece === props.string.piece && !one.refused),
)

function touch() {
  if (!hasName.value) {
    asking.value = true
    return
  }
  void tick(props.string.piece, ticking.stage, props.print)
}
function named() {
  setName(typed.value)
  if (hasName.value) {
    asking.value = false
    touch()
  }
}
</script>

<template>
  <button
    v-if="may('TICK')"
    type="button"
    class="tick"
    :class="{ done, waits }"
    :aria-pressed="done"
    :aria-label="`${string.title}: ${titleOf(ticking.stage)}`"
    :data-tick="string.piece"
    @click="touch"
  >
    <span aria-hidden="true">{{ done ? '✓' : '' }}</span>
  </button>
  <div v-if="asking" class="ask" role="dialog" aria-modal="true" aria-labelledby="ask-name">
    <form class="card" @submit.prevent="named">
      <h2 id="ask-name">Who are you?</h2>
      <p class="quiet">Each tick carries a name, so that others know whom to ask.</p>
      <label
        >Your name
        <input v-model="typed" maxlength="40" autocomplete="name" autofocus data-test="name"
      /></label>
      <div class="acts">
        <button type="button" @click="asking = false">Not now</button>
        <button type="submit" class="main" data-test="named">That is me</button>
      </div>
    </form>
  </div>
</template>

<style scoped>
.tick {
  flex: none;
  align-self: flex-start;
  width: 56px;
  height: 56px;
  padding: 0;
  font-size: 28px;
  font-weight: 700;
}
.done {
  color: var(--ground);
  background: var(--right);
  border-color: var(--right);
}
.waits {
  border-style: dashed;
  border-color: var(--ink);
}
.ask {
  position: fixed;
  inset: 0;
  z-index: 5;
  display: grid;
  align-items: end;
  padding: 14px;
  background: rgb(0 0 0 / 60%);
}
.ask form > * + * {
  margin-top: 10px;
}
</style>
