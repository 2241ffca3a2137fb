import { roundSecondsText, sectionFacts } from '#core/breath'
import type { ResolvedSection } from '#core/breath'
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
  return list.length > 2 ? `${round}${perMinute}` : `${round}, ${roundSecondsText(pattern, pace)} s${perMinute}`
}
