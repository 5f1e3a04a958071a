import { reflectionFromVswr } from '../../../quantity'
import { seededRandom } from '../../seededRandom'
import { asWritten, numberIn } from '../arguments'
import { type ScpiInstrument, scpiInstrument } from '../scpiInstrument'
import { seedOf } from '../seedOf'
import { isOf } from '../truth'
import type { InstrumentPlace } from './place'

/** Directivity where nobody says, dB. */
const USUAL_DIRECTIVITY_DB = 25

/** An antenna analyser: the VSWR of what hangs on it, as its bridge sees it. */
export function antennaAnalyser(place: InstrumentPlace): ScpiInstrument {
  let frequencyHz = 100e6
  const middleHz = (): number => {
    const does = place.does()
    if (does.is === 'keyed') return does.keyed.carrierHz
    return does.is === 'hears' ? does.channelHz : frequencyHz
  }
  const vswr = (): number => {
    const plug = place.plug(place.role)
    const directivityDb = isOf(plug, 'antenna-analyser')
      ? plug.instrument.directivityDb
      : USUAL_DIRECTIVITY_DB
    // Whatever leaks through the bridge stands at the same angle at one frequency.
    const angle = 2 * Math.PI * seededRandom(seedOf(`${place.seed}:bridge:${frequencyHz}`))()
    const leak = 10 ** (-directivityDb / 20)
    const truth = reflectionFromVswr(place.radio().antennaVswr(frequencyHz, middleHz()))
    const seen = Math.min(0.999, Math.hypot(truth + leak * Math.cos(angle), leak * Math.sin(angle)))
    return (1 + seen) / (1 - seen)
  }
  return scpiInstrument({
    identity: 'VIRTUAL BENCH,ANTENNA ANALYSER,0,1',
    reset: () => undefined,
    commands: {
      '[SENSe:]FREQuency': args => void (frequencyHz = numberIn(args, { from: 1, to: 1e12 })),
      'MEASure:SWR?': () => asWritten(vswr()),
    },
  })
}
