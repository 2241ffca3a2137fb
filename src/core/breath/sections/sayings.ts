import type { Pattern } from '#model/breath'
import type { Side } from '#model/common'
import { msFromS } from '#core/units'
import type { Milliseconds } from '#core/units'
import { layOutBlock } from './lay-out-section.ts'
import type { Stretch } from './lay-out-section.ts'
import type { ResolvedNatural, ResolvedRetention, ResolvedRounds, ResolvedSection } from './resolve-section.ts'

/** Something said, or the bowl, in a stretch of a block. */
export interface Saying {
  /** Which stretch of the block, from 0, and how far into it. */
  readonly stretch: number
  readonly atMs: Milliseconds
  readonly text?: string
  readonly sound?: 'bowl'
}

/** How long before a breath work begins it is announced, and a breath is let finish [breath book 1]. */
export const announcedS = 8
const mostCountedDown = 5
/** Every announcement of a held breath ends so; no setting removes it [breath book 1]. */
const orLess = 'or less: breathe whenever you wish'
const finish = 'Finish the breath you are in'

const numberOf = (halves: number): string => String(halves / 2)

/**
 * What is said in a block of breath work, in order. An announcement stands in the natural breath or rest before what it
 * announces, eight seconds before its end; at the block's own start it stands with the first words. Nothing is said in a
 * held breath but its own count.
 */
export function sayings(
  sections: readonly ResolvedSection[],
  hand: Side = 'right',
  stretches: readonly Stretch[] = layOutBlock(sections),
): readonly Saying[] {
  const said: Saying[] = []
  for (const [index, stretch] of stretches.entries()) {
    const section = sections[stretch.section]
    if (!section || isPlainRound(stretches[index - 1], stretch, section)) continue
    const at = { stretches, sections, index, section, hand }
    said.push(...opening(at), ...announced(at), ...inRounds(at), ...inRetention(at))
  }
  return said
}

/** Most of a block is inhale after exhale, of which nothing is said. */
const isPlainRound = (before: Stretch | undefined, here: Stretch, { kind }: ResolvedSection): boolean =>
  kind === 'rounds' &&
  here.round > 0 &&
  here.through === undefined &&
  here.station === undefined &&
  before?.section === here.section &&
  before.set === here.set &&
  !isQuiet(before)

interface At {
  readonly stretches: readonly Stretch[]
  readonly sections: readonly ResolvedSection[]
  readonly index: number
  readonly section: ResolvedSection
  readonly hand: Side
}

const isQuiet = (stretch: Stretch | undefined): boolean =>
  stretch !== undefined && (stretch.part === 'natural' || stretch.part === 'rest')
const hasRoom = (stretch: Stretch | undefined): boolean =>
  isQuiet(stretch) && (stretch?.lengthMs ?? 0) >= msFromS(announcedS)

/** What stands at the start of a stretch: the section's own words, the lead-in, the way out, what is attended to. */
function opening({ stretches, sections, index, section }: At): readonly Saying[] {
  const here = stretches[index]
  const before = stretches[index - 1]
  if (!here) return []
  const begins = before?.section !== here.section
  const own = begins ? (section.section.say ?? '') : ''
  // Where no quiet stands before it, what begins is announced as it begins.
  const untold = hasRoom(before) ? '' : announcement(stretches, index, sections)
  const words = [own, untold, leads(here, section)].filter((text) => text !== '')
  return words.length === 0 ? [] : [{ stretch: index, atMs: 0, text: words.join('. ') }]
}

/** What a stretch itself is begun with. */
function leads({ part }: Stretch, section: ResolvedSection): string {
  if (part === 'leadIn') return beginsOut(section) ? 'Breathe in' : 'Breathe out'
  if (part === 'wayOut') return finish
  if (part === 'natural' && section.kind === 'natural') return attendedTo(section)
  if (part === 'lesson' && section.kind === 'lesson') return section.technique.lessons[section.section.lesson - 1] ?? ''
  if (part === 'natural' && section.kind === 'retention') return 'The next breath comes unhurried'
  return part === 'natural' || part === 'rest' ? 'Natural breath' : ''
}

const attendedTo = ({ section, technique }: ResolvedNatural): string =>
  (section.kind === 'natural' ? section.attend : undefined) ?? technique?.names.english ?? 'Natural breath'

const beginsOut = (section: ResolvedSection): boolean =>
  section.kind === 'retention'
    ? section.section.held === 'full'
    : section.kind === 'rounds' && section.list[0]?.does === 'out'

/** In the quiet before something: let the breath finish, and say what comes. */
function announced({ stretches, sections, index }: At): readonly Saying[] {
  const here = stretches[index]
  const next = stretches[index + 1]
  if (!here || !next || !hasRoom(here) || isQuiet(next)) return []
  const goesOn = here.part === 'natural' && here.section !== next.section
  const words = [goesOn ? finish : '', announcement(stretches, index + 1, sections)].filter((text) => text !== '')
  return words.length === 0
    ? []
    : [{ stretch: index, atMs: here.lengthMs - msFromS(announcedS), text: words.join('. ') }]
}

/** What begins at a stretch, where that wants announcing: the first set, a set that differs, a held breath, strokes. */
function announcement(stretches: readonly Stretch[], index: number, sections: readonly ResolvedSection[]): string {
  const here = stretches[index]
  const before = stretches[index - 1]
  const section = here && sections[here.section]
  const goesOn = before?.section === here?.section && before?.set === here?.set && !isQuiet(before)
  if (!section || isQuiet(here) || goesOn) return ''
  if (section.kind === 'rounds') return announcedSet(section, here.set)
  if (section.kind === 'retention') return announcedHold(section)
  if (section.kind === 'uncounted') return `${section.technique.names.english}, as long as is easy`
  if (section.kind === 'strokes')
    return `${section.technique.names.english}: ${String(section.section.strokes)} strokes`
  return ''
}

function announcedSet(section: ResolvedRounds, number: number): string {
  const set = section.sets[number - 1]
  const former = section.sets[number - 2]
  // Where the hands go next in a pass is said in the exhale before.
  const goesOn = set?.station !== undefined && former?.station !== undefined && former.shown === set.shown
  if (!set || goesOn) return ''
  const place = set.station === undefined ? '' : (section.section.stations?.[set.station]?.place ?? '')
  const pass = set.shown ? 'Shown first' : section.section.closed && former?.shown ? 'Eyes closed' : ''
  const isSame = former !== undefined && samePattern(former.pattern, set.pattern)
  const counts = isSame ? '' : patternWords(set.pattern)
  const named = former === undefined ? `${section.technique.names.english}: ${counts}` : counts
  return [pass, place, named].filter((text) => text !== '').join('. ')
}

const samePattern = (a: Pattern, b: Pattern): boolean =>
  a.in === b.in && a.full === b.full && a.out === b.out && a.empty === b.empty

function patternWords({ in: inhale, full, out, empty }: Pattern): string {
  const held = [
    ...(full > 0 ? [`hold full ${numberOf(full)}`] : []),
    ...(empty > 0 ? [`hold empty ${numberOf(empty)}`] : []),
  ]
  const counts = `in ${numberOf(inhale)}, out ${numberOf(out)}`
  return held.length === 0 ? counts : `${counts}, ${held.join(', ')}, ${orLess}`
}

function announcedHold({ section: { held, half, locks } }: ResolvedRetention): string {
  const worn = (locks?.on ?? []).filter((lock) => lock !== 'belly' || held === 'empty')
  const withLocks = worn.length === 0 ? '' : ` with the ${andJoined(worn)} lock${worn.length > 1 ? 's' : ''}`
  return `Then hold ${held} for ${numberOf(half)} counts${withLocks}, ${orLess}`
}

const andJoined = (words: readonly string[]): string =>
  [words.slice(0, -1).join(', '), ...words.slice(-1)].filter((part) => part !== '').join(' and ')

/** Nostrils of the rounds that are counted aloud, and where the hands go next. */
function inRounds({ stretches, index, section, hand }: At): readonly Saying[] {
  const here = stretches[index]
  if (!here || section.kind !== 'rounds') return []
  const { part, through, round, step = 1 } = here
  const moves = part === 'in' || part === 'out'
  const nostril = moves && through !== undefined && step === 1 && round <= section.countedRounds
  const next = nextStation(stretches, index, section)
  const text = [nostril ? nostrilWords(part, through, hand) : '', next].filter((words) => words !== '').join('. ')
  return text === '' ? [] : [{ stretch: index, atMs: 0, text }]
}

/** The open nostril first, the student's own side, then the hand. */
function nostrilWords(does: 'in' | 'out', through: 'left' | 'right' | 'both', hand: Side): string {
  if (through === 'both') return `${does} through both`
  const closed = through === 'left' ? 'right' : 'left'
  return `${does} ${through} · ${closed === hand ? 'thumb' : 'ring finger'} closes ${closed}`
}

/** In the last exhale at a station, where the hands go next in the same pass. */
function nextStation(stretches: readonly Stretch[], index: number, section: ResolvedRounds): string {
  const here = stretches[index]
  if (here?.part !== 'out' || here.station === undefined) return ''
  const later = stretches.slice(index + 1).find(({ part }) => part !== 'empty')
  const isOther = later?.section === here.section && later.set === here.set + 1 && later.part !== 'rest'
  const place = isOther ? section.section.stations?.[later.station ?? -1]?.place : undefined
  return place === undefined ? '' : `Next: ${place}`
}

/** The last counts of a held breath, or the bowl at its end. */
function inRetention({ stretches, index, section }: At): readonly Saying[] {
  const here = stretches[index]
  const before = stretches[index - 1]
  if (!here || section.kind !== 'retention' || here.part !== section.section.held) return []
  // The whole held breath is told at its first stretch: locks divide it.
  if (before?.part === here.part && before.set === here.set) return []
  const parts = stretches
    .slice(index)
    .filter(({ part, set, section: of }) => part === here.part && set === here.set && of === here.section)
  const last = index + parts.length - 1
  if (section.section.countDown === 'bowl')
    return [{ stretch: last, atMs: stretches[last]?.lengthMs ?? 0, sound: 'bowl' }]
  const counts = Math.floor(section.section.half / 2)
  const down = Math.min(mostCountedDown, counts - 1)
  return Array.from({ length: down }, (_, at) => {
    const left = down - at
    return { ...placeIn(parts, index, counts - left, section), text: String(left) }
  })
}

/** Where a count of a held breath begins, among the stretches its locks divide it into. */
function placeIn(
  parts: readonly Stretch[],
  first: number,
  count: number,
  { pace }: ResolvedRetention,
): Pick<Saying, 'stretch' | 'atMs'> {
  let before = 0
  for (const [at, { counts }] of parts.entries()) {
    if (count < before + counts)
      return { stretch: first + at, atMs: Math.floor(((count - before) * pace.num) / pace.den) }
    before += counts
  }
  return { stretch: first, atMs: 0 }
}
