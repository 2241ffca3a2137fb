import type { PlayedSound } from '#core/lead'

/** The little that leading needs of an audio device; tests put their own in its place. */
export interface AudioPort {
  /** Seconds on the audio clock. */
  now(): number
  /** Whether sounds can be heard now; after a reload the browser wants a gesture first. */
  isRunning(): boolean
  /** Asks the browser to let sound through; resolves when it does. */
  resume(): Promise<void>
  /** Sounds something at a second of the audio clock. */
  schedule(sound: PlayedSound, when: number): void
  /** Forgets every sound that has not begun, and lets a tone that sounds die away at once; a bell rings out. */
  cancel(): void
}

/** Seconds between the strokes of one bell. */
export const strokeGapS = 2.5
