import Joi from 'joi'
import { parse as secureParse } from 'secure-json-parse'
import { nestedTooDeep } from '../../json'
import { badFile } from '../traceText'
import type { SampleFormat } from './sampleFormat'

/** What is used of a SigMF metadata file. */
export interface SigmfMeta {
  global: {
    'core:datatype': string
    'core:version': string
    'core:sample_rate'?: number
    'core:num_channels'?: number
    'core:description'?: string
    [key: string]: unknown
  }
  captures: { 'core:sample_start': number; 'core:frequency'?: number; [key: string]: unknown }[]
  annotations: SigmfAnnotation[]
}

/** An annotation of a recording, by the names of SigMF 1.0 (from memory); edges in Hz. */
export interface SigmfAnnotation {
  'core:sample_start': number
  'core:sample_count'?: number
  'core:freq_lower_edge'?: number
  'core:freq_upper_edge'?: number
  'core:label'?: string
  'core:comment'?: string
  'core:generator'?: string
  [key: string]: unknown
}

/** Highest frequency SigMF knows, Hz. */
const HIGHEST_HZ = 1e12
/** Each capture becomes a recording of its own, to be chosen from a list. */
const MOST_CAPTURES = 1000
const MOST_ANNOTATIONS = 100_000
const MOST_META = { depth: 64, values: 5_000_000 }

const DATATYPE = /^([cr])(f32|f64|i32|i16|u32|u16|i8|u8)(?:_(le|be))?$/

/**
 * Required fields of SigMF: `core:datatype` and `core:version` in global, `core:sample_start` in every
 * capture and annotation, and the three
 * objects themselves.
 * @see SigMF specification 1.0, the core namespace (from memory).
 */
export const sigmfSchema = Joi.object<SigmfMeta>({
  global: Joi.object({
    'core:datatype': Joi.string().pattern(DATATYPE).required(),
    'core:version': Joi.string().required(),
    'core:sample_rate': Joi.number().greater(0).max(1e12),
    'core:num_channels': Joi.number().integer().min(1).max(64),
  })
    .unknown(true)
    .required(),
  captures: Joi.array()
    .items(
      Joi.object({
        'core:sample_start': Joi.number().integer().min(0).required(),
        'core:frequency': Joi.number().min(-HIGHEST_HZ).max(HIGHEST_HZ),
      }).unknown(true),
    )
    .max(MOST_CAPTURES)
    .required(),
  annotations: Joi.array()
    .items(Joi.object({ 'core:sample_start': Joi.number().integer().min(0).required() }).unknown(true))
    .max(MOST_ANNOTATIONS)
    .required(),
}).unknown(true)

/**
 * Reads a metadata file.
 * @throws CoreError `bad-file` in plain words when a required field is missing.
 */
export function readSigmfMeta(json: string, fileName: string): SigmfMeta {
  const tooMuch = nestedTooDeep(json, MOST_META)
  if (tooMuch) throw badFile(fileName, null, tooMuch)
  let data: unknown
  try {
    data = secureParse(json.charCodeAt(0) === 0xfeff ? json.slice(1) : json, null, {
      protoAction: 'remove',
      constructorAction: 'remove',
    })
  } catch {
    throw badFile(fileName, null, json.trim() === '' ? 'it is empty' : 'it is not JSON, or it was cut short')
  }
  const { error, value } = sigmfSchema.validate(data, { convert: false })
  if (error) throw badFile(fileName, null, refusalWords(error.details[0]!))
  return value as SigmfMeta
}

function refusalWords({ path, type, context }: Joi.ValidationErrorItem): string {
  const where = path.join(' › ') || 'the whole'
  switch (type) {
    case 'array.max':
      return `it has more than ${(context as { limit: number }).limit} ${where}, more than are read`
    case 'any.required':
      return `it is not SigMF metadata as the standard asks: ${where} is missing`
    default:
      return `it is not SigMF metadata as the standard asks: ${where} is not as it should be`
  }
}

/** The letter a datatype says its encoding with. */
const ENCODINGS = { f: 'float', u: 'uint', i: 'int' } as const
const LETTERS = { float: 'f', uint: 'u', int: 'i' } as const

/** How the samples of a dataset lie. */
export function sigmfFormat(meta: SigmfMeta): SampleFormat {
  const [, domain, kind = 'f32', order] = DATATYPE.exec(meta.global['core:datatype'])!
  return {
    encoding: ENCODINGS[kind[0] as keyof typeof ENCODINGS],
    bits: Number(kind.slice(1)) as SampleFormat['bits'],
    littleEndian: order !== 'be',
    channels: (domain === 'c' ? 2 : 1) * (meta.global['core:num_channels'] ?? 1),
  }
}

/** True when the dataset holds I and Q. */
export function sigmfIsComplex(meta: SigmfMeta): boolean {
  return meta.global['core:datatype'].startsWith('c')
}

/** A datatype that describes samples as they lie, for metadata written beside another kind of file. */
export function sigmfDatatype(format: SampleFormat, complex: boolean): string {
  const kind = `${complex ? 'c' : 'r'}${LETTERS[format.encoding]}${format.bits}`
  return format.bits === 8 ? kind : `${kind}_${format.littleEndian ? 'le' : 'be'}`
}

/** Something found in a recording, to be marked in its metadata; frequencies relative to its middle. */
export interface Found {
  label: string
  comment: string
  lowHz: number
  highHz: number
}

/**
 * Metadata with what was found added as annotations over the samples that were read, from `firstSample` of
 * the dataset on; what was there stays.
 */
export function withAnnotations(
  meta: SigmfMeta,
  found: readonly Found[],
  capture: { firstSample: number; sampleCount: number; centreHz: number | null; generator: string },
): SigmfMeta {
  const annotations = found.map((one): SigmfAnnotation => ({
    'core:sample_start': capture.firstSample,
    'core:sample_count': capture.sampleCount,
    'core:freq_lower_edge': Math.round(((capture.centreHz ?? 0) + one.lowHz) * 1e3) / 1e3,
    'core:freq_upper_edge': Math.round(((capture.centreHz ?? 0) + one.highHz) * 1e3) / 1e3,
    'core:label': one.label.slice(0, 20),
    'core:comment': one.comment,
    'core:generator': capture.generator,
  }))
  return {
    ...meta,
    annotations: [...meta.annotations, ...annotations].sort(
      (a, b) => a['core:sample_start'] - b['core:sample_start'],
    ),
  }
}
