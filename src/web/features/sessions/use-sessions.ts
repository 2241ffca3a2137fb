import { nanoid } from 'nanoid'
import { useRouter } from 'vue-router'
import { sessionSchemaVersion } from '#model/session'
import type { Session } from '#model/session'
import { createSession } from '#web/shared/api/sessions.ts'
import type { SessionLine } from '#web/shared/api/sessions.ts'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'
import { sessionActs } from './session-acts.ts'
import { sessionDesk } from './session-desk.ts'
import { exportOne, importFile } from './session-files.ts'
import { useSessionList } from './use-session-list.ts'

/** The list of sessions and everything done to one as a whole, with what it says and a way back. */
export function useSessions() {
  const router = useRouter()
  const list = useSessionList()
  const desk = sessionDesk(list.load)
  const classes = usePlannedClassesStore()

  /** Keeps a session that is complete, and goes to it in Plan. */
  async function open(session: Session): Promise<void> {
    if (desk.settled(await createSession(session))) await router.push({ name: 'plan', params: { id: session.id } })
  }
  /** A new session that begins as a copy of a template. */
  const beginFrom = (template: Session): Promise<void> => open({ ...structuredClone(template), id: nanoid() })

  return {
    ...list,
    ...{ told: desk.told, problems: desk.problems, open, beginFrom },
    ...sessionActs(desk, useSessionStore()),
    begin: () => open(emptySession()),
    async beginFromOwn(line: SessionLine): Promise<void> {
      const read = await desk.documentOf(line)
      if (read) await beginFrom(read.document)
    },
    exportOne: (line: SessionLine) => exportOne(desk, line),
    async importFile(file: File): Promise<void> {
      if (!(await importFile(desk, file))) return
      list.shown.value = 'sessions'
      // A class to lead in somebody’s place may have come with it.
      await classes.load()
    },
  }
}

const emptySession = (): Session => ({
  schema: sessionSchemaVersion,
  id: nanoid(),
  name: 'New session',
  practice: 'mixed',
  level: 'regular',
  lengthS: 3600,
  schoolId: 'mixed',
  blocks: [],
})
