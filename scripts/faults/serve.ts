import { startServer } from '#server/start'
import { fileIn } from './folder.ts'

// A server of its own process, to be killed: says its address, and runs until then.
const [folder = '', pages] = process.argv.slice(2)
const config = { host: '127.0.0.1', port: 0, portIsFixed: true, dataFolder: folder }
const { address } = await startServer(config, fileIn(folder), pages)
console.log(address)
