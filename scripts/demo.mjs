// npm run demo: installs what is missing, builds, starts with the demo data, prints the address.
import { ensureBuilt, ensurePackages, freePort, say, startServer } from './lib.mjs'

await ensurePackages()
await ensureBuilt()
const port = await freePort(Number(process.env.PORT ?? 4310))
const { child, address } = await startServer({ port, demo: true })
say('Rigorous Meter is running with its demo review')
console.log(`\n    ${address}\n\nIt listens on this machine only. Stop it with Ctrl+C.`)
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal))
child.on('exit', code => process.exit(code ?? 0))
