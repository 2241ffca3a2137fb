import { systemClock } from '#server/clock'
import { readConfig } from '#server/config'
import { isPostgres } from '#server/db/address'
import { holdDatabase } from '#server/db/hold'
import { openDatabase } from '#server/db/open'
import { nameKeyOf } from '#server/features/teachers/secrets'
import { teacherStore } from '#server/features/teachers/store'
import { keptOf } from './shared/kept.ts'
import { runScript } from './shared/run-script.ts'

/** `npm run let-in -- "Their name"`: a code by which a teacher chooses a new password or PIN, where no keeper can give one. */
runScript(async () => {
  const { kept, named } = keptOf(process.argv.slice(2))
  const { databaseUrl } = readConfig(process.env)
  if (named === undefined) throw new Error('Say whom: npm run let-in -- "Their name"')
  const letGo = databaseUrl === undefined ? await holdDatabase(kept.file) : () => Promise.resolve()
  try {
    console.log(await codeFor(named, databaseUrl ?? kept.file))
  } finally {
    await letGo()
  }
})

async function codeFor(named: string, where: string): Promise<string> {
  const database = await openDatabase(where)
  try {
    const teachers = teacherStore(database, systemClock, isPostgres(where) ? 'accounts' : 'machine')
    const teacher = (await teachers.list()).find(({ name }) => nameKeyOf(name) === nameKeyOf(named))
    if (!teacher) throw new Error(`No teacher is called “${named}” here.`)
    return `${teacher.name} chooses anew with the code ${await teachers.letChoose(teacher.id)}`
  } finally {
    await database.close()
  }
}
