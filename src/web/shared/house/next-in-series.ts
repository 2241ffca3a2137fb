import type { PlannedClass } from '#model/planned-class'
import { classesOfSeries } from '#core/series'
import { daysOfRhythm } from '#formats/rhythm'
import { nextSaid } from '#words/series'
import { namesOfSeries } from '#words/series-names'
import { readSession } from '#web/shared/api/sessions.ts'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import { useSeriesStore } from './series-store.ts'

/** What comes in the class after one of a series, as it is read out at the closing; undefined after the last, or where it cannot be known. */
export async function nextInSeries({ id, n }: NonNullable<PlannedClass['series']>): Promise<string | undefined> {
  const store = useSeriesStore()
  await store.load()
  const series = store.series.find((one) => one.id === id)
  const reply = series && (await readSession(series.baseId))
  if (!series || reply?.kind !== 'ok') return undefined
  const { catalog } = useOwnStore()
  const ids = new Set(series.classes.flatMap(({ sessionId }) => sessionId ?? []))
  const read = await Promise.all([...ids].map(readSession))
  const own = new Map(read.flatMap((one) => (one.kind === 'ok' ? [[one.value.id, one.value] as const] : [])))
  const all = classesOfSeries({
    ...{ series, base: reply.value, days: daysOfRhythm(series), catalog },
    own: (sessionId) => own.get(sessionId),
  })
  const after = all.slice(all.findIndex((one) => one.n === n) + 1).find(({ leftOut }) => leftOut === undefined)
  return (
    after &&
    nextSaid(
      after,
      namesOfSeries(
        () => reply.value,
        () => catalog,
      ),
    )
  )
}
