import type { Page } from '@playwright/test'
import { expect, test } from './fixtures.ts'
import type { House } from './fixtures.ts'
import { leadAt, pushBy } from './lead-at.ts'

const ways = (page: Page) => page.getByRole('region', { name: 'Make up time' })
const left = (page: Page) => page.getByRole('region', { name: 'What is left' })
const behind = (page: Page) => page.getByTestId('behind')

/** In the sphinx, a hold that both sides have as one, and so many seconds late by a pause. */
async function late(page: Page, { address }: House, seconds: number): Promise<void> {
  await leadAt(page, address, 900)
  await expect(page.locator('.name')).toHaveText('Sphinx')
  await page.keyboard.press('Space')
  await expect(page.getByRole('button', { name: 'Go on space' })).toBeVisible()
  await pushBy(page, seconds)
  await page.keyboard.press('Space')
  await expect(page.getByRole('button', { name: 'Go on space' })).toBeHidden()
}
const kept = async ({ address }: House): Promise<readonly string[]> => {
  const [line] = (await (await fetch(`${address}api/led-classes`)).json()) as { id: string }[]
  const led = (await (await fetch(`${address}api/led-classes/${line?.id ?? ''}`)).json()) as {
    events: { event: { type: string } }[]
  }
  return led.events.map(({ event }) => event.type)
}

test('late, one pose is left out for the promised end: kept, there after a reload, and taken back as planned', async ({
  page,
  house,
}) => {
  await late(page, house, 200)
  await expect(behind(page)).toContainText(/^3:\d\d behind, promised/)
  // The digits do nothing while no ways are shown.
  await page.keyboard.press('2')
  await expect(behind(page)).toBeVisible()
  await page.keyboard.press('g')
  await expect(ways(page).getByRole('button', { name: /^1 Less between 0:50 less/ })).toBeVisible()
  await expect(ways(page).getByRole('button', { name: /^3 End later Everything stays/ })).toBeVisible()
  await ways(page).getByRole('button', { name: 'More ways' }).click()
  await expect(ways(page).getByRole('button', { name: /^4 Shorter holds .*Deer 3:00 a side/ })).toBeVisible()
  await page.keyboard.press('2')
  await expect(ways(page)).toBeHidden()
  await expect(behind(page)).toBeHidden()
  await expect.poll(() => kept(house)).toContain('refit')
  await page.reload()
  await expect(page.locator('.name')).toHaveText('Sphinx')
  // A new page is let have its sound by the first key.
  await page.keyboard.press('Shift')
  await expect(page.getByText('Touch or press any key')).toBeHidden()
  await page.keyboard.press('w')
  await expect(left(page)).toContainText('1 block left out')
  await page.keyboard.press('g')
  await ways(page).getByRole('button', { name: 'As planned' }).click()
  await expect(behind(page)).toBeVisible()
  await page.keyboard.press('w')
  await expect(left(page)).not.toContainText('left out')
})

test('what is left: a block is left out and put back by one tap; what must stay is no button', async ({
  page,
  house,
}) => {
  await leadAt(page, house.address, 900)
  await expect(page.locator('.name')).toHaveText('Sphinx')
  await page.getByRole('button', { name: 'What is left W' }).click()
  await expect(left(page).getByRole('button', { name: 'Closing, it stays' })).toBeDisabled()
  await left(page).getByRole('button', { name: 'Deer, leave it out' }).click()
  await expect(left(page)).toContainText('1 block left out')
  await left(page).getByRole('button', { name: 'Deer, left out: put it back' }).click()
  await expect(left(page)).not.toContainText('left out')
  await page.keyboard.press('Escape')
  await expect(left(page)).toBeHidden()
  // The class goes on meanwhile, and its own keys act as always.
  await page.keyboard.press('w')
  await page.keyboard.press('Space')
  await expect(page.getByRole('button', { name: 'Go on space' })).toBeVisible()
})

test('a later end that is said stands for the promise, which stays in sight', async ({ page, house }) => {
  await late(page, house, 300)
  await page.keyboard.press('g')
  await page.keyboard.press('3')
  await expect(behind(page)).toBeHidden()
  await expect(page.getByText('as said, promised')).toBeVisible()
})

test('in a restorative class a hold begins when all are settled, by a key or a tap anywhere, and not before', async ({
  page,
  house,
}) => {
  await leadAt(page, house.address, 100, 'short-evening-rest')
  await page.getByRole('button', { name: /^End this breath/ }).click()
  await expect(page.locator('.name')).toHaveText('Lay out for Twist over a bolster')
  await expect(page.getByRole('button', { name: 'All are settled Enter' })).toBeVisible()
  // What to lay stands there by itself, and is put away and called by a key.
  const next = page.getByRole('region', { name: 'Next' })
  await expect(next).toContainText('1 bolster, long way · chest')
  await expect(next.getByRole('img', { name: 'Twist over a bolster on its set-up' })).toBeVisible()
  await page.keyboard.press('t')
  await expect(next).not.toContainText('1 bolster, long way')
  await page.keyboard.press('t')
  await expect(next).toContainText('Have ready bolster')
  await pushBy(page, 300)
  await expect(page.getByText('twice the planned set-up, until all are settled')).toBeVisible()
  await expect(page.locator('.name')).toHaveText('Settle')
  await page.keyboard.press('Enter')
  await expect(page.locator('.name')).toHaveText('Twist over a bolster')
  await expect(page.getByTestId('clock')).toHaveText(/^(3:00|2:5\d)$/)
  await expect.poll(() => kept(house)).toContain('settled')
  // The second side is waited for as well, and begun by a tap.
  await page.getByRole('button', { name: /^End this side/ }).click()
  await pushBy(page, 300)
  await expect(page.getByText('until all are settled')).toBeVisible()
  await page.locator('.lit').click()
  await expect(page.locator('.where')).toContainText('Right')
  await expect(page.locator('.name')).toHaveText('Twist over a bolster')
})

test('a class that starts late is asked once when it ends; the answer is the promised end', async ({ page, house }) => {
  await page.goto(`${house.address}lead/thursday-slow-hour`)
  const minutesAgo = (minutes: number) => {
    const at = new Date(Date.now() - minutes * 60_000)
    return `${String(at.getHours()).padStart(2, '0')}:${String(at.getMinutes()).padStart(2, '0')}`
  }
  await page.getByLabel('Starts at').fill(minutesAgo(5))
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  const late = page.getByRole('group', { name: 'Started late' })
  await expect(late.getByRole('button', { name: /^1 End at \d\d:\d\d$/ })).toBeVisible()
  await expect(page.getByTestId('behind')).toContainText('behind, promised')
  // The class runs meanwhile.
  await page.keyboard.press('m')
  await late.getByRole('button', { name: /^2 A full hour, to/ }).click()
  await expect(late).toBeHidden()
  await expect(page.getByTestId('behind')).toBeHidden()
  await expect.poll(() => kept(house)).toEqual(['mark', 'promised'])
  await page.reload()
  await expect(page.getByTestId('clock')).toBeVisible()
  await expect(late).toBeHidden()
})

test('what is left is moved with the keys and by a tap; it is led so, and the record knows it', async ({
  page,
  house,
}) => {
  await leadAt(page, house.address, 900)
  await expect(page.locator('.name')).toHaveText('Sphinx')
  await page.keyboard.press('w')
  const names = left(page).locator('li b')
  await expect(names.first()).toHaveText('Figure four, lying')
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('ArrowDown')
  await expect(left(page).locator('li[aria-current=true]')).toContainText('Deer')
  await page.keyboard.press('Alt+ArrowUp')
  await expect(names.first()).toHaveText('Deer')
  await expect(left(page).locator('li[aria-current=true]')).toContainText('Deer')
  // ↑ walked here, and was no Stay.
  await expect.poll(() => kept(house)).toEqual(['refit'])
  await left(page).getByRole('button', { name: 'Crescent, lying earlier' }).click()
  await expect(names).toHaveText([/^Deer/, /^Crescent/, /^Figure four/, /^Calves/, /^Closing/])
  await page.keyboard.press('Escape')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('region', { name: 'Next' })).toContainText('Deer')
  await page.reload()
  await expect(page.getByTestId('clock')).toBeVisible()
  // A new page is let have its sound by the first key, where it does not have it yet.
  await page.keyboard.press('Shift')
  await expect(page.getByText('Touch or press any key')).toBeHidden()
  await page.keyboard.press('w')
  await expect(names.first()).toHaveText('Deer')
  await page.keyboard.press('g')
  await ways(page).getByRole('button', { name: 'As planned' }).click()
  await page.keyboard.press('w')
  await expect(names.first()).toHaveText('Figure four, lying')
})
