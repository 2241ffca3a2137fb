import { join } from 'node:path'
import { makeBackup } from '#server/backup/make-backup'
import { restoreBackup } from '#server/backup/restore-backup'
import { fileIn } from './folder.ts'

// Makes a backup of a folder's database, or puts one back, in a process of its own, to be killed at any moment of it.
const [what = '', folder = ''] = process.argv.slice(2)
const kept = { file: fileIn(folder), folder }
const clock = { now: () => new Date() }
console.log('at it')
if (what === 'make') await makeBackup(kept, 'asked', clock)
else await restoreBackup(join(folder, 'good.zip'), kept, clock)
console.log('done')
