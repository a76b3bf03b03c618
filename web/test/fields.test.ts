import { expect, test } from 'vitest'
import schema from '../../docs/formats/display.schema.json'

const sources = import.meta.glob<string>('../src/**/*.{vue,ts}', {
  query: '?raw',
  import: 'default',
  eager: true,
})
const source = (file: string) => sources[`../src/${file}`]

const CONTROLLER = 'places/controllers/ControllerRow.vue'
const MORE = 'places/controllers/ControllerMore.vue'
const NETWORK = 'places/network/SubnetTitle.vue'
const PIECE = 'ribbon/PieceEditor.vue'
const SECTION = 'ribbon/SectionBlock.vue'
const WALL = 'ribbon/WallEditor.vue'
const SELECTION = 'places/props/SelectionBar.vue'
const GLASS = 'places/patch/LegGlass.vue'
const WIRES = 'ribbon/StringWires.vue'
const SUPPLY = 'places/loads/SupplyLine.vue'
const MAINS = 'places/loads/MainsLine.vue'
const FEED = 'places/loads/FeedEditor.vue'
const SEASON = 'places/handover/SeasonSettings.vue'
const TREE = 'places/network/EnclosureTree.vue'

/** Given by the program, or a list whose members have fields of their own. */
const OWN = 'worked out, or a list of what has fields of its own'
/** A catalogue file brings it: a model is described once, by whoever has its manual. */
const FILE = 'comes with a catalogue file'

/** Where in the interface each field of a display file is set. */
const WHERE: Record<string, Record<string, string>> = {
  '': {
    format: OWN,
    formatVersion: OWN,
    name: 'shell/TopBar.vue',
    settings: OWN,
    models: OWN,
    pixelTypes: OWN,
    subnets: OWN,
    zones: OWN,
    props: OWN,
    controllers: OWN,
    power: OWN,
    enclosures: OWN,
    links: OWN,
    accepted: OWN,
    workshop: OWN,
    milestones: OWN,
  },
  displaySettings: {
    firstUniverse: 'places/ControllersPlace.vue',
    universeStride: 'places/ControllersPlace.vue',
    framesPerSecond: 'places/ControllersPlace.vue',
    keepsStill: SEASON,
    showHours: SEASON,
  },
  workshop: {
    sparesPercent: 'places/paper/ShoppingPage.vue',
    allowancePercent: 'places/paper/ShoppingPage.vue',
    stock: 'places/paper/ShoppingPage.vue',
    lastTag: OWN,
    tags: OWN,
  },
  tag: {
    text: 'places/paper/TagsPage.vue',
    kind: OWN,
    of: OWN,
    bank: OWN,
    box: OWN,
    name: OWN,
  },
  zone: {
    id: OWN,
    name: 'places/props/SitePlan.vue',
    eastMetres: 'places/props/SitePlan.vue',
    northMetres: 'places/props/SitePlan.vue',
  },
  prop: {
    id: OWN,
    name: 'places/PropsPlace.vue',
    zone: SELECTION,
    brightness: SELECTION,
    rank: SELECTION,
    pieces: OWN,
  },
  piece: { kind: OWN },
  string: {
    kind: OWN,
    id: OWN,
    name: OWN,
    pixelType: SELECTION,
    sections: OWN,
    dataIn: SELECTION,
    connector: SELECTION,
    leadMetres: SELECTION,
    wiring: OWN,
  },
  section: {
    pixels: SECTION,
    nullPixels: SECTION,
    group: SECTION,
    fold: SECTION,
    backward: SECTION,
    colourOrder: SECTION,
    brightness: SECTION,
    hold: SECTION,
  },
  hold: { universe: 'ribbon/hold.ts', channel: 'ribbon/hold.ts' },
  circuit: {
    kind: OWN,
    id: OWN,
    name: OWN,
    threshold: PIECE,
    safeOn: PIECE,
    hold: PIECE,
    shortestOnSeconds: PIECE,
    shortestOffSeconds: PIECE,
    longestOnSeconds: PIECE,
    interlock: PIECE,
  },
  fixture: {
    kind: OWN,
    id: OWN,
    name: OWN,
    slot: 'ribbon/SlotLine.vue',
    channels: PIECE,
    pairs: PIECE,
  },
  decoder: {
    kind: OWN,
    id: OWN,
    name: OWN,
    slot: 'ribbon/SlotLine.vue',
    pixels: PIECE,
    ledsPerPixel: PIECE,
  },
  dimmer: { kind: OWN, id: OWN, name: OWN, unit: PIECE, circuits: PIECE },
  wall: {
    kind: OWN,
    id: OWN,
    name: OWN,
    order: WALL,
    panels: OWN,
    resolution: WALL,
    size: WALL,
    pitchMillimetres: WALL,
    hold: WALL,
  },
  gridOrder: { start: WALL, lines: WALL, serpentine: WALL },
  panels: {
    panelWidth: WALL,
    panelHeight: WALL,
    columns: WALL,
    rows: WALL,
    order: WALL,
    cards: WALL,
  },
  controller: {
    id: OWN,
    tag: CONTROLLER,
    name: CONTROLLER,
    model: 'places/ControllersPlace.vue',
    settings: OWN,
    inputs: MORE,
    sending: OWN,
    adapters: MORE,
    cables: 'places/patch/BankHeading.vue',
    powered: MORE,
    runs: OWN,
  },
  controllerSettings: {
    mode: CONTROLLER,
    protocol: CONTROLLER,
    transport: CONTROLLER,
    address: CONTROLLER,
    firstUniverse: CONTROLLER,
    universeSize: CONTROLLER,
    packing: MORE,
    portStart: MORE,
    reserveUniverses: CONTROLLER,
    reserveChannels: CONTROLLER,
    brightness: CONTROLLER,
    source: CONTROLLER,
    zone: CONTROLLER,
    enclosure: CONTROLLER,
    note: CONTROLLER,
  },
  inputRange: {
    firstUniverse: 'places/controllers/inputRanges.ts',
    count: 'places/controllers/inputRanges.ts',
    size: 'places/controllers/inputRanges.ts',
  },
  run: { kind: OWN, port: OWN, legs: OWN, universe: GLASS, brightness: GLASS },
  leg: {
    piece: OWN,
    nullPixels: GLASS,
    cableMetres: GLASS,
    mirrorOf: GLASS,
    box: GLASS,
    cableGauge: 'ribbon/WiringEditor.vue',
    cut: 'places/loads/RunPanel.vue',
    feeds: OWN,
  },
  subnet: {
    id: OWN,
    name: NETWORK,
    network: NETWORK,
    prefix: NETWORK,
    dhcpFirst: NETWORK,
    dhcpLast: NETWORK,
    multicast: NETWORK,
  },
  sending: {
    fromStorage: MORE,
    backup: 'places/network/FlowLines.vue',
    fullUniverses: MORE,
    synchronization: MORE,
    hostName: MORE,
  },
  sitePower: { supplies: OWN, mains: OWN },
  supply: {
    id: OWN,
    name: SUPPLY,
    zone: SUPPLY,
    volts: SUPPLY,
    amps: SUPPLY,
    mains: SUPPLY,
    efficiencyPercent: SUPPLY,
    enclosure: SUPPLY,
    leakageMilliamps: SUPPLY,
    switchOnAmps: SUPPLY,
  },
  mainsCircuit: {
    id: OWN,
    name: MAINS,
    volts: MAINS,
    amps: MAINS,
    otherWatts: MAINS,
    breaker: MAINS,
    residualMilliamps: MAINS,
  },
  feed: {
    supply: FEED,
    position: FEED,
    leadMetres: FEED,
    gauge: FEED,
    fuseAmps: FEED,
    tag: 'places/paper/TagsPage.vue',
  },
  wiring: { gauge: WIRES, spacingMetres: WIRES, dataOnly: WIRES, connectorAmps: WIRES },
  enclosure: { id: OWN, name: TREE, zone: TREE, mains: TREE, switches: TREE },
  link: { id: OWN, name: TREE, from: TREE, to: TREE, kind: TREE, metres: TREE },
}
/** What a model or a pixel type is made of. */
const MODELS =
  /^(deviceModel|portGroup|portMode|protocolSupport|dialect|pixelType|pixelLimit|powerInput)$/

type Objects = Record<string, { properties?: Record<string, unknown> }>
const objects: Objects = { '': schema, ...(schema.$defs as Objects) }

test('every field of a display file is set somewhere in the interface', () => {
  const missing: string[] = []
  for (const [name, { properties }] of Object.entries(objects)) {
    for (const field of Object.keys(properties ?? {})) {
      const where = MODELS.test(name) ? FILE : WHERE[name]?.[field]
      if (!where) {
        missing.push(`${name}.${field} has no place`)
      } else if (
        where !== OWN &&
        where !== FILE &&
        !new RegExp(`\\b${field}\\b`).test(source(where) ?? '')
      ) {
        missing.push(`${name}.${field} is not in ${where}`)
      }
    }
  }
  expect(missing).toEqual([])
})

test('every place that is named for a field is there, and every field is in the file', () => {
  for (const [name, fields] of Object.entries(WHERE)) {
    for (const [field, where] of Object.entries(fields)) {
      expect(objects[name]?.properties, `${name}.${field}`).toHaveProperty(field)
      expect(where === OWN || source(where) !== undefined, where).toBe(true)
    }
  }
})
