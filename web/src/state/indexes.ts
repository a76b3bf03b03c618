import { computed, type Ref } from 'vue'
import type {
  ControllerView,
  DisplayView,
  LaneView,
  LegView,
  PieceView,
  PixelType,
  PortRef,
  PropView,
  Subject,
} from '../api/types'
import { keeping } from './kept'

/** The narrowest thing that a finding is about, as a key. */
export function wrongKey(subject: Subject): string | undefined {
  if (subject.piece) {
    return `piece ${subject.piece}`
  }
  return subject.port ? portKey(subject.port) : subject.controller
}

/** A key for a port that can stand in an attribute. */
export function portKey(at: PortRef): string {
  return `${at.controller}|${at.kind}|${at.port}`
}

/** Findings about the address of a device. */
const ADDRESS = new Set(['same-address', 'outside-subnets', 'no-address', 'address-in-dhcp'])

type Parts = Pick<DisplayView, 'controllers' | 'props' | 'findings' | 'zones' | 'pixelTypes'>
const NONE: Parts = { controllers: [], props: [], findings: [], zones: [], pixelTypes: [] }

/** What hangs on a port, by piece. */
export type HangingLeg = { lane: LaneView; leg: LegView; index: number }
const hanging = (lane: LaneView) =>
  lane.legs.map((leg, index): [string, HangingLeg] => [leg.piece, { lane, leg, index }])

/** What is in a display, found by what it is called. */
export function indexesOf(view: Ref<DisplayView | undefined>) {
  // a step that leaves one of these alone leaves alone what is made of it
  const controllers = computed(() => view.value?.controllers ?? NONE.controllers)
  const props = computed(() => view.value?.props ?? NONE.props)
  const findings = computed(() => view.value?.findings ?? NONE.findings)
  const zones = computed(() => view.value?.zones ?? NONE.zones)
  const types = computed(() => view.value?.pixelTypes ?? NONE.pixelTypes)
  const lanes = computed(() => controllers.value.flatMap((c) => c.lanes))
  const ofControllers = keeping(() => controllers.value)
  const laneByPort = ofControllers(({ lanes }) =>
    lanes.map((lane): [string, LaneView] => [portKey(lane.port), lane]),
  )
  const legs = ofControllers(({ lanes }) => lanes.flatMap(hanging))
  const ofProps = keeping(() => props.value)
  const pieces = ofProps(({ pieces }) =>
    pieces.map((piece): [string, PieceView] => [piece.piece.id, piece]),
  )
  const propOfPiece = ofProps((prop) =>
    prop.pieces.map((piece): [string, PropView] => [piece.piece.id, prop]),
  )
  /** How many findings are about each controller. */
  const findingsOf = computed(() => {
    const counts = new Map<string, number>()
    for (const finding of findings.value) {
      for (const id of new Set(finding.subjects.map((subject) => subject.controller))) {
        if (id) {
          counts.set(id, (counts.get(id) ?? 0) + 1)
        }
      }
    }
    return counts
  })
  /** Pieces whose channels something else answers to as well. */
  const overlapping = computed(
    () =>
      new Set(
        findings.value
          .filter((finding) => finding.code === 'overlap')
          .flatMap((finding) => finding.subjects.map((subject) => subject.piece)),
      ),
  )
  /** What is wrong where: messages of faults and risks by the key of the thing at fault. */
  const wrongAt = computed(() => {
    const map = new Map<string, { fault: boolean; told: string }>()
    findings.value.forEach((finding) => {
      const key = finding.severity === 'HINT' ? undefined : wrongKey(finding.subjects[0])
      if (key) {
        const before = map.get(key)
        map.set(key, {
          fault: finding.severity === 'FAULT' || !!before?.fault,
          told: before ? `${before.told}\n${finding.message}` : finding.message,
        })
      }
    })
    return map
  })
  /** What is wrong with the address of a controller, where anything is. */
  const wrongAddress = computed(() => {
    const map = new Map<string, string>()
    for (const { code, subjects, message } of findings.value) {
      if (ADDRESS.has(code)) {
        subjects.forEach(({ controller }) => {
          if (controller && !map.has(controller)) {
            map.set(controller, message)
          }
        })
      }
    }
    return map
  })
  /** Controllers that any finding is about. */
  const wrongControllers = computed(
    () =>
      new Set(
        findings.value.flatMap((finding) => finding.subjects.map((subject) => subject.controller)),
      ),
  )
  const loose = computed(() => {
    const all: PieceView[] = []
    for (const { pieces } of props.value) {
      for (const piece of pieces) {
        if (!piece.port) {
          all.push(piece)
        }
      }
    }
    return all
  })
  const zoneIndex = computed(() => new Map(zones.value.map((zone, i) => [zone.id, i])))

  const byId = computed(() => new Map(controllers.value.map((view) => [view.controller.id, view])))
  function controllerOf(id: string): ControllerView | undefined {
    return byId.value.get(id)
  }

  function zoneColour(zone?: string): string {
    const index = zone === undefined ? undefined : zoneIndex.value.get(zone)
    return index === undefined ? 'var(--zone-none)' : `var(--zone-${index % 8})`
  }

  const pixelTypes = computed(
    () => new Map<string, PixelType>(types.value.map((type) => [type.id, type])),
  )

  function zoneName(zone?: string): string {
    return zones.value.find((one) => one.id === zone)?.name ?? ''
  }

  return {
    lanes,
    laneByPort,
    pieces,
    propOfPiece,
    legs,
    findingsOf,
    overlapping,
    wrongAt,
    wrongAddress,
    wrongControllers,
    loose,
    pixelTypes,
    controllerOf,
    zoneColour,
    zoneName,
  }
}
