import fc from 'fast-check'
import type { Session } from '#model/session'
import { orThrow } from '#core/result'
import { compileTimeline } from '#core/timeline'
import { shippedCatalog } from '#library/shipped'
import { sessions } from '#testing/arbitraries'
import { aHold, aSession, aTalk } from '#testing/sessions'
import { readCaptionFile } from './caption-file.ts'
import { chaptersFile, cueLines, cueListFile } from './cue-list.ts'

const timelineOf = (session: Session) => orThrow(compileTimeline(session, shippedCatalog))
const linesOf = (session: Session) => cueLines(timelineOf(session), session.practice)
const read = (file: string) => orThrow(readCaptionFile(new TextEncoder().encode(file))).captions

test('every cue stands at its instant, in order, none into the next, none past the class', () => {
  fc.assert(
    fc.property(sessions(), (session) => {
      const timeline = timelineOf(session)
      const lines = cueLines(timeline, session.practice)
      for (const { atMs, text } of timeline.cues)
        expect(
          text === undefined || text === '' || lines.some((line) => line.startMs === atMs && line.text.includes(text)),
        ).toBe(true)
      lines.forEach(({ startMs, endMs }, at) => {
        expect(endMs).toBeGreaterThan(startMs)
        expect(endMs).toBeLessThanOrEqual(Math.max(startMs + 1, lines[at + 1]?.startMs ?? timeline.totalMs))
      })
    }),
    { numRuns: 40 },
  )
})

test('as WebVTT and as SubRip it reads back with its times and words, whatever is in them', () => {
  const session = aSession([
    { ...aTalk(), text: 'Left & right <b>\n\nthen 1 --> 2' },
    aHold('deer', { cues: [{ id: 'c', at: { fromStartS: 30 }, text: 'The {this} knee -->' }] }),
  ])
  const lines = linesOf(session)
  for (const format of ['vtt', 'srt'] as const) {
    const file = cueListFile(lines, format)
    const captions = read(file)
    expect(captions).toHaveLength(lines.length)
    captions.forEach((caption, at) => {
      expect([caption.startMs, caption.endMs]).toEqual([lines[at]?.startMs, lines[at]?.endMs])
    })
    expect(captions.some(({ text }) => text.includes('The left knee'))).toBe(true)
  }
  expect(cueListFile(lines, 'vtt')).toMatch(/^WEBVTT/)
  expect(cueListFile(lines, 'srt')).toMatch(/^1\n00:00:00,000 --> /)
})

test('the blocks of a class are its chapters', () => {
  const session = aSession([aTalk('a', 60), aHold('sphinx', { hold: { holdS: 120 } })])
  const chapters = read(chaptersFile(timelineOf(session), 'yin'))
  expect(chapters.map(({ text }) => text)).toEqual(['Arrive', 'Sphinx'])
  expect(chapters[1]).toMatchObject({ startMs: 60_000, endMs: timelineOf(session).totalMs })
})
