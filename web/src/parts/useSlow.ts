import { onScopeDispose, readonly, ref, watch } from 'vue'

/** What takes no longer than this needs no sign (ms). */
const QUICK = 500

/** Whether something has been going on for so long that one wants to know. */
export function useSlow(working: () => boolean) {
  const slow = ref(false)
  let timer: number | undefined
  watch(working, (now) => {
    window.clearTimeout(timer)
    slow.value = false
    if (now) {
      timer = window.setTimeout(() => (slow.value = true), QUICK)
    }
  })
  onScopeDispose(() => window.clearTimeout(timer))
  return readonly(slow)
}
