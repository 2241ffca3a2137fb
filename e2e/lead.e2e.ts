import type { Page } from '@playwright/test'
import type { LedClass } from '#model/led-class'
import { boundaryMs } from '#core/breath'
import { meantAndDone, visitsOf } from '#core/journal'
import { fold } from '#core/lead'
import { expect, shellTest, test } from './fixtures.ts'

interface Sounded {
  kind: string
  when: number
}
declare global {
  interface Window {
    zovrinPorts?: unknown
    pushS: (seconds: number) => void
    sounded: () => Sounded[]
    /** When the class has been looked at from now on. */
    lookedAt: () => Promise<void>
    /** Ticks that were held back. */
    heldTicks?: number
    /** What has really begun to sound in this page load, at class epoch milliseconds. */
    begun: () => Sounded[]
  }
}

/** Fast time, kept over reloads, and an audio port that writes down what it is handed. */
async function fastTime(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const stored = (name: string) => Number(localStorage.getItem(name) ?? 0)
    let addedMs = stored('addedMs')
    // One number, not two clocks read one after the other: on a busy machine much can lie between those.
    const zeroMs = performance.timeOrigin
    let waiting: Sounded[] = []
    let done: Sounded[] = []
    const steadyMs = () => performance.now() + addedMs
    const audioNow = () => steadyMs() / 1000
    const settle = () => {
      done = [...done, ...waiting.filter(({ when }) => when <= audioNow())]
      waiting = waiting.filter(({ when }) => when > audioNow())
    }
    window.pushS = (seconds) => {
      addedMs += seconds * 1000
      localStorage.setItem('addedMs', String(addedMs))
    }
    let looks = 0
    window.lookedAt = () =>
      new Promise((done) => {
        const until = looks + 1
        // A class that is over is looked at no more.
        const isOver = () =>
          [...document.querySelectorAll('h1, h2')].some(({ textContent }) => textContent.trim() === 'Done')
        const ask = () => {
          if (looks >= until || isOver()) done()
          else requestAnimationFrame(ask)
        }
        ask()
      })
    window.sounded = () => {
      settle()
      return [...done, ...waiting]
    }
    window.begun = () => {
      settle()
      return done.map(({ kind, when }) => ({ kind, when: when * 1000 + zeroMs }))
    }
    window.zovrinPorts = {
      epochMs: () => {
        looks += 1
        return zeroMs + steadyMs()
      },
      steadyMs,
      audio: () => ({
        now: audioNow,
        isRunning: () => localStorage.getItem('hush') === null,
        resume: () => {
          localStorage.removeItem('hush')
          return Promise.resolve()
        },
        schedule: (sound: { kind: string }, when: number) => {
          waiting.push({ kind: sound.kind, when })
        },
        cancel: () => {
          settle()
          waiting = []
        },
      }),
    }
  })
}

async function begin(page: Page, address: string): Promise<void> {
  await fastTime(page)
  await page.goto(`${address}plan/thursday-slow-hour`)
  await page.getByRole('link', { name: 'Lead' }).last().click()
  await page.getByLabel('How many are here').fill('11')
  await page.getByLabel('How many are here').press('Tab')
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await expect(page.getByTestId('clock')).toHaveText(/^(3:00|2:5\d)$/)
}

const push = (page: Page, seconds: number) => page.evaluate((s) => window.pushS(s), seconds)
const now = (page: Page) => page.getByRole('region', { name: 'Now' })

interface Kept {
  readonly keptRunMs: number
  readonly events: readonly { readonly event: { readonly type: string } }[]
}

/** What this browser keeps of the class: a reload takes it up from there. */
const keptClass = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<Kept | undefined>((tell) => {
        const opening = indexedDB.open('zovrin-classes')
        opening.onsuccess = () => {
          const reading = opening.result.transaction('classes').objectStore('classes').getAll()
          reading.onsuccess = () => {
            opening.result.close()
            tell((reading.result as Kept[])[0])
          }
        }
      }),
  )
/** Until this browser has kept the class at that second or later. */
const keptAt = (page: Page, seconds: number): Promise<void> =>
  expect.poll(async () => ((await keptClass(page))?.keptRunMs ?? 0) / 1000).toBeGreaterThanOrEqual(seconds)
/** Until this browser has kept that event as the last one. */
const keptLast = (page: Page, type: string): Promise<void> =>
  expect.poll(async () => (await keptClass(page))?.events.at(-1)?.event.type).toBe(type)

test('a class is led by keys, the second side matches, and its record tells meant and done', async ({
  page,
  house,
}) => {
  await begin(page, house.address)
  // Deer, left: planned from 27:15 on.
  await push(page, 1640)
  await expect(now(page)).toContainText('Left · left knee in front, right knee behind')
  await expect(page.getByTestId('match')).toHaveText('3:30')
  await page.keyboard.press('+')
  await expect(page.getByTestId('match')).toHaveText('4:00')
  await page.keyboard.press('ArrowRight')
  await expect(now(page)).toContainText('Come out')
  await page.keyboard.press('ArrowLeft')
  await expect(now(page)).toContainText('Left · left knee in front')
  await page.keyboard.press(' ')
  await expect(now(page)).toContainText('in the shape')
  // The same key within 400 ms would be ignored.
  await push(page, 1)
  await page.keyboard.press(' ')
  await push(page, 300)
  await expect(now(page)).toContainText('Right · right knee in front')
  await expect(page.getByTestId('match')).toHaveText(/^4:0\d$/)
  await push(page, 3000)
  await expect(page.getByRole('heading', { name: 'Done' })).toBeVisible()
  await page.getByLabel('What happened, in a line').fill('Two were late')
  await page.getByRole('button', { name: 'Save and open the record' }).click()
  await expect(page.getByRole('heading', { name: 'Meant and done' })).toBeVisible()
  await expect(page.getByText('Two were late')).toBeVisible()
  await expect(page.getByRole('img', { name: /planned 3:30, held 4:0\d/ })).toHaveCount(2)
  await page.getByRole('link', { name: 'Journal' }).last().click()
  await expect(page.getByRole('row')).toHaveCount(8)
})

test('every bell of the plan is handed to the audio clock at its instant', async ({ page, house }) => {
  await begin(page, house.address)
  const sounded = await page.evaluate(() => window.sounded())
  const bowls = sounded.filter(({ kind }) => kind === 'bowl').map(({ when }) => when)
  // Nine sides: two bells each; one for coming up in the closing.
  expect(bowls).toHaveLength(19)
  const gaps = bowls.slice(1).map((when, index) => Math.round((when - (bowls[index] ?? 0)) * 1000))
  expect(gaps.slice(0, 3)).toEqual([240_000, 75_000, 180_000])
  expect(sounded.filter(({ kind }) => kind === 'wood').length).toBeGreaterThan(60)
})

test('breathing freely stops the counts at once', async ({ page, house }) => {
  await begin(page, house.address)
  await push(page, 200)
  await expect(now(page)).toContainText('round 3 of 30')
  await page.keyboard.press('o')
  await expect(now(page)).toContainText('natural breath')
  await page.keyboard.press('x')
  await expect(page.getByRole('dialog', { name: 'Stop signs' })).toBeVisible()
})

test('a reload comes back at the right second, and a long absence asks what happened', async ({ page, house }) => {
  await begin(page, house.address)
  await push(page, 500)
  await expect(now(page)).toContainText('Wide-knee fold')
  await page.keyboard.press('m')
  await keptAt(page, 500)
  await page.reload()
  await expect(now(page)).toContainText('Wide-knee fold')
  await expect(page.getByTestId('clock')).toHaveText(/^3:2\d$|^3:1\d$/)
  await page.evaluate(() => localStorage.setItem('addedMs', String(Number(localStorage.getItem('addedMs')) + 600_000)))
  await page.reload()
  const question = page.getByRole('alertdialog', { name: 'What happened' })
  await expect(question).toContainText('This screen was away for 10:')
  await question.getByRole('button', { name: 'It went on without me' }).click()
  await expect(now(page)).toContainText('Figure four')
})

test('after a reload that holds sound back it says so; the first key only lets it through, missed bells are told', async ({
  page,
  house,
}) => {
  await begin(page, house.address)
  await push(page, 440)
  await expect(now(page)).toContainText('Set up Wide-knee fold')
  await page.keyboard.press('m')
  await keptAt(page, 440)
  await page.evaluate(() => localStorage.setItem('hush', 'yes'))
  await page.reload()
  const hush = page.getByText('Touch or press any key for the bells')
  await expect(hush).toBeVisible()
  expect(await page.evaluate(() => window.sounded())).toEqual([])
  await push(page, 30)
  await expect(page.getByText('1 missed')).toBeVisible()
  await page.keyboard.press(' ')
  await expect(hush).toBeHidden()
  await expect(now(page)).toContainText('Wide-knee fold')
  await expect(page.getByTestId('clock')).toBeVisible()
  const bowls = (await page.evaluate(() => window.sounded())).filter(({ kind }) => kind === 'bowl')
  expect(bowls).toHaveLength(18)
})

shellTest('a closed window is offered its class again, wherever the application is opened', async ({ page, house }) => {
  await begin(page, house.address)
  await page.keyboard.press('m')
  await keptLast(page, 'mark')
  const context = page.context()
  await page.close()
  const next = await context.newPage()
  await fastTime(next)
  await next.goto(`${house.address}journal`)
  await next.getByRole('link', { name: 'Thursday slow hour is running: go back to it' }).click()
  await expect(now(next)).toContainText('Arrive')
  const kept = (await (await fetch(`${house.address}api/sessions/thursday-slow-hour/history`)).json()) as {
    reason: string
  }[]
  expect(kept.map(({ reason }) => reason)).toEqual(['lead'])
})

test('a page whose ticks were held back, as in the background, is right at its first look', async ({ page, house }) => {
  // Headless Chromium throttles nothing: the worker is made silent by hand until it is let speak again.
  await page.addInitScript(() => {
    const Real = window.Worker
    window.Worker = class extends Real {
      override set onmessage(listener: ((this: Worker, event: MessageEvent) => unknown) | null) {
        super.onmessage = (event) => {
          if ('heldBack' in window) window.heldTicks = (window.heldTicks ?? 0) + 1
          else listener?.call(this, event)
        }
      }
    }
  })
  await begin(page, house.address)
  await page.evaluate(() => {
    Object.assign(window, { heldBack: true })
    Object.defineProperty(document, 'visibilityState', { value: 'hidden', configurable: true })
  })
  await push(page, 520)
  await expect.poll(() => page.evaluate(() => window.heldTicks ?? 0)).toBeGreaterThan(3)
  await expect(now(page)).toContainText('Arrive')
  const due = await page.evaluate(() =>
    window
      .sounded()
      .filter(({ when }) => when < performance.now() / 1000 + Number(localStorage.getItem('addedMs')) / 1000),
  )
  expect(due.filter(({ kind }) => kind === 'wood')).toHaveLength(60)
  await page.evaluate(() => Reflect.deleteProperty(window, 'heldBack'))
  await expect(now(page)).toContainText('Wide-knee fold')
  await expect(page.getByTestId('clock')).toHaveText(/^3:0\d$/)
})

test('leaving early keeps what was done and says so', async ({ page, house }) => {
  await begin(page, house.address)
  await push(page, 500)
  await page.getByRole('button', { name: 'Leave' }).click()
  await page.getByRole('alertdialog', { name: 'Leave' }).getByRole('button', { name: 'Leave' }).click()
  await expect(page.getByRole('heading', { name: 'Left early' })).toBeVisible()
  await page.getByRole('button', { name: 'Save and open the record' }).click()
  await expect(page.getByText('left early')).toBeVisible()
})

test('two windows never conduct one class', async ({ page, house }) => {
  await begin(page, house.address)
  const second = await page.context().newPage()
  await second.goto(`${house.address}lead/thursday-slow-hour`)
  await expect(second.getByText('A class is being led in another window')).toBeVisible()
})

test('with the server killed the class goes on and its record is sent later', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('Failed to load resource')
  await begin(page, house.address)
  await house.stop()
  await page.keyboard.press('m')
  await expect(page.getByText('not saved: retrying')).toBeVisible()
  await house.start()
  await expect(page.getByText('not saved: retrying')).toBeHidden()
})

test('a disk without room is told as what it is while the class is led, and its record is saved when there is some', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('Failed to load resource')
  await begin(page, house.address)
  const full = { status: 507, contentType: 'application/problem+json', json: { code: 'DISK_FULL', status: 507 } }
  await page.route('**/api/led-classes/*/events*', (route) => route.fulfill(full))
  await page.keyboard.press('m')
  await expect(page.getByText('not saved: the disk is full')).toBeVisible()
  await page.unroute('**/api/led-classes/*/events*')
  await expect(page.getByText('not saved: the disk is full')).toBeHidden()
})

test('the journal shows the led classes, each meant and done, and hands one over as CSV', async ({ plan }) => {
  await plan.getByRole('link', { name: 'Journal' }).click()
  await expect(plan.getByRole('row')).toHaveCount(7)
  await plan.getByRole('link', { name: 'Thursday slow hour' }).first().click()
  await expect(plan.getByText('begun again 1×')).toBeVisible()
  const download = plan.waitForEvent('download')
  await plan.getByRole('button', { name: 'Export as CSV' }).click()
  expect((await download).suggestedFilename()).toBe('2026-03-05 Thursday slow hour.csv')
})

/** Lets that many seconds pass in steps short enough for a tick between any two holds. */
async function pass(page: Page, seconds: number): Promise<void> {
  for (let left = seconds; left > 0; left -= 20) {
    await push(page, Math.min(20, left))
    await page.evaluate(() => window.lookedAt())
  }
}

/** Lets time pass until that hold itself has begun, on that side. */
async function untilHold(page: Page, name: string, where = ''): Promise<void> {
  for (let step = 0; step < 300; step += 1) {
    const shown = await page.locator('.where').innerText()
    if (shown.includes(where) && (await page.locator('.name').last().innerText()) === name) return
    await pass(page, 10)
  }
  throw new Error(`${name} was not reached`)
}

shellTest(
  'the whole hour in fast time, with all that can happen in it: every bell once and in its place, the record true',
  async ({ page, house, expectFailures }) => {
    shellTest.setTimeout(120_000)
    expectFailures('Failed to load resource')
    const begun: Sounded[] = []
    const collect = async () => begun.push(...(await page.evaluate(() => window.begun())))
    await begin(page, house.address)
    // It fetches all of the application first, which takes a busy machine a while.
    await expect
      .poll(() => page.evaluate(() => navigator.serviceWorker.controller?.state), { timeout: 30_000 })
      .toBe('activated')
    // Counted breath: a pause is natural breath.
    await pass(page, 194)
    await page.keyboard.press(' ')
    await expect(page.getByText('paused: natural breath')).toBeVisible()
    await pass(page, 12)
    await page.keyboard.press(' ')
    // Deer, left: a longer left side, and a pause in which they stay.
    await untilHold(page, 'Deer', 'left knee in front')
    await page.keyboard.press('+')
    await page.keyboard.press(' ')
    await pass(page, 15)
    await page.keyboard.press(' ')
    // Crescent, left: a pause in which they come out; then a reload in the right side.
    await untilHold(page, 'Crescent, lying', 'bend to the left')
    await page.keyboard.press(' ')
    await pass(page, 10)
    await page.keyboard.press('ArrowRight')
    await untilHold(page, 'Crescent, lying', 'bend to the right')
    await keptLast(page, 'theyComeOut')
    await collect()
    await page.reload()
    await expect(now(page)).toContainText('bend to the right')
    // The server dies; the page is reloaded from the browser's own shell and the class goes on to its end.
    await house.stop()
    await page.keyboard.press('m')
    await keptLast(page, 'mark')
    await collect()
    await page.reload()
    await expect(now(page)).toContainText('bend to the right')
    await untilHold(page, 'Calves on a chair')
    await page.keyboard.press('o')
    await expect(page.locator('.strip-count')).toHaveText('natural breath')
    while (!(await page.getByRole('heading', { name: 'Done' }).isVisible())) await pass(page, 20)
    await collect()
    await house.start()
    await page.getByRole('button', { name: 'Save and open the record' }).click()
    await expect(page.getByRole('heading', { name: 'Meant and done' })).toBeVisible({ timeout: 15_000 })

    const id = new URL(page.url()).pathname.split('/').at(-1) ?? ''
    const led = (await (await fetch(`${house.address}api/led-classes/${id}`)).json()) as LedClass
    if (led.format !== 2) throw new Error('it was written by the first edition')
    const { plan } = led
    const startedMs = Date.parse(led.startedAt)
    const endMs = Date.parse(led.endedAt ?? '') - startedMs
    const log = led.events.map(({ event }) => event)
    const state = fold(plan, log, endMs)
    // What was kept at the end is what the log alone leads to.
    expect(led.visits).toEqual(state.visits)

    // Bells: what the machine says rang against what was handed to the port and began.
    // The machine knows the cues of the segment it is in: each visit is asked just before its end.
    const came = new Map<string, number>()
    for (const visit of state.visits) {
      const untilMs = visit.endMs - 0.5
      const { rung } = fold(
        plan,
        log.filter(({ atMs }) => atMs <= untilMs),
        untilMs,
      )
      for (const [key, atMs] of Object.entries(rung)) came.set(key, atMs)
    }
    const rang = plan.cues
      .filter(({ sound }) => sound !== undefined && sound.kind !== 'wood')
      .map((cue) => came.get(`${cue.id}@${String(cue.segment)}`))
      .filter((atMs) => atMs !== undefined)
      .sort((a, b) => a - b)
    const bells = begun
      .filter(({ kind }) => kind !== 'wood')
      .map(({ when }) => when - startedMs)
      .sort((a, b) => a - b)
    expect(bells).toHaveLength(rang.length)
    expect(rang).toHaveLength(21)
    // Each page load brings the clocks together anew; between two looks at them a busy machine may take a little.
    const apart = bells.map((atMs, index) => atMs - (rang[index] ?? NaN))
    expect(Math.max(...apart.map(Math.abs))).toBeLessThan(1.5)
    // Within one page load every bell is the same fraction off: exact to an audio frame.
    const first = apart.slice(0, 6)
    expect(Math.max(...first) - Math.min(...first)).toBeLessThan(1000 / 44_100)
    // Ticks of the counted breath: one at each part that was conducted.
    const turns = state.visits.flatMap(({ segment, startMs, endMs: untilMs }) => {
      const doing = plan.segments[segment ?? -1]?.doing
      if (doing?.kind !== 'breath' || doing.part !== 'counted') return []
      const run = Array.from({ length: doing.rounds }, () => doing.parts).flat()
      const begins = run.map((_, at) => run.slice(0, at).reduce((sum, { ticks: length }) => sum + length, 0))
      return begins.filter((from) => startMs + boundaryMs(from, doing.pace) < untilMs)
    })
    const ticks = begun.filter(({ kind, when }) => kind === 'wood' && when - startedMs < 500_000)
    expect(ticks).toHaveLength(turns.length)

    const held = new Map(
      meantAndDone(plan, visitsOf(led)).holds.map(({ blockId, side, heldMs }) => [`${blockId} ${side}`, heldMs]),
    )
    const of = (name: string) => held.get(name) ?? NaN
    expect(of('deer left')).toBeGreaterThan(255_000)
    expect(of('deer right')).toBe(Math.min(of('deer left'), 240_000))
    expect(of('crescent left')).toBeLessThan(60_000)
    expect(of('crescent right')).toBe(of('crescent left'))
    expect(of('sphinx both')).toBe(180_000)
    expect(state.freely).toContain('calves')
  },
)
