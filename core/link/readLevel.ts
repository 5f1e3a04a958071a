import type { Instrument } from '../chain'
import { phrasebooks } from './phrasebook/shipped'
import type { Phrasebook, SpokenKind } from './phrasebook/types'
import { type InstrumentLine, speak, type SpeechResult, type Spoken } from './speak'

/** The plain phrasebook of a kind. */
export function plainBook(kind: SpokenKind): Phrasebook {
  return phrasebooks.find(book => book.kind === kind)!
}

/** How wide an analyser looks for a line, Hz: an instrument’s reference and the radio may both be a little off. */
const SPAN_HZ = 100e3
const USUAL_BANDWIDTH_HZ = 10e3

/** How the level at a frequency is asked of an instrument: the phrase, and what stands in it. */
export function levelQuestion(
  instrument: Instrument,
  frequencyHz: number,
): { name: 'read-power' | 'read-level-at'; values: Spoken } {
  if (instrument.kind === 'power-meter') return { name: 'read-power', values: { frequencyHz } }
  const bandwidthHz =
    instrument.kind === 'spectrum-analyser' ? instrument.resolutionBandwidthHz : USUAL_BANDWIDTH_HZ
  return { name: 'read-level-at', values: { frequencyHz, spanHz: SPAN_HZ, bandwidthHz } }
}

/** Asks an instrument for the level at a frequency, dBm as it shows it. */
export function readLevel(
  line: InstrumentLine,
  { book, instrument, frequencyHz }: { book: Phrasebook; instrument: Instrument; frequencyHz: number },
): Promise<SpeechResult> {
  return speak(line, { book, ...levelQuestion(instrument, frequencyHz) })
}
