import { REFERENCE_OHM, spelled } from '../quantity'
import { badFile } from './traceText'

/** A reflection over frequency, renormalised to 50 Ω. */
export interface ReflectionSweep {
  /** Rising, Hz. */
  frequenciesHz: Float64Array
  /** Γ at 50 Ω. */
  re: Float64Array
  im: Float64Array
  /** What the file counted its reflections from, Ω. */
  referenceOhm: number
  /** Lines that were passed over, by their number in the file, and why. */
  bad: { line: number; why: string }[]
  understood: string[]
}

const SCALES: Record<string, number> = { hz: 1, khz: 1e3, mhz: 1e6, ghz: 1e9 }
const FORMATS = ['ma', 'ri', 'db'] as const
const PARAMETERS = ['s', 'y', 'z'] as const

/** What the option line says; each has its default (Touchstone 1.1: `# GHz S MA R 50`). */
interface Options {
  scaleHz: number
  parameter: (typeof PARAMETERS)[number]
  format: (typeof FORMATS)[number]
  referenceOhm: number
}

const DEFAULTS: Options = { scaleHz: 1e9, parameter: 's', format: 'ma', referenceOhm: 50 }

const MOST_LINES = 500_000
/** Numbers on a line: frequency and one pair, or the four pairs of two ports. */
const ONE_PORT = 3
const TWO_PORTS = 9

/**
 * Reads a one-port Touchstone file: any unit, S, Y or Z, magnitude and angle, dB and angle, or real and imaginary, any
 * reference; comments anywhere. Of a file of two ports the first port’s reflection is taken. Lines that cannot be read
 * are counted and named; the rest counts.
 * @throws CoreError `bad-file` where nothing of it can be read.
 * @see Touchstone File Format Specification 1.1, EIA/IBIS Open Forum, 2002 (from memory).
 */
export function parseTouchstone(text: string, fileName: string): ReflectionSweep {
  const lines = plainLines(text, fileName)
  const optionLine = lines.find(({ body }) => body.startsWith('#'))
  const options = optionLine ? optionsOf(optionLine, fileName) : DEFAULTS
  const bad: ReflectionSweep['bad'] = []
  const points: Point[] = []
  let twoPorts = 0
  for (const { line, body } of lines) {
    if (body.startsWith('#')) {
      if (line !== optionLine!.line) bad.push({ line, why: 'a second option line, which counts for nothing' })
      continue
    }
    const read = pointOf(body, options)
    if ('why' in read) bad.push({ line, why: read.why })
    else if (points.length > 0 && read.frequencyHz <= points.at(-1)!.frequencyHz)
      bad.push({ line, why: 'the frequency does not rise' })
    else {
      points.push(read)
      if (read.isOfTwoPorts) twoPorts += 1
    }
  }
  if (points.length === 0)
    throw badFile(
      fileName,
      bad[0]?.line ?? null,
      bad[0]?.why ?? 'it has no line with a frequency and a reflection',
    )
  return {
    frequenciesHz: Float64Array.from(points, ({ frequencyHz }) => frequencyHz),
    re: Float64Array.from(points, ({ re }) => re),
    im: Float64Array.from(points, ({ im }) => im),
    referenceOhm: options.referenceOhm,
    bad,
    understood: understoodOf(points, { options, twoPorts, bad, hasOptions: optionLine !== undefined }),
  }
}

interface PlainLine {
  line: number
  body: string
}

/** Lines without their comments, those left empty dropped, numbered as in the file. */
function plainLines(text: string, fileName: string): PlainLine[] {
  const body = text.charCodeAt(0) === 0xfeff ? text.slice(1) : text
  if (body.trim() === '') throw badFile(fileName, null, 'it is empty')
  if (body.includes('\u0000')) throw badFile(fileName, null, 'it is not a text file')
  if (/^\s*<(!doctype|html|\?xml|svg)/i.test(body))
    throw badFile(fileName, null, 'it is a web page or XML, whatever its name says')
  const lines = body.split(/\r\n|\r|\n/)
  if (lines.length > MOST_LINES)
    throw badFile(fileName, null, `it has more than ${MOST_LINES} lines, which no sweep needs`)
  const found = lines.flatMap((one, i) => {
    const plain = one.replace(/!.*$/, '').trim()
    return plain === '' ? [] : [{ line: i + 1, body: plain }]
  })
  const keyword = found.find(one => one.body.startsWith('['))
  if (keyword)
    throw badFile(fileName, keyword.line, 'it is of version 2; save it as version 1.1, which every tool can')
  return found
}

function optionsOf({ line, body }: PlainLine, fileName: string): Options {
  const words = body.slice(1).trim().toLowerCase().split(/\s+/).filter(Boolean)
  const options = { ...DEFAULTS }
  for (let i = 0; i < words.length; i++) {
    const word = words[i]!
    const parameter = PARAMETERS.find(one => one === word)
    const format = FORMATS.find(one => one === word)
    const scaleHz = spelled(SCALES, word)
    if (scaleHz !== undefined) options.scaleHz = scaleHz
    else if (parameter) options.parameter = parameter
    else if (format) options.format = format
    else if (word === 'r') {
      options.referenceOhm = Number(words[++i])
      if (!(options.referenceOhm > 0 && Number.isFinite(options.referenceOhm)))
        throw badFile(fileName, line, 'its reference, behind R, is no resistance')
    } else
      throw badFile(fileName, line, `its option line says “${word.slice(0, 24)}”, which is not known here`)
  }
  return options
}

interface Point {
  frequencyHz: number
  re: number
  im: number
  isOfTwoPorts: boolean
}

const NUMBER = /^[+-]?(\d+\.?\d*|\.\d+)([ed][+-]?\d+)?$/i

function pointOf(body: string, options: Options): Point | { why: string } {
  const cells = body.split(/[\s,]+/).filter(Boolean)
  if (cells.length !== ONE_PORT && cells.length !== TWO_PORTS)
    return { why: `${cells.length} numbers, where a frequency and a pair are wanted` }
  const odd = cells.find(cell => !NUMBER.test(cell))
  if (odd !== undefined) return { why: `“${odd.slice(0, 24)}” is no number` }
  const [frequency, first, second] = cells.map(cell => Number(cell.replace(/d/i, 'e'))) as [
    number,
    number,
    number,
  ]
  const frequencyHz = frequency * options.scaleHz
  if (!(frequencyHz >= 0)) return { why: 'the frequency is below nought' }
  const { re, im } = reflectionAt50(complexOf(first, second, options.format), options)
  if (!Number.isFinite(re) || !Number.isFinite(im)) return { why: 'no reflection comes of it' }
  return { frequencyHz, re, im, isOfTwoPorts: cells.length === TWO_PORTS }
}

interface Complex {
  re: number
  im: number
}

function complexOf(first: number, second: number, format: Options['format']): Complex {
  if (format === 'ri') return { re: first, im: second }
  const size = format === 'db' ? 10 ** (first / 20) : first
  const angle = (second * Math.PI) / 180
  return { re: size * Math.cos(angle), im: size * Math.sin(angle) }
}

/** Y and Z stand over the reference in version 1; all of them come to Γ at 50 Ω. */
function reflectionAt50(value: Complex, { parameter, referenceOhm }: Options): Complex {
  return renormalised(asReflection(value, parameter), referenceOhm)
}

function asReflection(value: Complex, parameter: Options['parameter']): Complex {
  const one = { re: 1, im: 0 }
  switch (parameter) {
    case 's':
      return value
    case 'z':
      return divide(minus(value, one), plus(value, one))
    case 'y':
      return divide(minus(one, value), plus(one, value))
  }
}

/**
 * Γ at 50 Ω of a reflection counted from another resistance: (Γ − ρ)/(1 − ρΓ), ρ = (50 − R)/(50 + R).
 * @see K. Kurokawa, IEEE Trans. MTT-13 (1965) 194, for real references (from memory).
 */
export function renormalised(reflection: Complex, referenceOhm: number): Complex {
  if (referenceOhm === REFERENCE_OHM) return reflection
  const rho = (REFERENCE_OHM - referenceOhm) / (REFERENCE_OHM + referenceOhm)
  return divide(minus(reflection, { re: rho, im: 0 }), {
    re: 1 - rho * reflection.re,
    im: -rho * reflection.im,
  })
}

const plus = (a: Complex, b: Complex): Complex => ({ re: a.re + b.re, im: a.im + b.im })
const minus = (a: Complex, b: Complex): Complex => ({ re: a.re - b.re, im: a.im - b.im })

function divide(a: Complex, b: Complex): Complex {
  const size = b.re * b.re + b.im * b.im
  return { re: (a.re * b.re + a.im * b.im) / size, im: (a.im * b.re - a.re * b.im) / size }
}

/** A port that sends back more than this is no antenna, or was not calibrated. */
const PASSIVE = 1.02

function understoodOf(
  points: readonly Point[],
  {
    options,
    twoPorts,
    bad,
    hasOptions,
  }: { options: Options; twoPorts: number; bad: ReflectionSweep['bad']; hasOptions: boolean },
): string[] {
  const active = points.filter(({ re, im }) => Math.hypot(re, im) > PASSIVE).length
  return [
    `${points.length} points.`,
    ...(hasOptions ? [] : ['No option line: GHz, S, magnitude and angle, 50 Ω, as the format has it.']),
    ...(options.referenceOhm === REFERENCE_OHM
      ? []
      : [`Counted from ${options.referenceOhm} Ω; renormalised to 50 Ω.`]),
    ...(twoPorts > 0 ? ['It is of two ports: the reflection of the first is taken.'] : []),
    ...(active > 0
      ? [`${active} points send back more than they are sent: was the analyser calibrated?`]
      : []),
    ...badWords(bad),
  ]
}

const NAMED = 5

function badWords(bad: ReflectionSweep['bad']): string[] {
  if (bad.length === 0) return []
  const named = bad.slice(0, NAMED).map(({ line, why }) => `line ${line} (${why})`)
  const more = bad.length > NAMED ? ` and ${bad.length - NAMED} more` : ''
  return [`${bad.length} ${bad.length === 1 ? 'line' : 'lines'} passed over: ${named.join(', ')}${more}.`]
}

/** One point of a match of which only the size is known. */
export interface TypedMatch {
  frequencyHz: number
  /** |Γ|. */
  reflection: number
}

/** A one-port Touchstone file of what was typed: sizes only, the angle unknown and written as nought. */
export function writeTouchstone(points: readonly TypedMatch[], comments: readonly string[]): string {
  const rising = [...points].sort((a, b) => a.frequencyHz - b.frequencyHz)
  return [
    ...comments.map(words => `! ${words.replace(/[\r\n]+/g, ' ')}`),
    '! Only the size of the reflection was read; its angle is written as 0.',
    '# Hz S MA R 50',
    ...rising.map(({ frequencyHz, reflection }) => `${Math.round(frequencyHz)} ${reflection.toFixed(6)} 0`),
    '',
  ].join('\n')
}
