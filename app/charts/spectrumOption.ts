import type { SlotResult } from '#core/step'
import type { EChartsCoreOption } from 'echarts/core'
import { printDbm, printMhz, printSigned } from '#core/quantity'
import type { TracePoints } from '#core/review'
import { type ChartPalette, FACE, FIGURES, verdictColour } from './palette'

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

/** The spectrum at the radio's socket: trace or stems, the limit, and each peak in its verdict's colour. */
export function buildSpectrumOption(input: SpectrumInput): EChartsCoreOption {
  const { palette, slots, trace, limitLabel, carrierHz, reachHz } = input
  const limits = slotLimits(slots)
  const limitDbm = limits.length > 0 ? Math.min(...limits.map(({ dbm }) => dbm)) : null
  const read = slots.filter(slot => slot.found)
  const levels = [
    ...read.map(slot => slot.found!.value),
    ...(limitDbm === null ? [] : [limitDbm]),
    ...(trace ? finite(trace.levelsDbm) : []),
  ]
  const lowest = Math.floor((Math.min(...levels, -40) - 4) / 20) * 20
  const highest = Math.ceil((Math.max(...levels, 20) + 1) / 20) * 20
  const reachMhz = Math.min(reachHz, 10.5 * carrierHz) / 1e6
  const toMhz = Math.max(
    reachMhz,
    ...read.map(slot => (slot.slot.frequencyHz / 1e6) * 1.04),
    trace ? (trace.frequenciesHz.at(-1) ?? 0) / 1e6 : 0,
  )
  const beyond = Math.min((10.5 * carrierHz) / 1e6, toMhz * 1.12)
  const stems = read.flatMap(slot => [
    [slot.slot.frequencyHz / 1e6, lowest],
    [slot.slot.frequencyHz / 1e6, slot.found!.value],
    [null, null],
  ])
  return {
    animation: false,
    textStyle: { fontFamily: FACE, color: palette.ink2 },
    grid: { left: 52, right: 46, top: 22, bottom: 26 },
    tooltip: {
      trigger: 'item',
      confine: true,
      backgroundColor: palette.sheet,
      borderColor: palette.line,
      textStyle: { color: palette.ink, fontFamily: FACE, fontSize: 13 },
      formatter: (one: { value?: unknown; name?: string }) => tooltip(one),
    },
    xAxis: {
      type: 'value',
      min: 0,
      max: beyond > toMhz ? Math.ceil(beyond) : Math.ceil(toMhz),
      axisLine: { onZero: false, lineStyle: { color: palette.line } },
      axisTick: { show: false },
      splitLine: { show: false },
      axisLabel: {
        color: palette.ink3,
        fontFamily: FIGURES,
        fontSize: 12,
        showMaxLabel: false,
        formatter: (mhz: number) => `${mhz}`,
      },
      name: 'MHz',
      nameLocation: 'end',
      nameGap: 6,
      nameTextStyle: { color: palette.ink3, verticalAlign: 'top', padding: [8, 0, 0, 0] },
    },
    yAxis: {
      type: 'value',
      axisLine: { show: false },
      axisTick: { show: false },
      min: lowest,
      max: highest,
      interval: 20,
      axisLabel: {
        color: palette.ink3,
        fontFamily: FIGURES,
        fontSize: 12,
        formatter: (dbm: number) => printSigned(dbm, 0),
      },
      splitLine: { lineStyle: { color: palette.line } },
    },
    series: [
      trace
        ? {
            type: 'line',
            name: 'trace',
            data: pairs(trace),
            showSymbol: false,
            silent: true,
            lineStyle: { color: palette.spruce, width: 1.4 },
            z: 2,
          }
        : {
            type: 'line',
            name: 'peaks',
            data: stems,
            showSymbol: false,
            silent: true,
            connectNulls: false,
            lineStyle: { color: palette.spruce, width: 2 },
            z: 2,
          },
      {
        type: 'scatter',
        name: 'harmonics',
        symbolSize: 7,
        z: 5,
        data: read.map(slot => ({
          value: [slot.slot.frequencyHz / 1e6, slot.found!.value],
          name: `${slot.slot.label}: ${slot.words}`,
          itemStyle: {
            color:
              slot.slot.id === 'x1'
                ? palette.ink
                : verdictColour(palette, (slot.yardstick ?? slot).verdict.state),
          },
          label: {
            show: true,
            position: slot.slot.id === 'x1' ? 'right' : 'top',
            formatter: slot.slot.id === 'x1' ? 'carrier' : slot.slot.label,
            fontFamily: FACE,
            fontWeight: 700,
            fontSize: 13,
            color:
              slot.slot.id === 'x1'
                ? palette.ink
                : verdictColour(palette, (slot.yardstick ?? slot).verdict.state),
          },
        })),
      },
      {
        type: 'line',
        name: 'limit',
        silent: true,
        showSymbol: false,
        z: 4,
        lineStyle: { color: palette.ink, width: 1.8 },
        data: limitLine(limits, carrierHz / 1e6, toMhz),
        endLabel: {
          show: limitDbm !== null,
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
            ...(limitDbm === null
              ? []
              : limitAreas(limits, carrierHz / 1e6, toMhz).map(({ from, to, dbm }) => [
                  { coord: [from, highest], itemStyle: { color: palette.outsideWash, opacity: 0.45 } },
                  { coord: [to, dbm] },
                ])),
            ...(beyond > toMhz
              ? [
                  [
                    {
                      coord: [toMhz, highest],
                      itemStyle: { color: palette.line, opacity: 0.5 },
                      label: {
                        show: true,
                        position: 'insideTop',
                        formatter: 'not covered',
                        color: palette.notCovered,
                        fontSize: 12,
                      },
                    },
                    { coord: [Math.ceil(beyond), lowest] },
                  ],
                ]
              : []),
          ],
        },
      },
    ],
  }
}

interface SlotLimit {
  harmonic: number
  dbm: number
}

/** The limit at each harmonic: law's, or the yardstick's where law is silent. */
function slotLimits(slots: readonly SlotResult[]): SlotLimit[] {
  return slots.flatMap(({ slot, limit, yardstick }) => {
    const shown = yardstick?.limit ?? limit
    return /^x([2-9]|10)$/.test(slot.id) && shown?.kind === 'limit'
      ? [{ harmonic: Number(slot.id.slice(1)), dbm: shown.limitDbm }]
      : []
  })
}

/** Each harmonic's limit holds half way to its neighbours. */
function limitAreas(
  limits: readonly SlotLimit[],
  carrierMhz: number,
  toMhz: number,
): { from: number; to: number; dbm: number }[] {
  return limits
    .map(({ harmonic, dbm }, index) => ({
      from: harmonic === 2 ? 1.1 * carrierMhz : (harmonic - 0.5) * carrierMhz,
      to: Math.min(toMhz, index === limits.length - 1 ? toMhz : (harmonic + 0.5) * carrierMhz),
      dbm,
    }))
    .filter(({ from, to }) => from < to)
}

function limitLine(limits: readonly SlotLimit[], carrierMhz: number, toMhz: number): [number, number][] {
  return limitAreas(limits, carrierMhz, toMhz).flatMap(({ from, to, dbm }): [number, number][] => [
    [from, dbm],
    [to, dbm],
  ])
}

function tooltip(one: { value?: unknown; name?: string }): string {
  const value = Array.isArray(one.value) ? (one.value as number[]) : []
  return value.length < 2
    ? ''
    : `${escapeHtml(one.name ?? '')}<br>${printMhz(value[0]! * 1e6)}, ${printDbm(value[1]!)}`
}

/** The tooltip takes HTML; names come from data. */
function escapeHtml(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;')
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
