import { beforeHold } from '#core/lead'
import type { Stage } from '#core/lead'

/**
 * Whether what to say stands in sight without being asked for: a script, and where there is room what is laid, in a talk and
 * while people arrange themselves.
 */
export function isSaidByItself(stage: Stage | undefined, isPhone: boolean): boolean {
  if (stage === undefined || stage.is === 'ended') return false
  const { kind } = stage.segment.doing
  return stage.script !== undefined || (!isPhone && (kind === 'talk' || beforeHold.has(kind)))
}
