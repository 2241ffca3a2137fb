import { computed, shallowReactive, watch } from 'vue'
import type { ComputedRef } from 'vue'
import type { Pictured } from '#core/session'
import type { Drawing } from '../picture.ts'
import { keepThumbnail, keptThumbnails } from './kept-thumbnails.ts'
import { thumbnailKey } from './thumbnail-key.ts'
import workerUrl from './thumbnail-worker.ts?worker&url'

/** A build names the worker by all that is in it: what another drew is another picture. */
const edition = workerUrl

const drawn = shallowReactive(new Map<string, Drawing>())
let kept: Promise<ReadonlyMap<string, Drawing>> | undefined
let builtBefore: Promise<void> | undefined

/** What waits to be drawn: pictures of what is worked on go before those of a long list, each in the order it was asked. */
const waiting = { soon: new Set<string>(), later: new Set<string>() }
export type When = keyof typeof waiting
/** What the worker has in hand; the rest waits here, where what is asked later may still come first. */
const inHand = new Set<string>()
const mostInHand = 4
let worker: Worker | undefined

function drawer(): Worker {
  if (worker) return worker
  worker = new Worker(workerUrl, { type: 'module' })
  worker.onmessage = ({ data }: MessageEvent<{ readonly key: string; readonly drawing?: Drawing }>) => {
    const { key, drawing } = data
    inHand.delete(key)
    drawNext()
    if (!drawing) return
    drawn.set(key, drawing)
    // A browser that keeps nothing has it drawn once more when it is opened again.
    void keepThumbnail(edition, key, drawing).catch(() => undefined)
  }
  // A worker that could not be had is asked for anew with the next picture, and what it had in hand with it.
  worker.onerror = () => {
    worker?.terminate()
    worker = undefined
    for (const key of inHand) waiting.later.add(key)
    inHand.clear()
  }
  return worker
}

function drawNext(): void {
  while (inHand.size < mostInHand) {
    const from = waiting.soon.size > 0 ? waiting.soon : waiting.later
    const [key] = from
    if (key === undefined) return
    from.delete(key)
    inHand.add(key)
    drawer().postMessage({ key, pictured: JSON.parse(key) as Pictured })
  }
}

/** Without where it is kept it is drawn. */
const fromBefore = (): Promise<ReadonlyMap<string, Drawing>> =>
  (kept ??= keptThumbnails(edition).catch(() => new Map<string, Drawing>()))

/** Reads what was drawn with the pages, all of the shelf at once; where that cannot be had, the worker draws it. */
export const readShelfPictures = (): Promise<void> =>
  (builtBefore ??= import('virtual:shelf-pictures').then(
    ({ shelfPictures }) => {
      for (const [key, drawing] of Object.entries(shelfPictures)) if (!drawn.has(key)) drawn.set(key, drawing)
    },
    () => undefined,
  ))

async function ask(key: string, when: When): Promise<void> {
  if (drawn.has(key)) return
  // A long list is of the shelf; a single picture is not worth reading all of it.
  if (when === 'later') await readShelfPictures()
  if (drawn.has(key)) return
  const before = (await fromBefore()).get(key)
  if (before) drawn.set(key, before)
  if (drawn.has(key) || inHand.has(key)) return
  if (when === 'soon') waiting.later.delete(key)
  if (!waiting.soon.has(key)) waiting[when].add(key)
  drawNext()
}

/** The thumbnail of what is pictured, once it is drawn: each is drawn once and kept. */
export function useThumbnail(pictured: () => Pictured | undefined, when: When): ComputedRef<Drawing | undefined> {
  const key = computed(() => {
    const now = pictured()
    return now && thumbnailKey(now)
  })
  watch(key, (now) => now !== undefined && void ask(now, when), { immediate: true })
  return computed(() => (key.value === undefined ? undefined : drawn.get(key.value)))
}
