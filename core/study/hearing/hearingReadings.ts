import type { Reading } from '../../review'
import { GENERATOR } from '../../station'
import { seenFigure } from '../../step'

const AT = '2026-11-24T00:00:00.000Z'

/** A level as a generator of the study shows it. */
export function shownLevel(levelDbm: number, frequencyHz: number) {
  return {
    as: 'level' as const,
    value: levelDbm,
    unit: 'dBm' as const,
    levelDbm,
    resolutionDb: 0,
    isUpperBound: false,
    frequencyHz,
    traceFloorDbm: null,
    doubt: null,
    repeatsDbm: [],
  }
}

/** Where a reading of the study belongs, and what the generators were set to. */
export interface StudyPlace {
  stationId: string
  slot: string
  /** Chains by role. */
  chains: Readonly<Record<string, string>>
  /** Levels set beside it, dBm. */
  setDbm?: number
  frequencyHz: number
  instrumentId: string | null
}

function taken(place: StudyPlace): Omit<Reading, 'seen' | 'text'> {
  const through = Object.fromEntries(
    Object.entries(place.chains).map(([role, chainId]) => [
      role,
      { chainId, chainRevision: 1, calibrationIds: {} },
    ]),
  )
  return {
    id: `${place.stationId}:${place.slot}`,
    setId: 'set',
    stationId: place.stationId,
    stepId: `${place.stationId}:2m:c:high`,
    slot: place.slot,
    instrumentId: place.instrumentId,
    through,
    applied: place.setDbm === undefined ? {} : { [GENERATOR]: shownLevel(place.setDbm, place.frequencyHz) },
    supply: '',
    ambientC: null,
    who: '',
    at: AT,
    source: { kind: 'typed' },
    supersedes: null,
  }
}

/** A SINAD as the application keeps it. */
export function sinadReading(place: StudyPlace, heard: { sinadDb: number; scatterDb: number }): Reading {
  const seen = seenFigure({
    value: Number(heard.sinadDb.toFixed(1)),
    unit: 'dB',
    resolution: 0.1,
    standardUncertainty: heard.scatterDb,
  })
  return { ...taken(place), text: '', seen }
}

/** A level a generator was turned to. */
export function levelReading(place: StudyPlace, levelDbm: number): Reading {
  return { ...taken(place), text: '', seen: shownLevel(levelDbm, place.frequencyHz) }
}
