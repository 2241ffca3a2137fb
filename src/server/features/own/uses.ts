import type { Transaction } from 'sequelize'
import type { OwnKind, OwnThing } from '#model/own'
import type { Session } from '#model/session'
import type { Database } from '#server/db/open'
import { migrateDocument } from '#server/features/sessions/migrate-document'

/** A session, or another own thing, that stands on something of the teacher's own. */
export interface Use {
  readonly where: string
  /** The variant it asks for, where it asks for one. */
  readonly variantId?: string
}

/** Where an own thing is used: every session that names it, then own poses that counter with it. */
export async function usesOf(
  { models }: Database,
  kind: OwnKind,
  id: string,
  own: readonly OwnThing[],
  transaction: Transaction,
): Promise<Use[]> {
  const rows = await models.sessions.findAll({
    attributes: ['name', 'document'],
    where: { deletedAt: null },
    order: [['name', 'ASC']],
    transaction,
  })
  const inSessions = rows.flatMap(({ name, document }) =>
    usesIn(migrateDocument(JSON.parse(document)), kind, id).map((variantId): Use => ({
      where: name,
      ...(variantId === undefined ? {} : { variantId }),
    })),
  )
  const inOwn = own.flatMap((thing): Use[] =>
    kind === 'pose' && thing.kind === 'pose' && thing.document.id !== id && thing.document.counterposes.includes(id)
      ? [{ where: `the pose ${thing.document.names.english}` }]
      : [],
  )
  return [...inSessions, ...inOwn]
}

/** One entry for each use in a session, with the variant it asks for. */
function usesIn(session: Session, kind: OwnKind, id: string): (string | undefined)[] {
  if (kind === 'school') return session.schoolId === id ? [undefined] : []
  return session.blocks.flatMap((block) => {
    if (block.kind !== 'hold') return []
    if (kind === 'pose') return block.poseId === id ? [block.variantId] : []
    return block.variantId === id ? [block.variantId] : []
  })
}

/** The places in words, each once; past three the rest are counted. */
export function placesText(uses: readonly Use[]): string {
  const places = [...new Set(uses.map(({ where }) => where))]
  const more = places.length - 3
  return more > 0 ? `${places.slice(0, 3).join(', ')} and ${String(more)} more` : places.join(', ')
}
