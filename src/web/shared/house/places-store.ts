import { defineStore } from 'pinia'
import type { KeptPlace } from '#model/place'
import { listPlaces, removePlace, writePlace } from '#web/shared/api/places.ts'
import { keptDocuments } from '#web/shared/saving/kept-documents.ts'

const keptUnder = 'zovrin.places'

/** What this browser knew last, for when the server is away. */
function kept() {
  try {
    const known = JSON.parse(localStorage.getItem(keptUnder) ?? '[]') as readonly KeptPlace[]
    return known.map(({ place, version }) => ({ document: place, version }))
  } catch {
    return []
  }
}

/** The places with their rooms and cupboards; each change is written at once, and can be taken back in this window. */
export const usePlacesStore = defineStore('places', () => {
  const { documents, ...acts } = keptDocuments(
    { list: listPlaces, write: writePlace, remove: removePlace },
    {
      known: kept(),
      // Of all places one is the usual one: to make it so changes another.
      readsAgain: true,
      onRead(all) {
        const places = all.map(({ document, version }): KeptPlace => ({ place: document, version }))
        localStorage.setItem(keptUnder, JSON.stringify(places))
      },
    },
  )
  return { places: documents, ...acts }
})
