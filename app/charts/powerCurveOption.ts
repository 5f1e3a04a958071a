import type { StepResult } from '#core/step'
import type { EChartsCoreOption } from 'echarts/core'
import { printMhz, printWatts, wattsFromDbm } from '#core/quantity'
import { type ChartPalette, FACE, FIGURES } from './palette'

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
  const levels = [...new Set(results.map(result => result.step.setting.level.name))]
  const highestW = Math.max(
    1,
    ...results.flatMap(result => [
      result.step.claim.kind === 'watts' ? result.step.claim.powerW : 0,
      result.slots[0]?.found
        ? wattsFromDbm(result.slots[0].found.value + result.slots[0].found.budget.range)
        : 0,
    ]),
  )
  const frequencies = results.map(result => result.step.channel.frequencyHz / 1e6)
  const span = Math.max(0.5, Math.max(...frequencies) - Math.min(...frequencies))
  return {
    animation: false,
    textStyle: { fontFamily: FACE, color: palette.ink2 },
    grid: { left: 48, right: 60, top: 16, bottom: 30 },
    tooltip: {
      trigger: 'item',
      confine: true,
      backgroundColor: palette.sheet,
      borderColor: palette.line,
      textStyle: { color: palette.ink, fontFamily: FACE, fontSize: 13 },
      formatter: (one: { value?: unknown; seriesName?: string }) => tip(one),
    },
    xAxis: {
      type: 'value',
      min: Number((Math.min(...frequencies) - span * 0.08).toFixed(3)),
      max: Number((Math.max(...frequencies) + span * 0.08).toFixed(3)),
      axisTick: { show: false },
      axisLine: { onZero: false, lineStyle: { color: palette.line } },
      splitLine: { show: false },
      axisLabel: {
        color: palette.ink3,
        fontFamily: FIGURES,
        fontSize: 12,
        showMinLabel: false,
        showMaxLabel: false,
        formatter: (mhz: number) => mhz.toFixed(1),
      },
      name: 'MHz',
      nameLocation: 'end',
      nameTextStyle: { color: palette.ink3 },
    },
    yAxis: {
      type: 'value',
      axisLine: { show: false },
      axisTick: { show: false },
      min: 0,
      max: Number((highestW * 1.1).toPrecision(2)),
      name: 'W',
      nameGap: 4,
      nameTextStyle: { color: palette.ink3 },
      axisLabel: { color: palette.ink3, fontFamily: FIGURES, fontSize: 12, showMaxLabel: false },
      splitLine: { lineStyle: { color: palette.line } },
    },
    series: levels.flatMap((level, index) => {
      const own = results.filter(result => result.step.setting.level.name === level)
      const read = own.filter(result => result.slots[0]?.found)
      const style = STYLES[index % STYLES.length]!
      const claim = own.find(result => result.step.claim.kind === 'watts')?.step.claim
      const place = (result: StepResult, offsetDb: number) => [
        result.step.channel.frequencyHz / 1e6,
        wattsFromDbm(result.slots[0]!.found!.value + offsetDb),
      ]
      return [
        {
          type: 'line',
          name: level,
          data: read.map(result => place(result, 0)),
          symbol: style.symbol,
          symbolSize: 8,
          lineStyle: { color: palette.spruce, width: 2.4, type: style.type },
          itemStyle: { color: palette.spruce },
          endLabel: {
            show: true,
            formatter: level,
            color: palette.spruce,
            fontWeight: 700,
            fontFamily: FACE,
            fontSize: 13,
          },
          markLine:
            claim?.kind === 'watts'
              ? {
                  silent: true,
                  symbol: 'none',
                  lineStyle: { color: palette.ink, width: 1.2, type: 'solid' },
                  label: { show: false },
                  data: [{ yAxis: claim.powerW }],
                }
              : undefined,
        },
        {
          type: 'line',
          name: `${level} range`,
          silent: true,
          showSymbol: false,
          lineStyle: { color: palette.spruce, width: 1.4 },
          data: read.flatMap(result => [
            place(result, -result.slots[0]!.found!.budget.range),
            place(result, result.slots[0]!.found!.budget.range),
            [null, null],
          ]),
          tooltip: { show: false },
        },
      ]
    }),
  }
}

function tip(one: { value?: unknown; seriesName?: string }): string {
  const value = Array.isArray(one.value) ? (one.value as number[]) : []
  return value.length < 2 ? '' : `${printMhz(value[0]! * 1e6)}: ${printWatts(value[1])}`
}
