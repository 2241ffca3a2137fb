import type { Locator, Page } from '@playwright/test'
import { blockNames, expect, saved, test } from './fixtures.ts'

/** Drags with real pointer steps, so that the drop place follows as it does for a hand. */
async function drag(page: Page, what: Locator, to: Locator, place: 'top' | 'bottom'): Promise<void> {
  const box = await to.boundingBox()
  if (!box) throw new Error('there is nowhere to drop')
  await what.dragTo(to, { targetPosition: { x: box.width / 2, y: place === 'top' ? 2 : box.height - 8 } })
  await expect(page.getByTestId('drop-line')).toBeHidden()
}

test('blocks are added, dragged in, dragged elsewhere, changed, duplicated and removed by mouse', async ({
  plan,
  house,
}) => {
  await plan.getByRole('option', { name: /Sphinx/ }).click()
  await plan.getByRole('button', { name: /Add Heart over a roll/ }).click()
  expect((await blockNames(plan)).slice(2, 5)).toEqual(['Wide-knee fold', 'Sphinx', 'Heart over a roll'])

  await drag(
    plan,
    plan.getByRole('button', { name: /Add Side rest/ }),
    plan.getByRole('option', { name: /Wide-knee/ }),
    'top',
  )
  expect((await blockNames(plan)).slice(1, 4)).toEqual(['Even breath', 'Side rest', 'Wide-knee fold'])

  await drag(
    plan,
    plan.getByRole('option', { name: /Arrive/ }),
    plan.getByRole('option', { name: /Even breath/ }),
    'bottom',
  )
  expect((await blockNames(plan)).slice(0, 3)).toEqual(['Even breath', 'Arrive', 'Side rest'])

  await plan.getByRole('option', { name: /Side rest, left/ }).click()
  await plan.getByRole('button', { name: 'Longer' }).click()
  await expect(plan.getByRole('option', { name: 'Side rest, right, 5:30' })).toBeAttached()
  await plan.getByRole('button', { name: 'Unlink the sides' }).click()
  await plan.getByLabel('Right', { exact: true }).fill('4')
  await plan.getByLabel('Right', { exact: true }).press('Enter')
  await expect(plan.getByTestId('unlinked')).toContainText('Right side 1:30 short')
  await plan.getByLabel('Why').fill('the sore shoulder')
  await plan.getByLabel('Why').press('Tab')
  await plan.getByRole('button', { name: 'Link again' }).click()
  await expect(plan.getByRole('option', { name: 'Side rest, right, 5:30' })).toBeAttached()

  await plan.getByRole('button', { name: 'Duplicate' }).click()
  await plan.getByRole('button', { name: 'Remove', exact: true }).click()
  await plan.getByRole('button', { name: 'Undo: remove Side rest' }).click()
  expect((await blockNames(plan)).filter((name) => name === 'Side rest')).toHaveLength(2)
  await saved(plan)
  const { blocks } = await house.session('thursday-slow-hour')
  expect(blocks).toHaveLength(12)
  expect(blocks[2]).toMatchObject({ kind: 'hold', poseId: 'side-rest', hold: { holdS: 330 } })
})

test('talk, breath, rest and the closing are changed in the right pane', async ({ plan }) => {
  await plan.getByRole('option', { name: /Arrive/ }).click()
  await plan.getByRole('textbox', { name: 'Time' }).fill('90s')
  await plan.getByRole('textbox', { name: 'Time' }).press('Enter')
  await expect(plan.getByRole('option', { name: 'Arrive, 1:30' })).toBeAttached()

  await plan.getByRole('option', { name: /Even breath/ }).click()
  await plan.getByLabel('Rounds in each').fill('15')
  await plan.getByLabel('Rounds in each').press('Tab')
  await expect(plan.getByRole('option', { name: 'Even breath, 2:00' })).toBeAttached()

  await plan.getByRole('option', { name: /Closing/ }).click()
  await plan.getByLabel('On the side', { exact: true }).fill('2')
  await plan.getByLabel('On the side', { exact: true }).press('Enter')
  await expect(plan.getByRole('option', { name: 'Closing, 9:15' })).toBeAttached()
  await expect(plan.getByTestId('gauge')).toHaveText('56:33 of 60:00 · 3:27 to spare')
})

test('what does not fit is said in the gauge and the foot line', async ({ plan }) => {
  await plan.getByRole('listbox').focus()
  await plan.keyboard.press('Escape')
  await plan.getByLabel('Length to fill').fill('45')
  await plan.getByLabel('Length to fill').press('Enter')
  await expect(plan.getByTestId('gauge')).toHaveText('58:48 of 45:00 · 13:48 over')
  await expect(plan.getByTestId('first-finding')).toHaveText('Does not fit: 13:48 over 45:00')
})
