import { orThrow } from '#core/result'
import { mostCaptionBytes, mostCaptions, readCaptionFile } from '#formats/caption-file'

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text)
const utf16 = (text: string, little: boolean): Uint8Array => {
  const units = [...`\ufeff${text}`].flatMap((letter) => {
    const unit = letter.charCodeAt(0)
    return little ? [unit & 255, unit >> 8] : [unit >> 8, unit & 255]
  })
  return Uint8Array.from(units)
}
const captionsIn = (file: Uint8Array) => orThrow(readCaptionFile(file)).captions

const expected = [
  { startMs: 1000, endMs: 4500, text: 'Sit on your blanket' },
  { startMs: 63_250, endMs: 66_000, text: 'and stay à la longue' },
]
const webVtt = `WEBVTT

first
00:01.000 --> 00:04.500 align:start
<v Mara>Sit on your blanket

00:01:03.250 --> 00:01:06.000
and <i>stay</i> à la longue
`
const subRip = `1
00:00:01,000 --> 00:00:04,500
Sit on your blanket

2
00:01:03,250 --> 00:01:06,000
and stay à la longue
`

test.each([
  ['WebVTT', bytes(webVtt)],
  ['WebVTT with the ends of lines of Windows', bytes(webVtt.replaceAll('\n', '\r\n'))],
  ['SubRip', bytes(subRip)],
  ['SubRip that lost its numbers', bytes(subRip.replaceAll(/^\d\n/gm, ''))],
  ['SubRip in UTF-16, the low byte first', utf16(subRip, true)],
  ['SubRip in UTF-16, the high byte first', utf16(subRip, false)],
  ['SubRip as Windows wrote it before', Uint8Array.from([...subRip].map((letter) => letter.charCodeAt(0)))],
])('reads %s', (_, file) => {
  expect(captionsIn(file)).toEqual(expected)
})

test('reads lines that begin with a time, each until the next', () => {
  const lines = '0:05 Welcome\n[1:10] Sit down\nin the middle of your mat\n1:02:00.5 - Thank you\n'
  expect(captionsIn(bytes(lines))).toEqual([
    { startMs: 5000, endMs: 70_000, text: 'Welcome' },
    { startMs: 70_000, endMs: 3_720_500, text: 'Sit down in the middle of your mat' },
    { startMs: 3_720_500, endMs: 3_725_500, text: 'Thank you' },
  ])
})

test('times that go back are put in their place and counted; a caption that ends before it begins is left out', () => {
  const file = `WEBVTT

00:10.000 --> 00:12.000
second

00:02.000 --> 00:04.000
first

00:30.000 --> 00:20.000
never
`
  const read = orThrow(readCaptionFile(bytes(file)))
  expect(read.captions.map(({ text }) => text)).toEqual(['first', 'second'])
  expect([read.outOfOrder, read.backwards]).toEqual([1, 1])
})

test('what is not captions is refused as such', () => {
  const codeOf = (file: Uint8Array) => {
    const read = readCaptionFile(file)
    return read.ok ? 'read' : read.code
  }
  expect(codeOf(bytes(''))).toBe('NO_CAPTIONS')
  expect(codeOf(bytes('Dear Mara, see you on Thursday --> bring the chairs'))).toBe('NO_CAPTIONS')
  expect(codeOf(Uint8Array.from({ length: 4000 }, (_, at) => (at * 37) % 256))).toBe('NO_CAPTIONS')
  expect(codeOf(new Uint8Array(mostCaptionBytes + 1))).toBe('TOO_LARGE')
  const lines = (count: number) => bytes(Array.from({ length: count }, (_, at) => `${String(at)}:00 stay`).join('\n'))
  expect(codeOf(lines(900))).toBe('read')
  const many = Array.from(
    { length: mostCaptions + 1 },
    (_, at) => `${String(Math.floor(at / 60))}:${String(at % 60).padStart(2, '0')} stay`,
  )
  expect(codeOf(bytes(many.join('\n')))).toBe('TOO_MANY')
})
