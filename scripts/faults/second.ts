import { aSession } from '#testing/sessions'
import { kill, startChild } from '../shared/child.ts'
import { inFolder } from './folder.ts'
import { ask, endOf, send } from './house.ts'
import { tallyOf } from './tally.ts'
import type { Tally } from './tally.ts'

/** A second server on one file says so and stops; the first one goes on; and once that is killed the file is free. */
export async function secondServer(): Promise<Tally> {
  return inFolder(async (folder) => {
    const first = await startChild('faults/serve.ts', folder)
    const said = await endOf('faults/serve.ts', folder, undefined)
    const saved = await ask(first.said, '/api/sessions', send('POST', aSession()))
    await kill(first)
    const again = await startChild('faults/serve.ts', folder)
    const there = await ask(again.said, '/api/sessions/session-1')
    await kill(again)
    return tallyOf('a second server on one file', [
      /is open in another Zovrin/.test(said) ? undefined : `it said: ${said}`,
      saved.status === 201 ? undefined : `the first one: ${String(saved.status)}`,
      there.status === 200 ? undefined : `after the first was killed: ${String(there.status)}`,
    ])
  })
}
