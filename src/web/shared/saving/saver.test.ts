import { openSaving } from '#core/saving'
import type { Reply } from '#web/shared/api/client.ts'
import { makeSaver } from './saver.ts'
import type { SavingIo } from './saver.ts'

interface Doc {
  readonly name: string
}
const doc = (name: string): Doc => ({ name })
const ok = (version: number): Reply<unknown> => ({ kind: 'ok', value: undefined, version })
const stale: Reply<never> = {
  kind: 'problem',
  problem: { type: '', code: 'VERSION_STALE', status: 412, title: '', detail: 'Changed elsewhere.', path: null },
}

/** Timers that are let go by hand: the driver asks to be woken, a test says when. */
let waiting: (() => void)[] = []
beforeEach(() => {
  waiting = []
  Object.assign(globalThis, {
    window: {
      setTimeout: (act: () => void) => waiting.push(act),
      clearTimeout: () => undefined,
    },
  })
})
afterAll(() => {
  Reflect.deleteProperty(globalThis, 'window')
})
const settled = () => new Promise((done) => setImmediate(done))
async function wake(): Promise<void> {
  const due = waiting
  waiting = []
  for (const act of due) act()
  await settled()
}

function saverOf(io: Partial<SavingIo<Doc>> = {}, draft?: { document: Doc; version: number }) {
  const told: string[] = []
  const say = (what: string) => {
    told.push(what)
    return Promise.resolve()
  }
  const opened = openSaving({ document: doc('a'), version: 1 }, draft)
  if (!opened) throw new Error('nothing to open')
  const saver = makeSaver(opened, {
    send: ({ name }, based, over) =>
      say(`send ${name} on ${String(based)}${over ? ' over' : ''}`).then(() => ok(based + 1)),
    fetch: () => Promise.resolve({ kind: 'ok', value: doc('theirs'), version: 5 }),
    setAside: ({ name }) => say(`set aside ${name}`).then(() => ok(0)),
    putDraft: ({ name }) => say(`draft ${name}`),
    dropDraft: () => say('drop draft'),
    know: ({ document: { name }, version }) => say(`know ${name} ${String(version)}`),
    ...io,
  })
  return { saver, told }
}

test('what was unsaved when it was opened is sent when it is taken up, once, and not by one that never is', async () => {
  const draft = { document: doc('b'), version: 1 }
  const { told: never } = saverOf({}, draft)
  const { saver, told } = saverOf({}, draft)
  await settled()
  expect([never, told]).toEqual([[], []])
  saver.start()
  saver.start()
  await settled()
  expect(told.filter((what) => what.startsWith('send'))).toEqual(['send b on 1'])
  const nothing = saverOf()
  nothing.saver.start()
  expect(nothing.told).toEqual([])
})

test('an edit is drafted at once, sent when the hands rest, and its draft dropped when it is kept', async () => {
  const { saver, told } = saverOf()
  saver.tell({ type: 'edited', document: doc('b'), atMs: 0 })
  await settled()
  expect(told).toEqual(['draft b'])
  await wake()
  expect(told).toEqual(['draft b', 'send b on 1', 'know b 2', 'drop draft'])
  expect(saver.saving.value).toMatchObject({ status: 'saved', based: 2 })
})

test('a draft that this browser kept is sent when it is taken up', async () => {
  const { saver, told } = saverOf({}, { document: doc('kept'), version: 1 })
  saver.start()
  await settled()
  expect(told[0]).toBe('send kept on 1')
  expect(saver.saving.value.status).toBe('saved')
})

test('a write that fails in the browser stands in the way of none that follows', async () => {
  const written: string[] = []
  const { saver } = saverOf({
    putDraft: ({ name }) => {
      written.push(name)
      return name === 'b' ? Promise.reject(new Error('no room')) : Promise.resolve()
    },
  })
  saver.tell({ type: 'edited', document: doc('b'), atMs: 0 })
  await settled()
  expect(saver.saving.value.draftFailed).toBe(true)
  saver.tell({ type: 'edited', document: doc('c'), atMs: 10 })
  await settled()
  expect(written).toEqual(['b', 'c'])
  expect(saver.saving.value.draftFailed).toBe(false)
  await wake()
  expect(saver.saving.value.status).toBe('saved')
})

test('away it is asked again when it is woken; a server in trouble counts as away', async () => {
  const replies: Reply<unknown>[] = [
    { kind: 'away' },
    { kind: 'problem', problem: { type: '', code: 'INTERNAL', status: 500, title: '', detail: '', path: null } },
    ok(2),
  ]
  const { saver } = saverOf({ send: () => Promise.resolve(replies.shift() ?? ok(9)) })
  saver.tell({ type: 'edited', document: doc('b'), atMs: 0 })
  await wake()
  expect(saver.saving.value.status).toBe('retrying')
  await wake()
  expect(saver.saving.value.status).toBe('retrying')
  await wake()
  expect(saver.saving.value).toMatchObject({ status: 'saved', based: 2 })
})

test('another window’s version is fetched and offered; taking it puts mine into history first', async () => {
  const { saver, told } = saverOf({ send: () => Promise.resolve(stale) })
  saver.tell({ type: 'edited', document: doc('mine'), atMs: 0 })
  await wake()
  expect(saver.saving.value).toMatchObject({ status: 'conflict', theirs: { document: doc('theirs'), version: 5 } })
  saver.tell({ type: 'take theirs' })
  await settled()
  expect(told).toContain('set aside mine')
  expect(saver.saving.value).toMatchObject({ status: 'saved', document: doc('theirs'), based: 5 })
})

test('what the server refuses is said as it is, and the next edit tries again', async () => {
  const refused: Reply<never> = {
    kind: 'problem',
    problem: {
      type: '',
      code: 'DOCUMENT_REFUSED',
      status: 422,
      title: '',
      detail: 'Name: write something.',
      path: null,
    },
  }
  const replies: Reply<unknown>[] = [refused, ok(2)]
  const { saver } = saverOf({ send: () => Promise.resolve(replies.shift() ?? ok(9)) })
  saver.tell({ type: 'edited', document: doc(''), atMs: 0 })
  await wake()
  expect(saver.saving.value).toMatchObject({ status: 'refused', refusal: 'Name: write something.' })
  saver.tell({ type: 'edited', document: doc('named'), atMs: 5000 })
  await wake()
  expect(saver.saving.value).toMatchObject({ status: 'saved', refusal: null })
})
