import type { BackupTrouble } from './backup.ts'
import type { OwnKind } from './own.ts'
import type { Refusal } from './refusal.ts'

/** Every error reply there is, with its facts; its status stands in the server, its words in the words. */
export interface ProblemFacts {
  MALFORMED_JSON: object
  WRONG_CONTENT_TYPE: object
  BODY_TOO_LARGE: { mostKb: number }
  DOCUMENT_REFUSED: object
  UNKNOWN_REFERENCE: { id: string }
  TECHNIQUE_NOT_COUNTED: { id: string }
  NOT_SESSIONS: { format: string }
  SCHEMA_NEWER: { schema: number; known: number }
  UNKNOWN_SESSION: { id: string }
  UNKNOWN_CLASS: { id: string }
  CLASS_TAKEN: { id: string }
  CLASS_ENDED: { id: string }
  MARK_TAKEN: { id: string }
  EVENTS_MISSING: { after: number; kept: number }
  UNKNOWN_VERSION: { id: string; version: string | number }
  UNKNOWN_OWN: { kind: OwnKind; id: string }
  UNKNOWN_PLACE: { id: string }
  UNKNOWN_PLANNED: { id: string }
  UNKNOWN_PERSON: object
  UNKNOWN_SERIES: { id: string }
  UNKNOWN_LONG_DAY: { id: string }
  IN_USE: { name: string; where: string; sessions: readonly { id: string; name: string }[] }
  /** Another device leads: what was told is kept beside the record. */
  LED_ELSEWHERE: { name: string }
  NOT_PAIRED: object
  CODE_WRONG: { left: number }
  CODE_OVER: object
  PAIRING_CLOSED: { minutes: number }
  NOT_FOR_THIS_DEVICE: object
  WRONG_LISTENER: object
  ROOM_UNREACHABLE: { address: string }
  UNKNOWN_DEVICE: { id: string }
  UNKNOWN_SOUND: { id: string }
  SOUND_NOT_HEARD: object
  SOUND_TOO_LARGE: { mostMb: number }
  UNKNOWN_BACKUP: { name: string }
  ARCHIVE_TOO_LARGE: { mostMb: number }
  ARCHIVE_TROUBLE: { trouble: BackupTrouble }
  BACKUP_TROUBLE: { trouble: BackupTrouble }
  CLASS_RUNS: object
  RESTORING: object
  UNKNOWN_VOICE: { id: string }
  VOICE_TOO_LARGE: { mostS: number }
  VOICES_FULL: { mostMb: number }
  NOT_SIGNED_IN: object
  /** The name or the secret; which of them is not told. */
  SIGN_IN_WRONG: { kind: 'accounts' | 'machine' }
  SIGN_IN_CLOSED: { minutes: number }
  NOT_KEEPER: object
  UNKNOWN_TEACHER: object
  TEACHER_TAKEN: { name: string }
  /** There are teachers already: nobody begins any more. */
  TEACHERS_THERE: object
  /** The one there is has no name yet. */
  NO_TEACHER_YET: object
  LAST_KEEPER: object
  /** A planned class that a colleague has for its day. */
  CLASS_HANDED: { name: string }
  CLASS_LED: object
  /** A record of a class that was not handed over as a file. */
  NOT_HANDED: object
  UNKNOWN_REMARK: { id: string }
  SECRET_WEAK: { kind: 'accounts' | 'machine' }
  /** A colleague made it. */
  NOT_YOURS: { name: string; maker: string }
  UNKNOWN_ADDRESS: { path: string }
  ID_TAKEN: { id: string }
  ID_MISMATCH: { address: string; document: string }
  VERSION_MISSING: object
  VERSION_STALE: { based: number; current: number }
  WRONG_HOST: { host: string }
  WRONG_ORIGIN: object
  DOCUMENT_UNREADABLE: { kind: string }
  WRONG_METHOD: { method: string; allowed: string }
  WRONG_CONDITION: object
  WRONG_RANGE: object
  WRONG_ENCODING: object
  TEXT_UNREADABLE: object
  DOCUMENT_TOO_MANIFOLD: { mostValues: number; mostInOne: number; mostDeep: number }
  DISK_FULL: object
  INTERNAL: object
}
export type ProblemCode = keyof ProblemFacts

/** A refusal with its sentence, as a reply carries it. */
export type ToldRefusal = Refusal & { readonly sentence: string }

/** An error reply of the API (`application/problem+json`). */
export interface Problem {
  readonly type: string
  readonly code: ProblemCode
  readonly status: number
  readonly title: string
  /** One sentence for the teacher: what is wrong, where, what to do. */
  readonly detail: string
  /** Where in the document it is; null for a problem of a kind that is nowhere in it. */
  readonly path: string | null
  readonly refusals?: readonly ToldRefusal[]
  readonly facts?: ProblemFacts[ProblemCode]
}

/** The facts of a problem of one code; undefined for any other. */
export const factsOf = <Code extends ProblemCode>(problem: Problem, code: Code): ProblemFacts[Code] | undefined =>
  problem.code === code ? (problem.facts as ProblemFacts[Code] | undefined) : undefined
