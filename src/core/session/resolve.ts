import type { Block, MovementBlock, RestBlock } from '#model/block'
import type { BasePosition } from '#model/common'
import type { Session } from '#model/session'
import { ok, refused } from '#core/result'
import type { Result } from '#core/result'
import type { Catalog } from './catalog.ts'
import { isLying, positionLeft } from './stand.ts'
import { resolveBreath } from './resolve-breath.ts'
import { comingUpOf, resolveClosing } from './resolve-closing.ts'
import { resolveHold } from './resolve-hold.ts'
import type { Resolved, Sourced } from './resolved.ts'
import { namedSetUp } from './set-up-of.ts'
import { answersOf, changeTo, scriptOf, sideOrder, stillnessIn, timeOf } from './walk.ts'
import type { Walk } from './walk.ts'
import { wordingOf } from './wordings.ts'

/**
 * Every block with all that the document leaves out filled in, first found wins: block, session,
 * the teacher's own pose, learned estimate, shipped, base-position table.
 * Refuses `UNKNOWN_SCHOOL`, `UNKNOWN_POSE`, `UNKNOWN_TECHNIQUE` and `UNKNOWN_MOVEMENT` with the path.
 */
export function resolveSession(session: Session, catalog: Catalog): Result<readonly Resolved[]> {
  const school = catalog.schools.get(session.schoolId)
  if (!school) return refused('UNKNOWN_SCHOOL', 'schoolId', { id: session.schoolId })
  let walk: Walk = {
    session,
    catalog,
    school: school.answers,
    wording: wordingOf(session.wording),
    position: undefined,
    stillIn: new Set(),
    sided: 0,
  }
  const done: Resolved[] = []
  for (const [index, block] of session.blocks.entries()) {
    const resolved = resolveBlock(block, index, walk)
    if (!resolved.ok) return resolved
    done.push(resolved.value)
    walk = after(walk, resolved.value)
  }
  return ok(done)
}

function after(walk: Walk, done: Resolved): Walk {
  const sided = walk.sided + (done.kind === 'hold' && done.sides.length > 1 ? 1 : 0)
  const still = stillPosition(done)
  const stillIn = still === undefined || walk.stillIn.has(still) ? walk.stillIn : new Set([...walk.stillIn, still])
  return { ...walk, position: positionLeft(done, walk.position), stillIn, sided }
}

/** Where people were told how to be still. */
function stillPosition(done: Resolved): BasePosition | undefined {
  if (done.kind === 'hold') return done.pose.base.enter
  return done.kind === 'rest' || done.kind === 'closing' ? done.toPosition : undefined
}

function resolveBlock(block: Block, index: number, walk: Walk): Result<Resolved> {
  switch (block.kind) {
    case 'talk':
      return ok({ kind: 'talk', block, index, script: scriptOf(block, walk) })
    case 'hold':
      return resolveHold(block, index, walk)
    case 'movement':
      return resolveMovement(block, index, walk)
    case 'breath':
      return resolveBreath(block, index, walk)
    case 'rest':
      return ok(resolveRest(block, index, walk))
    case 'closing':
      return ok(resolveClosing(block, index, walk))
  }
}

function resolveMovement(block: MovementBlock, index: number, walk: Walk): Result<Resolved> {
  const movement = walk.catalog.movements.get(block.movementId)
  if (!movement) {
    return refused('UNKNOWN_MOVEMENT', `blocks[${String(index)}].movementId`, { id: block.movementId })
  }
  const shipped = (value: number): Sourced<number> => ({ value, from: 'shipped' })
  const here = movement.alsoIn?.find((position) => position === walk.position)
  return ok({
    kind: 'movement',
    block,
    index,
    movement,
    ...changeTo(block, walk, here ?? movement.base.enter),
    sides: movement.sides ? sideOrder(block, walk, answersOf(block, walk)) : ['both'],
    rounds: block.rounds ?? movement.rounds,
    pace: block.pace ?? movement.pace,
    setUpS: timeOf(block, walk, 'setUpS', shipped(movement.setUpS)),
    betweenSidesS: timeOf(block, walk, 'betweenSidesS', shipped(movement.betweenSidesS)),
    restS: block.restS === undefined ? shipped(movement.restS) : { value: block.restS, from: 'block' },
  })
}

function resolveRest(block: RestBlock, index: number, walk: Walk): Resolved {
  const position = block.basePosition ?? walk.position ?? 'supine'
  const answers = answersOf(block, walk)
  return {
    kind: 'rest',
    block,
    index,
    ...changeTo(block, walk, position),
    setUp: namedSetUp(block, walk.catalog),
    ending: block.ending && isLying(position) ? comingUpOf(block.ending, answers.roll, walk) : undefined,
    answers,
    ...{ stillness: stillnessIn(walk, position), script: scriptOf(block, walk) },
  }
}
