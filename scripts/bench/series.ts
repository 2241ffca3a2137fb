import { thursdaySlowHour as base } from '#server/demo/sessions'
import { shippedCatalog as catalog } from '#library/shipped'
import { classesOfSeries } from '#core/series'
import type { Series } from '#model/series'
import { daysOfRhythm } from '#formats/rhythm'
import { ms, quantile, report, times } from './measure.ts'

const series: Series = {
  ...{ schema: 1, id: 'thursdays', name: 'Thursdays', baseId: base.id, weekdays: ['TH'], startsAt: '19:00' },
  ...{ firstDay: '2026-03-05', weeks: 40, people: [], guests: 11, classes: [] },
  growth: [
    { id: 'a', kind: 'longer', blockId: 'figure-four', everyWeeks: 2 },
    { id: 'b', kind: 'longer', blockId: 'deer', everyWeeks: 3 },
    { id: 'c', kind: 'quieter', blockId: 'wide-knee-fold', everyWeeks: 4, least: 1 },
    { id: 'd', kind: 'comes', blockId: 'sphinx', week: 3 },
    { id: 'e', kind: 'ladder', blockId: 'even-breath', startStep: 3, perWeek: 2 },
  ],
}

/** How long it takes to make forty weeks of a series. */
export function benchSeries(): void {
  const taken = times(30, () => classesOfSeries({ series, base, days: daysOfRhythm(series), catalog }))
  report('forty weeks of a series', `median ${ms(quantile(taken, 0.5))}, p95 ${ms(quantile(taken, 0.95))}`, '< 50 ms')
}
