import type { DeviationFound } from './deviationFound'

/** What of a deviation its words rest on. */
export type DeviationFacts = Pick<
  DeviationFound,
  'driftHz' | 'carrierUncertaintyHz' | 'boundBy' | 'carrierToNoiseDb' | 'channelHalfHz' | 'audioLowPassHz'
>

/** What is said whatever the way: the filters, a drift, why it is only a bound. */
export function besidesWords(common: DeviationFacts): string {
  const { driftHz, carrierUncertaintyHz, boundBy, carrierToNoiseDb: aboveDb } = common
  return [
    filterWords(common),
    ...(Math.abs(driftHz) > Math.max(1, carrierUncertaintyHz)
      ? [`The carrier drifted by ${Math.round(driftHz)} Hz; that is taken out of the swing.`]
      : []),
    ...(boundBy === 'clicks'
      ? [
          `The carrier stands only ${aboveDb.toFixed(0)} dB above the noise in its channel, ` +
            'where a discriminator clicks: at most this.',
        ]
      : []),
    ...(boundBy === 'clipping' ? ['The recording is clipped: at most this.'] : []),
  ].join(' ')
}

function filterWords(filter: Pick<DeviationFound, 'channelHalfHz' | 'audioLowPassHz'>): string {
  return `Channel filter ±${khz(filter.channelHalfHz)}, audio low-pass ${khz(filter.audioLowPassHz)}.`
}

/** A length of time in words. */
export function secondsWords(seconds: number): string {
  return `${seconds < 10 ? seconds.toFixed(2) : seconds.toFixed(0)} s`
}

function khz(hz: number): string {
  return `${Number((hz / 1e3).toFixed(1))} kHz`
}
