import type { ControllerView, Delta, DisplayView } from '../api/types'
import { merge, put, sameIfEqual, sameWhereEqual } from './merge'

type ControllerOf = (id: string) => ControllerView | undefined

/** Of a controller that changed most lanes did not: they are the very same, and not drawn anew. */
function withLanesAsBefore(changed: ControllerView, controllerOf: ControllerOf): ControllerView {
  const before = controllerOf(changed.controller.id)?.lanes
  return before ? { ...changed, lanes: sameWhereEqual(before, changed.lanes) } : changed
}

function networkAfter(
  now: DisplayView['network'],
  delta: Delta['network'],
): DisplayView['network'] {
  return delta
    ? {
        ...now,
        lines: put(now.lines, delta.lines),
        outside: put(now.outside, delta.outside),
        flows: put(now.flows, delta.flows),
        enclosures: put(now.enclosures, delta.enclosures),
        links: put(now.links, delta.links),
      }
    : now
}

function powerAfter(now: DisplayView['power'], delta: Delta['power']): DisplayView['power'] {
  return delta
    ? {
        ...now,
        supplies: put(now.supplies, delta.supplies),
        mains: put(now.mains, delta.mains),
        inputs: put(now.inputs, delta.inputs),
        idleWatts: delta.idleWatts,
      }
    : now
}

/**
 * A display after a step. What the step did not change is the very same as before.
 *
 * @param controllerOf finds the controllers of the display as it is now
 */
export function after(now: DisplayView, delta: Delta, controllerOf: ControllerOf): DisplayView {
  return {
    ...now,
    version: delta.version,
    name: delta.name,
    settings: sameIfEqual(now.settings, delta.settings),
    pixelTypes: sameIfEqual(now.pixelTypes, delta.pixelTypes),
    zones: sameIfEqual(now.zones, delta.zones),
    network: networkAfter(now.network, delta.network),
    power: powerAfter(now.power, delta.power),
    controllers: merge(
      now.controllers,
      delta.controllers.map((one) => withLanesAsBefore(one, controllerOf)),
      delta.controllerOrder,
      (c) => c.controller.id,
    ),
    props: merge(now.props, delta.props, delta.propOrder, (p) => p.prop.id),
    findings: delta.findings ?? now.findings,
    accepted: delta.accepted ?? now.accepted,
    undo: delta.undo,
  }
}
