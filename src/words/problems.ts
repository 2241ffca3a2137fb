import { backupTroubleWords } from './backups.ts'
import type { ProblemCode, ProblemFacts } from '#model/problem'
import type { Refusal } from '#model/refusal'
import { fieldName } from './fields.ts'
import { refusalSentence } from './refusals.ts'
import { counted } from './text.ts'

interface ProblemWords {
  readonly title: string
  /** One sentence for the teacher: what is wrong, where, what to do. */
  readonly detail: string
}

interface Where {
  readonly path?: string
  readonly refusals?: readonly Refusal[]
  /** How many there are, where not all of them are given. */
  readonly total?: number
}

const words: { readonly [Code in ProblemCode]: (facts: ProblemFacts[Code], where: Where) => ProblemWords } = {
  MALFORMED_JSON: () => ({
    title: 'The request is not JSON',
    detail: 'The body could not be read as JSON: send it again, whole.',
  }),
  WRONG_CONTENT_TYPE: () => ({ title: 'Not sent as JSON', detail: 'The body must be sent as application/json.' }),
  BODY_TOO_LARGE: ({ mostKb }) => ({
    title: 'The document is too large',
    detail: `A document may take up to ${String(mostKb)} kB: shorten its texts or split the session.`,
  }),
  DOCUMENT_REFUSED: (_, { refusals = [], total = refusals.length }) => ({
    title: 'The document is refused',
    detail: firstOf(refusals, total),
  }),
  UNKNOWN_REFERENCE: ({ id }, { path = '' }) => ({
    title: 'Something named in the document does not exist',
    detail: `${fieldName(path)}: “${id}” is not on the shelf: choose another or restore it.`,
  }),
  TECHNIQUE_NOT_COUNTED: ({ id }, { path = '' }) => ({
    title: 'A breath without counts over a hold',
    detail: `${fieldName(path)}: “${id}” has no counts of its own: give it a pattern, or choose another.`,
  }),
  NOT_SESSIONS: ({ format }) => ({
    title: 'A file of something else',
    detail: `No sessions are in this file: choose one that Zovrin saved, or one made to its published schema, whose format is “${format}”.`,
  }),
  SCHEMA_NEWER: ({ schema, known }) => ({
    title: 'Written by a newer Zovrin',
    detail: `The document has schema ${String(schema)}, this Zovrin reads up to ${String(known)}: update Zovrin to open it.`,
  }),
  UNKNOWN_SESSION: ({ id }) => ({
    title: 'No such session',
    detail: `There is no session “${id}”: it may have been removed. Open the list of sessions.`,
  }),
  UNKNOWN_CLASS: ({ id }) => ({ title: 'No such class', detail: `There is no led class “${id}”: open the journal.` }),
  CLASS_TAKEN: ({ id }) => ({
    title: 'Another class has that id',
    detail: `Another class “${id}” is kept already: nothing was changed.`,
  }),
  MARK_TAKEN: ({ id }) => ({
    title: 'Another mark has that id',
    detail: `Another mark “${id}” is kept already: nothing was changed.`,
  }),
  CLASS_ENDED: ({ id }) => ({
    title: 'The class is over',
    detail: `The class “${id}” has ended and its record is kept as it is: nothing was changed.`,
  }),
  EVENTS_MISSING: ({ after, kept }) => ({
    title: 'Events are missing in between',
    detail: `${String(kept)} events are kept and these come after ${String(after)}: send those from ${String(kept + 1)} on.`,
  }),
  UNKNOWN_VERSION: ({ id, version }) => ({
    title: 'No such version',
    detail: `Session “${id}” has no kept version ${String(version)}.`,
  }),
  UNKNOWN_OWN: ({ kind, id }) => ({
    title: 'Not among your own',
    detail: `There is no ${kind} “${id}” of your own: it may have been removed. Reload the shelf.`,
  }),
  UNKNOWN_PLACE: ({ id }) => ({
    title: 'No such place',
    detail: `There is no place “${id}”: it may have been taken away. Reload the page.`,
  }),
  UNKNOWN_PLANNED: ({ id }) => ({
    title: 'No such planned class',
    detail: `There is no planned class “${id}”: it may have been taken away. Reload the page.`,
  }),
  UNKNOWN_SERIES: ({ id }) => ({
    title: 'No such series',
    detail: `There is no series “${id}”: it may have been taken away. Reload the page.`,
  }),
  UNKNOWN_LONG_DAY: ({ id }) => ({
    title: 'No such day',
    detail: `There is no long day “${id}”: it may have been taken away. Reload the page.`,
  }),
  UNKNOWN_PERSON: () => ({
    title: 'No such person',
    detail: 'This person is no longer among your people: they may have been deleted. Reload the page.',
  }),
  IN_USE: ({ name, where }) => ({
    title: 'Still in use',
    detail: `“${name}” is used in ${where}: change it there first.`,
  }),
  NOT_SIGNED_IN: () => ({ title: 'Nobody is signed in', detail: 'Nobody is signed in here: sign in, then go on.' }),
  SIGN_IN_WRONG: ({ kind }) => ({
    title: 'Not let in',
    detail: `${kind === 'accounts' ? 'No teacher has this name with what was typed: look at both and try again.' : 'That is not it: try again.'} Whoever forgot theirs asks the keeper for a code.`,
  }),
  SIGN_IN_CLOSED: ({ minutes }) => ({
    title: 'Too many tries',
    detail: `It was tried in vain too often: try again in ${counted(minutes, 'minute')}.`,
  }),
  NOT_KEEPER: () => ({ title: 'For the keeper', detail: 'Only the keeper of this house may do that: ask them.' }),
  UNKNOWN_TEACHER: () => ({
    title: 'No such teacher',
    detail: 'There is no such teacher here: open the list of teachers.',
  }),
  TEACHER_TAKEN: ({ name }) => ({
    title: 'That name is taken',
    detail: `A teacher is called “${name}” already: add something that tells them apart.`,
  }),
  TEACHERS_THERE: () => ({
    title: 'There are teachers here already',
    detail: 'There are teachers here already: sign in, or ask the keeper for a code.',
  }),
  NO_TEACHER_YET: () => ({
    title: 'You have no name yet',
    detail: 'You are the only teacher here: add the second one with your own name and PIN as well.',
  }),
  LAST_KEEPER: () => ({
    title: 'The last keeper',
    detail: 'Somebody has to keep this house: make another teacher its keeper first.',
  }),
  CLASS_HANDED: ({ name }) => ({
    title: 'The class is handed over',
    detail: `${name} has this class for its day: take it back first.`,
  }),
  UNKNOWN_REMARK: ({ id }) => ({ title: 'No such remark', detail: `There is no remark “${id}” here any more.` }),
  CLASS_LED: () => ({
    title: 'The class was led',
    detail: 'It has been led already: there is nothing left to hand over or to take back.',
  }),
  NOT_HANDED: () => ({
    title: 'Not a class that was handed over as a file',
    detail:
      'The class of this record is not planned here, or was taken back: plan it and hand it over again, then bring the record in.',
  }),
  SECRET_WEAK: ({ kind }) => ({
    title: kind === 'accounts' ? 'The password is too short' : 'That is no PIN',
    detail:
      kind === 'accounts'
        ? 'A password has ten signs or more: choose a longer one.'
        : 'A PIN has four to twelve digits and nothing else: choose another.',
  }),
  NOT_YOURS: ({ name, maker }) => ({
    title: 'A colleague’s',
    detail: `“${name}” was made by ${maker === '' ? 'a colleague' : maker}: make a copy of your own, or ask them or the keeper to change it.`,
  }),
  UNKNOWN_ADDRESS: ({ path }) => ({ title: 'No such address', detail: `There is nothing at ${path}.` }),
  ID_TAKEN: ({ id }) => ({
    title: 'That id is taken',
    detail: `Something called “${id}” exists already: send a new id.`,
  }),
  ID_MISMATCH: ({ address, document }) => ({
    title: 'Two different ids',
    detail: `The address names “${address}” and the document “${document}”: send the same id in both.`,
  }),
  VERSION_MISSING: () => ({
    title: 'No version given',
    detail: 'Send the version you changed in the header If-Match.',
  }),
  VERSION_STALE: ({ based, current }) => ({
    title: 'Changed elsewhere in the meantime',
    detail: `You changed version ${String(based)}, the kept one is version ${String(current)}: keep yours or take the other.`,
  }),
  WRONG_HOST: ({ host }) => ({ title: 'Wrong host', detail: `This Zovrin answers only on this machine, at ${host}.` }),
  LED_ELSEWHERE: ({ name }) => ({
    title: 'Another device leads this class',
    detail: `${name} leads this class now: what was done here since is kept beside its record and does not count.`,
  }),
  NOT_PAIRED: () => ({
    title: 'This device is not let in',
    detail: 'This device is not let in: ask the teacher for a code and type it at /pair.',
  }),
  CODE_WRONG: ({ left }) => ({
    title: 'Not the code',
    detail: `That is not the code on the teacher’s screen: look again, ${String(left)} more ${left === 1 ? 'try' : 'tries'}.`,
  }),
  CODE_OVER: () => ({
    title: 'No code is open',
    detail: 'The code was used or is over five minutes old: ask the teacher for a new one.',
  }),
  PAIRING_CLOSED: ({ minutes }) => ({
    title: 'Too many wrong codes',
    detail: `There were five wrong codes: nobody is let in for another ${String(minutes)} min. Then ask for a new code.`,
  }),
  NOT_FOR_THIS_DEVICE: () => ({
    title: 'Not for this device',
    detail: 'This device was let in as a screen for the students: what it asked for is the teacher’s.',
  }),
  WRONG_LISTENER: () => ({
    title: 'The key of another device',
    detail: 'What another device was let in with opens nothing here: use it at the address it was given.',
  }),
  ROOM_UNREACHABLE: ({ address }) => ({
    title: 'Not an address of this machine',
    detail: `This machine cannot be reached at ${address}: is it still in the same network? Choose another address.`,
  }),
  UNKNOWN_DEVICE: ({ id }) => ({
    title: 'No such device',
    detail: `There is no device “${id}”: it is let in no more.`,
  }),
  UNKNOWN_SOUND: ({ id }) => ({
    title: 'No such sound',
    detail: `There is no sound “${id}”: the bell sounds instead.`,
  }),
  SOUND_NOT_HEARD: () => ({
    title: 'Not a sound',
    detail: 'The file is none that Zovrin plays: bring it as WAV, MP3, Ogg, Opus, FLAC, AAC or WebM.',
  }),
  SOUND_TOO_LARGE: ({ mostMb }) => ({
    title: 'The sound is too large',
    detail: `A sound may take up to ${String(mostMb)} MB: save it smaller, as MP3 or Opus, or cut it.`,
  }),
  UNKNOWN_BACKUP: ({ name }) => ({
    title: 'No such backup',
    detail: `There is no backup “${name}” here: it was cleared away, or moved. Bring it in as a file.`,
  }),
  BACKUP_TROUBLE: ({ trouble }) => ({
    title: 'The backup',
    detail: backupTroubleWords(
      trouble,
      trouble === 'folder closed' ? 'The folder “backups” beside the data' : 'This backup',
    ),
  }),
  ARCHIVE_TOO_LARGE: ({ mostMb }) => ({
    title: 'The open files are too large',
    detail: `They may take up to ${String(mostMb)} MB together: leave out some of the sounds.`,
  }),
  ARCHIVE_TROUBLE: ({ trouble }) => ({ title: 'The open files', detail: backupTroubleWords(trouble, 'This file') }),
  CLASS_RUNS: () => ({
    title: 'A class runs',
    detail: 'A class is led just now: restore when it is over. Nothing was changed.',
  }),
  RESTORING: () => ({
    title: 'A backup is being put back',
    detail: 'Zovrin is being put back to a backup just now: try again in a moment.',
  }),
  UNKNOWN_VOICE: ({ id }) => ({
    title: 'No such recording',
    detail: `There is no recording “${id}” with this session: record the sentence again.`,
  }),
  VOICE_TOO_LARGE: ({ mostS }) => ({
    title: 'The recording is too long',
    detail: `A sentence may last up to ${String(mostS)} s: say it in less, or in two sentences.`,
  }),
  VOICES_FULL: ({ mostMb }) => ({
    title: 'No more recordings with this session',
    detail: `The recordings of a session take up to ${String(mostMb)} MB: remove some that are no longer said.`,
  }),
  WRONG_ORIGIN: () => ({ title: 'Wrong origin', detail: 'Changes are taken only from Zovrin’s own pages.' }),
  DOCUMENT_UNREADABLE: ({ kind }) => ({
    title: 'Kept in a form this Zovrin does not read',
    detail: `This ${kind} is kept in a form this Zovrin does not read: it was left as it is. Update Zovrin, or put a copy of the data that is whole in its place.`,
  }),
  WRONG_METHOD: ({ method, allowed }) => ({
    title: 'Not done at this address',
    detail: `${method} does nothing here: this address takes ${allowed}.`,
  }),
  WRONG_CONDITION: () => ({
    title: 'The condition does not hold',
    detail: 'What was asked for is not as the request expects it: ask without that condition.',
  }),
  WRONG_RANGE: () => ({
    title: 'No such part',
    detail: 'The part that was asked for lies past the end: ask for the whole.',
  }),
  WRONG_ENCODING: () => ({
    title: 'Not in a form that can be read',
    detail: 'The body must be JSON in UTF-8, as it is or packed with gzip, deflate or brotli.',
  }),
  TEXT_UNREADABLE: (_, { path = '' }) => ({
    title: 'A text that cannot be kept',
    detail: `${fieldName(path)}: there is half a character or a null character in it: write it anew.`,
  }),
  DOCUMENT_TOO_MANIFOLD: ({ mostValues, mostInOne }, { path = '' }) => ({
    title: 'More in it than a document can hold',
    detail: `${fieldName(path)}: a list takes up to ${String(mostInOne)} entries, a document ${String(mostValues)} values in all: divide it.`,
  }),
  DISK_FULL: () => ({
    title: 'The disk is full',
    detail:
      'There is no room left on the disk of this machine. Nothing was changed: make room. What you typed is then saved by itself; ask again for anything else.',
  }),
  INTERNAL: () => ({
    title: 'Something broke in Zovrin',
    detail: 'The server met a mistake of its own. Nothing was changed; what you typed is kept in the window.',
  }),
}

function firstOf([first]: readonly Refusal[], total: number): string {
  const more = total > 1 ? ` And ${String(total - 1)} more.` : ''
  return `${first ? refusalSentence(first) : 'It is not what is expected here.'}${more}`
}

/** What an error reply says. */
export const problemWords = <Code extends ProblemCode>(
  code: Code,
  facts: ProblemFacts[Code],
  where: Where = {},
): ProblemWords => words[code](facts, where)
