import { describe, expect, it } from 'vitest'
import { parseTraceCsv } from '#core/format'

const detectionOf = (...head: string[]) =>
  parseTraceCsv([...head, 'MHz,dBm', '100,-50', '101,-60', '102,-70'].join('\n'), 'a.csv').detection

describe('how a trace shows a level, as the head of its file says', () => {
  it.each([
    ['# Detector: RMS', { shows: 'mean', looks: null }],
    ['# Detector: Positive', { shows: 'highest', looks: null }],
    ['# Detector: Sample', { shows: 'sample', looks: null }],
    ['# Trace: Max Hold, sweeps 16', { shows: 'highest', looks: 16 }],
    ['# Video average, count 20', { shows: 'logarithm', looks: 20 }],
  ])('%s', (line, detection) => expect(detectionOf(line)).toEqual(detection))

  it('is not said by a file that does not', () => {
    expect(detectionOf('# RBW: 100 kHz')).toBeNull()
  })

  it('is the highest of its sweeps where several stand below one another', () => {
    const rows = [0, 1, 2].flatMap(s => [`10:00:0${s},100,-5${s}`, `10:00:0${s},101,-60`])
    expect(parseTraceCsv(['Time,MHz,dBm', ...rows].join('\n'), 'a.csv').detection).toEqual({
      shows: 'highest',
      looks: 3,
    })
  })

  it('a frequency with two levels is told, one with the same level twice is not', () => {
    const understood = (second: number) =>
      parseTraceCsv(['MHz,dBm', '100,-50', `100,${second}`, '101,-60'].join('\n'), 'a.csv').understood.join()
    expect(understood(-52)).toContain('One frequency stands there several times')
    expect(understood(-50)).not.toContain('several times')
  })
})
