import type { SettingSheet, SheetCell, SheetRow } from '../../api/types'

/** A line of the sheet as it is drawn: a port and its only section are one. */
export interface SheetLine {
  key: string
  title: string
  name: string
  port?: SheetRow['port']
  cells: SheetCell[]
}

export interface SheetPage {
  title: string
  lines: SheetLine[]
  /** Ports that are to be emptied, each with its one cell. */
  emptied: { label: string; cell: SheetCell }[]
}

/** What nobody types: it says which device it is. */
export const NOT_TYPED = 'model'

/** The pages of a sheet as they are drawn, in the order in which they are typed in. */
export function pagesOf(sheet: SettingSheet): SheetPage[] {
  return sheet.pages.map((page) => {
    const lines: SheetLine[] = []
    const emptied: SheetPage['emptied'] = []
    page.rows.forEach((row, i) => {
      const next = page.rows[i + 1]
      const before = page.rows[i - 1]
      const used = row.cells.find((cell) => cell.key.endsWith('/used'))
      if (used && row.port) {
        emptied.push({ label: row.port.label, cell: used })
      } else if (row.port?.section === 1 && before?.title === row.title) {
        return // drawn with its port
      } else if (row.port?.section === 0 && next?.title === row.title) {
        lines.push(line(row, next))
      } else {
        lines.push(line(row))
      }
    })
    return { title: page.title, lines, emptied }
  })
}

function line(row: SheetRow, only?: SheetRow): SheetLine {
  const cells = only ? [...row.cells, ...only.cells.filter((cell) => !again(cell, row))] : row.cells
  return {
    key: row.title,
    title: row.title,
    name: only?.name ?? row.name,
    port: only?.port ?? row.port,
    cells: [...cells.filter(isStart), ...cells.filter((cell) => !isStart(cell))],
  }
}

/** Where it starts is what everybody looks for first. */
const isStart = (cell: SheetCell) => cell.label === 'start'

/** A port of one section without null pixels says its pixels twice. */
function again(cell: SheetCell, port: SheetRow): boolean {
  return (
    cell.label === 'pixels' &&
    port.cells.some((other) => other.unit === 'pixels' && other.value === cell.value)
  )
}

/** All that is typed, in its order. */
export function typedCells(sheet: SettingSheet): SheetCell[] {
  return sheet.pages
    .flatMap((page) => page.rows.flatMap((row) => row.cells))
    .filter((cell) => cell.key !== NOT_TYPED)
}

/**
 * What was pasted, value by value: cells of a spreadsheet, or one value a line, from a cell on in
 * the order of the sheet.
 */
export function pasted(text: string, cells: SheetCell[], from: string): Record<string, string> {
  const values = text
    .replace(/\r/g, '')
    .split(/[\t\n]/)
    .map((value) => value.trim())
    .filter((value) => value !== '')
  const start = cells.findIndex((cell) => cell.key === from)
  return Object.fromEntries(
    values.slice(0, cells.length - start).map((value, i) => [cells[start + i].key, value]),
  )
}
