<script setup lang="ts">
import { mdiCheck } from '@mdi/js'
import { computed, ref } from 'vue'
import { who } from '../../api/client'
import { counted } from '../../parts/words'
import { useDisplay } from '../../state/display'
import { useLighting } from '../../state/lighting'
import { useMarks } from '../../state/marks'
import { piecesOf } from '../../state/targets'

/** Strings that somebody has seen right who stood there: a person's word, with the name. */
const display = useDisplay()
const lighting = useLighting()
const marks = useMarks()
const name = ref(who.get())
const asking = ref(false)

const strings = computed(() =>
  lighting.what.length
    ? piecesOf(lighting.what, display.view!).filter(({ piece }) => piece.kind === 'string')
    : [],
)
const unseen = computed(() => strings.value.filter(({ piece }) => !marks.seen.has(piece.id)))
/** Who saw the one that is picked, and when. */
const told = computed(() => {
  const one = strings.value.length === 1 && marks.seen.get(strings.value[0].piece.id)
  return one ? `seen right by ${one.by}, ${new Date(one.at).toLocaleString('en')}` : ''
})

function mark() {
  if (!who.get()) {
    asking.value = true
    return
  }
  void marks.mark(
    unseen.value.map(({ piece }) => piece.id),
    true,
  )
}
function say() {
  if (name.value.trim()) {
    who.set(name.value)
    asking.value = false
    mark()
  }
}
function takeBack() {
  void marks.mark(
    strings.value.map(({ piece }) => piece.id),
    false,
  )
}
</script>

<template>
  <div class="seen">
    <span class="mono quiet" data-test="seen-count"
      >{{ marks.seen.size }} of {{ counted(marks.strings, 'string') }} seen right</span
    >
    <template v-if="strings.length">
      <span v-if="told" class="right" data-test="seen-by">✓ {{ told }}</span>
      <form v-if="asking" class="who" @submit.prevent="say">
        <input
          v-model="name"
          placeholder="your name"
          aria-label="Who stands there"
          autofocus
          data-test="seen-who"
        />
        <v-btn type="submit" size="small" variant="outlined">that is me</v-btn>
      </form>
      <v-btn
        v-else-if="unseen.length"
        size="small"
        variant="outlined"
        :prepend-icon="mdiCheck"
        data-test="mark-seen"
        title="Only for whoever stands before it: it lights where it should, in the right colours, to its end"
        @click="mark"
        >I see
        {{ unseen.length === 1 ? 'it' : `these ${unseen.length}` }}
        right</v-btn
      >
      <v-btn v-else size="small" variant="text" data-test="take-back" @click="takeBack"
        >not right after all</v-btn
      >
    </template>
  </div>
</template>

<style scoped>
.seen {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  font-size: 12.5px;
}
.right {
  color: rgb(var(--v-theme-success));
}
.who {
  display: flex;
  gap: 6px;
}
.who input {
  width: 130px;
  padding: 2px 6px;
  border: 1px solid var(--line-strong);
  border-radius: 3px;
}
@media (width < 700px) {
  .seen .v-btn {
    min-height: 48px;
  }
}
</style>
