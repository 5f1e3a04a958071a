// The link’s share of `npm run bench`: queries and a long trace over the loopback, beside bare sockets that send as
// many bytes there and back in the same run.
import { type AddressInfo, connect, createServer } from 'node:net'
import { newChain, newPowerMeter, newSpectrumAnalyser } from '../../core/chain'
import { phrasebooks, readTrace } from '../../core/link'
import { LinkService } from '../../server/link/linkService'
import { VirtualPorts } from '../../server/link/virtualPorts'

const QUERIES = 5000
const radio = { is: 'keyed', keyed: { carrierHz: 146.52e6, claimedW: 5, forS: 0 } } as const

/** So many bytes there and back over bare sockets, one after the other, ms. */
async function bareMs(count: number): Promise<number> {
  const server = createServer(socket => socket.on('data', data => socket.write(data)))
  await new Promise<void>(resolve => server.listen({ host: '127.0.0.1', port: 0 }, resolve))
  const socket = connect({ host: '127.0.0.1', port: (server.address() as AddressInfo).port })
  socket.setNoDelay(true)
  const from = performance.now()
  for (let i = 0; i < count; i++) {
    socket.write('READ?\n')
    await new Promise(resolve => socket.once('data', resolve))
  }
  const spent = performance.now() - from
  socket.destroy()
  server.close()
  return spent
}

async function main(): Promise<void> {
  const ports = new VirtualPorts()
  const service = new LinkService(await ports.open())
  const asked = { instrumentId: 'virtual-power-meter', lineEnd: '\n' as const, timeoutMs: 5000 }
  const meter = { chain: newChain('c', 'C', 'm'), instrument: newPowerMeter('m') }
  ports.set({ seed: 1, radioId: 'a', setting: { plugs: { instrument: meter }, radio } })
  const from = performance.now()
  for (let i = 0; i < QUERIES; i++) await service.say('bench', { ...asked, line: 'READ?', form: 'line' })
  const spent = performance.now() - from
  const bare = await bareMs(QUERIES)
  const each = (1000 * QUERIES) / spent
  console.log(
    `queries of the virtual meter over the loopback${' '.repeat(12)} ${each.toFixed(0).padStart(8)} a second ${(spent / bare).toFixed(2).padStart(6)} × bare sockets (${((1000 * QUERIES) / bare).toFixed(0)} a second)`,
  )

  const analyser = { ...newSpectrumAnalyser('a'), damageDbm: 50, resolutionBandwidthHz: 10e3 }
  const setting = { plugs: { instrument: { chain: newChain('c', 'C', 'a'), instrument: analyser } }, radio }
  ports.set({ seed: 2, radioId: 'a', setting })
  const line = {
    send: async (text: string) =>
      void (await service.say('bench', {
        ...asked,
        instrumentId: 'virtual-analyser',
        line: text,
        form: 'none',
      })),
    query: (text: string, form: 'line' | 'block') =>
      service.say('bench', { ...asked, instrumentId: 'virtual-analyser', line: text, form }),
    wait: async () => undefined,
  }
  const book = phrasebooks.find(({ kind }) => kind === 'spectrum-analyser')!
  const began = performance.now()
  const result = await readTrace(line, { book, instrument: analyser, fromHz: 0, toHz: 1e9 })
  const points = result.is === 'read' ? result.trace.levelsDbm.length : 0
  const ms = performance.now() - began
  console.log(
    `a sweep of ${points} points, made, sent and read${' '.repeat(14)} ${ms.toFixed(1).padStart(8)} ms ${((ms * QUERIES) / bare).toFixed(0).padStart(8)} × one bare question and answer`,
  )
  await service.close()
  await ports.close()
}

void main()
