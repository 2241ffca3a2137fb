import fc from 'fast-check'
import { envelopeFormat, envelopeVersion } from '#model/envelope'
import type { KeptPlannedClass } from '#model/planned-class'
import type { Session } from '#model/session'
import { bellowsHouse } from '#server/demo/bellows-house'
import { aBreath, aHold, aSession, aTalk } from '#testing/sessions'
import { benchSession } from '#testing/bench-session'
import { aClassToSend } from '#testing/led-classes'
import { changes, mutated } from './mutations.ts'
import { ask, over, send, withServer } from './house.ts'
import type { Reply } from './house.ts'
import { tallyOf } from './tally.ts'
import type { Tally } from './tally.ts'

/** What broke in an answer: none, a fault of ours, or one that came later than it may. */
export const answered = (name: string, { status, ms }: Reply, mostMs: number): string | undefined => {
  if (status === 0 || status >= 500) return `${name}: ${status === 0 ? 'no answer' : String(status)}`
  return ms > mostMs ? `${name}: ${ms.toFixed(0)} ms` : undefined
}

const many = <T>(count: number, make: (at: number) => T): T[] => Array.from({ length: count }, (_, at) => make(at))
const breath = (at: number, details: Parameters<typeof aBreath>[1]) =>
  aBreath('even-breath', { ...details, id: `b${String(at)}` })
const quick = { in: 1, full: 1, out: 1, empty: 1 }
const envelope = (sessions: unknown, own: object = {}) => ({
  format: envelopeFormat,
  version: envelopeVersion,
  sessions,
  own: { schema: 2, poses: [], variants: [], techniques: [], schools: [], ...own },
})

interface Hostile {
  readonly name: string
  readonly path: string
  readonly body: string
}
const asSession = (name: string, blocks: unknown): Hostile => ({
  name,
  path: '/api/sessions',
  body: JSON.stringify({ ...aSession(), id: name.replaceAll(/\W/g, '-'), blocks }),
})
const asFile = (name: string, sessions: unknown): Hostile => ({
  name,
  path: '/api/exchange',
  body: JSON.stringify(envelope(sessions)),
})

/** Small documents that would come to very much. */
function small(): Hostile[] {
  const rounds = { pattern: quick, amount: { sets: 20, roundsPerSet: 500 } }
  const fill = { amount: { fillS: 7200, roundsPerSet: 500 }, pace: { num: 250, den: 1 }, pattern: quick }
  const breathOver = { techniqueId: 'long-exhale', pattern: quick, pace: { num: 250, den: 1 } }
  const atLimits = { pattern: { in: 2, full: 0, out: 2, empty: 0 }, amount: { sets: 3, roundsPerSet: 400 } }
  const hour = (at: number) => aHold('deer', { id: `h${String(at)}`, hold: { holdS: 3600 } })
  return [
    asSession(
      '200 blocks of 10000 rounds',
      many(200, (at) => breath(at, rounds)),
    ),
    asSession(
      '100 blocks that fill two hours',
      many(100, (at) => breath(at, fill)),
    ),
    asSession(
      'five blocks at the limits',
      many(5, (at) => breath(at, atLimits)),
    ),
    asSession('400 hours of holds', many(200, hour)),
    asSession(
      'hours of holds with breath over them',
      many(20, (at) => ({ ...hour(at), breathOver })),
    ),
  ]
}

/** Large ones that come to nothing. */
function large(): Hostile[] {
  const fields = (count: number) => Object.fromEntries(many(count, (at) => [`f${String(at)}`, at]))
  const wrong = many(100, (at) => ({ kind: 'talk', id: `t${String(at)}` }))
  return [
    asSession(
      '200 blocks of talk',
      many(200, (at) => ({ ...aTalk(`t${String(at)}`, 60), text: 'x'.repeat(4000) })),
    ),
    asSession('a block of 20000 unknown fields', [{ ...aTalk(), ...fields(20_000) }]),
    asSession(
      '20000 numbers for blocks',
      many(20_000, (at) => at),
    ),
    { name: 'deep', path: '/api/sessions', body: `{"blocks":${'['.repeat(200_000)}${']'.repeat(200_000)}}` },
    asFile(
      '8 MB of numbers',
      many(2_500_000, () => 1),
    ),
    asFile(
      '8 MB of empty lists',
      many(2_000_000, () => []),
    ),
    asFile(
      '280000 wrong values',
      many(400, () => many(700, () => 1)),
    ),
    asFile(
      '500 sessions of 100 wrong blocks',
      many(500, (at) => ({ ...aSession(), id: `s${String(at)}`, blocks: wrong })),
    ),
    {
      name: '200 unknown fields in each of 1000 stretches',
      path: '/api/led-classes/x',
      body: JSON.stringify({ id: 'x', plan: { segments: many(1000, () => fields(200)) } }),
    },
  ]
}

/** Documents by hand: each is answered, and soon. */
export async function hostileDocuments(mostMs: number): Promise<Tally> {
  return withServer(async (address) => {
    const trials: (string | undefined)[] = []
    let worstMs = 0
    for (const { name, path, body } of [...small(), ...large()]) {
      const method = path.includes('led-classes') ? 'PUT' : 'POST'
      const reply = await ask(address, path, {
        method,
        headers: { 'Content-Type': 'application/json' },
        body,
        patienceMs: 60_000,
      })
      worstMs = Math.max(worstMs, reply.ms)
      trials.push(answered(name, reply, mostMs))
    }
    return tallyOf('documents of hostile sizes: answered in time', trials, `worst ${worstMs.toFixed(0)} ms`)
  })
}

/** Mutations of a whole session: none breaks the server, and what is taken is saved back as it is. */
export async function mutatedDocuments(seed: number, count: number, mostMs: number): Promise<Tally[]> {
  return withServer(async (address) => {
    const posted: (string | undefined)[] = []
    const back: (string | undefined)[] = []
    let worstMs = 0
    for (const [at, change] of fc.sample(changes, { seed, numRuns: count }).entries()) {
      const id = `m${String(at)}`
      const reply = await ask(address, '/api/sessions', send('POST', mutated({ ...benchSession(), id }, change)))
      worstMs = Math.max(worstMs, reply.ms)
      posted.push(answered(JSON.stringify(change), reply, mostMs))
      if (reply.status === 201) back.push(await savedBack(address, reply.body as Session, reply.version))
    }
    return [
      tallyOf('mutated sessions: no fault of ours, in time', posted, `worst ${worstMs.toFixed(0)} ms`),
      tallyOf('those of them that were taken: saved back as they are', back),
    ]
  })
}

/** A class handed over as a file, made by the server itself. */
async function handedFile(address: string, classId = 'its-class'): Promise<object> {
  const session = aSession([aHold('deer')], { id: 'handed', placeId: bellowsHouse.id })
  const planned = {
    ...{ id: classId, sessionId: 'handed', placeId: bellowsHouse.id, day: '2026-12-01', people: [], guests: 3 },
    ...{ forms: [], setAside: [], substitutes: [] },
  }
  const forms = [{ personId: 'guest-1', blockId: 'deer', poseId: 'deer', takes: { kind: 'changed' }, by: 'teacher' }]
  await ask(address, `/api/places/${bellowsHouse.id}`, send('PUT', bellowsHouse, over(0)))
  await ask(address, '/api/sessions', send('POST', session))
  await ask(address, `/api/planned-classes/${classId}`, send('PUT', planned, over(0)))
  const asked = { name: 'Noor', from: 'Kaia', forms: forms.map((one) => ({ ...one, at: '2026-12-01T08:00:00Z' })) }
  const reply = await ask(address, `/api/planned-classes/${classId}/handed/file`, send('PUT', asked, over(1)))
  return (reply.body as { readonly file: object }).file
}

/** The record of the class that came in by a file, as the file it goes back by, made by the server itself. */
async function recordFile(address: string, classId: string): Promise<object> {
  const kept = (await ask(address, '/api/planned-classes')).body as readonly KeptPlannedClass[]
  const came = kept.find(({ planned }) => planned.id === classId)
  const { planned, version = 0 } = came ?? {}
  const session = aSession([aHold('deer')], { id: planned?.sessionId ?? '' })
  const { start, told, end } = aClassToSend(session, [{ type: 'end', atMs: 12_000 }])
  await ask(address, '/api/led-classes/led', send('PUT', { ...start, id: 'led', sessionId: session.id }))
  await ask(address, '/api/led-classes/led/events?after=0', send('POST', told))
  await ask(address, '/api/led-classes/led/marks/m', send('PUT', { by: 'tablet', atMs: 5, text: 'all quiet' }))
  await ask(address, '/api/led-classes/led/end', send('PUT', end))
  const after = { ...planned, ledClassId: 'led', posesLed: ['deer'] }
  await ask(address, `/api/planned-classes/${classId}`, send('PUT', after, over(version)))
  return (await ask(address, '/api/handed/records/led')).body as object
}

/** Mutations of the record of a class handed over as a file: none breaks the server, and the journal can be read. */
export async function mutatedRecords(seed: number, count: number, mostMs: number): Promise<Tally[]> {
  return withServer(async (address) => {
    const came = await ask(address, '/api/handed/classes', send('POST', await handedFile(address)))
    const { classId } = came.body as { readonly classId: string }
    const file = await recordFile(address, classId)
    const [taken, read]: [(string | undefined)[], (string | undefined)[]] = [[], []]
    let cameIn = 0
    for (const [at, change] of fc.sample(changes, { seed: seed + 10, numRuns: count }).entries()) {
      // Each of a class of its own: of one that is back only what was written since comes.
      const of = `led-${String(at)}`
      await handedFile(address, of)
      const reply = await ask(address, '/api/handed/records', send('POST', mutated({ ...file, classId: of }, change)))
      taken.push(answered(JSON.stringify(change), reply, mostMs))
      if (reply.status !== 200) continue
      cameIn += 1
      const { ledClassId } = reply.body as { readonly ledClassId: string }
      for (const path of ['planned-classes', 'led-classes', `led-classes/${ledClassId}`, 'led-classes/times']) {
        const { status } = await ask(address, `/api/${path}`)
        read.push(status === 200 ? undefined : `${JSON.stringify(change)}: ${path} ${String(status)}`)
      }
    }
    return [
      tallyOf('mutated records of them: no fault of ours', taken, `${String(cameIn)} came in`),
      tallyOf('the journal after each that came in: can be read', read),
    ]
  })
}

/** Mutations of a class handed over as a file: none breaks the server, and what there is then can be read. */
export async function mutatedHanded(seed: number, count: number, mostMs: number): Promise<Tally[]> {
  return withServer(async (address) => {
    const file = await handedFile(address)
    const [taken, read]: [(string | undefined)[], (string | undefined)[]] = [[], []]
    let cameIn = 0
    for (const change of fc.sample(changes, { seed: seed + 9, numRuns: count })) {
      const reply = await ask(address, '/api/handed/classes', send('POST', mutated(file, change)))
      taken.push(answered(JSON.stringify(change), reply, mostMs))
      if (reply.status !== 200) continue
      cameIn += 1
      const { sessionId } = reply.body as { readonly sessionId: string }
      for (const path of ['planned-classes', 'places', `sessions/${sessionId}`]) {
        const { status } = await ask(address, `/api/${path}`)
        read.push(status === 200 ? undefined : `${JSON.stringify(change)}: ${path} ${String(status)}`)
      }
    }
    return [
      tallyOf('mutated handed-over classes: no fault of ours', taken, `${String(cameIn)} came in`),
      tallyOf('what there is after each that came in: can be read', read),
    ]
  })
}

async function savedBack(address: string, { id }: Session, version: number): Promise<string | undefined> {
  const read = await ask(address, `/api/sessions/${id}`)
  const saved = await ask(address, `/api/sessions/${id}`, send('PUT', read.body, over(version)))
  return saved.status === 200 ? undefined : `${id}: ${String(saved.status)}`
}

/** Mutations of a file: none breaks the server, and each session that came in is saved back as it is. */
export async function mutatedImports(seed: number, count: number, mostMs: number): Promise<Tally[]> {
  return withServer(async (address) => {
    const taken: (string | undefined)[] = []
    const back: (string | undefined)[] = []
    for (const [at, change] of fc.sample(changes, { seed: seed + 1, numRuns: count }).entries()) {
      const file = envelope([{ ...benchSession(), id: `i${String(at)}` }])
      const reply = await ask(address, '/api/exchange', send('POST', mutated(file, change)))
      taken.push(answered(JSON.stringify(change), reply, mostMs))
      const { sessions = [] } = reply.status === 200 ? (reply.body as { sessions?: string[] }) : {}
      for (const id of sessions) back.push(await savedBack(address, { ...aSession(), id }, 1))
    }
    return [
      tallyOf('mutated files: no fault of ours, in time', taken),
      tallyOf('the sessions that came in by them: saved back as they are', back),
    ]
  })
}
