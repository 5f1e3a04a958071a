import {
  analyser,
  type BenchMeter,
  between,
  clause,
  dbmOf,
  level,
  meter,
  pad,
  path,
  reviewOf,
  wattsOf,
} from '../bench'
import { CARRIER_HZ } from '../bench'
import { diodeReadsDb, type HarmonicBeside, heatReadsDb } from '../diodeMeter'
import type { PhysicalKind, Trial } from '../physicalStudy'
import { arrivesDbm, AT_CARRIER, trueLosses } from './socket'

interface Metering {
  id: string
  title: string
  told: string
  reads: 'diode' | 'heat'
  sensor: BenchMeter['sensor']
  /** Whether the harmonics were read at the same step. */
  isRead: boolean
  widerIsFair?: boolean
}

const METERING: readonly Metering[] = [
  {
    id: 'meter-diode',
    title: 'Diode meter, harmonics 18 to 30 dB down, read',
    told: 'a diode',
    reads: 'diode',
    sensor: 'diode',
    isRead: true,
  },
  {
    id: 'meter-diode-unread',
    title: 'Meter of unknown kind with a diode in it, a harmonic 20 to 26 dB down, not read',
    told: 'nothing',
    reads: 'diode',
    sensor: 'unknown',
    isRead: false,
    widerIsFair: true,
  },
  {
    id: 'meter-thermal',
    title: 'Thermal meter, harmonics 18 to 30 dB down, read',
    told: 'thermal',
    reads: 'heat',
    sensor: 'thermal',
    isRead: true,
  },
]

/** Power meters on a carrier with harmonics. */
export const meterKinds: readonly PhysicalKind[] = METERING.map(
  ({ id, title, told, widerIsFair = false, ...metering }): PhysicalKind => ({
    id,
    stationId: 'carrier-power',
    title,
    told,
    widerIsFair,
    draw: random => meterTrial(metering, random),
  }),
)

function meterTrial(
  { reads, sensor, isRead }: Pick<Metering, 'reads' | 'sensor' | 'isRead'>,
  random: () => number,
): Trial {
  const instrument = meter({ sensor, inLine: reads === 'diode' })
  const spectrum = analyser()
  const [toMeter, toAnalyser] = [path(instrument), path(spectrum, [pad('pad', { lossDb: 50 })])]
  const harmonics: HarmonicBeside[] = isRead
    ? [2, 3].map(n => ({ n, downDb: between(random, 18, 30) }))
    : [{ n: random() < 0.5 ? 2 : 3, downDb: between(random, 20, 26) }]
  const carrierDbm = dbmOf(between(random, 1, 6))
  const arrives = arrivesDbm(
    carrierDbm,
    { parts: [], source: AT_CARRIER, vswr: instrument.vswr },
    trueLosses([], random),
    random,
  )
  const added = reads === 'diode' ? diodeReadsDb(harmonics, random) : heatReadsDb(harmonics)
  const shown = arrives + added - 10 * Math.log10(1 + between(random, -0.02, 0.02))
  const seen = [{ n: 1, downDb: 0 }, ...harmonics].map(({ n, downDb }) =>
    level(
      { stationId: 'harmonics', slot: `x${n}`, chain: toAnalyser },
      { levelDbm: carrierDbm - downDb - 50 + between(random, -0.6, 0.6), frequencyHz: n * CARRIER_HZ },
    ),
  )
  return {
    slot: 'carrier',
    reviewAt: byDb =>
      reviewOf({
        clause: clause({ kind: 'absolute', powerW: wattsOf(carrierDbm + byDb) }, { about: 'carrier-power' }),
        instruments: [instrument, spectrum],
        chains: [toMeter, toAnalyser],
        readings: [
          level({ stationId: 'carrier-power', slot: 'carrier', chain: toMeter }, { levelDbm: shown }),
          ...(isRead ? seen : []),
        ],
      }),
  }
}
