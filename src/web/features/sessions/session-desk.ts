import { shallowRef } from 'vue'
import type { Session } from '#model/session'
import type { Reply } from '#web/shared/api/client.ts'
import { readSession } from '#web/shared/api/sessions.ts'
import type { SessionLine } from '#web/shared/api/sessions.ts'

const noAnswer = 'Zovrin’s server does not answer: nothing was changed. Start it and try again.'

/** What was done last, with the way back where there is one. */
export interface Told {
  readonly words: string
  readonly undo?: () => Promise<void>
}

/** What the acts on sessions share: what is said of them, and the list to be read again. */
export type SessionDesk = ReturnType<typeof sessionDesk>

export function sessionDesk(load: () => Promise<void>) {
  const told = shallowRef<Told>()
  const problems = shallowRef<readonly string[]>([])
  /** True when it went well; else says why not. */
  function settled<T>(reply: Reply<T>): reply is Extract<Reply<T>, { kind: 'ok' }> {
    problems.value = mendsOf(reply)
    return reply.kind === 'ok'
  }
  return {
    ...{ told, problems, settled },
    /** Says what was done, and shows the list as it is now. */
    async done(words: string, undo?: () => Promise<void>): Promise<void> {
      told.value = undo ? { words, undo } : { words }
      await load()
    },
    async documentOf({ id }: SessionLine): Promise<{ document: Session; version: number } | undefined> {
      const reply = await readSession(id)
      return settled(reply) ? { document: reply.value, version: reply.version } : undefined
    },
  }
}

function mendsOf(reply: Reply<unknown>): readonly string[] {
  if (reply.kind === 'ok') return []
  if (reply.kind === 'away') return [noAnswer]
  const { refusals, detail } = reply.problem
  return refusals?.map(({ sentence }) => sentence) ?? [detail]
}
