import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import { expect, test } from './fixtures.ts'

/** The shipped synthesis as a script for an empty page. */
const synthesis = ts.transpileModule(
  readFileSync(join(import.meta.dirname, '../src/web/shared/audio/synthesis.ts'), 'utf8'),
  { compilerOptions: { target: ts.ScriptTarget.ES2022, module: ts.ModuleKind.ESNext } },
).outputText

/** Three minutes of a class: a bell to settle, ticks of a breath, a low bell, a bell to come out. */
const piece: { kind: string; when: number }[] = [
  { kind: 'bowl', when: 5 },
  { kind: 'wood', when: 20 },
  { kind: 'wood', when: 24 },
  { kind: 'wood', when: 30 },
  { kind: 'lowBell', when: 60 },
  { kind: 'bowl', when: 100.5 },
  { kind: 'highBowl', when: 120 },
  { kind: 'lowBowl', when: 130 },
  { kind: 'bowl', when: 165 },
  { kind: 'tap', when: 175 },
]

test('three minutes rendered off line sound at the instants that were asked for, and are loud enough', async ({
  page,
}) => {
  await page.goto('about:blank')
  await page.addScriptTag({ type: 'module', content: `${synthesis}\nwindow.strike = strike` })
  await page.waitForFunction(() => 'strike' in window)
  const { onsets, peak } = await page.evaluate(async (sounds) => {
    const rate = 22_050
    const context = new OfflineAudioContext(1, 180 * rate, rate)
    const { strike } = window as unknown as {
      strike: (c: BaseAudioContext, o: AudioNode, k: string, w: number) => void
    }
    for (const { kind, when } of sounds) strike(context, context.destination, kind, when)
    const samples = (await context.startRendering()).getChannelData(0)
    // An onset is where a 5 ms window is four times as loud as the one 20 ms before it, and not a whisper.
    const size = Math.round(0.005 * rate)
    const level: number[] = []
    let peak = 0
    for (let from = 0; from + size <= samples.length; from += size) {
      let sum = 0
      for (let at = from; at < from + size; at += 1) {
        const sample = samples[at] ?? 0
        sum += sample * sample
        peak = Math.max(peak, Math.abs(sample))
      }
      level.push(Math.sqrt(sum / size))
    }
    const onsets: number[] = []
    level.forEach((loud, index) => {
      const atS = (index * size) / rate
      const before = level[index - 4] ?? 0
      if (loud > 0.02 && loud > 4 * before && atS - (onsets.at(-1) ?? -1) > 0.5) onsets.push(atS)
    })
    return { onsets, peak }
  }, piece)
  expect(onsets).toHaveLength(piece.length)
  onsets.forEach((onset, index) => {
    expect(Math.abs(onset - (piece[index]?.when ?? NaN))).toBeLessThan(0.02)
  })
  expect(peak).toBeGreaterThan(0.2)
  expect(peak).toBeLessThan(1)
})

test('a soft tone rises as the lungs fill and falls as they empty, without a click, as loud as it was set', async ({
  page,
}) => {
  await page.goto('about:blank')
  await page.addScriptTag({ type: 'module', content: `${synthesis}\nwindow.sing = sing` })
  await page.waitForFunction(() => 'sing' in window)
  const heard = await page.evaluate(async () => {
    const rate = 22_050
    const context = new OfflineAudioContext(1, 12 * rate, rate)
    const { sing } = window as unknown as {
      sing: (c: BaseAudioContext, o: AudioNode, tone: object, w: number) => void
    }
    sing(context, context.destination, { from: 0, to: 1, lengthMs: 4000, gain: 1 }, 1)
    sing(context, context.destination, { from: 1, to: 0, lengthMs: 5000, gain: 0.5 }, 6)
    const samples = (await context.startRendering()).getChannelData(0)
    /** Its pitch by the turns from below to above in half a second, Hz; and its peak. */
    const at = (second: number) => {
      let [rises, peak] = [0, 0]
      for (let index = Math.round(second * rate); index < (second + 0.5) * rate; index += 1) {
        if ((samples[index - 1] ?? 0) < 0 && (samples[index] ?? 0) >= 0) rises += 1
        peak = Math.max(peak, Math.abs(samples[index] ?? 0))
      }
      return { hz: rises * 2, peak }
    }
    return { first: at(1.5), middle: at(2.75), last: at(4), quiet: at(5.2), falls: [at(6.6), at(10)] }
  })
  expect(heard.first.hz).toBeGreaterThan(190)
  expect(heard.middle.hz).toBeGreaterThan(heard.first.hz)
  expect(heard.last.hz).toBeGreaterThan(heard.middle.hz)
  expect(heard.quiet.peak).toBeLessThan(0.001)
  expect(heard.falls[1]?.hz).toBeLessThan(heard.falls[0]?.hz ?? 0)
  expect(heard.falls[0]?.peak).toBeLessThan(0.6 * heard.middle.peak)
  expect(heard.middle.peak).toBeLessThan(0.2)
})
