import type { DisplayView, Located, Spot } from '../api/types'
import { laneOf } from './meanings'
import type { Found } from './found'

const whole = (text: string) => Number(text.replace(/[., ]/g, ''))

/**
 * "12:301", "display 8741", "byte 4096 of K3", "K1-7 pixel 88": what is asked to the very pixel;
 * undefined where a text asks nothing of the kind.
 */
export function lookup(display: DisplayView, text: string): Located | undefined {
  const slot = /^(\d{1,5}:\d{1,3})$/.exec(text)
  if (slot) {
    return { slot: slot[1] }
  }
  const channel = /^display\s+(\d[\d., ]*)$/i.exec(text)
  if (channel) {
    return { displayChannel: whole(channel[1]) }
  }
  const byte = /^byte\s+(\d[\d., ]*)\s+of\s+(\S+)$/i.exec(text)
  const view =
    byte &&
    display.controllers.find(
      ({ controller }) => controller.tag.toLowerCase() === byte[2].toLowerCase(),
    )
  if (byte && view) {
    return { controller: view.controller.id, byte: whole(byte[1]) }
  }
  const pixel = /^(\S+)\s+pixel\s+(\d{1,6})$/i.exec(text)
  const lane = pixel && laneOf(display, pixel[1])
  return pixel && lane
    ? {
        controller: lane.port.controller,
        kind: lane.port.kind,
        port: lane.port.port,
        pixel: Number(pixel[2]),
      }
    : undefined
}

/** A pixel that was found, with every address that it answers to. */
export function foundSpot(spot: Spot): Found {
  const colour = spot.asked === undefined ? '' : spot.channels[spot.asked].colour
  const shown = spot.channels[spot.asked ?? 0]
  return {
    key: `spot-${spot.piece}-${spot.section}`,
    title: [`${spot.title}, ${spot.pixel}`, colour].filter(Boolean).join(' '),
    detail: [
      spot.written,
      spot.channels.map((one) => one.address).join(' ') || 'no address',
      shown?.displayChannel ? `display ${shown.displayChannel.toLocaleString('en')}` : '',
      spot.metres === undefined ? '' : `${spot.metres.toFixed(2)} m`,
    ]
      .filter(Boolean)
      .join(' · '),
    subject: { controller: spot.port.controller, port: spot.port, piece: spot.piece },
  }
}
