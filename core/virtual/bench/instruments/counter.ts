import { SCPI_ERRORS } from '../../../link'
import { seededRandom } from '../../seededRandom'
import { asWritten } from '../arguments'
import { InstrumentError, type ScpiInstrument, scpiInstrument } from '../scpiInstrument'
import { seedOf } from '../seedOf'
import type { InstrumentPlace } from './place'

/** How far the reference of the bench’s counter may be off, parts per million. */
const REFERENCE_PPM = 0.1

/** A counter: where the carrier stands, by its own reference. */
export function counter(place: InstrumentPlace): ScpiInstrument {
  const ppm = REFERENCE_PPM * (2 * seededRandom(seedOf(`${place.seed}:counter`))() - 1)
  return scpiInstrument({
    identity: 'VIRTUAL BENCH,COUNTER,0,1',
    reset: () => undefined,
    commands: {
      'MEASure[:FREQuency]?': () => {
        const does = place.does()
        if (does.is !== 'keyed') throw new InstrumentError(SCPI_ERRORS.noSignal)
        return asWritten(Math.round(place.radio().carrierHz(does.keyed) * (1 - ppm * 1e-6)), 10)
      },
    },
  })
}
