<script setup lang="ts">
import DrawnIcon from '../../parts/DrawnIcon'
import { mdiClose, mdiEyeOutline } from '@mdi/js'
import { computed, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { GuideCause } from '../../api/types'
import InPlaceChoice from '../../parts/InPlaceChoice.vue'
import TrialBar from '../../parts/TrialBar.vue'
import { counted } from '../../parts/words'
import { useDisplay } from '../../state/display'
import { useGuiding } from '../../state/guiding'
import { useLighting } from '../../state/lighting'
import { useOutput } from '../../state/output'
import { useTrial } from '../../state/trial'
import { piecesOf } from '../../state/targets'

/** What is wrong, asked from the device outwards until the cause is found. */
const display = useDisplay()
const guiding = useGuiding()
const lighting = useLighting()
const output = useOutput()
const router = useRouter()
const tried = useTrial()
const CANNOT_TELL = 'cannot-tell'
/** More choices than these are looked for by name. */
const MANY = 9

const typed = ref<number>()
const chosen = ref<string>()
const wanted = ref<string>()

const strings = computed(() =>
  piecesOf([], display.view!)
    .filter(({ piece }) => piece.kind === 'string')
    .map(({ piece, title, written }) => ({ value: piece.id, title: `${title} · ${written}` })),
)
/** The string that is picked, or none where that is not clear. */
const picked = computed(() => {
  const all = piecesOf(lighting.what, display.view!).filter(({ piece }) => piece.kind === 'string')
  return lighting.what.length && all.length ? all[0].piece.id : undefined
})
const question = computed(() => guiding.view?.next)
const choices = computed(() => question.value?.choices ?? [])
const isAct = computed(() => ['OWN_TEST', 'RESTART'].includes(question.value?.doing.kind ?? ''))
const tag = computed(() => {
  const port = guiding.piece && display.pieces.get(guiding.piece)?.port
  return port ? display.controllerOf(port.controller)?.controller.tag : undefined
})
const readWords = computed(() => {
  const read = guiding.read
  return read && (choices.value.find((one) => one.key === read)?.words ?? `number ${read}`)
})

watch(question, () => {
  typed.value = undefined
  chosen.value = undefined
})
watch(picked, (now) => (wanted.value = now ?? wanted.value), { immediate: true })

function words(key: string) {
  const unit = question.value?.volts ? ' V' : ''
  return choices.value.find((one) => one.key === key)?.words ?? `${key}${unit}`
}
function say(key: string) {
  void guiding.answer(key, words(key))
}
function giveIt() {
  const controller = display.pieces.get(guiding.piece!)?.port?.controller
  void router.push({ name: 'handover', params: { controller } })
}
function look(cause: GuideCause) {
  if (cause.edit) {
    void tried.aim(cause.edit)
  }
}
async function apply() {
  await tried.apply()
}
onMounted(guiding.learn)
</script>

<template>
  <aside class="guide" aria-label="Guide" data-test="guide">
    <template v-if="!guiding.kind">
      <h2>What is wrong?</h2>
      <p class="about">
        with
        <InPlaceChoice
          :value="wanted"
          label="The string that it is about"
          :choices="strings"
          :many="300"
          none="pick a string"
          data-test="about"
          @change="(string) => (wanted = string)"
        />
      </p>
      <ul class="kinds">
        <li v-for="one in guiding.guides" :key="one.kind">
          <button
            type="button"
            :disabled="!wanted"
            :data-guide="one.kind"
            @click="guiding.open(one.kind, wanted!)"
          >
            {{ one.title }}
          </button>
        </li>
      </ul>
      <p class="quiet">
        {{
          wanted
            ? 'A guide asks from the plug outwards, and ends in a cause.'
            : 'Pick the string first: here, or on its ribbon.'
        }}
      </p>
    </template>
    <template v-else>
      <div class="head">
        <h2>{{ guiding.view?.title }}</h2>
        <v-spacer />
        <v-btn
          :icon="mdiClose"
          size="small"
          variant="text"
          aria-label="Leave the guide"
          data-test="leave-guide"
          @click="guiding.close()"
        />
      </div>
      <p class="quiet">{{ guiding.title }}</p>
      <ol class="answers">
        <li v-for="(one, i) in guiding.answers" :key="i">
          <button type="button" :title="`Answer again: ${one.ask}`" @click="guiding.back(i)">
            <span class="quiet">{{ one.ask }}</span> <strong>{{ one.words }}</strong>
          </button>
        </li>
      </ol>
      <div v-if="question" class="question" data-test="question" :data-question="question.id">
        <p class="ask" aria-live="polite">{{ question.ask }}</p>
        <v-btn
          v-if="isAct && !output.ground?.live"
          size="small"
          variant="outlined"
          :loading="guiding.doing"
          data-test="act"
          @click="guiding.act()"
          >{{
            question.doing.kind === 'OWN_TEST' ? `Switch the test of ${tag} on` : `Restart ${tag}`
          }}</v-btn
        >
        <p v-if="guiding.doing" class="quiet" data-test="doing">a moment …</p>
        <button
          v-else-if="guiding.read"
          type="button"
          class="read"
          data-test="read"
          :data-read="guiding.read"
          @click="say(guiding.read)"
        >
          <DrawnIcon :path="mdiEyeOutline" :size="18" /> The stand-in says:
          <strong>{{ readWords }}</strong>
        </button>
        <form
          v-if="question.number || question.volts"
          @submit.prevent="typeof typed === 'number' && say(String(typed))"
        >
          <input
            v-model.number="typed"
            type="number"
            min="0"
            :step="question.volts ? 0.01 : 1"
            class="mono"
            :aria-label="question.volts ? 'Volts' : 'The number'"
            data-test="answer-number"
          />
          <v-btn type="submit" size="small" :disabled="typeof typed !== 'number'">{{
            question.volts ? 'volts' : 'that one'
          }}</v-btn>
        </form>
        <form v-if="choices.length > MANY" @submit.prevent="chosen !== undefined && say(chosen)">
          <select v-model="chosen" aria-label="What you see" data-test="answer-choice">
            <option v-for="one in choices" :key="one.key" :value="one.key">{{ one.words }}</option>
          </select>
          <v-btn type="submit" size="small" :disabled="chosen === undefined">that one</v-btn>
        </form>
        <div v-else class="choices">
          <button
            v-for="one in choices"
            :key="one.key"
            type="button"
            :data-answer="one.key"
            @click="say(one.key)"
          >
            {{ one.words }}
          </button>
        </div>
        <button type="button" class="quiet" data-test="cannot-tell" @click="say(CANNOT_TELL)">
          cannot tell
        </button>
      </div>
      <div v-else-if="guiding.view" class="ends" data-test="ends" role="status">
        <template v-if="guiding.view.left.length === 0">
          <p>
            <strong>None of the causes that this guide knows fits these answers.</strong> One of
            them may be mistaken: answer it again above, or take another guide.
          </p>
        </template>
        <p v-else-if="guiding.view.left.length > 1" class="quiet">
          {{ guiding.view.left.length }} causes that cannot be told apart from here:
        </p>
        <div
          v-for="cause in guiding.view.left"
          :key="cause.id"
          class="cause"
          :data-cause="cause.id"
        >
          <strong>{{ cause.title }}</strong>
          <p>{{ cause.act }}</p>
          <div class="acts">
            <v-btn
              v-if="cause.edit"
              size="small"
              color="primary"
              variant="flat"
              data-test="plan-it"
              @click="look(cause)"
              >Plan it so …</v-btn
            >
            <v-btn v-if="cause.give" size="small" variant="outlined" @click="giveIt"
              >Give {{ tag }} …</v-btn
            >
          </div>
        </div>
        <TrialBar
          v-if="tried.preview.value || tried.refused.value || tried.edit.value"
          :preview="tried.preview.value"
          :refused="tried.refused.value"
          @apply="apply"
          @leave="tried.leave()"
        />
      </div>
      <details v-if="guiding.view?.ruledOut.length || question">
        <summary class="quiet">
          {{ counted(guiding.view?.left.length ?? 0, 'cause') }} left,
          {{ guiding.view?.ruledOut.length ?? 0 }} ruled out
        </summary>
        <ul class="left">
          <li v-for="one in guiding.view?.left" :key="one.id">{{ one.title }}</li>
          <li v-for="one in guiding.view?.ruledOut" :key="one.title" class="out" :title="one.by">
            {{ one.title }}
          </li>
        </ul>
      </details>
    </template>
  </aside>
</template>

<style scoped>
.guide {
  display: flex;
  flex-direction: column;
  gap: 8px;
  padding: 12px 14px;
  font-size: 13.5px;
  overflow: auto;
}
h2 {
  font-size: 15px;
}
.head {
  display: flex;
  align-items: center;
}
.about select,
form select,
form input {
  width: 100%;
  min-height: 34px;
  padding: 3px 6px;
  border: 1px solid var(--line-strong);
  border-radius: 3px;
  color: rgb(var(--v-theme-on-surface));
  background: rgb(var(--v-theme-surface));
}
ul,
ol {
  list-style: none;
}
.kinds button,
.choices button,
.read {
  width: 100%;
  min-height: 38px;
  padding: 6px 10px;
  margin-bottom: 4px;
  text-align: left;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
}
.kinds button:hover:not(:disabled),
.choices button:hover,
.read:hover {
  border-color: var(--copper);
}
.kinds button:disabled {
  opacity: 0.5;
}
.read {
  border: 2px solid var(--copper);
}
.ask {
  font-size: 15px;
  font-weight: 500;
  padding-bottom: 6px;
}
.answers button {
  display: block;
  width: 100%;
  padding: 3px 0;
  font-size: 12px;
  text-align: left;
  border-bottom: 1px solid var(--line);
}
.answers strong {
  display: block;
}
form {
  display: flex;
  gap: 8px;
  align-items: center;
  padding-bottom: 6px;
}
.cause {
  padding: 8px 0 8px 10px;
  margin-bottom: 8px;
  border-left: 4px solid var(--copper);
}
.cause p {
  padding: 4px 0 6px;
}
.acts {
  display: flex;
  gap: 8px;
}
.left {
  padding: 4px 0 4px 12px;
  font-size: 12px;
}
.out {
  color: var(--quiet);
  text-decoration: line-through;
}
@media (width < 700px) {
  .kinds button,
  .choices button,
  .read {
    min-height: 60px;
    font-size: 17px;
  }
  .ask {
    font-size: 19px;
  }
  form input,
  form .v-btn {
    min-height: 56px;
    font-size: 22px;
  }
}
</style>
