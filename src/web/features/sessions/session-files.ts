import { counted } from '#words/text'
import { handedClassFormat, handedRecordFormat } from '#model/handed-file'
import { exportSession, importEnvelope } from '#web/shared/api/exchange.ts'
import { takeHandedClass, takeHandedRecord } from '#web/shared/api/handed.ts'
import type { Reply } from '#web/shared/api/client.ts'
import type { SessionLine } from '#web/shared/api/sessions.ts'
import { download, fileName } from '#web/shared/ui/download.ts'
import type { SessionDesk } from './session-desk.ts'

/** A session out of the list as a file. */
export async function exportOne(desk: SessionDesk, { id, name }: SessionLine): Promise<void> {
  const reply = await exportSession(id)
  if (desk.settled(reply))
    download(JSON.stringify(reply.value, null, 2), fileName(name, 'zovrin.json'), 'application/json')
}

/** A session with all its recordings takes less; what is far larger is not even read. */
const mostBytes = 40_000_000

/** What a file holds, into the list; true when it was taken in. */
export async function importFile(desk: SessionDesk, file: File): Promise<boolean> {
  if (file.size > mostBytes) {
    desk.problems.value = [`${file.name} is larger than any file of sessions: choose one of at most 40 MB.`]
    return false
  }
  const envelope = await readJson(file)
  if (envelope === undefined) {
    desk.problems.value = [
      `${file.name} is not JSON: choose a file that Zovrin wrote, or one made to its published schema.`,
    ]
    return false
  }
  const format = typeof envelope === 'object' && envelope !== null && 'format' in envelope ? envelope.format : ''
  if (format === handedClassFormat)
    return toldOf(desk, await takeHandedClass(envelope), `${file.name}: a class to lead`)
  if (format === handedRecordFormat)
    return toldOf(desk, await takeHandedRecord(envelope), `${file.name}: the record of your class is in the journal`)
  const reply = await importEnvelope(envelope)
  if (!desk.settled(reply)) return false
  const { sessions, alreadyHere, own, blocks } = reply.value
  const parts = [
    ...(sessions.length > 0 ? [`${counted(sessions.length, 'session')} added`] : []),
    ...(alreadyHere.length > 0 ? [`${counted(alreadyHere.length, 'session')} here already, word for word`] : []),
    ...(own.length > 0 ? [`${counted(own.length, 'own thing')} added to the shelf`] : []),
    ...(blocks.length > 0 ? ['the file holds copied blocks: paste them into a session instead'] : []),
  ]
  await desk.done(`${file.name}: ${parts.join(', ')}`)
  return true
}

/** True where it came in, which is said. */
async function toldOf(desk: SessionDesk, reply: Reply<unknown>, words: string): Promise<boolean> {
  if (!desk.settled(reply)) return false
  await desk.done(words)
  return true
}

async function readJson(file: File): Promise<unknown> {
  try {
    return JSON.parse(await file.text())
  } catch {
    return undefined
  }
}
