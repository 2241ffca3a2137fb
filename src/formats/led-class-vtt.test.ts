import { parse } from 'subsrt-ts/dist/format/vtt.js'
import type { LeadEvent } from '#core/lead'
import { visitsOf } from '#core/journal'
import { ledClassVtt } from '#formats/led-class-vtt'
import { aLedClass } from '#testing/led-classes'
import { aHold, aSession, aTalk } from '#testing/sessions'

const session = aSession([aTalk('talk', 60), aHold('deer')])
const read = (text: string) =>
  parse(text, {}).flatMap((one) => (one.type === 'caption' ? [[one.start, one.end, one.text.trim()] as const] : []))

test('each stretch that was led has its caption, in order, without a gap, to the millisecond', () => {
  const led = aLedClass(session)
  const text = ledClassVtt(led)
  expect(text.startsWith('WEBVTT\n\n1\n00:00:00.000 --> 00:01:00.000\n')).toBe(true)
  const captions = read(text)
  expect(captions.map(([start, end]) => [start, end])).toEqual(
    visitsOf(led).map(({ startMs, endMs }) => [startMs, endMs]),
  )
  const words = captions.map(([, , what]) => what)
  expect(words[0]).toBe(`${led.blocks['talk']?.name ?? ''} · Talk`)
  expect(words).toEqual(expect.arrayContaining(['Deer, left · Hold', 'Deer, right · Hold']))
  expect(words.indexOf('Deer, left · Hold')).toBeLessThan(words.indexOf('Deer, right · Hold'))
})

test('an attempt that was begun again says so, and a name cannot break the file', () => {
  const holdAt = visitsOf(aLedClass(session)).find(({ segment }) => segment !== null && segment > 3)?.startMs ?? 0
  const back: LeadEvent = { type: 'back', atMs: holdAt + 5000 }
  const led = aLedClass(session, [back])
  const named = {
    ...led,
    blocks: { ...led.blocks, talk: { ...led.blocks['talk'], name: 'Arrive\n\n00:09:00.000 --> 00:10:00.000 <b>' } },
  }
  const text = ledClassVtt(named)
  expect(read(text)).toHaveLength(visitsOf(led).length)
  expect(text).toContain('Arrive 00:09:00.000 --&gt; 00:10:00.000 &lt;b&gt; · Talk')
  expect(read(text).some(([, , what]) => what.endsWith(', begun again'))).toBe(visitsOf(led).some(({ again }) => again))
  expect(visitsOf(led).some(({ again }) => again)).toBe(true)
})
