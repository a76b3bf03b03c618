import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { api } from '../api/client'
import type { Present, WhoRun } from '../api/types'
import { useDisplay } from './display'

/** Between two looks at who has answered (ms). */
const LOOK_EVERY = 400

/** Who was there when it was last asked, for whoever shows it. */
export const useLooking = defineStore('looking', () => {
  const display = useDisplay()
  const run = shallowRef<WhoRun>()
  let timer = 0

  async function look(how: (id: string) => Promise<WhoRun | undefined> = api.who) {
    window.clearTimeout(timer)
    const id = display.view?.id
    const answer = id && (await display.attempt(() => how(id)))
    if (id && id === display.view?.id) {
      run.value = answer || undefined
      if (run.value?.running) {
        timer = window.setTimeout(() => void look(), LOOK_EVERY)
      }
    }
  }
  // what was answered is held beside the plan as it is now
  watch(
    [() => display.view?.id, () => display.view?.version],
    ([id], before) => {
      if (id !== before?.[0]) {
        run.value = undefined
      }
      if (run.value || id !== before?.[0]) {
        void look()
      }
    },
    { immediate: true },
  )

  const ask = () => look(api.askWho)
  async function stop() {
    await display.attempt(() => api.stopWho(display.view!.id))
    await look()
  }

  const byController = computed(
    () =>
      new Map<string, Present>(
        run.value?.present.flatMap((one) => (one.controller ? [[one.controller, one]] : [])),
      ),
  )
  /** What is not as planned, gravest first. */
  const differing = computed(
    () =>
      run.value?.present.filter(
        (one) => one.state !== 'AS_PLANNED' && one.state !== 'CANNOT_BE_ASKED',
      ) ?? [],
  )

  return { run, byController, differing, ask, stop, look }
})
