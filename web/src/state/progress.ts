import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { api } from '../api/client'
import type { Condition, Stage, StringAt, TroubleRequest } from '../api/types'
import { useDisplay } from './display'

/** So long changes are gathered before it is asked what they mean for strings (ms). */
const GATHER = 150

/** Where each string is, and what is done with it. */
export const useProgress = defineStore('progress', () => {
  const display = useDisplay()
  const strings = shallowRef<StringAt[]>([])
  let timer = 0

  async function look() {
    const id = display.view?.id
    const answer = id && (await api.progress(id).catch(() => undefined))
    if (answer && id === display.view?.id) {
      strings.value = answer.strings
    }
  }
  watch(
    [() => display.view?.id, () => display.view?.version, () => display.besides],
    ([id], before) => {
      if (id !== before?.[0]) {
        strings.value = []
      }
      window.clearTimeout(timer)
      timer = window.setTimeout(() => void look(), GATHER)
    },
    { immediate: true },
  )

  const byPiece = computed(() => new Map(strings.value.map((one) => [one.piece, one])))
  /** Whether anything has happened yet: before that nothing is left for tonight. */
  const begun = computed(() =>
    strings.value.some((one) => one.stage !== 'PLANNED' || one.trouble || one.stored),
  )

  async function take(work: Promise<{ strings: StringAt[] }>) {
    const answer = await display.attempt(() => work)
    strings.value = answer?.strings ?? strings.value
    return answer !== undefined
  }
  const id = () => display.view!.id
  const reach = (pieces: string[], stage: Stage) => take(api.reachStage(id(), pieces, stage))
  const trouble = (body: TroubleRequest) => take(api.trouble(id(), body))
  const settle = (pieces: string[]) => take(api.settled(id(), pieces))
  const store = (pieces: string[], condition: Condition, place: string) =>
    take(api.stored(id(), pieces, condition, place))

  return { strings, byPiece, begun, look, reach, trouble, settle, store }
})
