import { licencesOf } from './shared/licences.ts'
import { rootFolder } from './shared/pages.ts'
import { runScript } from './shared/run-script.ts'

/** `npm run licences`: everything that is shipped, and under what; fails where a package says nothing. */
runScript(() => {
  const all = licencesOf(rootFolder)
  for (const { name, version, licence } of all) console.log(`${licence.padEnd(22)} ${name} ${version}`)
  const silent = all.filter(({ licence }) => licence === '').map(({ name }) => name)
  if (silent.length > 0) throw new Error(`These say no licence: ${silent.join(', ')}`)
  return Promise.resolve()
})
