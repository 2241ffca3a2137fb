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
  /**
   * Forgets every sound that has not begun, and lets a tone or a voice that sounds die away at once; a bell rings out, and so
   * do the voices of these ids.
   */
  cancel(goesOn?: ReadonlySet<string>): void
  /** Has a sound or a recorded sentence of the teacher's own at hand from now on. Rejects what it cannot play. */
  keep(soundId: string, heard: ArrayBuffer): Promise<void>
  /** The track that plays beside the bells. */
  readonly music: MusicPort
}

/** A track of music: one at a time, over and over. */
export interface MusicPort {
  /** Plays what lies at an address, so many seconds into it. Rejects where it cannot be played. */
  play(url: string, fromS: number): Promise<void>
  /** As loud as `gain` from now on; with a fade, quieter and quieter between two seconds of the audio clock, then gone. */
  level(gain: number, fade?: { readonly fromS: number; readonly toS: number }): void
  stop(): void
}

/** Seconds between the strokes of one bell. */
export const strokeGapS = 2.5
