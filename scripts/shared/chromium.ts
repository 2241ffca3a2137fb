import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'

/** Where Debian puts Chromium; `ZOVRIN_CHROMIUM` names another. */
export const chromiumPath = process.env['ZOVRIN_CHROMIUM'] ?? '/usr/bin/chromium'

export const chromiumArguments = ['--no-sandbox', '--disable-background-networking']

/** Makes sure there is a Chromium, from Debian's packages where the user may; else throws what to run. */
export function ensureChromium(): void {
  if (existsSync(chromiumPath)) return
  const isRoot = process.getuid?.() === 0
  if (isRoot) {
    console.log('Installing Chromium from Debian’s packages.')
    const quiet = { stdio: 'ignore' as const, env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } }
    spawnSync('apt-get', ['update'], quiet)
    spawnSync('apt-get', ['install', '-y', '--no-install-recommends', 'chromium'], quiet)
  }
  if (!existsSync(chromiumPath)) {
    throw new Error(
      'The browser tests need Chromium. Run: sudo apt-get update && sudo apt-get install -y chromium\nor name another with ZOVRIN_CHROMIUM=/path/to/chromium',
    )
  }
}
