import { defineStore } from 'pinia'
import { computed, ref, watch } from 'vue'
import { api } from '../api/client'
import type { OutputGround, OutputState } from '../api/types'
import { useDisplay } from './display'

/** What is being sent, by whatever window, and whether it leaves this computer. */
export const useOutput = defineStore('output', () => {
  const display = useDisplay()
  const ground = ref<OutputGround>()
  const now = computed<OutputState | undefined>(() => display.output)
  const running = computed(() => now.value !== undefined && now.value.ended === undefined)
  const stopping = ref(false)

  /** In a word or two: where packets go. */
  const where = computed(() => {
    const { live, adapter } = ground.value ?? { live: false }
    return live ? (adapter ? `LIVE by ${adapter}` : 'LIVE') : 'stand-ins'
  })
  const meant = computed(() =>
    ground.value?.live
      ? "Packets go to the devices of the yard, on the plan's own addresses"
      : 'Packets go to stand-ins on this computer; nothing leaves it',
  )

  async function look() {
    ground.value = await display.attempt(api.outputGround)
    display.output = (await display.attempt(api.output)) ?? undefined
  }

  async function stop() {
    stopping.value = true
    await display.attempt(api.stopOutput)
    stopping.value = false
  }

  // whichever window began it, all are told how it ended
  watch(running, (is, was) => {
    if (was && !is && now.value?.ended) {
      display.said = { text: `Light is out: ${now.value.ended}.`, canUndo: false }
    }
  })

  return { ground, where, meant, now, running, stopping, look, stop }
})
