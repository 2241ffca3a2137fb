import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { chromium } from '@playwright/test'
import type { Page } from '@playwright/test'
import { compileTimeline, segmentAt } from '#core/timeline'
import { orThrow } from '#core/result'
import { shippedCatalog } from '#library/shipped'
import { systemClock } from '#server/clock'
import { openDatabase } from '#server/db/open'
import { sessionStore } from '#server/features/sessions/store'
import { benchSession } from '#testing/bench-session'
import { chromiumArguments, chromiumPath } from '../shared/chromium.ts'
import { pagesFolder } from '../shared/pages.ts'
import { ms, quantile, report } from './measure.ts'

export async function fill(file: string): Promise<void> {
  const database = await openDatabase(file)
  const store = sessionStore(database, systemClock)
  await store.create(benchSession())
  for (let index = 0; index < 199; index += 1) {
    await store.create({ ...benchSession(), id: `session-${String(index)}`, name: `Session ${String(index)}` })
  }
  await database.close()
}

export async function benchList(address: string): Promise<void> {
  const figures: number[] = []
  for (let run = 0; run < 60; run += 1) {
    const startMs = performance.now()
    await (await fetch(`${address}api/sessions`)).json()
    figures.push(performance.now() - startMs)
  }
  report('API list of 200 sessions of 40 blocks', `median ${ms(quantile(figures, 0.5))}`, '< 50 ms')
}

declare global {
  interface Window {
    /** How long each input took to its paint, ms, by its kind. */
    benchSeen?: Record<string, number[]>
  }
}

/** From an input of the teacher to the paint after it, as the page itself sees it. */
async function watchPaints(page: Page, kind: 'keydown' | 'pointermove' | 'pointerup'): Promise<void> {
  await page.evaluate((name) => {
    const seen: number[] = []
    window.benchSeen = { ...window.benchSeen, [name]: seen }
    window.addEventListener(
      name,
      (event) => {
        requestAnimationFrame(() => {
          const channel = new MessageChannel()
          channel.port1.onmessage = () => seen.push(performance.now() - event.timeStamp)
          channel.port2.postMessage(null)
        })
      },
      { capture: true },
    )
  }, kind)
}
const seenPaints = (page: Page, kind: string) => page.evaluate((name) => window.benchSeen?.[name] ?? [], kind)

async function benchKeys(page: Page): Promise<void> {
  await page.getByRole('listbox').focus()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowDown')
  await watchPaints(page, 'keydown')
  const keys = [']', 'ArrowDown', '[', 'Alt+ArrowDown', ']', 'Alt+ArrowUp']
  for (let run = 0; run < 120; run += 1) {
    await page.keyboard.press(keys[run % keys.length] ?? 'ArrowDown')
    await page.waitForTimeout(60)
  }
  // Alt is a key press of its own: it changes nothing, and would flatter the figures.
  const figures = (await seenPaints(page, 'keydown')).filter((_, index) => ![3, 6].includes(index % 8))
  report(
    'key in Plan to paint (40 blocks), 120 keys',
    `p50 ${ms(quantile(figures, 0.5))}, p95 ${ms(quantile(figures, 0.95))}`,
    '< 50 ms',
  )
  for (const key of new Set(keys)) {
    const of = figures.filter((_, index) => keys[index % keys.length] === key)
    report(`  ${key}`, `p50 ${ms(quantile(of, 0.5))}, p95 ${ms(quantile(of, 0.95))}`, '')
  }
}

/** A lower edge drawn down and up, and a block carried along the spine: each step, and the letting go. */
async function benchDrags(page: Page): Promise<void> {
  await page.getByRole('listbox').focus()
  await page.keyboard.press('Home')
  await watchPaints(page, 'pointermove')
  await watchPaints(page, 'pointerup')
  for (let run = 0; run < 12; run += 1) {
    const edge = await page
      .locator('[data-testid^="edge-"]')
      .nth(1 + (run % 3))
      .boundingBox()
    if (!edge) throw new Error('There is no lower edge to draw.')
    const [x, y] = [edge.x + edge.width / 2, edge.y + edge.height / 2]
    await page.mouse.move(x, y)
    await page.mouse.down()
    for (let step = 1; step <= 10; step += 1) await page.mouse.move(x, y + (run % 2 === 0 ? 3 : -3) * step)
    await page.mouse.up()
    await page.waitForTimeout(60)
  }
  const [moves, drops] = [await seenPaints(page, 'pointermove'), await seenPaints(page, 'pointerup')]
  report(
    '  drawing a lower edge, each step',
    `p50 ${ms(quantile(moves, 0.5))}, p95 ${ms(quantile(moves, 0.95))}`,
    '< 50 ms',
  )
  report('  letting it go', `p50 ${ms(quantile(drops, 0.5))}, p95 ${ms(quantile(drops, 0.95))}`, '< 50 ms')
}

export async function benchPage(address: string): Promise<void> {
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: chromiumArguments })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const opens: number[] = []
  for (let run = 0; run < 5; run += 1) {
    const startMs = performance.now()
    await page.goto(`${address}plan/bench`)
    await page.getByRole('option').first().waitFor()
    opens.push(performance.now() - startMs)
  }
  report('open Plan (40 blocks; 200 sessions, no led classes yet)', `median ${ms(quantile(opens, 0.5))}`, '< 1000 ms')
  await benchKeys(page)
  await benchDrags(page)
  await browser.close()
}

/** A class is begun, the page reloaded: how long until the clock stands again, and how far it is off. */
export async function benchReload(address: string): Promise<void> {
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: chromiumArguments })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${address}lead/bench`)
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  const startedMs = Date.now()
  await page.getByTestId('clock').waitFor()
  const timeline = orThrow(compileTimeline(benchSession(), shippedCatalog))
  const shows: number[] = []
  let worstS = 0
  for (let run = 0; run < 5; run += 1) {
    const reloadMs = performance.now()
    await page.reload()
    const clock = page.getByTestId('clock')
    await clock.waitFor()
    shows.push(performance.now() - reloadMs)
    const shown = await page.evaluate(() => document.querySelector('[data-testid="clock"]')?.textContent ?? '')
    const [minutes = NaN, seconds = NaN] = shown.trim().split(':').map(Number)
    const elapsedMs = Date.now() - startedMs
    const expectedS = ((segmentAt(timeline, elapsedMs)?.endMs ?? NaN) - elapsedMs) / 1000
    worstS = Math.max(worstS, Math.abs(minutes * 60 + seconds - expectedS))
  }
  report('reload during a class: shown after', `worst ${ms(Math.max(...shows))}`, '< 2000 ms')
  report(
    '  off the right second (the clock shows whole seconds)',
    `worst ${worstS.toFixed(2)} s`,
    '< 0.5 s and rounding',
  )
  await browser.close()
}

/** What a browser that has never been here fetches until the first block stands. */
export async function benchLoad(address: string): Promise<void> {
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: chromiumArguments })
  const context = await browser.newContext({ serviceWorkers: 'block' })
  const page = await context.newPage()
  const fetched = new Set<string>()
  page.on('request', (request) => {
    const name = /assets\/([^/]+\.js)$/.exec(request.url())?.[1]
    if (name !== undefined) fetched.add(name)
  })
  await page.goto(`${address}plan/bench`)
  await page.getByRole('option').first().waitFor()
  await page.getByRole('complementary').getByRole('heading', { level: 1 }).waitFor()
  const names = [...fetched]
  await browser.close()
  const kB =
    names.reduce((sum, name) => sum + gzipSync(readFileSync(join(pagesFolder, 'assets', name))).length, 0) / 1000
  report('first load of Plan, JS gzip', `${kB.toFixed(0)} kB in ${String(names.length)} files`, '< 260 kB')
}
