import type { Problem } from '#model/problem'
import type { Refusal } from '#model/refusal'

/** Every error reply there is: its status and what it says. Facts are put in place of `{names}`. */
export const problemTable = {
  MALFORMED_JSON: {
    status: 400,
    title: 'The request is not JSON',
    detail: 'The body could not be read as JSON: send it again, whole.',
  },
  WRONG_CONTENT_TYPE: { status: 415, title: 'Not sent as JSON', detail: 'The body must be sent as application/json.' },
  BODY_TOO_LARGE: {
    status: 413,
    title: 'The document is too large',
    detail: 'A document may take up to {mostKb} kB: shorten its texts or split the session.',
  },
  DOCUMENT_REFUSED: { status: 422, title: 'The document is refused', detail: '{first}' },
  UNKNOWN_REFERENCE: {
    status: 422,
    title: 'Something named in the document does not exist',
    detail: '{path} names "{id}", which is not on the shelf: choose another or restore it.',
  },
  SCHEMA_NEWER: {
    status: 409,
    title: 'Written by a newer Zovrin',
    detail: 'The document has schema {schema}, this Zovrin reads up to {known}: update Zovrin to open it.',
  },
  UNKNOWN_SESSION: {
    status: 404,
    title: 'No such session',
    detail: 'There is no session "{id}": it may have been removed. Open the list of sessions.',
  },
  UNKNOWN_CLASS: { status: 404, title: 'No such class', detail: 'There is no led class "{id}": open the journal.' },
  RECORD_OLDER: {
    status: 409,
    title: 'A fuller record is kept already',
    detail: 'The record sent has {sent} events, the kept one {kept}: nothing was changed.',
  },
  UNKNOWN_VERSION: { status: 404, title: 'No such version', detail: 'Session "{id}" has no kept version {version}.' },
  UNKNOWN_OWN: {
    status: 404,
    title: 'Not among your own',
    detail: 'There is no {kind} "{id}" of your own: it may have been removed. Reload the shelf.',
  },
  IN_USE: { status: 409, title: 'Still in use', detail: '"{name}" is used in {where}: change it there first.' },
  UNKNOWN_ADDRESS: { status: 404, title: 'No such address', detail: 'There is nothing at {path}.' },
  ID_TAKEN: {
    status: 409,
    title: 'That id is taken',
    detail: 'A session "{id}" exists already: change it with PUT, or send a new id.',
  },
  ID_MISMATCH: {
    status: 422,
    title: 'Two different ids',
    detail: 'The address names "{address}" and the document "{document}": send the same id in both.',
  },
  VERSION_MISSING: {
    status: 428,
    title: 'No version given',
    detail: 'Send the version you changed in the header If-Match.',
  },
  VERSION_STALE: {
    status: 412,
    title: 'Changed elsewhere in the meantime',
    detail: 'You changed version {based}, the session is at version {current}: keep yours or take the other.',
  },
  WRONG_HOST: { status: 421, title: 'Wrong host', detail: 'This Zovrin answers only on this machine, at {host}.' },
  WRONG_ORIGIN: { status: 403, title: 'Wrong origin', detail: 'Changes are taken only from Zovrin’s own pages.' },
  INTERNAL: {
    status: 500,
    title: 'Something broke in Zovrin',
    detail: 'The server met a mistake of its own. Nothing was changed; what you typed is kept in the window.',
  },
} as const satisfies Record<string, { status: number; title: string; detail: string }>

export type ProblemCode = keyof typeof problemTable
type Facts = Record<string, string | number | boolean>

/** A refusal on its way to the reply: routes throw it, one handler sends it. */
export class ProblemError extends Error {
  readonly problem: Problem

  constructor(code: ProblemCode, facts: Facts = {}, more: { path?: string; refusals?: readonly Refusal[] } = {}) {
    super(code)
    this.name = 'ProblemError'
    this.problem = makeProblem(code, facts, more)
  }
}

export function makeProblem(
  code: ProblemCode,
  facts: Facts = {},
  more: { path?: string; refusals?: readonly Refusal[] } = {},
): Problem {
  const { status, title, detail } = problemTable[code]
  const filled = detail.replace(/\{(\w+)\}/g, (_, name: string) => String(facts[name] ?? ''))
  return { type: `urn:zovrin:problem:${code.toLowerCase()}`, code, status, title, detail: filled, facts, ...more }
}
