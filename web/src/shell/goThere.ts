import { useRouter } from 'vue-router'
import type { Subject } from '../api/types'
import { portKey, useDisplay } from '../state/display'
import { usePatching } from '../state/patching'

/** Something that the user may be taken to: a finding's subject, or a find. */
export function useGoThere() {
  const router = useRouter()
  const display = useDisplay()
  const patching = usePatching()

  return async (subject: Subject) => {
    const piece = subject.piece
    const view = subject.controller && display.controllerOf(subject.controller)
    // what concerns no port is settled where controllers are, or hosts
    const elsewhere = !piece && !subject.port && view && view.host
    if (elsewhere) {
      await router.push({ name: 'controllers', params: { controller: subject.controller } })
      return
    }
    await router.push({ name: 'patch' })
    if (piece) {
      patching.select(piece)
      patching.glass = display.legs.has(piece) ? piece : undefined
      patching.reveal = `piece:${piece}`
    } else if (subject.port) {
      patching.reveal = `port:${portKey(subject.port)}`
    } else if (subject.controller) {
      patching.reveal = `controller:${subject.controller}`
    }
  }
}
