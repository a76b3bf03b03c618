import { defineStore } from 'pinia'
import { computed } from 'vue'
import { api } from '../api/client'
import type { Condition, Stage, StringAt, TroubleRequest } from '../api/types'
import { useBeside } from './beside'

const NONE: StringAt[] = []

/** Where each string is, and what is done with it. */
export const useProgress = defineStore('progress', () => {
  const { known, look, change } = useBeside(api.progress)
  const strings = computed(() => known.value?.strings ?? NONE)

  const byPiece = computed(() => new Map(strings.value.map((one) => [one.piece, one])))
  /** Whether anything has happened yet: before that nothing is left for tonight. */
  const begun = computed(() =>
    strings.value.some((one) => one.stage !== 'PLANNED' || one.trouble || one.stored),
  )

  const reach = (pieces: string[], stage: Stage) =>
    change((id) => api.reachStage(id, pieces, stage))
  const trouble = (body: TroubleRequest) => change((id) => api.trouble(id, body))
  const settle = (pieces: string[]) => change((id) => api.settled(id, pieces))
  const store = (pieces: string[], condition: Condition, place: string) =>
    change((id) => api.stored(id, pieces, condition, place))

  return { strings, byPiece, begun, look, reach, trouble, settle, store }
})
