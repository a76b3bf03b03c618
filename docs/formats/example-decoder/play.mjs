// A device that has read configuration.md and nothing else. Says for every byte of every port which
// slot it shows: node play.mjs MODEL.json DOCUMENT.json
//   MODEL.json     the model's entry of a catalogue (its dialect and colourOrder)
//   DOCUMENT.json  a configuration document, version 2
import { readFileSync } from 'node:fs'

const NATURAL = ['W', 'WA', 'RGB', 'RGBW', 'RGBWA', 'RGBWAV']
const read = (file) => JSON.parse(readFileSync(file, 'utf8'))
const [model, document] = process.argv.slice(2).map(read)
const told = document.told
const ddp = told.protocol === 'DDP'
const whole = told.packing === 'WHOLE_PIXEL'
const written = told.protocol === 'ARTNET' ? (model.dialect.artnetFrom ?? 0) : (model.dialect.e131From ?? 1)
const wire = (universe) => universe - written + (told.protocol === 'ARTNET' ? 0 : 1)

// what it hears: sizes of universes, and its own channels one after another
const sizes = new Map()
const lines = new Map()
const own = new Map()
let next = 1
for (const input of told.inputs) {
  if (ddp) {
    for (let i = 0; i < input.size; i++) own.set(i + 1, `byte ${i}`)
    continue
  }
  for (let u = 0; u < input.count; u++) {
    const universe = wire(input.universe) + u
    if (input.dmxPort !== undefined) {
      lines.set(universe, input.size)
      continue
    }
    sizes.set(universe, input.size)
    const start = input.start === undefined ? next : input.start + u * input.size
    for (let c = 0; c < input.size; c++) own.set(start + c, `${universe}:${c + 1}`)
    next = start + input.size
  }
}

// a place that moves on: a slot on the wire, or an own channel
function place(start, width, heard) {
  if (start === undefined) return undefined
  if (start.pixelIndex !== undefined) return { channel: start.pixelIndex * width + 1 }
  if (start.universe === undefined) return { channel: start.channel ?? NaN }
  return { universe: wire(start.universe), channel: start.channel ?? 1, heard }
}
const sizeAt = (at) => at.heard.get(at.universe) ?? 512
function moved(at, steps) {
  if (at.universe === undefined) return { channel: at.channel + steps }
  const to = { ...at, channel: at.channel + steps }
  while (to.channel > sizeAt(to)) {
    to.channel -= sizeAt(to)
    to.universe++
  }
  return to
}
const slot = (at) =>
  at.universe === undefined
    ? (own.get(at.channel) ?? 'not heard')
    : at.channel <= (at.heard.get(at.universe) ?? 0)
      ? `${at.universe}:${at.channel}`
      : 'not heard'

// addresses of some channels each, from a place on: their slots, and the place after them
function lay(from, addresses, width) {
  const slots = []
  let at = from
  for (let a = 0; a < addresses; a++) {
    if (whole && at.universe !== undefined && sizeAt(at) - at.channel + 1 < width) {
      at = moved(at, sizeAt(at) - at.channel + 1)
    }
    slots.push(Array.from({ length: width }, (_, c) => slot(moved(at, c))))
    at = moved(at, width)
  }
  return { slots, after: at }
}

let counted = { channel: 1 }
function pixelPort(output) {
  const width = output.channelsPerPixel
  const bytes = []
  let at = place(output.start, width, sizes)
  const counts = at === undefined && output.sections[0].start === undefined
  if (counts) at = counted
  output.sections.forEach((section, i) => {
    const said = (name) => section[name] ?? output.options?.[name]
    const nulls = section.nullPixels ?? (i === 0 ? output.options?.nullPixels : 0) ?? 0
    for (let b = 0; b < nulls * width; b++) bytes.push('-')
    const p = section.pixels
    const group = said('group') ?? 1
    const fold = said('fold') ?? p
    const usual = model.colourOrder?.length === width ? model.colourOrder : NATURAL[width - 1]
    const order = said('colourOrder') ?? usual
    at = place(section.start, width, sizes) ?? at
    const { slots, after } = lay(at, Math.ceil(p / group), width)
    at = after
    for (let w = 0; w < p; w++) {
      const row = Math.floor(w / fold)
      const n = Math.min(fold, p - row * fold)
      let q = row * fold + (row % 2 ? n - 1 - (w % fold) : w % fold)
      if (said('backward')) q = p - 1 - q
      const address = slots[Math.floor(q / group)]
      for (const letter of order) bytes.push(address[NATURAL[width - 1].indexOf(letter)])
    }
  })
  if (counts) counted = at
  return bytes
}

function wall(section) {
  const { width, height, order } = section.matrix
  const { slots } = lay(place(section.start, 3, sizes), width * height, 3)
  const bytes = []
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const across = order.start.endsWith('RIGHT') ? width - 1 - x : x
      const down = order.start.startsWith('BOTTOM') ? height - 1 - y : y
      const [line, along, length] =
        order.lines === 'ROWS' ? [down, across, width] : [across, down, height]
      const turned = order.serpentine && line % 2 ? length - 1 - along : along
      bytes.push(slots[line * length + turned].join(' '))
    }
  }
  return bytes
}

function line(output) {
  const base = place(output.start, 1, lines)
  return output.sections.flatMap((fixture) =>
    Array.from({ length: fixture.slots }, (_, i) => slot(moved(base, fixture.slot - 1 + i))),
  )
}

const play = {
  PIXEL: pixelPort,
  DMX: line,
  RELAY: (output) => output.sections.map((circuit) => slot(place(circuit.start, 1, sizes))),
  PANEL: (output) => output.sections.flatMap(wall),
  SERIAL: () => [],
}
const shown = {}
for (const output of told.outputs) {
  shown[`${output.kind} ${output.port}`] = output.used ? play[output.kind](output) : []
}
process.stdout.write(JSON.stringify(shown) + '\n')
