import type { KeptSeries, Series } from '#model/series'
import { keptAs } from '#web/shared/saving/kept-documents.ts'
import { ask } from './client.ts'

export const listSeries = async () => keptAs(await ask<readonly KeptSeries[]>('/series'), ({ series }) => series)
export const writeSeries = (series: Series, based: number) =>
  ask<KeptSeries>(`/series/${series.id}`, { method: 'PUT', body: series, based })
export const removeSeries = (id: string, based: number) => ask<undefined>(`/series/${id}`, { method: 'DELETE', based })
