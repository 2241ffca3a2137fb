import type { ResolvedSection } from '#core/breath'
import type { Resolved } from '#core/session'
import type { FoundHere, Rule } from '../rule.ts'
import { holdsBreath, holdsInRounds } from './strong-breath.ts'

/** A retention or strokes in a class of people who were not all asked what speaks against it [breath book 5]. */
export const holdUnasked: Rule<'HOLD_UNASKED'> = {
  code: 'HOLD_UNASKED',
  grade: 'must',
  find: ({ asked, blocks }) => (!asked || asked.everybody ? [] : blocks.flatMap(inBlock)),
}

function inBlock(resolved: Resolved): FoundHere<'HOLD_UNASKED'>[] {
  const blockId = resolved.block.id
  const whole = (isFound: boolean) => (isFound ? [{ blockId, facts: { section: 0 } }] : [])
  switch (resolved.kind) {
    case 'breath':
      return resolved.sections.flatMap((section, at) =>
        wantsAsking(section) ? [{ blockId, facts: { section: at + 1 } }] : [],
      )
    case 'hold':
      return whole(
        resolved.breathOver !== undefined && holdsBreath(resolved.breathOver.pattern, resolved.breathOver.pace),
      )
    case 'movement':
      return whole(resolved.movement.parts.some(({ part }) => part === 'retention'))
    default:
      return []
  }
}

const wantsAsking = (section: ResolvedSection): boolean =>
  section.kind === 'retention' || section.kind === 'strokes' || (section.kind === 'rounds' && holdsInRounds(section))
