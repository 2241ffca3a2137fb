import type { Spoken } from '#formats/voice/spoken'
import type { ReadyVoice } from './voice-work.ts'

/** A sentence that is being recorded. */
export interface Take {
  /** How loud it is now, 0 to 1. */
  level(): number
  /** Ends it, and makes it ready; undefined where nothing was heard. Rejects where this browser cannot record it. */
  stop(): Promise<ReadyVoice | undefined>
}

/** Frames a second of what is kept: Opus is made of so many. */
const rate = 48_000

/** Records from a stream until it is stopped. */
export function beginTake(stream: MediaStream): Take {
  const recorder = new MediaRecorder(stream)
  const parts: Blob[] = []
  recorder.ondataavailable = ({ data }) => parts.push(data)
  const ended = new Promise<Blob>((settle, fail) => {
    recorder.onstop = () => {
      settle(new Blob(parts))
    }
    recorder.onerror = () => {
      fail(new Error('the recording was broken off'))
    }
  })
  const meter = levelOf(stream)
  recorder.start()
  return {
    level: meter.level,
    async stop() {
      if (recorder.state !== 'inactive') recorder.stop()
      void meter.close()
      return madeReady(await decoded(await ended))
    },
  }
}

function levelOf(stream: MediaStream) {
  const context = new AudioContext()
  const analyser = new AnalyserNode(context, { fftSize: 1024 })
  new MediaStreamAudioSourceNode(context, { mediaStream: stream }).connect(analyser)
  const samples = new Float32Array(analyser.fftSize)
  return {
    level(): number {
      analyser.getFloatTimeDomainData(samples)
      return Math.min(
        1,
        samples.reduce((most, sample) => Math.max(most, Math.abs(sample)), 0),
      )
    },
    close: () => context.close(),
  }
}

/** One channel of what was recorded; a recording of nothing decodes as nothing. */
async function decoded(file: Blob): Promise<Spoken> {
  if (file.size === 0) return { samples: new Float32Array(), rate }
  const buffer = await new OfflineAudioContext(1, 1, rate).decodeAudioData(await file.arrayBuffer())
  const channels = Array.from({ length: buffer.numberOfChannels }, (_, at) => buffer.getChannelData(at))
  const samples = new Float32Array(buffer.length)
  for (const channel of channels)
    for (const [at, sample] of channel.entries()) samples[at] = (samples[at] ?? 0) + sample / channels.length
  return { samples, rate }
}

/** In a worker, so that the page goes on; it goes when the sentence is ready. */
function madeReady(spoken: Spoken): Promise<ReadyVoice | undefined> {
  const worker = new Worker(new URL('./voice-worker.ts', import.meta.url), { type: 'module' })
  return new Promise<ReadyVoice | undefined>((settle, fail) => {
    worker.onmessage = ({ data }: MessageEvent<ReadyVoice | undefined>) => {
      settle(data)
    }
    worker.onerror = ({ message }) => {
      fail(new Error(message))
    }
    worker.postMessage(spoken, [spoken.samples.buffer])
  }).finally(() => {
    worker.terminate()
  })
}
