import type { Settings } from '#model/settings'
import { ask } from './client.ts'

export const readSettings = () => ask<Settings>('/settings')
export const writeSettings = (settings: Settings, based: number) =>
  ask<{ readonly version: number }>('/settings', { method: 'PUT', body: settings, based })
