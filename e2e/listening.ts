import type { Page } from '@playwright/test'

/** A sine as a WAV file, so many seconds long. */
export function wav(seconds: number, rate = 8000): Buffer {
  const samples = Math.round(seconds * rate)
  const file = Buffer.alloc(44 + samples * 2)
  file.write('RIFF', 0)
  file.writeUInt32LE(36 + samples * 2, 4)
  file.write('WAVEfmt ', 8)
  file.writeUInt32LE(16, 16)
  file.writeUInt16LE(1, 20)
  file.writeUInt16LE(1, 22)
  file.writeUInt32LE(rate, 24)
  file.writeUInt32LE(rate * 2, 28)
  file.writeUInt16LE(2, 32)
  file.writeUInt16LE(16, 34)
  file.write('data', 36)
  file.writeUInt32LE(samples * 2, 40)
  for (let at = 0; at < samples; at += 1)
    file.writeInt16LE(Math.round(9000 * Math.sin((2 * Math.PI * 220 * at) / rate)), 44 + at * 2)
  return file
}

export interface Heard {
  /** What was handed to the audio device, in order. */
  readonly scheduled: { kind: string; soundId?: string; voiceId?: string; atS: number }[]
  readonly kept: string[]
  readonly music: { does: string; url?: string; fromS?: number; gain?: number; fade?: { fromS: number; toS: number } }[]
  atS: number
}

/** An audio device that notes what it is told, on the page's own pushed clock. */
export async function listen(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const heard: Heard = { scheduled: [], kept: [], music: [], atS: 0 }
    const pushed = () => Number((window as unknown as { pushedMs?: number }).pushedMs ?? 0)
    const zeroMs = Date.now() - performance.now()
    Object.assign(window, {
      heard,
      zovrinPorts: {
        epochMs: () => zeroMs + performance.now() + pushed(),
        steadyMs: () => performance.now() + pushed(),
        audio: () => ({
          now: () => (performance.now() + pushed()) / 1000,
          isRunning: () => true,
          resume: () => Promise.resolve(),
          schedule: (sound: { kind: string }, atS: number) => heard.scheduled.push({ ...sound, atS }),
          cancel: () => {
            const nowS = (performance.now() + pushed()) / 1000
            heard.scheduled.splice(0, Infinity, ...heard.scheduled.filter(({ atS }) => atS <= nowS))
          },
          keep: (id: string, bytes: ArrayBuffer) => {
            if (bytes.byteLength > 44) heard.kept.push(id)
            return Promise.resolve()
          },
          music: {
            play: (url: string, fromS: number) => {
              heard.music.push({ does: 'play', url, fromS })
              return Promise.resolve()
            },
            level: (gain: number, fade?: { fromS: number; toS: number }) => {
              heard.music.push({ does: 'level', gain, ...(fade ? { fade } : {}) })
            },
            stop: () => heard.music.push({ does: 'stop' }),
          },
        }),
      },
    })
  })
}
export const heardOn = (page: Page) => page.evaluate(() => (window as unknown as { heard: Heard }).heard)
