import { openDatabase } from '#server/db/open'
import { fileIn } from './folder.ts'

// Opens a database, which brings it up to date, in a process of its own, to be killed at any moment of it.
const [folder = ''] = process.argv.slice(2)
console.log('opening')
await openDatabase(fileIn(folder))
await new Promise(() => setInterval(() => undefined, 1000))
