import { useRouter } from 'vue-router'
import type { Finding, Subject } from '../api/types'
import { portKey, useDisplay } from '../state/display'
import { useLoads } from '../state/loads'
import { usePatching } from '../state/patching'

/** Something that the user may be taken to: a finding's subject, or a find. */
export function useGoThere() {
  const router = useRouter()
  const display = useDisplay()
  const patching = usePatching()
  const loads = useLoads()

  /** Feeds, fuses and supplies are settled where their loads are seen. */
  async function toLoads(subject: Subject) {
    const port = subject.port ?? (subject.piece && display.legs.get(subject.piece)?.lane.port)
    loads.reveal = subject.part?.id
    loads.view = port ? 'runs' : 'power'
    loads.open = port ? portKey(port) : undefined
    await router.push({ name: 'loads' })
  }

  return async (subject: Subject, area?: Finding['area']) => {
    if (area === 'POWER' || ['SUPPLY', 'MAINS'].includes(subject.part?.kind ?? '')) {
      return toLoads(subject)
    }
    if (subject.part) {
      await router.push({ name: 'network', params: { part: subject.part.id } })
      return
    }
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
