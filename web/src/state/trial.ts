import { ref, shallowRef } from 'vue'
import { api, type Problem } from '../api/client'
import type { Edit, Preview } from '../api/types'
import { useDisplay } from './display'

/**
 * An edit that is being tried: what it would do, by the server, before it is made. One at a time;
 * a newer one takes the place of the one before.
 */
export function useTrial() {
  const display = useDisplay()
  const edit = shallowRef<Edit>()
  const preview = shallowRef<Preview>()
  /** Why it cannot be made. */
  const refused = ref<string>()
  let asking: AbortController | undefined

  async function aim(wanted: Edit | undefined) {
    if (JSON.stringify(wanted) === JSON.stringify(edit.value)) {
      return
    }
    asking?.abort()
    edit.value = wanted
    refused.value = undefined
    if (!wanted || !display.view) {
      preview.value = undefined
      return
    }
    const mine = (asking = new AbortController())
    try {
      const answer = await api.preview(display.view.id, wanted, mine.signal)
      if (asking === mine) {
        preview.value = answer
      }
    } catch (error) {
      if (asking === mine && !mine.signal.aborted) {
        preview.value = undefined
        refused.value = (error as Problem).message
      }
    }
  }

  /** Makes the edit that was tried. */
  async function apply() {
    const wanted = edit.value
    leave()
    return wanted && display.edit(wanted)
  }

  function leave() {
    asking?.abort()
    edit.value = undefined
    preview.value = undefined
    refused.value = undefined
  }

  return { edit, preview, refused, aim, apply, leave }
}
