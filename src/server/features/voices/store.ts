import { Op } from 'sequelize'
import type { Transaction } from 'sequelize'
import { voiceLimits } from '#model/limits'
import { voiceSchema } from '#model/voice'
import type { Voice } from '#model/voice'
import type { Clock } from '#server/clock'
import type { Models, VoiceRow } from '#server/db/models'
import type { Database } from '#server/db/open'
import { ProblemError } from '#server/problems'

/** A recording with what is heard of it. */
export interface Heard {
  readonly voice: Voice
  readonly heard: Buffer
}

/** The same with the session it is of. */
export interface HeardOf extends Heard {
  readonly sessionId: string
}

/** Sentences of sessions in the teacher's voice; each stays with its session for as long as that can be brought back. */
export function voiceStore({ models, inTransaction }: Database, clock: Clock) {
  const at = { models, clock }
  return {
    /** Throws UNKNOWN_SESSION. */
    async list(sessionId: string): Promise<readonly Voice[]> {
      await refuseUnknown(models, sessionId)
      return listOf(models, sessionId)
    },
    /** Keeps a recording, over one of the same words. Throws UNKNOWN_SESSION, ID_TAKEN, VOICES_FULL. */
    put: (sessionId: string, voice: Voice, heard: Buffer): Promise<void> =>
      inTransaction(async (transaction) => {
        await refuseUnknown(models, sessionId, transaction)
        await put(at, sessionId, { voice, heard }, transaction)
      }),
    /** Throws UNKNOWN_VOICE. */
    remove: (sessionId: string, id: string): Promise<void> =>
      inTransaction(async (transaction) => {
        await refuseUnknown(models, sessionId, transaction)
        const removed = await models.voices.destroy({ where: { id, sessionId }, transaction })
        if (removed === 0) throw new ProblemError('UNKNOWN_VOICE', { id })
      }),
    /** Throws UNKNOWN_VOICE. */
    async find(sessionId: string, id: string): Promise<Heard> {
      await refuseUnknown(models, sessionId)
      const row = await models.voices.findOne({ where: { id, sessionId } })
      const voice = row ? voiceOf(row) : undefined
      if (!row || !voice) throw new ProblemError('UNKNOWN_VOICE', { id })
      return { voice, heard: row.heard }
    },
    /** Copies what other sessions have of these words and this one lacks, the newest of each. Says what it has then. */
    take: (sessionId: string, texts: readonly string[], newId: () => string): Promise<readonly Voice[]> =>
      inTransaction(async (transaction) => {
        await refuseUnknown(models, sessionId, transaction)
        const has = new Set((await listOf(models, sessionId, transaction)).map(({ text }) => text))
        const wanted = [...new Set(texts)].filter((text) => !has.has(text))
        for (const text of wanted) {
          const row = await newestElsewhere(models, sessionId, text, transaction)
          const voice = row ? voiceOf(row) : undefined
          if (row && voice)
            await put(at, sessionId, { voice: { ...voice, id: newId() }, heard: row.heard }, transaction)
        }
        return listOf(models, sessionId, transaction)
      }),
    /** All of some sessions, to go out with them. */
    async ofSessions(sessionIds: readonly string[]): Promise<readonly HeardOf[]> {
      const rows = await models.voices.findAll({ where: { sessionId: [...sessionIds] }, order: [['text', 'ASC']] })
      return rows.flatMap((row) => {
        const voice = voiceOf(row)
        return voice ? [{ sessionId: row.sessionId, voice, heard: row.heard }] : []
      })
    },
    /** Those that came in with sessions, within the transaction that brings them; what a session has stays. */
    async bring(carried: readonly HeardOf[], transaction: Transaction): Promise<void> {
      for (const { sessionId, voice, heard } of carried) {
        const there = await models.voices.findOne({ where: { sessionId, text: voice.text }, transaction })
        if (!there) await put(at, sessionId, { voice, heard }, transaction)
      }
    },
  }
}
export type VoiceStore = ReturnType<typeof voiceStore>

interface At {
  readonly models: Models
  readonly clock: Clock
}

async function put(
  { models, clock }: At,
  sessionId: string,
  { voice, heard }: Heard,
  transaction: Transaction,
): Promise<void> {
  const taken = await models.voices.findByPk(voice.id, { attributes: ['sessionId'], transaction })
  if (taken && taken.sessionId !== sessionId) throw new ProblemError('ID_TAKEN', { id: voice.id })
  await models.voices.destroy({
    where: { sessionId, [Op.or]: [{ text: voice.text }, { id: voice.id }] },
    transaction,
  })
  const others = await models.voices.sum('bytes', { where: { sessionId }, transaction })
  // Sequelize has null for the sum of nothing.
  if (Number(others) + voice.bytes > voiceLimits.ofSessionBytes)
    throw new ProblemError('VOICES_FULL', { mostMb: voiceLimits.ofSessionBytes / 1024 ** 2 })
  await models.voices.create({ ...voice, sessionId, heard, savedAt: clock.now() }, { transaction })
}

async function refuseUnknown({ sessions }: Models, id: string, transaction?: Transaction): Promise<void> {
  const row = await sessions.findByPk(id, { attributes: ['deletedAt'], transaction })
  if (!row || row.deletedAt) throw new ProblemError('UNKNOWN_SESSION', { id })
}

const known = ['id', 'text', 'type', 'bytes', 'lengthMs'] as const

async function listOf({ voices }: Models, sessionId: string, transaction?: Transaction): Promise<readonly Voice[]> {
  const rows = await voices.findAll({
    attributes: [...known],
    where: { sessionId },
    order: [['text', 'ASC']],
    transaction,
  })
  return rows.flatMap((row) => voiceOf(row) ?? [])
}

/** Of sessions that are there, also of those put away. */
async function newestElsewhere(
  { voices, sessions }: Models,
  sessionId: string,
  text: string,
  transaction: Transaction,
): Promise<VoiceRow | undefined> {
  const rows = await voices.findAll({
    // What is heard is read of the one alone.
    attributes: ['id', 'sessionId'],
    where: { text, sessionId: { [Op.ne]: sessionId } },
    order: [['savedAt', 'DESC']],
    transaction,
  })
  for (const row of rows) {
    const session = await sessions.findByPk(row.sessionId, { attributes: ['deletedAt'], transaction })
    if (session && !session.deletedAt) return (await voices.findByPk(row.id, { transaction })) ?? undefined
  }
  return undefined
}

/** One that cannot be read is as if it were not there: nothing is heard of it. */
export const voiceOf = ({ id, text, type, bytes, lengthMs }: VoiceRow): Voice | undefined =>
  voiceSchema.safeParse({ id, text, type, bytes, lengthMs }).data
