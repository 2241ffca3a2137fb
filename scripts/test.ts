import { spawn } from 'node:child_process'
import { chmodSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, statfsSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { postgresPrograms, withoutPostgres } from '#testing/postgres'
import { ensureChromium } from './shared/chromium.ts'
import { buildPages, buildWarningPages, rootFolder } from './shared/pages.ts'
import { runScript } from './shared/run-script.ts'

const results = join(rootFolder, 'test-results')

interface Counted {
  readonly passed: number
  readonly failed: number
}

const pathOf = (program: string): string => join(rootFolder, 'node_modules', '.bin', program)

/** A folder for what the tests take away again: in memory where there is enough of it, since nothing outlives them. */
function makeTemporaryFolder(): string {
  const memory = '/dev/shm'
  const room = existsSync(memory) ? statfsSync(memory) : undefined
  const folder = mkdtempSync(join(room && room.bavail * room.bsize > 2e9 ? memory : tmpdir(), 'zovrin-tests-'))
  // PostgreSQL runs as a user of its own, who has to come by to reach what is theirs.
  chmodSync(folder, 0o711)
  return folder
}
const temporary = makeTemporaryFolder()
const environment = { ...process.env, TMPDIR: temporary }
process.on('exit', () => {
  rmSync(temporary, { recursive: true, force: true })
})

/** Runs a part with its output shown as it comes; true when it ended well. */
function part(name: string, program: string, args: readonly string[], more = {}): Promise<boolean> {
  console.log(`\n— ${name}`)
  return new Promise((ended, failed) => {
    const run = spawn(program, args, { cwd: rootFolder, stdio: 'inherit', env: { ...environment, ...more } })
    run.on('error', failed)
    run.on('close', (code) => {
      ended(code === 0)
    })
  })
}

/** The same beside others, each of which needs one core and a folder on the disk: its output is shown when it has ended. */
function partBeside(name: string, program: string, args: readonly string[], more = {}): Promise<boolean> {
  return new Promise((ended, failed) => {
    const env = { ...process.env, ...more }
    const run = spawn(program, args, { cwd: rootFolder, stdio: ['ignore', 'pipe', 'pipe'], env })
    const shown: Buffer[] = []
    for (const stream of [run.stdout, run.stderr]) stream.on('data', (piece: Buffer) => shown.push(piece))
    run.on('error', failed)
    run.on('close', (code) => {
      console.log(`\n— ${name}\n${Buffer.concat(shown).toString()}`)
      ended(code === 0)
    })
  })
}

/** Compiles SQLite where that was not done yet, beside what does without it. */
async function ensureSqlite(): Promise<void> {
  const isThere = await import('sqlite3').then(
    () => true,
    () => false,
  )
  if (isThere) return
  // Less optimised it is there in half the time: the tests ask too little of it to feel the rest.
  const quickly = { CFLAGS: '-O1', CXXFLAGS: '-O1' }
  if (!(await partBeside('SQLite, compiled', 'npm', ['rebuild', 'sqlite3', '--loglevel', 'error'], quickly)))
    throw new Error('SQLite could not be compiled: see the lines above.')
}

function readResult(file: string): unknown {
  try {
    return JSON.parse(readFileSync(join(results, file), 'utf8'))
  } catch {
    return undefined
  }
}

/**
 * Jest, whose worlds are made and thrown away by the hundred: with more room for what lives shortly, much less of the
 * time goes into clearing up after them.
 */
const jest = (name: string, file: string, more = {}): Promise<boolean> =>
  part(
    name,
    process.execPath,
    ['--max-semi-space-size=64', pathOf('jest'), '--json', `--outputFile=${join(results, file)}`],
    more,
  )

/** A part that left no result has failed once, so that nothing is counted as fine by silence. */
const noResult: Counted = { passed: 0, failed: 1 }

function unitCount(file: string): Counted {
  const read = readResult(file) as
    { numPassedTests: number; numFailedTests: number; numRuntimeErrorTestSuites: number } | undefined
  return read ? { passed: read.numPassedTests, failed: read.numFailedTests + read.numRuntimeErrorTestSuites } : noResult
}

function browserCount(): Counted {
  const read = readResult('browser.json') as
    { stats: { expected: number; unexpected: number; flaky: number }; errors: unknown[] } | undefined
  return read
    ? { passed: read.stats.expected, failed: read.stats.unexpected + read.stats.flaky + read.errors.length }
    : noResult
}

/** All that the server answers once more, on PostgreSQL; undefined, and said, where that is not installed. */
async function onPostgres(): Promise<boolean | undefined> {
  if (postgresPrograms() === undefined) {
    console.log(`\n— the server on PostgreSQL\n${withoutPostgres}`)
    return undefined
  }
  // Not in the folder of the other tests: a database for each test is more than memory has.
  return jest('the server on PostgreSQL', 'postgres.json', { ZOVRIN_TESTS_ON: 'postgres', TMPDIR: tmpdir() })
}

runScript(async () => {
  const startedMs = performance.now()
  rmSync(results, { recursive: true, force: true })
  mkdirSync(results, { recursive: true })
  const [style, lint, types] = await Promise.all([
    partBeside('style', pathOf('prettier'), ['--check', '--log-level', 'warn', '.']),
    partBeside('lint', pathOf('eslint'), ['.', '--max-warnings', '0']),
    partBeside('types', pathOf('vue-tsc'), ['-b']),
    ensureChromium(),
    ensureSqlite(),
  ])
  await buildPages()
  const [unit, faults] = await Promise.all([
    jest('unit tests', 'unit.json'),
    partBeside('faults, in short', pathOf('tsx'), [join(rootFolder, 'scripts', 'faults.ts'), '--short']),
    buildWarningPages(),
  ])
  const studio = await onPostgres()
  rmSync(join(results, 'browser.json'), { force: true })
  const browser = await part('browser tests', pathOf('playwright'), ['test'])
  const all = [unitCount('unit.json'), ...(studio ? [unitCount('postgres.json')] : []), browserCount()]
  const sum = (which: keyof Counted): string => String(all.reduce((so, one) => so + one[which], 0))
  const failedParts = Object.entries({
    style,
    lint,
    types,
    'unit tests': unit,
    'the server on PostgreSQL': studio ?? true,
    faults,
    'browser tests': browser,
  }).filter(([, ok]) => !ok)
  console.log(`\nTook ${String(Math.round((performance.now() - startedMs) / 1000))} s.`)
  for (const [name] of failedParts) console.log(`Failed: ${name}`)
  if (failedParts.length > 0) process.exitCode = 1
  console.log(`${sum('passed')} passed, ${sum('failed')} failed`)
})
