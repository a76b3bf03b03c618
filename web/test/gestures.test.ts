import { expect, test } from 'vitest'
import { KEYS, type KeyGroup } from '../src/parts/keys'

/** Every file in which a pointer does more than click, and the keys that do the same. */
const GESTURES: Record<string, [what: string, keys: [keyof typeof KEYS, string][] | string]> = {
  'places/PropsPlace.vue': ['a prop is opened by a double click', [['props', 'open']]],
  'places/addresses/AddressGrid.vue': [
    'a universe is opened by a double click, and scrolled by dragging',
    [
      ['grid', 'open'],
      ['grid', 'farDown'],
    ],
  ],
  'shell/FinderBox.vue': ['a find is chosen', 'arrows and Enter'],
  'places/patch/PieceTray.vue': ['pieces are dragged onto ports', [['tray', 'open']]],
  'places/controllers/ControllerRow.vue': [
    'a controller is dragged in the list',
    [
      ['controllers', 'earlier'],
      ['controllers', 'later'],
    ],
  ],
  'places/network/SubnetLine.vue': [
    'a device is dragged along its subnet',
    [
      ['address', 'left'],
      ['address', 'right'],
    ],
  ],
  'places/props/SitePlan.vue': [
    'a zone is dragged over the site',
    [
      ['site', 'left'],
      ['site', 'up'],
    ],
  ],
  'places/loads/FeedMarks.vue': [
    'a feed is dragged along its run',
    [
      ['feed', 'left'],
      ['feed', 'right'],
    ],
  ],
  'places/trial/ControllerLight.vue': [
    'a pixel is picked by a double click',
    [
      ['trial', 'back'],
      ['trial', 'on'],
    ],
  ],
  'places/trial/MoverRows.vue': ['what moves is held', 'Space or Enter, while it is down'],
  'ribbon/StringStrip.vue': [
    'a boundary is dragged',
    [
      ['boundary', 'left'],
      ['boundary', 'right'],
    ],
  ],
  'ribbon/SectionBlock.vue': [
    'a section is split by a double click',
    'its button "split", and the boundary that it makes',
  ],
  'crew/LightCard.vue': ['a circuit is held', 'Space, while it is down'],
  'parts/InPlaceChoice.vue': [
    'a field that is pressed lists all of many choices',
    'the focus of the keyboard does it too',
  ],
  'ribbon/RunRibbon.vue': [
    'legs are dragged along and across',
    [
      ['patch', 'moveLeft'],
      ['patch', 'moveDown'],
      ['patch', 'cut'],
      ['patch', 'paste'],
    ],
  ],
  'ribbon/SlotLine.vue': [
    'a fixture is dragged to another slot',
    [
      ['slot', 'left'],
      ['slot', 'right'],
    ],
  ],
}
/** What is only kept from doing something is none. */
const GESTURE = /@(pointerdown|mousedown|dblclick|dragstart|wheel)(\.\w+)*=/

/** Every component, as it is written. */
const COMPONENTS = import.meta.glob<string>('../src/**/*.vue', {
  query: '?raw',
  import: 'default',
  eager: true,
})

test('every gesture by mouse has its keys', () => {
  const found = Object.entries(COMPONENTS)
    .filter(([, text]) => GESTURE.test(text))
    .map(([file]) => file.slice('../src/'.length))
  expect(found.sort()).toEqual(Object.keys(GESTURES).sort())
  for (const [, keys] of Object.values(GESTURES)) {
    for (const [group, name] of typeof keys === 'string' ? [] : keys) {
      expect((KEYS[group] as KeyGroup).keys[name]?.on.length, `${group} ${name}`).toBeGreaterThan(0)
    }
  }
})
