import { bundled } from '../shared/bundle.ts'

/**
 * The browser tests' before everything: the house that they open as one file, which each worker loads in a fraction of
 * the time that its parts take.
 */
export default async function beforeAll(): Promise<void> {
  process.env['ZOVRIN_HOUSE'] = await bundled('../e2e/house.ts')
}
