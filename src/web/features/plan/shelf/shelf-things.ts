import type { BasePosition } from '#model/common'
import type { Session } from '#model/session'
import { patternText } from '#core/breath'
import { usualHold } from '#core/session'
import { foldMarks } from '#core/units'
import { basePositionNames } from '#library/base-positions'
import { movements } from '#library/movements'
import { poses } from '#library/poses'
import { techniques } from '#library/techniques'
import type { ShelfThing } from '../new-block.ts'

/** A line of the shelf. */
export interface ShelfLine {
  readonly thing: ShelfThing
  readonly name: string
  readonly under: string
  /** Usual minutes, or the ratio. */
  readonly usual: string
  readonly glyph: BasePosition | 'breath' | 'words'
  /** All its names, folded for the search. */
  readonly found: string
}
export interface ShelfGroup {
  readonly name: string
  readonly lines: readonly ShelfLine[]
}

const minutesText = (seconds: number): string => String(Math.round(seconds / 6) / 10)

/** The shelf for a session's practice and level, in groups. */
export function shelfGroups({ practice, level }: Pick<Session, 'practice' | 'level'>): ShelfGroup[] {
  const poseLines = poses.map((pose): ShelfLine => {
    const { fromS, toS } = usualHold(pose, practice, level)
    const where = basePositionNames[pose.base.enter]
    return {
      thing: { kind: 'hold', id: pose.id },
      name: pose.names.english,
      under: pose.sides ? `${where} · each side` : where,
      usual: `${minutesText(fromS)}–${minutesText(toS)}`,
      glyph: pose.base.enter,
      found: foldMarks([pose.names.english, pose.names.sanskrit ?? '', ...pose.names.others].join(' ')),
    }
  })
  const breathLines = techniques.map(
    ({ id, names, pattern }): ShelfLine => ({
      thing: { kind: 'breath', id },
      name: names.english,
      under: names.sanskrit ?? (pattern ? 'counted rounds' : 'no counts'),
      usual: pattern ? patternText(pattern) : 'own',
      glyph: 'breath',
      found: foldMarks([names.english, names.sanskrit ?? '', ...names.others].join(' ')),
    }),
  )
  const movementLines = movements.map(
    ({ id, names, base, sides, rounds }): ShelfLine => ({
      thing: { kind: 'movement', id },
      name: names.english,
      under: sides ? `${basePositionNames[base.enter]} · each side` : basePositionNames[base.enter],
      usual: `${String(rounds)} ×`,
      glyph: base.enter,
      found: foldMarks([names.english, ...names.others].join(' ')),
    }),
  )
  return [
    { name: 'Poses', lines: poseLines },
    { name: 'Breath', lines: breathLines },
    { name: 'Movement', lines: movementLines },
    { name: 'Between and around', lines: plainLines },
  ]
}

const plainLines: readonly ShelfLine[] = (
  [
    ['talk', 'Talk', 'words of your own', '2:00'],
    ['rest', 'Rest', 'stillness by itself', '2:00'],
    ['closing', 'Closing', 'final rest and coming up', 'last'],
  ] as const
).map(([kind, name, under, usual]) => ({
  thing: { kind, id: kind },
  name,
  under,
  usual,
  glyph: 'words',
  found: foldMarks(kind === 'closing' ? `${name} ${under} śavāsana` : `${name} ${under}`),
}))

/**
 * The groups with only the lines in whose names a word begins with each word looked for; where there is
 * none, those that hold the words anywhere. Empty groups are left out.
 */
export function findOnShelf(groups: readonly ShelfGroup[], wanted: string): ShelfGroup[] {
  const words = foldMarks(wanted).split(/\s+/).filter((word) => word !== '')
  const only = (fits: (found: string, word: string) => boolean): ShelfGroup[] =>
    groups
      .map(({ name, lines }) => ({ name, lines: lines.filter(({ found }) => words.every((word) => fits(found, word))) }))
      .filter(({ lines }) => lines.length > 0)
  const begun = only((found, word) => ` ${found}`.includes(` ${word}`))
  return begun.length > 0 ? begun : only((found, word) => found.includes(word))
}

/**
 * The line that Enter takes: 1. its name is what was typed, 2. its name begins so, 3. a word of its name
 * does, 4. the first found by another name. Ties go to the order of the shelf.
 */
export function bestOnShelf(groups: readonly ShelfGroup[], wanted: string): ShelfLine | undefined {
  const typed = foldMarks(wanted).trim()
  const lines = groups.flatMap((group) => group.lines)
  const named = (fits: (name: string) => boolean) => lines.find(({ name }) => fits(foldMarks(name)))
  return (
    named((name) => name === typed) ??
    named((name) => name.startsWith(typed)) ??
    named((name) => name.includes(` ${typed}`)) ??
    lines[0]
  )
}
