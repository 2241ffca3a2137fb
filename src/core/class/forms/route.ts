import type { BasePosition } from '#model/common'
import { nearness } from './choices.ts'
import type { Choice } from './choices.ts'

/** What somebody's way through a class costs them: the first is weighed before the second, and so on. */
export interface WayCost {
  /** Times they come up from the floor to stand or to sit on a chair. */
  readonly gettingsUp: number
  /** Times they go to another place: the mat, a chair, the wall. */
  readonly placeChanges: number
  /** How far what they do is from what was planned, summed. */
  readonly away: number
}
type Cost = readonly [gettingsUp: number, placeChanges: number, away: number]

const isUp = (base: BasePosition): boolean => base === 'standing' || base === 'onChair'
const placeOf = (base: BasePosition): string => (base === 'onChair' ? 'chair' : base === 'atWall' ? 'wall' : 'mat')

/** From where one is left to where one begins. */
function between(from: BasePosition | undefined, to: BasePosition): Cost {
  if (from === undefined) return [0, 0, 0]
  return [Number(isUp(to) && !isUp(from)), Number(placeOf(from) !== placeOf(to)), 0]
}
const plus = (a: Cost, b: Cost): Cost => [a[0] + b[0], a[1] + b[1], a[2] + b[2]]
const isLess = (a: Cost, b: Cost): boolean => {
  const at = a.findIndex((cost, place) => cost !== b[place])
  return at >= 0 && (a[at] ?? 0) < (b[at] ?? 0)
}

type Step = Pick<Choice, 'near' | 'base'>

/**
 * One choice for each block, so that the whole way has the fewest gettings-up, then the fewest changes of place, then is
 * nearest to what was planned; exact, block by block from what each could end with. The earlier of equal choices stands.
 * A block nothing is left for has none, and one stays where one was.
 */
export function easiestWay<C extends Step>(blocks: readonly (readonly C[])[]): readonly (C | undefined)[] {
  let ways: readonly { cost: Cost; leave: BasePosition | undefined; taken: readonly (C | undefined)[] }[] = [
    { cost: [0, 0, 0], leave: undefined, taken: [] },
  ]
  for (const choices of blocks) {
    const stay = ways.map((way) => ({ ...way, taken: [...way.taken, undefined] }))
    ways =
      choices.length === 0
        ? stay
        : choices.map((choice) => {
            const reached = ways.map((way) => ({
              cost: plus(plus(way.cost, between(way.leave, choice.base.enter)), [0, 0, nearness.indexOf(choice.near)]),
              taken: way.taken,
            }))
            const best = reached.reduce((a, b) => (isLess(b.cost, a.cost) ? b : a))
            return { cost: best.cost, leave: choice.base.leave, taken: [...best.taken, choice] }
          })
  }
  return ways.reduce((a, b) => (isLess(b.cost, a.cost) ? b : a)).taken
}

/** What a way that is taken costs. */
export function costOf(taken: readonly (Step | undefined)[]): WayCost {
  let [cost, leave]: [Cost, BasePosition | undefined] = [[0, 0, 0], undefined]
  for (const choice of taken) {
    if (!choice) continue
    cost = plus(plus(cost, between(leave, choice.base.enter)), [0, 0, nearness.indexOf(choice.near)])
    leave = choice.base.leave
  }
  return { gettingsUp: cost[0], placeChanges: cost[1], away: cost[2] }
}
