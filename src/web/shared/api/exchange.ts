import type { Block } from '#model/block'
import type { Envelope, VoicedEnvelope } from '#model/envelope'
import { ask } from './client.ts'

export interface Imported {
  readonly sessions: readonly string[]
  readonly alreadyHere: readonly string[]
  readonly blocks: readonly Block[]
  readonly own: readonly { readonly kind: string }[]
}

/** Recordings go with a session: a large file, which takes its time. */
const largeMs = 120_000

/** A session as a file; on request with the recordings of its sentences. */
export const exportSession = (id: string, { voice = false } = {}) =>
  ask<Envelope | VoicedEnvelope>(`/exchange/sessions/${id}${voice ? '?voice' : ''}`, { patienceMs: largeMs })
export const importEnvelope = (envelope: unknown) =>
  ask<Imported>('/exchange', { method: 'POST', body: envelope, patienceMs: largeMs })
