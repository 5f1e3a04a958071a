import { type Chain, type Instrument, levelStairs, levelStairsFromWatts, type Stair } from '#core/chain'
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
  const levels = [
    carrier.startDbm,
    carrier.atInstrumentDbm,
    harmonic?.startDbm,
    harmonic?.atInstrumentDbm,
    ...(instrument?.kind === 'power-meter'
      ? [dbmFromWatts(instrument.maxInputW) + 4]
      : instrument
        ? [
            (instrument.kind === 'receiver' ? instrument.overloadDbm - 60 : instrument.floorDbm) - 8,
            instrument.damageDbm + 8,
          ]
        : [null]),
  ].filter((level): level is number => level !== null && level !== undefined && Number.isFinite(level))
  const highest = Math.ceil((Math.max(...levels) + 2) / 20) * 20
  const lowest = Math.floor((Math.min(...levels) - 2) / 20) * 20
  const y = (levelDbm: number) => TOP + ((highest - levelDbm) / (highest - lowest)) * (height - TOP - BOTTOM)

  const carrierRun = stairPath(carrier.startDbm, carrier.stairs, {
    columnWidth,
    y,
    width,
    parts: chain.parts.length,
  })
  const limitRun =
    harmonic && limitDbm !== null
      ? stairPath(limitDbm, harmonic.stairs, { columnWidth, y, width, parts: chain.parts.length })
      : null
  return {
    startDbm: carrier.startDbm,
    atInstrumentDbm: carrier.atInstrumentDbm,
    stairs: carrier.stairs,
    carrierPath: carrierRun.path,
    carrierEnd: carrierRun.end,
    limitPath: limitRun?.path ?? null,
    limitEnd: limitRun?.end ?? null,
    carrierLabelY: y(carrier.startDbm) + 20,
    limitLabelY: limitDbm !== null && limitRun ? y(limitDbm) + 20 : null,
    zones: zones(instrument, { x: width - columnWidth + 4, width: columnWidth - 12, y, highest, lowest }),
    gridLines: Array.from({ length: (highest - lowest) / 20 + 1 }, (_unused, i) => highest - 20 * i).map(
      levelDbm => ({ levelDbm, y: y(levelDbm), label: printSigned(levelDbm, 0) }),
    ),
    spoken: `The carrier starts at ${printDbm(carrier.startDbm)} and reaches the instrument at ${carrier.atInstrumentDbm === null ? 'an unknown level' : printDbm(carrier.atInstrumentDbm)}.`,
  }
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
  const { damageDbm, overloadDbm } = instrument
  const floorDbm = instrument.kind === 'spectrum-analyser' ? instrument.floorDbm : lowest
  return [
    zone('damage', `damage above ${printSigned(damageDbm, 0)}`, highest, damageDbm),
    zone('overload', 'overload', damageDbm, overloadDbm),
    zone('well', 'reads well', overloadDbm, floorDbm),
    zone('noise', 'noise', floorDbm, lowest),
  ]
}
