import { readFileSync } from 'node:fs'
import { gunzipSync } from 'node:zlib'

type Plain = Record<string, unknown>
interface OldReview extends Plain {
  settings: Plain
  sets: (Plain & { bands: Plain[] })[]
  instruments: Plain[]
  chains: (Plain & { parts: (Plain & { lossUncertainty: Plain })[] })[]
  readings: Plain[]
}

/** A fixture that was written by an earlier version. */
export function fixture<T>(name: string): T {
  const bytes = readFileSync(`tests/fixtures/${name}.json.gz`)
  return JSON.parse(gunzipSync(bytes).toString()) as T
}

/** The demo review as version 0.3 wrote it: form 3. */
export function formThree(): OldReview {
  return fixture<OldReview>('demo-form3')
}

const without = (value: Plain, ...keys: string[]): Plain =>
  Object.fromEntries(Object.entries(value).filter(([key]) => !keys.includes(key)))

/** The same as form 2 wrote it: without what came later. */
export function formTwo(): OldReview {
  const review = formThree()
  return {
    ...without(review, 'figures', 'curves', 'keyDowns', 'notes', 'pictures', 'skipped', 'runOrder'),
    settings: without(review.settings, 'offAirGeometry', 'soundCue', 'alsoStations'),
    sets: review.sets.map(set => ({
      ...without(set, 'stressConsent'),
      bands: set.bands.map(band => without(band, 'alsoSpacingsHz')),
    })),
    instruments: review.instruments
      .filter(({ kind }) => kind !== 'receiver')
      .map(instrument => without(instrument, 'referencePpm')),
    chains: review.chains.filter(({ instrumentId }) => instrumentId !== 'receiver'),
    readings: review.readings.map(reading => without(reading, 'ambientC', 'who')),
  }
}

/** The same as form 1 wrote it. */
export function formOne(): OldReview {
  const review = formTwo()
  const { rulebookIds, ...settings } = without(review.settings, 'calibrationMaxAgeDays', 'ambientC', 'duty')
  return {
    ...without(review, 'calibrations', 'calibrationSwaps', 'padTests', 'controlChecks', 'otherFigures'),
    settings: { ...settings, rulebookId: (rulebookIds as string[])[0] },
    sets: review.sets.map(set => ({
      ...set,
      bands: set.bands.map(band =>
        without(band, 'mode', 'channelSpacingHz', 'antennaGainDbd', 'rulebookIds'),
      ),
    })),
    instruments: review.instruments.map(instrument => without(instrument, 'flatnessDb')),
    chains: review.chains.map(chain => ({
      ...chain,
      parts: chain.parts.map(part => ({
        ...without(part, 'zeroRatingAtC', 'peakW', 'typical', 'calibrationId'),
        lossUncertainty: without(part.lossUncertainty, 'shareOfLoss', 'flatnessDb'),
      })),
    })),
    readings: review.readings.map(reading => without(reading, 'calibrationIds', 'repeatsDbm')),
  }
}
