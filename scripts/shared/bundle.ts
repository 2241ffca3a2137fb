import { basename, join } from 'node:path'
import { build } from 'vite'
import { rootFolder } from './pages.ts'

const made = new Map<string, Promise<string>>()

/**
 * One of the scripts, by its path from their folder, as one file of plain JavaScript, which starts in a fraction of the
 * time; says where it lies. Made once in each run.
 */
export function bundled(script: string): Promise<string> {
  const file = made.get(script) ?? bundle(script)
  made.set(script, file)
  return file
}

async function bundle(script: string): Promise<string> {
  const outDir = join(rootFolder, 'node_modules', '.cache', 'zovrin-bundled')
  await build({
    ...{ root: rootFolder, configFile: false, logLevel: 'warn' },
    build: { ssr: join(rootFolder, 'scripts', script), outDir, emptyOutDir: false, target: 'node20' },
  })
  return join(outDir, basename(script).replace(/\.ts$/, '.js'))
}
