import { wavPieces } from './sound-file-work.ts'
import type { SoundFileQuestion } from './sound-file-work.ts'

addEventListener('message', ({ data }: MessageEvent<SoundFileQuestion>) => {
  for (const piece of wavPieces(data)) postMessage(piece, { transfer: [piece.bytes.buffer] })
})
