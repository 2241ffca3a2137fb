import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import type { KeptPlace, Place } from '#model/place'
import { listPlaces, removePlace, writePlace } from '#web/shared/api/places.ts'
import type { Reply } from '#web/shared/api/client.ts'

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

/** The places with their rooms and cupboards; each change is written at once, and can be taken back in this window. */
export const usePlacesStore = defineStore('places', () => {
  const all = shallowRef(kept())
  /** Places as they stood before each change, the last first to come back. */
  const steps = shallowRef<readonly Place[]>([])
  /** Why the last change did not come about; nothing where it did. */
  const problem = shallowRef('')
  const places = computed(() => all.value.map(({ place }) => place))
  const versionOf = (id: string): number => all.value.find(({ place }) => place.id === id)?.version ?? 0

  function take(next: readonly KeptPlace[]): void {
    localStorage.setItem(keptAs, JSON.stringify(next))
    // The same places stay the same objects, so that nothing is computed anew.
    if (JSON.stringify(next) !== JSON.stringify(all.value)) all.value = next
  }
  async function load(): Promise<void> {
    const reply = await listPlaces()
    if (reply.kind === 'ok') take(reply.value)
  }
  async function settle(reply: Reply<unknown>): Promise<boolean> {
    problem.value = reply.kind === 'ok' ? '' : reply.kind === 'problem' ? reply.problem.detail : away
    if (reply.kind !== 'away') await load()
    return reply.kind === 'ok'
  }
  /** One change is written after the other: each is based on the version the one before it made. */
  let writing: Promise<unknown> = Promise.resolve()
  const inTurn = (act: () => Promise<boolean>): Promise<boolean> => {
    const done = writing.then(act, act)
    writing = done
    return done
  }
  async function put(place: Place): Promise<boolean> {
    const former = places.value.find(({ id }) => id === place.id)
    // What is typed stands there at once.
    all.value = all.value.map((one) => (one.place.id === place.id ? { ...one, place } : one))
    if (former) steps.value = [...steps.value, former].slice(-mostSteps)
    const isDone = await inTurn(async () => settle(await writePlace(place, versionOf(place.id))))
    // What was not written is nothing to take back.
    if (!isDone) steps.value = steps.value.filter((step) => step !== former)
    return isDone
  }
  return {
    ...{ places, steps, problem, load, put },
    remove: (id: string): Promise<boolean> =>
      inTurn(async () => {
        const isGone = await settle(await removePlace(id, versionOf(id)))
        if (isGone) steps.value = steps.value.filter((one) => one.id !== id)
        return isGone
      }),
    async undo(): Promise<void> {
      const former = steps.value.at(-1)
      if (!former) return
      const left = steps.value.slice(0, -1)
      const written = put(former)
      steps.value = left
      await written
    },
  }
})
