import type { Settings } from '#model/settings'
import { makeSettingsSync } from './settings-sync.ts'

/** A server that keeps settings with a version, and can be away. */
function fakeServer() {
  let [document, version, isAway, refuses]: [Settings, number, boolean, boolean] = [{ schema: 1 }, 0, false, false]
  const reply = (status: number, body: unknown) =>
    new Response(JSON.stringify(body), {
      status,
      headers: {
        ETag: `"${String(version)}"`,
        'Content-Type': status < 400 ? 'application/json' : 'application/problem+json',
      },
    })
  globalThis.fetch = (_path, { method = 'GET', headers, body } = {}) => {
    if (isAway) return Promise.reject(new Error('away'))
    if (method === 'GET') return Promise.resolve(reply(200, document))
    if ((headers as Record<string, string>)['If-Match'] !== `"${String(version)}"`)
      return Promise.resolve(reply(412, { code: 'VERSION_STALE', status: 412 }))
    if (refuses)
      return Promise.resolve(reply(422, { code: 'DOCUMENT_INVALID', status: 422, detail: 'It is not known here.' }))
    document = JSON.parse(String(body)) as Settings
    version += 1
    return Promise.resolve(reply(200, { version }))
  }
  return {
    has: () => document,
    goes: (away: boolean) => (isAway = away),
    refuses: (what: boolean) => (refuses = what),
    /** Another window sets something. */
    set: (changed: Partial<Settings>) => {
      document = { ...document, ...changed }
      version += 1
    },
  }
}

const kept = new Map<string, string>()
beforeEach(() => {
  kept.clear()
  Object.assign(globalThis, {
    localStorage: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
    },
  })
})
const now = ({ known }: ReturnType<typeof makeSettingsSync>) => ({ ...known.value.settings, ...known.value.unsent })
/** Until what was asked of the server so far is answered. */
const answered = () => new Promise((done) => setImmediate(done))

test('what is set is on the server, and there in another window', async () => {
  const server = fakeServer()
  const here = makeSettingsSync()
  await here.load()
  here.set({ speakingPace: 90 })
  await answered()
  expect(server.has()).toEqual({ schema: 1, speakingPace: 90 })
  const there = makeSettingsSync()
  await there.load()
  expect(now(there)).toEqual({ schema: 1, speakingPace: 90 })
})

test('what is set while the server is away stays, also over a reload, and is sent when it answers', async () => {
  const server = fakeServer()
  server.goes(true)
  makeSettingsSync().set({ letterKeys: false })
  await answered()
  const reloaded = makeSettingsSync()
  expect(now(reloaded)).toEqual({ schema: 1, letterKeys: false })
  server.goes(false)
  await reloaded.load()
  expect(server.has()).toEqual({ schema: 1, letterKeys: false })
  expect(reloaded.known.value.unsent).toEqual({})
})

test('what another window set meanwhile stands beside it', async () => {
  const server = fakeServer()
  const here = makeSettingsSync()
  await here.load()
  server.set({ speakingPace: 80 })
  here.set({ letterKeys: false })
  await answered()
  expect(server.has()).toEqual({ schema: 1, speakingPace: 80, letterKeys: false })
})

test('several changes one after the other are all kept', async () => {
  const server = fakeServer()
  const here = makeSettingsSync()
  await here.load()
  for (const speakingPace of [80, 90, 100]) here.set({ speakingPace })
  await answered()
  expect(server.has()).toEqual({ schema: 1, speakingPace: 100 })
})

test('what this browser alone knew before becomes the teacher’s', async () => {
  const server = fakeServer()
  kept.set('zovrin.speakingPace', '97')
  kept.set('zovrin.letterKeys', 'false')
  await makeSettingsSync().load()
  expect(server.has()).toEqual({ schema: 1, speakingPace: 97, letterKeys: false })
  // What nobody can read is as if it were not there.
  kept.clear()
  kept.set('zovrin.speakingPace', '"fast"')
  expect(now(makeSettingsSync())).toEqual({ schema: 1 })
})

test('what the server refuses is told, and stays as it was set until it is taken', async () => {
  const server = fakeServer()
  const here = makeSettingsSync()
  await here.load()
  server.refuses(true)
  here.set({ letterKeys: false })
  await answered()
  expect(here.refused.value).toBe('It is not known here.')
  expect(now(here)).toEqual({ schema: 1, letterKeys: false })
  server.refuses(false)
  here.set({ speakingPace: 90 })
  await answered()
  expect(here.refused.value).toBe('')
  expect(server.has()).toEqual({ schema: 1, letterKeys: false, speakingPace: 90 })
})
