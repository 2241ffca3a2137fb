import { resolve } from 'node:path'
import { makeBackup } from '#server/backup/make-backup'
import { systemClock } from '#server/clock'
import { backupHolds } from '#words/backups'
import { keptOf } from './shared/kept.ts'
import { runScript } from './shared/run-script.ts'

/** `npm run backup [-- file.zip] [--demo]`: everything of a house as one file, while it runs or not. */
runScript(async () => {
  const { kept, named } = keptOf(process.argv.slice(2))
  const { path, backup } = await makeBackup(
    kept,
    'asked',
    systemClock,
    named === undefined ? undefined : resolve(named),
  )
  console.log(`Saved as ${path}: ${backupHolds(backup.counts, backup.files.length - 1)}.`)
})
