import fc from 'fast-check'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline, sayingsOf, talkWords } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { sessionsByClock } from '#testing/arbitraries'
import { aBreath, aClosing, aHold, aSession, aTalk } from '#testing/sessions'
import { fold, leadPlan, voiceByClock, voiceDue } from './index.ts'
import type { LeadEvent, VoiceBook } from './index.ts'

/** A session with every word of it recorded, each as long as is said. */
function recorded(session: Session, lengthOf: (text: string) => number = () => 1500) {
  const timeline = orThrow(compileTimeline(session, { ...shippedCatalog, wordsAMinute: 60 }))
  const texts = [...new Set(sayingsOf(timeline).map(({ text }) => text))]
  const book: VoiceBook = {
    byText: new Map(texts.map((text) => [text, { id: `voice of ${text}`, lengthMs: lengthOf(text) }])),
    talks: new Map(
      session.blocks.flatMap((block) => [[block.id, talkWords(block) ?? '']] as const).filter(([, text]) => text),
    ),
  }
  return { timeline, plan: leadPlan(timeline, {}), book }
}
type Recorded = ReturnType<typeof recorded>
/** When each words are heard from an instant on, after what was told until then. */
const heard = ({ plan, book }: Recorded, atMs: number, events: readonly LeadEvent[] = []) =>
  voiceDue(plan, fold(plan, events, atMs), book).map(({ atMs: ms, sound }) => [
    ms,
    sound.kind === 'voice' ? sound.voiceId.replace('voice of ', '') : '',
  ])

const script = { sentences: [{ text: 'Feel the feet' }, { text: 'and the hands' }, { text: 'Come back now' }] }
const evening = recorded(
  aSession([
    { ...aTalk('talk', 60), text: 'Welcome' },
    aHold('deer', {
      id: 'deer',
      hold: { holdS: 120 },
      cues: [
        { id: 'soft', at: { fromStartS: 30 }, text: 'Soften the jaw' },
        { id: 'out', at: { beforeEndS: 10 }, text: 'Slowly now' },
      ],
    }),
    aClosing({ finalRestS: 300, script }),
  ]),
)
const at = (text: string, from = 0, events: readonly LeadEvent[] = []): number =>
  Number(heard(evening, from, events).find(([, words]) => words === text)?.[0] ?? NaN)

test('a class that is led as planned says all that is recorded at the instants of its timeline, whenever it is looked at', () => {
  fc.assert(
    fc.property(sessionsByClock(), fc.double({ min: 0, max: 0.98, noNaN: true }), (session, share) => {
      const all = recorded(session)
      const byClock = voiceByClock(all.timeline, all.book)
      const fromMs = Math.floor(all.timeline.totalMs * share)
      const due = voiceDue(all.plan, fold(all.plan, [], fromMs), all.book)
      const wanted = byClock.filter(({ atMs }) => atMs > fromMs).map(({ atMs, sound }) => ({ atMs, sound }))
      const told = due.filter(({ atMs }) => atMs > fromMs).map(({ atMs, sound }) => ({ atMs, sound }))
      expect(told).toEqual(wanted)
    }),
    { numRuns: 60 },
  )
})

test('what is not recorded is left to the teacher, and the rest stands where it stands', () => {
  const { byText, talks } = evening.book
  const without = { talks, byText: new Map([...byText].filter(([text]) => text === 'Soften the jaw')) }
  const due = voiceDue(evening.plan, fold(evening.plan, [], 0), without)
  expect(due).toHaveLength(2)
  expect(due[0]?.atMs).toBe(at('Soften the jaw'))
})

test('a talk’s words are said as it begins, and once', () => {
  expect(at('Welcome')).toBe(0)
  expect(heard(evening, 5000).map(([, text]) => text)).not.toContain('Welcome')
})

test('what is being said is told until it is over; paused, or left for natural breath, nothing is', () => {
  const saidMs = at('Soften the jaw')
  expect(at('Soften the jaw', saidMs + 1000)).toBe(saidMs)
  expect(heard(evening, saidMs + 1000, [{ type: 'pause', atMs: saidMs + 500 }])).toEqual([])
  expect(heard(evening, saidMs + 1600)[0]?.[1]).not.toBe('Soften the jaw')
})

test('words by the end of a hold move with it; said already, they are said again where it moved by as much as a bell has to', () => {
  const outMs = at('Slowly now')
  expect(at('Slowly now', outMs - 20_000, [{ type: 'stay', atMs: outMs - 20_000 }])).toBe(outMs + 30_000)
  const after: LeadEvent[] = [{ type: 'stay', atMs: outMs + 3000 }]
  expect(at('Slowly now', outMs + 4000, after)).toBe(outMs + 30_000)
  // Without more time they are said on the other side next.
  expect(at('Slowly now', outMs + 4000)).toBeGreaterThan(outMs + 60_000)
})

test('a script that runs is said as long as it lasts now, one to come as long as it will', () => {
  const feetMs = at('Feel the feet')
  const backMs = at('Come back now')
  expect(at('Come back now', feetMs + 8000, [{ type: 'stay', atMs: feetMs + 8000 }])).toBe(backMs + 30_000)
  // The hold ends half a minute later, and the closing with it.
  const holdMs = at('Soften the jaw')
  expect(at('Come back now', holdMs, [{ type: 'stay', atMs: holdMs }])).toBe(backMs + 60_000)
})

test('a sentence waits until a held breath is let go', () => {
  const breath = recorded(
    aSession([
      aHold('deer', {
        ...{ id: 'deer', hold: { holdS: 120 }, breathOver: { techniqueId: 'pause-full' } },
        script: {
          sentences: Array.from({ length: 20 }, (_, n) => ({ text: `Sentence ${String(n)}`, pauseAfterS: 2 })),
        },
      }),
      aBreath('even-breath'),
    ]),
    () => 400,
  )
  const held = breath.timeline.breathOver.filter(({ part }) => part === 'full')
  expect(held.length).toBeGreaterThan(4)
  const sentences = heard(breath, 0).filter(([, text]) => String(text).startsWith('Sentence'))
  expect(sentences.length).toBeGreaterThan(10)
  for (const [ms] of sentences)
    expect(held.some(({ startMs, endMs }) => Number(ms) >= startMs && Number(ms) < endMs)).toBe(false)
})

test('where all wait for the teacher, nothing is told of what comes after that', () => {
  const waits = recorded(
    aSession(
      [
        { ...aTalk('talk', 60), text: 'Welcome' },
        aHold('deer', { id: 'deer', hold: { holdS: 120 } }),
        aClosing({ script }),
      ],
      {
        answers: { holdBegins: 'whenISay' },
      },
    ),
  )
  const told = heard(waits, 0).map(([, text]) => text)
  expect(told).toContain('Welcome')
  expect(told).not.toContain('Feel the feet')
  expect(voiceByClock(waits.timeline, waits.book).length).toBeGreaterThan(told.length)
})
