import type { BasePosition } from '#model/common'
import type { FormTaken } from '#model/form-taken'
import type { Pose, Variant } from '#model/pose'
import { familiesIn, isSameIntent, practisedIn, restingIn } from '#core/cautions'
import type { Asked, ScreeningBooks, Verdict } from '#core/cautions'
import { isSame } from '#core/session'
import type { Resolved } from '#core/session'
import type { Seconds } from '#core/units'
import { isFree } from './as-planned.ts'
import type { Comer } from './comers.ts'
import { changedCapS, finalRest, plannedCapS } from './caps.ts'
import { isPastStage } from './past-stage.ts'
import { alikeOf, poseIn, restsOf } from './shelf-for.ts'

/**
 * How near something is to what was planned, nearest first: as it stands · what they like to take · the form a row asks
 * for · as planned but changed as the rows say · another pose of the same intent · a pose of a family that a row names ·
 * another one to rest in · something of which a row asks for a change that it does not give.
 */
export const nearness = [
  ...(['asPlanned', 'liked', 'given', 'asTheRowSays'] as const),
  ...(['sameIntent', 'named', 'another', 'inPart'] as const),
]
export type Nearness = (typeof nearness)[number]

/** Something that somebody could do in a block. */
export interface Choice {
  readonly takes: FormTaken
  readonly verdict: Verdict
  readonly near: Nearness
  /** The pose it is, in its form; absent for breath, movement and rest where one is. */
  readonly pose: Pose | undefined
  readonly variant: Variant | undefined
  readonly base: { readonly enter: BasePosition; readonly leave: BasePosition }
  /** The longest first hold of it, a side; absent where it is no hold. */
  readonly capS: Seconds | undefined
  /** What is changed, where a colleague said it who knows why. */
  readonly says?: string
  /** What is held or pumped in it is past their stage of the breath ladder. */
  readonly pastStage?: boolean
}

/** A block that people do something in. */
export type Doing = Exclude<Resolved, { kind: 'talk' }>
type Hold = Extract<Doing, { kind: 'hold' }>

export interface ForWhom {
  readonly comer: Comer
  readonly asked: Asked
  readonly books: ScreeningBooks
}

/** Where a block begins and ends. */
export function baseOf(block: Doing): Choice['base'] {
  if (block.kind === 'hold') return block.pose.base
  if (block.kind !== 'breath') return { enter: block.toPosition, leave: block.toPosition }
  const seats = block.seats.map(({ position }) => position)
  return { enter: seats[0] ?? block.toPosition, leave: seats.at(-1) ?? block.toPosition }
}

/** Whether somebody new does a pose for the first time, as far as is recorded: half of it then [reference 4.3]. */
export const isNewTo = ({ person, practised }: Comer, poseId: string): boolean =>
  practised !== undefined && (person.level ?? 'new') === 'new' && !practised.has(poseId)

/** The planned block as it is for somebody. */
export function asPlanned(block: Doing, whom: ForWhom): Choice {
  const judged = whom.asked.judgeThis(practisedIn(block) ?? { families: [] })
  const verdict = block.kind === 'hold' ? withItsForm(judged, block.pose) : judged
  const [pose, variant] = block.kind === 'hold' ? [block.pose, block.variant] : []
  const firstTime = pose !== undefined && isNewTo(whom.comer, pose.id)
  // Over a hold or in a movement there is no other form for it: the breath is left to them, and that is found.
  const pastStage = block.kind === 'breath' && isPastStage(block, whom.comer.person)
  return {
    ...{ takes: { kind: 'asItStands' }, verdict, pose, variant, base: baseOf(block) },
    // What is only offered in a changed form is nobody's suggestion as it stands.
    near: isFree({ verdict }) && !pastStage ? 'asPlanned' : 'inPart',
    ...(pastStage ? { pastStage } : {}),
    capS: plannedCapS(block, whom, verdict, firstTime),
  }
}

/** The planned block changed as the rows against it say; undefined where none asks for a change. */
function asTheRowsSay(planned: Choice, whom: ForWhom): Choice[] {
  if (planned.verdict.grade !== 'modify' || planned.verdict.gateForm !== undefined) return []
  const capS = planned.capS === undefined ? undefined : changedCapS(planned.pose ?? finalRest, whom, planned.verdict)
  return [{ ...planned, takes: { kind: 'changed' }, near: 'asTheRowSays', capS }]
}

/** Whether it is among what may be offered: never what is to be left out, nor what a gate keeps shut. */
export const isOffered = ({ verdict }: Pick<Choice, 'verdict'>): boolean =>
  verdict.grade !== 'avoid' && !verdict.behindGate

interface Ref {
  readonly poseId: string
  readonly variantId?: string | undefined
}
const saying = ({ poseId, variantId }: Ref): string => (variantId === undefined ? poseId : `${poseId}/${variantId}`)
const refOf = (said: string): Ref => {
  const [poseId = '', variantId] = said.split('/')
  return { poseId, variantId }
}

/** Another form or pose as it is for somebody; undefined where the shelf has none of that name. */
export function asPose(ref: Ref, takes: FormTaken, near: Nearness, whom: ForWhom): Choice | undefined {
  const pose = poseIn(whom.books.catalog, ref.poseId)
  const variant = pose?.variants.find(({ id }) => id === ref.variantId)
  if (!pose || (ref.variantId !== undefined && !variant)) return undefined
  const { families = pose.families, sensation = pose.sensation, base = pose.base } = variant ?? {}
  const shaped = { ...pose, families, sensation, base }
  const verdict = withItsForm(whom.asked.judgeForm(pose, variant), shaped)
  const isWhole = needsNoMore(verdict, ref, whom)
  // What they like, and what a row names, may keep a change of its own; not where another form is asked for in its place.
  const keeps = (near === 'liked' || near === 'named') && !asksForAnother(verdict, ref, whom)
  return {
    ...{ takes, verdict, pose: shaped, variant, base },
    near: isWhole || keeps ? near : 'inPart',
    capS: changedCapS(shaped, whom, verdict),
  }
}

/** Whether nothing of it has still to be changed: no row asks for it, or each asks for just this form. */
function needsNoMore(verdict: Verdict, ref: Ref, { books: { book } }: ForWhom): boolean {
  const asks = verdict.reasons.filter(({ grade }) => grade === 'modify')
  const isGiven = asks.every(({ rule }) => book.given?.[rule.id]?.includes(saying(ref)))
  return isFree({ verdict }) || (isGiven && isOffered({ verdict }) && verdict.gateForm === undefined)
}

/** Whether a gate or a row asks for another form than this: lying flat where inclined is meant, say. */
const asksForAnother = (verdict: Verdict, ref: Ref, { books: { book } }: ForWhom): boolean =>
  verdict.gateForm !== undefined ||
  verdict.reasons.some(({ grade, rule }) => {
    const given = grade === 'modify' ? book.given?.[rule.id] : undefined
    return given !== undefined && !given.includes(saying(ref))
  })

const inclinedFromDeg = 30

/** Until clearance only inclined rest or a seat on a chair: a pose that is just that is meant as it is. */
function withItsForm(verdict: Verdict, { figure, base }: Pick<Pose, 'figure' | 'base'>): Verdict {
  const isInclined = figure?.kind === 'lying' && (figure.trunkFromDeg ?? 0) >= inclinedFromDeg
  const isIt = verdict.gateForm === 'inclined' ? isInclined : base.enter === 'onChair'
  return verdict.gateForm === undefined || !isIt
    ? verdict
    : { ...verdict, gateForm: undefined, grade: verdict.reasons[0]?.grade }
}

/**
 * All that somebody could do in a block that they cannot simply do as planned, the planned first where it is not to be
 * left out. Each is judged against everything they told; nothing that is to be left out is among them.
 */
export function choicesFor(block: Doing, whom: ForWhom): readonly Choice[] {
  const planned = asPlanned(block, whom)
  const found = [
    planned,
    ...asTheRowsSay(planned, whom),
    ...(block.kind === 'hold' ? [...liked(block, whom), ...ofPose(block, planned, whom)] : []),
    ...(block.kind === 'breath' ? ofBreath(block, planned, whom) : []),
    ...(block.kind === 'movement' || block.kind === 'rest' ? [restWhereOneIs(block, whom)] : []),
    ...(block.kind === 'breath' ? [] : rests(planned, whom)),
  ]
  const known = new Set<string>()
  return found.filter((choice) => {
    const key = JSON.stringify(choice.takes)
    if (known.has(key) || !isOffered(choice)) return false
    known.add(key)
    return true
  })
}

/** What they like to take in place of a pose. */
function liked(block: Hold, whom: ForWhom): Choice[] {
  const likes = (whom.comer.person.likes ?? []).filter(({ poseId }) => poseId === block.pose.id)
  return likes.flatMap(({ takes }) => choiceOf(takes, block, whom, 'liked') ?? [])
}

/** As many poses of the same intent as are shown. */
const mostAlike = 6

/** The pose's own forms, what the rows against it ask for, and poses of its intent. */
function ofPose(block: Hold, planned: Choice, whom: ForWhom): Choice[] {
  const { catalog } = whom.books
  const { pose } = block
  const given = givenFor(planned, whom)
  const forms = (poseIn(catalog, pose.id)?.variants ?? []).filter(
    ({ id, grade }) => grade !== 'stronger' && id !== block.variant?.id,
  )
  const ownForms = forms.flatMap(({ id }) => {
    const ref = { poseId: pose.id, variantId: id }
    return asPose(ref, { kind: 'variant', variantId: id }, given.has(saying(ref)) ? 'given' : 'sameIntent', whom) ?? []
  })
  const asked = [...given].flatMap((said) => {
    const ref = refOf(said)
    const other = poseIn(catalog, ref.poseId)
    if (!other || ref.poseId === pose.id) return []
    return asPose(ref, poseTaken(ref), isSameIntent(other, pose) ? 'given' : 'another', whom) ?? []
  })
  const alike = alikeOf(pose, catalog)
    .flatMap(({ id }) => asPose({ poseId: id }, { kind: 'pose', poseId: id }, 'sameIntent', whom) ?? [])
    .filter(({ near }) => near === 'sameIntent')
  return [...ownForms, ...asked, ...alike.slice(0, mostAlike)]
}

/** The forms of the shelf that the rows against something ask for. */
const givenFor = ({ verdict }: Choice, { books }: ForWhom): ReadonlySet<string> =>
  new Set(verdict.reasons.flatMap(({ rule, grade }) => (grade === 'modify' ? (books.book.given?.[rule.id] ?? []) : [])))

const poseTaken = ({ poseId, variantId }: Ref): FormTaken =>
  variantId === undefined ? { kind: 'pose', poseId } : { kind: 'pose', poseId, variantId }

/** Breathing naturally where the others count, another seat for the same breath, and both. */
function ofBreath(block: Extract<Doing, { kind: 'breath' }>, planned: Choice, whom: ForWhom): Choice[] {
  const { asked, books } = whom
  const { families = [], breaths = [] } = practisedIn(block) ?? {}
  const natural = ['br_natural']
  const seats: readonly Ref[] = restsOf(books.catalog).map(({ id }) => ({ poseId: id }))
  const given = givenFor(planned, whom)
  const inSeat = (ref: Ref, breath: readonly string[]): Choice[] => {
    const seat = asPose(ref, poseTaken(ref), 'given', whom)
    if (!seat?.pose) return []
    const verdict = withItsForm(asked.judgeThis({ families: seat.pose.families, breaths: breath }), seat.pose)
    const near = breath !== natural && given.has(saying(ref)) ? 'given' : 'another'
    const isPast = breath !== natural && planned.pastStage === true
    return [
      {
        ...seat,
        ...{ verdict, capS: undefined, near: needsNoMore(verdict, ref, whom) && !isPast ? near : 'inPart' },
        takes: breath === natural ? { kind: 'pose', poseId: ref.poseId, breath: 'natural' } : seat.takes,
      },
    ]
  }
  const here: Choice = {
    ...{ takes: { kind: 'natural' }, pose: undefined, variant: undefined, base: baseOf(block), capS: undefined },
    ...{ verdict: asked.judgeThis({ families, breaths: natural }), near: 'given' },
  }
  return [
    isFree(here) ? here : { ...here, near: 'inPart' },
    ...seats.flatMap((ref) => inSeat(ref, breaths)),
    ...seats.flatMap((ref) => inSeat(ref, natural)),
  ]
}

function rests({ pose, verdict }: Choice, whom: ForWhom): Choice[] {
  const named = new Set(
    verdict.reasons.flatMap(({ rule, grade }) => (grade === 'care' ? [] : familiesIn(rule.instead))),
  )
  return restsOf(whom.books.catalog).flatMap(({ id, families }) => {
    const near = families.every((family) => named.has(family)) ? 'named' : 'another'
    return id === pose?.id ? [] : (asPose({ poseId: id }, { kind: 'pose', poseId: id }, near, whom) ?? [])
  })
}

function restWhereOneIs(block: Doing, { asked }: ForWhom): Choice {
  const base = baseOf(block)
  const verdict = asked.judgeThis(restingIn(base.enter))
  return {
    ...{ takes: { kind: 'rest' }, pose: undefined, variant: undefined, capS: undefined, base, verdict },
    near: isFree({ verdict }) ? 'another' : 'inPart',
  }
}

/** What a form that was kept is now; undefined where there is no such form any more. */
export function choiceOf(
  takes: FormTaken,
  block: Doing,
  whom: ForWhom,
  near: Nearness = 'another',
): Choice | undefined {
  const amongAll = () => choicesFor(block, whom).find((choice) => isSame(choice.takes, takes))
  switch (takes.kind) {
    case 'asItStands':
    case 'setUp':
      return { ...asPlanned(block, whom), takes }
    case 'changed':
      return asTheRowsSay(asPlanned(block, whom), whom)[0]
    case 'variant':
      return block.kind === 'hold'
        ? asPose({ poseId: block.pose.id, variantId: takes.variantId }, takes, near, whom)
        : undefined
    case 'pose':
      return block.kind === 'breath' ? amongAll() : asPose(takes, takes, near, whom)
    case 'natural':
      return amongAll()
    case 'rest':
      return restWhereOneIs(block, whom)
  }
}
