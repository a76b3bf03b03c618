<script setup lang="ts">
import DrawnIcon from '../../parts/DrawnIcon'
import { mdiMinus, mdiPlus } from '@mdi/js'
import { halved } from '../../parts/halved'
import { useLighting } from '../../state/lighting'

/** The counting pixel, stepped, its number large; or a part that is halved until one is left. */
const props = defineProps<{ most: number }>()

const lighting = useLighting()

function step(by: number) {
  lighting.from = Math.max(1, Math.min(props.most, lighting.from + by))
}
/** The dark spot is in the half that was told; the first half of that is lit next. */
function within(half: 'first' | 'second') {
  const [from, to] = halved(lighting.from, lighting.to, half)
  lighting.from = from
  lighting.to = to
}
function whole() {
  lighting.from = 1
  lighting.to = props.most
}
</script>

<template>
  <div v-if="lighting.kind === 'COUNT'" class="steps" data-test="steps">
    <button type="button" aria-label="Ten before" @click="step(-10)">−10</button>
    <button type="button" class="big" aria-label="The pixel before" @click="step(-1)">
      <DrawnIcon :path="mdiMinus" />
    </button>
    <output class="number mono" aria-live="polite" data-test="number"
      >{{ lighting.from }}<small> of {{ most }}</small></output
    >
    <button
      type="button"
      class="big"
      aria-label="The pixel after"
      data-test="next"
      @click="step(1)"
    >
      <DrawnIcon :path="mdiPlus" />
    </button>
    <button type="button" aria-label="Ten after" @click="step(10)">+10</button>
  </div>
  <div v-else class="steps" data-test="halves">
    <button
      type="button"
      class="wide"
      :disabled="lighting.from >= lighting.to"
      data-test="first-half"
      @click="within('first')"
    >
      nearer half
    </button>
    <output class="number mono" aria-live="polite" data-test="part"
      >{{ lighting.from }}<template v-if="lighting.to > lighting.from">–{{ lighting.to }}</template
      ><small> of {{ most }}</small></output
    >
    <button
      type="button"
      class="wide"
      :disabled="lighting.from >= lighting.to"
      data-test="second-half"
      @click="within('second')"
    >
      farther half
    </button>
    <button type="button" @click="whole">all</button>
  </div>
</template>

<style scoped>
.steps {
  display: flex;
  align-items: center;
  gap: 8px;
  flex: 1 1 100%;
}
.number {
  min-width: 7ch;
  text-align: center;
  font-size: 30px;
  line-height: 1.1;
}
.number small {
  font-size: 13px;
  color: var(--quiet);
}
button {
  min-width: 44px;
  min-height: 40px;
  padding: 0 10px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  background: rgb(var(--v-theme-surface));
}
button:hover:not(:disabled) {
  border-color: var(--copper);
}
button:disabled {
  opacity: 0.5;
}
@media (width < 700px) {
  .steps {
    display: grid;
    grid-template-columns: 1fr 2fr;
    grid-auto-flow: dense;
  }
  .number {
    grid-column: 1 / -1;
    grid-row: 1;
    font-size: 88px;
  }
  .number small {
    display: block;
    font-size: 16px;
  }
  button {
    min-height: 64px;
    font-size: 18px;
  }
  .big,
  .wide {
    min-height: 92px;
  }
}
</style>
