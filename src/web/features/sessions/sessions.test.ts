import { aSession } from '#testing/sessions'
import type { SessionLine } from '#web/shared/api/sessions.ts'
import { sessionActs } from './session-acts.ts'
import { sessionDesk } from './session-desk.ts'
import { exportOne, importFile } from './session-files.ts'

interface Asked {
  readonly method: string
  readonly url: string
  readonly body: unknown
}
let asked: Asked[] = []
/** What the server answers to each method and address; anything else is an empty answer. */
let answers: Record<string, () => Response> = {}
const json = (value: unknown, init: ResponseInit = {}) =>
  new Response(JSON.stringify(value), {
    ...init,
    headers: { 'Content-Type': 'application/json', ETag: '"3"', ...init.headers },
  })
const problem = (status: number, more: object) =>
  new Response(JSON.stringify({ status, code: 'UNKNOWN_SESSION', title: 'No', detail: 'It is gone.', ...more }), {
    status,
    headers: { 'Content-Type': 'application/problem+json' },
  })

const { fetch: realFetch } = globalThis
const kept = new Map<string, string>()
beforeEach(() => {
  asked = []
  answers = {}
  kept.clear()
  globalThis.fetch = (url, init) => {
    const method = init?.method ?? 'GET'
    const body: unknown = typeof init?.body === 'string' ? JSON.parse(init.body) : undefined
    asked.push({ method, url: String(url), body })
    const answer = answers[`${method} ${String(url)}`]
    return answer ? Promise.resolve(answer()) : Promise.resolve(new Response(null, { status: 204 }))
  }
  Object.assign(globalThis, {
    localStorage: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
      removeItem: (key: string) => kept.delete(key),
    },
  })
})
afterAll(() => {
  globalThis.fetch = realFetch
})

const line: SessionLine = {
  id: 'thursday',
  name: 'Thursday slow hour',
  practice: 'yin',
  lengthS: 3600,
  savedAt: '',
  archived: false,
  template: false,
  lastLed: null,
}
const document = { ...aSession([]), id: 'thursday', name: line.name }

function atDesk(openId?: string) {
  let loads = 0
  const closed: string[] = []
  const here = {
    document: openId === undefined ? undefined : { id: openId },
    close: () => {
      closed.push('closed')
      return Promise.resolve()
    },
    open: (id: string) => {
      closed.push(`open ${id}`)
      return Promise.resolve()
    },
  }
  const desk = sessionDesk(() => {
    loads += 1
    return Promise.resolve()
  })
  return { desk, acts: sessionActs(desk, here), closed, loads: () => loads }
}

test('what is put away says so, and its way back says the other', async () => {
  const { desk, acts, loads } = atDesk()
  await acts.archive(line)
  expect(desk.told.value?.words).toBe('Thursday slow hour is put away')
  await desk.told.value?.undo?.()
  expect(desk.told.value?.words).toBe('Thursday slow hour is back in the list')
  expect(asked.map(({ body }) => body)).toEqual([{ archived: true }, { archived: false }])
  expect(loads()).toBe(2)
})

test('the session that is open here is closed before it is deleted, and is not the one opened last any more', async () => {
  const { acts, closed } = atDesk('thursday')
  kept.set('zovrin.lastOpened', 'thursday')
  await acts.remove(line)
  expect(closed).toEqual(['closed'])
  expect(kept.has('zovrin.lastOpened')).toBe(false)
  const other = atDesk('another')
  await other.acts.remove(line)
  expect(other.closed).toEqual([])
})

test('a copy leaves room for what tells it from the first, and can be taken away again', async () => {
  const { desk, acts } = atDesk()
  const name = 'A very long name '.repeat(8).slice(0, 120)
  answers['GET /api/sessions/thursday'] = () => json({ ...document, name })
  answers['POST /api/sessions'] = () => json({}, { status: 201 })
  await acts.duplicate({ ...line, name })
  const copy = asked.find(({ method }) => method === 'POST')?.body as typeof document
  expect(copy.name.length).toBeLessThanOrEqual(120)
  expect(copy.name).toMatch(/, copy$/)
  expect(copy.id).not.toBe('thursday')
  await desk.told.value?.undo?.()
  expect(asked.at(-1)?.body).toEqual({ deleted: true })
  expect(asked.at(-1)?.url).toContain(copy.id)
})

test('a rename saves over the version it read, and opens the session anew where it is open', async () => {
  const { desk, acts, closed } = atDesk('thursday')
  answers['GET /api/sessions/thursday'] = () => json(document)
  answers['PUT /api/sessions/thursday'] = () => json({})
  await acts.rename(line, '  Thursday, slower ')
  expect(asked.find(({ method }) => method === 'PUT')?.body).toMatchObject({ name: 'Thursday, slower' })
  expect(closed).toEqual(['closed', 'open thursday'])
  expect(desk.told.value?.words).toBe('Thursday slow hour is now called Thursday, slower')
  asked = []
  await acts.rename(line, '   ')
  await acts.rename(line, line.name)
  expect(asked).toEqual([])
})

test('what the server refuses is said as it is, with every mend; away it says that nothing was changed', async () => {
  const { desk, acts, loads } = atDesk()
  answers['POST /api/sessions/thursday/state'] = () => problem(404, {})
  await acts.archive(line)
  expect(desk.problems.value).toEqual(['It is gone.'])
  expect(desk.told.value).toBeUndefined()
  answers['POST /api/sessions/thursday/state'] = () =>
    problem(422, { refusals: [{ sentence: 'Name: write something.' }, { sentence: 'Length: give at least 5:00.' }] })
  await acts.archive(line)
  expect(desk.problems.value).toHaveLength(2)
  answers['POST /api/sessions/thursday/state'] = () => new Response('', { status: 502 })
  await acts.archive(line)
  expect(desk.problems.value[0]).toMatch(/does not answer: nothing was changed/)
  expect(loads()).toBe(0)
})

describe('a file', () => {
  const fileOf = (text: string) => new File([text], 'class.json')

  test('that is no JSON is refused by its name, and nothing is asked', async () => {
    const { desk } = atDesk()
    expect(await importFile(desk, fileOf('{'))).toBe(false)
    expect(desk.problems.value[0]).toMatch(/^class.json is not JSON/)
    expect(asked).toEqual([])
  })

  test('says what it brought and what was there already', async () => {
    const { desk } = atDesk()
    answers['POST /api/exchange'] = () =>
      json({ sessions: ['a', 'b'], alreadyHere: ['c'], own: [{ kind: 'pose' }], blocks: [] })
    expect(await importFile(desk, fileOf('{"format":"zovrin.session"}'))).toBe(true)
    expect(desk.told.value?.words).toBe(
      'class.json: 2 sessions added, 1 session here already, word for word, 1 own thing added to the shelf',
    )
  })

  test('that could not be had is not written', async () => {
    const { desk } = atDesk()
    answers['GET /api/exchange/sessions/thursday'] = () => problem(404, {})
    await exportOne(desk, line)
    expect(desk.problems.value).toEqual(['It is gone.'])
  })
})
