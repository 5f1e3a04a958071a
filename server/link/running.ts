import { type AllowedInstrument, allowedInstruments } from './allowList'
import { LINK_LIMITS } from './limits'
import { LinkService } from './linkService'
import { VirtualPorts } from './virtualPorts'

/** The link of this server, made once. */
export interface RunningLink {
  service: LinkService
  /** null where the virtual bench is switched off. */
  virtual: VirtualPorts | null
  /** Other names this server is reached under. */
  hosts: ReadonlySet<string>
  /** What of the settings could not be read; the rest stands. */
  complaint: string | null
}

/** Settings of whoever runs the server. */
export interface LinkSettings {
  /** `name|kind|host:port`, several with commas. */
  RIGOROUS_METER_INSTRUMENTS?: string
  /** Names the page may be opened under besides localhost, with commas. */
  RIGOROUS_METER_HOSTS?: string
  /** `off`, or the first port of the virtual bench. */
  RIGOROUS_METER_BENCH?: string
}

/** Opens the virtual bench and reads which instruments are allowed. */
export async function startLink(settings: LinkSettings): Promise<RunningLink> {
  const bench = settings.RIGOROUS_METER_BENCH ?? ''
  const { own, complaint } = ownInstruments(settings.RIGOROUS_METER_INSTRUMENTS ?? '')
  const opened = await portsOf(bench)
  const hosts = (settings.RIGOROUS_METER_HOSTS ?? '').split(',').map(host => host.trim().toLowerCase())
  return {
    service: new LinkService([...opened.ports, ...own]),
    virtual: opened.virtual,
    hosts: new Set(hosts.filter(host => host !== '')),
    complaint: [complaint, opened.complaint].filter(Boolean).join(' ') || null,
  }
}

/** A port that is taken costs the virtual bench, not the server. */
async function portsOf(
  bench: string,
): Promise<{ virtual: VirtualPorts | null; ports: readonly AllowedInstrument[]; complaint: string | null }> {
  if (bench === 'off') return { virtual: null, ports: [], complaint: null }
  const virtual = new VirtualPorts()
  try {
    return { virtual, ports: await virtual.open(Number(bench) || 0), complaint: null }
  } catch {
    await virtual.close()
    return {
      virtual: null,
      ports: [],
      complaint: `The virtual bench has no ports: one from ${bench} on is taken.`,
    }
  }
}

/** Entry by entry: one that cannot be read costs only itself, and is told of. */
function ownInstruments(text: string): { own: AllowedInstrument[]; complaint: string | null } {
  const complaints: string[] = []
  const own = text.split(',').flatMap((entry, i) => {
    try {
      return allowedInstruments(entry).map(one => ({ ...one, id: `own-${i + 1}` }))
    } catch (error) {
      complaints.push(error instanceof Error ? error.message : String(error))
      return []
    }
  })
  if (own.length > LINK_LIMITS.instruments)
    complaints.push(`More than ${LINK_LIMITS.instruments} instruments are named: the first of them stand.`)
  return { own: own.slice(0, LINK_LIMITS.instruments), complaint: complaints.join(' ') || null }
}

let running: Promise<RunningLink> | null = null

/** The link of this process. */
export function theLink(): Promise<RunningLink> {
  const { RIGOROUS_METER_INSTRUMENTS, RIGOROUS_METER_HOSTS, RIGOROUS_METER_BENCH } = process.env
  running ??= startLink({ RIGOROUS_METER_INSTRUMENTS, RIGOROUS_METER_HOSTS, RIGOROUS_METER_BENCH })
  return running
}
