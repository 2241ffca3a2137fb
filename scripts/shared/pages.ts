import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { build } from 'vite'

export const rootFolder = fileURLToPath(new URL('../../', import.meta.url))
export const pagesFolder = join(rootFolder, 'dist')
/** The same pages with Vue's warnings left in, for the test that finds none. */
export const warningPagesFolder = join(rootFolder, 'dist-with-warnings')

const common = { root: rootFolder, configFile: join(rootFolder, 'vite.config.ts'), logLevel: 'warn' as const }

/** Builds the pages anew, quietly. */
export async function buildPages(): Promise<void> {
  console.log('Building the pages.')
  await build(common)
}

/** Builds the pages as Vue's development mode has them. */
export async function buildWarningPages(): Promise<void> {
  const former = process.env['NODE_ENV']
  process.env['NODE_ENV'] = 'development'
  await build({
    ...common,
    mode: 'development',
    build: { outDir: warningPagesFolder, emptyOutDir: true, minify: false },
  })
  if (former === undefined) delete process.env['NODE_ENV']
  else process.env['NODE_ENV'] = former
}
