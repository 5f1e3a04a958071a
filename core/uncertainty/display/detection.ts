import type { DisplayLaw } from './displayLaw'

/** What a display may show of many looks. */
export const DISPLAYS = ['unknown', 'mean', 'sample', 'logarithm', 'highest'] as const
/** What a display shows of many looks; unknown is an answer. */
export type Display = (typeof DISPLAYS)[number]

/** How an analyser, or a trace of one, makes one level of many looks. */
export interface Detection {
  shows: Display
  /** Sweeps or looks that are averaged, or of which the highest is held; null where nobody knows. */
  looks: number | null
}

/** Nobody knows. */
export const UNKNOWN_DETECTION: Detection = Object.freeze({ shows: 'unknown', looks: null })

/** Looks in a mean power where nobody says how many (assumed). */
export const ASSUMED_MEAN_OF = 100
/** The same of a logarithmic average. */
const ASSUMED_LOOKS = { mean: ASSUMED_MEAN_OF, logarithm: 10 } as const
/** The highest of so many, where nobody says of how many (assumed): a few, or what a display held for a minute. */
const HIGHEST_OF = [2, 100] as const

/** The laws a display may follow: one where it is known, several where it is not. */
export function lawsOf({ shows, looks }: Detection): readonly DisplayLaw[] {
  switch (shows) {
    case 'mean':
    case 'logarithm':
      return [{ shows, looks: looks ?? ASSUMED_LOOKS[shows] }]
    case 'sample':
      return [{ shows: 'highest', looks: 1 }]
    case 'highest':
      return (looks === null ? HIGHEST_OF : [looks]).map(each => ({ shows, looks: each }))
    case 'unknown':
      return (['sample', 'mean', 'logarithm', 'highest'] as const).flatMap(each =>
        lawsOf({ shows: each, looks: null }),
      )
  }
}
