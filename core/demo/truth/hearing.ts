import type { VirtualHearing } from '../../virtual'

/** What an invented receiver hears on one band; what is not there the bench’s seed decides. */
export interface HearingTruth extends Partial<Omit<VirtualHearing, 'equalDbm' | 'gainDb'>> {
  equalDbm: number
  gainDb: number
}

/** What the demo’s receivers truly hear, by set (invented). */
export const hearingTruth: Readonly<Record<string, HearingTruth>> = {
  'trek-a': {
    equalDbm: -129.3,
    gainDb: 6,
    tunedHz: 50,
    squelchDbm: { open: -123.9, close: -127.4 },
    rejectionDb: { lower: 46.8, upper: 45.1 },
    blockingDb: { below: 72.4, above: 71.1 },
  },
  'trek-b': { equalDbm: -124.7, gainDb: 6, tunedHz: 50 },
  mini: { equalDbm: -127.8, gainDb: 5, tunedHz: 50 },
  c1: { equalDbm: -131.2, gainDb: 7, tunedHz: 50, squelchDbm: { open: -127.2, close: -131.8 } },
}
