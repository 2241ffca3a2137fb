import type { Page } from '@playwright/test'
import { named, planClass, plannedIn } from './class-helpers.ts'
import { expect, test } from './fixtures.ts'

const edda = 'Zp5gHc1iTo9D'
const inSetUps = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Set-ups of the session' }).getByRole('button', { name: new RegExp(name) })
/** How it lies, by the switch of the ways a pose is set up. */
const way = (page: Page, name: string) =>
  page.getByRole('group', { name: 'Which set-up' }).getByRole('button', { name, exact: true })

test('a page that is handed over is all there is on the device, until the code closes it', async ({ page, house }) => {
  await page.goto(`${house.address}people/${edda}`)
  await page.getByRole('button', { name: 'Hand it over…' }).click()
  await page.getByRole('button', { name: 'Hand it over', exact: true }).click()
  await expect(page.getByText('A code is 4 digits.')).toBeVisible()
  await page.getByLabel('A code of four digits').fill('4711')
  await page.getByRole('button', { name: 'Hand it over', exact: true }).click()
  const own = page.getByRole('heading', { name: 'About you, Edda Quint' })
  await expect(own).toBeVisible()
  await expect(page.getByRole('banner')).toBeHidden()
  await page.getByRole('checkbox', { name: /^Asthma/ }).check()
  await page
    .getByRole('group', { name: /^Asthma/ })
    .getByRole('combobox', { name: 'How it is' })
    .click()
  await page.getByRole('option', { name: 'not sure' }).click()
  await expect
    .poll(async () => (await named(house, 'Edda Quint'))?.conditions.find(({ id }) => id === 'asthma_copd'))
    .toMatchObject({ severe: 'unsure' })
  // Nothing else is reached: not by an address, not by going back, not in another window.
  for (const path of ['people', 'who/thursday-slow-hour', '']) {
    await page.goto(house.address + path)
    await expect(own).toBeVisible()
  }
  await page.goBack()
  await expect(own).toBeVisible()
  const other = await page.context().newPage()
  await other.goto(`${house.address}journal`)
  await expect(other.getByRole('heading', { name: 'About you, Edda Quint' })).toBeVisible()
  await other.close()
  await page.getByRole('button', { name: 'Done, give it back' }).click()
  await page.getByLabel('The teacher’s code').fill('1234')
  await page.getByRole('button', { name: 'Close the page' }).click()
  await expect(page.getByText('That is not the code.')).toBeVisible()
  await page.getByLabel('The teacher’s code').fill('4711')
  await page.getByRole('button', { name: 'Close the page' }).click()
  await expect(page.getByRole('heading', { level: 1, name: 'Edda Quint' })).toBeVisible()
  await expect(page.getByRole('article', { name: /^Asthma/ })).toBeVisible()
})

test('who comes alone has their own set-ups and height, in every session they come to', async ({ page, house }) => {
  await planClass(house, 'sunday-long-rest', ['Edda Quint'])
  await page.goto(`${house.address}props/sunday-long-rest`)
  await inSetUps(page, 'Calves on a chair').click()
  await expect(page.getByLabel('Person’s height, cm')).toHaveValue('159')
  await page.getByRole('button', { name: /^1 blanket, double fold/ }).click()
  await page.getByRole('textbox', { name: 'How many' }).fill('2')
  await page.getByRole('textbox', { name: 'How many' }).press('Enter')
  await page.getByRole('button', { name: 'Keep it for this person' }).click()
  await expect(way(page, 'Theirs')).toHaveAttribute('aria-pressed', 'true')
  await expect
    .poll(async () => (await named(house, 'Edda Quint'))?.setUps)
    .toMatchObject([{ poseId: 'calves-on-a-chair' }])
  // Another is taken for this session, and theirs again.
  await way(page, 'Calves on bolsters').click()
  await expect(way(page, 'As in this session')).toHaveAttribute('aria-pressed', 'true')
  await way(page, 'Theirs').click()
  await expect(way(page, 'Theirs')).toHaveAttribute('aria-pressed', 'true')
  // With somebody else it is a class again, and lies as all have it.
  await page.evaluate(() => window.sessionStorage.clear())
  await planClass(house, 'sunday-long-rest', ['Edda Quint', 'Ansgar Tiel'], { id: 'of-two', day: '2098-01-01' })
  await page.reload()
  await inSetUps(page, 'Calves on a chair').click()
  await expect(way(page, 'With all of it')).toHaveAttribute('aria-pressed', 'true')
})

test('a set-up is fitted to the heights of a class, and counted as it is taken', async ({ page, house }) => {
  await planClass(house, 'sunday-long-rest', ['Edda Quint', 'Ansgar Tiel', 'Nele Trautwyn', 'Berit Oosterlo'])
  await page.goto(`${house.address}props/sunday-long-rest`)
  await inSetUps(page, 'Calves on a chair').click()
  const heights = page.getByRole('region', { name: 'For those who come' })
  await expect(heights).toContainText('1 person, 184 cm: as it lies')
  await expect(heights).toContainText('2 people, 155–159 cm: add 1 blanket, standard fold under the pelvis')
  await expect(heights).not.toContainText('Edda')
  await heights.getByRole('button', { name: 'Look at it for 155–159 cm' }).click()
  await expect(page.getByText('as for 155–159 cm')).toBeVisible()
  await heights.getByRole('button', { name: 'Take it for 155–159 cm' }).click()
  await expect(heights.getByText('Taken for this class')).toBeVisible()
  await expect.poll(async () => (await plannedIn(house, 'our-class'))?.setUps?.[0]?.who.length).toBe(2)
  await page.goto(`${house.address}who/sunday-long-rest`)
  await page.getByRole('button', { name: /^Calves on a chair/ }).click()
  await expect(page.getByRole('region', { name: 'For those who come' })).toContainText('Edda Quint and Nele Trautwyn')
  await page.getByRole('button', { name: 'As it lies for 155–159 cm' }).click()
  await expect.poll(async () => (await plannedIn(house, 'our-class'))?.setUps).toEqual([])
})

test('at home it is their own things that are counted, and dealt with what they have', async ({ page, house }) => {
  await page.goto(`${house.address}people/${edda}`)
  const add = async (thing: string) => {
    await page.getByRole('combobox', { name: 'Add a thing' }).click()
    await page.getByRole('option', { name: thing, exact: true }).click()
  }
  await add('blankets')
  await page.getByLabel('How many blankets').fill('4')
  await page.getByLabel('How many blankets').press('Enter')
  await expect.poll(async () => (await named(house, 'Edda Quint'))?.things).toEqual([{ kind: 'blanket', count: 4 }])
  await planClass(house, 'sunday-long-rest', ['Edda Quint', 'Ansgar Tiel'])
  const path = `${house.address}api/sessions/sunday-long-rest`
  const read = await fetch(path)
  const put = await fetch(path, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json', 'If-Match': read.headers.get('ETag') ?? '' },
    body: JSON.stringify({ ...((await read.json()) as object), setting: 'online', extent: 'full' }),
  })
  expect(put.status).toBe(200)
  await page.goto(`${house.address}needs/sunday-long-rest`)
  await expect(page.getByText('0 of 1 have all of it. What 1 other has is not noted.')).toBeVisible()
  await page.getByRole('button', { name: /^Take: Spread|^Take: For all/ }).click()
  await expect(page.getByText('1 of 1 have all of it.')).toBeVisible()
  // Who has their own things fetches those, and the other what the session has.
  await expect(page.getByText('7 blankets, 3 bolsters, 1 towel, 3 blocks, 1 strap', { exact: true })).toBeVisible()
  await expect(page.getByText('1 person otherwise: 4 blankets', { exact: true })).toBeVisible()
  await expect
    .poll(async () => (await plannedIn(house, 'our-class'))?.substitutes.every(({ who }) => who?.join() === edda))
    .toBe(true)
  await page.goto(`${house.address}who/sunday-long-rest`)
  await page.getByRole('button', { name: 'Edda Quint', exact: true }).click()
  await expect(page.getByText('Has all of it at home.')).toBeVisible()
})
