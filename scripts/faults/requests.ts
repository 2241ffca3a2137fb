import { request } from 'node:http'
import { aSession } from '#testing/sessions'
import { ask, send, withServer } from './house.ts'
import { tallyOf } from './tally.ts'
import type { Tally } from './tally.ts'

const paths = [
  '/api/sessions',
  '/api/sessions/ID',
  '/api/sessions/ID/state',
  '/api/sessions/ID/history',
  '/api/sessions/ID/history/1',
  '/api/led-classes',
  '/api/led-classes/ID',
  '/api/led-classes/ID/events',
  '/api/led-classes/ID/end',
  '/api/led-classes/ID/note',
  '/api/led-classes/ID/incident',
  '/api/led-classes/former',
  '/api/own',
  '/api/own/pose/ID',
  '/api/own/school/ID/back',
  '/api/exchange',
  '/api/exchange/sessions/ID',
  '/api/places',
  '/api/places/ID',
  '/api/people/ID',
  '/api/people/ID/mentions',
  '/api/planned-classes/ID',
  '/api/planned-classes/ID/handed',
  '/api/planned-classes/ID/handed/file',
  '/api/handed/classes',
  '/api/handed/records/ID',
  '/api/series/ID',
  '/api/long-days/ID',
  '/api/remarks/ID',
  '/api/remarks/ID/ID',
  '/api/voices/ID',
  '/api/voices/ID/ID/heard',
  '/api/sounds/ID',
  '/api/sounds/ID/heard',
  '/api/led-classes/ID/marks/ID',
  '/api/led-classes/ID/leads',
  '/api/settings',
  '/api/archive',
  '/api/backups/ID/people',
  '/api/backups/ID/restored',
  '/api/sign-in/code',
  '/api/sign-in/secret',
  '/api/teachers/second',
  '/api/teachers/ID/code',
  '/api/room/code',
  '/api/room/devices/ID',
  '/api/now',
  '/api/nothing/ID',
]
const ids = ['session-1', '%00', 'a%00b', '..%2f..', '__proto__', 'constructor', '%F0%9F', 'x'.repeat(200)]
const methods = ['GET', 'HEAD', 'PUT', 'POST', 'DELETE', 'PATCH', 'OPTIONS']
const bodies = [
  '',
  '{',
  'null',
  '[]',
  '"x"',
  '0',
  '{"__proto__":{"a":1}}',
  '{"id":"session-1","schema":1}',
  '[[[[[[]]]]]]',
]
const headers: Readonly<Record<string, string>>[] = [
  {},
  { 'Content-Type': 'application/json; charset=iso-8859-1' },
  { 'Content-Encoding': 'gzip' },
  { 'Content-Encoding': 'br' },
  { 'If-Match': '*' },
  { 'If-Match': '"1"' },
  { 'If-Match': '"99999999999"' },
  { Range: 'bytes=99999999-' },
  { Origin: 'http://elsewhere.example' },
  { Host: 'elsewhere.example' },
]

interface Asked {
  readonly method: string
  readonly path: string
  readonly headers: Readonly<Record<string, string>>
  readonly body: string
}

/** Every way with every address, and each of the other lists against them in turn, so that all of each is tried. */
function battery(most: number): Asked[] {
  const asked = paths.flatMap((path, p) =>
    methods.flatMap((method, m) =>
      ids.map((id, i) => ({
        method,
        path: path.replaceAll('ID', id),
        headers: headers[(p + m * 3 + i) % headers.length] ?? {},
        body: bodies[(p * 5 + m + i * 2) % bodies.length] ?? '',
      })),
    ),
  )
  const every = Math.max(1, Math.floor(asked.length / most))
  return asked.filter((_, at) => at % every === 0)
}

/** As it is, with headers no browser would send. */
function askRaw(
  address: string,
  { method, path, headers: more, body }: Asked,
): Promise<{ status: number; type: string }> {
  const { hostname, port } = new URL(address)
  const hasBody = !['GET', 'HEAD'].includes(method) && body !== ''
  return new Promise((done) => {
    const sent = request(
      {
        ...{ hostname, port, method, path },
        headers: {
          ...(hasBody ? { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(body) } : {}),
          ...more,
        },
        timeout: 5000,
      },
      (reply) => {
        reply.resume()
        reply.on('end', () => {
          done({ status: reply.statusCode ?? 0, type: reply.headers['content-type'] ?? '' })
        })
      },
    )
    sent.on('error', () => {
      done({ status: 0, type: '' })
    })
    sent.on('timeout', () => sent.destroy())
    sent.end(hasBody ? body : undefined)
  })
}

/** Odd requests of every kind: each is answered, none as a fault of ours, each refusal as a problem of its kind. */
export async function oddRequests(most: number): Promise<Tally> {
  return withServer(async (address) => {
    await ask(address, '/api/sessions', send('POST', aSession()))
    const trials: (string | undefined)[] = []
    for (const asked of battery(most)) {
      const { status, type } = await askRaw(address, asked)
      const isTold = status < 400 || type.startsWith('application/problem+json')
      const name = `${asked.method} ${asked.path.slice(0, 60)} ${JSON.stringify(asked.headers)} ${asked.body}`
      trials.push(status > 0 && status < 500 && isTold ? undefined : `${name}: ${String(status)} ${type}`)
    }
    const alive = await ask(address, '/api/sessions/session-1')
    return tallyOf('odd requests: answered, and told as what they are', [
      ...trials,
      alive.status === 200 ? undefined : 'the server is gone',
    ])
  })
}
