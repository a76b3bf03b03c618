<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { reach } from './reach'
import type { CrewRescue } from './types'
import { yard } from './known'
import { lookAgain } from './yard'

/** What to do where a controller is dead; what changes the plan is asked twice. */
const props = defineProps<{ id: string }>()

const answers = shallowRef<CrewRescue[]>()
const version = ref(0)
const asked = ref('')
const said = ref('')
const controller = () => yard.value!.controllers.find((one) => one.id === props.id)

async function look() {
  try {
    const answer = await reach.rescue(props.id)
    answers.value = answer.answers
    version.value = answer.version
    said.value = ''
  } catch (error) {
    said.value = error instanceof Error ? error.message : String(error)
  }
}
async function take(title: string) {
  try {
    await reach.rescued(props.id, { version: version.value, title })
    asked.value = ''
    await lookAgain()
    await look()
    said.value = `Planned so: ${title}`
  } catch (error) {
    said.value = error instanceof Error ? error.message : String(error)
  }
}
onMounted(look)
</script>

<template>
  <div class="page" data-test="rescue-page">
    <h1>
      <span class="mono">{{ controller()?.tag }}</span> is dead: what now?
    </h1>
    <p v-if="said" role="status">{{ said }}</p>
    <p v-if="!answers && !said" class="quiet">Looking for answers …</p>
    <p v-if="answers && !answers.length" class="quiet">
      Nothing that is planned can stand in for it: bring the light back with another unit, or call
      whoever planned it.
    </p>
    <section v-for="one in answers" :key="one.title" class="card">
      <h2>{{ one.title }}</h2>
      <ul v-if="one.recabled.length">
        <li v-for="plug in one.recabled" :key="plug.piece">
          {{ plug.title }}: <span class="mono">{{ plug.from }} → {{ plug.to }}</span>
        </li>
      </ul>
      <p v-for="line in one.senders" :key="line">{{ line }}</p>
      <p v-if="one.dark.length" class="wrong">
        ▲ stays dark: {{ one.dark.map((piece) => piece.title).join(', ') }}
      </p>
      <p v-if="!one.changes" class="quiet">The plan stays as it is; only the unit is another.</p>
      <template v-else>
        <button v-if="asked !== one.title" type="button" @click="asked = one.title">
          Plan it so …
        </button>
        <div v-else class="acts">
          <button type="button" @click="asked = ''">No</button>
          <button type="button" class="main" data-test="take-rescue" @click="take(one.title)">
            Yes, change the plan
          </button>
        </div>
      </template>
    </section>
  </div>
</template>

<style scoped>
.card > * + * {
  margin-top: 8px;
}
</style>
