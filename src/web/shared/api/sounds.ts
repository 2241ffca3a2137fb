import type { OwnSound } from '#model/sound'
import { ask } from './client.ts'

/** The teacher's own sounds. */
export const listSounds = () => ask<readonly OwnSound[]>('/sounds')
/** Brings a sound in as the file it is. */
export const bringSound = (sound: Pick<OwnSound, 'id' | 'name' | 'use' | 'lengthMs'>, file: Blob) => {
  const said = new URLSearchParams({ name: sound.name, use: sound.use, lengthMs: String(sound.lengthMs) })
  return ask<OwnSound>(`/sounds/${sound.id}?${said.toString()}`, { method: 'PUT', file })
}
export const removeSound = (id: string) => ask<undefined>(`/sounds/${id}`, { method: 'DELETE' })
/** Where a sound is heard. */
export const heardAt = (id: string): string => `/api/sounds/${id}/heard`
