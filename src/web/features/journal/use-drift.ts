import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { journalWishSchema } from '#model/journal'
import type { ClassDrift } from '#model/class-drift'
import { mendOf, whatDrifts } from '#core/journal'
import type { BlockDrift } from '#core/journal'
import { formatDuration } from '#core/units'
import { driftPartNames } from '#words/drift'
import { lower } from '#words/text'
import { readDrifts } from '#web/shared/api/led-classes.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useSessionStore } from '#web/shared/session/session-store.ts'

/** What drifts over the classes that were wished for in the journal; the wish stands in the address. */
export function useDrift() {
  const route = useRoute()
  const classes = shallowRef<readonly ClassDrift[]>([])
  const state = ref<'opening' | 'ready' | 'away'>('opening')
  const wish = computed(() => {
    const read = journalWishSchema.safeParse(route.query)
    return read.success ? read.data : {}
  })
  let asked = 0
  watch(
    wish,
    async (now) => {
      if (route.name !== 'drift') return
      asked += 1
      const mine = asked
      const reply = await readDrifts(now)
      if (mine !== asked) return
      state.value = reply.kind === 'ok' ? 'ready' : 'away'
      if (reply.kind === 'ok') classes.value = reply.value
    },
    { immediate: true },
  )
  return { classes, state, wish, drift: computed(() => whatDrifts(classes.value)), ...useMending() }
}

/** The step from what drifts to the plan: looked at there, or planned as it was led, with undo. */
function useMending() {
  const router = useRouter()
  const session = useSessionStore()
  const own = useOwnStore()
  /** Why nothing was changed. */
  const told = ref('')
  /** Opens the plan at a block; says whether there is one. */
  async function openAt(sessionId: string, blockId: string): Promise<boolean> {
    told.value = ''
    await session.open(sessionId)
    if (session.document?.id !== sessionId) {
      told.value = 'The session these classes were led from is not here any more.'
      return false
    }
    session.chosenId = blockId
    return true
  }
  const toPlan = (id: string) => router.push({ name: 'plan', params: { id } })
  return {
    told,
    async look({ sessionId, blockId }: Pick<BlockDrift, 'sessionId' | 'blockId'>): Promise<void> {
      if (await openAt(sessionId, blockId)) await toPlan(sessionId)
    },
    /** Plans a part of a block with what it takes. */
    async mend(drifted: BlockDrift): Promise<void> {
      const { sessionId, blockId, name, part } = drifted
      if (!(await openAt(sessionId, blockId)) || !session.document) return
      const mend = mendOf(session.document, drifted, own.catalog)
      const what = `${name}, ${lower(driftPartNames[part])}`
      if (!mend) {
        told.value = `${what}: the plan has it so already, or it cannot be planned so long.`
        return
      }
      if (session.edit(mend.edit, `${what} planned with ${formatDuration(mend.plannedS)}`)) await toPlan(sessionId)
      else told.value = session.passed ?? `${what}: the plan could not be changed.`
    },
  }
}
