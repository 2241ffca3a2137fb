import type { Block, BreathBlock, BreathOver, ClosingBlock, HoldBlock, MovementBlock, RestBlock } from '#model/block'
import { basePositions } from '#model/common'
import { betweenLimits, blockLimits, breathLimits, holdLimits, mostItems, textLimits } from '#model/limits'
import type { SecondsRange } from '#model/limits'
import type { RoundsSection, Section } from '#model/section'
import type { Session } from '#model/session'
import type { Pattern } from '#model/breath'
import { patternText } from '#core/breath'
import {
  extentOf,
  finalRestPose,
  poseIn,
  propCounts,
  setUpsFor,
  techniqueSection,
  usualSetUp,
  withFields,
} from '#core/session'
import type { Catalog } from '#core/session'
import { foldMarks, formatDuration, keysOf } from '#core/units'
import { basePositionNames } from '#words/positions'
import type { PlanDoubt } from '#words/plan-text'
import { countedOrOne } from '#words/props'
import type { Thing } from './names.ts'
import type { PlainKind, SaidLine } from './read-line.ts'
import type { SaidTime } from './times.ts'

/** What a line is made into: a thing of the shelf, or a block that needs none. */
export type Become = Thing | { readonly kind: PlainKind }

/** A block as a line says it, with what is doubtful about it. */
export interface Became {
  readonly block: Block
  readonly doubts: readonly PlanDoubt[]
}

type Wanted = Pick<Session, 'extent' | 'setting'>

/** The block a line comes to; its id is one of the line's, to be made anew. */
export function become(
  said: SaidLine,
  as: Become,
  { catalog, wanted, id }: { readonly catalog: Catalog; readonly wanted: Wanted; readonly id: string },
): Became | undefined {
  switch (as.kind) {
    case 'talk':
      return talk(said, id)
    case 'rest':
      return rest(said, id)
    case 'closing':
      return closing(said, { catalog, wanted, id })
    case 'movement':
      return movement(said, { catalog, as, id })
    case 'breath':
      return breath(said, { catalog, as, id })
    case 'hold':
      return hold(said, { catalog, wanted, as, id })
  }
}

const cut = (text: string, most: number): string => text.slice(0, most).trim()

/** Words that were left, and whatever a block of this kind has no place for, as its note. */
function noted<B extends Block>(block: B, parts: readonly (string | undefined)[]): B {
  const note = parts.filter((part) => part !== undefined && part !== '').join(', ')
  return note === '' ? block : { ...block, note: cut(note, textLimits.text) }
}

interface Chosen {
  readonly s?: number
  readonly doubts: readonly PlanDoubt[]
  /** As it was typed, where it could not be kept as a time. */
  readonly kept?: string
}

/** More minutes than a bare number is likely to mean for a hold or a talk. */
const mostBareS = 30 * 60

/** The time a line gives a block, within its bounds. */
function timeOf(times: readonly SaidTime[], limits: SecondsRange): Chosen {
  const [first, ...more] = times
  if (!first) return { doubts: [] }
  const two: PlanDoubt[] = more.length > 0 ? ['TIMES_TWO'] : []
  const others = more.map(({ text }) => text).join(', ')
  const asSeconds = first.isBare && first.s > mostBareS && first.s / 60 <= limits.mostS
  const s = asSeconds ? Math.round(first.s / 60) : first.s
  if (s < limits.leastS || s > limits.mostS)
    return { doubts: ['TIME_OUT_OF_RANGE', ...two], kept: [first.text, others].filter(Boolean).join(', ') }
  const doubts: PlanDoubt[] = [
    ...(first.toS === undefined ? [] : (['TIME_RANGE'] as const)),
    ...(asSeconds ? (['TIME_AS_SECONDS'] as const) : []),
    ...two,
  ]
  const kept = [first.toS === undefined ? '' : first.text, others].filter(Boolean).join(', ')
  return { s, doubts, ...(kept === '' ? {} : { kept }) }
}

const usualTalkS = 120

function talk(said: SaidLine, id: string): Became {
  const { s, doubts, kept } = timeOf(said.times, blockLimits)
  const words = said.left.join(', ')
  const title = cut(words, textLimits.name)
  const text = title.length < words.length ? { text: words } : {}
  const block = noted(
    { kind: 'talk' as const, id, title: title === '' ? 'Talk' : title, s: s ?? usualTalkS, ...text },
    [kept, ...besides(said)],
  )
  return { block, doubts: [...doubts, ...(s === undefined ? (['TIME_NONE'] as const) : [])] }
}

/** What was understood of a line that its kind of block has no place for. */
function besides({ counts, props, sides }: SaidLine): string[] {
  const { rounds, sets, breaths, pattern } = counts
  return [
    pattern ? patternText(pattern, ':') : '',
    rounds === undefined ? '' : `${sets === undefined ? '' : `${String(sets)} `}x ${String(rounds)}`,
    breaths === undefined ? '' : `${String(breaths)} breaths`,
    ...props.map(({ kind, count }) => countedOrOne(kind, count)),
    sides.only ?? '',
  ].filter((words) => words !== '')
}

function rest(said: SaidLine, id: string): Became {
  const { s, doubts, kept } = timeOf(said.times, blockLimits)
  const position = basePositions.find((one) => said.left.some((words) => foldMarks(words) === basePositionNames[one]))
  const text = cut(
    said.left.filter((words) => !position || foldMarks(words) !== basePositionNames[position]).join(', '),
    textLimits.line,
  )
  const block = noted(
    withFields<RestBlock>(
      { kind: 'rest', id, s: s ?? usualTalkS },
      { basePosition: position, text: text === '' ? undefined : text },
    ),
    [kept, ...besides(said)],
  )
  return { block, doubts: [...doubts, ...(s === undefined ? (['TIME_NONE'] as const) : [])] }
}

function closing(said: SaidLine, { catalog, wanted, id }: Omit<OnPose, 'as'>): Became {
  const { s, doubts, kept } = timeOf(said.times, blockLimits)
  const as = { kind: 'hold', id: finalRestPose } as const
  const props = setUpFor(said, { catalog, wanted, as, id, variantId: undefined })
  const { comingOutS, rollS, sittingUpS } = said.around
  const text = said.left.join(', ')
  const block = noted(
    withFields<ClosingBlock>(
      { kind: 'closing', id },
      {
        finalRestS: s,
        ...{ comingOutS: inBetween(comingOutS), rollS: inBetween(rollS), sittingUpS: inBetween(sittingUpS) },
        text: text === '' ? undefined : text,
        ...props.fields,
      },
    ),
    [kept, ...besides({ ...said, props: [] })],
  )
  return { block, doubts: [...doubts, ...props.doubts] }
}

interface On {
  readonly catalog: Catalog
  readonly as: Thing
  readonly id: string
}

function movement(said: SaidLine, { catalog, as, id }: On): Became | undefined {
  const found = catalog.movements.get(as.id)
  if (!found) return undefined
  const { rounds = said.counts.breaths } = said.counts
  const { s, doubts, kept } = timeOf(said.times, blockLimits)
  const halves = found.parts.reduce((sum, { halfCounts }) => sum + halfCounts, 0)
  const roundS = (halves * found.pace.num) / found.pace.den / 2000
  const sides = found.sides && !said.sides.each ? 2 : 1
  const fitting = s === undefined ? undefined : Math.max(1, Math.round(s / roundS / sides))
  const wanted = rounds ?? fitting
  const block = withFields<MovementBlock>(
    { kind: 'movement', id, movementId: as.id },
    {
      rounds: wanted === undefined ? undefined : Math.min(breathLimits.rounds, Math.max(1, wanted)),
      firstSide: said.sides.first,
      restS: inBetween(said.around.afterRestS),
    },
  )
  const isGuessed = rounds === undefined && fitting !== undefined
  const typed = isGuessed || s === undefined ? kept : said.times[0]?.text
  return {
    block: noted(block, [
      typed,
      ...said.left,
      ...besides({
        ...said,
        counts: withFields(said.counts, { rounds: undefined, breaths: undefined }),
        sides: { ...said.sides },
      }),
    ]),
    doubts: [
      ...doubts,
      ...(isGuessed ? (['TIME_AS_ROUNDS'] as const) : []),
      ...(said.sides.only ? (['ONE_SIDE'] as const) : []),
    ],
  }
}

const inBetween = (s: number | undefined): number | undefined =>
  s === undefined ? undefined : Math.min(betweenLimits.mostS, s)

const paceOf = (countS: number | undefined) =>
  countS !== undefined && countS >= 0.25 && countS <= 10 ? { num: Math.round(countS * 1000), den: 1 } : undefined

function breath(said: SaidLine, { catalog, as, id }: On): Became | undefined {
  const technique = catalog.techniques.get(as.id)
  if (!technique) return undefined
  const { s, doubts, kept } = timeOf(said.times, blockLimits)
  const { counts } = said
  const { pattern, isDoubtful, isScaled } = counts
  const own = techniqueSection(technique, 'main')
  const section =
    own.kind === 'strokes' || !(pattern ?? technique.pattern)
      ? uncounted(own, counts, s)
      : countedRounds(as.id, counts, { s, technique })
  const block: BreathBlock = { kind: 'breath', id, sections: [section] }
  const over = pattern && section.kind !== 'rounds' ? [patternText(pattern, ':')] : []
  return {
    block: noted(block, [kept, ...over, ...said.left, ...besides({ ...said, counts: {} })]),
    doubts: [
      ...doubts,
      ...(isDoubtful ? (['RATIO_OR_TIME'] as const) : []),
      ...(isScaled ? (['RATIO_SCALED'] as const) : []),
    ],
  }
}

function uncounted(own: Section, { rounds, sets, breaths }: SaidLine['counts'], s: number | undefined): Section {
  if (own.kind === 'strokes')
    return {
      ...own,
      strokes: Math.min(200, rounds ?? breaths ?? own.strokes),
      rounds: Math.min(breathLimits.sets, sets ?? own.rounds),
    }
  if (own.kind !== 'natural') return own
  const many = breaths ?? rounds
  const { s: _, ...plain } = own
  return s === undefined && many !== undefined
    ? { ...plain, breaths: Math.min(breathLimits.rounds, Math.max(1, many)) }
    : { ...own, s: s ?? own.s }
}

function countedRounds(
  techniqueId: string,
  { pattern, rounds, sets = 1, breaths, countS }: SaidLine['counts'],
  { s, technique }: { readonly s: number | undefined; readonly technique: { readonly amount: object } },
): Section {
  const many = rounds ?? breaths
  const perSet = Math.min(breathLimits.rounds, Math.max(1, many ?? usualPerSet(technique.amount)))
  const amount =
    s !== undefined && sets === 1
      ? { fillS: s, roundsPerSet: perSet }
      : { sets: Math.min(breathLimits.sets, Math.max(1, sets)), roundsPerSet: perSet }
  return withFields<RoundsSection>(
    { kind: 'rounds', id: 'main', techniqueId },
    { pattern, pace: paceOf(countS), amount: s === undefined && many === undefined ? undefined : amount },
  )
}

const usualPerSet = (amount: object): number =>
  'roundsPerSet' in amount && typeof amount.roundsPerSet === 'number' ? amount.roundsPerSet : 12

/** The technique a ratio is, where none is named: what it holds, else how its exhale stands to its inhale. */
export function techniqueOf({ in: inhale, full, out, empty }: Pattern): string {
  if (empty > 0) return 'pause-empty'
  if (full > 0) return 'pause-full'
  return inhale === out ? 'even-breath' : 'long-exhale'
}

interface OnPose extends On {
  readonly wanted: Wanted
}

function hold(said: SaidLine, on: OnPose): Became | undefined {
  const { catalog, as, id } = on
  const pose = poseIn(catalog, as.id)
  if (!pose) return undefined
  const isForm = pose.variants.some(({ id: one }) => one === said.form?.variantId)
  const variantId = isForm ? said.form?.variantId : undefined
  const time = holdTime(said, pose.sides !== undefined)
  const over = breathOver(said, catalog)
  const props = setUpFor(said, { ...on, variantId })
  const { rollS, sittingUpS, ...around } = said.around
  const times = Object.fromEntries(keysOf(around).map((name) => [name, inBetween(around[name])]))
  const ofClosing = [
    rollS === undefined ? '' : `roll ${formatDuration(rollS)}`,
    sittingUpS === undefined ? '' : `sitting up ${formatDuration(sittingUpS)}`,
  ]
  const block = withFields<HoldBlock>(
    { kind: 'hold', id, poseId: as.id },
    {
      ...{ variantId, hold: time.hold, firstSide: said.sides.first, breathOver: over.breathOver },
      ...{ times: keysOf(times).length === 0 ? undefined : times, ...props.fields },
    },
  )
  return {
    block: noted(block, [time.kept, over.kept, ...ofClosing, isForm ? '' : said.form?.text, ...said.left]),
    doubts: [
      ...time.doubts,
      ...props.doubts,
      ...(over.breathOver && said.counts.isScaled ? (['RATIO_SCALED'] as const) : []),
    ],
  }
}

interface SaidHold {
  readonly hold?: HoldBlock['hold']
  readonly doubts: readonly PlanDoubt[]
  readonly kept?: string | undefined
}

const breathS = 6

function holdTime(said: SaidLine, isSided: boolean): SaidHold {
  const { sides, counts, times } = said
  const ofSides: PlanDoubt[] = [
    ...(!isSided && (sides.each || sides.only) ? (['SIDES_OF_ONE'] as const) : []),
    ...(isSided && sides.only ? (['ONE_SIDE'] as const) : []),
  ]
  const rounds: PlanDoubt[] =
    counts.rounds !== undefined && !counts.pattern && !(isSided && counts.rounds === 2) ? ['ROUNDS_OF_HOLD'] : []
  const often = rounds.length > 0 ? `x ${String(counts.rounds)}` : undefined
  if (sides.apart && isSided) {
    const { leftS, rightS } = sides.apart
    const within = [leftS, rightS].every((s) => s >= holdLimits.leastS && s <= holdLimits.mostS)
    if (within) return { hold: leftS === rightS ? { holdS: leftS } : { leftS, rightS }, doubts: rounds, kept: often }
    return { doubts: ['TIME_OUT_OF_RANGE', ...rounds], kept: `left ${String(leftS)} s, right ${String(rightS)} s` }
  }
  const said1 = sides.apart ? [{ s: sides.apart.leftS, isBare: false, text: '', from: 0 }] : times
  if (said1.length === 0 && counts.breaths !== undefined && !counts.pattern) {
    const s = Math.max(holdLimits.leastS, counts.breaths * breathS)
    return { hold: { holdS: s }, doubts: [...ofSides, 'BREATHS_AS_TIME'], kept: `${String(counts.breaths)} breaths` }
  }
  const { s, doubts, kept } = timeOf(halved(said1, sides.together && isSided), holdLimits)
  return {
    ...(s === undefined ? {} : { hold: { holdS: s } }),
    doubts: [...doubts, ...ofSides, ...rounds],
    kept: [kept, often, isSided && sides.only ? `${sides.only} only` : undefined]
      .filter((part) => part !== undefined)
      .join(', '),
  }
}

const halved = (times: readonly SaidTime[], isTogether: boolean): readonly SaidTime[] =>
  isTogether ? times.map((time) => ({ ...time, s: Math.round(time.s / 2) })) : times

/** Counted breath over a hold; a breath nobody counts is told as a note. */
function breathOver(
  { counts, second }: SaidLine,
  { techniques }: Catalog,
): { readonly breathOver?: HoldBlock['breathOver']; readonly kept?: string } {
  const { pattern, rounds } = counts
  const techniqueId = second?.kind === 'breath' ? second.id : pattern && techniqueOf(pattern)
  if (techniqueId === undefined) return {}
  const technique = techniques.get(techniqueId)
  if (!technique) return {}
  if (!(pattern ?? technique.pattern)) return { kept: technique.names.english.toLowerCase() }
  return {
    breathOver: withFields<BreathOver>(
      { techniqueId },
      { pattern, pace: paceOf(counts.countS), rounds: pattern || second ? rounds : undefined },
    ),
  }
}

interface SaidSetUp {
  readonly fields: Pick<HoldBlock, 'setUpId' | 'setUpItems'>
  readonly doubts: readonly PlanDoubt[]
}

/**
 * The set-up that takes what is said, first found wins: the usual one, one of the pose's that takes just that, one that has
 * it among others; else the usual one with the rest beside it, fetched and not placed.
 */
function setUpFor(
  { props }: SaidLine,
  { catalog, wanted, as, variantId }: OnPose & { readonly variantId: string | undefined },
): SaidSetUp {
  const pose = poseIn(catalog, as.id)
  const said = props.filter(({ kind }) => kind !== 'wall' || pose?.base.enter !== 'atWall')
  if (said.length === 0) return { fields: {}, doubts: [] }
  const all = setUpsFor(catalog, as.id, variantId)
  const usual = usualSetUp(all, extentOf(wanted))
  const hasAll = (items: Parameters<typeof propCounts>[0]): boolean => {
    const takes = new Map(propCounts(items).map(({ kind, count }) => [kind, count]))
    return said.every(({ kind, count }) => (takes.get(kind) ?? 0) >= count)
  }
  const isJust = (items: Parameters<typeof propCounts>[0]): boolean =>
    hasAll(items) &&
    propCounts(items).reduce((sum, { count }) => sum + count, 0) === said.reduce((sum, { count }) => sum + count, 0)
  if (usual && hasAll(usual.items)) return { fields: {}, doubts: [] }
  const other = all.find(({ items }) => isJust(items)) ?? all.find(({ items }) => hasAll(items))
  if (other) return { fields: { setUpId: other.id }, doubts: [] }
  const items = usual?.items ?? []
  const takes = new Map(propCounts(items).map(({ kind, count }) => [kind, count]))
  const beside = said.flatMap(({ kind, count }, at) => {
    const more = count - (takes.get(kind) ?? 0)
    return more > 0 ? [{ id: `said-${String(at + 1)}`, kind, count: more }] : []
  })
  const setUpItems = [...items, ...beside].slice(0, mostItems)
  return { fields: { ...(usual ? { setUpId: usual.id } : {}), setUpItems }, doubts: ['PROPS_BESIDE'] }
}
