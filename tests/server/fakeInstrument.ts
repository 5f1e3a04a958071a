import { type AddressInfo, createServer, type Server, type Socket } from 'node:net'

/** An instrument of a test on a port of the loopback: what it does with each line is the test’s. */
export async function fakeInstrument(onLine: (line: string, socket: Socket) => void) {
  const sockets = new Set<Socket>()
  const server: Server = createServer(socket => {
    sockets.add(socket)
    let rest = ''
    socket.on('error', () => undefined)
    socket.on('data', data => {
      rest += data.toString('latin1')
      const lines = rest.split('\n')
      rest = lines.pop()!
      for (const line of lines) onLine(line, socket)
    })
  })
  await new Promise<void>(resolve => server.listen({ host: '127.0.0.1', port: 0 }, resolve))
  return {
    port: (server.address() as AddressInfo).port,
    connections: () => sockets.size,
    close: async () => {
      for (const socket of sockets) socket.destroy()
      await new Promise(resolve => server.close(resolve))
    },
  }
}
