import type { Page } from '@playwright/test'
import { blockNames, expect, saved, shellTest, test } from './fixtures.ts'
import type { House } from './fixtures.ts'

async function rename(page: Page, name: string): Promise<void> {
  await page.getByRole('listbox').focus()
  await page.keyboard.press('Escape')
  await page.getByRole('textbox', { name: 'Name' }).fill(name)
  await page.getByRole('textbox', { name: 'Name' }).press('Tab')
}

/** The shell is at hand in the browser, so that the server may go. */
const shellKept = (page: Page) =>
  expect
    .poll(() => page.evaluate(() => navigator.serviceWorker.controller?.state), { timeout: 30_000 })
    .toBe('activated')

/** The same session in a second window, both having read the same version. */
async function twoWindows(first: Page, house: House): Promise<Page> {
  const second = await first.context().newPage()
  await second.goto(`${house.address}plan/thursday-slow-hour`)
  await expect(second.getByTestId('gauge')).toContainText('58:48')
  return second
}

/** Ids of the sessions this browser could open without the server. */
const keptInBrowser = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<IDBValidKey[]>((resolve, reject) => {
        const opening = indexedDB.open('zovrin')
        opening.onerror = () => {
          reject(new Error('the browser’s storage does not open'))
        }
        opening.onsuccess = () => {
          const keys = opening.result.transaction('known').objectStore('known').getAllKeys()
          keys.onsuccess = () => {
            opening.result.close()
            resolve(keys.result)
          }
        }
      }),
  )

const history = async (house: House) =>
  (await (await fetch(`${house.address}api/sessions/thursday-slow-hour/history`)).json()) as {
    id: number
    reason: string
  }[]
const keptName = async (house: House, id: number) =>
  (
    (await (await fetch(`${house.address}api/sessions/thursday-slow-hour/history/${String(id)}`)).json()) as {
      name: string
    }
  ).name

test('an edit is saved by itself and its state is shown', async ({ plan, house }) => {
  await rename(plan, 'Slow hour, spring')
  await expect(plan.locator('.save')).toHaveText('saving')
  await saved(plan)
  expect((await house.session('thursday-slow-hour')).name).toBe('Slow hour, spring')
})

test('the second window’s save is refused; keeping its own puts the other into history', async ({
  plan,
  house,
  expectFailures,
}) => {
  expectFailures('412')
  const second = await twoWindows(plan, house)
  await rename(plan, 'From the first window')
  await saved(plan)
  await rename(second, 'From the second window')
  const dialog = second.getByRole('dialog', { name: 'Changed in another window' })
  await expect(dialog).toContainText('“From the second window”, 9 blocks, 58:48')
  await expect(dialog).toContainText('“From the first window”, 9 blocks, 58:48')
  expect((await house.session('thursday-slow-hour')).name).toBe('From the first window')
  await dialog.getByRole('button', { name: 'Keep mine' }).click()
  await saved(second)
  expect((await house.session('thursday-slow-hour')).name).toBe('From the second window')
  const kept = (await history(house)).find(({ reason }) => reason === 'conflict')
  expect(await keptName(house, kept?.id ?? 0)).toBe('From the first window')
})

test('taking the other’s puts one’s own into history', async ({ plan, house, expectFailures }) => {
  expectFailures('412')
  const second = await twoWindows(plan, house)
  await rename(plan, 'From the first window')
  await saved(plan)
  await rename(second, 'From the second window')
  await second.getByRole('button', { name: 'Take theirs' }).click()
  await saved(second)
  await expect(second.getByRole('heading', { name: 'From the first window' })).toBeVisible()
  expect((await house.session('thursday-slow-hour')).name).toBe('From the first window')
  const kept = (await history(house)).find(({ reason }) => reason === 'conflict')
  expect(await keptName(house, kept?.id ?? 0)).toBe('From the second window')
})

shellTest(
  'with the server killed, editing goes on, a reload loses nothing, and it is saved when the server is back',
  async ({ plan, house, expectFailures }) => {
    expectFailures('Failed to load resource')
    await shellKept(plan)
    await house.stop()
    await rename(plan, 'Typed while the server was away')
    await expect(plan.locator('.save')).toHaveText('not saved: retrying')
    await plan.getByRole('button', { name: /Add Side rest/ }).click()
    await plan.reload()
    await expect(plan.getByRole('option', { name: /Side rest, left/ })).toBeAttached()
    expect((await blockNames(plan)).at(-2)).toBe('Side rest')
    await expect(plan.locator('.save')).toHaveText('not saved: retrying')
    await plan.getByRole('option', { name: /Side rest, left/ }).click()
    await plan.getByRole('button', { name: 'Longer' }).click()
    await house.start()
    await saved(plan)
    const session = await house.session('thursday-slow-hour')
    expect(session.name).toBe('Typed while the server was away')
    expect(session.blocks.at(-2)).toMatchObject({ poseId: 'side-rest', hold: { holdS: 330 } })
  },
)

/** Holds the lock of a window as a page does that is only just going: until the one that follows has asked for it. */
const heldUntilAsked = (name: string) =>
  navigator.locks.request(name, async () => {
    const isAsked = async () => (await navigator.locks.query()).pending?.some((lock) => lock.name === name) === true
    const deadlineMs = performance.now() + 1200
    while (performance.now() < deadlineMs && !(await isAsked())) await new Promise(requestAnimationFrame)
  })

test('a window that is loaded anew while the page before still holds its own has its draft again', async ({
  plan,
  expectFailures,
}) => {
  expectFailures('Failed to load resource')
  await plan.route('**/api/sessions/thursday-slow-hour', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  )
  await rename(plan, 'Typed a moment before')
  await expect(plan.locator('.save')).toHaveText('not saved: retrying')
  const id = await plan.evaluate(() => sessionStorage.getItem('zovrin.window'))
  await plan.addInitScript(heldUntilAsked, `zovrin-window-${String(id)}`)
  await plan.reload()
  await expect(plan.getByRole('heading', { name: 'Typed a moment before' })).toBeVisible()
  expect(await plan.evaluate(() => sessionStorage.getItem('zovrin.window'))).toBe(id)
})

shellTest(
  'a window closed with unsaved work gives it to the next one opened',
  async ({ plan, house, expectFailures }) => {
    expectFailures('Failed to load resource')
    await house.stop()
    await rename(plan, 'Left behind')
    await expect(plan.locator('.save')).toHaveText('not saved: retrying')
    const context = plan.context()
    await plan.close()
    await house.start()
    const next = await context.newPage()
    await next.goto(`${house.address}plan/thursday-slow-hour`)
    await expect(next.getByRole('heading', { name: 'Left behind' })).toBeVisible()
    await saved(next)
    expect((await house.session('thursday-slow-hour')).name).toBe('Left behind')
  },
)

shellTest('with the server away the list shows what this browser has seen', async ({ plan, house, expectFailures }) => {
  expectFailures('Failed to load resource')
  await shellKept(plan)
  await house.stop()
  await plan.getByRole('link', { name: 'Sessions' }).click()
  await expect(plan.getByText('server does not answer')).toBeVisible()
  await expect(plan.getByRole('link', { name: 'Thursday slow hour' })).toBeVisible()
})

test('a server in trouble has not lost the session: it opens as this browser knew it', async ({
  plan,
  house,
  expectFailures,
}) => {
  expectFailures('Failed to load resource')
  await expect.poll(() => keptInBrowser(plan)).toContain('thursday-slow-hour')
  await plan.route('**/api/sessions/thursday-slow-hour', (route) =>
    route.fulfill({
      status: 500,
      json: { status: 500, code: 'UNEXPECTED', title: 'Unexpected', detail: 'Try again.' },
    }),
  )
  await plan.goto(`${house.address}plan/thursday-slow-hour`)
  await expect(plan.getByTestId('gauge')).toContainText('58:48')
})

test('a session whose opening is asked for twice is opened once, so that one alone saves what was unsaved', async ({
  plan,
  house,
  expectFailures,
}) => {
  expectFailures('Failed to load resource')
  let isCut = true
  await plan.route('**/api/sessions/thursday-slow-hour', (route) =>
    isCut && route.request().method() === 'PUT' ? route.abort() : route.continue(),
  )
  await rename(plan, 'Typed while it was cut off')
  await expect(plan.locator('.save')).toHaveText('not saved: retrying')
  const read: string[] = []
  plan.on('request', (request) => {
    if (request.method() === 'GET' && request.url().endsWith('/api/sessions/thursday-slow-hour'))
      read.push(request.url())
  })
  await plan.reload()
  await expect(plan.getByRole('button', { name: 'Typed while it was cut off', exact: true })).toBeVisible()
  isCut = false
  await saved(plan)
  expect((await house.session('thursday-slow-hour')).name).toBe('Typed while it was cut off')
  expect(read).toHaveLength(1)
})

test('a full disk is said in the bar, the work stays in the browser, and it is saved when there is room', async ({
  plan,
  house,
  expectFailures,
}) => {
  expectFailures('507')
  const full = { code: 'DISK_FULL', status: 507, title: 'The disk is full', detail: 'There is no room left.' }
  let isFull = true
  await plan.route('**/api/sessions/thursday-slow-hour', (route) =>
    isFull && route.request().method() === 'PUT'
      ? route.fulfill({ status: 507, contentType: 'application/problem+json', body: JSON.stringify(full) })
      : route.continue(),
  )
  await rename(plan, 'Typed while it was full')
  await expect(plan.locator('.save')).toHaveText('not saved: the disk is full')
  await plan.reload()
  await expect(plan.getByRole('button', { name: 'Typed while it was full', exact: true })).toBeVisible()
  await expect(plan.locator('.save')).toHaveText('not saved: the disk is full')
  isFull = false
  await saved(plan)
  expect((await house.session('thursday-slow-hour')).name).toBe('Typed while it was full')
})

shellTest(
  'a session that was deleted is not offered while the server is away',
  async ({ plan, house, expectFailures }) => {
    expectFailures('Failed to load resource')
    await shellKept(plan)
    await plan.getByRole('link', { name: 'Sessions' }).click()
    await plan.getByRole('button', { name: 'More for Thursday slow hour' }).click()
    await plan.getByRole('menuitem', { name: 'Delete' }).click()
    await expect(plan.getByText('Thursday slow hour is deleted')).toBeVisible()
    await expect.poll(() => keptInBrowser(plan)).not.toContain('thursday-slow-hour')
    await house.stop()
    await plan.goto(`${house.address}sessions`)
    await expect(plan.getByText('server does not answer')).toBeVisible()
    await expect(plan.getByRole('row', { name: /^Thursday slow hour/ })).toHaveCount(0)
  },
)

shellTest(
  'unsaved work met by another window’s save is offered the choice when it is opened again',
  async ({ plan, house, expectFailures }) => {
    expectFailures('Failed to load resource')
    await shellKept(plan)
    await house.stop()
    await rename(plan, 'Mine, typed while away')
    await expect(plan.locator('.save')).toHaveText('not saved: retrying')
    const context = plan.context()
    await plan.close()
    await house.start()
    const session = await house.session('thursday-slow-hour')
    const saved = await fetch(`${house.address}api/sessions/thursday-slow-hour`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'If-Match': '"1"' },
      body: JSON.stringify({ ...session, name: 'Theirs, saved meanwhile' }),
    })
    expect(saved.status).toBe(200)
    const next = await context.newPage()
    await next.goto(`${house.address}plan/thursday-slow-hour`)
    const dialog = next.getByRole('dialog', { name: 'Changed in another window' })
    await expect(dialog).toContainText('“Mine, typed while away”')
    await expect(dialog).toContainText('“Theirs, saved meanwhile”')
    await dialog.getByRole('button', { name: 'Keep mine' }).click()
    await expect(next.locator('.save')).toHaveText('saved')
    expect((await house.session('thursday-slow-hour')).name).toBe('Mine, typed while away')
  },
)

test('where the browser keeps no drafts every edit is still saved, and it is said', async ({
  page,
  house,
  expectFailures,
}) => {
  expectFailures('Failed to load resource')
  // The browser’s storage refuses each draft, as when it is full.
  await page.addInitScript(() => {
    const put = IDBObjectStore.prototype.put
    IDBObjectStore.prototype.put = function (...given: Parameters<typeof put>) {
      if (this.name === 'drafts') throw new DOMException('full', 'QuotaExceededError')
      return put.apply(this, given)
    }
  })
  await page.goto(`${house.address}plan/thursday-slow-hour`)
  await expect(page.getByTestId('gauge')).toContainText('58:48')
  for (const name of ['First name', 'Second name']) {
    await rename(page, name)
    await saved(page)
    expect((await house.session('thursday-slow-hour')).name).toBe(name)
  }
  await house.stop()
  await rename(page, 'Third name')
  await expect(page.locator('.save')).toHaveText('not saved: retrying, keep this window open')
  await house.start()
  await saved(page)
})

test('of two sessions opened at once the later stands under its own address', async ({ plan, house }) => {
  let letThrough: (() => void) | undefined
  const held = new Promise<void>((done) => (letThrough = done))
  await plan.route('**/api/sessions/sunday-long-rest', async (route) => {
    await held
    await route.continue()
  })
  await plan.goto(`${house.address}sessions`)
  await plan.getByRole('link', { name: 'Sunday long rest' }).first().click()
  await expect(plan.getByText('Opening the session.')).toBeVisible()
  await plan.goBack()
  await plan.getByRole('link', { name: 'Thursday slow hour' }).first().click()
  await expect(plan.getByTestId('gauge')).toContainText('58:48')
  const came = plan.waitForResponse('**/api/sessions/sunday-long-rest')
  letThrough?.()
  await came
  await expect(plan).toHaveURL(/plan\/thursday-slow-hour/)
  await expect(plan.getByRole('heading', { name: 'Thursday slow hour' })).toBeVisible()
})

test('each session keeps its undo while another one is looked at', async ({ plan }) => {
  await rename(plan, 'Renamed hour')
  await saved(plan)
  await plan.getByRole('link', { name: 'Sessions' }).click()
  await plan.getByRole('link', { name: 'Sunday long rest' }).first().click()
  await expect(plan.getByRole('button', { name: 'Nothing to undo' })).toBeVisible()
  await plan.getByRole('link', { name: 'Sessions' }).click()
  await plan.getByRole('link', { name: 'Renamed hour' }).first().click()
  await plan.getByRole('button', { name: /^Undo/ }).click()
  await expect(plan.getByRole('heading', { name: 'Thursday slow hour' })).toBeVisible()
  await saved(plan)
})
