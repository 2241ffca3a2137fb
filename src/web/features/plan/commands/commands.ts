import { add, duplicate, insert, moveBy, moveTo, remove } from './arranging.ts'
import { choose, chooseAll, chooseAlso, chooseFurther, chooseTo } from './choosing.ts'
import type { Outcome, PlanState } from './plan-state.ts'
import { drawTime, replace, stepTime } from './timing.ts'

/** Everything a teacher does to a session in Plan, by a key, a button or a drop; each pure, and each one undo step. */
export const planCommands = {
  add,
  choose,
  chooseAll,
  chooseAlso,
  chooseFurther,
  chooseTo,
  drawTime,
  duplicate,
  insert,
  moveBy,
  moveTo,
  remove,
  replace,
  stepTime,
} as const satisfies Record<string, (state: PlanState, asked: never) => Outcome>
