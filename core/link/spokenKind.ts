import type { Instrument } from '../chain'
import type { SpokenKind } from './phrasebook/types'

/** As what the instruments of a review are spoken to. */
const SPOKEN: Partial<Record<Instrument['kind'], SpokenKind>> = {
  'power-meter': 'power-meter',
  'spectrum-analyser': 'spectrum-analyser',
  'signal-generator': 'signal-generator',
  'audio-meter': 'audio-analyser',
  'ac-voltmeter': 'audio-analyser',
  'antenna-analyser': 'antenna-analyser',
}

/** As what an instrument is spoken to; null where nothing of the kind can be. */
export function spokenKindOf({ kind }: Pick<Instrument, 'kind'>): SpokenKind | null {
  return SPOKEN[kind] ?? null
}
