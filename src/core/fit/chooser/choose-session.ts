import type { Block, HoldBlock } from '#model/block'
import type { Practice } from '#model/common'
import type { Pose, Target } from '#model/pose'
import type { Session } from '#model/session'
import { ok, orThrow, refused } from '#core/result'
import type { Result } from '#core/result'
import { applyEdit, withQuiet } from '#core/session'
import { betterOrder } from '../order/better-order.ts'
import { breathWork, firstBreath } from './choose-breath.ts'
import { chooserLimits, mostTargets } from './chooser.ts'
import type { Catalog } from '#core/session'
import type { ChooserRule, ChooserWish, ChosenSession, Pick } from './chooser.ts'
import { awayFromTheFloor, ranked, suits, worksOn } from './chooser-rank.ts'
import { stretchToLength } from '../stretch/stretch.ts'

/** Areas of a practice when none is asked for. */
const usualTargets: Readonly<Record<Practice, readonly Target[]>> = {
  restorative: ['chest', 'lowBack', 'wholeBody'],
  yin: ['outerHip', 'lowBack', 'hamstrings'],
  mixed: ['innerThigh', 'lowBack', 'chest'],
  breath: ['chest'],
}

/** What was asked for may be brought in with holds this much shorter; what only fills has to fit as it is. */
const shares = { asked: 0.6, frame: 0.8, filling: 1 } as const

/** A session as it grows: its parts in the order in which they are taught. */
interface Parts {
  readonly opening: readonly Pick[]
  readonly moving: readonly Pick[]
  readonly warm: readonly Pick[]
  /** Deep poses, each with its counterpose after it. */
  readonly deep: readonly Pick[]
  readonly breath: readonly Pick[]
  readonly settling: readonly Pick[]
}

/**
 * A complete session that can be led: arriving, breath, an opening, something that warms, deep poses for the
 * areas asked for with their counterposes, a settling pose and the closing; ordered to move little and
 * brought to its length. The same wish gives the same session.
 * Refuses `LENGTH_OUT_OF_RANGE` and `TOO_MANY_TARGETS` with the field.
 */
export function chooseSession(wish: ChooserWish, catalog: Catalog): Result<ChosenSession> {
  const { leastS, mostS } = chooserLimits
  if (wish.lengthS < leastS || wish.lengthS > mostS) return refused('LENGTH_OUT_OF_RANGE', 'lengthS', { leastS, mostS })
  if (wish.targets.length > mostTargets) return refused('TOO_MANY_TARGETS', 'targets', { most: mostTargets })
  const frame = frameOf(wish, catalog)
  const fits = (parts: Parts, leastShare: number) =>
    orThrow(stretchToLength(frame(parts).session, catalog, leastShare)).overMs === 0
  const isBreath = wish.practice === 'breath'
  const asked = wish.targets.length > 0 || isBreath ? wish.targets : usualTargets[wish.practice]
  const opened = withOpening(wish, catalog, asked, fits)
  const breathed = isBreath ? withBreathWork(wish, catalog, opened, fits) : opened
  const worked = withTargets(wish, catalog, withMoving(wish, catalog, breathed, asked, fits), asked, fits)
  const settled = withSettling(wish, catalog, worked, fits)
  // What was asked for first; where it is used up or would be all there is, what is usual.
  const full = filled(wish, catalog, settled, new Set([...asked, ...usualTargets[wish.practice]]), fits)
  const { session, why } = frame(full)
  const ordered = orThrow(
    applyEdit(session, { type: 'several', edits: orThrow(betterOrder(session, catalog)).edits }),
  ).session
  const fit = withSpare(orThrow(stretchToLength(ordered, catalog)), wish.lengthS)
  const met = new Set(Object.values(why).flatMap((rule) => (rule.rule === 'works' ? [rule.target] : [])))
  return ok({
    session: fit.session,
    why,
    missed: wish.targets.filter((target) => !met.has(target)),
    totalMs: fit.totalMs,
  })
}

/**
 * What no pose and no hold may take any more becomes natural breath after the first breath work, from a minute on: all of
 * it up to an hour and a half, up to five minutes in what is longer.
 */
const quiet = { leastS: 60, mostS: 300, allUpToS: 5400 } as const

function withSpare<F extends { readonly session: Session; readonly totalMs: number }>(fit: F, lengthS: number): F {
  const spareS = Math.floor(lengthS - fit.totalMs / 1000)
  const first = fit.session.blocks.findIndex(({ kind }) => kind === 'breath')
  const mostS = lengthS <= quiet.allUpToS ? Infinity : quiet.mostS
  if (spareS < quiet.leastS || spareS > mostS || first < 0) return fit
  const blocks = fit.session.blocks.map((block, at) =>
    block.kind === 'breath' && at === first ? withQuiet(block, 'after', spareS) : block,
  )
  return { ...fit, session: { ...fit.session, blocks }, totalMs: fit.totalMs + spareS * 1000 }
}

type Fits = (parts: Parts, leastShare: number) => boolean

const nothing: Parts = { opening: [], moving: [], warm: [], deep: [], breath: [], settling: [] }

/** Puts parts between what every session begins and ends with. */
function frameOf(wish: ChooserWish, catalog: Catalog) {
  const talkS = wish.lengthS < 2400 ? 60 : 120
  const begin: Pick[] = [
    { block: { kind: 'talk', id: 'arrive', ...wish.talk, s: talkS }, why: { rule: 'arrives' } },
    ...firstBreath(wish, catalog),
  ]
  const end: Pick = { block: { kind: 'closing', id: 'closing' }, why: { rule: 'closes' } }
  return ({ opening, moving, warm, deep, breath, settling }: Parts) => {
    const picks = [...begin, ...opening, ...moving, ...warm, ...deep, ...breath, ...settling, end]
    const { id, name, practice, level, lengthS, schoolId } = wish
    const session: Session = {
      schema: 2,
      id,
      name,
      practice,
      level,
      lengthS,
      schoolId,
      blocks: picks.map(({ block }) => block),
    }
    return { session, why: Object.fromEntries(picks.map(({ block, why }) => [block.id, why])) }
  }
}

const pickPose = ({ id }: Pose, why: ChooserRule): Pick => ({
  block: { kind: 'hold', id: `pose-${id}`, poseId: id },
  why,
})

const holdsOf = ({ opening, moving, warm, deep, breath, settling }: Parts): HoldBlock[] =>
  [...opening, ...moving, ...warm, ...deep, ...breath, ...settling].flatMap(({ block }) =>
    block.kind === 'hold' ? [block] : [],
  )

/** The poses of the wish that are not in the session yet. */
function unused(wish: ChooserWish, catalog: Catalog, parts: Parts): Pose[] {
  const used = new Set(holdsOf(parts).map(({ poseId }) => poseId))
  return [...catalog.poses.values()].filter((pose) => suits(pose, wish) && !used.has(pose.id))
}

/** The first candidate with which the session still can be brought to its length, else the session as it was. */
const firstThatFits = (parts: Parts, candidates: Iterable<Parts>, leastShare: number, fits: Fits): Parts => {
  for (const candidate of candidates) if (fits(candidate, leastShare)) return candidate
  return parts
}

/** A deep pose for every area asked for, warmed and countered, as far as there is room. */
const withTargets = (
  wish: ChooserWish,
  catalog: Catalog,
  parts: Parts,
  targets: readonly Target[],
  fits: Fits,
): Parts =>
  targets.reduce((now, target) => firstThatFits(now, groupsFor(target, wish, catalog, now), shares.asked, fits), parts)

/** The session with one more pose for an area, the best first, each with what it needs before and after. */
function* groupsFor(target: Target, wish: ChooserWish, catalog: Catalog, parts: Parts): Generator<Parts> {
  const deep = unused(wish, catalog, parts).filter(
    (pose) => pose.targets.includes(target) && isWork(pose, wish.practice),
  )
  for (const pose of ranked(deep, wish.variation, (one) => worksOn(one, target, wish))) {
    const withPose: Parts = { ...parts, deep: [...parts.deep, pickPose(pose, { rule: 'works', target })] }
    const warmed = warmedFor(pose, wish, catalog, withPose)
    if (warmed) yield countered(pose, wish, catalog, warmed)
  }
}

/** In restorative work every carried shape can be a long hold; elsewhere only what is taught as a deep one. */
const isWork = (pose: Pose, practice: Practice): boolean =>
  practice === 'restorative' || practice === 'breath' ? pose.sensation.to <= 3 : pose.places.includes('deep')

/** The session with something before that warms each area the pose wants warm; undefined where nothing does. */
function warmedFor(pose: Pose, wish: ChooserWish, catalog: Catalog, parts: Parts): Parts | undefined {
  let warmed: Parts | undefined = parts
  for (const area of pose.wantsWarm) {
    const before = warmed ? [...warmed.opening, ...warmed.moving, ...warmed.warm] : []
    if (!warmed || before.some(({ block }) => warmsOf(block, catalog).includes(area))) continue
    const able: Pose[] = unused(wish, catalog, warmed).filter(
      ({ places, warms }) => places.includes('warm') && warms.includes(area),
    )
    const [warmer]: Pose[] = ranked(able, wish.variation, (one) => -awayFromTheFloor(one) - one.sensation.to)
    warmed = warmer && { ...warmed, warm: [...warmed.warm, pickPose(warmer, { rule: 'warms', target: area })] }
  }
  return warmed
}

/** What a block warms: a pose what it says, a breath-timed movement what it moves. */
function warmsOf(block: Block, catalog: Catalog): readonly Target[] {
  if (block.kind === 'hold') return catalog.poses.get(block.poseId)?.warms ?? []
  return block.kind === 'movement' ? (catalog.movements.get(block.movementId)?.targets ?? []) : []
}

/** The session with the counterpose of its last deep pose, where that has one that is not used yet. */
function countered(pose: Pose, wish: ChooserWish, catalog: Catalog, parts: Parts): Parts {
  const able = unused(wish, catalog, parts).filter(
    ({ id, places }) => pose.counterposes.includes(id) && places.includes('counter'),
  )
  const [counter] = ranked(
    able,
    wish.variation,
    (one) => (one.base.enter === pose.base.leave ? 1 : 0) - (one.sides ? 2 : 0) - awayFromTheFloor(one),
  )
  return counter ? { ...parts, deep: [...parts.deep, pickPose(counter, { rule: 'counters', poseId: pose.id })] } : parts
}

/** A pose that asks little and is the same on both sides, to begin with or to settle in. */
const isEasy = (pose: Pose, place: 'opening' | 'closing'): boolean =>
  pose.places.includes(place) && pose.sensation.to <= 3 && !pose.sides

/** With an opening near the areas asked for; before breath work one that leaves people lying or sitting. */
function withOpening(wish: ChooserWish, catalog: Catalog, targets: readonly Target[], fits: Fits): Parts {
  const points = (pose: Pose) =>
    targets.filter((target) => pose.targets.includes(target)).length - awayFromTheFloor(pose)
  const quiet = (pose: Pose) => wish.practice !== 'breath' || ['supine', 'seated'].includes(pose.base.leave)
  const able = ranked(
    unused(wish, catalog, nothing).filter((pose) => isEasy(pose, 'opening') && quiet(pose)),
    wish.variation,
    points,
  )
  return firstThatFits(
    nothing,
    able.map((pose) => ({ ...nothing, opening: [pickPose(pose, { rule: 'opens' })] })),
    shares.frame,
    fits,
  )
}

/** In less than half an hour a movement would take the time of a pose. */
const movesFromS = 1800

/** With a breath-timed movement that warms, where there is room; restorative work does without. */
function withMoving(wish: ChooserWish, catalog: Catalog, parts: Parts, targets: readonly Target[], fits: Fits): Parts {
  if (wish.practice === 'restorative' || wish.lengthS < movesFromS) return parts
  return firstThatFits(
    parts,
    moversFor(targets, wish, catalog).map((pick) => ({ ...parts, moving: [pick] })),
    shares.frame,
    fits,
  )
}

/** With a pose to settle in before the closing, where there is room. */
function withSettling(wish: ChooserWish, catalog: Catalog, parts: Parts, fits: Fits): Parts {
  const points = (pose: Pose) => (pose.base.enter === 'supine' ? 1 : 0) - awayFromTheFloor(pose)
  const able = ranked(
    unused(wish, catalog, parts).filter((pose) => isEasy(pose, 'closing')),
    wish.variation,
    points,
  )
  return firstThatFits(
    parts,
    able.map((pose) => ({ ...parts, settling: [pickPose(pose, { rule: 'settles' })] })),
    shares.frame,
    fits,
  )
}

function moversFor(targets: readonly Target[], { variation }: ChooserWish, catalog: Catalog): Pick[] {
  const able = ranked([...catalog.movements.values()], variation, (movement) =>
    movement.base.enter === 'standing' ? -3 : 0,
  )
  return able.flatMap((movement): Pick[] => {
    const target = targets.find((one) => movement.targets.includes(one))
    return target
      ? [
          {
            block: { kind: 'movement', id: `movement-${movement.id}`, movementId: movement.id },
            why: { rule: 'moves', target },
          },
        ]
      : []
  })
}

const techniquesOf = (picks: readonly Pick[]): readonly string[] =>
  picks.flatMap(({ block }) =>
    block.kind === 'breath'
      ? block.sections.flatMap((one) => ('techniqueId' in one ? (one.techniqueId ?? []) : []))
      : [],
  )

/** Breath work as far as it fits, one technique after the other, and none without what it starts from. */
function withBreathWork(wish: ChooserWish, catalog: Catalog, parts: Parts, fits: Fits): Parts {
  const before = techniquesOf(firstBreath(wish, catalog))
  return breathWork(wish, catalog, before).reduce((now, part) => {
    const has = [...before, ...techniquesOf(now.breath)]
    const asks = techniquesOf(part).flatMap((id) => catalog.techniques.get(id)?.startsWhen.easy ?? [])
    const more = { ...now, breath: [...now.breath, ...part] }
    return asks.every((id) => has.includes(id)) && fits(more, shares.frame) ? more : now
  }, parts)
}

/** More poses for the areas in turn, as long as one fits with its usual time. */
function filled(wish: ChooserWish, catalog: Catalog, parts: Parts, targets: ReadonlySet<Target>, fits: Fits): Parts {
  let now = parts
  for (;;) {
    const before = now
    for (const target of targets) now = firstThatFits(now, groupsFor(target, wish, catalog, now), shares.filling, fits)
    if (now === before) return now
  }
}
