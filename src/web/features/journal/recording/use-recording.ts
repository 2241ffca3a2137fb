import { nanoid } from 'nanoid'
import { computed, onMounted, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { measureCaptions, sessionOfRecording, toldOfRecording, unsaidOnSecond } from '#core/captions'
import type { EditedSpan } from '#core/captions'
import type { Catalog } from '#core/session'
import { captionNotes, captionRefusal } from '#words/recordings'
import { markedName } from '#words/text'
import { whyNot } from '#web/shared/api/client.ts'
import { createSession } from '#web/shared/api/sessions.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import type { KeptRecording } from './kept-recordings.ts'
import { recordingOf, recordingStep } from './recording-state.ts'
import type { RecordingCommand, RecordingState } from './recording-state.ts'
import { useKeptRecordings } from './use-kept-recordings.ts'

/** A recording that was measured and is shown: as it was read, and its spans as they stand now. */
interface Shown {
  readonly recording: KeptRecording
  readonly state: RecordingState
}

/** Recordings of classes, measured in this browser and kept in it alone; one of them is shown and put right. */
export function useRecording() {
  const own = useOwnStore()
  const shelf = useKeptRecordings()
  const shown = shallowRef<Shown>()
  const problem = ref('')

  function show(recording: KeptRecording | undefined): void {
    shown.value = recording && { recording, state: recordingOf(recording.spans) }
  }
  onMounted(async () => {
    const [[newest]] = await Promise.all([shelf.load(), own.load()])
    if (!shown.value) show(newest)
  })

  async function read(file: File): Promise<void> {
    problem.value = ''
    // Poses of one's own are named as well.
    await own.load()
    const recording = await measured(file, own.catalog)
    if (typeof recording === 'string') {
      problem.value = recording
      return
    }
    shelf.keep(recording)
    show(recording)
  }
  function tell(command: RecordingCommand): void {
    if (!shown.value) return
    const { recording, state } = shown.value
    const next = recordingStep(state, command)
    shown.value = { recording, state: next }
    if (next.spans !== state.spans) shelf.keep({ ...recording, spans: next.spans })
  }
  return {
    ...{ shown, problem, read, tell },
    ...{ kept: shelf.kept, notKept: shelf.notKept, deleted: shelf.deleted },
    told: computed(() => shown.value && toldOf(shown.value)),
    ...usePoseNames(),
    open: (id: string): void => {
      show(shelf.kept.value.find((one) => one.id === id))
    },
    remove(): void {
      if (!shown.value) return
      shelf.drop(shown.value.recording.id)
      show(shelf.kept.value[0])
    },
    bringBack(): void {
      const { value: recording } = shelf.deleted
      if (!recording) return
      shelf.keep(recording)
      show(recording)
    },
    ...useSession(shown, problem),
  }
}

function usePoseNames() {
  const own = useOwnStore()
  return {
    /** All poses by name, to choose from. */
    poses: computed(() =>
      [...own.catalog.poses.values()]
        .map(({ id, names }) => ({ value: id, words: names.english }))
        .sort((a, b) => a.words.localeCompare(b.words)),
    ),
    nameOf: ({ poseId }: EditedSpan): string =>
      (poseId === undefined ? undefined : own.catalog.poses.get(poseId)?.names.english) ?? 'Unknown shape',
  }
}

/** A file of captions, measured; or why it is none. */
async function measured(file: File, catalog: Catalog): Promise<KeptRecording | string> {
  const { mostCaptionBytes, readCaptionFile } = await import('#formats/caption-file')
  // What is too large is not read into the window at all; its size alone refuses it.
  const bytes =
    file.size > mostCaptionBytes ? new Uint8Array(mostCaptionBytes + 1) : new Uint8Array(await file.arrayBuffer())
  const found = readCaptionFile(bytes)
  if (!found.ok) return captionRefusal(found)
  const { captions, outOfOrder, backwards } = found.value
  const { spans } = measureCaptions({ captions, catalog })
  const notes = captionNotes(outOfOrder, backwards)
  return { id: nanoid(), name: file.name, readAt: new Date().toISOString(), captions, spans, notes }
}

function toldOf({ recording: { captions }, state: { spans } }: Shown) {
  const { sides, ...told } = toldOfRecording(captions, spans)
  return { ...told, sides: sides.map((pair) => ({ ...pair, unsaid: unsaidOnSecond(captions, spans, pair) })) }
}

/** A session to plan from, made of the recording that is shown. */
function useSession(shown: Readonly<{ value: Shown | undefined }>, problem: { value: string }) {
  const own = useOwnStore()
  const router = useRouter()
  return {
    async makeSession(): Promise<void> {
      if (!shown.value) return
      const { recording, state } = shown.value
      const id = nanoid()
      const name = markedName(recording.name.replace(/\.\w{2,4}$/, '') || 'Class', ', as recorded')
      const as = { id, name, practice: 'mixed', level: 'regular', schoolId: 'mixed' } as const
      const reply = await createSession(sessionOfRecording(recording.captions, state.spans, own.catalog, as))
      if (reply.kind === 'ok') await router.push({ name: 'plan', params: { id } })
      else
        problem.value = whyNot(
          reply,
          'Zovrin’s server does not answer, so no session was made. Start it and try again.',
        )
    },
  }
}
