// @ts-check
// The way in for every command of package.json. Plain JavaScript, since it runs before anything is
// installed: it checks the machine, installs what is missing, then hands over to the TypeScript script.
import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { createHash } from 'node:crypto'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const root = dirname(dirname(fileURLToPath(import.meta.url)))
const [command = ''] = process.argv.slice(2)

/** What the machine needs, and the line that installs it (Debian). */
const needs = [
  { name: 'npm', line: 'apt-get install -y npm' },
  { name: 'python3', line: 'apt-get install -y python3' },
  { name: 'make', line: 'apt-get install -y make' },
  { name: 'g++', line: 'apt-get install -y g++' },
]

/** @param {string} text @returns {never} */
function stop(text) {
  console.error(text)
  process.exit(1)
}

/** @param {string} program @param {string[]} args @param {import('node:child_process').SpawnSyncOptions} [options] */
function run(program, args, options = {}) {
  const { status } = spawnSync(program, args, { cwd: root, stdio: 'inherit', ...options })
  return status ?? 1
}

function checkMachine() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19)) {
    stop(
      `Zovrin needs Node 20.19 or newer; this is ${process.versions.node}. Install it from Debian with: apt-get install -y nodejs`,
    )
  }
  const missing = needs.filter(({ name }) => spawnSync(name, ['--version'], { stdio: 'ignore' }).status !== 0)
  if (missing.length > 0) {
    stop(missing.map(({ name, line }) => `${name} is missing. Install it with: ${line}`).join('\n'))
  }
}

function installPackages() {
  const stamp = join(root, 'node_modules', '.zovrin-installed')
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return
  console.log('Installing packages from the lock file.')
  const startedMs = Date.now()
  if (run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel', 'error']) !== 0)
    stop('The packages could not be installed: see the lines above.')
  mkdirSync(dirname(stamp), { recursive: true })
  writeFileSync(stamp, lock)
  console.log(`Packages installed in ${String(Math.round((Date.now() - startedMs) / 1000))} s.`)
}

function compileSqlite() {
  if (run('node', ['-e', "import('sqlite3')"], { stdio: 'ignore' }) === 0) return
  console.log('Compiling SQLite, two or three minutes, silent.')
  if (run('npm', ['rebuild', 'sqlite3', '--loglevel', 'error']) !== 0)
    stop('SQLite could not be compiled: see the lines above.')
}

checkMachine()
installPackages()
// The tests compile it themselves, beside what they do without it.
if (command !== 'test') compileSqlite()
const script = join(root, 'scripts', `${command}.ts`)
if (!existsSync(script)) stop(`There is no command "${command}".`)

// The child gets Ctrl+C from the terminal itself; SIGTERM is handed on so that both stop cleanly.
const { spawn } = await import('node:child_process')
const child = spawn(process.execPath, ['--import', 'tsx', script, ...process.argv.slice(3)], {
  cwd: root,
  stdio: 'inherit',
})
process.on('SIGINT', () => undefined)
process.on('SIGTERM', () => child.kill('SIGTERM'))
// npm dies of a SIGTERM without handing it on: when it is gone, what it started stops too.
const parent = process.ppid
setInterval(() => {
  if (process.ppid !== parent) child.kill('SIGTERM')
}, 500).unref()
child.on('exit', (code, signal) => process.exit(code ?? (signal === 'SIGINT' || signal === 'SIGTERM' ? 0 : 1)))
