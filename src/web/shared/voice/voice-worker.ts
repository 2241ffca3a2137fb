import type { Spoken } from '#formats/voice/spoken'
import { readyVoice } from './voice-work.ts'

addEventListener('message', ({ data }: MessageEvent<Spoken>) => {
  readyVoice(data)
    .then((ready) => {
      postMessage(ready)
    })
    .catch((error: unknown) => {
      // A rejection in a worker is told to nobody: thrown from a timer it is an error of it like any other.
      setTimeout(() => {
        throw error
      })
    })
})
