import { computed, ref, shallowRef } from 'vue'
import { measureCaptions, toldOfRecording } from '#core/captions'
import type { Caption, Span } from '#core/captions'
import { captionNotes, captionRefusal } from '#words/recordings'
import { useOwnStore } from '#web/shared/own/own-store.ts'

interface Measured {
  readonly name: string
  readonly captions: readonly Caption[]
  readonly spans: readonly Span[]
  readonly notes: readonly string[]
}

/** A file of captions, measured in this window: nothing of it is sent or kept. */
export function useRecording() {
  const own = useOwnStore()
  const measured = shallowRef<Measured>()
  const problem = ref('')

  async function read(file: File): Promise<void> {
    problem.value = ''
    const { mostCaptionBytes, readCaptionFile } = await import('#formats/caption-file')
    // What is too large is not read into the window at all; its size alone refuses it.
    const bytes =
      file.size > mostCaptionBytes ? new Uint8Array(mostCaptionBytes + 1) : new Uint8Array(await file.arrayBuffer())
    const found = readCaptionFile(bytes)
    if (!found.ok) {
      problem.value = captionRefusal(found)
      return
    }
    const { captions, outOfOrder, backwards } = found.value
    // Poses of one's own are named as well.
    await own.load()
    const { spans } = measureCaptions({ captions, catalog: own.catalog })
    measured.value = { name: file.name, captions, spans, notes: captionNotes(outOfOrder, backwards) }
  }
  return {
    ...{ measured, problem, read },
    told: computed(() => measured.value && toldOfRecording(measured.value.captions, measured.value.spans)),
    nameOf: ({ poseId }: Span): string =>
      poseId === undefined ? 'Unknown shape' : (own.catalog.poses.get(poseId)?.names.english ?? 'Unknown shape'),
  }
}
