<script setup lang="ts">
import { computed, ref } from 'vue'
import type { StringAt } from './types'
import { hasName, may, setName } from './known'
import { say } from './saying'

/** Something is wrong with a string, or different from the plan: in words, with a photo. */
const props = defineProps<{ string: StringAt }>()

type Form = 'TROUBLE' | 'NOTED'
const form = ref<Form>()
const text = ref('')
const owner = ref('')
const urgency = ref<'TONIGHT' | 'SOON' | 'LATER'>('TONIGHT')
const typed = ref('')
const photo = ref<File>()
const wrong = ref('')
const button = ref<HTMLButtonElement>()
/** Larger ones are not even read (bytes). */
const MOST = 50 * 1024 * 1024

const missing = computed(
  () => !text.value.trim() && (form.value === 'TROUBLE' || photo.value === undefined),
)

function open(which: Form) {
  form.value = which
  text.value = ''
  owner.value = ''
  photo.value = undefined
  wrong.value = ''
}
function chosen(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  wrong.value = ''
  photo.value = undefined
  if (file && file.size === 0) {
    wrong.value = 'This photo is empty; take another.'
  } else if (file && file.size > MOST) {
    wrong.value = 'This photo is larger than 50 MB; take a smaller one.'
  } else {
    photo.value = file
  }
}
async function done() {
  if (typed.value) {
    setName(typed.value)
  }
  if (missing.value || !hasName.value) {
    wrong.value = hasName.value
      ? form.value === 'TROUBLE'
        ? 'Say what is wrong.'
        : 'Write a note, or add a photo.'
      : 'Say who you are.'
    return
  }
  const trouble = form.value === 'TROUBLE'
  await say(
    {
      piece: props.string.piece,
      kind: form.value!,
      text: text.value.trim(),
      urgency: trouble ? urgency.value : undefined,
      owner: trouble ? owner.value.trim() : undefined,
    },
    photo.value,
  )
  form.value = undefined
}
async function settle() {
  if (!hasName.value) {
    open('NOTED')
    wrong.value = 'Say who you are first.'
    return
  }
  await say({ piece: props.string.piece, kind: 'SETTLED' })
}
</script>

<template>
  <section data-test="say">
    <div v-if="!form" class="acts">
      <button v-if="string.trouble" type="button" class="main" data-test="settle" @click="settle">
        Trouble is over
      </button>
      <button ref="button" type="button" data-test="trouble" @click="open('TROUBLE')">
        ▲ Trouble
      </button>
      <button type="button" data-test="note" @click="open('NOTED')">Note</button>
    </div>
    <form v-else class="card" @submit.prevent="done">
      <h2>{{ form === 'TROUBLE' ? 'What is wrong?' : 'What is different?' }}</h2>
      <label v-if="!hasName">Your name <input v-model="typed" maxlength="40" /></label>
      <label
        >{{ form === 'TROUBLE' ? 'Reason' : 'Note' }}
        <textarea v-model="text" rows="3" maxlength="400" data-test="text"></textarea>
      </label>
      <template v-if="form === 'TROUBLE'">
        <label
          >How soon
          <select v-model="urgency" data-test="urgency">
            <option value="TONIGHT">tonight</option>
            <option value="SOON">soon</option>
            <option value="LATER">later</option>
          </select></label
        >
        <label>Whose it is <input v-model="owner" maxlength="80" placeholder="anybody" /></label>
      </template>
      <label v-if="may('PHOTO')"
        >Photo
        <input type="file" accept="image/*" data-test="photo" @change="chosen" />
        <span class="quiet small"
          >It is made small on this phone, and where it was taken is left out.</span
        ></label
      >
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <div class="acts">
        <button type="button" @click="form = undefined">Leave it</button>
        <button type="submit" class="main" data-test="said">Say it</button>
      </div>
    </form>
  </section>
</template>

<style scoped>
form > * + * {
  margin-top: 12px;
}
.small {
  font-weight: 400;
  font-size: 15px;
}
</style>
