import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { openedDialog } from './fixtures.ts'

/** What axe finds of some weight, in a line each; of a dialog when it has come in. */
export async function serious(page: Page, within = 'body'): Promise<string[]> {
  if (within === '[role=dialog]') await openedDialog(page)
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .options({ resultTypes: ['violations'] })
    .include(within)
    .analyze()
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .flatMap(({ id, nodes }) => nodes.map(({ target }) => `${id}: ${target.join(' ')}`))
}
