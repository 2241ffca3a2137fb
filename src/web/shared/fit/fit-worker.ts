import { answerFit } from './fit-work.ts'
import type { FitQuestion } from './fit-work.ts'

// Answers one question after the other; to cancel one, the worker is ended and another begun.
addEventListener('message', ({ data }: MessageEvent<FitQuestion>) => {
  postMessage(answerFit(data))
})
