import { apart, heightOf, pileOf, tenth, valueOf } from './reading.ts'
import type { FoundHere, Look, Rule } from './rule.ts'

/** Knees over a roll, degrees [formula book 6]. */
const kneeBend = { least: 15, most: 50 } as const
/** Legs at the wall, degrees [formula book 6 and 5a]. */
const wallAngle = { far: 60, most: 88 } as const
const impossibleFloor = 260
/** Seats, cm [formula book 6]: usual up to the first, high up to the second, then a chair; past the last a typing error. */
const seats = { usual: 20, high: 30, impossible: 60 } as const
/** A knee may hang so far above what fills under it, cm [estimate]. */
const kneeGap = 3

const kneePile = (look: Look) => pileOf(look, 'knees') ?? pileOf(look, 'thighs')

/** How far a knee stands above the pile under it. */
function gapUnderKnee(look: Look): number {
  const { skeleton, frame } = look.elevation
  return Math.min(skeleton.right.knee.y, skeleton.left.knee.y) - frame.kneeR - (kneePile(look)?.height ?? 0)
}

function boundKnees(look: Look): FoundHere<'KNEES_UNFILLED'> | undefined {
  const wanted = valueOf(look.elevation.numbers.bound)
  if (!wanted || look.figure.kind !== 'lying') return undefined
  const pile = kneePile(look)
  const short = wanted.supportH - (pile?.height ?? 0)
  return short > kneeGap
    ? {
        part: 'knees',
        facts: { wantedCm: tenth(wanted.supportH), hereCm: tenth(pile?.height ?? 0), shortCm: tenth(short) },
        wish: { part: 'knees', wants: 'higher' },
      }
    : undefined
}

function crossedKnees(look: Look): FoundHere<'KNEES_UNFILLED'> | undefined {
  const pile = look.elevation.numbers.seat && kneePile(look)
  if (!pile) return undefined
  const gap = gapUnderKnee(look)
  return gap > kneeGap
    ? {
        part: 'knees',
        grade: 'tip',
        facts: { wantedCm: tenth(pile.height + gap), hereCm: tenth(pile.height), shortCm: tenth(gap) },
        wish: { part: 'knees', wants: 'higher' },
      }
    : undefined
}

export const legRules: readonly Rule[] = [
  {
    code: 'RAISE_SEAT',
    grade: 'must',
    find: ({ elevation: { numbers } }) => {
      const fold = numbers.fold
      if (!fold || fold.ok || fold.code !== 'RAISE_SEAT') return undefined
      const needed = fold.extra?.['seatNeeded']
      const facts = typeof needed === 'number' ? { seatCm: tenth(needed) } : {}
      return { part: 'pelvis', facts, wish: { part: 'pelvis', wants: 'higher' } }
    },
  },
  {
    code: 'SEAT_IMPOSSIBLE',
    grade: 'must',
    find: (look) =>
      look.figure.kind !== 'chair' &&
      heightOf(look, 'pelvis') > seats.impossible && {
        part: 'pelvis',
        facts: { seatCm: tenth(heightOf(look, 'pelvis')), mostCm: seats.impossible },
        wish: { part: 'pelvis', wants: 'lower' },
      },
  },
  {
    code: 'FLOOR_IMPOSSIBLE',
    grade: 'must',
    find: ({ elevation: { numbers } }) => {
      const depth = valueOf(numbers.wall)?.floorDepth ?? 0
      return depth > impossibleFloor && { facts: { depthCm: tenth(depth), mostCm: impossibleFloor } }
    },
  },
  {
    code: 'SEAT_HIGH',
    grade: 'tip',
    find: (look) => {
      const seat = heightOf(look, 'pelvis')
      if (
        (look.figure.kind !== 'seated' && look.figure.kind !== 'kneeling') ||
        seat <= seats.usual ||
        seat > seats.impossible
      )
        return undefined
      return {
        part: 'pelvis',
        ...(seat > seats.high ? { grade: 'look' as const } : {}),
        facts: { seatCm: tenth(seat), mostCm: seat > seats.high ? seats.high : seats.usual, chair: seat > seats.high },
        wish: { part: 'pelvis', wants: 'lower' },
      }
    },
  },
  {
    code: 'KNEES_ABOVE_HIPS',
    grade: 'look',
    find: (look) => {
      const { numbers, skeleton } = look.elevation
      if (!numbers.seat || look.figure.kind !== 'seated' || look.figure.trunk === 'fold') return undefined
      const above = Math.max(skeleton.right.knee.y, skeleton.left.knee.y) - skeleton.hip.y
      const wanted = valueOf(numbers.seat)?.seatH
      return (
        above > apart && {
          part: 'pelvis',
          facts: { aboveCm: tenth(above), ...(wanted === undefined ? { chair: true } : { seatCm: tenth(wanted) }) },
          wish: { part: 'pelvis', wants: 'higher' },
        }
      )
    },
  },
  {
    code: 'KNEE_BEND',
    grade: 'look',
    find: ({ elevation: { numbers } }) => {
      const knees = valueOf(numbers.knees)
      if (!knees) return undefined
      const angle = Math.round(knees.kneeFlex)
      return (
        (angle < kneeBend.least || angle > kneeBend.most) && {
          part: 'knees',
          facts: { angleDeg: angle, leastDeg: kneeBend.least, mostDeg: kneeBend.most },
          wish: { part: 'knees', wants: angle < kneeBend.least ? 'higher' : 'lower' },
        }
      )
    },
  },
  { code: 'KNEES_UNFILLED', grade: 'look', find: (look) => boundKnees(look) ?? crossedKnees(look) },
  {
    code: 'ONE_KNEE_FILLED',
    grade: 'look',
    find: (look) =>
      look.figure.kind === 'lying' &&
      look.figure.legs === 'bound' &&
      kneePile(look)?.piles === 1 &&
      (kneePile(look)?.pieces.every(({ across }) => across < 60) ?? false) && { part: 'knees', facts: {} },
  },
  {
    code: 'WALL_ANGLE',
    grade: 'tip',
    find: ({ elevation: { numbers } }) => {
      const wall = valueOf(numbers.wall)
      if (!wall) return undefined
      const angle = Math.round(wall.legAngle)
      const isFar = angle < wallAngle.far
      return (
        (isFar || angle > wallAngle.most) && {
          part: 'feet',
          ...(isFar ? { grade: 'look' as const } : {}),
          facts: { angleDeg: angle, leastDeg: wallAngle.far, mostDeg: wallAngle.most, far: isFar },
        }
      )
    },
  },
  {
    code: 'PELVIS_LIFTED',
    grade: 'look',
    find: (look) => {
      const { lift = 0 } = look.elevation
      return (
        lift > apart && { part: 'pelvis', facts: { liftCm: tenth(lift) }, wish: { part: 'pelvis', wants: 'higher' } }
      )
    },
  },
  {
    code: 'FEET_HANG',
    grade: 'look',
    find: (look) => {
      const feet = valueOf(look.elevation.numbers.feet)
      const short = feet ? feet.footSupport - heightOf(look, 'feet') : 0
      return (
        short > apart && {
          part: 'feet',
          facts: { shortCm: tenth(short), wantedCm: tenth(feet?.footSupport ?? 0) },
          wish: { part: 'feet', wants: 'higher' },
        }
      )
    },
  },
  {
    code: 'SEAT_LOW',
    grade: 'tip',
    find: ({ elevation: { numbers } }) => {
      const feet = valueOf(numbers.feet)
      return (
        feet !== undefined &&
        feet.seatRaise > apart && {
          part: 'pelvis',
          facts: { raiseCm: tenth(feet.seatRaise) },
          wish: { part: 'pelvis', wants: 'higher' },
        }
      )
    },
  },
  {
    code: 'HEAD_SUPPORT_SHORT',
    grade: 'look',
    find: (look) => {
      const fold = valueOf(look.elevation.numbers.fold)
      if (!fold) return undefined
      const here = heightOf(look, 'head')
      const short = fold.headSupportH - here
      const isBare = here === 0
      // A fold on nothing is a choice; one on a support that is too low is a mistake.
      return (
        short > foldShort && {
          part: 'head',
          ...(isBare ? { grade: 'tip' as const } : {}),
          facts: { wantedCm: tenth(fold.headSupportH), hereCm: tenth(here), shortCm: tenth(short) },
          wish: { part: 'head', wants: 'higher' },
        }
      )
    },
  },
]

/** The formula book takes its head support for a fold to be right within 5 cm: so much may be missing. */
const foldShort = 5
