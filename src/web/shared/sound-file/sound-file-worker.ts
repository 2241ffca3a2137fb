import { wavPieces } from './sound-file-work.ts'
import type { SoundFilePiece, SoundFileQuestion } from './sound-file-work.ts'

const send = (piece: SoundFilePiece): void => {
  postMessage(piece, { transfer: [piece.bytes.buffer] })
}

/** The one kind of file comes whole at its end, the other piece by piece. */
async function answer(question: SoundFileQuestion): Promise<void> {
  if (question.as === 'wav') {
    for (const piece of wavPieces(question)) send(piece)
    return
  }
  const { opusFile } = await import('./opus-file.ts')
  const nothing = new Uint8Array()
  const bytes = await opusFile(question.mix, question.chapters, (share) => {
    postMessage({ bytes: nothing, share, isLast: false })
  })
  send({ bytes, share: 1, isLast: true })
}

addEventListener('message', ({ data }: MessageEvent<SoundFileQuestion>) => {
  answer(data).catch((error: unknown) => {
    // A rejection in a worker is told to nobody: thrown from a timer it is an error of it like any other.
    setTimeout(() => {
      throw error
    })
  })
})
