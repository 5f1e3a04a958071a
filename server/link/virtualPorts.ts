import { createServer, type Server, type Socket } from 'node:net'
import type { SpokenKind } from '#core/link'
import {
  INTERFERER_ROLE,
  type ScpiInstrument,
  type StandSetting,
  virtualBench,
  WANTED_ROLE,
} from '#core/virtual'
import type { AllowedInstrument } from './allowList'
import { LINK_LIMITS } from './limits'

/** A place on the bench: which role of a station it plays there. */
interface Place {
  id: string
  title: string
  kind: SpokenKind
  role: string
}

/** What stands on the virtual bench. */
export const VIRTUAL_PLACES: readonly Place[] = [
  { id: 'virtual-power-meter', title: 'Power meter', kind: 'power-meter', role: 'instrument' },
  { id: 'virtual-analyser', title: 'Spectrum analyser', kind: 'spectrum-analyser', role: 'instrument' },
  { id: 'virtual-generator', title: 'Generator', kind: 'signal-generator', role: WANTED_ROLE },
  { id: 'virtual-interferer', title: 'Second generator', kind: 'signal-generator', role: INTERFERER_ROLE },
  { id: 'virtual-audio', title: 'Audio analyser', kind: 'audio-analyser', role: 'audio' },
  { id: 'virtual-supply', title: 'Supply', kind: 'supply', role: 'supply' },
  { id: 'virtual-counter', title: 'Counter', kind: 'counter', role: 'counter' },
  { id: 'virtual-antenna', title: 'Antenna analyser', kind: 'antenna-analyser', role: 'antenna-analyser' },
  { id: 'virtual-modulation', title: 'Modulation analyser', kind: 'modulation-analyser', role: 'modulation' },
]

/** Which radio stands on the bench, in which bench, plugged into what. */
export interface VirtualSetUp {
  seed: number
  radioId: string
  setting: StandSetting
}

const NOTHING: VirtualSetUp = { seed: 1, radioId: 'nobody', setting: { plugs: {}, radio: { is: 'off' } } }

/** The virtual bench as instruments on ports of the loopback: whoever speaks lines may speak to it. */
export class VirtualPorts {
  private setUp = NOTHING
  private instruments = this.stand()
  private readonly servers: Server[] = []
  private listed: AllowedInstrument[] = []

  /** Opens a port for each instrument, on the loopback only. @param firstPort - nought: whichever are free. */
  async open(firstPort = 0): Promise<readonly AllowedInstrument[]> {
    for (const [i, place] of VIRTUAL_PLACES.entries()) {
      const server = createServer(socket => serve(socket, () => this.instruments(place)))
      server.unref()
      await new Promise<void>((resolve, reject) => {
        server.once('error', reject)
        server.listen({ host: '127.0.0.1', port: firstPort === 0 ? 0 : firstPort + i }, resolve)
      })
      this.servers.push(server)
      const address = server.address()
      const port = typeof address === 'object' && address ? address.port : 0
      const { id, title, kind } = place
      this.listed.push({
        id,
        title: `${title}, virtual bench`,
        kind,
        host: '127.0.0.1',
        port,
        isVirtual: true,
      })
    }
    return this.listed
  }

  /** Puts a radio on the bench; another radio or another seed is a bench with everything switched off. */
  set(setUp: VirtualSetUp): void {
    const isOther = setUp.seed !== this.setUp.seed || setUp.radioId !== this.setUp.radioId
    this.setUp = setUp
    if (isOther) this.instruments = this.stand()
  }

  async close(): Promise<void> {
    await Promise.all(this.servers.map(server => new Promise(resolve => server.close(resolve))))
  }

  private stand(): (place: Place) => ScpiInstrument {
    const { seed, radioId } = this.setUp
    const stand = virtualBench(seed).stand(radioId, () => this.setUp.setting)
    return ({ role, kind }) => stand.instrument(role, kind)
  }
}

/** Connections to one port at once. */
const MOST_CONNECTIONS = 16
let connections = 0

function serve(socket: Socket, instrument: () => ScpiInstrument): void {
  if (++connections > MOST_CONNECTIONS * VIRTUAL_PLACES.length) socket.destroy()
  socket.unref()
  socket.setNoDelay(true)
  let rest = ''
  socket.on('close', () => (connections -= 1))
  socket.on('error', () => socket.destroy())
  socket.on('data', data => {
    rest += data.toString('latin1')
    const lines = rest.split('\n')
    rest = lines.pop()!
    if (rest.length > LINK_LIMITS.lineCharacters) return void socket.destroy()
    for (const line of lines) {
      const answer = answered(instrument(), line.replace(/\r$/, ''))
      if (answer) socket.write(answer)
    }
  })
}

/** A fault of the bench itself must not take the server with it: the instrument falls silent, as a real one would. */
function answered(instrument: ScpiInstrument, line: string): Uint8Array | null {
  try {
    return instrument.receive(line)
  } catch {
    return null
  }
}
