import { startServer } from '#server/start'

// A server of its own process on a database of PostgreSQL: says its address, and runs until it is killed.
const [address = '', dataFolder = ''] = process.argv.slice(2)
const config = { host: '127.0.0.1', port: 0, portIsFixed: true, dataFolder }
console.log((await startServer(config, address, undefined)).address)
