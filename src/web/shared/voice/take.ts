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
  // Fetched while it is recorded: with the server away when it ends, it is there.
  const ready = makeReady()
  recorder.start()
  return {
    level: meter.level,
    async stop() {
      if (recorder.state !== 'inactive') recorder.stop()
      void meter.close()
      const file = await ended
      const spoken = await decoded(file).catch((error: unknown) => {
        ready.giveUp()
        throw error
      })
      const lengthMs = Math.max(1, Math.round((spoken.samples.length / spoken.rate) * 1000))
      // Rather as it was said, with its silence, than not at all.
      return ready.of(spoken).catch(() => ({ file: asSound(file, recorder.mimeType), lengthMs }))
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

/** What was recorded under its plain type, as files of sound have it. */
const asSound = (file: Blob, mimeType: string): Blob =>
  new Blob([file], { type: mimeType.replace(/;.*/, '').replace('video/', 'audio/') })

/** In a worker, so that the page goes on; it goes when the sentence is ready. */
function makeReady() {
  const worker = new Worker(new URL('./voice-worker.ts', import.meta.url), { type: 'module' })
  const answer = new Promise<ReadyVoice | undefined>((settle, fail) => {
    worker.onmessage = ({ data }: MessageEvent<ReadyVoice | undefined>) => {
      settle(data)
    }
    worker.onerror = ({ message }) => {
      fail(new Error(message))
    }
  }).finally(() => {
    worker.terminate()
  })
  // It may fail before anybody asks it.
  answer.catch(() => undefined)
  return {
    of(spoken: Spoken): Promise<ReadyVoice | undefined> {
      worker.postMessage(spoken, [spoken.samples.buffer])
      return answer
    },
    giveUp(): void {
      worker.terminate()
    },
  }
}
