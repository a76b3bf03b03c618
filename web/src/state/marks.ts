import { defineStore } from 'pinia'
import { computed } from 'vue'
import { api } from '../api/client'
import { useBeside } from './beside'
import { useDisplay } from './display'

/** Strings that a person has seen right, and the last check of the whole plan. */
export const useMarks = defineStore('marks', () => {
  const display = useDisplay()
  const { known: now, look, change } = useBeside(api.marks)

  const seen = computed(() => new Map(now.value?.seen.map((one) => [one.piece, one])))
  const strings = computed(() => now.value?.strings ?? 0)
  /** Whether anybody has seen anything yet: before that nothing is missed. */
  const begun = computed(() => seen.value.size > 0)

  /** What the last check of the whole plan on stand-ins says of the plan as it is now. */
  const check = computed<'NONE' | 'CHANGED' | 'NOT_CLEAN' | 'CLEAN'>(() => {
    const last = now.value?.checked
    if (!last) {
      return 'NONE'
    }
    if (last.version !== display.view?.version) {
      return 'CHANGED'
    }
    return last.wrong + last.refused ? 'NOT_CLEAN' : 'CLEAN'
  })

  const mark = (pieces: string[], right: boolean) => change((id) => api.mark(id, pieces, right))

  return { now, seen, check, strings, begun, look, mark }
})
