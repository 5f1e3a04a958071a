import { describe, expect, it } from 'vitest'
import { parseTraceCsv } from '#core/format'

describe('traces with a third column', () => {
  const held = 'Frequency (MHz),Live (dBm),Max hold (dBm)\n146.52,-3.1,-2.5\n293.04,-60,-49'

  it('offers every column of levels and takes the one asked for', () => {
    const live = parseTraceCsv(held, 'a.csv')
    expect(live.levelColumns.map(({ name }) => name)).toEqual(['Live (dBm)', 'Max hold (dBm)'])
    expect([...live.levelsDbm]).toEqual([-3.1, -60])
    expect(live.understood).toContain('The file has 2 columns of levels; “Live (dBm)” was taken.')
    expect([...parseTraceCsv(held, 'a.csv', { levelColumn: 2 }).levelsDbm]).toEqual([-2.5, -49])
    expect(parseTraceCsv(held, 'a.csv', { levelColumn: 7 }).levelColumn).toBe(1)
  })

  it.each([
    [
      'a clock in front',
      'Time;Frequency;Level\n12:00:01;146,52;-3,1\n12:00:01;293,04;-60\n12:00:09;146,52;-4\n12:00:09;293,04;-55',
    ],
    [
      'a clock behind',
      'MHz,dBm,Time\n146.52,-3.1,2026-11-20 12:00:01\n293.04,-60,2026-11-20 12:00:01\n146.52,-4,2026-11-20 12:00:09\n293.04,-55,2026-11-20 12:00:09',
    ],
    ['seconds behind', 'MHz,dBm,time s\n146.52,-3.1,0\n293.04,-60,0\n146.52,-4,8\n293.04,-55,8'],
  ])('takes the highest of several sweeps: %s', (_what, text) => {
    const trace = parseTraceCsv(text, 'a.csv')
    expect([...trace.frequenciesHz]).toEqual([146.52e6, 293.04e6])
    expect([...trace.levelsDbm]).toEqual([-3.1, -55])
    expect(trace.understood.join(' ')).toContain('2 sweeps in order of time')
  })

  it('finds frequency and level by their names wherever they stand', () => {
    expect([...parseTraceCsv('Level dBm,Freq Hz\n-3.1,146520000\n-60,293040000', 'a.csv').levelsDbm]).toEqual(
      [-3.1, -60],
    )
  })
})
