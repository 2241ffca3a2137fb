import { backupTime, thingsOf } from './backups.ts'

/** What stands in an archive beside the files: where everything lies, and how it comes in again. */
export const archiveReadMeText = (madeAt: string): string =>
  [
    `Zovrin: all of one teacher’s, of ${backupTime(madeAt)}`,
    '',
    'Every file is plain: text, JSON, or a sound. One file holds one thing with all that belongs to it.',
    '',
    'sessions/         a session, its history, its recorded sentences, what colleagues said of it',
    'series/           a series',
    'long-days/        a long day',
    'planned-classes/  a class that is planned, with who comes',
    'led-classes/      a class as it was led, with everything that happened in it',
    'people/           a person, with what they told this teacher: keep it where only you read it',
    'places/           a place, its rooms, its cupboard',
    'own/              poses, variants, set-ups, schools, scripts of one’s own',
    'sounds/           own sounds',
    'voices/           recorded sentences',
    'settings/         what was set',
    '',
    'In a file stand the rows of the tables they come from, by the names of those. archive.json lists all files with',
    'their sums; “schema” says which form the rows have. Zovrin reads the archive under Backups, Bring open files in.',
    'Zovrin gives no medical advice.',
    '',
  ].join('\n')

type Counts = Readonly<Record<string, number>>

/** What came in, what was here already, and what stands on nothing. */
export function archiveCameWords({
  brought,
  there,
  left,
}: Readonly<Record<'brought' | 'there' | 'left', Counts>>): string {
  const things = (counts: Counts): string => thingsOf(counts, counts['sounds'] ?? 0)
  const [came, was, not] = [things(brought), things(there), things(left)]
  return [
    came === '' ? 'Nothing new came in.' : `Came in: ${came}.`,
    ...(was === '' ? [] : [`Here already, and left as it is: ${was}.`]),
    ...(not === '' ? [] : [`Not brought in, since what it stands on is not here: ${not}.`]),
  ].join(' ')
}
