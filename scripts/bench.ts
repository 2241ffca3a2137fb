import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { chromium } from '@playwright/test'
import type { Page } from '@playwright/test'
import type { Person } from '#model/person'
import { screen } from '#core/cautions'
import { beginLead, leadPlan, soundsDue } from '#core/lead'
import { compileTimeline, segmentAt } from '#core/timeline'
import { orThrow } from '#core/result'
import { cautionBook } from '#library/cautions/book'
import { conditions } from '#library/cautions/conditions'
import { firstCeilingS } from '#library/cautions/register'
import { shippedCatalog } from '#library/shipped'
import { systemClock } from '#server/clock'
import { openDatabase } from '#server/db/open'
import { sessionStore } from '#server/features/sessions/store'
import { startServer } from '#server/start'
import { benchSession } from '#testing/bench-session'
import { aHold, aSession } from '#testing/sessions'
import { makeBellSchedule } from '#web/shared/lead/bell-schedule.ts'
import { chromiumArguments, chromiumPath, ensureChromium } from './shared/chromium.ts'
import { buildPages, pagesFolder } from './shared/pages.ts'
import { runScript } from './shared/serve.ts'

const sorted = (values: readonly number[]) => [...values].sort((a, b) => a - b)
const quantile = (values: readonly number[], share: number) =>
  sorted(values)[Math.min(values.length - 1, Math.floor(values.length * share))] ?? NaN
const ms = (value: number) => `${value.toFixed(value < 10 ? 3 : 1)} ms`

function report(what: string, figure: string, budget: string): void {
  console.log(`${what.padEnd(66)} ${figure.padEnd(30)} budget ${budget}`)
}

/** Milliseconds of each of many runs, after a warm-up. */
function times(runs: number, work: () => unknown): number[] {
  for (let warm = 0; warm < runs / 4; warm += 1) work()
  return Array.from({ length: runs }, () => {
    const startMs = performance.now()
    work()
    return performance.now() - startMs
  })
}

function benchCore(): void {
  const session = benchSession()
  const timeline = orThrow(compileTimeline(session, shippedCatalog))
  const phases = timeline.segments.filter(({ doing }) => doing.kind === 'breath').length
  const size = `${String(session.blocks.length)} blocks, ${String(Math.round(timeline.totalMs / 60_000))} min, ${String(phases)} breath phases`
  report(`compile (${size})`, `median ${ms(quantile(times(400, () => compileTimeline(session, shippedCatalog)), 0.5))}`, '< 2 ms')
  const lookUps = times(200, () => {
    for (let at = 0; at < 1000; at += 1) segmentAt(timeline, (timeline.totalMs * at) / 1000)
  })
  report(`segmentAt (${String(timeline.segments.length)} segments), 1000 instants`, `median ${ms(quantile(lookUps, 0.5))}`, '—')
}

/** Twenty holds for thirty people with three conditions each. */
function benchScreening(): void {
  const poses = [...shippedCatalog.poses.keys()].slice(0, 20)
  const session = aSession(poses.map((id) => aHold(id)))
  const people = Array.from({ length: 30 }, (_, index): Person => ({
    id: `person-${String(index)}`,
    name: 'Somebody',
    level: 'regular',
    consents: [],
    conditions: [0, 1, 2].map((more) => ({
      id: conditions[(index * 3 + more) % conditions.length]?.id ?? 'knee',
      severe: more === 2 ? 'yes' : 'no',
      askedOn: '2026-01-01',
    })),
  }))
  const books = { catalog: shippedCatalog, book: cautionBook, ceilingS: firstCeilingS }
  const { entries } = orThrow(screen(session, people, books))
  const taken = times(60, () => screen(session, people, books))
  report(`screen (20 holds, 30 people, ${String(entries.length)} entries)`, `median ${ms(quantile(taken, 0.5))}`, '< 10 ms')
}

/** Every sound of the class handed to a port that notes it, against its compiled instant. */
function benchBells(): void {
  const timeline = orThrow(compileTimeline(benchSession(), shippedCatalog))
  const plan = leadPlan(timeline, {})
  const due = soundsDue(plan, beginLead(plan))
  const whens: number[] = []
  const bells = makeBellSchedule({
    now: () => 12.5,
    isRunning: () => true,
    resume: () => Promise.resolve(),
    schedule: (_sound, when) => whens.push(when),
    cancel: () => undefined,
  })
  const startMs = performance.now()
  bells.replace(due, 0)
  const tookMs = performance.now() - startMs
  const worstMs = Math.max(...due.map(({ atMs }, index) => Math.abs(((whens[index] ?? NaN) - 12.5) * 1000 - atMs)))
  const minutes = String(Math.round(plan.totalMs / 60_000))
  report(`bells, ${String(due.length)} sounds over ${minutes} min, against the compiled instant`, `worst ${worstMs.toFixed(6)} ms`, '< 1 audio frame')
  report('  handing all of them over', ms(tookMs), '—')
}

async function fill(file: string): Promise<void> {
  const database = await openDatabase(file)
  const store = sessionStore(database, systemClock)
  await store.create(benchSession())
  for (let index = 0; index < 199; index += 1) {
    await store.create({ ...benchSession(), id: `session-${String(index)}`, name: `Session ${String(index)}` })
  }
  await database.close()
}

async function benchList(address: string): Promise<void> {
  const figures: number[] = []
  for (let run = 0; run < 60; run += 1) {
    const startMs = performance.now()
    await (await fetch(`${address}api/sessions`)).json()
    figures.push(performance.now() - startMs)
  }
  report('API list of 200 sessions of 40 blocks', `median ${ms(quantile(figures, 0.5))}`, '< 50 ms')
}

/** From a key press to the paint after it, as the page itself sees it. */
async function keyToPaint(page: Page, keys: readonly string[], runs: number): Promise<number[]> {
  await page.evaluate(() => {
    const seen: number[] = []
    Object.assign(window, { benchSeen: seen })
    window.addEventListener(
      'keydown',
      (event) => {
        requestAnimationFrame(() => {
          const channel = new MessageChannel()
          channel.port1.onmessage = () => seen.push(performance.now() - event.timeStamp)
          channel.port2.postMessage(null)
        })
      },
      { capture: true },
    )
  })
  for (let run = 0; run < runs; run += 1) {
    await page.keyboard.press(keys[run % keys.length] ?? 'ArrowDown')
    await page.waitForTimeout(20)
  }
  return page.evaluate(() => (window as unknown as { benchSeen: number[] }).benchSeen)
}

async function benchPage(address: string): Promise<void> {
  const browser = await chromium.launch({ executablePath: chromiumPath, args: chromiumArguments })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const opens: number[] = []
  for (let run = 0; run < 5; run += 1) {
    const startMs = performance.now()
    await page.goto(`${address}plan/bench`)
    await page.getByRole('option').first().waitFor()
    opens.push(performance.now() - startMs)
  }
  report('open Plan (40 blocks; 200 sessions, no led classes yet)', `median ${ms(quantile(opens, 0.5))}`, '< 1000 ms')
  await page.getByRole('listbox').focus()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowDown')
  const figures = await keyToPaint(page, [']', 'ArrowDown', '[', 'Alt+ArrowDown', ']', 'Alt+ArrowUp'], 120)
  report('key in Plan to paint (40 blocks), 120 keys', `p50 ${ms(quantile(figures, 0.5))}, p95 ${ms(quantile(figures, 0.95))}`, '< 50 ms')
  await browser.close()
}

/** A class is begun, the page reloaded: how long until the clock stands again, and how far it is off. */
async function benchReload(address: string): Promise<void> {
  const browser = await chromium.launch({ executablePath: chromiumPath, args: chromiumArguments })
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
  report('  off the right second (the clock shows whole seconds)', `worst ${worstS.toFixed(2)} s`, '< 0.5 s and rounding')
  await browser.close()
}

/** What a browser that has never been here fetches until the first block stands. */
async function benchLoad(address: string): Promise<void> {
  const browser = await chromium.launch({ executablePath: chromiumPath, args: chromiumArguments })
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
  const kB = names.reduce((sum, name) => sum + gzipSync(readFileSync(join(pagesFolder, 'assets', name))).length, 0) / 1000
  report('first load of Plan, JS gzip', `${kB.toFixed(0)} kB in ${String(names.length)} files`, '< 260 kB')
}

runScript(async () => {
  ensureChromium()
  benchCore()
  benchScreening()
  benchBells()
  await buildPages()
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-bench-'))
  const file = join(folder, 'bench.sqlite')
  await fill(file)
  const running = await startServer({ host: '127.0.0.1', port: 0, portIsFixed: true, dataFolder: folder }, file, pagesFolder)
  await benchList(running.address)
  await benchPage(running.address)
  await benchReload(running.address)
  await benchLoad(running.address)
  await running.stop()
  rmSync(folder, { recursive: true, force: true })
})
