import type { Pace } from '#model/breath'
import type { LedDoing } from '#model/led-class'
import type { ResolvedSection, Stretch } from '#core/breath'
import type { ResolvedBreath } from '#core/session'
import type { Segment } from '#core/timeline'

type BreathDoing = Extract<LedDoing, { kind: 'breath' }>
type Counted = Extract<BreathDoing, { part: 'counted' }>
type CountedPart = Counted['parts'][number]

const countedParts = ['in', 'full', 'out', 'empty', 'pause'] as const
const isCountedPart = (part: Stretch['part']): part is CountedPart['part'] =>
  countedParts.some((counted) => counted === part)

/** Whether a stretch is driven by counts. */
export const isCountedBreath = (part: Stretch['part']): boolean => isCountedPart(part)

type Breathed = Omit<Stretch, 'lengthMs'>
const breathedIn = (segments: readonly Segment[]): readonly Breathed[] =>
  segments.flatMap(({ doing }) => (doing.kind === 'breath' ? [doing] : []))

/** What stretches of breath work that stand as one are led as; `before` are those of the block that came before them. */
export function breathDoing(run: readonly Segment[], before: readonly Segment[], block: ResolvedBreath): BreathDoing {
  const stretches = breathedIn(run)
  const [first] = stretches
  if (!first) throw new RangeError('breathDoing: nothing is breathed')
  const section = block.sections[first.section]
  const inSection = { kind: 'breath' as const, section: first.section, set: first.set, ...stationOf(first, section) }
  const { part, strokes } = first
  if (!isCountedPart(part)) return { ...inSection, part: uncounted(part), ...(strokes ? { strokes } : {}) }
  const round = stretches.filter((stretch) => stretch.round === first.round)
  const over = ticksOf(round)
  // Counting begins anew with each section [settled C5].
  const counted = breathedIn(before).filter((one) => one.section === first.section && isCountedPart(one.part))
  return {
    ...inSection,
    part: 'counted',
    rounds: (stretches.at(-1)?.round ?? first.round) - first.round + 1,
    pace: paceOf(section),
    over,
    from: Math.round(halvesOf(counted) * over),
    parts: round.map((stretch) => partOf(stretch, over)),
    ...soundsOf(section),
  }
}

const halvesOf = (stretches: readonly Breathed[]): number => stretches.reduce((sum, { counts }) => sum + counts * 2, 0)

type Uncounted = Exclude<BreathDoing, Counted>['part']
const uncountedParts: readonly Uncounted[] = ['natural', 'rest', 'lesson', 'uncounted', 'leadIn', 'wayOut', 'strokes']
const uncounted = (part: Stretch['part']): Uncounted => uncountedParts.find((one) => one === part) ?? 'natural'

/** The fewest ticks a half-count by which every part is whole: steps divide a breath in two, three or four. */
function ticksOf(round: readonly Pick<Stretch, 'counts'>[]): number {
  const isWhole = (value: number) => Math.abs(value - Math.round(value)) < 1e-6
  return [1, 2, 3, 4, 6].find((over) => round.every(({ counts }) => isWhole(counts * 2 * over))) ?? 12
}

function partOf({ part, counts, through, step, lock, strokes }: Breathed, over: number): CountedPart {
  return {
    part: isCountedPart(part) ? part : 'pause',
    ticks: Math.round(counts * 2 * over),
    ...(through === undefined ? {} : { through }),
    ...(step === undefined ? {} : { step }),
    ...(lock === undefined ? {} : { lock }),
    ...(strokes === undefined ? {} : { strokes }),
  }
}

function stationOf({ station }: Breathed, section: ResolvedSection | undefined) {
  if (station === undefined || section?.kind !== 'rounds') return {}
  return { station: { at: station, place: section.section.stations?.[station]?.place ?? '' } }
}

function paceOf(section: ResolvedSection | undefined): Pace {
  if (section?.kind !== 'rounds' && section?.kind !== 'retention') throw new RangeError('breathDoing: no counts')
  return section.pace
}

/** What sounds in rounds that are not counted aloud, where that was chosen. */
function soundsOf(section: ResolvedSection | undefined): Pick<Counted, 'aloud' | 'silent'> {
  if (section?.kind !== 'rounds' || section.section.silent === undefined) return {}
  return { aloud: section.countedRounds, silent: section.section.silent }
}
