import type { DueSound } from '#core/lead'
import { makeBellSchedule } from './bell-schedule.ts'

/** An audio clock set by hand that keeps what it is handed until it is cancelled or has sounded. */
function fakeAudio(startS = 0) {
  let nowS = startS
  let running = true
  let handed: { kind: string; when: number }[] = []
  return {
    port: {
      now: () => nowS,
      isRunning: () => running,
      resume: () => {
        running = true
        return Promise.resolve()
      },
      schedule: ({ kind }: DueSound['sound'], when: number) => {
        handed.push({ kind, when })
      },
      cancel: () => {
        handed = handed.filter(({ when }) => when <= nowS)
      },
    },
    at: (seconds: number) => (nowS = seconds),
    suspend: () => (running = false),
    whens: () => handed.map(({ when }) => Math.round(when * 1000) / 1000),
  }
}

/** The class's clock, standing at an instant, ms. */
const at = (runMs: number) => () => runMs

const due = (...atS: number[]): DueSound[] =>
  atS.map((seconds) => ({ key: `bell@${String(seconds)}`, atMs: seconds * 1000, sound: { kind: 'bowl', strokes: 1 } }))

test('the whole class is handed over at once, by the anchor between the two clocks', () => {
  const audio = fakeAudio(100)
  makeBellSchedule(audio.port).replace(due(10, 20, 3600), 5000, at(5000))
  expect(audio.whens()).toEqual([105, 115, 3695])
})

test('what is due anew takes the place of what was', () => {
  const audio = fakeAudio()
  const bells = makeBellSchedule(audio.port)
  bells.replace(due(10, 20), 0, at(0))
  bells.replace(due(10, 50), 0, at(0))
  expect(audio.whens()).toEqual([10, 50])
})

test('words that are being said go on where they still would be said, and are broken off where they would not', () => {
  const goneOn: string[][] = []
  const { port } = fakeAudio()
  const bells = makeBellSchedule({
    ...port,
    cancel: (goesOn?: ReadonlySet<string>) => goneOn.push([...(goesOn ?? [])]),
  })
  const said = (seconds: number, voiceId: string): DueSound => ({
    ...{ key: voiceId, atMs: seconds * 1000, sound: { kind: 'voice', voiceId, lengthMs: 4000 } },
  })
  bells.replace([said(4, 'soft'), said(20, 'out')], 5000, at(5000))
  bells.replace([said(20, 'out')], 6000, at(6000))
  bells.silence()
  expect(goneOn).toEqual([['soft'], [], []])
})

test('clocks less than 10 ms apart are left alone, more apart are anchored anew', () => {
  const audio = fakeAudio()
  const bells = makeBellSchedule(audio.port)
  bells.replace(due(100), 0, at(0))
  audio.at(10.009)
  bells.compare(at(10_000))
  expect(audio.whens()).toEqual([100])
  audio.at(20.05)
  bells.compare(at(20_000))
  expect(audio.whens()).toEqual([100.05])
})

test('a machine that pauses before it looks at the audio clock does not shift the bells', () => {
  let nowMs = 4000
  // Half a second goes by in the first look at the audio clock, as when the page is put together.
  let pauseMs = 500
  const audio = fakeAudio()
  const now = () => {
    nowMs += pauseMs
    pauseMs = 0
    return nowMs / 1000
  }
  makeBellSchedule({ ...audio.port, now }).replace(due(10), 0, () => nowMs)
  expect(audio.whens()).toEqual([10])
})

test('while sound is held back nothing is handed over; let through, only what is still to come is', async () => {
  const audio = fakeAudio()
  audio.suspend()
  const bells = makeBellSchedule(audio.port)
  bells.replace(due(5, 30), 0, at(0))
  expect(audio.whens()).toEqual([])
  await audio.port.resume()
  audio.at(3)
  bells.replace(due(30), 10_000, at(10_000))
  expect(audio.whens()).toEqual([23])
})

test('a bell that has begun is not handed over again when the clocks are brought together', () => {
  const audio = fakeAudio()
  const bells = makeBellSchedule(audio.port)
  bells.replace(due(5, 30), 0, at(0))
  audio.at(10.2)
  bells.compare(at(10_000))
  expect(audio.whens()).toEqual([5, 30.2])
})

test('a sound whose instant has passed when it is handed over, as after the clock leapt, is never played late', () => {
  const audio = fakeAudio(2)
  makeBellSchedule(audio.port).replace(due(60, 300, 400), 0, at(350_000))
  expect(audio.whens()).toEqual([52])
})

test('a class begun a moment before the audio clock does hears its first bell at once', () => {
  const audio = fakeAudio(0)
  makeBellSchedule(audio.port).replace(due(0, 10), 0, at(20))
  expect(audio.whens()).toEqual([0, 9.98])
})

test('silence takes back all that has not begun', () => {
  const audio = fakeAudio()
  const bells = makeBellSchedule(audio.port)
  bells.replace(due(5, 30), 0, at(0))
  audio.at(10)
  bells.silence()
  expect(audio.whens()).toEqual([5])
})
