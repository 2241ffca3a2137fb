import { resolve } from 'node:path'
import { restoreBackup } from '#server/backup/restore-backup'
import { systemClock } from '#server/clock'
import { holdDatabase } from '#server/db/hold'
import { backupHolds, backupTime } from '#words/backups'
import { keptOf } from './shared/kept.ts'
import { runScript } from './shared/run-script.ts'

/** `npm run restore -- file.zip [--demo]`: puts a backup in the place of what there is, which is kept first. */
runScript(async () => {
  const { kept, named } = keptOf(process.argv.slice(2))
  if (named === undefined) throw new Error('Say which backup: npm run restore -- data/backups/….zip')
  const letGo = await holdDatabase(kept.file)
  try {
    const { backup, before, damaged } = await restoreBackup(resolve(named), kept, systemClock)
    const holds = backupHolds(backup.counts, backup.files.length - 1)
    console.log(`Restored what there was on ${backupTime(backup.madeAt)}: ${holds}.`)
    if (before) console.log(`What there was until now is kept as ${before.path}`)
    if (damaged !== undefined) console.log(`The damaged database lies at ${damaged}`)
  } finally {
    await letGo()
  }
})
