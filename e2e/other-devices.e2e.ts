import type { Browser, BrowserContext, Page } from '@playwright/test'
import type { Room } from '#model/device'
import type { LedClassLine } from '#model/journal'
import type { LedClass } from '#model/led-class'
import { serious } from './axe.ts'
import { expect, test } from './fixtures.ts'
import type { House } from './fixtures.ts'
import { leadAt, pushBy } from './lead-at.ts'

// The leader's window is closed in the middle of a class.
test.use({ window: 'own' })

const panel = (page: Page) => page.getByRole('region', { name: 'Screens', exact: true })

/** Another device: a browser of its own, told to take the certificate. */
const aDevice = (browser: Browser): Promise<BrowserContext> =>
  browser.newContext({ ignoreHTTPSErrors: true, viewport: { width: 1280, height: 800 } })

/** Opens the room in Lead's panel, and says where others are let in. */
async function openRoom(laptop: Page): Promise<string> {
  await laptop.keyboard.press('s')
  await panel(laptop)
    .getByRole('button', { name: /^Let other devices in at/ })
    .click()
  const where = panel(laptop).getByText(/^Open at https/)
  await expect(where).toBeVisible()
  return /https:\/\/[\d.:]+\d/.exec(await where.innerText())?.[0] ?? ''
}

async function codeFor(laptop: Page, button: string): Promise<string> {
  // A code that was used stands there until the next look: the one that is asked for is waited for.
  const asked = laptop.waitForResponse((reply) => reply.url().endsWith('/api/room/code'))
  await panel(laptop).getByRole('button', { name: button }).click()
  const { code } = (await (await asked).json()) as Room
  const digits = code?.code ?? ''
  const shown = panel(laptop).getByTestId('code')
  await expect(shown.locator('.digits')).toHaveText(`${digits.slice(0, 3)} ${digits.slice(3)}`)
  await expect(shown.getByRole('img')).toBeVisible()
  return digits
}

/** Lets a device in by the link that the square carries. */
async function letIn(laptop: Page, device: BrowserContext, url: string, button: string): Promise<Page> {
  const code = await codeFor(laptop, button)
  const page = await device.newPage()
  await page.goto(`${url}/pair#${code}`)
  await page.getByRole('button', { name: 'Let it in' }).click()
  await expect(page).not.toHaveURL(/pair/)
  return page
}

/** The clock of a page in seconds. */
async function clockOf(page: Page): Promise<number> {
  const [minutes = 0, seconds = 0] = (await page.getByTestId('clock').first().innerText()).split(':').map(Number)
  return minutes * 60 + seconds
}

async function recordOf(house: House): Promise<LedClass> {
  const [line] = (await (await fetch(`${house.address}api/led-classes`)).json()) as LedClassLine[]
  return (await (await fetch(`${house.address}api/led-classes/${line?.id ?? ''}`)).json()) as LedClass
}

const marksOf = async (house: House): Promise<number> =>
  (await recordOf(house)).events.filter(({ event }) => event.type === 'mark').length

/** Marks the moment, until the record has it: the first press of all may only let the sound through. */
async function mark(page: Page, house: House): Promise<void> {
  const before = await marksOf(house)
  await expect(async () => {
    await page.keyboard.press('m')
    await expect.poll(() => marksOf(house), { timeout: 2000 }).toBeGreaterThan(before)
  }).toPass()
}

test('a screen that was let in shows what the class does, from the same instant, and nobody’s name', async ({
  page,
  house,
  browser,
}) => {
  await leadAt(page, house.address, 800)
  const url = await openRoom(page)
  const device = await aDevice(browser)
  const screen = await letIn(page, device, url, 'Let in a screen')
  await expect(screen).toHaveURL(`${url}/screen`)
  await expect(screen.getByRole('heading')).toHaveText('Sphinx')
  await expect(screen.getByRole('img', { name: 'Sphinx' })).toBeVisible()
  // Both tell one instant: looked at one after the other they are never further apart than that takes.
  await expect.poll(async () => Math.abs((await clockOf(screen)) - (await clockOf(page)))).toBeLessThanOrEqual(1)
  await expect(panel(page).getByText(/^Screen · is here/)).toBeVisible()

  // What happens to the class is seen at once.
  await page.keyboard.press(' ')
  await expect(screen.getByText('A pause')).toBeVisible()
  await pushBy(page, 1)
  await page.keyboard.press(' ')
  await expect(screen.getByText('A pause')).toHaveCount(0)
  await panel(page).getByLabel('with a clock').uncheck()
  await expect(screen.getByTestId('clock')).toHaveText('')

  // A screen has nothing but the screen.
  await screen.goto(`${url}/people`)
  await expect(screen).toHaveURL(`${url}/screen`)
  expect((await screen.request.get(`${url}/api/people`)).status()).toBe(403)

  await expect(screen.getByRole('heading')).toHaveText('Sphinx')
  await panel(page).getByRole('button', { name: 'Disconnect Screen' }).click()
  await expect(screen.getByText('Disconnected; goes on by the plan')).toBeVisible()
  await expect(screen.getByRole('heading')).toHaveText('Sphinx')
  await expect(panel(page).getByRole('button', { name: /^Disconnect/ })).toHaveCount(0)
  await panel(page).getByRole('button', { name: 'Let nobody in any more' }).click()
  await expect(panel(page).getByText('Nothing listens on the network now')).toBeVisible()
  await device.close()
})

test('the leader’s window dies, the tablet leads on at the right second, and what the laptop says later is kept beside', async ({
  page,
  context,
  house,
  browser,
  expectFailures,
}) => {
  await leadAt(page, house.address, 800)
  await page.keyboard.press('m')
  const url = await openRoom(page)
  const device = await aDevice(browser)
  const tablet = await letIn(page, device, url, 'Let in a tablet to lead from')
  await expect(tablet).toHaveURL(`${url}/`)
  const screens = await aDevice(browser)
  const screen = await letIn(page, screens, url, 'Let in a screen')
  await expect(screen.getByRole('heading')).toHaveText('Sphinx')
  await expect.poll(async () => (await recordOf(house)).events.map(({ event }) => event.type)).toContain('mark')
  const atMs = async () => (await recordOf(house)).conductedMs
  const before = await atMs()
  await page.close()

  await tablet.goto(`${url}/lead/thursday-slow-hour`)
  await expect(tablet.getByText(/The computer Zovrin runs on led this class and is out of touch/)).toBeVisible()
  await tablet.getByRole('button', { name: 'Lead from here' }).click()
  await expect(tablet.getByTestId('clock')).toBeVisible()
  await expect.poll(async () => Math.abs((await clockOf(screen)) - (await clockOf(tablet)))).toBeLessThanOrEqual(1)
  await expect.poll(atMs).toBeGreaterThan(before)
  await mark(tablet, house)
  // Loaded anew it goes on from what it has, as the laptop would.
  await tablet.reload()
  await expect(tablet.getByTestId('clock')).toBeVisible()
  await mark(tablet, house)

  // What it kept is refused, for the record is the tablet's.
  expectFailures('409')
  // The laptop comes back with what it had: it is told who leads, and counts no more.
  const laptop = await context.newPage()
  await laptop.goto(`${house.address}lead/thursday-slow-hour`)
  await expect(laptop.getByText(/^Tablet leads this class/)).toBeVisible()

  // One log, each number once, the laptop's events and then the tablet's.
  const { events } = await recordOf(house)
  expect(events.map(({ n }) => n)).toEqual(events.map((_, at) => at + 1))
  const by = events.map((event) => event.by)
  expect(new Set(by).size).toBe(2)
  expect(by.toSorted((a, b) => by.indexOf(a) - by.indexOf(b))).toEqual(by)
  expect(await marksOf(house)).toBeGreaterThanOrEqual(3)

  // And back again, from a tablet that is there: it gives the class up at once.
  await laptop.getByRole('button', { name: 'Lead from here' }).click()
  await expect(laptop.getByTestId('clock')).toBeVisible()
  await expect(tablet.getByText(/^The computer Zovrin runs on leads this class/)).toBeVisible()
  await expect.poll(async () => Math.abs((await clockOf(screen)) - (await clockOf(laptop)))).toBeLessThanOrEqual(1)
  await device.close()
  await screens.close()
})

test('a tablet that is out of touch while another takes over is told, and what it told meanwhile stands beside the record', async ({
  page,
  house,
  browser,
  expectFailures,
}) => {
  expectFailures('ERR_INTERNET_DISCONNECTED')
  // What each had not told when the other took over is refused, and kept beside.
  expectFailures('409')
  await leadAt(page, house.address, 800)
  const url = await openRoom(page)
  const device = await aDevice(browser)
  const tablet = await letIn(page, device, url, 'Let in a tablet to lead from')
  await tablet.goto(`${url}/lead/thursday-slow-hour`)
  await tablet.getByRole('button', { name: 'Lead from here' }).click()
  await expect(tablet.getByTestId('clock')).toBeVisible()
  await expect(page.getByText(/^Tablet leads this class/)).toBeVisible()
  // Who looks on marks the same clock, in words or without, and takes a mark away again.
  await page.keyboard.press('m')
  const seen = page.getByRole('textbox', { name: /^What you saw at/ })
  await expect(seen).toBeFocused()
  await seen.press('Enter')
  await page.keyboard.press('m')
  await expect(seen).toHaveCount(2)
  await page
    .getByRole('button', { name: /^Take away the mark/ })
    .first()
    .click()
  await expect(seen).toHaveCount(1)
  // Made in the same second they stand in either order: what stays is told what was seen.
  await seen.fill('Cold feet in the back row')
  await seen.press('Enter')
  await expect
    .poll(async () => (await recordOf(house)).marks.map(({ text }) => text))
    .toEqual(['Cold feet in the back row'])
  expect(await serious(page)).toEqual([])
  await mark(tablet, house)
  await device.setOffline(true)
  await tablet.keyboard.press('b')
  await expect(tablet.getByText('not saved: retrying')).toBeVisible()
  // It goes on leading; only another that takes over ends that.
  await expect(tablet.getByTestId('clock')).toBeVisible()
  await page.getByRole('button', { name: 'Lead from here' }).click()
  await expect(page.getByTestId('clock')).toBeVisible()
  await device.setOffline(false)
  await expect(tablet.getByText(/leads this class/)).toBeVisible()
  await expect
    .poll(async () => (await recordOf(house)).asides.flatMap(({ events }) => events.map(({ event }) => event.type)))
    .toContain('bell')

  const { id } = await recordOf(house)
  await mark(page, house)
  await page.getByRole('button', { name: 'Leave' }).click()
  await page.getByRole('alertdialog').getByRole('button', { name: 'Leave' }).click()
  await page.getByRole('button', { name: /^Save/ }).click()
  await expect(page).toHaveURL(`${house.address}journal/${id}`)
  await expect(page.getByTestId('aside')).toContainText('Tablet led on to')
  await expect(page.getByRole('row', { name: /Cold feet in the back row.*The computer Zovrin runs on/ })).toBeVisible()
  await device.close()
})

test('a wrong code is said, and the pairing page tells what the browser warned of', async ({
  page,
  house,
  browser,
}) => {
  await leadAt(page, house.address, 10)
  const url = await openRoom(page)
  const code = await codeFor(page, 'Let in a screen')
  await expect(panel(page)).toContainText('Press Advanced or Show details, then Proceed')
  const print = await panel(page).locator('.print').innerText()
  const device = await aDevice(browser)
  const other = await device.newPage()
  await other.goto(`${url}/plan/thursday-slow-hour`)
  await expect(other).toHaveURL(`${url}/pair`)
  await expect(other.getByText(print)).toBeVisible()
  expect([...(await serious(page)), ...(await serious(other))]).toEqual([])
  const field = other.getByLabel('The code on the teacher’s screen')
  await expect(field).toBeFocused()
  await field.fill('12')
  await field.press('Enter')
  await expect(other.getByRole('alert')).toHaveText(
    'A code has six digits: type it as it stands on the teacher’s screen.',
  )
  await field.fill(String((Number(code) + 1) % 1_000_000).padStart(6, '0'))
  await field.press('Enter')
  await expect(other.getByRole('alert')).toContainText('4 more tries')
  await field.fill(`${code.slice(0, 3)} ${code.slice(3)}`)
  await field.press('Enter')
  await expect(other).toHaveURL(`${url}/screen`)
  await expect(other.getByRole('heading')).toBeVisible()
  expect(await serious(other)).toEqual([])
  await device.close()
})
