import { answerPaste, answerWrite } from './paste-work.ts'
import type { PasteQuestion, WriteQuestion } from './paste-work.ts'

addEventListener('message', ({ data }: MessageEvent<PasteQuestion | WriteQuestion>) => {
  postMessage('session' in data ? answerWrite(data) : answerPaste(data))
})
