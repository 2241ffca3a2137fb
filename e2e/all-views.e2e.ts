import type { Page } from '@playwright/test'
import { expect, openedDialog, saved, test } from './fixtures.ts'

// The shipped build says nothing of Vue's warnings: this one is built with them left in, and the watch of
// every test fails on the first.
test.use({ pages: 'dist-with-warnings' })

const chooseAll = async (page: Page) => {
  await page.getByRole('listbox').focus()
  const count = await page.getByRole('option').count()
  for (let at = 0; at < count; at += 1) await page.keyboard.press('ArrowDown')
}

test('no view, panel or dialog of the application draws a warning', async ({ plan, house }) => {
  // It walks through the whole application: how long that takes is not what is tested.
  test.setTimeout(120_000)
  expect(await plan.evaluate(() => document.querySelector('#app') !== null)).toBe(true)
  await chooseAll(plan)
  for (const name of ['Arms overhead', 'Add Rest, stillness', 'Watching the breath', 'One leg up', 'Twist over']) {
    await plan.getByRole('button', { name: new RegExp(name) }).click()
  }
  await plan.getByRole('button', { name: 'Unlink the sides' }).click()
  await plan.getByLabel('Left', { exact: true }).fill('3:75')
  await plan.getByLabel('Left', { exact: true }).press('Enter')
  await expect(plan.getByRole('alert')).toBeVisible()
  await plan.getByLabel('Left', { exact: true }).press('Escape')
  await plan.getByRole('button', { name: 'The list of keys' }).click()
  await openedDialog(plan)
  await plan.keyboard.press('Escape')
  await expect(plan.getByRole('dialog')).toBeHidden()
  await plan.getByRole('listbox').focus()
  await plan.keyboard.press('f')
  await expect(plan.getByRole('region', { name: 'Shorter holds' })).toBeVisible()
  await plan.getByRole('button', { name: 'The order' }).click()
  await expect(plan.getByRole('region', { name: 'As it is' })).toBeVisible()
  await plan.keyboard.press('Escape')
  await plan.keyboard.press('Escape')
  await plan.getByRole('button', { name: /to look at/ }).click()
  await plan
    .getByRole('button', { name: /^Set aside/ })
    .first()
    .click()
  await plan.getByRole('button', { name: 'Close the findings' }).click()
  await plan.keyboard.press('Escape')
  await plan.getByRole('button', { name: 'Balance' }).click()
  await expect(plan.getByRole('dialog').getByRole('img').first()).toBeVisible()
  await plan.getByRole('button', { name: 'Tables' }).click()
  await plan.keyboard.press('Escape')
  await plan.getByRole('button', { name: 'Compare with another' }).click()
  await plan.getByRole('combobox', { name: 'The session to compare with' }).click()
  await plan.getByRole('option', { name: 'Twenty minutes before supper' }).click()
  await expect(plan.getByRole('region', { name: 'What differs' }).getByRole('heading').first()).toBeVisible()
  await plan.getByRole('dialog').getByRole('button', { name: 'Close' }).click()
  await plan.getByRole('link', { name: 'Breath', exact: true }).click()
  await plan.getByRole('button', { name: 'A held breath' }).click()
  await expect(plan.getByRole('img', { name: /held full/ })).toBeVisible()
  await plan.getByRole('link', { name: 'Plan', exact: true }).click()
  await plan.getByRole('heading', { name: 'Thursday slow hour' }).waitFor()
  await plan.getByLabel('Practice').click()
  await plan.getByRole('option', { name: 'Restorative', exact: true }).click()
  await saved(plan)
  await plan.getByRole('link', { name: 'Sessions' }).click()
  await plan.getByRole('button', { name: 'Choose one for me' }).click()
  await expect(plan.getByRole('rowheader', { name: 'Arrive' })).toBeVisible()
  await plan.getByRole('button', { name: 'Another one' }).click()
  await plan.getByRole('button', { name: 'Not now' }).click()
  await plan.getByRole('button', { name: 'New session' }).click()
  await expect(plan.getByText('Nothing on the spine yet')).toBeVisible()
  for (const path of [
    'shelf',
    'shelf/deer',
    'shelf/leg-raise-lying',
    'shelf/even-breath',
    'shelf/new?from=deer',
    'cautions',
    'places',
    'needs/thursday-slow-hour',
    'people',
    'people/Zp5gHc1iTo9D',
    'who/thursday-slow-hour',
  ]) {
    await plan.goto(`${house.address}${path}`)
    await expect(plan.getByRole('heading', { level: 1 })).toBeVisible()
  }
  await plan.goto(`${house.address}props/sunday-long-rest`)
  for (const setUp of await plan
    .getByRole('navigation', { name: 'Set-ups of the session' })
    .getByRole('button')
    .all()) {
    await setUp.click()
    await plan.getByRole('button', { name: 'Above' }).click()
    await plan.getByRole('complementary').getByRole('button', { expanded: false }).first().click()
  }
  await plan.getByRole('link', { name: 'Journal' }).click()
  await plan.getByRole('link', { name: 'Thursday slow hour' }).first().click()
  await expect(plan.getByRole('heading', { name: 'Meant and done' })).toBeVisible()
  await plan.goto(`${house.address}lead/short-evening-rest`)
  await plan.getByRole('button', { name: '+1 min' }).click()
  await plan.getByRole('button', { name: 'Start', exact: true }).click()
  for (const key of ['+', ' ', ' ', 'ArrowRight', 'm', 'b', 'o', 'x', 'Escape', 'ArrowRight', 'ArrowRight', ' ']) {
    await plan.keyboard.press(key)
  }
  await plan.getByRole('button', { name: 'Leave' }).click()
  await plan.getByRole('alertdialog', { name: 'Leave' }).getByRole('button', { name: 'Leave' }).click()
  await plan.getByRole('button', { name: 'Save and open the record' }).click()
  await expect(plan.getByRole('heading', { name: 'Meant and done' })).toBeVisible()
})
