import { registerSW } from 'virtual:pwa-register'

/** On a device that was let in, behind a certificate it was told to take, browsers keep no shell [settled B22]. */
const keepsShell = import.meta.env.PROD && location.protocol === 'http:'

/**
 * Keeps the shell at hand for when the server is away. A newer shell is fetched in the background and
 * waits: it takes over at the next opening after the last window was closed, never under unsaved work.
 */
export function registerShell(): void {
  if (keepsShell) registerSW({ immediate: true })
}
