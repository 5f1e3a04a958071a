import { HEAT_DEFAULTS } from '../chain'
import { UNKNOWN_DETECTION } from '../uncertainty'
import { DEFAULT_CALIBRATION_AGE_DAYS } from './newReview'

type Plain = Record<string, unknown>

/**
 * Brings a review of an older form up to the present one; anything else is returned as it is, for validation
 * to judge.
 * Form 1 knew one rulebook, no calibrations, no repeats and neither mode nor channel spacing; form 2 no
 * figures besides levels, no
 * key-downs, notes, pictures or order of its own, and neither who took a reading nor how warm it was; form 3
 * kept levels and figures apart, one chain a station, and consent and geometry as fields of set and settings;
 * form 4 knew no receivers: neither claims of them, nor what a generator was set to, nor paths that join; form 5 knew
 * neither how an analyser shows a level, nor what a meter feels, nor how well a gain is known; form 6 knew no clips;
 * form 7 neither publications nor own words on a sheet.
 */
export function migrateReview(data: unknown): unknown {
  return fromForm7(fromForm6(fromForm5(fromForm4(fromForm3(fromForm2(fromForm1(data)))))))
}

/** Form 7 knew neither publications nor own words on a sheet. */
function fromForm7(data: unknown): unknown {
  if (!isPlain(data) || data.clips === undefined || data.publications !== undefined) return data
  return { sheetWords: {}, ...data, publications: [] }
}

/** Form 6 knew no clips of sound. */
function fromForm6(data: unknown): unknown {
  if (!isPlain(data) || data.memos === undefined || data.clips !== undefined) return data
  return { ...data, clips: [] }
}

/** Form 5 knew neither how an analyser shows a level, nor what a meter feels, nor how well a gain is known. */
function fromForm5(data: unknown): unknown {
  if (!isPlain(data) || data.memos === undefined || !isOfForm5(data)) return data
  return {
    ...data,
    sets: each(data.sets, set => ({
      ...set,
      bands: each(set.bands, band => ({ antennaGainDoubtDb: null, ...band })),
    })),
    instruments: each(data.instruments, instrument => ({
      ...NEW_IN_FORM_6[String(instrument.kind)],
      ...instrument,
    })),
  }
}

const NEW_IN_FORM_6: Record<string, Plain> = {
  'power-meter': { sensor: 'unknown' },
  'spectrum-analyser': { scaleDbPer10Db: null, detection: { ...UNKNOWN_DETECTION } },
}

/** Anything of it lacks what form 6 brought. */
function isOfForm5({ sets, instruments }: Plain): boolean {
  const bands = listOf(sets).flatMap(set => (isPlain(set) ? listOf(set.bands) : []))
  return (
    bands.some(band => isPlain(band) && band.antennaGainDoubtDb === undefined) ||
    listOf(instruments).some(
      one =>
        isPlain(one) &&
        Object.keys(NEW_IN_FORM_6[String(one.kind)] ?? {}).some(field => one[field] === undefined),
    )
  )
}

function fromForm4(data: unknown): unknown {
  if (!isPlain(data) || !Array.isArray(data.readings) || data.memos === undefined) return data
  if (!isOfForm4(data)) return data
  return {
    ...data,
    sets: each(data.sets, set => ({
      readyFor: null,
      ...set,
      bands: each(set.bands, band => ({ receives: [], ...band })),
    })),
    chains: each(data.chains, chain => ({ joins: null, ...chain })),
    readings: each(data.readings, reading => ('applied' in reading ? reading : { ...reading, applied: {} })),
  }
}

/** Anything of it lacks what form 5 brought. */
function isOfForm4({ sets, chains, readings }: Plain): boolean {
  const lacks = (list: unknown, field: string) =>
    listOf(list).some(item => isPlain(item) && item[field] === undefined)
  return lacks(sets, 'readyFor') || lacks(chains, 'joins') || lacks(readings, 'applied')
}

function fromForm2(data: unknown): unknown {
  if (
    !isPlain(data) ||
    !isPlain(data.settings) ||
    !Array.isArray(data.readings) ||
    data.figures !== undefined ||
    data.memos !== undefined
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

/** The one role every station of form 3 had. */
const ONLY_ROLE = 'instrument'

function fromForm3(data: unknown): unknown {
  if (!isPlain(data) || !isPlain(data.settings) || !Array.isArray(data.readings)) return data
  if (data.memos !== undefined) return data
  const { figures, ...rest } = data
  const { offAirGeometry, ...settings } = data.settings
  return {
    ...rest,
    settings,
    sets: each(data.sets, ({ stressConsent: _consent, chainByStation, ...set }) => ({
      ...set,
      chains: byRole(chainByStation),
    })),
    readings: [...listOf(data.readings).map(levelOf), ...listOf(figures).map(figureOf)],
    memos: memosOf(data.sets, offAirGeometry),
  }
}

function byRole(chains: unknown): unknown {
  if (!isPlain(chains)) return chains ?? {}
  return Object.fromEntries(Object.entries(chains).map(([station, id]) => [station, { [ONLY_ROLE]: id }]))
}

function levelOf(reading: unknown): unknown {
  if (!isPlain(reading)) return reading
  const { value, unit, levelDbm, resolutionDb, isUpperBound, ...more } = reading
  const { frequencyHz, traceFloorDbm, doubt, repeatsDbm, ...left } = more
  const { chainId, chainRevision, calibrationIds, ...taken } = left
  const shown = { as: 'level', value, unit, levelDbm, resolutionDb, isUpperBound }
  return {
    ...taken,
    seen: { ...shown, frequencyHz, traceFloorDbm, doubt, repeatsDbm },
    through: { [ONLY_ROLE]: { chainId, chainRevision, calibrationIds } },
  }
}

function figureOf(figure: unknown): unknown {
  if (!isPlain(figure)) return figure
  const { value, unit, resolution, isUpperBound, standardUncertainty, noiseAdds, method, ...more } = figure
  const { chainId, chainRevision, ...taken } = more
  return {
    ...taken,
    seen: { as: 'figure', value, unit, resolution, isUpperBound, standardUncertainty, noiseAdds, method },
    through:
      typeof chainId === 'string'
        ? { [ONLY_ROLE]: { chainId, chainRevision: chainRevision ?? 1, calibrationIds: {} } }
        : {},
  }
}

function memosOf(sets: unknown, offAirGeometry: unknown): Plain {
  const consents = listOf(sets).flatMap((set): [string, unknown][] =>
    isPlain(set) && isPlain(set.stressConsent) ? [[String(set.id), set.stressConsent]] : [],
  )
  return {
    ...(typeof offAirGeometry === 'string' && offAirGeometry !== ''
      ? { 'off-air': { common: { geometry: offAirGeometry }, bySet: {} } }
      : {}),
    ...(consents.length > 0 ? { stress: { common: null, bySet: Object.fromEntries(consents) } } : {}),
  }
}

function listOf(value: unknown): unknown[] {
  return Array.isArray(value) ? value : []
}
