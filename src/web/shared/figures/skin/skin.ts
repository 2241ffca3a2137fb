import { distanceTo, boundsOf } from '#core/figure'
import type { Elevation } from '#core/figure'
import type { FigureView } from '#model/figure'
import type { Body } from '../body/body.ts'
import type { BodyPart } from '../body/part.ts'
import { cut, depthIn, fieldOf } from './field.ts'
import type { Disc, Field, Firm } from './field.ts'
import { outlinesOf, thinned } from './outline.ts'
import type { Flat } from './outline.ts'
import { seenFrom, views } from './view.ts'
import type { Seen, View } from './view.ts'

/** What of the body stands behind, is the body itself, or comes nearest to whoever looks. */
export type Tone = 'far' | 'body' | 'near'

/** A part of the body as it is painted, over those before it. */
export interface SkinPart {
  readonly key: string
  readonly tone: Tone
  readonly is: 'flesh' | 'hair'
  /** Closed. */
  readonly rings: readonly (readonly Flat[])[]
  /** Where it lies over another part: what tells the two apart. */
  readonly edges: readonly (readonly Flat[])[]
  /** Lines on it: closed eyes, an ear. */
  readonly marks: readonly (readonly Flat[])[]
  readonly near: number
}

interface SeenPart {
  readonly part: BodyPart
  readonly strings: readonly (readonly Disc[])[]
  readonly near: number
}

/** Nearer or further than this from the middle of the trunk a limb has a tone of its own, as a share of the stature. */
const aside = 0.03
const limbs = [
  ['thigh', 'lowerLeg'],
  ['upperArm', 'forearm'],
] as const
/** Flesh of so small a radius is found on the cells that are asked for, cm; and how many times as wide they become. */
const slim = 2
const widest = 1.8
/** So far inside of another part an outline is a line on it, cm. */
const over = 0.4

/** The body as it is seen, from what is furthest away to what is nearest; pressed flat where it lies on something. */
export function skinOf(body: Body, elevation: Elevation, from: FigureView, cell: number): readonly SkinPart[] {
  const view = views[from]
  const h = elevation.frame.stature
  const seen = ordered(body.parts.map((part) => seenPart(part, view)))
  const trunk = seen.find(({ part }) => part.name === 'trunk')?.near ?? 0
  const painted: { readonly part: BodyPart; readonly field: Field }[] = []
  const firm = firmFrom(elevation, from)
  return seen.flatMap((one) => {
    const field = fieldOf(one.strings, cell * coarsenessOf(one.part), firm)
    const whole = outlinesOf(field)
    const rings = whole.map((ring) => thinned(ring, cell * 0.06))
    const tone = toneOf(one, seen, trunk, h)
    const under = one.part.name === 'head' ? painted.filter(({ part }) => part.name !== 'trunk') : painted
    const edges = whole.flatMap((ring) => edgesOf(ring, one, under, view)).map((edge) => thinned(edge, cell * 0.06))
    painted.push({ part: one.part, field })
    const key = `${one.part.side ?? ''} ${one.part.name}`
    const flesh: SkinPart = { key, tone, is: 'flesh', rings, edges, marks: [], near: one.near }
    return one.part.name === 'head' ? [flesh, hairOf(body, view, field, cell, flesh)] : [flesh]
  })
}

/**
 * How many times as wide the cells of a part may be: between two places of a grid a round outline of radius r is off by
 * cell² / 8r, so that thick flesh is found as exactly on wider cells. The face has bends of its own.
 */
const coarsenessOf = ({ name, strings }: BodyPart): number =>
  name === 'head'
    ? 1
    : Math.min(
        widest,
        Math.max(1, Math.sqrt(Math.min(...strings.flatMap((string) => string.map(({ r }) => r))) / slim)),
      )

function seenPart(part: BodyPart, view: View): SeenPart {
  const all = part.strings.map((string) => string.map(({ at, r }) => discOf(seenFrom(view, at), r)))
  const discs = all.flat()
  const near = discs.reduce((sum, disc) => sum + disc.near, 0) / discs.length
  // What lies exactly behind another string of the part is no more to be seen.
  const strings = all.filter((string, at) => !all.slice(0, at).some((other) => isBehind(string, other)))
  return { part, strings, near }
}

/** Written out: thousands of these are made for each picture. */
const discOf = ({ u, v, near }: Seen, r: number): Disc => ({ u, v, near, r })

const isBehind = (string: readonly Disc[], other: readonly Disc[]): boolean =>
  string.length === other.length &&
  string.every((disc, at) => {
    const behind = other[at]
    return (
      behind !== undefined &&
      Math.abs(disc.u - behind.u) < 0.05 &&
      Math.abs(disc.v - behind.v) < 0.05 &&
      Math.abs(disc.r - behind.r) < 0.05
    )
  })

/** What is furthest away first; the head is never before the trunk it grows out of. */
function ordered(parts: readonly SeenPart[]): readonly SeenPart[] {
  const sorted = parts.toSorted((a, b) => a.near - b.near)
  const head = sorted.find(({ part }) => part.name === 'head')
  const others = sorted.filter((one) => one !== head)
  if (!head) return sorted
  const at = Math.max(
    others.findIndex(({ part }) => part.name === 'trunk') + 1,
    others.filter(({ near }) => near <= head.near).length,
  )
  return [...others.slice(0, at), head, ...others.slice(at)]
}

/** A limb has one tone: that of both its parts together. */
function toneOf({ part }: SeenPart, seen: readonly SeenPart[], trunk: number, h: number): Tone {
  if (part.side === undefined) return 'body'
  const limb = limbs.find((names) => names.some((name) => name === part.name)) ?? []
  const parts = seen.filter((one) => one.part.side === part.side && limb.some((name) => name === one.part.name))
  const near = parts.reduce((sum, one) => sum + one.near, 0) / parts.length
  if (near < trunk - aside * h) return 'far'
  return near > trunk + aside * h && (part.name === 'upperArm' || part.name === 'forearm') ? 'near' : 'body'
}

const everywhere = {
  ...{ left: -Infinity, right: Infinity, low: -Infinity, high: Infinity },
  ...{ from: -Infinity, to: Infinity },
}
/** A wall on whose one side the body is. */
const wallAt = (x: number, side: number): Firm => ({
  ...everywhere,
  ...(side > 0 ? { left: x } : { right: x }),
  apart: (u) => (x - u) * side,
})

const floor: Firm = { ...everywhere, high: 0, apart: (_u, v) => v }

/** What flesh is seen to give way to: from above nothing, from an end the floor alone. */
const firmFrom = (elevation: Elevation, from: FigureView): readonly Firm[] =>
  from === 'side' ? firmOf(elevation) : from === 'above' ? [] : [floor]

/** What flesh gives way to, seen from the right: the floor, and what it lies on. */
const firmOf = ({ props, wallX, skeleton }: Elevation): readonly Firm[] => [
  floor,
  ...(wallX === undefined ? [] : [wallAt(wallX, Math.sign(wallX - skeleton.hip.x))]),
  ...props.map((prop) => ({
    ...boundsOf(prop),
    from: prop.zFrom,
    to: prop.zTo,
    apart: (u: number, v: number) => distanceTo(prop, { x: u, y: v }),
  })),
]

/** The pieces of an outline that lie on parts painted before, away from the joints it grows out of. */
function edgesOf(
  ring: readonly Flat[],
  { part }: SeenPart,
  under: readonly { readonly field: Field }[],
  view: View,
): Flat[][] {
  const joints = part.joints.map(({ at, r }) => ({ ...seenFrom(view, at), r }))
  const isEdge = ({ u, v }: Flat): boolean =>
    joints.every((joint) => (u - joint.u) ** 2 + (v - joint.v) ** 2 > joint.r ** 2) &&
    under.some(({ field }) => depthIn(field, u, v) > over)
  const pieces: Flat[][] = []
  let piece: Flat[] = []
  for (const point of [...ring, ...ring.slice(0, 1)]) {
    if (isEdge(point)) piece.push(point)
    else {
      if (piece.length > 1) pieces.push(piece)
      piece = []
    }
  }
  if (piece.length > 1) pieces.push(piece)
  return pieces
}

/** Hair: what of the skull, as it faces whoever looks, lies behind the line from brow to nape. */
function hairOf(body: Body, view: View, face: Field, cell: number, flesh: SkinPart): SkinPart {
  const { head } = body
  const { at, r } = head.skull
  const middle: Seen = seenFrom(view, at)
  const caps = head.hair.map(({ towards, from }) => ({ ...seenFrom(view, towards), from }))
  const field = fieldOf([[{ ...middle, r: r * 1.03 }]], cell)
  cut(field, (u, v) => {
    const [du, dv] = [u - middle.u, v - middle.v]
    const out = Math.sqrt(Math.max(0, r * r - du * du - dv * dv))
    return Math.max(...caps.map((cap) => du * cap.u + dv * cap.v + out * cap.near - cap.from))
  })
  cut(field, (u, v) => depthIn(face, u, v) + r * 0.03)
  return {
    ...flesh,
    key: 'hair',
    is: 'hair',
    rings: outlinesOf(field).map((ring) => thinned(ring, cell * 0.06)),
    edges: [],
    marks: marksOf(body, view),
  }
}

/** What of the face is turned to whoever looks. */
const marksOf = ({ head }: Body, view: View): Flat[][] =>
  head.marks
    .filter(({ facing }) => seenFrom(view, facing).near > 0.25)
    .map(({ line }) => line.map((point) => seenFrom(view, point)))
