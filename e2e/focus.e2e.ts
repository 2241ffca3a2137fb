import type { Page } from '@playwright/test'
import { expect, test } from './fixtures.ts'

/** After anything is removed, taken or closed the focus stands where it was, never on the page. */
const focused = (page: Page) =>
  page.evaluate(() => {
    const { activeElement: at } = document
    return at === document.body ? 'the page' : (at?.getAttribute('aria-label') ?? at?.textContent.trim() ?? '')
  })

test('the focus stays where one works in Plan: phases, cues, findings', async ({ plan }) => {
  await plan.getByRole('option', { name: /Deer, left/ }).click()
  await plan.getByRole('button', { name: 'Divide the hold into phases' }).press('Enter')
  await expect(plan.getByLabel('Name of phase 1')).toBeVisible()
  await expect.poll(() => focused(plan)).not.toBe('the page')

  await plan.getByRole('button', { name: 'Remove cue 1', exact: true }).press('Enter')
  await expect.poll(() => focused(plan)).not.toBe('the page')

  await plan.getByRole('button', { name: /to look at/ }).click()
  const findings = plan.getByRole('region', { name: 'Findings' })
  await findings
    .getByRole('button', { name: /^Set aside:/ })
    .first()
    .press('Enter')
  await findings.getByLabel('Why it can stay').fill('It is meant so')
  await findings.getByLabel('Why it can stay').press('Enter')
  await expect(findings.getByText('1 set aside')).toBeVisible()
  await expect
    .poll(() => plan.evaluate(() => document.activeElement?.closest('[aria-label="Findings"]') !== null))
    .toBe(true)
})

test('the focus stays in the list when a session is put away, deleted or brought back', async ({ plan }) => {
  await plan.getByRole('link', { name: 'Sessions' }).click()
  await plan.getByRole('button', { name: 'More for Thursday slow hour' }).press('Enter')
  await plan.getByRole('menuitem', { name: 'Delete' }).click()
  await expect(plan.getByText('Thursday slow hour is deleted')).toBeVisible()
  await expect.poll(() => plan.evaluate(() => document.activeElement?.closest('main, table') !== null)).toBe(true)
  await expect.poll(() => focused(plan)).not.toBe('the page')
  await plan.getByRole('button', { name: 'Undo' }).press('Enter')
  await expect(plan.getByText('Thursday slow hour is back')).toBeVisible()
  await expect.poll(() => focused(plan)).not.toBe('the page')
})

test('the focus stays at a set-up when a mend is taken and taken back', async ({ page, house }) => {
  await page.goto(`${house.address}props/sunday-long-rest`)
  await page.getByRole('button', { name: /^Inclined rest/ }).click()
  await page.getByRole('button', { name: 'With few props' }).click()
  await page.getByRole('button', { name: /^1 block, on its end/ }).press('Enter')
  await page.getByRole('button', { name: 'Take 1 block away' }).press('Enter')
  await expect.poll(() => focused(page)).not.toBe('the page')
  await page.getByRole('button', { name: 'Undo: take from the set-up' }).press('Enter')
  await expect(page.getByRole('button', { name: /^1 block, on its end/ })).toBeVisible()
  await expect.poll(() => focused(page)).not.toBe('the page')
})

test('the shelf is one tab stop: its lines are walked by the arrow keys', async ({ plan }) => {
  await plan.getByRole('textbox', { name: 'Find a pose or breath' }).focus()
  await plan.keyboard.press('Tab')
  await expect(plan.getByRole('button', { name: /^Add Standing still/ })).toBeFocused()
  await plan.keyboard.press('ArrowDown')
  await expect(plan.getByRole('button', { name: /^Add Hanging fold/ })).toBeFocused()
  await plan.keyboard.press('Tab')
  await expect(plan.getByRole('listbox')).toBeFocused()
  await plan.keyboard.press('Shift+Tab')
  await expect(plan.getByRole('button', { name: /^Add Hanging fold/ })).toBeFocused()
})

test('the findings stand in a strip of their own: the place of one is brought clear of it', async ({ plan }) => {
  await plan.getByRole('button', { name: /to look at/ }).click()
  const findings = plan.getByRole('region', { name: 'Findings' })
  await findings
    .getByRole('button', { name: /, at \d/ })
    .last()
    .click()
  const chosen = plan.getByRole('option', { selected: true }).first()
  await expect(chosen).toBeVisible()
  await expect
    .poll(async () => {
      const [strip, block] = await Promise.all([findings.boundingBox(), chosen.boundingBox()])
      return (block?.y ?? Infinity) < (strip?.y ?? 0)
    })
    .toBe(true)
})
