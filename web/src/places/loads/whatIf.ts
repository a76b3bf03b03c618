import type { ControllerView, Edit, PropView } from '../../api/types'

/** Over what a brightness is tried: a controller, a zone, or everything. */
export interface Scope {
  kind: 'display' | 'controller' | 'zone'
  id?: string
}

/**
 * The edit that sets a brightness over a scope. On a controller and over the display it is the
 * controllers' default; in a zone it is the props' own, since a controller may feed several zones.
 */
export function brightnessEdit(
  scope: Scope,
  percent: number,
  controllers: ControllerView[],
  props: PropView[],
): Edit | undefined {
  if (scope.kind === 'zone') {
    const ids = props.filter((view) => view.prop.zone === scope.id).map((view) => view.prop.id)
    return ids.length ? { type: 'SetProps', props: ids, set: { brightness: percent } } : undefined
  }
  const ids = controllers
    .filter((view) => !view.host && (scope.kind === 'display' || view.controller.id === scope.id))
    .map(({ controller }) => controller.id)
  const set = { settings: { brightness: percent } }
  return ids.length ? { type: 'SetControllers', controllers: ids, set } : undefined
}
