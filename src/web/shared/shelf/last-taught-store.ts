import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import type { LastTaught } from '#core/journal'
import { readLastTaught } from '#web/shared/api/led-classes.ts'

/** When each thing of the shelf was led last; with the server away what was read before stands. */
export const useLastTaught = defineStore('lastTaught', () => {
  const byThing = shallowRef<ReadonlyMap<string, LastTaught>>(new Map())
  /** What was asked for since {@link expect}; many blocks are looked at, and none of them changes it. */
  let asked: Promise<void> | undefined
  async function read(): Promise<void> {
    const reply = await readLastTaught()
    if (reply.kind === 'ok') byThing.value = new Map(reply.value.map((one) => [one.thing, one]))
    else asked = undefined
  }
  return {
    /** The newest of some things; undefined where none was ever led. */
    of: (things: readonly string[]): LastTaught | undefined =>
      things
        .flatMap((thing) => byThing.value.get(thing) ?? [])
        .sort((a, b) => b.startedAt.localeCompare(a.startedAt))
        .at(0),
    /** A view that shows it is opened: a class may have been led since it was read. */
    expect(): void {
      asked = undefined
    },
    /** Reads it, once for each opening of a view. */
    load: (): Promise<void> => (asked ??= read()),
  }
})
