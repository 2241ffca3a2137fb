import { foldMarks } from '#core/units'
import { basePositionNames, basePositionsInOrder } from '#words/positions'
import { capital } from '#words/text'
import type { ShelfThing } from '#web/shared/session/new-block.ts'
import type { Glyph } from '#web/shared/shelf/glyphs.ts'
import type { ShelfEntry } from '#web/shared/shelf/entries.ts'

/** A line of the shelf that can be put into the session. */
export interface ShelfLine {
  readonly id: string
  readonly thing: ShelfThing
  readonly name: string
  readonly sanskrit: string | undefined
  readonly others: readonly string[]
  readonly felt: readonly string[]
  readonly isRare?: boolean
  readonly under: string
  readonly usual: string
  readonly glyph: Glyph
  readonly group: string
}
export interface ShelfGroup {
  readonly name: string
  readonly lines: readonly ShelfLine[]
}

const piecesGroup = 'Pieces'

/** The lines of the shelf: pieces, poses by the position they are entered in, breath, movements, what goes between. */
export function shelfLines(entries: readonly ShelfEntry[]): ShelfLine[] {
  const lines = entries.map((entry): ShelfLine => ({ ...wordsOf(entry), thing: entry.thing }))
  return [...lines, ...plainLines]
}

function wordsOf({
  kind,
  id,
  name,
  sanskrit,
  others,
  base,
  sided,
  felt,
  usual,
  isOwn,
  isRare = false,
  isProtocol = false,
}: ShelfEntry): Omit<ShelfLine, 'thing'> {
  const where = basePositionNames[base]
  const own = isOwn ? ['your own'] : []
  const common = { id, name, sanskrit, others, felt, usual, isRare }
  if (kind === 'piece') {
    const [under, glyph] = isProtocol
      ? (['a protocol of yours', 'breath'] as const)
      : (['kept by you', 'words'] as const)
    return { ...common, under, glyph, group: piecesGroup }
  }
  if (kind === 'breath') return { ...common, under: sanskrit ?? 'no counts', glyph: 'breath', group: 'Breath' }
  const under = [...(kind === 'movement' ? [where] : []), sided ? 'each side' : 'both at once', ...own].join(' · ')
  return { ...common, under, glyph: base, group: kind === 'movement' ? 'Movement' : capital(where) }
}

const between = 'Between and around'
const plainLines: readonly ShelfLine[] = (
  [
    ['talk', 'Talk', 'words of your own', '2:00', []],
    ['rest', 'Rest', 'stillness by itself', '2:00', []],
    ['closing', 'Closing', 'final rest and coming up', 'at the end', ['śavāsana', 'Final rest']],
  ] as const
).map(([kind, name, under, usual, others]) => ({
  id: kind,
  thing: { kind, id: kind },
  name,
  sanskrit: undefined,
  others,
  felt: [],
  under,
  usual,
  glyph: 'words',
  group: between,
}))

const groupOrder = [
  piecesGroup,
  ...basePositionsInOrder.map((base) => capital(basePositionNames[base])),
  'Breath',
  'Movement',
  between,
]

/** Lines under their headings, in the order of the shelf; headings of nothing are left out. */
export const inGroups = (lines: readonly ShelfLine[]): ShelfGroup[] =>
  groupOrder
    .map((name) => ({ name, lines: lines.filter(({ group }) => group === name) }))
    .filter((group) => group.lines.length > 0)

/**
 * The line that Enter takes: 1. its name is what was typed, 2. its name begins so, 3. a word of its name
 * does, 4. the first found by another name. Ties go to the order in which they were found.
 */
export function bestOnShelf(lines: readonly ShelfLine[], wanted: string): ShelfLine | undefined {
  const typed = foldMarks(wanted).trim()
  const named = (fits: (name: string) => boolean) => lines.find(({ name }) => fits(foldMarks(name)))
  return (
    named((name) => name === typed) ??
    named((name) => name.startsWith(typed)) ??
    named((name) => name.includes(` ${typed}`)) ??
    lines[0]
  )
}
