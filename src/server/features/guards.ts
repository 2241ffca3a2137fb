import type { Request } from 'express'
import { ProblemError } from '#server/problems'

/** The version a change is based on, from If-Match; throws VERSION_MISSING. */
export function basedOn(request: Pick<Request, 'get'>): number {
  const version = /^"?(\d{1,9})"?$/.exec(request.get('If-Match')?.trim() ?? '')?.[1]
  if (version === undefined) throw new ProblemError('VERSION_MISSING', {})
  return Number(version)
}

/** The address and the document must name the same thing; throws ID_MISMATCH. */
export function sameId(address: string, document: string): void {
  if (address !== document) throw new ProblemError('ID_MISMATCH', { address, document }, { path: 'id' })
}
