import type { EChartsCoreOption } from 'echarts/core'
import { printMhz, printWatts, wattsFromDbm } from '#core/quantity'
import type { StepResult } from '#core/step'
import { axis, baseOption } from '~/charts/axes'
import { type ChartPalette, FACE } from '~/charts/palette'

const STYLES = [
  { type: 'solid', symbol: 'circle' },
  { type: 'dashed', symbol: 'diamond' },
  { type: 'dotted', symbol: 'rect' },
] as const

/** Power against frequency for one band, a line per level with its 95 % range; the claim is a thin line. */
export function buildPowerCurveOption(input: {
  palette: ChartPalette
  results: StepResult[]
}): EChartsCoreOption {
  const { palette, results } = input
  const levels = [...new Set(results.map(({ step }) => step.setting.level.name))]
  return {
    ...baseOption(palette, tip),
    grid: { left: 48, right: 60, top: 16, bottom: 30 },
    xAxis: frequencyAxis(palette, results),
    yAxis: powerAxis(palette, results),
    series: levels.flatMap((level, index) => {
      const own = results.filter(({ step }) => step.setting.level.name === level)
      const read = own.filter(isFound)
      return [levelSeries(palette, { level, own, read, index }), rangeSeries(palette, level, read)]
    }),
  }
}

function isFound({ slots }: StepResult): boolean {
  return Boolean(slots[0]?.found)
}

function foundIn({ slots }: StepResult) {
  return slots[0]!.found!
}

function claimOf({ step: { claim } }: StepResult): number | null {
  return claim.kind === 'watts' ? claim.powerW : null
}

function frequencyAxis(palette: ChartPalette, results: readonly StepResult[]) {
  const frequencies = results.map(({ step }) => step.channel.frequencyHz / 1e6)
  const low = Math.min(...frequencies)
  const high = Math.max(...frequencies)
  const span = Math.max(0.5, high - low)
  const plain = axis(palette, {
    name: 'MHz',
    min: Number((low - span * 0.08).toFixed(3)),
    max: Number((high + span * 0.08).toFixed(3)),
    format: mhz => mhz.toFixed(1),
  })
  return { ...plain, axisLabel: { ...plain.axisLabel, showMinLabel: false, showMaxLabel: false } }
}

function powerAxis(palette: ChartPalette, results: readonly StepResult[]) {
  const highestW = Math.max(
    1,
    ...results.map(result => claimOf(result) ?? 0),
    ...results.filter(isFound).map(result => {
      const { value, budget } = foundIn(result)
      return wattsFromDbm(value + budget.range)
    }),
  )
  const plain = axis(palette, {
    name: 'W',
    lines: true,
    min: 0,
    max: Number((highestW * 1.1).toPrecision(2)),
  })
  return { ...plain, nameGap: 4, axisLabel: { ...plain.axisLabel, showMaxLabel: false } }
}

/** Where a result stands, MHz and W, moved by so many dB. */
function placeOf(result: StepResult, offsetDb: number): [number, number] {
  return [result.step.channel.frequencyHz / 1e6, wattsFromDbm(foundIn(result).value + offsetDb)]
}

function levelSeries(
  palette: ChartPalette,
  curve: { level: string; own: readonly StepResult[]; read: readonly StepResult[]; index: number },
) {
  const style = STYLES[curve.index % STYLES.length]!
  const claimW = curve.own.map(claimOf).find(watts => watts !== null)
  const claimLine = {
    silent: true,
    symbol: 'none',
    lineStyle: { color: palette.ink, width: 1.2, type: 'solid' },
    label: { show: false },
    data: [{ yAxis: claimW }],
  }
  return {
    type: 'line',
    name: curve.level,
    data: curve.read.map(result => placeOf(result, 0)),
    symbol: style.symbol,
    symbolSize: 8,
    lineStyle: { color: palette.spruce, width: 2.4, type: style.type },
    itemStyle: { color: palette.spruce },
    endLabel: {
      show: true,
      formatter: curve.level,
      color: palette.spruce,
      fontWeight: 700,
      fontFamily: FACE,
      fontSize: 13,
    },
    markLine: claimW === undefined ? undefined : claimLine,
  }
}

function rangeSeries(palette: ChartPalette, level: string, read: readonly StepResult[]) {
  return {
    type: 'line',
    name: `${level} range`,
    silent: true,
    showSymbol: false,
    lineStyle: { color: palette.spruce, width: 1.4 },
    data: read.flatMap(result => {
      const { range } = foundIn(result).budget
      return [placeOf(result, -range), placeOf(result, range), [null, null]]
    }),
    tooltip: { show: false },
  }
}

function tip(one: { value?: unknown }): string {
  const value = Array.isArray(one.value) ? (one.value as number[]) : []
  return value.length < 2 ? '' : `${printMhz(value[0]! * 1e6)}: ${printWatts(value[1])}`
}
