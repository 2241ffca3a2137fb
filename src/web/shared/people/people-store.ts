import { defineStore } from 'pinia'
import { computed } from 'vue'
import { listPeople, removePerson, writePerson } from '#web/shared/api/people.ts'
import { keptDocuments } from '#web/shared/saving/kept-documents.ts'

/**
 * The people, as the server has them. What they told is never drafted in this browser: what could not be written is kept
 * in this window, and said to be unsaved [settled A16].
 */
export const usePeopleStore = defineStore('people', () => {
  const { documents, ...acts } = keptDocuments(
    { list: listPeople, write: writePerson, remove: removePerson },
    { keepsUnsaved: true },
  )
  const people = computed(() => documents.value.toSorted((a, b) => a.name.localeCompare(b.name)))
  return { people, ...acts }
})
