import type { BodyPart } from '#model/set-up'
import type { Calculated, Pile } from '#core/props'
import type { Look } from './rule.ts'

/** The value of a calculation that could be done. */
export const valueOf = <T>(calculated: Calculated<T> | undefined): T | undefined =>
  calculated?.ok ? calculated.value : undefined

export const pileOf = ({ elevation }: Look, part: BodyPart): Pile | undefined =>
  elevation.piles.find((pile) => pile.part === part)
export const heightOf = (look: Look, part: BodyPart): number => pileOf(look, part)?.height ?? 0

/** To a tenth, as facts hold it: a finding that was judged is not another one for a hundredth. */
export const tenth = (value: number): number => Math.round(value * 10) / 10

/** Rules about lying on the back leave the others alone. */
export const isLying = ({ figure }: Look): boolean => figure.kind === 'lying'

/** From so much apart on a support counts as not reached, cm. */
export const apart = 1
