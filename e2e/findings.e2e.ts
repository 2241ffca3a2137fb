import type { Page } from '@playwright/test'
import { expect, saved, test } from './fixtures.ts'

const panel = (plan: Page) => plan.getByRole('region', { name: 'Findings' })
async function openFindings(plan: Page): Promise<void> {
  await plan.getByRole('button', { name: /to look at|Nothing needs a look/ }).click()
  await expect(panel(plan)).toBeVisible()
}

/**
 * How much of a line of text does not fit its element, px; half a pixel already costs a word. Boxes are laid out in 64ths
 * of a pixel and letters are not: of that grain nothing is told.
 */
function lengthCut(element: Element): number {
  const text = document.createRange()
  text.selectNodeContents(element)
  const cut = text.getBoundingClientRect().width - element.getBoundingClientRect().width
  return Math.abs(cut) <= 1 / 64 ? 0 : cut
}

test('the foot line counts what needs a look, worst first, and the panel lists each with its place', async ({
  plan,
}) => {
  await expect(plan.getByRole('button', { name: '3 to look at Says 5:00, the plan has 3:55 from there' })).toBeVisible()
  await openFindings(plan)
  await expect(panel(plan).getByRole('listitem')).toHaveCount(3)
  await panel(plan).getByRole('button', { name: 'Figure four, lying, at 17:10' }).click()
  await expect(
    plan.getByRole('complementary').getByRole('heading', { level: 1, name: 'Figure four, lying' }),
  ).toBeVisible()
  await panel(plan).getByRole('button', { name: 'Close the findings' }).click()
  await expect(panel(plan)).toHaveCount(0)
  await expect(plan.getByRole('listbox')).toBeFocused()
})

test('a mend is one step, and its undo brings the finding back', async ({ plan }) => {
  await openFindings(plan)
  await panel(plan).getByRole('button', { name: 'Rest for 0:45' }).click()
  await expect(panel(plan).getByRole('listitem')).toHaveCount(2)
  await panel(plan).getByRole('button', { name: 'Let the word follow the side' }).click()
  await expect(panel(plan).getByRole('listitem')).toHaveCount(1)
  await plan.getByRole('button', { name: 'Undo: let the word follow the side' }).click()
  await expect(panel(plan).getByRole('listitem')).toHaveCount(2)
  await saved(plan)
})

test('a finding is set aside with a reason, stays so after a reload, and comes back when its numbers change', async ({
  plan,
}) => {
  await openFindings(plan)
  await panel(plan).getByRole('button', { name: 'Set aside: No rest after 3:00' }).click()
  await panel(plan).getByRole('textbox', { name: 'Why it can stay' }).fill('They go straight to the chairs')
  await plan.keyboard.press('Enter')
  await expect(plan.getByRole('button', { name: /^2 to look at/ })).toBeVisible()
  await saved(plan)
  await plan.reload()
  await expect(plan.getByRole('button', { name: /^2 to look at/ })).toBeVisible()
  await openFindings(plan)
  await panel(plan).getByText('1 set aside').click()
  await expect(panel(plan).getByText(/Set aside on .*: They go straight to the chairs/)).toBeVisible()

  await plan.getByRole('option', { name: /Crescent, lying, left/ }).click()
  await plan.getByRole('listbox').focus()
  await plan.keyboard.press('[')
  await expect(panel(plan).getByText('It was set aside; its numbers have changed since.')).toBeVisible()
  await expect(plan.getByRole('button', { name: /^3 to look at/ })).toBeVisible()
})

test('narrow, the last finding can be pressed, and the advice in the foot line is whole', async ({ plan }) => {
  await plan.setViewportSize({ width: 1024, height: 768 })
  await openFindings(plan)
  const advice = plan.getByText('Zovrin gives no medical advice: a doctor or licensed therapist decides.')
  expect(await advice.evaluate(lengthCut)).toBeLessThanOrEqual(0)
  await expect(plan.getByRole('button', { name: 'Details' })).toBeVisible()
  const last = panel(plan).getByRole('listitem').last()
  await last.getByRole('button', { name: /^Set aside:/ }).click()
  await panel(plan).getByRole('textbox', { name: 'Why it can stay' }).press('Escape')
  await plan.getByRole('button', { name: 'Details' }).click()
  await expect(plan.getByRole('complementary', { name: 'The chosen block' })).toBeVisible()
  await expect(panel(plan)).toHaveCount(0)
})

test('what does not fit must be mended, and its mend opens the fits', async ({ plan }) => {
  await plan.getByRole('textbox', { name: 'Length to fill' }).fill('45')
  await plan.keyboard.press('Enter')
  await expect(plan.getByTestId('first-finding')).toHaveText('Does not fit: 13:48 over 45:00')
  await plan.getByRole('button', { name: /^1 to mend/ }).click()
  await panel(plan).getByRole('button', { name: 'Make it fit' }).click()
  await expect(plan.getByRole('region', { name: 'Shorter holds' })).toBeVisible()
})

test('the balance shows each figure as a chart and as a table', async ({ plan }) => {
  await plan.getByRole('button', { name: 'Balance' }).click()
  const dialog = plan.getByRole('dialog')
  await expect(dialog.getByRole('img', { name: /^Left and right: left 10:00, right 10:00/ })).toBeVisible()
  await expect(dialog.getByRole('img')).toHaveCount(7)
  await dialog.getByRole('button', { name: 'Tables' }).click()
  await expect(dialog.getByRole('table')).toHaveCount(7)
  await expect(dialog.getByRole('row', { name: 'outer hip 20:00' })).toBeVisible()
})

test('two sessions are compared side by side and in words', async ({ plan }) => {
  const length = plan.getByRole('textbox', { name: 'Length of a new version' })
  await length.fill('40')
  await length.press('Enter')
  await plan.getByRole('button', { name: 'Make it' }).click()
  await expect(plan.getByTestId('version-of')).toBeVisible()
  await plan.getByRole('button', { name: 'See both side by side' }).click()
  const differs = plan.getByRole('region', { name: 'What differs' })
  await expect(differs.getByText(/ dropped$/).first()).toBeVisible()
  await expect(differs.getByRole('heading', { name: 'Shorter' })).toBeVisible()
  await expect(plan.getByRole('dialog').getByRole('img', { name: /9 blocks, 58:48/ })).toBeVisible()
})
