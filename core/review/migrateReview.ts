import { HEAT_DEFAULTS } from '../chain'
import { DEFAULT_CALIBRATION_AGE_DAYS } from './newReview'

type Plain = Record<string, unknown>

/**
 * Brings a review of an older form up to the present one; anything else is returned as it is, for validation
 * to judge.
 * Form 1 knew one rulebook, no calibrations, no repeats and neither mode nor channel spacing; form 2 no
 * figures besides levels, no
 * key-downs, notes, pictures or order of its own, and neither who took a reading nor how warm it was.
 */
export function migrateReview(data: unknown): unknown {
  return fromForm2(fromForm1(data))
}

function fromForm2(data: unknown): unknown {
  if (
    !isPlain(data) ||
    !isPlain(data.settings) ||
    !Array.isArray(data.readings) ||
    data.figures !== undefined
  )
    return data
  return {
    ...data,
    settings: { offAirGeometry: '', soundCue: false, alsoStations: [], ...data.settings },
    sets: each(data.sets, set => ({
      stressConsent: null,
      ...set,
      bands: each(set.bands, band => ({ alsoSpacingsHz: [], ...band })),
    })),
    instruments: each(data.instruments, instrument => ({ referencePpm: null, ...instrument })),
    readings: each(data.readings, reading => ({ ambientC: null, who: '', ...reading })),
    figures: [],
    curves: [],
    keyDowns: [],
    notes: [],
    pictures: [],
    skipped: [],
    runOrder: [],
  }
}

function fromForm1(data: unknown): unknown {
  if (!isPlain(data) || !isPlain(data.settings) || typeof data.settings.rulebookId !== 'string') return data
  const { rulebookId, ...settings } = data.settings
  return {
    ...data,
    settings: {
      ...settings,
      rulebookIds: [rulebookId],
      calibrationMaxAgeDays: DEFAULT_CALIBRATION_AGE_DAYS,
      ambientC: HEAT_DEFAULTS.ambientC,
      duty: { ...HEAT_DEFAULTS.duty },
    },
    sets: each(data.sets, set => ({
      ...set,
      bands: each(set.bands, band => ({
        mode: 'FM',
        channelSpacingHz: null,
        antennaGainDbd: null,
        rulebookIds: null,
        ...band,
      })),
    })),
    instruments: each(data.instruments, instrument =>
      instrument.kind === 'spectrum-analyser' ? { flatnessDb: null, ...instrument } : instrument,
    ),
    chains: each(data.chains, chain => ({
      ...chain,
      parts: each(chain.parts, part => ({
        zeroRatingAtC: null,
        peakW: null,
        typical: false,
        calibrationId: null,
        ...part,
        lossUncertainty: {
          shareOfLoss: 0,
          flatnessDb: null,
          ...(isPlain(part.lossUncertainty) ? part.lossUncertainty : {}),
        },
      })),
    })),
    readings: each(data.readings, reading => ({ calibrationIds: {}, repeatsDbm: [], ...reading })),
    calibrations: [],
    calibrationSwaps: [],
    padTests: [],
    controlChecks: [],
    otherFigures: [],
    ownRulebooks: [],
  }
}

function isPlain(value: unknown): value is Plain {
  return typeof value === 'object' && value !== null && !Array.isArray(value)
}

function each(list: unknown, change: (item: Plain) => Plain): unknown {
  return Array.isArray(list) ? list.map((item: unknown) => (isPlain(item) ? change(item) : item)) : list
}
