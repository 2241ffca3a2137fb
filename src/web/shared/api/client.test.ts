import { ask } from './client.ts'

type Asked = [url: string, init: RequestInit]
let asked: Asked[] = []

/** The network as a test wants it: answers with what is given, or fails as a dead server does. */
function answer(make: () => Response | Error): void {
  asked = []
  globalThis.fetch = (url, init) => {
    asked.push([String(url), init ?? {}])
    const made = make()
    return made instanceof Error ? Promise.reject(made) : Promise.resolve(made)
  }
}
const json = (value: unknown, init: ResponseInit = {}) =>
  new Response(JSON.stringify(value), { ...init, headers: { 'Content-Type': 'application/json', ...init.headers } })

const realFetch = globalThis.fetch
afterAll(() => {
  globalThis.fetch = realFetch
})

test('an answer carries its value and the version of its ETag', async () => {
  answer(() => json({ id: 'a' }, { headers: { ETag: '"7"' } }))
  expect(await ask('/sessions/a')).toEqual({ kind: 'ok', value: { id: 'a' }, version: 7 })
})

test('an answer of nothing is an answer', async () => {
  answer(() => new Response(null, { status: 204 }))
  expect(await ask('/sessions/a/history', { method: 'POST', body: {} })).toEqual({
    kind: 'ok',
    value: undefined,
    version: 0,
  })
})

test('a change is sent as JSON with the version it is based on and what else is asked', async () => {
  answer(() => json({}))
  await ask('/sessions/a', { method: 'PUT', body: { id: 'a' }, based: 3, headers: { 'X-Keep-Former': 'conflict' } })
  const [[url, init] = ['', {}]] = asked
  expect([url, init.method, init.body]).toEqual(['/api/sessions/a', 'PUT', '{"id":"a"}'])
  expect(init.headers).toEqual({ 'Content-Type': 'application/json', 'If-Match': '"3"', 'X-Keep-Former': 'conflict' })
})

test('a problem the server names is handed on as it is', async () => {
  const problem = { code: 'VERSION_STALE', status: 412, detail: 'You changed version 1.' }
  answer(
    () =>
      new Response(JSON.stringify(problem), { status: 412, headers: { 'Content-Type': 'application/problem+json' } }),
  )
  expect(await ask('/sessions/a')).toEqual({ kind: 'problem', problem })
})

test.each([
  ['a dead server', () => new TypeError('Failed to fetch')],
  ['a server that broke without words', () => new Response('oops', { status: 502 })],
  ['half an answer', () => new Response('{"id":', { status: 200 })],
])('%s counts as away', async (_, make) => {
  answer(make)
  expect(await ask('/sessions/a')).toEqual({ kind: 'away' })
})
