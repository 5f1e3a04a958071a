import {
  ASSUMED_REVERSE_W,
  type Chain,
  type Instrument,
  type LevelStairs,
  levelStairs,
  levelStairsFromWatts,
  type SignalGenerator,
  type Stair,
} from '#core/chain'
import { dbmFromWatts, printDbm, printSigned } from '#core/quantity'

export interface StaircaseInput {
  chain: Chain
  instrument: Instrument | undefined
  carrierHz: number
  powerW: number
  limitDbm: number | null
  width: number
  height: number
}

export interface StaircaseZone {
  id: 'damage' | 'overload' | 'well' | 'noise'
  label: string
  x: number
  y: number
  width: number
  height: number
  labelY: number
}

export interface StaircaseDrawing {
  startDbm: number
  atInstrumentDbm: number | null
  stairs: Stair[]
  carrierPath: string
  limitPath: string | null
  carrierEnd: { x: number; y: number } | null
  limitEnd: { x: number; y: number } | null
  carrierLabelY: number
  limitLabelY: number | null
  zones: StaircaseZone[]
  gridLines: { levelDbm: number; y: number; label: string }[]
  spoken: string
}

const LEFT = 46
const TOP = 14
const BOTTOM = 26

/** Lays out the level staircase in pixels; columns match the row of parts above it. */
export function buildStaircase(input: StaircaseInput): StaircaseDrawing {
  const { chain, instrument, carrierHz, powerW, limitDbm, width, height } = input
  const carrier = levelStairsFromWatts(chain, instrument, { powerW, frequencyHz: carrierHz })
  const harmonic =
    limitDbm === null || instrument?.kind !== 'spectrum-analyser'
      ? null
      : levelStairs(chain, instrument, { startDbm: limitDbm, frequencyHz: harmonicHz(carrierHz, instrument) })
  const columnWidth = width / (chain.parts.length + 2)
  const { highest, lowest } = rangeOf([
    ...[carrier.startDbm, carrier.atInstrumentDbm, harmonic?.startDbm, harmonic?.atInstrumentDbm],
    ...instrumentLevels(instrument),
  ])
  const y = (levelDbm: number) => TOP + ((highest - levelDbm) / (highest - lowest)) * (height - TOP - BOTTOM)

  const layout = { columnWidth, y, width, parts: chain.parts.length }
  const carrierRun = stairPath(carrier.startDbm, carrier.stairs, layout)
  const limitRun = harmonic && limitDbm !== null ? stairPath(limitDbm, harmonic.stairs, layout) : NO_RUN
  return {
    startDbm: carrier.startDbm,
    atInstrumentDbm: carrier.atInstrumentDbm,
    stairs: carrier.stairs,
    carrierPath: carrierRun.path,
    carrierEnd: carrierRun.end,
    limitPath: limitRun.path,
    limitEnd: limitRun.end,
    carrierLabelY: y(carrier.startDbm) + 20,
    limitLabelY: limitDbm !== null && limitRun.path ? y(limitDbm) + 20 : null,
    zones: zones(instrument, { x: width - columnWidth + 4, width: columnWidth - 12, y, highest, lowest }),
    gridLines: gridLevels(lowest, highest).map(levelDbm => ({
      levelDbm,
      y: y(levelDbm),
      label: printSigned(levelDbm, 0),
    })),
    spoken: spokenOf(carrier),
  }
}

/** Levels between two lines of the grid, dB. */
const GRID_DB = 20

const NO_RUN = { path: null, end: null }

/** The lines of the grid that hold all levels that are known, dBm. */
function rangeOf(levels: readonly (number | null | undefined)[]): { lowest: number; highest: number } {
  const known = levels.filter(
    (level): level is number => level !== null && level !== undefined && Number.isFinite(level),
  )
  return {
    highest: Math.ceil((Math.max(...known) + 2) / GRID_DB) * GRID_DB,
    lowest: Math.floor((Math.min(...known) - 2) / GRID_DB) * GRID_DB,
  }
}

const gridLevels = (lowest: number, highest: number): number[] =>
  Array.from({ length: (highest - lowest) / GRID_DB + 1 }, (_unused, i) => highest - GRID_DB * i)

/** The levels of the instrument's own that the picture must reach, dBm. */
function instrumentLevels(instrument: Instrument | undefined): number[] {
  if (!instrument) return []
  if (instrument.kind === 'power-meter') return [dbmFromWatts(instrument.maxInputW) + 4]
  if (instrument.kind === 'signal-generator')
    return [survivesDbm(instrument) - 30, survivesDbm(instrument) + 8]
  if (instrument.kind !== 'receiver' && instrument.kind !== 'spectrum-analyser') return []
  const lowest = instrument.kind === 'receiver' ? instrument.overloadDbm - 60 : instrument.floorDbm
  return [lowest - 8, instrument.damageDbm + 8]
}

const survivesDbm = ({ reverseW }: SignalGenerator) => dbmFromWatts(reverseW ?? ASSUMED_REVERSE_W)

function spokenOf({ startDbm, atInstrumentDbm }: LevelStairs): string {
  const reaches = atInstrumentDbm === null ? 'an unknown level' : printDbm(atInstrumentDbm)
  return `The carrier starts at ${printDbm(startDbm)} and reaches the instrument at ${reaches}.`
}

function harmonicHz(carrierHz: number, instrument: Instrument): number {
  return 2 * carrierHz <= instrument.toHz ? 2 * carrierHz : carrierHz
}

function stairPath(
  startDbm: number,
  stairs: readonly Stair[],
  layout: { columnWidth: number; y: (levelDbm: number) => number; width: number; parts: number },
): { path: string; end: { x: number; y: number } | null } {
  const { columnWidth, y, width } = layout
  let path = `M${LEFT} ${y(startDbm).toFixed(1)}`
  for (const [index, stair] of stairs.entries()) {
    if (stair.outDbm === null) return { path, end: null }
    const x = (index + 1.5) * columnWidth
    path += ` H${x.toFixed(1)} V${y(stair.outDbm).toFixed(1)}`
  }
  const lastDbm = stairs.at(-1)?.outDbm ?? startDbm
  const endX = width - columnWidth / 2
  return { path: `${path} H${endX.toFixed(1)}`, end: { x: endX, y: y(lastDbm) } }
}

function zones(
  instrument: Instrument | undefined,
  layout: { x: number; width: number; y: (levelDbm: number) => number; highest: number; lowest: number },
): StaircaseZone[] {
  if (!instrument) return []
  const { x, width, y, highest, lowest } = layout
  const zone = (id: StaircaseZone['id'], label: string, fromDbm: number, toDbm: number): StaircaseZone => {
    const top = y(Math.min(highest, fromDbm))
    const height = Math.max(0, y(Math.max(lowest, toDbm)) - top)
    return {
      id,
      label,
      x,
      y: top,
      width,
      height,
      labelY: id === 'well' ? top + height / 2 + 5 : top + Math.min(17, height / 2 + 5),
    }
  }
  if (instrument.kind === 'power-meter') {
    const mostDbm = dbmFromWatts(instrument.maxInputW)
    return [
      zone('damage', `damage above ${instrument.maxInputW} W`, highest, mostDbm),
      zone('well', 'reads well', mostDbm, lowest),
    ]
  }
  if (instrument.kind === 'signal-generator') {
    const mostDbm = survivesDbm(instrument)
    return [
      zone('damage', `a keyed radio destroys it above ${printSigned(mostDbm, 0)}`, highest, mostDbm),
      zone('well', 'survives', mostDbm, lowest),
    ]
  }
  if (instrument.kind !== 'receiver' && instrument.kind !== 'spectrum-analyser') return []
  const { damageDbm, overloadDbm } = instrument
  const floorDbm = instrument.kind === 'spectrum-analyser' ? instrument.floorDbm : lowest
  return [
    zone('damage', `damage above ${printSigned(damageDbm, 0)}`, highest, damageDbm),
    zone('overload', 'overload', damageDbm, overloadDbm),
    zone('well', 'reads well', overloadDbm, floorDbm),
    zone('noise', 'noise', floorDbm, lowest),
  ]
}
