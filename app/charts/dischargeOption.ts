import type { EChartsCoreOption } from 'echarts/core'
import type { CurvePoints } from '#core/review'
import { axis, baseOption, roundStep } from './axes'
import type { ChartPalette } from './palette'

/** A discharge: volts over hours, with the nominal ones as a thin line. */
export function buildDischargeOption({
  palette,
  points,
  nominalV,
}: {
  palette: ChartPalette
  points: CurvePoints
  nominalV: number | null
}): EChartsCoreOption {
  const known = [...points.x].flatMap((atS, i) => {
    const volts = points.y[i]!
    return Number.isFinite(volts) ? [[atS / 3600, volts] as const] : []
  })
  const hours = known.at(-1)?.[0] ?? 1
  const volts = known.map(([, value]) => value)
  const [low, high] = [Math.min(...volts), Math.max(...volts)]
  const step = roundStep(Math.max(0.1, high - low), 4)
  const hoursStep = roundStep(hours, 6)
  return {
    ...baseOption(palette, ({ value }) =>
      Array.isArray(value)
        ? `${(value as number[])[0]!.toFixed(2)} h: ${(value as number[])[1]!.toFixed(2)} V`
        : '',
    ),
    grid: { left: 52, right: 24, top: 28, bottom: 30 },
    xAxis: axis(palette, {
      name: 'h',
      min: 0,
      max: Math.ceil(hours / hoursStep - 1e-9) * hoursStep,
      interval: hoursStep,
      format: value => `${Number(value.toFixed(2))}`,
    }),
    yAxis: axis(palette, {
      name: 'V',
      lines: true,
      min: Math.floor(low / step) * step,
      max: Math.ceil(high / step) * step,
      interval: step,
      format: value => `${Number(value.toFixed(2))}`,
    }),
    series: [
      {
        type: 'line',
        name: 'volts',
        showSymbol: false,
        data: known,
        lineStyle: { color: palette.spruce, width: 2.4 },
        itemStyle: { color: palette.spruce },
        markLine:
          nominalV === null
            ? undefined
            : {
                silent: true,
                symbol: 'none',
                lineStyle: { color: palette.ink, width: 1, type: 'dashed' },
                label: {
                  formatter: `nominal ${nominalV} V`,
                  position: 'insideEndTop',
                  color: palette.ink2,
                  fontSize: 12,
                },
                data: [{ yAxis: nominalV }],
              },
      },
    ],
  }
}
