/** What a clause speaks of. */
export const QUANTITIES = [
  'unwanted',
  'adjacent-power',
  'carrier-power',
  'power-tolerance',
  'frequency-error',
  'deviation',
  'occupied-bandwidth',
  'sensitivity',
  'co-channel',
  'adjacent-selectivity',
  'spurious-response',
  'intermodulation',
  'blocking',
  'hysteresis',
  'time-out',
] as const
/** What a clause may speak of. */
export type Quantity = (typeof QUANTITIES)[number]

/**
 * Ways to come to a figure of a receiver: figures that were come by differently are different quantities, and a
 * clause speaks of one of them.
 */
export const RECEIVER_METHODS = [
  'sinad-12',
  'sinad-20',
  'sinad-20-psophometric',
  'sinad-10',
  'snr-10',
  'quieting-20',
  'tia-603',
  'en-300-086',
] as const
/** A way to come to a figure of a receiver. */
export type ReceiverMethod = (typeof RECEIVER_METHODS)[number]

/** The ways as words name them. */
export const RECEIVER_METHOD_TITLES: Record<ReceiverMethod, string> = {
  'sinad-12': '12 dB SINAD',
  'sinad-20': '20 dB SINAD',
  'sinad-20-psophometric': '20 dB SINAD, psophometric',
  'sinad-10': '10 dB SINAD',
  'snr-10': '10 dB (S+N)/N',
  'quieting-20': '20 dB quieting',
  'tia-603': 'the method of TIA-603',
  'en-300-086': 'the method of EN 300 086',
}

/** What is come by in more than one way. */
export const QUANTITIES_BY_METHOD: readonly Quantity[] = [
  'sensitivity',
  'co-channel',
  'adjacent-selectivity',
  'spurious-response',
  'intermodulation',
  'blocking',
]
