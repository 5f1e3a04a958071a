import { channelWidthHz } from '../../../hearing'
import { phaseNoiseAt } from '../../../chain'
import type { RoleId } from '../../../review'
import { gaussian } from '../../simulatedPath'
import { seededRandom } from '../../seededRandom'
import { asWritten } from '../arguments'
import { type Arriving, heardSinad } from '../hearing'
import { type ScpiInstrument, scpiInstrument } from '../scpiInstrument'
import { seedOf } from '../seedOf'
import type { RadioDoes } from '../setting'
import { arrivingDbm, isOf } from '../truth'
import type { InstrumentPlace } from './place'

/** What one reading scatters about the truth, dB: more where clicks come and go. */
const SCATTER_DB = { steady: 0.1, clicking: 0.3 } as const
const CLICKING_BELOW_DB = 15
/** Volts of a tone at the speaker, the volume in the middle. */
const TONE_V = 0.5

type Hears = RadioDoes & { is: 'hears' }

/** An audio analyser at the speaker: SINAD, and volts; nothing while the squelch is shut. */
export function audioAnalyser(
  place: InstrumentPlace,
  roles: { wanted: RoleId; interferer: RoleId },
): ScpiInstrument {
  const random = seededRandom(seedOf(`${place.seed}:audio`))
  let isOpen = false

  /** What a generator at a role sends into the radio. */
  function arriving(role: RoleId, does: Hears): Arriving | null {
    const plug = place.plug(role)
    const output = place.output(role)
    if (!output || !isOf(plug, 'signal-generator')) return null
    const { dbcPerHz } = phaseNoiseAt(plug.instrument, does.spacingHz)
    return {
      levelDbm: arrivingDbm(place, plug, output),
      offsetHz: output.frequencyHz - does.channelHz,
      noiseBelowDb:
        role === roles.interferer ? -dbcPerHz - 10 * Math.log10(channelWidthHz(does.spacingHz)) : null,
    }
  }

  /** SINAD of what is heard; null while nothing is. */
  function sinad(): number | null {
    const does = place.does()
    if (does.is !== 'hears') return null
    const { hearing } = place.radio()
    const wanted = arriving(roles.wanted, does)
    const levelDbm = wanted?.levelDbm ?? -Infinity
    isOpen = levelDbm >= hearing.squelchDbm[isOpen ? 'close' : 'open']
    if (!does.squelchIsOpen && !isOpen) return null
    const { spacingHz } = does
    const trueDb = heardSinad(hearing, { wanted, interferer: arriving(roles.interferer, does), spacingHz })
    const scatter = trueDb < CLICKING_BELOW_DB ? SCATTER_DB.clicking : SCATTER_DB.steady
    return Math.max(0, trueDb + scatter * gaussian(random))
  }

  return scpiInstrument({
    identity: 'VIRTUAL BENCH,AUDIO ANALYSER,0,1',
    reset: () => undefined,
    commands: {
      'MEASure:SINad?': () => asWritten(sinad() ?? 0),
      'MEASure[:VOLTage][:AC]?': () => asWritten(sinad() === null ? 0 : TONE_V),
    },
  })
}
