import type { Problem, ProblemCode, ProblemFacts } from '#model/problem'
import type { Refusal } from '#model/refusal'
import { problemWords } from '#words/problems'
import { refusalSentence } from '#words/refusals'

/** Every error reply there is, with its status; its words stand in the words. */
export const problemStatus: Readonly<Record<ProblemCode, number>> = {
  MALFORMED_JSON: 400,
  WRONG_CONTENT_TYPE: 415,
  BODY_TOO_LARGE: 413,
  DOCUMENT_REFUSED: 422,
  UNKNOWN_REFERENCE: 422,
  TECHNIQUE_NOT_COUNTED: 422,
  NOT_SESSIONS: 422,
  SCHEMA_NEWER: 409,
  UNKNOWN_SESSION: 404,
  UNKNOWN_CLASS: 404,
  CLASS_TAKEN: 409,
  CLASS_ENDED: 409,
  MARK_TAKEN: 409,
  EVENTS_MISSING: 409,
  UNKNOWN_VERSION: 404,
  UNKNOWN_OWN: 404,
  UNKNOWN_PLACE: 404,
  UNKNOWN_PLANNED: 404,
  UNKNOWN_PERSON: 404,
  UNKNOWN_SERIES: 404,
  UNKNOWN_LONG_DAY: 404,
  IN_USE: 409,
  LED_ELSEWHERE: 409,
  NOT_PAIRED: 401,
  CODE_WRONG: 403,
  CODE_OVER: 403,
  PAIRING_CLOSED: 429,
  NOT_FOR_THIS_DEVICE: 403,
  WRONG_LISTENER: 403,
  ROOM_UNREACHABLE: 422,
  UNKNOWN_DEVICE: 404,
  UNKNOWN_SOUND: 404,
  SOUND_NOT_HEARD: 415,
  SOUND_TOO_LARGE: 413,
  UNKNOWN_BACKUP: 404,
  ARCHIVE_TOO_LARGE: 413,
  ARCHIVE_TROUBLE: 422,
  BACKUP_TROUBLE: 422,
  CLASS_RUNS: 409,
  RESTORING: 503,
  UNKNOWN_VOICE: 404,
  VOICE_TOO_LARGE: 413,
  VOICES_FULL: 413,
  NOT_SIGNED_IN: 401,
  SIGN_IN_WRONG: 401,
  SIGN_IN_CLOSED: 429,
  NOT_KEEPER: 403,
  UNKNOWN_TEACHER: 404,
  TEACHER_TAKEN: 409,
  TEACHERS_THERE: 409,
  NO_TEACHER_YET: 409,
  LAST_KEEPER: 409,
  CLASS_HANDED: 409,
  CLASS_LED: 409,
  NOT_HANDED: 409,
  UNKNOWN_REMARK: 404,
  SECRET_WEAK: 422,
  NOT_YOURS: 403,
  UNKNOWN_ADDRESS: 404,
  ID_TAKEN: 409,
  ID_MISMATCH: 422,
  VERSION_MISSING: 428,
  VERSION_STALE: 412,
  WRONG_HOST: 421,
  WRONG_ORIGIN: 403,
  DOCUMENT_UNREADABLE: 409,
  WRONG_METHOD: 405,
  WRONG_CONDITION: 412,
  WRONG_RANGE: 416,
  WRONG_ENCODING: 415,
  TEXT_UNREADABLE: 422,
  DOCUMENT_TOO_MANIFOLD: 422,
  DISK_FULL: 507,
  INTERNAL: 500,
}

interface Where {
  readonly path?: string
  readonly refusals?: readonly Refusal[]
  /** How many there are, where not all of them are given. */
  readonly total?: number
}

/** So many refusals are told; of the others only how many they are. */
export const mostTold = 50

/** A refusal on its way to the reply: routes throw it, one handler sends it. */
export class ProblemError<Code extends ProblemCode = ProblemCode> extends Error {
  readonly problem: Problem

  constructor(code: Code, facts: ProblemFacts[Code], where: Where = {}) {
    super(code)
    this.name = 'ProblemError'
    this.problem = makeProblem(code, facts, where)
  }
}

export function makeProblem<Code extends ProblemCode>(
  code: Code,
  facts: ProblemFacts[Code],
  { path, refusals, total = refusals?.length }: Where = {},
): Problem {
  return {
    type: `urn:zovrin:problem:${code.toLowerCase()}`,
    code,
    status: problemStatus[code],
    ...problemWords(code, facts, {
      ...(path === undefined ? {} : { path }),
      ...(refusals && total !== undefined ? { refusals, total } : {}),
    }),
    facts,
    path: path ?? null,
    ...(refusals
      ? { refusals: refusals.slice(0, mostTold).map((one) => ({ ...one, sentence: refusalSentence(one) })) }
      : {}),
  }
}
