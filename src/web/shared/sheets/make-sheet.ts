import { toRaw } from 'vue'
import type { PageQuestion, SheetKind, SheetQuestion } from './sheet-work.ts'

/** What came of what was asked for: its bytes, or why there are none; neither where nothing of the class goes on it. */
export interface SheetAnswer {
  readonly bytes?: Uint8Array<ArrayBuffer>
  readonly failed?: string
}

let worker: Worker | undefined
/** One after the other: the worker answers in the order in which it is asked. */
let before: Promise<unknown> = Promise.resolve()

/** A sheet as a PDF, or the students' page, made in a worker; it stays, since the next one is quicker for it. */
export function makeSheet(question: SheetQuestion | PageQuestion): Promise<SheetAnswer> {
  const mine = before.then(() => ask(question))
  before = mine
  return mine
}

function ask(question: SheetQuestion | PageQuestion): Promise<SheetAnswer> {
  worker ??= new Worker(new URL('./sheet-worker.ts', import.meta.url), { type: 'module' })
  const mine = worker
  return new Promise((settle) => {
    mine.onmessage = ({ data }: MessageEvent<SheetAnswer>) => {
      settle(data)
    }
    mine.onerror = ({ message }) => {
      mine.terminate()
      worker = undefined
      settle({ failed: message })
    }
    // What is watched over by Vue cannot be sent to a worker; its plain copy can. The times that were learned are a map.
    const plain = JSON.parse(JSON.stringify(question)) as typeof question
    mine.postMessage('learned' in question ? { ...plain, learned: toRaw(question.learned) } : plain)
  })
}

/** How many pages a PDF has. */
export const pagesOf = (bytes: Uint8Array): number =>
  new TextDecoder('latin1').decode(bytes).match(/\/Type\s*\/Page\b/g)?.length ?? 0

/** What each sheet is called in the name of its file. */
export const sheetEndings: Readonly<Record<SheetKind, string>> = {
  teacher: 'sheet',
  cards: 'set-up-cards',
  floor: 'floor-card',
  home: 'home-sheet',
  room: 'room',
}
