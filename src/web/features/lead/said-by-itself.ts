import { beforeHold } from '#core/lead'
import type { Stage } from '#core/lead'

/** Whether what to say stands in sight without being asked for: in a talk, and while people arrange themselves. */
export const isSaidByItself = (stage: Stage | undefined): boolean =>
  stage !== undefined &&
  stage.is !== 'ended' &&
  (stage.segment.doing.kind === 'talk' || beforeHold.has(stage.segment.doing.kind))
