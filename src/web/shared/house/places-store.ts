import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { KeptPlace, Place } from '#model/place'
import { listPlaces, removePlace, writePlace } from '#web/shared/api/places.ts'
import type { Reply } from '#web/shared/api/client.ts'
import { turns } from '#web/shared/saving/turns.ts'

const keptAs = 'zovrin.places'
const mostSteps = 200

/** What this browser knew last, for when the server is away. */
function kept(): readonly KeptPlace[] {
  try {
    return JSON.parse(localStorage.getItem(keptAs) ?? '[]') as readonly KeptPlace[]
  } catch {
    return []
  }
}

const away = 'Zovrin’s server does not answer: nothing was changed. Start it and try again.'

/** What is known of the places: as it was read, with what was changed here standing there at once. */
function placesKnown() {
  const all = shallowRef(kept())
  /** How often anything was changed here: what was asked for before a change is older than it. */
  let changes = 0
  return {
    all,
    versionOf: (id: string): number => all.value.find(({ place }) => place.id === id)?.version ?? 0,
    async load(): Promise<void> {
      const before = changes
      const reply = await listPlaces()
      if (reply.kind !== 'ok' || changes !== before) return
      localStorage.setItem(keptAs, JSON.stringify(reply.value))
      // The same places stay the same objects, so that nothing is computed anew.
      if (JSON.stringify(reply.value) !== JSON.stringify(all.value)) all.value = reply.value
    },
    /** One place otherwise than it is known. */
    show(id: string, by: Partial<KeptPlace>): void {
      changes += 1
      all.value = all.value.map((one) => (one.place.id === id ? { ...one, ...by } : one))
    },
  }
}

/** The places with their rooms and cupboards; each change is written at once, and can be taken back in this window. */
export const usePlacesStore = defineStore('places', () => {
  const { all, versionOf, load, show } = placesKnown()
  /** Places as they stood before each change, the last first to come back. */
  const steps = shallowRef<readonly Place[]>([])
  /** Why the last change did not come about; nothing where it did. */
  const problem = shallowRef('')
  const places = computed(() => all.value.map(({ place }) => place))
  const { act, isWaiting } = turns()

  async function settle(reply: Reply<unknown>): Promise<boolean> {
    problem.value = reply.kind === 'ok' ? '' : reply.kind === 'problem' ? reply.problem.detail : away
    // What waits to be written was changed after what would be read now.
    if (reply.kind !== 'away' && !isWaiting()) await load()
    return reply.kind === 'ok'
  }
  /** Writes a place over the version it has by then, and notes the new one. */
  async function write(place: Place): Promise<boolean> {
    const reply = await writePlace(place, versionOf(place.id))
    if (reply.kind === 'ok') show(place.id, { version: reply.value.version })
    return settle(reply)
  }
  async function put(place: Place): Promise<boolean> {
    const former = places.value.find(({ id }) => id === place.id)
    show(place.id, { place })
    if (former) steps.value = [...steps.value, former].slice(-mostSteps)
    const isDone = await act(() => write(place))
    // What was not written is nothing to take back.
    if (!isDone && former) {
      steps.value = steps.value.filter((step) => step !== former)
      if (places.value.includes(place)) show(place.id, { place: former })
    }
    return isDone
  }
  async function undo(): Promise<void> {
    const former = steps.value.at(-1)
    if (!former) return
    const left = steps.value.slice(0, -1)
    const written = put(former)
    steps.value = left
    await written
  }
  return {
    ...{ places, steps, problem, load, put, undo },
    remove: (id: string): Promise<boolean> =>
      act(async () => {
        const isGone = await settle(await removePlace(id, versionOf(id)))
        if (isGone) steps.value = steps.value.filter((one) => one.id !== id)
        return isGone
      }),
  }
})
