import type { Voice } from '#model/voice'
import { ask } from './client.ts'

/** The recorded sentences of a session. */
export const listVoices = (sessionId: string) => ask<readonly Voice[]>(`/voices/${sessionId}`)
/** Keeps a recording, over one of the same words. */
export const keepVoice = (
  sessionId: string,
  { id, text, lengthMs }: Pick<Voice, 'id' | 'text' | 'lengthMs'>,
  file: Blob,
) => {
  const said = new URLSearchParams({ text, lengthMs: String(lengthMs) })
  return ask<Voice>(`/voices/${sessionId}/${id}?${said.toString()}`, { method: 'PUT', file })
}
export const removeVoice = (sessionId: string, id: string) =>
  ask<undefined>(`/voices/${sessionId}/${id}`, { method: 'DELETE' })
/** Copies what other sessions have of these words. */
export const takeVoices = (sessionId: string, texts: readonly string[]) =>
  ask<readonly Voice[]>(`/voices/${sessionId}/taken`, { method: 'POST', body: { texts } })
/** Where a recording is heard. */
export const voiceAt = (sessionId: string, id: string): string => `/api/voices/${sessionId}/${id}/heard`
