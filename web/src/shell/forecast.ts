import { computed } from 'vue'
import { defineStore } from 'pinia'
import { consequences } from '../parts/previewWords'
import { useDisplay } from '../state/display'
import { useTrial } from '../state/trial'

/** What the value that is being typed would do, in words; empty where nothing is, or nothing follows. */
export const useForecast = defineStore('forecast', () => {
  const display = useDisplay()
  const { preview, refused, aim } = useTrial()

  /** Looks at what an act would do; nothing ends it. */
  function of(act?: () => void) {
    void aim(act && display.foreseen(act))
  }
  const told = computed(() => {
    const lines = preview.value ? consequences(preview.value) : []
    return refused.value ? `This cannot be: ${refused.value}` : lines.join(' · ')
  })
  return { of, told }
})
