import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { run } from '../../cli/main'
import { added, gaussian, powerThrough, sines, voiceBand } from '../support/audio'
import { chunk, fmt, riff, sixteen } from '../support/recordingFiles'

const RATE = 16_000
const folder = mkdtempSync(join(tmpdir(), 'rigorous-meter-cli-'))
const path = (name: string) => join(folder, name)

async function shell(...argv: string[]) {
  const told = { out: '', err: '', code: 0 }
  told.code = await run(argv, { out: text => (told.out += text), err: text => (told.err += text) })
  return told
}

/** A recording stepped down twice: the truth is its noise alone, through a plain transform. */
const noises = [0.004, 0.02, 0.05].map((rms, i) => gaussian(3 * RATE, rms, 40 + i))
const tone = sines(3 * RATE, RATE, [{ hz: 1001.2, amplitude: 0.3 }])
const truths = noises.map(noise => 10 * Math.log10(1 + 0.045 / powerThrough(noise, RATE, voiceBand, 3001)))

beforeAll(() => {
  const samples = noises.flatMap(noise => [...added(tone, noise)])
  const wav = (values: number[]) =>
    riff(fmt({ channels: 1, rate: RATE }), chunk('data', sixteen(...values.map(v => Math.round(32_767 * v)))))
  writeFileSync(path('steps.wav'), wav(samples))
  writeFileSync(path('silent.wav'), wav(Array.from({ length: 2 * RATE }, () => 0)))
  // An integral of 2400·sin(2π·1000·t) about 9 kHz, in closed form: the phase swings by 2.4 rad.
  const iq = Array.from({ length: 2 * 96_000 }, (_unused, n) => {
    const phase = 2 * Math.PI * 9000 * (n / 96_000) - 2.4 * Math.cos(2 * Math.PI * 1000 * (n / 96_000))
    return [0.5 * Math.cos(phase), 0.5 * Math.sin(phase)].map(value => Math.round(32_767 * value))
  })
  writeFileSync(
    path('iq.wav'),
    riff(fmt({ channels: 2, rate: 96_000 }), chunk('data', sixteen(...iq.flat()))),
  )
  writeFileSync(path('notes.wav'), 'these are not samples')
})
afterAll(() => rmSync(folder, { recursive: true }))

interface Found {
  as: string
  sinad: {
    stretches: {
      fromS: number
      toS: number
      mean: { sinadDb: number; standardUncertaintyDb: number } | null
      blocks: { doubts: { kind: string; words: string }[] }[]
    }[]
  }
}

describe('analyse, from a shell', () => {
  it('cuts a stepped recording at its steps and reads each as the noise alone says', async () => {
    const { out, code } = await shell('analyse', path('steps.wav'), '--json')
    expect(code).toBe(0)
    const [{ as, sinad }] = JSON.parse(out) as [Found]
    expect(as).toBe('audio')
    expect(sinad.stretches).toHaveLength(3)
    sinad.stretches.forEach(({ fromS, toS, mean }, i) => {
      expect(Math.abs(mean!.sinadDb - truths[i]!)).toBeLessThan(0.15)
      expect(mean!.standardUncertaintyDb).toBeLessThan(0.15)
      expect(Math.abs(fromS - 3 * i)).toBeLessThan(0.35)
      expect(Math.abs(toS - 3 * (i + 1))).toBeLessThan(0.35)
    })
  })

  it('says it in words for a person', async () => {
    const { out, err } = await shell('analyse', path('steps.wav'), '--filter', 'psophometric')
    expect(err).toBe('')
    expect(out).toContain('SINAD, psophometric, ITU-T O.41:')
    expect(out.match(/\sdB ±/g)).toHaveLength(3)
  })

  it('carries the doubts: silence gives no figure', async () => {
    const { out, code } = await shell('analyse', path('silent.wav'), '--json')
    const [{ sinad }] = JSON.parse(out) as [Found]
    expect(code).toBe(0)
    expect(sinad.stretches.map(({ mean }) => mean)).toEqual([null])
    expect(sinad.stretches[0]!.blocks[0]!.doubts).toEqual([
      { kind: 'silence', words: expect.stringContaining('nothing comes in') as string },
    ])
  })

  it('reads the deviation of a recording of I and Q: 2.4 kHz at 1 kHz, by the phase it was made from', async () => {
    const { out, code } = await shell('analyse', path('iq.wav'), '--json')
    const [recording] = JSON.parse(out) as [
      {
        as: string
        sinad: null
        facts: string[]
        found: { carrierHz: number; deviation: { halfPeakToPeakHz: number } }
      },
    ]
    expect(code).toBe(0)
    expect(recording).toMatchObject({ as: 'iq', sinad: null })
    expect(recording.found.carrierHz).toBeCloseTo(9000, 0)
    expect(recording.found.deviation.halfPeakToPeakHz).toBeGreaterThan(2395)
    expect(recording.found.deviation.halfPeakToPeakHz).toBeLessThan(2405)
    expect(recording.facts.join(' ')).toContain('Deviation +2.40')
  })

  it.each([
    [['analyse', path('nowhere.wav')], 'There is no file'],
    [['analyse', path('notes.wav')], 'notes.wav'],
    [['analyse', folder], 'None of these files is a recording'],
    [['analyse'], 'Which file?'],
    [['listen', path('steps.wav')], 'There is no command “listen”.'],
    [['analyse', path('steps.wav'), '--filter', 'loud'], '--filter takes voice, psophometric, flat'],
    [['analyse', path('steps.wav'), '--tone', 'high'], '--tone takes a number from 200 to 4000, got “high”'],
    [['analyse', path('steps.wav'), '--loud'], '--loud'],
    [['analyse', path('steps.wav'), '--channel', '0.5'], '--channel takes a whole number, got “0.5”'],
    [['analyse', path('steps.wav'), '--as', 'iq'], '“steps.wav” is not I and Q'],
    [['analyse', path('steps.wav'), '--channel', '1'], 'has 1 channel(s), counted from 0; there is no 1'],
    [
      ['analyse', path('iq.wav'), '--channel', '1'],
      'has 1 pair(s) of I and Q, counted from 0; there is no 1',
    ],
  ])('refuses in words on the other stream: %j', async (argv, words) => {
    const { out, err, code } = await shell(...argv)
    expect(code).toBe(1)
    expect(out).toBe('')
    expect(err).toContain(words)
  })
})

describe('analyse, tables', () => {
  const write = (name: string, text: string) => {
    writeFileSync(path(name), text)
    return path(name)
  }

  it('a trace: carrier, harmonics, what is beyond it', async () => {
    // A floor of −80 dBm from 100 to 500 MHz, a carrier of −10 dBm at 146 and its double at −45.
    const rows = Array.from({ length: 401 }, (_unused, i) => {
      const mhz = 100 + i
      const levels: Record<number, number> = { 146: -10, 292: -45 }
      return `${mhz},${levels[mhz] ?? -80}`
    })
    const file = write('trace.csv', `MHz,dBm\n${rows.join('\n')}\n`)
    const { out, code } = await shell('analyse', file, '--kind', 'trace', '--json')
    expect(code).toBe(0)
    const [{ found }] = JSON.parse(out) as [
      { found: { carrierHz: number; floorDbm: number; peaks: { peak: { levelDbm: number } | null }[] } },
    ]
    expect(found.carrierHz).toBe(146e6)
    expect(found.floorDbm).toBe(-80)
    expect(found.peaks.slice(0, 4).map(({ peak }) => peak?.levelDbm ?? null)).toEqual([-10, -45, -80, null])
    expect((await shell('analyse', file, '--kind', 'trace')).out).toMatch(/×2: −45\.0\sdBm/)
  })

  it('a log of power: 4 W to 2 W is 3.01 dB less', async () => {
    const file = write('log.csv', 's,W\n0,4\n60,3\n300,2\n')
    const { out } = await shell('analyse', file, '--kind', 'log', '--json')
    const [{ found }] = JSON.parse(out) as [{ found: { droopDb: number; seconds: number } }]
    expect(found.droopDb).toBeCloseTo(-3.01, 2)
    expect(found.seconds).toBe(300)
  })

  it('a discharge: half an ampere for two hours is 1 Ah', async () => {
    const file = write('pack.csv', 's,V,A\n0,8.2,0.5\n3600,7.6,0.5\n7200,6.8,0.5\n')
    const { out } = await shell('analyse', file, '--kind', 'discharge', '--json')
    expect((JSON.parse(out) as [{ found: { capacityAh: number } }])[0].found.capacityAh).toBeCloseTo(1, 9)
  })

  it('a sweep of an antenna by its name: |Γ| of 0.2 is 1.5:1, of 0.5 is 3:1', async () => {
    const file = write('rod.s1p', '# MHz S MA R 50\n140 0.5 0\n145 0.2 0\n150 0.3 0\n155 0.5 0\n')
    const { out } = await shell('analyse', file, '--json')
    const [{ kind, found }] = JSON.parse(out) as [
      { kind: string; found: { bestVswr: number; bestHz: number; range: unknown } },
    ]
    expect(kind).toBe('antenna')
    expect(found.bestVswr).toBeCloseTo(1.5, 9)
    expect(found.bestHz).toBe(145e6)
    expect(found.range).toEqual({ fromHz: 145e6, toHz: 150e6 })
  })

  it('asks what a table is, and refuses what it cannot read in words', async () => {
    const file = write('some.csv', 'a,b\n1,2\n')
    expect((await shell('analyse', file)).err).toContain('say what it is with --kind')
    const broken = await shell('analyse', write('broken.csv', 'nothing'), '--kind', 'discharge')
    expect(broken.code).toBe(1)
    expect(broken.err).toContain('broken.csv')
    expect((await shell('analyse', file, '--kind', 'poem')).err).toContain('--kind takes')
  })
})
