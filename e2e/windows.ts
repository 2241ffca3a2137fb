import { createServer } from 'node:net'
import type { Browser, BrowserContext, Disposable, Page } from '@playwright/test'

/**
 * The window in which a worker runs test after test: half of what loading a page costs is fetching and compiling it,
 * and that is kept. Each test finds it as new.
 */
export interface KeptWindow {
  readonly context: BrowserContext
  readonly page: Page
  /** What a test has every page begin with. */
  readonly scripts: Disposable[]
}

const size = { width: 1280, height: 800 }

export async function openKeptWindow(browser: Browser): Promise<KeptWindow> {
  const context = await browser.newContext({ viewport: size, serviceWorkers: 'block' })
  const page = await context.newPage()
  const scripts: Disposable[] = []
  const add = page.addInitScript.bind(page)
  page.addInitScript = async (...given: Parameters<typeof add>) => {
    const script = await add(...given)
    scripts.push(script)
    return script
  }
  return { context, page, scripts }
}

/** Takes away what the tests before kept in the browser at this address. */
export async function forget({ page }: KeptWindow, address: string): Promise<void> {
  await page.goto(`${address}icon.svg`)
  await page.evaluate(async () => {
    localStorage.clear()
    sessionStorage.clear()
    for (const { name } of await indexedDB.databases()) {
      await new Promise((done, failed) => {
        const asked = indexedDB.deleteDatabase(name ?? '')
        asked.onsuccess = done
        asked.onerror = failed
        asked.onblocked = failed
      })
    }
  })
}

/** Leaves what a test has open, and has the window as it was opened. */
export async function leave({ context, page, scripts }: KeptWindow): Promise<void> {
  for (const other of context.pages()) if (other !== page) await other.close()
  for (const script of scripts.splice(0)) await script.dispose()
  await page.unrouteAll()
  await page.goto('about:blank')
  await page.mouse.move(0, 0)
  await page.emulateMedia({ media: null })
  await page.setViewportSize(size)
  await context.clearPermissions()
}

const isFree = (port: number) =>
  new Promise<boolean>((told) => {
    const server = createServer()
    server.on('error', () => {
      told(false)
    })
    server.listen(port, '127.0.0.1', () =>
      server.close(() => {
        told(true)
      }),
    )
  })

/**
 * A port nobody listens at, for all houses of a worker, since a window keeps what it fetched by its address.
 * It lies below the ports a system gives to whoever asks some other server.
 */
export async function findPort(worker: number): Promise<number> {
  for (let port = 20_000 + worker; port < 32_000; port += 16) if (await isFree(port)) return port
  throw new Error('No port between 20000 and 32000 is free for the browser tests.')
}
