import type { Answers } from '#model/answers'
import type { HoldBlock } from '#model/block'
import type { Practice } from '#model/common'
import type { Cue } from '#model/cue'
import type { Phase } from '#model/phase'
import type { OwnPose, Pose, Variant } from '#model/pose'
import { swapSidesS } from '#core/handling'
import { ok, refused } from '#core/result'
import type { Result } from '#core/result'
import type { Seconds } from '#core/units'
import { firstCeilingS } from './ceilings.ts'
import { formOf } from './form.ts'
import { isTakenOver, learnedOfPose, taughtTimes } from './learned.ts'
import type { TaughtTime } from './learned.ts'
import { poseIn } from './own.ts'
import { holdSecondsOf } from './hold-time.ts'
import { usualCues } from './usual-cues.ts'
import { propCounts, setUpOf } from './set-up-of.ts'
import { answersOf, changeTo, scriptOf, sideOrder, stillnessIn, timeOf } from './walk.ts'
import type { Walk } from './walk.ts'
import type { HoldSide, ResolvedBreathOver, ResolvedHold, ResolvedPhase, Sourced } from './resolved.ts'
import { holdPractice, usualHold } from './usual-hold.ts'

/** A breath in a phase measured in breaths lasts 6 s unless the phase says otherwise [decisions]. */
const usualBreathS = 6
/** Least time left to "the rest of it" [decisions]. */
const leastRestS = 30
/** The second set-up takes half the first, at least this [decisions]. */
const leastSecondSetUpS = 10
const usualCountedRounds = 3

/** What an answer becomes in a pose that says it cannot apply. */
const withoutAnswer: Partial<Answers> = {
  betweenSides: 'nothing',
  afterHold: 'stillness',
  muscles: 'lightly',
}

export function resolveHold(block: HoldBlock, index: number, walk: Walk): Result<ResolvedHold> {
  const { catalog } = walk
  const own = catalog.ownPoses.get(block.poseId)
  const base = own ?? catalog.poses.get(block.poseId)
  if (!base) return refused('UNKNOWN_POSE', `blocks[${String(index)}].poseId`, { id: block.poseId })
  const variant = base.variants.find(({ id }) => id === block.variantId)
  if (block.variantId !== undefined && !variant) {
    return refused('UNKNOWN_VARIANT', `blocks[${String(index)}].variantId`, { id: block.variantId })
  }
  const breathOver = resolveBreathOver(block, index, walk)
  if (!breathOver.ok) return breathOver
  const answers = applicable(answersOf(block, walk, own?.answers), base)
  const form = formOf(base, variant, answers, walk.wording.roll)
  const setUp = setUpOf(block, catalog, walk.session)
  const pose = takingWhat(setUp, variant, practisedAs(form.pose, variant, walk.session.practice))
  const learned = learnedIn(block, walk, pose, own)
  const sides: readonly HoldSide[] = pose.sides ? sideOrder(block, walk, answers) : ['both']
  const phases = block.phases ?? []
  const held = sides.map((side) => {
    const holdS = holdOf(block, pose, side, walk, phases)
    return { side, holdS, phases: phasesIn(phases, holdS) }
  })
  return ok({
    kind: 'hold',
    block,
    index,
    pose,
    variant,
    setUpWords: block.setUpWords ?? form.setUpWords,
    ...changeTo(block, walk, pose.base.enter, changeKnown(pose, own !== undefined)),
    sides: held,
    holdFrom: block.hold ? 'block' : own ? 'own pose' : 'shipped',
    times: timesOf(block, { pose, isOwn: own !== undefined, learned, setUp }, answers, walk),
    ceilingS: firstCeilingS(catalog.ceilings, pose, walk.session.level),
    setUp,
    answers,
    stillness: stillnessIn(walk, pose.base.enter),
    cues: block.cues ?? usualCues(saidIn(pose, walk.session.practice), shortestRoomS(phases, held)),
    ...{ breathOver: breathOver.value, script: scriptOf(block, walk) },
  })
}

/** What an own pose says of the change into it. */
const changeKnown = (pose: Pose, isOwn: boolean): Sourced<Seconds> | undefined =>
  isOwn && pose.times.changeS !== undefined ? { value: pose.times.changeS, from: 'own pose' } : undefined

type Learned = Readonly<Partial<Record<TaughtTime, Seconds>>>

/** What led classes taught of a pose: not above a time that was typed for an own one [settled B17]. */
function learnedIn(block: HoldBlock, { catalog, session }: Walk, pose: Pose, own: OwnPose | undefined): Learned {
  if (catalog.learned.size === 0) return {}
  const original = own?.copiedFrom === undefined ? undefined : poseIn(catalog, own.copiedFrom)
  return Object.fromEntries(
    taughtTimes.flatMap((time) => {
      const s = learnedOfPose(catalog.learned, time, session.level, block)
      return s === undefined || (own && !isTakenOver(time, pose, original)) ? [] : [[time, s]]
    }),
  )
}

/** The pose with what the set-up of this block takes. A form whose counts alone are known takes those. */
function takingWhat(setUp: ResolvedHold['setUp'], variant: Variant | undefined, pose: Pose): Pose {
  const isOfForm =
    setUp?.from === 'block' || setUp?.from === 'person' || setUp?.value.variantId === variant?.id || !variant?.props
  return setUp && isOfForm ? { ...pose, props: propCounts(setUp.value.items) } : pose
}

/** The pose with what its carried form asks, where the work is restorative and no other form says otherwise. */
function practisedAs(pose: Pose, variant: Variant | undefined, practice: Practice): Pose {
  const carried = variant?.sensation ? undefined : pose.restorativeSensation
  return practice === 'restorative' && carried ? { ...pose, sensation: carried } : pose
}

const saidIn = (pose: Pose, practice: Practice): readonly Cue[] =>
  holdPractice(practice, pose) === 'yin' ? [...pose.cues, ...(pose.yinCues ?? [])] : pose.cues

const shortestRoomS = (phases: readonly Phase[], held: readonly { readonly phases: readonly ResolvedPhase[] }[]) =>
  Math.min(...held.map((side) => cueRoomS(phases, side.phases)))

/** Seconds of what cues stand in that name no phase: the rest of it, or the whole hold. */
const cueRoomS = (phases: readonly Phase[], resolved: readonly ResolvedPhase[]): Seconds =>
  resolved[
    Math.max(
      0,
      phases.findIndex(({ length }) => 'rest' in length),
    )
  ]?.s ?? 0

const applicable = (answers: Answers, { cannot = [] }: Pose): Answers =>
  cannot.reduce((now, question) => ({ ...now, [question]: withoutAnswer[question] ?? now[question] }), answers)

function holdOf(block: HoldBlock, pose: Pose, side: HoldSide, walk: Walk, phases: readonly Phase[]): Seconds {
  if (block.hold) return holdSecondsOf(block.hold, side)
  const fixed = phases.reduce((sum, phase) => sum + fixedS(phase), 0)
  const usual = usualHold(pose, walk.session.practice, walk.session.level).usualS
  return phases.length === 0 ? usual : Math.max(usual, fixed + leastRestS)
}

/** Least seconds a hold with these phases can last: its fixed phases and 30 s for the rest of it. */
export const leastHoldOf = (phases: readonly Phase[]): Seconds =>
  phases.length === 0 ? 0 : phases.reduce((sum, phase) => sum + fixedS(phase), 0) + leastRestS

function fixedS(phase: Phase): Seconds {
  const length = phase.length
  if ('rest' in length) return 0
  return 's' in length ? length.s : length.breaths * (length.breathS ?? usualBreathS)
}

/** Phases in seconds: each keeps its length, "the rest of it" takes what the hold leaves. */
function phasesIn(phases: readonly Phase[], holdS: Seconds): ResolvedPhase[] {
  const fixed = phases.reduce((sum, phase) => sum + fixedS(phase), 0)
  if (phases.length === 0) return [{ id: 'whole', name: '', s: holdS }]
  return phases.map((phase) => ({
    id: phase.id,
    name: phase.name,
    s: 'rest' in phase.length ? holdS - fixed : fixedS(phase),
  }))
}

/** What led classes taught, where they did, before what the shelf has [decisions, fallbacks of times]. */
const learnedOr = (learned: Seconds | undefined, usual: Sourced<Seconds>): Sourced<Seconds> =>
  learned === undefined ? usual : { value: learned, from: 'learned' }

/** What the times around a hold come from where the document sets none. */
interface Timed {
  readonly pose: Pose
  readonly isOwn: boolean
  readonly learned: Learned
  readonly setUp: ResolvedHold['setUp']
}

function timesOf(
  block: HoldBlock,
  { pose, isOwn, learned, setUp }: Timed,
  answers: Answers,
  walk: Walk,
): ResolvedHold['times'] {
  const time = (name: keyof ResolvedHold['times'], shipped: Seconds, taught?: Seconds): Sourced<Seconds> => {
    const usual = { value: shipped, from: isOwn ? ('own pose' as const) : ('shipped' as const) }
    return timeOf(block, walk, name, learnedOr(taught, usual))
  }
  const setUpS = time('setUpS', pose.times.setUpS[walk.session.level], learned.setUp)
  const half = Math.max(leastSecondSetUpS, Math.ceil(setUpS.value / 2))
  // What lies on one side is brought over for the other.
  const swapS = pose.sides ? Math.ceil(swapSidesS(setUp?.value.items ?? [], walk.session.level)) : 0
  const second: Sourced<Seconds> = swapS > half ? { value: swapS, from: 'props' } : { value: half, from: 'rule' }
  const practice = holdPractice(walk.session.practice, pose)
  return {
    setUpS,
    settleS: time('settleS', pose.times.settleS, learned.settle),
    comingOutS: time('comingOutS', pose.times.comingOutS, learned.comingOut),
    betweenSidesS: betweenSidesOf(block, answers, walk, time('betweenSidesS', pose.times.betweenSidesS)),
    secondSetUpS: timeOf(block, walk, 'secondSetUpS', second),
    afterRestS: time('afterRestS', pose.times.afterRestS[practice]),
  }
}

/** An answer stands above a time of the same level, and under one set nearer to the block [decisions]. */
function betweenSidesOf(block: HoldBlock, answers: Answers, walk: Walk, time: Sourced<Seconds>): Sourced<Seconds> {
  if (answers.betweenSides !== 'nothing') return time
  const isNearer =
    time.from === 'block'
      ? block.answers?.betweenSides === undefined
      : time.from === 'session' &&
        block.answers?.betweenSides === undefined &&
        walk.session.answers?.betweenSides === undefined
  return isNearer ? time : { value: 0, from: 'school' }
}

function resolveBreathOver(block: HoldBlock, index: number, walk: Walk): Result<ResolvedBreathOver | undefined> {
  const over = block.breathOver
  if (!over) return ok(undefined)
  const path = `blocks[${String(index)}].breathOver.techniqueId`
  const technique = walk.catalog.techniques.get(over.techniqueId)
  if (!technique) return refused('UNKNOWN_TECHNIQUE', path, { id: over.techniqueId })
  const pattern = over.pattern ?? technique.pattern
  if (!pattern) return refused('TECHNIQUE_NOT_COUNTED', path, { id: over.techniqueId })
  return ok({
    technique,
    pattern,
    pace: over.pace ?? technique.pace,
    rounds: over.rounds,
    countedRounds: over.countedRounds ?? usualCountedRounds,
  })
}
