import { nanoid } from 'nanoid'
import type { Transaction } from 'sequelize'
import type { Block } from '#model/block'
import { voicedEnvelopeVersion } from '#model/envelope'
import type { Envelope, VoicedEnvelope } from '#model/envelope'
import { ownSchemaVersion } from '#model/own'
import type { OwnThing } from '#model/own'
import { sessionLimits } from '#model/limits'
import { sessionSchemaVersion } from '#model/session'
import type { Session } from '#model/session'
import type { VoiceCarried } from '#model/voice'
import { slipsIn, slipsInBlocks, unknownInOwn, withOwn } from '#core/session'
import { inTheWayOf } from '#core/timeline'
import { makeEnvelope, planImport } from '#formats/session-envelope'
import type { Ids, ImportPlan } from '#formats/session-envelope'
import { shippedCatalog } from '#library/shipped'
import type { Clock } from '#server/clock'
import type { Database } from '#server/db/open'
import { isShipped } from '#server/features/own/former-counts'
import type { OwnStore } from '#server/features/own/store'
import type { SessionStore } from '#server/features/sessions/store'
import type { HeardOf, VoiceStore } from '#server/features/voices/store'
import { readableDocument } from '#server/features/sessions/migrate-document'
import { mostBodyKb } from '#server/http/body'
import { ProblemError } from '#server/problems'

/** What came in: the sessions that were added and those that were here, or the blocks ready to be put in. */
export interface Imported {
  readonly sessions: readonly string[]
  readonly alreadyHere: readonly string[]
  readonly blocks: readonly Block[]
  readonly own: readonly Pick<OwnThing, 'kind'>[]
}

const shippedIds = new Set([
  ...shippedCatalog.poses.keys(),
  ...shippedCatalog.schools.keys(),
  ...[...shippedCatalog.poses.values()].flatMap(({ variants }) => variants.map(({ id }) => id)),
])

/** Sessions and blocks out of this Zovrin and into it, with the own things they stand on. */
export function exchange(database: Database, stores: Stores, clock: Clock) {
  const { models, inTransaction } = database
  const { own, sessions, voices } = stores
  return {
    /** With the recordings of their sentences where they are asked for, and there are any. Throws UNKNOWN_SESSION. */
    async exportSessions(ids: readonly string[], isVoiced = false): Promise<Envelope | VoicedEnvelope> {
      const stored = (await Promise.all(ids.map((id) => sessions.find(id)))).map(({ document }) => document)
      const envelope = makeEnvelope({ sessions: stored }, await own.list())
      const carried = isVoiced ? (await voices.ofSessions(ids)).map(carriedOf) : []
      if (carried.length === 0) return envelope
      return { ...envelope, version: voicedEnvelopeVersion, sessions: stored, voices: carried }
    },

    /** All of it or nothing. Throws DOCUMENT_REFUSED with every id that is named and is nowhere. */
    async take(envelope: Envelope): Promise<Imported> {
      const { ids: _ids, ...imported } = await inTransaction((transaction) => takeWithin(envelope, transaction))
      return imported
    },
    takeWithin,
  }

  /** The same within a transaction; and what the file's own things have come to be here. */
  async function takeWithin(envelope: Envelope, transaction: Transaction): Promise<Imported & { readonly ids: Ids }> {
    const ownThings = await own.list(transaction)
    const { rows, there } = await thereOf(database, envelope, transaction)
    // Also those that cannot be read: their ids are taken all the same.
    const ownRows = await models.ownThings.findAll({ attributes: ['id'], transaction })
    const takenIds = new Set([...shippedIds, ...ownRows.map(({ id }) => id)])
    const plan = planImport(envelope, { own: ownThings, sessions: there, takenIds, isShipped }, nanoid)
    refuseUnplannable(plan, [...ownThings, ...plan.own.map((thing) => ({ ...thing, version: 1 }))])
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
    const carried = (envelope.voices ?? []).map((one) => heardOf(one, plan.ids.session))
    refuseStrange(carried, new Set([...plan.sessions.map(({ id }) => id), ...plan.alreadyHere]))
    await voices.bring(carried, transaction)
    // One that was deleted is brought back by the file that holds it word for word.
    const deleted = rows.filter(({ id, deletedAt }) => deletedAt && plan.alreadyHere.includes(id)).map(({ id }) => id)
    await models.sessions.update({ deletedAt: null }, { where: { id: deleted }, transaction })
    return {
      sessions: [...plan.sessions.map(({ id }) => id), ...deleted],
      alreadyHere: plan.alreadyHere.filter((id) => !deleted.includes(id)),
      blocks: plan.blocks,
      own: plan.own.map(({ kind }) => ({ kind })),
      ids: plan.ids,
    }
  }
}

/** The sessions of an envelope that are here already, as this teacher has them. */
async function thereOf({ models, all }: Database, envelope: Envelope, transaction: Transaction) {
  const ids = (envelope.sessions ?? []).map(({ id }) => id)
  const rows = await models.sessions.findAll({ where: { id: ids }, transaction })
  const taken = await all.sessions.findAll({ attributes: ['id'], where: { id: ids }, transaction })
  return {
    rows,
    there: new Map<string, Session | undefined>([
      // One of a colleague's is as one that cannot be read: its id is taken.
      ...taken.map(({ id }) => [id, undefined] as const),
      ...rows.map(({ id, document }) => [id, readableDocument(document)] as const),
    ]),
  }
}

interface Stores {
  readonly own: OwnStore
  readonly sessions: SessionStore
  readonly voices: VoiceStore
}

/** A recording as it goes out: what is heard of it as text. */
const carriedOf = ({ sessionId, voice: { text, lengthMs, type }, heard }: HeardOf): VoiceCarried => ({
  ...{ sessionId, text, lengthMs, type, heard: heard.toString('base64') },
})

/** One that came in, under an id of its own, of the session as that is called here. */
function heardOf({ sessionId, heard, ...said }: VoiceCarried, sessionIds: ReadonlyMap<string, string>): HeardOf {
  const bytes = Buffer.from(heard, 'base64')
  const voice = { ...said, id: nanoid(), bytes: bytes.length }
  return { sessionId: sessionIds.get(sessionId) ?? sessionId, voice, heard: bytes }
}

/** Throws UNKNOWN_REFERENCE for a recording of a session that did not come with it. */
function refuseStrange(carried: readonly HeardOf[], sessionIds: ReadonlySet<string>): void {
  const at = carried.findIndex(({ sessionId }) => !sessionIds.has(sessionId))
  const id = carried[at]?.sessionId
  if (id !== undefined) throw new ProblemError('UNKNOWN_REFERENCE', { id }, { path: `voices[${String(at)}].sessionId` })
}

/** Everything saving would refuse, with its place in the file; and what could never be saved back for its size. */
function refuseUnplannable({ sessions, blocks, own: added }: ImportPlan, own: readonly OwnThing[]): void {
  const catalog = withOwn(shippedCatalog, own)
  const big = sessions.findIndex((session) => Buffer.byteLength(JSON.stringify(session)) > mostBodyKb * 1024)
  if (big >= 0) throw new ProblemError('BODY_TOO_LARGE', { mostKb: mostBodyKb }, { path: `sessions[${String(big)}]` })
  const refusals = [
    ...added.flatMap((thing) =>
      unknownInOwn(thing, catalog).map(
        ({ path, id }) => ({ code: 'UNKNOWN_REFERENCE', path: `own.${path}`, facts: { id } }) as const,
      ),
    ),
    ...sessions.flatMap((session, index) =>
      [...slipsIn(session), ...inTheWayOf(session, catalog)].map((one) => ({
        ...one,
        path: `sessions[${String(index)}].${one.path}`,
      })),
    ),
    ...slipsInBlocks(blocks),
    ...inTheWayOf({ ...around, blocks: [...blocks] }, catalog),
  ]
  if (refusals.length > 0) throw new ProblemError('DOCUMENT_REFUSED', {}, { path: refusals[0]?.path ?? '', refusals })
}

/** What copied blocks stand in until they are put somewhere. */
const around: Session = {
  schema: sessionSchemaVersion,
  id: 'blocks',
  name: 'Blocks',
  practice: 'mixed',
  level: 'regular',
  lengthS: sessionLimits.mostS,
  schoolId: [...shippedCatalog.schools.keys()][0] ?? '',
  blocks: [],
}

export type Exchange = ReturnType<typeof exchange>
