import type { KeptPlace, Place } from '#model/place'
import { keptAs } from '#web/shared/saving/kept-documents.ts'
import { ask } from './client.ts'

export const listPlaces = async () => keptAs(await ask<readonly KeptPlace[]>('/places'), ({ place }) => place)
export const writePlace = (place: Place, based: number) =>
  ask<KeptPlace>(`/places/${place.id}`, { method: 'PUT', body: place, based })
export const removePlace = (id: string, based: number) => ask<undefined>(`/places/${id}`, { method: 'DELETE', based })
