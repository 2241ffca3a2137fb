import type { Session } from '#model/session'
import { beforeBreath } from '#core/session'
import type { Timeline } from '#core/timeline'

/** What is asked and said before breath work in a session, as it is compiled. */
export const beforeIn = (session: Pick<Session, 'before'>, { blocks }: Pick<Timeline, 'blocks'>): readonly string[] =>
  beforeBreath(
    session,
    blocks.map(({ block }) => block),
  )
