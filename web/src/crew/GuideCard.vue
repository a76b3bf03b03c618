<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { light } from './lights'
import { OutOfReach, reach } from './reach'
import type { GuideHead, GuideRequest, GuideView } from './types'
import { may } from './known'

/** What is wrong, asked from the plug outwards until the cause is found. */
const props = defineProps<{ piece: string }>()

type Answer = GuideRequest['answers'][number]
const heads = shallowRef<GuideHead[]>()
const kind = ref<GuideHead['kind']>()
const answers = ref<Answer[]>([])
const view = shallowRef<GuideView>()
const typed = ref('')
const wrong = ref('')
const question = computed(() => view.value?.next)

async function ask<T>(work: Promise<T>): Promise<T | undefined> {
  try {
    wrong.value = ''
    return await work
  } catch (error) {
    wrong.value =
      error instanceof OutOfReach
        ? 'Guides need the computer; come back into reach.'
        : error instanceof Error
          ? error.message
          : String(error)
    return undefined
  }
}
async function learn() {
  heads.value = (await ask(reach.guides())) ?? heads.value
}
async function walk() {
  const answer = await ask(reach.guide(kind.value!, { piece: props.piece, answers: answers.value }))
  view.value = answer ?? view.value
  typed.value = ''
  const pattern = answer?.next?.doing.pattern
  if (pattern && may('LIGHT')) {
    void light({ piece: props.piece, kind: pattern.kind, from: pattern.from, to: pattern.to })
  }
}
function begin(which: GuideHead['kind']) {
  kind.value = which
  answers.value = []
  view.value = undefined
  void walk()
}
function say(answer: string) {
  answers.value = [...answers.value, { question: question.value!.id, answer }]
  void walk()
}
function back() {
  if (answers.value.length) {
    answers.value = answers.value.slice(0, -1)
    void walk()
  } else {
    kind.value = undefined
  }
}
watch(
  () => props.piece,
  () => (kind.value = undefined),
)
</script>

<template>
  <details data-test="guide" @toggle="($event.target as HTMLDetailsElement).open && learn()">
    <summary>What is wrong with it?</summary>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <ul v-if="!kind" class="rows">
      <li v-for="one in heads" :key="one.kind">
        <button type="button" class="wide" :data-guide="one.kind" @click="begin(one.kind)">
          {{ one.title }}
        </button>
      </li>
    </ul>
    <div v-else class="card">
      <h2>{{ view?.title }}</h2>
      <template v-if="question">
        <p class="ask" aria-live="polite">{{ question.ask }}</p>
        <form v-if="question.number || question.volts" @submit.prevent="typed !== '' && say(typed)">
          <label
            >{{ question.volts ? 'Volts' : 'The number' }}
            <input v-model="typed" inputmode="decimal" pattern="[0-9]+([.][0-9]+)?"
          /></label>
          <button type="submit">That one</button>
        </form>
        <button
          v-for="choice in question.choices"
          :key="choice.key"
          type="button"
          class="wide"
          :data-answer="choice.key"
          @click="say(choice.key)"
        >
          {{ choice.words }}
        </button>
        <button type="button" class="wide" @click="say('cannot-tell')">cannot tell</button>
      </template>
      <template v-else-if="view">
        <p v-if="!view.left.length">
          None of the causes that are known fits these answers; one of them may be mistaken.
        </p>
        <div v-for="cause in view.left" :key="cause.id" data-test="cause">
          <strong>{{ cause.title }}</strong>
          <p>{{ cause.act }}</p>
        </div>
      </template>
      <button type="button" @click="back">
        {{ answers.length ? 'Answer again' : 'Leave the guide' }}
      </button>
    </div>
  </details>
</template>

<style scoped>
summary {
  min-height: 48px;
  line-height: 48px;
}
.card > * + * {
  margin-top: 8px;
}
.wide {
  width: 100%;
  justify-content: flex-start;
  text-align: left;
}
.ask {
  font-size: 19px;
  font-weight: 600;
}
</style>
