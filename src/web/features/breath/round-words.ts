import { patternText, roundSecondsText, sectionFacts } from '#core/breath'
import type { ResolvedRounds, ResolvedSection } from '#core/breath'
import { counted } from '#words/text'
import { sectionLength } from '#words/sections'

/** What one round comes to: its counts, how long one is, and how many breaths a minute; else the section's length. */
export function roundWords(section: ResolvedSection): string {
  if (section.kind !== 'rounds') return sectionLength(section)
  const { pattern, pace, list } = section
  const counts = ((pattern.in + pattern.full + pattern.out + pattern.empty) / 2) * (list.length / 2)
  const { steepest } = sectionFacts(section)
  const perMinute = steepest === undefined ? '' : ` · ${(Math.round(steepest * 10) / 10).toString()} breaths a minute`
  const round = `one round, ${counted(counts, 'count')} of ${String(pace.num / pace.den / 1000)} s`
  const one = list.length > 2 ? round : `${round}, ${roundSecondsText(pattern, pace)} s`
  return `${one}${perMinute}${slopeText(section)}`
}

/** The counts of each set where they change from set to set; the drawing has the first. */
const slopeText = ({ section, sets }: ResolvedRounds): string =>
  section.slope ? ` · set by set ${sets.map(({ pattern }) => patternText(pattern)).join(', ')}` : ''
