import { computed, ref, shallowRef } from 'vue'
import { foldMarks } from '#core/units'
import { listSessions } from '#web/shared/api/sessions.ts'
import type { SessionLine } from '#web/shared/api/sessions.ts'
import { allKnown, keepOnlyKnown } from '#web/shared/session/drafts.ts'

export type Shown = 'sessions' | 'templates' | 'away'

/** The sessions there are, and those that fit what is looked for. */
export function useSessionList() {
  const lines = shallowRef<readonly SessionLine[]>([])
  const state = ref<'opening' | 'ready' | 'away'>('opening')
  const shown = ref<Shown>('sessions')
  const wanted = ref('')
  const practice = ref('')

  async function load(): Promise<void> {
    const reply = await listSessions()
    if (reply.kind === 'ok') {
      lines.value = reply.value
      state.value = 'ready'
      // What cannot be forgotten here is only offered again; nothing is lost by it.
      await keepOnlyKnown(new Set(reply.value.map(({ id }) => id))).catch(() => undefined)
      return
    }
    lines.value = await knownHere()
    state.value = 'away'
  }

  const words = computed(() => foldMarks(wanted.value).split(/\s+/))
  const fits = (line: SessionLine): boolean =>
    listOf(line) === shown.value &&
    words.value.every((word) => foldMarks(line.name).includes(word)) &&
    (practice.value === '' || line.practice === practice.value)
  const countOf = (list: Shown): number => lines.value.filter((line) => listOf(line) === list).length

  return {
    ...{ lines, state, shown, wanted, practice, load },
    found: computed(() => lines.value.filter(fits)),
    counts: computed(() => ({
      sessions: countOf('sessions'),
      templates: countOf('templates'),
      away: countOf('away'),
    })),
  }
}

const listOf = ({ archived, template }: SessionLine): Shown => (archived ? 'away' : template ? 'templates' : 'sessions')

/** With the server away, what this browser has seen can still be opened. */
const knownHere = async (): Promise<SessionLine[]> =>
  (await allKnown()).map(({ document }) => ({
    ...document,
    savedAt: '',
    archived: false,
    template: false,
    lastLed: null,
  }))
