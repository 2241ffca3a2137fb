import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import type { LastTaught } from '#core/journal'
import { readLastTaught } from '#web/shared/api/led-classes.ts'

/** When each thing of the shelf was led last; with the server away what was read before stands. */
export const useLastTaught = defineStore('lastTaught', () => {
  const byThing = shallowRef<ReadonlyMap<string, LastTaught>>(new Map())
  return {
    /** The newest of some things; undefined where none was ever led. */
    of: (things: readonly string[]): LastTaught | undefined =>
      things
        .flatMap((thing) => byThing.value.get(thing) ?? [])
        .sort((a, b) => b.startedAt.localeCompare(a.startedAt))
        .at(0),
    async load(): Promise<void> {
      const reply = await readLastTaught()
      if (reply.kind === 'ok') byThing.value = new Map(reply.value.map((one) => [one.thing, one]))
    },
  }
})
