import type { Transaction } from 'sequelize'
import type { Block } from '#model/block'
import type { OwnKind, OwnThing } from '#model/own'
import type { Session } from '#model/session'
import type { SessionRow } from '#server/db/models'
import type { Database } from '#server/db/open'
import { isOwn } from '#server/db/owned'
import { readableDocument } from '#server/features/sessions/migrate-document'

/** A session, or another own thing, that stands on something of the teacher's own. */
export interface Use {
  readonly where: string
  /** The session it is used in, where that is one. */
  readonly sessionId?: string
  /** The variant it asks for, where it asks for one. */
  readonly variantId?: string
  /** A deleted session or a kept version: it may come back, and has to be readable then. */
  readonly isPast: boolean
}

/** Where an own thing is used: in sessions, in deleted ones and kept versions, in own poses that counter with it, and in pieces. */
export async function usesOf(
  database: Database,
  kind: OwnKind,
  id: string,
  own: readonly OwnThing[],
  transaction: Transaction,
): Promise<Use[]> {
  const inSessions = (await documentsNaming(database, id, transaction)).flatMap(
    ({ where, sessionId, document, isPast }) =>
      usesIn(readableDocument(document), kind, id).map((variantId): Use => ({
        where,
        ...(sessionId === undefined ? {} : { sessionId }),
        isPast,
        ...(variantId === undefined ? {} : { variantId }),
      })),
  )
  return [...inSessions, ...own.flatMap((thing) => usesInOwn(thing, kind, id))]
}

/** An own pose counters with another, and a copy is set up as its original; a piece holds poses and their variants. */
function usesInOwn(thing: OwnThing, kind: OwnKind, id: string): Use[] {
  const isPast = thing.hidden ?? false
  if (thing.kind === 'piece')
    return usesInBlocks(thing.document.blocks, kind, id).map((variantId) => ({
      where: `the piece ${thing.document.name}`,
      isPast,
      ...(variantId === undefined ? {} : { variantId }),
    }))
  const counters =
    kind === 'pose' && thing.kind === 'pose' && thing.document.id !== id && thing.document.counterposes.includes(id)
  const isCopy = kind === 'pose' && thing.kind === 'pose' && thing.document.copiedFrom === id
  const where = () => `the pose ${thing.kind === 'pose' ? thing.document.names.english : ''}`
  // Its original may be deleted; it is kept readable for it.
  return [...(counters ? [{ where: where(), isPast }] : []), ...(isCopy ? [{ where: where(), isPast: true }] : [])]
}

interface Naming {
  readonly where: string
  /** Absent: a colleague's. */
  readonly sessionId?: string
  readonly document: string
  readonly isPast: boolean
}

/** Sessions and kept versions whose text holds an id at all; most hold none, and are not read further. */
async function documentsNaming(database: Database, id: string, transaction: Transaction): Promise<Naming[]> {
  const { sessions: sessionRows, history: kept } = database.all
  const sessions = await sessionRows.findAll({
    attributes: ['id', 'name', 'document', 'deletedAt', 'ownerId'],
    order: [['name', 'ASC']],
    transaction,
  })
  // What a colleague calls a session is theirs.
  const called = (row: SessionRow): string => (isOwn(database, row) ? row.name : 'a session of a colleague')
  const names = new Map(sessions.map((row) => [row.id, called(row)]))
  const mine = new Set(sessions.filter((row) => isOwn(database, row)).map((row) => row.id))
  const history = await kept.findAll({ attributes: ['sessionId', 'document'], transaction })
  return [
    ...sessions.map(({ id: sessionId, document, deletedAt }) => ({
      sessionId,
      where: `${names.get(sessionId) ?? ''}${deletedAt ? ', which is deleted' : ''}`,
      document,
      isPast: deletedAt !== null,
    })),
    ...history.map(({ sessionId, document }) => ({
      sessionId,
      where: `a former version of ${names.get(sessionId) ?? 'a session'}`,
      document,
      isPast: true,
    })),
  ]
    .filter(({ document }) => document.includes(JSON.stringify(id)))
    .map(({ sessionId, ...naming }) => ({ ...naming, ...(mine.has(sessionId) ? { sessionId } : {}) }))
}

/** One entry for each use in a session, with the variant it asks for; one that names it and cannot be read uses it. */
function usesIn(session: Session | undefined, kind: OwnKind, id: string): (string | undefined)[] {
  if (!session) return [undefined]
  if (kind === 'school') return session.schoolId === id ? [undefined] : []
  return usesInBlocks(session.blocks, kind, id)
}

const usesInBlocks = (blocks: readonly Block[], kind: OwnKind, id: string): (string | undefined)[] =>
  blocks.flatMap((block) => {
    if (kind === 'setUp') return 'setUpId' in block && block.setUpId === id ? [undefined] : []
    if (block.kind !== 'hold') return []
    if (kind === 'pose') return block.poseId === id ? [block.variantId] : []
    return kind === 'variant' && block.variantId === id ? [block.variantId] : []
  })

/** The sessions among them, each once, to be gone to. */
export const sessionsIn = (uses: readonly Use[]): { id: string; name: string }[] => [
  ...new Map(
    uses.flatMap(({ sessionId: id, where: name }) => (id === undefined ? [] : [[id, { id, name }] as const])),
  ).values(),
]

/** The places in words, each once; past three the rest are counted. */
export function placesText(uses: readonly Use[]): string {
  const places = [...new Set(uses.map(({ where }) => where))]
  const more = places.length - 3
  return more > 0 ? `${places.slice(0, 3).join(', ')} and ${String(more)} more` : places.join(', ')
}
