import { computed, onMounted, ref, shallowRef } from 'vue'
import type { Settings } from '#model/settings'
import type { LearnedTime } from '#core/journal'
import { atLevel, taughtTimes } from '#core/session'
import { learnedThing, learnedWords } from '#words/learned-times'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useSettingsStore } from '#web/shared/settings/settings-store.ts'

/** Of one thing in the order in which they come. */
const taughtOrder = (key: string): number => taughtTimes.findIndex((time) => key.startsWith(`${time}:`))

type Said = NonNullable<Settings['times']>

/** Every time that classes teach, by what it is of, and what can be said of it: a figure set, records forgotten, either taken back. */
export function useTimes() {
  const own = useOwnStore()
  const settings = useSettingsStore()
  /** What is of no one thing stands first. */
  const byThing = (key: string): string => learnedThing(key, own.catalog)
  const state = ref<'opening' | 'ready' | 'away'>('opening')
  onMounted(async () => {
    state.value = (await own.loadTimes()) ? 'ready' : 'away'
  })
  /** What was said before the last change, and what that was. */
  const before = shallowRef<{ readonly said: Said; readonly words: string }>()

  function say(time: LearnedTime, change: Said[string], words: string): void {
    before.value = { said: settings.times, words: `${words}: ${learnedWords(time.key, own.catalog)}` }
    const at = atLevel(time.key, time.level)
    const { [at]: now, ...others } = settings.times
    const { setS, forgottenAt } = { ...now, ...change }
    const said = {
      ...(setS === undefined ? {} : { setS }),
      ...(forgottenAt === undefined ? {} : { forgottenAt }),
    }
    settings.times = Object.keys(said).length === 0 ? others : { ...others, [at]: said }
  }
  return {
    ...{ before, state },
    rows: computed(() =>
      own.times
        .map((time) => ({ ...time, id: atLevel(time.key, time.level), words: learnedWords(time.key, own.catalog) }))
        .sort((a, b) => byThing(a.key).localeCompare(byThing(b.key)) || taughtOrder(a.key) - taughtOrder(b.key)),
    ),
    set: (time: LearnedTime, setS: number) => {
      say(time, { setS }, 'Set')
    },
    unset: (time: LearnedTime) => {
      say(time, { setS: undefined }, 'By the records again')
    },
    forget: (time: LearnedTime) => {
      say(time, { forgottenAt: new Date().toISOString() }, 'Forgotten')
    },
    undo(): void {
      if (before.value) settings.times = before.value.said
      before.value = undefined
    },
  }
}
