import { computed, provide, ref, type InjectionKey, type Ref } from 'vue'
import { farthest } from '../../ribbon/geometry'
import { useDisplay } from '../../state/display'

/** What stands before each wire (px). */
export const LABEL = 86
/** Beside the wire; on a phone only the wire is read. */
const METERS = 284
const NARROW = 600
/** The same for style sheets. */
export const BESIDE_WIRES = { '--label': `${LABEL}px`, '--meters': `${METERS}px` }

/** How large wires are drawn. Whoever reads a number of it is drawn anew with it, nobody else. */
export interface Lens {
  /** 1 where the farthest lane just fits. */
  zoom: Ref<number>
  /** Screen pixels for one pixel of a wire. */
  scale: Ref<number>
  /** The farthest lane from end to end at a zoom of 1 (px). */
  room: Ref<number>
}

export const LENS: InjectionKey<Lens> = Symbol('lens')

/**
 * The lens of a place, for all below it too.
 *
 * @param width of the view of lanes (px)
 */
export function useLens(width: Ref<number>) {
  const display = useDisplay()
  const zoom = ref(1)
  const most = computed(() => farthest(display.view!.controllers))
  const narrow = computed(() => width.value < NARROW)
  const meters = computed(() => (narrow.value ? 0 : METERS))
  const room = computed(() => Math.max(240, width.value - LABEL - meters.value - 24))
  const scale = computed(() => (room.value / most.value) * zoom.value)
  const wire = computed(() => most.value * scale.value)
  /** Lanes with what stands beside them (px). */
  const inner = computed(() => Math.max(width.value, LABEL + meters.value + 24 + wire.value))
  provide(LENS, { zoom, scale, room })
  return { most, narrow, room, scale, wire, inner }
}
