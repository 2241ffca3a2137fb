import type { RoundsSection, Section } from '#model/section'
import { patternText, sectionFacts } from '#core/breath'
import type { ResolvedSection } from '#core/breath'
import { formatDuration, formatMs } from '#core/units'
import { counted } from './text.ts'

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

/** The same of all sections of a block that say one. */
export const sectionsTime = (sections: readonly Section[]): string =>
  sections
    .map(sectionTime)
    .filter((words) => words !== '')
    .join(', ')

/** A section in a few words: what is done, and how much of it. */
export function sectionLine(section: ResolvedSection): string {
  switch (section.kind) {
    case 'natural':
      return 'natural breath'
    case 'lesson':
      return `lesson ${String(section.section.lesson)}: ${section.technique.names.english.toLowerCase()}`
    case 'uncounted':
      return `${section.technique.names.english.toLowerCase()}, ${amountWords(section.section.amount)}`
    case 'rounds': {
      const ratio = patternText(section.pattern)
      const { amount } = section.section
      if (section.section.stations) return `${ratio}, ${sectionTime(section.section)}`
      if (amount && 'fillS' in amount) return `${ratio}, fills ${amountWords(amount)}`
      return `${ratio}, ${amount ? amountWords(amount) : counted(sectionFacts(section).rounds, 'round')}`
    }
    case 'retention':
      return `held ${section.section.held} ${String(section.section.half / 2)}, ${sectionTime(section.section)}`
    case 'strokes':
      return `${counted(section.section.strokes, 'stroke')}, ${sectionTime(section.section)}`
  }
}

/** The sections of a block in a line: those that are led, else the natural breath it is. */
export function sectionsLine(sections: readonly ResolvedSection[]): string {
  const led = sections.filter(({ kind }) => kind !== 'natural')
  return led.length === 0 ? 'natural breath' : led.map(sectionLine).join(' · ')
}

/** How long a section takes. */
export const sectionLength = (section: ResolvedSection): string => formatMs(sectionFacts(section).totalMs)
