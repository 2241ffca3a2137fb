import { finalRestPose, poseIn } from '#core/session'
import type { Catalog } from '#core/session'
import { sayableSeconds } from '#core/units'
import type { Draft } from './draft.ts'
import type { SaidLine } from './read-line.ts'

/** Lines as they stand to each other: what lasts until the next, what is the other side of one, and what closes. */
export const settleLines = (drafts: readonly Draft[], catalog: Catalog): readonly Draft[] =>
  closed(joinedSides(clocked(drafts, catalog)))

/** Lines with a clock and no time of their own last until the next line's clock. */
function clocked(drafts: readonly Draft[], catalog: Catalog): readonly Draft[] {
  return drafts.map((draft, at) => {
    const { clock, said, as } = draft
    if (!clock || !said || said.times.length > 0 || said.counts.rounds !== undefined || draft.role !== 'block')
      return draft
    const next = drafts.slice(at + 1).find((one) => one.clock)?.clock
    const toMinutes = clock.toMinutes ?? next?.minutes
    if (toMinutes === undefined || toMinutes <= clock.minutes) return draft
    const pose = as?.kind === 'hold' ? poseIn(catalog, as.id) : undefined
    const s = ((toMinutes - clock.minutes) * 60) / (pose?.sides ? 2 : 1)
    const times = [{ s: as?.kind === 'hold' ? sayableSeconds(s) : s, isBare: false, text: '', from: 0 }]
    return { ...draft, said: { ...said, times }, doubts: [...draft.doubts, 'TIME_FROM_CLOCK' as const] }
  })
}

/** A side on a line of its own joins the other side of the same pose before it. */
function joinedSides(drafts: readonly Draft[]): readonly Draft[] {
  const out: Draft[] = []
  /** The place of the last block. */
  let at = -1
  for (const draft of drafts) {
    if (out.at(-1)?.role === 'block') at = out.length - 1
    const before = out[at]
    if (before?.said && draft.said && isOtherSide(draft, before)) {
      out[at] = { ...before, said: bothSides(before.said, draft.said) }
      out.push({ ...draft, role: 'joins', joins: before.number })
    } else if (draft.said?.sides.other && (draft.role === 'block' || draft.role === 'joins')) {
      const as = draft.as ?? { kind: 'talk' as const }
      out.push({ ...draft, role: 'block', as, doubts: [...draft.doubts, 'OTHER_SIDE_ALONE'] })
    } else out.push(draft)
  }
  return out
}

/** It says the side of the hold before that was not said yet, with or without its name. */
function isOtherSide({ role, as, said }: Draft, before: Draft): boolean {
  if (before.as?.kind !== 'hold' || (role !== 'block' && role !== 'joins')) return false
  const isSame = role === 'joins' || (as?.kind === 'hold' && as.id === before.as.id)
  const [one, two] = [before.said?.sides.only, said?.sides.only]
  return isSame && (said?.sides.other === true || (one !== undefined && two !== undefined && one !== two))
}

/** One line for both sides, from one for each; what is left of the second is kept with the first. */
function bothSides(base: SaidLine, two: SaidLine): SaidLine {
  const first = base.sides.only ?? (two.sides.only === 'left' ? 'right' : 'left')
  const [a] = base.times
  const b = two.times[0] ?? a
  const { only: _, ...sides } = base.sides
  const apart =
    a && b && a.s !== b.s ? { apart: first === 'left' ? { leftS: a.s, rightS: b.s } : { leftS: b.s, rightS: a.s } } : {}
  const order = base.sides.only === 'right' ? { first: 'right' as const } : {}
  return { ...base, sides: { ...sides, ...apart, ...order, each: true }, left: [...base.left, ...two.left] }
}

/**
 * A closing stays last: what is only said after it joins it; where something is done after it, it is a rest on the back
 * like any other.
 */
function closed(drafts: readonly Draft[]): readonly Draft[] {
  const at = drafts.findLastIndex(({ role, as }) => role === 'block' && as?.kind === 'closing')
  const closing = drafts[at]
  const after = drafts.slice(at + 1).filter(({ role }) => role === 'block')
  const isLast = after.every(({ as }) => as?.kind === 'talk' || as?.kind === 'rest')
  return drafts.map((draft, place) => {
    if (draft.role !== 'block') return draft
    if (draft.as?.kind === 'closing' && (place < at || !isLast)) {
      const doubts = draft.said?.things[0]?.id === finalRestPose ? [] : (['CLOSING_EARLY'] as const)
      return { ...draft, as: { kind: 'hold', id: finalRestPose }, doubts: [...draft.doubts, ...doubts] }
    }
    return closing && isLast && place > at ? { ...draft, role: 'joins', joins: closing.number, doubts: [] } : draft
  })
}
