import type { Level } from '#model/common'
import type { BodyPart, SetUpItem } from '#model/set-up'
import { orThrow } from '#core/result'
import type { Seconds } from '#core/units'
import { changeover } from './changeover.ts'
import { partsInOrder } from './actions.ts'
import { piecesOf, placeText } from './pieces.ts'

/** Under these a hand reaches without sitting up: brow, head, hands, forearms, and what lies on the eyes [handling book 2]. */
const inReach: ReadonlySet<BodyPart> = new Set(['head', 'neck', 'eyes', 'hands', 'arms'])
/** Of these only the top layer. */
const topInReach: ReadonlySet<BodyPart> = new Set(['chest', 'knees'])
/** A step in mid-hold takes at most so long, s. */
export const mostStepS = 20

/** What is done to the props in mid-hold: how long it takes by hand, and the first part under which nobody reaches it. */
export interface StepInHold {
  readonly s: Seconds
  readonly outOfReach: BodyPart | undefined
}

/** A change of what lies there with the body on it, from some items to others [handling book 2; settled A24]. */
export function stepInHold(from: readonly SetUpItem[], to: readonly SetUpItem[], level: Level): StepInHold {
  const { s } = orThrow(changeover({ from, to, level }))
  return { s, outOfReach: partsInOrder.find((part) => !isReached(part, from, to)) }
}

function isReached(part: BodyPart, from: readonly SetUpItem[], to: readonly SetUpItem[]): boolean {
  if (inReach.has(part)) return true
  const [before, after] = [pilesAt(part, from), pilesAt(part, to)]
  const piles = [...new Set([...before.keys(), ...after.keys()])]
  return piles.every((pile) => {
    const [lay, lies] = [before.get(pile) ?? [], after.get(pile) ?? []]
    const same = lay.findIndex((piece, at) => piece !== lies[at])
    const kept = same < 0 ? lay.length : same
    const changed = Math.max(lay.length, lies.length) - kept
    return changed === 0 || (topInReach.has(part) && changed === 1)
  })
}

/** What lies under a part, pile by pile, from the floor up. */
function pilesAt(part: BodyPart, items: readonly SetUpItem[]): ReadonlyMap<string, readonly string[]> {
  const piles = new Map<string, string[]>()
  for (const piece of piecesOf(items).filter((one) => one.part === part && one.lies === 'under'))
    piles.set(piece.pile, [...(piles.get(piece.pile) ?? []), placeText(piece)])
  return piles
}
