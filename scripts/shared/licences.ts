import { spawnSync } from 'node:child_process'
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Plugin } from 'vite'

/** A package that is part of what is shipped, and under what. */
export interface Licence {
  readonly name: string
  readonly version: string
  readonly licence: string
  /** As its authors wrote it; empty where they put none beside it. */
  readonly text: string
}

interface Found {
  readonly name: string
  readonly version: string
  readonly license?: string
  readonly path: string
}

const isLicence = (name: string): boolean => /^(licen[cs]e|copying|ofl)/i.test(name)

/** What stands beside a package in its own words. */
function textIn(folder: string): string {
  if (!existsSync(folder)) return ''
  const name = readdirSync(folder, { withFileTypes: true }).find(
    (entry) => entry.isFile() && isLicence(entry.name),
  )?.name
  return name === undefined ? '' : readFileSync(join(folder, name), 'utf8').trim()
}

/** A package that names none in its list may say it in the text beside it. */
const namedIn = (text: string): string =>
  /\bMIT License\b|Permission is hereby granted, free/i.test(text) ? 'MIT' : ''

/** Every package that is shipped, as npm knows them, each once. Throws where npm does not answer. */
export function licencesOf(root: string): readonly Licence[] {
  const asked = spawnSync('npm', ['query', '.prod'], { cwd: root, encoding: 'utf8', maxBuffer: 64 * 1024 ** 2 })
  if (asked.status !== 0) throw new Error(`npm could not say what is shipped: ${asked.stderr}`)
  const found = (JSON.parse(asked.stdout) as Found[]).filter(({ path }) => path !== root.replace(/\/$/, ''))
  const all = found.map(({ name, version, license, path }): Licence => {
    const text = textIn(path)
    return { name, version, licence: license ?? namedIn(text), text }
  })
  return [...new Map(all.map((one) => [`${one.name} ${one.version}`, one])).values()].toSorted((a, b) =>
    a.name.localeCompare(b.name),
  )
}

/** Puts the list beside the pages, where the application shows it. */
export function licencesFile(root: string): Plugin {
  return {
    name: 'licences',
    apply: 'build',
    generateBundle() {
      this.emitFile({ type: 'asset', fileName: 'licences.json', source: JSON.stringify(licencesOf(root)) })
    },
  }
}
