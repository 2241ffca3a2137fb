import { defineStore } from 'pinia'
import { listSeries, removeSeries, writeSeries } from '#web/shared/api/series.ts'
import { keptDocuments } from '#web/shared/saving/kept-documents.ts'

/** The series; each change is written at once, and can be taken back in this window. */
export const useSeriesStore = defineStore('series', () => {
  const { documents, ...acts } = keptDocuments({ list: listSeries, write: writeSeries, remove: removeSeries })
  return { series: documents, ...acts }
})
