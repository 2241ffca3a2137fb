import { readFileSync } from 'node:fs'
import { serious } from './axe.ts'
import { classes } from './class-helpers.ts'
import { expect, test } from './fixtures.ts'

test('a day with tea is looked at by the clock, told what is too soon after a meal, and planned as classes', async ({
  page,
  house,
}) => {
  await page.goto(house.address)
  await page.getByRole('link', { name: 'Long days' }).click()
  await page.getByRole('button', { name: 'Three hours with tea' }).click()
  const day = page.getByRole('list', { name: 'The day' })
  await expect(day.getByRole('button')).toHaveText([/^10:00.*Reed/, /^10:30.*slow hour/, /^11:30Tea/, /^11:55.*rest/])
  await expect(day).toContainText('13:10')
  const sums = page.getByRole('region', { name: 'The day added up' })
  await expect(sums).toContainText('Sessions2 h 45 min')
  expect(await serious(page)).toEqual([])

  // Lunch in place of tea, and the breath work after it: that is told where it stands, and taken back as one step.
  await day.getByRole('button', { name: /Tea in the workshop/ }).click()
  await page.getByRole('combobox', { name: 'Eaten in it' }).click()
  await page.getByRole('option', { name: 'a meal' }).click()
  await day.getByRole('button', { name: /Reed and bellows/ }).click()
  await page.getByRole('button', { name: 'Later' }).click()
  await expect(day.getByRole('button').nth(1)).toContainText('11:00')
  await page.getByRole('button', { name: 'Later' }).click()
  const toLookAt = page.getByRole('region', { name: 'To look at' })
  await expect(toLookAt).toContainText('after what is eaten; it is usual to wait 2 h')
  await day.getByRole('button', { name: /Sunday long rest/ }).click()
  await toLookAt.getByRole('button', { name: '11:25' }).click()
  await expect(page.getByRole('heading', { name: 'Reed and bellows' })).toBeVisible()
  await day.getByRole('button').first().focus()
  await page.keyboard.press('Control+z')
  await expect(toLookAt).toHaveCount(0)
  await expect(day.getByRole('button').nth(1)).toContainText('Reed and bellows')

  await page.getByRole('button', { name: 'Plan them for the day' }).click()
  const its = page.getByRole('region', { name: 'Its classes' })
  await expect(its.getByRole('link', { name: 'Who takes what' })).toHaveCount(3)
  await page.getByLabel('Begins', { exact: true }).fill('10:20')
  await page.getByLabel('Begins', { exact: true }).press('Tab')
  await its.getByRole('button', { name: 'Bring them to these hours' }).click()
  await expect(its.getByRole('button')).toHaveCount(0)
  const planned = async () =>
    (await classes(house)).flatMap(({ planned: { longDay, startsAt } }) =>
      longDay ? [`${String(startsAt)} ${longDay.partId}`] : [],
    )
  await expect.poll(async () => (await planned()).sort()).toEqual(['10:20 slow', '11:20 breath', '12:15 rest'])
  const saving = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as calendar' }).click()
  const calendar = readFileSync(await (await saving).path(), 'utf8')
  expect(calendar).toContain('UID:three-hours@zovrin')
  expect(calendar).toContain('DTSTART;TZID=Europe/Amsterdam:20260328T102000')
  expect(calendar).toContain('DTEND;TZID=Europe/Amsterdam:20260328T133000')
})

test('a day is made from nothing, a part stands at its hour, and a day that is deleted comes back', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}long-days`)
  await page.getByRole('button', { name: 'New long day' }).click()
  const add = async (name: string) => {
    await page.getByRole('combobox', { name: 'A session' }).click()
    await page.getByRole('option', { name }).click()
    await page.getByRole('button', { name: 'Put it at the end' }).click()
  }
  const day = page.getByRole('list', { name: 'The day' })
  await add('Thursday slow hour')
  await page.getByRole('button', { name: 'A break' }).click()
  await add('Sunday long rest')
  await expect(day.getByRole('button')).toHaveText([/^10:00/, /^11:00Tea/, /^11:20/])
  // What was put in last is looked at once it is kept.
  await expect(page.getByRole('region', { name: 'Sunday long rest' })).toBeVisible()
  await page.getByLabel('Begins at').fill('11:45')
  await page.getByLabel('Begins at').press('Tab')
  await expect(day).toContainText('25 min with nothing planned')
  await page.getByLabel('Begins at').fill('10:45')
  await page.getByLabel('Begins at').press('Tab')
  await expect(page.getByRole('region', { name: 'To look at' })).toContainText('Begins 35 min later than it is to')
  // It is shown at once, and kept a moment later.
  await expect.poll(async () => (await fetch(`${house.address}api/long-days`)).text()).toContain('"startsAt":"10:45"')
  await page.reload()
  await expect(day.getByRole('button')).toHaveText([/^10:00/, /^11:00Tea/, /^11:20/])

  await page.getByRole('button', { name: 'Delete' }).click()
  await expect(page.getByText('“A long day” is deleted.')).toBeVisible()
  await page.getByRole('button', { name: 'Bring it back' }).click()
  await expect(day.getByRole('button')).toHaveCount(3)
})

test('without the server a day says why its sessions do not stand there', async ({ page, house, expectFailures }) => {
  expectFailures('Failed to load resource')
  await page.route('**/api/sessions/*', (route) => route.abort())
  await page.goto(`${house.address}long-days/three-hours`)
  await expect(page.getByRole('heading', { name: 'Three hours with tea' })).toBeVisible()
  await expect(page.getByRole('alert')).toContainText('the sessions of the day cannot be read')
})
