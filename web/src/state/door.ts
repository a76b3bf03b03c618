import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { api } from '../api/client'
import type { CrewDoorOpen } from '../api/types'
import { useDisplay } from './display'

/** Whether the crew door is open; every window sees it at once. */
export const useDoor = defineStore('door', () => {
  const display = useDisplay()
  const open = shallowRef<CrewDoorOpen>()
  const isOpen = computed(() => open.value !== undefined)

  async function look() {
    const answer = await api.door().catch(() => undefined)
    if (answer) {
      open.value = answer.open
    }
  }
  watch(
    () => display.doorTold,
    () => void look(),
    { immediate: true },
  )
  return { open, isOpen, look }
})
