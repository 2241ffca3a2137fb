import type { Problem } from '#model/problem'
import { teacherHere } from '#web/shared/teachers/teacher-here.ts'

/** An answer of the server, a problem it named, or no answer at all. */
export type Reply<T> =
  | { readonly kind: 'ok'; readonly value: T; readonly version: number }
  | { readonly kind: 'problem'; readonly problem: Problem }
  | { readonly kind: 'away' }

/** Why something was not done, as the server said it; or that it does not answer. */
export const whyNot = (
  reply: Exclude<Reply<unknown>, { kind: 'ok' }>,
  away = 'Zovrin’s server does not answer: start it and try again.',
): string => (reply.kind === 'problem' ? reply.problem.detail : away)

/** Heard when the server says that nobody is signed in, or somebody else than this page is of. */
let tellSignedOut: () => void = () => undefined
export function onSignedOut(hear: () => void): void {
  tellSignedOut = hear
}

interface Request {
  readonly method?: 'GET' | 'POST' | 'PUT' | 'DELETE'
  readonly body?: unknown
  /** Sent as it is, in place of a body: a sound. */
  readonly file?: Blob
  /** What is answered is a file. */
  readonly isFile?: boolean
  /** The version a change is based on, sent as If-Match. */
  readonly based?: number
  readonly headers?: Readonly<Record<string, string>>
  /** Past this the server counts as away. */
  readonly patienceMs?: number
}

/** Longer than any answer of a server on this machine takes: past it, it counts as away. A large file takes longer. */
const usualPatienceMs = 10_000
const filePatienceMs = 120_000

/** Asks the API; never throws. A server that breaks (5xx without a problem) counts as away. */
export async function ask<T>(
  path: string,
  { method = 'GET', body, file, isFile = false, based, headers, patienceMs = usualPatienceMs }: Request = {},
): Promise<Reply<T>> {
  const teacher = teacherHere()
  try {
    const response = await fetch(`/api${path}`, {
      method,
      signal: AbortSignal.timeout(file ? filePatienceMs : patienceMs),
      headers: {
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        ...(file ? { 'Content-Type': file.type } : {}),
        ...(based === undefined ? {} : { 'If-Match': `"${String(based)}"` }),
        ...(teacher ? { 'X-Zovrin-Teacher': teacher.id } : {}),
        ...headers,
      },
      ...(file ? { body: file } : body === undefined ? {} : { body: JSON.stringify(body) }),
    })
    if (response.ok) {
      const value = response.status === 204 ? undefined : await (isFile ? response.blob() : response.json())
      return { kind: 'ok', value: value as T, version: versionOf(response) }
    }
    if (!response.headers.get('Content-Type')?.startsWith('application/problem+json')) return { kind: 'away' }
    const problem = (await response.json()) as Problem
    if (problem.code !== 'NOT_SIGNED_IN') return { kind: 'problem', problem }
    // What was not taken waits, as with the server away, until somebody is.
    tellSignedOut()
    return { kind: 'away' }
  } catch {
    return { kind: 'away' }
  }
}

const versionOf = (response: Response): number => Number(/\d+/.exec(response.headers.get('ETag') ?? '')?.[0] ?? 0)
