import type { Page } from '@playwright/test'

interface Spoken {
  /** Speaks for so many seconds; done when they are over on the clock of the sound. */
  speak(seconds: number): Promise<void>
}

/** A stream that is made here in place of a microphone: silent until it is spoken into. */
export const withMicrophone = (page: Page) =>
  page.addInitScript(() => {
    let begun: Promise<{ context: AudioContext; gain: GainNode; stream: MediaStream }> | undefined
    const begin = async () => {
      const context = new AudioContext()
      await context.resume()
      const out = context.createMediaStreamDestination()
      const gain = new GainNode(context, { gain: 0 })
      const tone = new OscillatorNode(context, { frequency: 220 })
      tone.connect(gain).connect(out)
      tone.start()
      return { context, gain, stream: out.stream }
    }
    const until = (context: AudioContext, atS: number) =>
      new Promise<void>((settle) => {
        const timer = setInterval(() => {
          if (context.currentTime < atS) return
          clearInterval(timer)
          settle()
        }, 20)
      })
    Object.assign(window, {
      zovrinPorts: { microphone: async () => (await (begun ??= begin())).stream },
      async speak(seconds: number) {
        const { context, gain } = await (begun ??= begin())
        // Quiet before it and after it, as with whoever presses first and speaks then.
        const atS = context.currentTime + 0.3
        gain.gain.setValueAtTime(0.3, atS)
        gain.gain.setValueAtTime(0, atS + seconds)
        await until(context, atS + seconds + 0.4)
      },
    })
  })

export const speak = (page: Page, seconds: number) =>
  page.evaluate((s) => (window as unknown as Spoken).speak(s), seconds)
