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

/** What a change is based on must be there, and be the version that is there; throws what is unknown, or VERSION_STALE. */
export function refuseStale<Row extends { readonly version: number }>(
  unknown: 'UNKNOWN_PLACE' | 'UNKNOWN_PLANNED' | 'UNKNOWN_PERSON' | 'UNKNOWN_SERIES',
  id: string,
  there: Row | null,
  based: number,
): asserts there is Row {
  if (!there) throw new ProblemError(unknown, { id })
  if (there.version !== based) throw new ProblemError('VERSION_STALE', { based, current: there.version })
}
