import { AudioSample, AudioSampleSource, BufferTarget, Mp4OutputFormat, Output, TextSubtitleSource } from 'mediabunny'
import { cueListFile } from '#formats/cue-list'
import { gainFor, mixed, peakOf } from '#formats/sound-file/mix'
import type { Mix } from '#formats/sound-file/mix'
import type { Chapter } from '#formats/sound-file/wav'

/** Bits a second: bells and one voice want no more. */
const bitrate = 48_000
const pieceS = 10

/** Chapters as a track of text, each until the next one. */
const chaptersText = (chapters: readonly Chapter[], { rate, frames }: Mix): string =>
  cueListFile(
    chapters.map(({ name, frame }, at) => ({
      ...{ text: name, startMs: (frame * 1000) / rate },
      endMs: ((chapters[at + 1]?.frame ?? frames) * 1000) / rate,
    })),
    'vtt',
  )

/**
 * A sound as Opus in an MP4 file, encoded by the browser, its chapters as a track of WebVTT beside it: `tell` hears how much
 * of it is there, 0 to 1. Rejects where this browser has no such encoder.
 */
export async function opusFile(
  mix: Mix,
  chapters: readonly Chapter[],
  tell: (share: number) => void,
): Promise<Uint8Array<ArrayBuffer>> {
  const target = new BufferTarget()
  const output = new Output({ format: new Mp4OutputFormat(), target })
  const source = new AudioSampleSource({ codec: 'opus', bitrate })
  output.addAudioTrack(source)
  const text = chapters.length > 0 ? new TextSubtitleSource('webvtt') : undefined
  if (text) output.addSubtitleTrack(text, { name: 'Chapters', languageCode: 'eng' })
  await output.start()
  if (text) {
    await text.add(chaptersText(chapters, mix))
    text.close()
  }
  const { rate: sampleRate, frames } = mix
  const pieceFrames = sampleRate * pieceS
  const gain = gainFor(peakOf(mix, pieceFrames))
  let done = 0
  for (const samples of mixed(mix, pieceFrames)) {
    const data = 'silent' in samples ? new Float32Array(samples.silent) : samples.map((sample) => sample * gain)
    const piece = new AudioSample({
      data,
      format: 'f32',
      numberOfChannels: 1,
      sampleRate,
      timestamp: done / sampleRate,
    })
    await source.add(piece)
    piece.close()
    done += data.length
    tell(done / frames)
  }
  await output.finalize()
  if (!target.buffer) throw new Error('the file has no end')
  return new Uint8Array(target.buffer)
}
