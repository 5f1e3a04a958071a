import { dbmFromWatts } from '../../../quantity'
import { SCPI_ERRORS } from '../../../link'
import { displayedMeterDbm } from '../../simulatedDisplay'
import { gaussian } from '../../simulatedPath'
import { seededRandom } from '../../seededRandom'
import { asWritten, numberIn } from '../arguments'
import { type CommandRun, InstrumentError, type ScpiInstrument, scpiInstrument } from '../scpiInstrument'
import { seedOf } from '../seedOf'
import { arrivingDbm, isOf } from '../truth'
import type { InstrumentPlace } from './place'

/** What it shows where nothing comes, dBm. */
const NOTHING_DBM = -90

/** What one reading scatters about the next, dB. */
const SCATTER_DB = 0.002

/** A power meter: shows what arrives, in dBm or watts. */
export function powerMeter(place: InstrumentPlace): ScpiInstrument {
  const random = seededRandom(seedOf(`${place.seed}:meter`))
  let unit: 'DBM' | 'W' = 'DBM'
  const read: CommandRun = () => {
    const plug = place.plug(place.role)
    const does = place.does()
    if (does.is !== 'keyed' || !isOf(plug, 'power-meter'))
      return unit === 'W' ? asWritten(0) : asWritten(NOTHING_DBM)
    const levelDbm = place.radio().carrierDbm(does.keyed)
    const inputDbm = arrivingDbm(place, plug, { levelDbm, frequencyHz: does.keyed.carrierHz })
    const { instrument, chain } = plug
    if (inputDbm > dbmFromWatts(instrument.maxInputW))
      place.damage(
        `${instrument.name}: it got ${inputDbm.toFixed(1)} dBm and bears ${instrument.maxInputW} W`,
      )
    if (place.isDamaged(instrument.name))
      throw new InstrumentError({ code: -240, words: 'Hardware error; input damaged' })
    // What a meter’s scale is off by is the same whenever it is looked at: only what is left of it scatters.
    const scale = seededRandom(seedOf(`${place.seed}:${instrument.id}:scale`))()
    const scattered = inputDbm + SCATTER_DB * gaussian(random)
    const shownDbm = displayedMeterDbm(instrument, scattered, () => scale) + chain.offsetOnInstrumentDb
    return asWritten(unit === 'W' ? 10 ** ((shownDbm - 30) / 10) : shownDbm)
  }
  return scpiInstrument({
    identity: 'VIRTUAL BENCH,POWER METER,0,1',
    reset: () => (unit = 'DBM'),
    commands: {
      'UNIT:POWer': ([name = '']) => {
        const upper = name.toUpperCase()
        if (upper !== 'DBM' && upper !== 'W') throw new InstrumentError(SCPI_ERRORS.dataType)
        unit = upper
      },
      '[SENSe:]FREQuency': args => void numberIn(args, { from: 1, to: 1e12 }),
      'MEASure[:POWer][:AC]?': read,
      'READ?': read,
    },
  })
}
