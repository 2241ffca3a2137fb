import { registerSW } from 'virtual:pwa-register'

/**
 * Keeps the shell at hand for when the server is away. A newer shell is fetched in the background and
 * waits: it takes over at the next opening after the last window was closed, never under unsaved work.
 */
export function registerShell(): void {
  if (import.meta.env.PROD) registerSW({ immediate: true })
}
