import pg from 'pg'

/** What Zovrins that share a database tell each other: texts, which none of them keeps. */
export interface Notices {
  /** Tells the others; where it does not reach them nothing is lost but that they hear of it later. */
  tell(text: string): void
  /** Hears what others tell; an empty text says that some of it may have been missed. */
  onNotice(listener: (text: string) => void): void
}

const channel = 'zovrin'
/** How long it waits before it listens anew, where the connection broke. */
const againMs = 1000
/** PostgreSQL takes less than 8000 bytes of a notice. */
const mostBytes = 7900

/** Listens to a database of PostgreSQL, through a connection of its own that is made anew where it breaks. */
export async function listenAt(address: string): Promise<Notices & { close(): Promise<void> }> {
  const listeners: ((text: string) => void)[] = []
  let client: pg.Client | undefined
  let again: NodeJS.Timeout | undefined
  let isOver = false
  const hear = (text: string): void => {
    for (const listener of listeners) listener(text)
  }
  const lost = (): void => {
    client = undefined
    if (isOver) return
    clearTimeout(again)
    again = setTimeout(() => {
      connect().then(() => {
        hear('')
      }, lost)
    }, againMs)
    again.unref()
  }
  async function connect(): Promise<void> {
    const made = new pg.Client({ connectionString: address, application_name: 'zovrin, notices' })
    made.on('error', () => void made.end().catch(() => undefined))
    await made.connect()
    made.once('end', lost)
    const { rows } = await made.query<{ pid: number }>('SELECT pg_backend_pid() AS pid')
    const own = rows[0]?.pid
    made.on('notification', ({ payload, processId }) => {
      if (processId !== own) hear(payload ?? '')
    })
    await made.query(`LISTEN ${channel}`)
    client = made
  }
  await connect()
  return {
    tell(text) {
      const isLong = Buffer.byteLength(text) > mostBytes
      client?.query('SELECT pg_notify($1, $2)', [channel, isLong ? '' : text]).catch(() => undefined)
    },
    onNotice(listener) {
      listeners.push(listener)
    },
    async close() {
      isOver = true
      clearTimeout(again)
      await client?.end()
    },
  }
}
