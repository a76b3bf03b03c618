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
    const changed = props
      .filter((view) => view.prop.zone === scope.id)
      .map((view) => ({ ...view.prop, brightness: percent }))
    return changed.length ? { type: 'PutProps', props: changed } : undefined
  }
  const edits: Edit[] = controllers
    .filter((view) => !view.host && (scope.kind === 'display' || view.controller.id === scope.id))
    .map(({ controller }) => ({
      type: 'PutController',
      controller: { ...controller, settings: { ...controller.settings, brightness: percent } },
    }))
  if (edits.length < 2) {
    return edits[0]
  }
  return { type: 'Together', title: `Set all controllers to ${percent} %`, edits }
}
