import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { readConfig } from '#server/config'
import type { Kept } from '#server/backup/make-backup'
import { demoFile } from '#server/demo/seed'

/** The database a command is for, of the usual house or of the demo, and the file that is named with it. */
export function keptOf(args: readonly string[]): { readonly kept: Kept; readonly named: string | undefined } {
  const { values, positionals } = parseArgs({
    args: [...args],
    options: { demo: { type: 'boolean', default: false } },
    allowPositionals: true,
  })
  const folder = readConfig(process.env).dataFolder
  return { kept: { folder, file: join(folder, values.demo ? demoFile : 'zovrin.sqlite') }, named: positionals[0] }
}
