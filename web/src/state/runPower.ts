import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import { api, type Problem } from '../api/client'
import type { Edit, LaneView, RunView } from '../api/types'
import { useDisplay } from './display'

/**
 * The voltages of a run by the server: as it is, or with an edit that is being tried. One question
 * at a time, so that answers keep coming while a feed is dragged; the newest is asked when the one
 * before has been answered.
 */
export function useRunPower(lane: () => LaneView, edit: () => Edit | undefined) {
  const display = useDisplay()
  const run = shallowRef<RunView>()
  const refused = ref<string>()
  const leaving = new AbortController()
  let busy = false
  let again = false

  async function ask() {
    if (busy) {
      again = true
      return
    }
    busy = true
    try {
      run.value = await api.runPower(display.view!.id, lane().port, edit(), leaving.signal)
      refused.value = undefined
    } catch (error) {
      if (!leaving.signal.aborted) {
        refused.value = (error as Problem).message
      }
    } finally {
      busy = false
      if (again && !leaving.signal.aborted) {
        again = false
        void ask()
      }
    }
  }
  watch([() => display.view?.version, () => JSON.stringify(lane().port), edit], ask, {
    immediate: true,
  })
  onScopeDispose(() => leaving.abort())
  return { run, refused }
}
