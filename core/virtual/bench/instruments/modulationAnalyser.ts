import { SCPI_ERRORS } from '../../../link'
import { gaussian } from '../../simulatedPath'
import { seededRandom } from '../../seededRandom'
import { asWritten, numberIn } from '../arguments'
import { InstrumentError, type ScpiInstrument, scpiInstrument } from '../scpiInstrument'
import { seedOf } from '../seedOf'
import type { InstrumentPlace } from './place'

/** How far its scale may be off, parts of one, and what one reading scatters. */
const SCALE = 0.01
const SCATTER = 0.002

/** An analyser of modulation: how far a keyed carrier swings at its peaks. */
export function modulationAnalyser(place: InstrumentPlace): ScpiInstrument {
  const random = seededRandom(seedOf(`${place.seed}:modulation`))
  const scale = 1 + SCALE * (2 * random() - 1)
  return scpiInstrument({
    identity: 'VIRTUAL BENCH,MODULATION ANALYSER,0,1',
    reset: () => undefined,
    commands: {
      '[SENSe:]FREQuency': args => void numberIn(args, { from: 1, to: 1e12 }),
      'MEASure:FM[:DEViation]?': () => {
        const does = place.does()
        if (does.is !== 'keyed') throw new InstrumentError(SCPI_ERRORS.noSignal)
        const swingHz = place.radio().deviationHz(does.keyed)
        return asWritten(swingHz * scale * (1 + SCATTER * gaussian(random)))
      },
    },
  })
}
