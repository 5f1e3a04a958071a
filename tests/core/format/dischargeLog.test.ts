import { describe, expect, it } from 'vitest'
import { parseDischargeCsv } from '#core/format'

const parse = (text: string, constantA: number | null = null) =>
  parseDischargeCsv(text, 'pack.csv', { constantA })

describe('a log of a discharge', () => {
  it('half an ampere for two hours is 1 Ah; at 7 V, 7 Wh', () => {
    const log = parse('time s,V,A\n0,7,0.5\n3600,7,0.5\n7200,7,0.5')
    expect(log).toMatchObject({ hours: 2, capacityAh: 1, energyWh: 7, betweenLinesAh: 0, lastV: 7 })
  })

  it('a current that falls evenly to nought gives half of it (closed form), and says what a line may hide', () => {
    const log = parse('min;mA\n0;1000\n60;500\n120;0')
    expect(log.capacityAh).toBeCloseTo(1, 12)
    // Before or after each step: 0.25 A for an hour each.
    expect(log.betweenLinesAh).toBeCloseTo(0.5, 12)
    expect(log.energyWh).toBeNull()
  })

  it('a sine of current over a quarter of its period: 2/π of its peak (closed form)', () => {
    const rows = Array.from(
      { length: 361 },
      (_unused, i) => `${i * 10},${Math.cos((Math.PI * i) / 720).toFixed(9)}`,
    )
    expect(parse(['s,A', ...rows].join('\n')).capacityAh).toBeCloseTo(2 / Math.PI, 5)
  })

  it.each([
    ['hours in the head', 'time h,A\n0,1\n2,1', 2],
    ['a clock past midnight', 'clock;A\n23:30:00;1,0\n00:30:00;1,0', 1],
    ['milliamperes and volts the other way round', 's\tmA\tbattery volts\n0\t250\t7\n7200\t250\t6', 0.5],
    ['negative currents', 's,A\n0,-0.5\n3600,-0.5', 0.5],
  ])('%s', (_what, text, capacityAh) => {
    expect(parse(text).capacityAh).toBeCloseTo(capacityAh, 12)
  })

  it('volts alone need the constant load', () => {
    const volts = 's,V\n0,8.4\n1800,7.0'
    expect(parse(volts, 0.8).capacityAh).toBeCloseTo(0.4, 12)
    expect(parse(volts, 0.8).energyWh).toBeCloseTo(0.4 * 7.7, 12)
    expect(() => parse(volts)).toThrow('type the constant current of the load first')
  })

  it('says where nothing was logged for long', () => {
    const steady = Array.from({ length: 50 }, (_unused, i) => `${i * 10},1`)
    expect(parse(['s,A', ...steady, '1690,1'].join('\n')).understood.join(' ')).toContain(
      'Nothing was logged for 20 min',
    )
    expect(parse(['s,A', ...steady, '680,1'].join('\n')).understood.join(' ')).not.toContain(
      'Nothing was logged',
    )
  })

  it.each([
    ['no head', '0,1\n10,1', 'first line must say'],
    ['one column', 'A\n1\n1', 'columns'],
    ['a broken time', 's,A\n0,1\nlater,1', 'the time reads “later”'],
    ['a broken figure', 's,A\n0,1\n10,many', '“many” is no number'],
    ['a charge in it', 's,A\n0,1\n10,1\n20,-1', 'changes its sign here'],
    ['a time that goes back', 's,A\n0,1\n20,1\n10,1', 'the time goes back here'],
    ['one line', 's,A\n0,1', 'less than two lines'],
    ['a web page', '<!doctype html>', 'a web page'],
  ])('refuses %s in plain words', (_what, text, words) => {
    expect(() => parse(text)).toThrow(words)
  })
})
