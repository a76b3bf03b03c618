import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import { api, type Problem } from '../api/client'
import type { Edit, LaneView, RunView } from '../api/types'
import { useDisplay } from './display'

/**
 * The voltages of a run by the server: as it is, or with an edit that is being tried. A newer
 * question takes the place of the one before, and the last answer stays until the next has come.
 */
export function useRunPower(lane: () => LaneView, edit: () => Edit | undefined) {
  const display = useDisplay()
  const run = shallowRef<RunView>()
  const refused = ref<string>()
  let asking: AbortController | undefined

  async function ask() {
    asking?.abort()
    const mine = (asking = new AbortController())
    try {
      const answer = await api.runPower(display.view!.id, lane().port, edit(), mine.signal)
      if (asking === mine) {
        run.value = answer
        refused.value = undefined
      }
    } catch (error) {
      if (asking === mine && !mine.signal.aborted) {
        refused.value = (error as Problem).message
      }
    }
  }
  watch([() => display.view?.version, () => JSON.stringify(lane().port), edit], ask, {
    immediate: true,
  })
  onScopeDispose(() => asking?.abort())
  return { run, refused }
}
