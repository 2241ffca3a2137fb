import type { Page } from '@playwright/test'
import type { LedClass } from '#model/led-class'
import { expect, test } from './fixtures.ts'
import type { House } from './fixtures.ts'
import { leadAt, pushBy } from './lead-at.ts'

/** The record as the server has it. */
async function record({ address }: House): Promise<LedClass> {
  const [line] = (await (await fetch(`${address}api/led-classes`)).json()) as { id: string }[]
  return (await (await fetch(`${address}api/led-classes/${String(line?.id)}`)).json()) as LedClass
}
const typesIn = async (house: House) => (await record(house)).events.map(({ event }) => event.type)

/** As when somebody clears what the browser keeps of this address. */
async function clearStorage(page: Page, { address }: House): Promise<void> {
  const session = await page.context().newCDPSession(page)
  await session.send('Storage.clearDataForOrigin', { origin: new URL(address).origin, storageTypes: 'all' })
  await session.detach()
}

async function leavesEarly(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Leave' }).click()
  await page.getByRole('alertdialog', { name: 'Leave' }).getByRole('button', { name: 'Leave' }).click()
  await page.getByRole('button', { name: 'Save and open the record' }).click()
  await page.waitForURL('**/journal/**')
}

test('what the browser keeps is cleared in mid-class: it is led on by the same device, and its record is whole', async ({
  page,
  house,
}) => {
  await leadAt(page, house.address, 400)
  await page.keyboard.press('m')
  await expect.poll(() => typesIn(house)).toContain('mark')
  await clearStorage(page, house)
  await pushBy(page, 60)
  await page.keyboard.press('Space')
  await expect.poll(() => typesIn(house)).toContain('pause')
  // A second press at once would be one by mistake.
  await pushBy(page, 5)
  await page.keyboard.press('Space')
  await expect.poll(() => typesIn(house)).toContain('resume')
  await leavesEarly(page)
  const led = await record(house)
  expect(led.asides).toEqual([])
  expect(led.events.map(({ event }) => event.type)).toEqual(expect.arrayContaining(['mark', 'pause', 'resume']))
})

test('where the browser keeps nothing at all a class is led, and its record is whole', async ({ page, house }) => {
  await page.addInitScript(() => {
    const refuse = () => {
      throw new DOMException('refused', 'SecurityError')
    }
    Object.defineProperty(window, 'indexedDB', { get: refuse, configurable: true })
    Object.defineProperty(window, 'localStorage', { get: refuse, configurable: true })
  })
  await leadAt(page, house.address, 400)
  await page.keyboard.press('m')
  await expect.poll(() => typesIn(house)).toContain('mark')
  await leavesEarly(page)
  expect((await record(house)).endedAt).not.toBeNull()
})
