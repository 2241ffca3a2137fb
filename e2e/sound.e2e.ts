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
const piece = [
  { kind: 'bowl', when: 5 },
  { kind: 'wood', when: 20 },
  { kind: 'wood', when: 24 },
  { kind: 'wood', when: 30 },
  { kind: 'lowBell', when: 60 },
  { kind: 'bowl', when: 100.5 },
  { kind: 'bowl', when: 165 },
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
