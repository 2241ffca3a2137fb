import { makeAutosave } from './autosave.ts'
import type { SaveOutcome, SaveState, Timers } from './autosave.ts'
import { emptyStacks, popDone, popUndone, pushStep } from './undo.ts'

/** A clock that moves only when told, and runs what is due on the way. */
function fakeTimers() {
  let nowMs = 0
  let nextId = 1
  const waiting = new Map<number, { atMs: number; run: () => void }>()
  const timers: Timers = {
    set(run, afterMs) {
      waiting.set(nextId, { atMs: nowMs + afterMs, run })
      return nextId++
    },
    clear: (id) => waiting.delete(id),
    now: () => nowMs,
  }
  async function pass(ms: number): Promise<void> {
    const endMs = nowMs + ms
    for (;;) {
      const due = [...waiting].filter(([, { atMs }]) => atMs <= endMs).sort((a, b) => a[1].atMs - b[1].atMs)[0]
      if (!due) break
      nowMs = due[1].atMs
      waiting.delete(due[0])
      due[1].run()
      await settled()
    }
    nowMs = endMs
  }
  return { timers, pass, now: () => nowMs }
}
const settled = () => new Promise((done) => setImmediate(done))

function house(outcomes: SaveOutcome[] = []) {
  const clock = fakeTimers()
  const states: SaveState[] = []
  const attempts: number[] = []
  const autosave = makeAutosave(
    async () => {
      attempts.push(clock.now())
      return outcomes.shift() ?? 'saved'
    },
    (state) => states.push(state),
    clock.timers,
  )
  return { ...clock, states, attempts, autosave }
}

test('one edit is saved 800 ms later', async () => {
  const { autosave, pass, attempts, states } = house()
  autosave.touch()
  await pass(799)
  expect(attempts).toEqual([])
  await pass(1)
  expect(attempts).toEqual([800])
  expect(states).toEqual(['waiting', 'saving', 'saved'])
})

test('while edits go on it is saved every 3 s at the latest', async () => {
  const { autosave, pass, attempts } = house()
  for (let edit = 0; edit < 20; edit += 1) {
    autosave.touch()
    await pass(500)
  }
  await pass(5000)
  expect(attempts[0]).toBe(3000)
  expect(attempts.every((at, index) => index === 0 || at - (attempts[index - 1] ?? 0) <= 3500)).toBe(true)
})

test('with the server away it keeps trying, says so, and ends saved', async () => {
  const { autosave, pass, attempts, states } = house(['away', 'away'])
  autosave.touch()
  await pass(10_000)
  expect(attempts).toEqual([800, 3800, 6800])
  expect(states).toEqual(['waiting', 'saving', 'retrying', 'retrying', 'saved'])
})

test('an edit during an attempt is saved after it', async () => {
  let finish: (outcome: SaveOutcome) => void = () => undefined
  const clock = fakeTimers()
  const states: SaveState[] = []
  let attempts = 0
  const autosave = makeAutosave(
    () => {
      attempts += 1
      return new Promise((done) => (finish = done))
    },
    (state) => states.push(state),
    clock.timers,
  )
  autosave.touch()
  await clock.pass(800)
  autosave.touch()
  finish('saved')
  await settled()
  expect(states).toEqual(['waiting', 'saving', 'waiting'])
  await clock.pass(800)
  expect(attempts).toBe(2)
})

test('a conflict waits for the teacher, whatever is typed meanwhile', async () => {
  const { autosave, pass, attempts } = house(['conflict'])
  autosave.touch()
  await pass(1000)
  autosave.touch()
  await pass(10_000)
  expect(attempts).toHaveLength(1)
  autosave.resume('waiting')
  await pass(1)
  expect(attempts).toHaveLength(2)
})

test('a refused document is tried again after the next edit', async () => {
  const { autosave, pass, attempts, states } = house(['refused'])
  autosave.touch()
  await pass(1000)
  expect(states.at(-1)).toBe('refused')
  autosave.touch()
  await pass(1000)
  expect(attempts).toHaveLength(2)
  expect(states.at(-1)).toBe('saved')
})

test('leaving saves at once what waits', async () => {
  const { autosave, attempts } = house()
  autosave.touch()
  await autosave.flush()
  expect(attempts).toEqual([0])
})

const step = (words: string) => ({ inverse: { type: 'details', details: { name: words } } as const, words })

test('undo keeps two hundred steps, and a new step forgets what was undone', () => {
  let stacks = emptyStacks
  for (let index = 0; index < 250; index += 1) stacks = pushStep(stacks, step(String(index)))
  expect(stacks.done).toHaveLength(200)
  expect(stacks.done[0]?.words).toBe('50')
  stacks = popDone(stacks, step('249'))
  expect([stacks.done.at(-1)?.words, stacks.undone.at(-1)?.words]).toEqual(['248', '249'])
  expect(popUndone(stacks, step('249')).done).toHaveLength(200)
  expect(pushStep(stacks, step('new')).undone).toEqual([])
})
