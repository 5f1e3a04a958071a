import { seededRandom } from '../../seededRandom'
import { asWritten } from '../arguments'
import { type ScpiInstrument, scpiInstrument } from '../scpiInstrument'
import { seedOf } from '../seedOf'
import type { InstrumentPlace } from './place'

/** What an ammeter of a supply scatters, parts of one. */
const SCATTER = 0.002

/** A supply with its meters: volts, and what the radio draws. */
export function supply(place: InstrumentPlace): ScpiInstrument {
  const random = seededRandom(seedOf(`${place.seed}:supply`))
  const scattered = (value: number) => value * (1 + SCATTER * (2 * random() - 1))
  const amperes = (): number => {
    const { currents } = place.radio()
    const does = place.does()
    switch (does.is) {
      case 'off':
        return 0
      case 'keyed':
        return currents.keyedA(does.keyed)
      case 'hears':
        return does.squelchIsOpen ? currents.receivingA : currents.standbyA
    }
  }
  return scpiInstrument({
    identity: 'VIRTUAL BENCH,SUPPLY,0,1',
    reset: () => undefined,
    commands: {
      'MEASure[:VOLTage][:DC]?': () => asWritten(scattered(place.radio().supplyV)),
      'MEASure:CURRent[:DC]?': () => asWritten(scattered(amperes())),
    },
  })
}
