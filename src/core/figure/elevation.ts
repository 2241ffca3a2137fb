import type { Figure } from '#model/figure'
import type { BodyPart, SetUpItem } from '#model/set-up'
import { bodyOf, pilesOf, usualMassKg } from '#core/props'
import type { Calculated, LoadCase, Measured, Pile, PropSpecs } from '#core/props'
import { allFours } from './poses/all-fours.ts'
import { chair } from './poses/chair.ts'
import { clearArms } from './body/clear-arms.ts'
import { frameOf } from './body/frame.ts'
import { gestured } from './body/gestures.ts'
import type { Frame } from './body/frame.ts'
import { childFold, kneeling } from './poses/kneeling.ts'
import { lying } from './poses/lying.ts'
import { prone } from './poses/prone.ts'
import { heapsOf } from './body/scene.ts'
import type { Drawn, Heap, Scene } from './body/scene.ts'
import { seated } from './poses/seated.ts'
import { sideLying } from './poses/side-lying.ts'
import { standing } from './poses/standing.ts'

/** Who lies there: stature in cm, and what was measured or weighed. */
export interface Who {
  readonly statureCm: number
  readonly massKg?: number
  readonly measured?: Measured | undefined
  /** How high their knees are when they sit cross-legged on the floor, where that was measured; else as the figure says. */
  readonly kneeH0Cm?: number | undefined
  /** From the 28th week on: the belly is in the picture and in the judgement of a set-up. */
  readonly lateInPregnancy?: boolean | undefined
}

export interface ElevationInput {
  readonly figure: Figure
  readonly items: readonly SetUpItem[]
  readonly kinds: PropSpecs
  readonly who: Who
}

export interface Elevation extends Drawn {
  readonly frame: Frame
  readonly piles: readonly Pile[]
  /** The props as they lie together. */
  readonly heaps: readonly Heap[]
  /** What carries nothing: laid over the body, round it, on the eyes. */
  readonly loose: readonly LooseItem[]
  readonly lateInPregnancy?: true
}

/** Something that lies at a part of the body without carrying it. */
export type LooseItem = Pick<SetUpItem, 'id' | 'kind' | 'lies'> & { readonly part: BodyPart }

/** How the body weighs on what is under it, by the kind of figure. */
const loadCases: Readonly<Record<Figure['kind'], LoadCase>> = {
  lying: 'lying',
  side: 'lying',
  prone: 'prone',
  childFold: 'folded',
  kneeling: 'seated',
  allFours: 'folded',
  seated: 'seated',
  chair: 'seated',
  standing: 'folded',
}

/** The case of a figure's loads; leaning back on a slope the pelvis is sat on. */
export function loadCaseOf(figure: Figure, items: readonly SetUpItem[]): LoadCase {
  const leansBack =
    figure.kind === 'lying' && items.some(({ under, turn }) => under === 'upperBack' && turn === 'lengthwise')
  return leansBack ? 'reclined' : loadCases[figure.kind]
}

/** The heights of a set-up for a person, part by part. */
export const heightsOf = ({ figure, items, kinds, who }: ElevationInput): Calculated<readonly Pile[]> =>
  pilesOf({ items, kinds, massKg: who.massKg ?? usualMassKg(who.statureCm), posture: loadCaseOf(figure, items) })

/**
 * A person at rest on a set-up: the body from its lengths on the loaded heights, seen from the right. Refusals are
 * those of the heights and of the figure's calculation; warnings are its codes.
 */
export function elevation(input: ElevationInput): Calculated<Elevation> {
  const { figure, items, kinds, who } = input
  const piles = heightsOf(input)
  if (!piles.ok) return piles
  const frame = frameOf(bodyOf(who.statureCm, who.measured))
  const scene = {
    ...{ f: frame, piles: piles.value, wall: items.some(({ kind }) => kinds[kind].shape === 'wall') },
    kneeH0Cm: who.kneeH0Cm,
  }
  const drawn = draw(figure, scene)
  if (!drawn.ok) return drawn
  const skeleton = clearArms(gestured(drawn.value.skeleton, frame, figure.gesture), frame, drawn.value.props)
  const heaps = heapsOf(drawn.value.props)
  return {
    ok: true,
    value: {
      ...{ ...drawn.value, skeleton, frame, piles: piles.value, heaps },
      loose: looseOf(items, drawn.value.props),
      ...(who.lateInPregnancy ? { lateInPregnancy: true } : {}),
    },
    warnings: [...piles.warnings, ...drawn.warnings],
  }
}

const looseOf = (items: readonly SetUpItem[], placed: Drawn['props']): readonly LooseItem[] => {
  const carrying = new Set(placed.map(({ piece }) => piece.itemId))
  return items.flatMap(({ id, kind, lies, under }) =>
    under === undefined || carrying.has(id) ? [] : [{ id, kind, part: under, ...(lies ? { lies } : {}) }],
  )
}

function draw(figure: Figure, scene: Scene): Calculated<Drawn> {
  switch (figure.kind) {
    case 'lying':
      return lying(figure, scene)
    case 'prone':
      return prone(figure, scene)
    case 'side':
      return sideLying(figure, scene)
    case 'childFold':
      return childFold(figure, scene)
    case 'kneeling':
      return kneeling(figure, scene)
    case 'allFours':
      return allFours(figure, scene)
    case 'seated':
      return seated(figure, scene)
    case 'chair':
      return chair(figure, scene)
    case 'standing':
      return standing(figure, scene)
  }
}
