import type { Request, Response } from 'express'
import { ProblemError } from '#server/problems'

/** What is heard of a request's body, and the kind of file it says it is. Throws SOUND_NOT_HEARD. */
export function heardIn(request: Pick<Request, 'get'> & { readonly body?: unknown }): {
  readonly heard: Buffer
  readonly type: string | undefined
} {
  const { body } = request
  if (!Buffer.isBuffer(body) || body.length === 0) throw new ProblemError('SOUND_NOT_HEARD', {})
  return { heard: body, type: request.get('Content-Type')?.split(';')[0]?.trim().toLowerCase() }
}

/** Whatever the file holds, it is handed out as a sound and nothing else. */
export const sendHeard = (response: Response, type: string): Response =>
  response.set({ 'Content-Type': type, 'X-Content-Type-Options': 'nosniff' })
