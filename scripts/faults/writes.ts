import { aSession } from '#testing/sessions'
import { ask, over, send, wait, withServer } from './house.ts'
import type { Reply } from './house.ts'
import { tallyOf } from './tally.ts'
import type { Tally } from './tally.ts'

const id = (at: number) => `session-${String(at)}`
const broken = (reply: Reply, wanted: number) =>
  reply.status === wanted ? undefined : `${String(reply.status)} instead of ${String(wanted)}`
const worst = (replies: readonly Reply[]) => Math.max(...replies.map(({ ms }) => ms))

/** Many windows that write at once: all of it is kept, one of each session is first, and reading goes on meanwhile. */
export async function parallelWrites(windows: number): Promise<Tally[]> {
  return withServer(async (address) => {
    const each = Array.from({ length: windows }, (_, at) => at)
    const made = await Promise.all(
      each.map((at) => ask(address, '/api/sessions', send('POST', aSession([], { id: id(at) })))),
    )
    let isOver = false
    const reads: Reply[] = []
    const reading = (async () => {
      while (!isOver) {
        reads.push(await ask(address, '/api/sessions/session-0'))
        await wait(5)
      }
    })()
    const saved = await Promise.all(
      each.map((at) =>
        ask(address, `/api/sessions/${id(at)}`, send('PUT', aSession([], { id: id(at), name: 'B' }), over(1))),
      ),
    )
    const met = await Promise.all(
      each.map((at) =>
        ask(address, '/api/sessions/session-1', send('PUT', aSession([], { id: id(1), name: id(at) }), over(2))),
      ),
    )
    isOver = true
    await reading
    const first = met.filter(({ status }) => status === 200)
    return [
      tallyOf(
        `${String(windows)} sessions made at once`,
        made.map((reply) => broken(reply, 201)),
        `worst ${worst(made).toFixed(0)} ms`,
      ),
      tallyOf(
        `${String(windows)} sessions saved at once`,
        saved.map((reply) => broken(reply, 200)),
        `worst ${worst(saved).toFixed(0)} ms`,
      ),
      tallyOf(
        `${String(windows)} windows that save one session: one is first, the others are told`,
        [
          first.length === 1 ? undefined : `${String(first.length)} were first`,
          ...met.filter(({ status }) => status !== 200).map((reply) => broken(reply, 412)),
        ],
        `worst ${worst(met).toFixed(0)} ms`,
      ),
      tallyOf(
        'reads meanwhile',
        reads.map((reply) => broken(reply, 200)),
        `worst ${worst(reads).toFixed(0)} ms (wanted < 100)`,
      ),
    ]
  })
}
