import type { EChartsCoreOption } from 'echarts/core'
import { printDbm, printMhz, printSigned } from '#core/quantity'
import type { TracePoints } from '#core/review'
import type { SlotResult } from '#core/step'
import { axis, baseOption, escapeHtml } from '~/charts/axes'
import { type ChartPalette, FACE, verdictColour } from '~/charts/palette'

export interface SpectrumInput {
  palette: ChartPalette
  slots: SlotResult[]
  /** Trace at the radio's level; null when only peaks were typed. */
  trace: TracePoints | null
  limitLabel: string
  carrierHz: number
  /** Highest frequency the instrument reaches, Hz. */
  reachHz: number
}

/** The plane that is drawn in: MHz across, dBm up. */
interface Plane {
  lowestDbm: number
  highestDbm: number
  /** As far as anything was or can be read. */
  toMhz: number
  /** As far as is drawn; what lies between is not covered. */
  beyondMhz: number
}

/** A stretch of frequency with its limit, MHz and dBm. */
interface LimitStretch {
  from: number
  to: number
  dbm: number
}

/** The spectrum at the radio's socket: trace or stems, the limit, and each peak in its verdict's colour. */
export function buildSpectrumOption(input: SpectrumInput): EChartsCoreOption {
  const { palette, slots, trace } = input
  const read = slots.filter(slot => slot.found)
  const limits = slotLimits(slots)
  const plane = planeOf(input, { read, limits })
  const stretches = limitStretches(limits, input.carrierHz / 1e6, plane.toMhz)
  return {
    ...baseOption(palette, tooltip),
    grid: { left: 52, right: 46, top: 22, bottom: 26 },
    xAxis: frequencyAxis(palette, plane),
    yAxis: axis(palette, {
      lines: true,
      min: plane.lowestDbm,
      max: plane.highestDbm,
      interval: 20,
      format: dbm => printSigned(dbm, 0),
    }),
    series: [
      trace ? traceSeries(palette, trace) : stemSeries(palette, read, plane.lowestDbm),
      peakSeries(palette, read),
      limitSeries(input, stretches, plane),
    ],
  }
}

function planeOf(
  { trace, carrierHz, reachHz }: SpectrumInput,
  { read, limits }: { read: readonly SlotResult[]; limits: readonly SlotLimit[] },
): Plane {
  const levels = [
    ...read.map(({ found }) => found!.value),
    ...limits.map(({ dbm }) => dbm),
    ...(trace ? finite(trace.levelsDbm) : []),
  ]
  const tenHalfMhz = (10.5 * carrierHz) / 1e6
  const toMhz = Math.max(
    Math.min(reachHz / 1e6, tenHalfMhz),
    ...read.map(({ slot }) => (slot.frequencyHz / 1e6) * 1.04),
    trace ? (trace.frequenciesHz.at(-1) ?? 0) / 1e6 : 0,
  )
  return {
    lowestDbm: Math.floor((Math.min(...levels, -40) - 4) / 20) * 20,
    highestDbm: Math.ceil((Math.max(...levels, 20) + 1) / 20) * 20,
    toMhz,
    beyondMhz: Math.min(tenHalfMhz, toMhz * 1.12),
  }
}

function frequencyAxis(palette: ChartPalette, { toMhz, beyondMhz }: Plane) {
  const plain = axis(palette, {
    name: 'MHz',
    min: 0,
    max: Math.ceil(Math.max(beyondMhz, toMhz)),
    format: mhz => `${mhz}`,
  })
  return {
    ...plain,
    nameGap: 6,
    nameTextStyle: { ...plain.nameTextStyle, verticalAlign: 'top', padding: [8, 0, 0, 0] },
    axisLabel: { ...plain.axisLabel, showMaxLabel: false },
  }
}

function traceSeries(palette: ChartPalette, trace: TracePoints) {
  return {
    type: 'line',
    name: 'trace',
    data: pairs(trace),
    showSymbol: false,
    silent: true,
    lineStyle: { color: palette.spruce, width: 1.4 },
    z: 2,
  }
}

/** A stem up to each peak, where no trace shows it. */
function stemSeries(palette: ChartPalette, read: readonly SlotResult[], lowestDbm: number) {
  return {
    type: 'line',
    name: 'peaks',
    data: read.flatMap(({ slot, found }) => [
      [slot.frequencyHz / 1e6, lowestDbm],
      [slot.frequencyHz / 1e6, found!.value],
      [null, null],
    ]),
    showSymbol: false,
    silent: true,
    connectNulls: false,
    lineStyle: { color: palette.spruce, width: 2 },
    z: 2,
  }
}

function peakSeries(palette: ChartPalette, read: readonly SlotResult[]) {
  return {
    type: 'scatter',
    name: 'harmonics',
    symbolSize: 7,
    z: 5,
    data: read.map(result => {
      const { slot, found, words, yardstick, verdict } = result
      const isCarrier = slot.kind.n === 1
      const color = isCarrier ? palette.ink : verdictColour(palette, (yardstick?.verdict ?? verdict).state)
      return {
        value: [slot.frequencyHz / 1e6, found!.value],
        name: `${slot.label}: ${words}`,
        itemStyle: { color },
        label: {
          show: true,
          position: isCarrier ? 'right' : 'top',
          formatter: isCarrier ? 'carrier' : slot.label,
          fontFamily: FACE,
          fontWeight: 700,
          fontSize: 13,
          color,
        },
      }
    }),
  }
}

function limitSeries(
  { palette, limitLabel }: SpectrumInput,
  stretches: readonly LimitStretch[],
  plane: Plane,
) {
  return {
    type: 'line',
    name: 'limit',
    silent: true,
    showSymbol: false,
    z: 4,
    lineStyle: { color: palette.ink, width: 1.8 },
    data: stretches.flatMap(({ from, to, dbm }) => [
      [from, dbm],
      [to, dbm],
    ]),
    endLabel: {
      show: stretches.length > 0,
      formatter: limitLabel,
      align: 'right',
      verticalAlign: 'bottom',
      offset: [-8, -12],
      color: palette.ink,
      fontFamily: FACE,
      fontSize: 13,
    },
    markArea: {
      silent: true,
      data: [
        ...stretches.map(stretch => beyondLimit(palette, stretch, plane.highestDbm)),
        ...notCovered(palette, plane),
      ],
    },
  }
}

function beyondLimit(palette: ChartPalette, { from, to, dbm }: LimitStretch, highestDbm: number) {
  return [
    { coord: [from, highestDbm], itemStyle: { color: palette.outsideWash, opacity: 0.45 } },
    { coord: [to, dbm] },
  ]
}

function notCovered(palette: ChartPalette, { lowestDbm, highestDbm, toMhz, beyondMhz }: Plane) {
  if (beyondMhz <= toMhz) return []
  const label = {
    show: true,
    position: 'insideTop',
    formatter: 'not covered',
    color: palette.notCovered,
    fontSize: 12,
  }
  return [
    [
      { coord: [toMhz, highestDbm], itemStyle: { color: palette.line, opacity: 0.5 }, label },
      { coord: [Math.ceil(beyondMhz), lowestDbm] },
    ],
  ]
}

interface SlotLimit {
  harmonic: number
  dbm: number
}

/** The limit at each settled harmonic: law's, or the yardstick's where law is silent. */
function slotLimits(slots: readonly SlotResult[]): SlotLimit[] {
  return slots.flatMap(({ slot: { kind }, limit, yardstick }) => {
    const shown = yardstick?.limit ?? limit
    const isSettled = kind.moment === 'settled' && typeof kind.n === 'number' && kind.n > 1
    return isSettled && shown?.kind === 'limit' ? [{ harmonic: Number(kind.n), dbm: shown.limitDbm }] : []
  })
}

/** Each harmonic's limit holds half way to its neighbours. */
function limitStretches(limits: readonly SlotLimit[], carrierMhz: number, toMhz: number): LimitStretch[] {
  return limits
    .map(({ harmonic, dbm }, index) => ({
      from: harmonic === 2 ? 1.1 * carrierMhz : (harmonic - 0.5) * carrierMhz,
      to: Math.min(toMhz, index === limits.length - 1 ? toMhz : (harmonic + 0.5) * carrierMhz),
      dbm,
    }))
    .filter(({ from, to }) => from < to)
}

function tooltip(one: { value?: unknown; name?: string }): string {
  const value = Array.isArray(one.value) ? (one.value as number[]) : []
  return value.length < 2
    ? ''
    : `${escapeHtml(one.name ?? '')}<br>${printMhz(value[0]! * 1e6)}, ${printDbm(value[1]!)}`
}

function pairs(trace: TracePoints): [number, number | null][] {
  return Array.from(trace.frequenciesHz, (hz, i) => [
    hz / 1e6,
    Number.isNaN(trace.levelsDbm[i]!) ? null : trace.levelsDbm[i]!,
  ])
}

function finite(values: Float64Array): number[] {
  let low = Infinity
  let high = -Infinity
  for (const value of values) {
    if (value < low) low = value
    if (value > high) high = value
  }
  return Number.isFinite(low) ? [low, high] : []
}
