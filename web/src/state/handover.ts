import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { api, Problem } from '../api/client'
import type { ControllerHandover, GiveRequest, Shadows } from '../api/types'
import { useBeside } from './beside'
import { useDisplay } from './display'

/** How each device stands to the plan, and the giving on its way. */
export const useHandover = defineStore('handover', () => {
  const display = useDisplay()
  /** Where everything stood at a milestone, drawn under what hangs there now. */
  const shadows = shallowRef<Shadows>()
  const { known: now, look } = useBeside(api.handoverNow, (answer) => {
    if (answer) {
      display.takeFindings(answer.version, answer.findings, answer.accepted)
    } else {
      shadows.value = undefined
    }
  })
  /** Whether somebody has to say that he knows that the show is on, and what he asked for. */
  const showIsOn = ref<{ words: string; request: GiveRequest }>()

  const states = computed(
    () =>
      new Map<string, ControllerHandover>(
        now.value?.controllers.map((one) => [one.controller, one]),
      ),
  )
  const count = (...states: ControllerHandover['state'][]) =>
    now.value?.controllers.filter((one) => states.includes(one.state)).length ?? 0
  const stale = computed(() => count('STALE'))
  /** Whether anything was ever given: before that nothing is stale, and nothing is missed. */
  const begun = computed(() => now.value?.controllers.some((one) => one.state !== 'NEVER') ?? false)
  /** Those that have not what is planned. */
  const open = computed(() => (now.value?.controllers.length ?? 0) - count('GIVEN'))
  const running = computed(() => now.value?.giving?.running ?? false)

  /** By the port under which they are drawn. */
  const shadowsAt = computed(() => {
    const byPort = new Map<string, Shadows['legs']>()
    shadows.value?.legs.forEach((leg) =>
      byPort.set(leg.written, [...(byPort.get(leg.written) ?? []), leg]),
    )
    return byPort
  })
  /** Pieces that hang or start elsewhere than at the milestone that is shown. */
  const movedPieces = computed(() => {
    const moved = new Set<string>()
    shadows.value?.legs.forEach((leg) => {
      const now = display.legs.get(leg.piece)
      if (now?.lane.written !== leg.written || now.leg.sections[0]?.start !== leg.start) {
        moved.add(leg.piece)
      }
    })
    return moved
  })
  async function showShadows(milestone?: string) {
    const id = display.view!.id
    shadows.value = milestone ? await display.attempt(() => api.shadows(id, milestone)) : undefined
  }

  async function give(request: Partial<GiveRequest> & Pick<GiveRequest, 'which'>) {
    const whole: GiveRequest = { readBack: false, back: false, inShowHours: false, ...request }
    showIsOn.value = undefined
    try {
      await api.give(display.view!.id, whole)
      await look()
    } catch (error) {
      if (error instanceof Problem && error.title === 'The show is on') {
        showIsOn.value = { words: error.message, request: whole }
      } else {
        await display.attempt(() => Promise.reject(error))
      }
    }
  }
  const stop = () => display.attempt(() => api.stopGiving(display.view!.id))

  return {
    shadows,
    shadowsAt,
    movedPieces,
    showShadows,
    now,
    states,
    stale,
    begun,
    open,
    running,
    showIsOn,
    look,
    give,
    stop,
  }
})
