import { AudioSample, AudioSampleSource, BufferTarget, Mp4OutputFormat, Output } from 'mediabunny'
import { gainFor, mixed, peakOf } from '#formats/sound-file/mix'
import type { Mix } from '#formats/sound-file/mix'

/** Bits a second: bells and one voice want no more. */
const bitrate = 48_000
const pieceS = 10

/**
 * A class as Opus in an MP4 file, encoded by the browser: `tell` hears how much of it is there, 0 to 1. Rejects where this
 * browser has no such encoder.
 */
export async function opusFile(mix: Mix, tell: (share: number) => void): Promise<Uint8Array<ArrayBuffer>> {
  const target = new BufferTarget()
  const output = new Output({ format: new Mp4OutputFormat(), target })
  const source = new AudioSampleSource({ codec: 'opus', bitrate })
  output.addAudioTrack(source)
  await output.start()
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
