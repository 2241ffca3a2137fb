import { defineStore } from 'pinia'
import { listLongDays, removeLongDay, writeLongDay } from '#web/shared/api/long-days.ts'
import { keptDocuments } from '#web/shared/saving/kept-documents.ts'

/** The long days; each change is written at once, and can be taken back in this window. */
export const useLongDaysStore = defineStore('long-days', () => {
  const { documents, ...acts } = keptDocuments({ list: listLongDays, write: writeLongDay, remove: removeLongDay })
  return { days: documents, ...acts }
})
