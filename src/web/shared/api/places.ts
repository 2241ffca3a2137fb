import type { Place } from '#model/place'
import { ask } from './client.ts'

export const listPlaces = () => ask<readonly Place[]>('/places')
