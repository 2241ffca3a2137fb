import type { RoundsSection, Section } from '#model/section'
import { patternText, sectionFacts } from '#core/breath'
import type { FillChoice, ResolvedSection, SectionFacts } from '#core/breath'
import { formatDuration, formatMs } from '#core/units'
import { counted, joined } from './text.ts'

/** How much of a section is set, in words; nothing where it is left to its technique. */
export function sectionTime(section: Section): string {
  switch (section.kind) {
    case 'natural':
    case 'lesson':
      return section.s === undefined ? counted(section.breaths ?? 0, 'breath') : formatDuration(section.s)
    case 'rounds':
      return section.stations ? counted(section.stations.length, 'place') : amountWords(section.amount)
    case 'retention':
      return section.times === 1 ? 'once' : `${String(section.times)} times`
    case 'strokes':
      return counted(section.rounds, 'round')
  }
}

function amountWords(amount: RoundsSection['amount']): string {
  if (!amount) return ''
  if ('fillS' in amount) return formatDuration(amount.fillS)
  if ('breaths' in amount) return `${counted(amount.breaths, 'breath')} of about ${String(amount.aboutS)} s`
  if ('rounds' in amount) return counted(amount.rounds, 'round')
  const { sets, roundsPerSet } = amount
  return sets === 1 ? counted(roundsPerSet, 'round') : `${counted(sets, 'set')} of ${counted(roundsPerSet, 'round')}`
}

/** What fills a time: sets of so many rounds, and how much natural breath is left over. */
export function fillWords({ roundsPerSet, sets, leftMs }: FillChoice): string {
  const last = sets.at(-1) ?? 0
  const isShort = last !== roundsPerSet
  const whole = isShort ? sets.length - 1 : sets.length
  const wholes = whole === 1 ? `one set of ${String(roundsPerSet)}` : `${String(whole)} sets of ${String(roundsPerSet)}`
  const rounds = isShort ? `${wholes}, one of ${String(last)}` : wholes
  return leftMs < 1000 ? rounds : `${rounds}; ${formatMs(leftMs)} left over`
}

/** The same of all sections of a block that say one. */
export const sectionsTime = (sections: readonly Section[]): string =>
  sections
    .map(sectionTime)
    .filter((words) => words !== '')
    .join(', ')

/** What is done in a section, without how much of it: as Lead and lists call it. */
export function sectionName(section: ResolvedSection): string {
  switch (section.kind) {
    case 'natural':
      return section.technique?.names.english ?? 'Natural breath'
    case 'lesson':
      return `${section.technique.names.english}, lesson ${String(section.section.lesson)}`
    case 'uncounted':
    case 'strokes':
      return section.technique.names.english
    case 'rounds': {
      // A slope begins with these counts.
      const from = section.section.slope ? 'from ' : ''
      return `${section.technique.names.english} ${from}${patternText(section.pattern)}`
    }
    case 'retention':
      return `Held ${section.section.held} ${String(section.section.half / 2)}`
  }
}

/** How much of a section is done, in words; of natural breath nothing, its time says it. */
function sectionAmount(section: ResolvedSection): string {
  if (section.kind === 'natural' || section.kind === 'lesson') return ''
  if (section.kind !== 'rounds') return sectionTime(section.section)
  const { amount, stations } = section.section
  if (stations) return sectionTime(section.section)
  if (amount && 'fillS' in amount) return `fills ${amountWords(amount)}`
  return amount ? amountWords(amount) : counted(sectionFacts(section).rounds, 'round')
}

/** A section in a few words: what is done, and how much of it. */
export const sectionLine = (section: ResolvedSection): string =>
  joined([sectionName(section), sectionAmount(section)], ', ')

/** The sections of a block in a line: those that are led, else the natural breath it is; the block itself is named. */
export function sectionsLine(sections: readonly ResolvedSection[]): string {
  const led = sections.filter(({ kind }) => kind !== 'natural')
  const [only] = led
  if (!only) return 'natural breath'
  if (led.length > 1 || only.kind !== 'rounds') return led.map(sectionLine).join(' · ')
  return joined([patternText(only.pattern), sectionAmount(only)], ', ')
}

/** How long a section takes. */
export const sectionLength = (section: ResolvedSection): string => formatMs(sectionFacts(section).totalMs)

/** What a section or a block of them comes to, a line each; what there is none of is left out. */
export function factRows({ totalMs, rounds, heldMs, longestHoldMs, naturalMs }: SectionFacts): FactRow[] {
  const held = { name: 'Held in all, longest', figure: `${formatMs(heldMs)}, ${formatMs(longestHoldMs)}` }
  const natural = { name: 'Natural breath in all', figure: formatMs(naturalMs) }
  const all = joined([rounds > 0 ? counted(rounds, 'round') : '', formatMs(totalMs)], ', ')
  return [...(heldMs > 0 ? [held] : []), ...(naturalMs > 0 ? [natural] : []), { name: 'In all', figure: all }]
}

interface FactRow {
  readonly name: string
  readonly figure: string
}
