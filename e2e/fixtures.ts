import { copyFileSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { basename, join } from 'node:path'
import { test as base, expect } from '@playwright/test'
import type { BrowserContext, ConsoleMessage, Locator, Page, WebError } from '@playwright/test'
import type * as Houses from './house.ts'
import type { Beginnings, House } from './house.ts'
import { findPort, forget, leave, openKeptWindow } from './windows.ts'
import type { KeptWindow } from './windows.ts'

export type { House }

const root = join(import.meta.dirname, '..')

/** As one file, made before the tests: see scripts/e2e/before-all.ts. */
const houses = () => import(process.env['ZOVRIN_HOUSE'] ?? './house.ts') as Promise<typeof Houses>

interface Fixtures {
  /** The built pages the house serves: as shipped, or with Vue's warnings left in. */
  pages: 'dist' | 'dist-with-warnings'
  /** The demo data, or a database of one's own with nothing in it. */
  data: 'demo' | 'empty'
  /** Makes the database of a house, in its folder or elsewhere, and says where it is. */
  database: (folder: string) => string
  /** The window that the worker's tests share, each of which finds it as new; or one of its own, with its own cache. */
  window: 'shared' | 'own'
  house: House
  /** Messages a test expects from the browser itself, as parts of their text. */
  expectFailures: (part: string) => void
  plan: Page
}

interface OfWorker {
  beginnings: Beginnings
  port: number
  kept: KeptWindow
}

/** Collects what a page may never show, until the function it gives is called: uncaught errors, console errors and warnings, policy violations. */
function watch(context: BrowserContext, amiss: string[]): () => void {
  const uncaught = (error: WebError) => amiss.push(`uncaught: ${error.error().message}`)
  const said = (message: ConsoleMessage) => {
    if (message.type() === 'error' || message.type() === 'warning') amiss.push(`${message.type()}: ${message.text()}`)
  }
  context.on('weberror', uncaught)
  context.on('console', said)
  return () => {
    context.off('weberror', uncaught)
    context.off('console', said)
  }
}

interface Amiss {
  amiss: { allowed: string[]; seen: string[] }
}

export const test = base.extend<Fixtures & Amiss, OfWorker>({
  beginnings: [
    // Playwright reads what a fixture needs off this pattern, and wants one even where that is nothing of weight.
    async ({ browserName: _ }, use) => {
      const folder = mkdtempSync(join(tmpdir(), 'zovrin-beginnings-'))
      const { makeBeginnings } = await houses()
      await use(await makeBeginnings(folder))
      rmSync(folder, { recursive: true, force: true })
    },
    { scope: 'worker' },
  ],
  port: [
    async ({ browserName: _ }, use, { parallelIndex }) => {
      await use(await findPort(parallelIndex))
    },
    { scope: 'worker' },
  ],
  kept: [
    async ({ browser }, use) => {
      const kept = await openKeptWindow(browser)
      await use(kept)
      await kept.context.close()
    },
    { scope: 'worker' },
  ],
  context: async ({ context, kept, window }, use) => {
    await use(window === 'shared' ? kept.context : context)
  },
  page: async ({ context, kept, window }, use) => {
    await use(window === 'shared' ? kept.page : await context.newPage())
  },
  amiss: [
    async ({ context }, use) => {
      const amiss = { allowed: ['Service Worker registration blocked by Playwright'], seen: [] as string[] }
      const stop = watch(context, amiss.seen)
      await use(amiss)
      stop()
      expect(amiss.seen.filter((text) => !amiss.allowed.some((part) => text.includes(part)))).toEqual([])
    },
    { auto: true },
  ],
  expectFailures: async ({ amiss }, use) => {
    await use((part) => amiss.allowed.push(part))
  },
  pages: ['dist', { option: true }],
  data: ['demo', { option: true }],
  window: ['shared', { option: true }],
  database: async ({ data, beginnings }, use) => {
    await use((folder) => {
      const file = join(folder, basename(beginnings[data]))
      copyFileSync(beginnings[data], file)
      return file
    })
  },
  house: async ({ pages, database, window, port, kept, page }, use) => {
    const { makeHouse } = await houses()
    const house = await makeHouse(join(root, pages), port, database)
    if (window === 'shared') await forget(kept, house.address)
    await use(house)
    // The windows go first, so that none asks a server that is no more.
    await (window === 'shared' ? leave(kept) : page.context().close())
    await house.remove()
  },
  plan: async ({ page, house }, use) => {
    await page.goto(`${house.address}plan/thursday-slow-hour`)
    await expect(page.getByTestId('gauge')).toContainText('58:48')
    await use(page)
  },
})

/** In a window of its own: where it is closed, or must have the shell kept in the browser while the server is away. */
export const shellTest = test.extend({ serviceWorkers: 'allow', window: 'own' })

export { expect }

/** The blocks on the spine in order, by the names their wings carry, each once. */
export async function blockNames(page: Page): Promise<string[]> {
  await page.getByRole('option').first().waitFor({ state: 'attached' })
  const labels = await page
    .getByRole('option')
    .evaluateAll((wings) => wings.map((wing) => wing.getAttribute('aria-label') ?? ''))
  const named = labels.map((label) => ({ name: label.split(',')[0] ?? '', place: /block (\d+) of/.exec(label)?.[1] }))
  return named.filter(({ place }, index) => place !== named[index - 1]?.place).map(({ name }) => name)
}

export const saved = (page: Page) => expect(page.locator('.save')).toHaveText('saved')

/** The dialog that stands open, once it has come in: until then it takes the focus off whatever one gave it to. */
export async function openedDialog(page: Page): Promise<Locator> {
  const dialog = page.getByRole('dialog')
  await expect(dialog).toBeVisible()
  await expect(page.locator('.p-dialog-enter-active')).toHaveCount(0)
  return dialog
}
