import fc from 'fast-check'
import { openDatabase } from '#server/db/open'
import { seedDemo } from '#server/demo/seed'
import { aClassToSend } from '#testing/led-classes'
import { ownPoseFrom } from '#testing/own-poses'
import { aHold, aSession } from '#testing/sessions'
import { answered } from './documents.ts'
import { ask, over, send, withServer } from './house.ts'
import type { Reply } from './house.ts'
import { changes, mutated } from './mutations.ts'
import type { Change } from './mutations.ts'
import { tallyOf } from './tally.ts'
import type { Tally } from './tally.ts'

/** A kind of document but sessions: one of it is sent with some of its fields otherwise, and what there is then is looked at. */
interface Kind {
  readonly name: string
  readonly send: (address: string, by: readonly Change[]) => Promise<Reply>
  /** What must be readable after one was taken. */
  readonly look: () => readonly string[]
}

async function demo(file: string): Promise<void> {
  const clock = { now: () => new Date('2026-03-12T18:00:00Z') }
  const database = await openDatabase(file, clock)
  await seedDemo(database, clock)
  await database.close()
}

/** Saved again and again over what was taken before, each time another mutation of the same. */
function kept(list: string, path: string, document: object, version: number): Kind {
  let based = version
  return {
    name: list,
    async send(address, by) {
      const reply = await ask(address, path, send('PUT', mutated(document, by), over(based)))
      if (reply.status === 200) based = reply.version
      return reply
    },
    look: () => [`/api/${list}`],
  }
}

/** The first of each list of the demo, as the server has it. */
async function keptIn(address: string): Promise<readonly Kind[]> {
  const lists = [
    ['places', 'place'],
    ['people', 'person'],
    ['planned-classes', 'planned'],
    ['series', 'series'],
    ['long-days', 'longDay'],
  ] as const
  return Promise.all(
    lists.map(async ([list, name]) => {
      const [first] = (await ask(address, `/api/${list}`)).body as readonly Readonly<Record<string, unknown>>[]
      const document = first?.[name] as { readonly id: string }
      return kept(list, `/api/${list}/${document.id}`, document, Number(first?.['version']))
    }),
  )
}

const settings = {
  schema: 1,
  breathSounds: { in: { kind: 'bowl', loudness: 50 }, out: { kind: 'tone', loudness: 70 } },
  speakingPace: 120,
}

/** Classes, each under an id of its own: what it begins with is otherwise, or what is told of it. */
function led(name: 'start' | 'told' | 'end'): Kind {
  const sent = aClassToSend(aSession([aHold('deer')]), [{ type: 'mark', atMs: 5000 }])
  let [count, id] = [0, '']
  return {
    name: `led-classes, ${name}`,
    async send(address, by) {
      count += 1
      id = `${name}-${String(count)}`
      const put = (what: 'start' | 'told' | 'end', document: object): object =>
        what === name ? mutated(document, by) : document
      const begun = await ask(address, `/api/led-classes/${id}`, send('PUT', put('start', { ...sent.start, id })))
      if (name === 'start') return begun
      const told = await ask(address, `/api/led-classes/${id}/events?after=0`, send('POST', put('told', sent.told)))
      return name === 'told' ? told : ask(address, `/api/led-classes/${id}/end`, send('PUT', put('end', sent.end)))
    },
    look: () => [`/api/led-classes/${id}`, '/api/led-classes', '/api/led-classes/times', '/api/led-classes/drifts'],
  }
}

/** Mutations of documents of every other kind, by turns: none breaks the server, and what is taken can be read. */
export async function mutatedKinds(seed: number, count: number, mostMs: number): Promise<Tally[]> {
  return withServer(async (address) => {
    const kinds = [
      ...(await keptIn(address)),
      kept('settings', '/api/settings', settings, 0),
      kept('own', '/api/own/pose/of-ones-own', ownPoseFrom('deer', { id: 'of-ones-own' }), 0),
      ...(['start', 'told', 'end'] as const).map(led),
    ]
    const [sent, read]: [(string | undefined)[], (string | undefined)[]] = [[], []]
    const taken = new Set<string>()
    for (const [at, by] of fc.sample(changes, { seed: seed + 12, numRuns: count }).entries()) {
      const kind = kinds[at % kinds.length]
      if (!kind) continue
      const reply = await kind.send(address, by)
      const what = `${kind.name} ${JSON.stringify(by)}`
      sent.push(answered(what, reply, mostMs))
      if (reply.status >= 300) continue
      taken.add(kind.name)
      for (const path of kind.look()) {
        const { status } = await ask(address, path)
        read.push(status === 200 ? undefined : `${what}: ${path} ${String(status)}`)
      }
    }
    return [
      tallyOf('mutated documents of other kinds: no fault of ours, in time', sent),
      tallyOf('what there is after each that was taken: can be read', read, `of ${String(taken.size)} kinds`),
    ]
  }, demo)
}
