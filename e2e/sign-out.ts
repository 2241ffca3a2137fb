import type { Page } from '@playwright/test'
import { expect } from './fixtures.ts'

export const button = (page: Page, name: string | RegExp) =>
  page.getByRole('button', { name, exact: typeof name === 'string' })

/** Whoever is signed in signs out, by the bar. */
export async function signOut(page: Page): Promise<void> {
  await button(page, /^Signed in as/).click()
  await page.getByRole('menuitem', { name: 'Sign out' }).click()
  await expect(page.getByRole('heading', { name: 'Who teaches?' })).toBeVisible()
}
