import { nanoid } from 'nanoid'
import type { Block } from '#model/block'
import type { Envelope } from '#model/envelope'
import { ownSchemaVersion } from '#model/own'
import type { OwnThing } from '#model/own'
import type { Session } from '#model/session'
import { unknownReferences, withOwn } from '#core/session'
import { makeEnvelope, planImport } from '#formats/session-envelope'
import { shippedCatalog } from '#library/shipped'
import type { Clock } from '#server/clock'
import type { Database } from '#server/db/open'
import type { OwnStore } from '#server/features/own/store'
import type { SessionStore } from '#server/features/sessions/store'
import { migrateDocument } from '#server/features/sessions/migrate-document'
import { ProblemError } from '#server/problems'

/** What came in: the sessions that were added and those that were here, or the blocks ready to be put in. */
export interface Imported {
  readonly sessions: readonly string[]
  readonly alreadyHere: readonly string[]
  readonly blocks: readonly Block[]
  readonly own: readonly Pick<OwnThing, 'kind'>[]
}

const shippedIds = new Set([...shippedCatalog.poses.keys(), ...shippedCatalog.schools.keys()])

/** Sessions and blocks out of this Zovrin and into it, with the own things they stand on. */
export function exchange({ models, inTransaction }: Database, own: OwnStore, sessions: SessionStore, clock: Clock) {
  return {
    async exportSessions(ids: readonly string[]): Promise<Envelope> {
      const stored = await Promise.all(ids.map((id) => sessions.find(id)))
      return makeEnvelope({ sessions: stored.map(({ document }) => document) }, await own.list())
    },

    /** All of it or nothing. Throws DOCUMENT_REFUSED with every id that is named and is nowhere. */
    async take(envelope: Envelope): Promise<Imported> {
      return inTransaction(async (transaction) => {
        const ownThings = await own.list(transaction)
        const rows = await models.sessions.findAll({
          where: { id: (envelope.sessions ?? []).map(({ id }) => id) },
          transaction,
        })
        const there = new Map(rows.map(({ id, document }) => [id, migrateDocument(JSON.parse(document))]))
        const plan = planImport(envelope, { own: ownThings, sessions: there, shippedIds }, nanoid)
        refuseUnknown(plan.sessions, plan.blocks, [
          ...ownThings,
          ...plan.own.map((thing) => ({ ...thing, version: 1 })),
        ])
        await models.ownThings.bulkCreate(
          plan.own.map(({ kind, document }) => ({
            kind,
            id: document.id,
            name: 'names' in document ? document.names.english : document.name,
            version: 1,
            document: JSON.stringify(document),
            savedAt: clock.now(),
            schema: ownSchemaVersion,
            hiddenAt: null,
          })),
          { transaction },
        )
        for (const document of plan.sessions) await sessions.create(document, transaction)
        return {
          sessions: plan.sessions.map(({ id }) => id),
          alreadyHere: plan.alreadyHere,
          blocks: plan.blocks,
          own: plan.own.map(({ kind }) => ({ kind })),
        }
      })
    },
  }
}

function refuseUnknown(sessions: readonly Session[], blocks: readonly Block[], own: readonly OwnThing[]): void {
  const catalog = withOwn(shippedCatalog, own)
  const [school = ''] = catalog.schools.keys()
  const named = [
    ...sessions.flatMap((session, index) =>
      unknownReferences(session, catalog).map(({ path, id }) => ({ path: `sessions[${String(index)}].${path}`, id })),
    ),
    ...unknownReferences({ schoolId: school, blocks: [...blocks] }, catalog),
  ]
  if (named.length === 0) return
  const refusals = named.map(({ path, id }) => ({ code: 'UNKNOWN_REFERENCE', path, facts: { id } }) as const)
  throw new ProblemError('DOCUMENT_REFUSED', {}, { path: refusals[0]?.path ?? '', refusals })
}

export type Exchange = ReturnType<typeof exchange>
