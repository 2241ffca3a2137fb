import { computed, shallowReactive, watch } from 'vue'
import type { ComputedRef } from 'vue'
import type { Pictured } from '#core/session'
import type { Drawing } from '../picture.ts'
import { keepThumbnail, keptThumbnails } from './kept-thumbnails.ts'
import workerUrl from './thumbnail-worker.ts?worker&url'

/** A build names the worker by all that is in it: what another drew is another picture. */
const edition = workerUrl

const drawn = shallowReactive(new Map<string, Drawing>())
const asked = new Set<string>()
let worker: Worker | undefined
let kept: Promise<ReadonlyMap<string, Drawing>> | undefined

function drawer(): Worker {
  if (worker) return worker
  worker = new Worker(workerUrl, { type: 'module' })
  worker.onmessage = ({ data }: MessageEvent<{ readonly key: string; readonly drawing?: Drawing }>) => {
    const { key, drawing } = data
    if (!drawing) return
    drawn.set(key, drawing)
    // A browser that keeps nothing has it drawn once more when it is opened again.
    void keepThumbnail(edition, key, drawing).catch(() => undefined)
  }
  // A worker that could not be had is asked for anew with the next picture, and what it did not draw too.
  worker.onerror = () => {
    worker?.terminate()
    worker = undefined
    for (const key of asked) if (!drawn.has(key)) asked.delete(key)
  }
  return worker
}

/** Without where it is kept it is drawn. */
const fromBefore = (): Promise<ReadonlyMap<string, Drawing>> =>
  (kept ??= keptThumbnails(edition).catch(() => new Map<string, Drawing>()))

async function ask(key: string): Promise<void> {
  if (asked.has(key)) return
  asked.add(key)
  const before = (await fromBefore()).get(key)
  if (before) drawn.set(key, before)
  else drawer().postMessage({ key, pictured: JSON.parse(key) as Pictured })
}

/** The ids of what lies there are of no picture. */
function keyOf({ figure, items, side }: Pictured): string {
  const laid = items.map((item, index) => ({ ...item, id: String(index), note: undefined }))
  return JSON.stringify({ figure, items: laid, side })
}

/** The thumbnail of what is pictured, once it is drawn: each is drawn once and kept. */
export function useThumbnail(pictured: () => Pictured | undefined): ComputedRef<Drawing | undefined> {
  const key = computed(() => {
    const now = pictured()
    return now && keyOf(now)
  })
  watch(key, (now) => now !== undefined && void ask(now), { immediate: true })
  return computed(() => (key.value === undefined ? undefined : drawn.get(key.value)))
}
