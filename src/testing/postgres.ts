import { spawnSync } from 'node:child_process'
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

/** A PostgreSQL server of the tests' own: a folder and a port nobody else has, and its own user where the tests are root. */
export interface PostgresServer {
  /** The address of one of its databases. */
  readonly addressOf: (database: string) => string
  readonly stop: () => void
}

/** Where Debian puts the programs of PostgreSQL, the newest first; undefined where it is not installed. */
export function postgresPrograms(): string | undefined {
  const all = '/usr/lib/postgresql'
  if (!existsSync(all)) return undefined
  const newest = readdirSync(all).toSorted((a, b) => Number(b) - Number(a))[0]
  const programs = join(all, String(newest), 'bin')
  return existsSync(join(programs, 'initdb')) ? programs : undefined
}

/** Said where PostgreSQL is not there; nothing is installed for it. */
export const withoutPostgres =
  'PostgreSQL is not installed: the server was tried on SQLite alone. Install it with: apt-get install -y postgresql'

/** Starts one. Throws where it cannot be started, with what it said. `isSure` writes through to the disk, as a studio's does. */
export async function startPostgres(programs: string, { isSure = false } = {}): Promise<PostgresServer> {
  const user = ownUser()
  const folder = mkdtempSync(join(tmpdir(), 'zovrin-postgres-'))
  if (user) chownSync(folder, user.uid, user.gid)
  const run = (program: string, args: readonly string[]): void => {
    const told = spawnSync(join(programs, program), args, {
      ...(user ?? {}),
      cwd: folder,
      encoding: 'utf8',
      // What the server is started with must not be waited for.
      stdio: ['ignore', program === 'pg_ctl' ? 'ignore' : 'pipe', 'pipe'],
    })
    if (told.status !== 0) throw new Error(`${program} failed: ${told.stderr}`)
  }
  const data = join(folder, 'data')
  run('initdb', ['-D', data, '-U', 'zovrin', '-A', 'trust', '-E', 'UTF8', '--locale=C.UTF-8', '--no-sync'])
  const port = await freePort()
  const quick = isSure ? '' : ' -c fsync=off -c synchronous_commit=off -c full_page_writes=off'
  const options = `-p ${String(port)} -k ${folder} -c listen_addresses=127.0.0.1 -c max_connections=300${quick}`
  run('pg_ctl', ['-D', data, '-w', '-l', join(folder, 'log'), '-o', options, 'start'])
  return {
    addressOf: (database) => `postgres://zovrin@127.0.0.1:${String(port)}/${database}`,
    stop() {
      run('pg_ctl', ['-D', data, '-m', 'immediate', 'stop'])
      rmSync(folder, { recursive: true, force: true })
    },
  }
}

/** PostgreSQL refuses to be run by root; Debian has a user for it. */
function ownUser(): { readonly uid: number; readonly gid: number } | undefined {
  if (process.getuid?.() !== 0) return undefined
  const id = (of: '-u' | '-g'): number => Number(spawnSync('id', [of, 'postgres'], { encoding: 'utf8' }).stdout)
  return { uid: id('-u'), gid: id('-g') }
}

const freePort = (): Promise<number> =>
  new Promise((settle, fail) => {
    const probe = createServer()
    probe.on('error', fail)
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address()
      probe.close(() => {
        settle(typeof address === 'object' && address ? address.port : 0)
      })
    })
  })
