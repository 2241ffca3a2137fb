import type { KeptPlace, Place } from '#model/place'
import { ask } from './client.ts'

export const listPlaces = () => ask<readonly KeptPlace[]>('/places')
export const writePlace = (place: Place, based: number) =>
  ask<KeptPlace>(`/places/${place.id}`, { method: 'PUT', body: place, based })
export const removePlace = (id: string, based: number) => ask<undefined>(`/places/${id}`, { method: 'DELETE', based })
