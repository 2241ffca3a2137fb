import type { Problem } from '#model/problem'

/** An answer of the server, a problem it named, or no answer at all. */
export type Reply<T> =
  | { readonly kind: 'ok'; readonly value: T; readonly version: number }
  | { readonly kind: 'problem'; readonly problem: Problem }
  | { readonly kind: 'away' }

interface Request {
  readonly method?: 'GET' | 'POST' | 'PUT' | 'DELETE'
  readonly body?: unknown
  /** The version a change is based on, sent as If-Match. */
  readonly based?: number
  readonly headers?: Readonly<Record<string, string>>
}

/** Longer than any answer of a server on this machine takes: past it, it counts as away. */
const patienceMs = 10_000

/** Asks the API; never throws. A server that breaks (5xx without a problem) counts as away. */
export async function ask<T>(path: string, { method = 'GET', body, based, headers }: Request = {}): Promise<Reply<T>> {
  try {
    const response = await fetch(`/api${path}`, {
      method,
      signal: AbortSignal.timeout(patienceMs),
      headers: {
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        ...(based === undefined ? {} : { 'If-Match': `"${String(based)}"` }),
        ...headers,
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
    if (response.ok) {
      const value = response.status === 204 ? undefined : await response.json()
      return { kind: 'ok', value: value as T, version: versionOf(response) }
    }
    if (!response.headers.get('Content-Type')?.startsWith('application/problem+json')) return { kind: 'away' }
    return { kind: 'problem', problem: (await response.json()) as Problem }
  } catch {
    return { kind: 'away' }
  }
}

const versionOf = (response: Response): number => Number(/\d+/.exec(response.headers.get('ETag') ?? '')?.[0] ?? 0)
