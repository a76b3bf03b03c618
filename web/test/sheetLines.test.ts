import { expect, test } from 'vitest'
import type { SettingSheet, SheetCell, SheetRow } from '../src/api/types'
import { pagesOf, pasted, typedCells } from '../src/places/handover/sheetLines'

const cell = (key: string, label: string, value: string, unit = ''): SheetCell => ({
  key,
  label,
  value,
  unit,
})
const row = (title: string, section: number, ...cells: SheetCell[]): SheetRow => ({
  title,
  name: section ? 'Rail' : '',
  port: { kind: 'PIXEL', port: 5, label: '5', section },
  cells,
})
const sheet: SettingSheet = {
  controller: 'k1',
  tag: 'K1',
  name: 'Wall',
  modelTitle: 'Box',
  pages: [
    {
      title: 'Device',
      rows: [{ title: 'Device', name: '', cells: [cell('model', 'model', 'box')] }],
    },
    {
      title: 'Pixel ports',
      rows: [
        row('Port 5', 0, cell('p', 'pixels in all', '90', 'pixels')),
        row('Port 5', 1, cell('s', 'start', '1:1'), cell('q', 'pixels', '90', 'pixels')),
        row('Port 6', 0, cell('PIXEL 6/used', 'in use', 'empty')),
      ],
    },
  ],
}

test('a port and its only section are one line, which begins with its start and says nothing twice', () => {
  const [, ports] = pagesOf(sheet)
  expect(ports.lines).toHaveLength(1)
  expect(ports.lines[0].cells.map((one) => one.key)).toEqual(['s', 'p'])
  expect(ports.lines[0].name).toBe('Rail')
  expect(ports.emptied.map((one) => one.label)).toEqual(['5'])
})

test('all but the model is typed; what is pasted fills values in their order', () => {
  const cells = typedCells(sheet)
  expect(cells.map((one) => one.key)).toEqual(['p', 's', 'q', 'PIXEL 6/used'])
  expect(pasted('1:1\t90\r\nempty\nmore', cells, 's')).toEqual({
    s: '1:1',
    q: '90',
    'PIXEL 6/used': 'empty',
  })
})
