import type { EditedSpan } from '#core/captions'
import { recordingOf, recordingStep, splitMs } from './recording-state.ts'
import type { RecordingCommand, RecordingState } from './recording-state.ts'
import { stripCommand } from './strip-keys.ts'

const spans: readonly EditedSpan[] = [
  { startMs: 0, endMs: 20_000, kind: 'setUp', doubtMs: 2000 },
  { startMs: 20_000, endMs: 140_000, kind: 'hold', doubtMs: 4000 },
  { startMs: 140_000, endMs: 150_000, kind: 'comingOut', doubtMs: 3000 },
]
const after = (...commands: readonly RecordingCommand[]): RecordingState =>
  commands.reduce(recordingStep, recordingOf(spans))
const choose = (at: number): RecordingCommand => ({ type: 'choose', at })
const end = (toMs: number): RecordingCommand => ({
  type: 'edit',
  edit: { type: 'start', at: 2, toMs },
  words: 'move an edge',
})
const split: RecordingCommand = { type: 'edit', edit: { type: 'split', at: 1, atMs: 80_000 }, words: 'split a stretch' }

test('a stretch is chosen, and none beyond the first or the last', () => {
  expect([-1, 1, 3].map((at) => after(choose(at)).chosen)).toEqual([0, 1, 2])
})

test('an edge moved again and again is one step; another edit is another', () => {
  const moved = after(choose(1), end(141_000), end(142_000), split)
  expect(moved.done.map(({ words }) => words)).toEqual(['move an edge', 'split a stretch'])
  const back = recordingStep(recordingStep(moved, { type: 'undo' }), { type: 'undo' })
  expect([back.spans, back.chosen]).toEqual([spans, 1])
  const again = recordingStep(back, { type: 'redo' })
  expect(again.spans[2]?.startMs).toBe(142_000)
  // What is moved after a step back begins a step of its own.
  expect(recordingStep(again, end(139_000)).done).toHaveLength(1)
})

test('what was split off is chosen, so that it can be named', () => {
  const state = after(choose(1), split)
  expect([state.chosen, state.spans[state.chosen]?.startMs]).toEqual([2, 80_000])
})

test('what changes nothing is no step', () => {
  const state = after(choose(2), { type: 'edit', edit: { type: 'joinNext', at: 2 }, words: 'join two stretches' })
  expect([state.done, state.spans]).toEqual([[], spans])
  expect(recordingStep(state, { type: 'undo' })).toBe(state)
})

test('a stretch is split where somebody begins to speak, nearest to its middle, else at its middle', () => {
  const said = (startMs: number) => ({ startMs, endMs: startMs + 1000, text: 'soften' })
  const [, hold] = spans
  if (!hold) throw new Error('there is a hold')
  expect(splitMs(hold, [said(20_500), said(30_000), said(70_000), said(139_500)])).toBe(70_000)
  expect(splitMs(hold, [said(20_500)])).toBe(80_000)
})

const pressed = (key: string, more: Partial<Parameters<typeof stripCommand>[0]> = {}) => ({
  ...{ key, code: '', altKey: false, shiftKey: false, ctrlKey: false, metaKey: false, ...more },
})
test('keys on the strip: arrows always, letters unless they are switched off, none that belong to the browser', () => {
  expect(stripCommand(pressed('ArrowRight'), false)).toEqual({ type: 'go', by: 1 })
  expect(stripCommand(pressed('S'), true)).toEqual({ type: 'split' })
  expect(stripCommand(pressed('s'), false)).toBeUndefined()
  expect(stripCommand(pressed('ArrowLeft', { altKey: true }), true)).toBeUndefined()
  expect(stripCommand(pressed(']'), true)).toEqual({ type: 'end', byMs: 1000 })
  expect(stripCommand(pressed('{', { code: 'BracketLeft', shiftKey: true }), true)).toEqual({
    ...{ type: 'start', byMs: -1000 },
  })
})
