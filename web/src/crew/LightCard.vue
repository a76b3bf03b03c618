<script setup lang="ts">
import { computed, onScopeDispose, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { halved } from '../parts/halved'
import { dark, held, hold, letGo, light, lit, unlit } from './lights'

/** Lit from where one stands: the whole string, one pixel after the other, a half of what is left. */
const props = defineProps<{ piece: string; pixels: number; circuit: boolean; next?: string }>()

const router = useRouter()
const from = ref(1)
const to = ref(props.pixels)
const mine = computed(() => (lit.value?.piece === props.piece ? lit.value : undefined))
const armed = computed(() => mine.value?.armed ?? false)

function ends() {
  void light({ piece: props.piece, kind: 'ENDS' })
}
function white() {
  void light({ piece: props.piece, kind: 'WHITE' })
}
function count(pixel: number) {
  from.value = Math.max(1, Math.min(props.pixels, pixel))
  void light({ piece: props.piece, kind: 'COUNT', from: from.value })
}
function part() {
  void light({ piece: props.piece, kind: 'PART', from: from.value, to: to.value })
}
function halving() {
  from.value = 1
  to.value = props.pixels
  part()
}
function within(half: 'first' | 'second') {
  ;[from.value, to.value] = halved(from.value, to.value, half)
  part()
}
/** On to the next string, lit as this one is. */
function on() {
  const kind = mine.value?.kind
  void router.replace({ name: 'string', params: { piece: props.next } })
  if (kind && props.next) {
    void light({ piece: props.next, kind: kind === 'PART' ? 'WHITE' : kind, from: 1 })
  }
}
function arm() {
  void light({ piece: props.piece, kind: 'WHITE', armed: true })
}
watch(
  () => props.piece,
  () => {
    from.value = 1
    to.value = props.pixels
    letGo()
  },
)
window.addEventListener('blur', letGo)
onScopeDispose(() => {
  letGo()
  window.removeEventListener('blur', letGo)
  void dark()
})
</script>

<template>
  <section class="card" data-test="light">
    <h2>Light it</h2>
    <template v-if="circuit">
      <p class="quiet">
        It switches only while you hold it. This is no isolation: lock off before anybody reaches
        in.
      </p>
      <button v-if="!armed" type="button" data-test="arm" @click="arm">Arm it</button>
      <button
        v-else
        type="button"
        class="hold"
        :class="{ main: held === piece }"
        data-test="hold"
        @pointerdown="hold(piece)"
        @pointerup="letGo"
        @pointerleave="letGo"
        @pointercancel="letGo"
        @keydown.space.prevent="held !== piece && hold(piece)"
        @keyup="letGo"
        @contextmenu.prevent
      >
        {{ held === piece ? 'on: let go to stop' : 'Hold to switch it' }}
      </button>
    </template>
    <template v-else-if="mine?.kind === 'COUNT'">
      <output class="number mono" aria-live="polite" data-test="pixel"
        >{{ mine.from }}<small>of {{ pixels }}</small></output
      >
      <div class="steps">
        <button type="button" aria-label="−10: ten before" @click="count(from - 10)">−10</button>
        <button type="button" class="big" aria-label="The pixel before" @click="count(from - 1)">
          −
        </button>
        <button
          type="button"
          class="big main"
          aria-label="The next pixel"
          data-test="next-pixel"
          @click="count(from + 1)"
        >
          +
        </button>
        <button type="button" aria-label="+10: ten after" @click="count(from + 10)">+10</button>
      </div>
      <div class="acts">
        <button type="button" @click="ends">Whole string</button>
        <button v-if="next" type="button" data-test="next-string" @click="on">Next string</button>
      </div>
    </template>
    <template v-else-if="mine?.kind === 'PART'">
      <output class="number mono" aria-live="polite" data-test="part"
        >{{ from }}<template v-if="to > from">–{{ to }}</template
        ><small>of {{ pixels }}</small></output
      >
      <p class="quiet">In which half does it go wrong?</p>
      <div class="acts">
        <button type="button" :disabled="from >= to" data-test="nearer" @click="within('first')">
          Nearer half
        </button>
        <button type="button" :disabled="from >= to" @click="within('second')">Farther half</button>
        <button type="button" @click="count(from)">Pixel {{ from }} alone</button>
        <button type="button" @click="ends">Whole string</button>
      </div>
    </template>
    <template v-else>
      <p v-if="mine" role="status">
        {{
          mine.kind === 'ENDS'
            ? 'The first pixel is green, the second blue, the last red.'
            : 'All of it is white.'
        }}
      </p>
      <div class="acts">
        <button type="button" :class="{ main: !mine }" data-test="ends" @click="ends">
          First and last
        </button>
        <button type="button" @click="white">All white</button>
        <button v-if="pixels" type="button" data-test="count" @click="count(1)">
          Pixel by pixel
        </button>
        <button v-if="pixels > 1" type="button" data-test="halving" @click="halving">
          Halving
        </button>
        <button v-if="next" type="button" data-test="next-string" @click="on">Next string</button>
      </div>
    </template>
    <p v-if="mine && unlit" class="wrong" role="alert">{{ unlit }}</p>
  </section>
</template>

<style scoped>
section > * + * {
  margin-top: 10px;
}
.number {
  display: block;
  text-align: center;
  font-size: 96px;
  line-height: 1;
}
.number small {
  display: block;
  font-size: 17px;
}
.steps {
  display: grid;
  grid-template-columns: 1fr 1.6fr 1.6fr 1fr;
  gap: 8px;
}
.steps button {
  min-height: 84px;
  padding: 0;
  font-size: 20px;
}
.steps .big {
  font-size: 40px;
}
.hold {
  width: 100%;
  min-height: 96px;
  touch-action: none;
  user-select: none;
}
</style>
