/** A stretch of the class as the page tells it while it runs. */
export interface RunPart {
  /** The block it belongs to, by its place on the page; what is read besides it. */
  readonly block: number
  readonly name: string
  readonly title: string
  readonly startMs: number
  readonly endMs: number
}

/** All that the page's own script needs. */
export interface RunData {
  readonly totalMs: number
  readonly parts: readonly RunPart[]
  readonly bells: readonly { readonly atMs: number; readonly is: 'bowl' | 'low' | 'tick' }[]
}

/**
 * What runs in a student's page: its start and pause, its clock, its bells. It is written into the page as text, and so may
 * use nothing but what stands in it and what a browser has.
 */
// eslint-disable-next-line max-lines-per-function -- One function, since it goes into the page as its own text.
export function runPage({ totalMs, parts, bells }: RunData): void {
  const by = (id: string): HTMLElement => document.getElementById(id) as HTMLElement
  const partials = {
    bowl: [
      [262, 0.3, 6.5],
      [263.4, 0.18, 6],
      [716, 0.12, 3.6],
    ],
    low: [
      [131, 0.38, 5.5],
      [329, 0.14, 3],
    ],
    tick: [[880, 0.2, 0.09]],
  } as const
  let audio: AudioContext | undefined
  /** The instant of the class at which the clock of the machine stood at `sinceMs`. */
  let fromMs = 0
  let sinceMs: number | undefined
  let shown = -1

  const nowMs = (): number => fromMs + (sinceMs === undefined ? 0 : performance.now() - sinceMs)
  const two = (value: number): string => String(value).padStart(2, '0')
  const clock = (ms: number): string => {
    const s = Math.max(0, Math.ceil(ms / 1000))
    return s > 3600
      ? `${String(Math.floor(s / 3600))}:${two(Math.floor(s / 60) % 60)}:${two(s % 60)}`
      : `${String(Math.floor(s / 60))}:${two(s % 60)}`
  }

  /** Everything from now on is put on the audio clock at once: a page that sleeps still rings. */
  function ring(): void {
    const at = nowMs()
    const context = audio
    if (!context) return
    for (const bell of bells) {
      if (bell.atMs < at - 50) continue
      const when = context.currentTime + Math.max(0, bell.atMs - at) / 1000
      for (const [hz, gain, fadeS] of partials[bell.is]) {
        const tone = new OscillatorNode(context, { frequency: hz })
        const loud = new GainNode(context, { gain: 0 })
        loud.gain.setValueAtTime(0, when)
        loud.gain.linearRampToValueAtTime(gain, when + 0.006)
        loud.gain.exponentialRampToValueAtTime(gain / 1000, when + 0.006 + fadeS)
        tone.connect(loud).connect(context.destination)
        tone.start(when)
        tone.stop(when + 0.006 + fadeS)
      }
    }
  }

  function show(): void {
    const at = nowMs()
    const index = parts.findIndex((part) => at >= part.startMs && at < part.endMs)
    const part = parts[index]
    by('clock').textContent = clock((part ? part.endMs : totalMs) - at)
    if (index !== shown) {
      shown = index
      by('now').textContent = part
        ? part.name + (part.title === '' ? '' : `: ${part.title}`)
        : 'Take your time to get up'
      const next = parts[index + 1]
      by('next').textContent =
        part && next ? `then ${next.name === part.name && next.title !== '' ? next.title : next.name}` : ''
      for (const block of document.querySelectorAll('[data-block]'))
        block.classList.toggle('is-now', part !== undefined && block.getAttribute('data-block') === String(part.block))
    }
    if (at >= totalMs && sinceMs !== undefined) pause()
  }

  function pause(): void {
    fromMs = Math.min(totalMs, nowMs())
    sinceMs = undefined
    void audio?.close()
    audio = undefined
    by('start').textContent = fromMs >= totalMs ? 'Begin again' : 'Go on'
  }

  async function go(): Promise<void> {
    if (fromMs >= totalMs) fromMs = 0
    audio = new AudioContext()
    await audio.resume()
    sinceMs = performance.now()
    by('running').hidden = false
    by('start').textContent = 'Pause'
    ring()
    show()
    // The screen stays on where the browser can keep it so.
    await navigator.wakeLock?.request('screen').catch(() => undefined)
  }

  by('start').addEventListener('click', () => {
    if (sinceMs === undefined) void go()
    else pause()
  })
  setInterval(() => {
    if (sinceMs !== undefined) show()
  }, 250)
}
