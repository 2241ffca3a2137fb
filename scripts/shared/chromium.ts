import { spawn } from 'node:child_process'
import { existsSync } from 'node:fs'

/** Where Debian puts its Chromiums. The one without a window loads a page in two thirds of the other's time. */
const debians = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'] as const

/** The Chromium that is used: what `ZOVRIN_CHROMIUM` names, else the first of Debian's that is there. */
export const chromiumPath = (): string =>
  process.env['ZOVRIN_CHROMIUM'] ?? debians.find((path) => existsSync(path)) ?? debians[0]

/** For pictures the one with a window, where it is there: it can keep a screen awake, as a teacher's can. */
export const pictureChromiumPath = (): string =>
  process.env['ZOVRIN_CHROMIUM'] ?? debians.findLast((path) => existsSync(path)) ?? debians[0]

export const chromiumArguments = ['--no-sandbox', '--disable-background-networking']

/** Runs to its end, however that is: whether there is a Chromium is looked at after it. */
const aptGet = (...args: string[]): Promise<void> =>
  new Promise((done) => {
    const quiet = { stdio: 'ignore' as const, env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } }
    const run = spawn('apt-get', args, quiet)
    run.on('error', () => {
      done()
    })
    run.on('exit', () => {
      done()
    })
  })

/** Makes sure there is a Chromium, from Debian's packages where the user may; else throws what to run. */
export async function ensureChromium(): Promise<void> {
  if (process.env['ZOVRIN_CHROMIUM'] === undefined && !existsSync(debians[0]) && process.getuid?.() === 0) {
    console.log('Installing Chromium from Debian’s packages.')
    await aptGet('update')
    await aptGet('install', '-y', '--no-install-recommends', 'chromium-headless-shell')
    // A Debian that does not have it yet.
    if (!existsSync(chromiumPath())) await aptGet('install', '-y', '--no-install-recommends', 'chromium')
  }
  if (!existsSync(chromiumPath())) {
    throw new Error(
      'The browser tests need Chromium. Run: sudo apt-get update && sudo apt-get install -y chromium-headless-shell\nor name another with ZOVRIN_CHROMIUM=/path/to/chromium',
    )
  }
}
