import { printMhz } from '../quantity'
import type { RadioSet } from '../review'
import {
  CARRIER_POWER_ID,
  droopOf,
  HARMONICS_ID,
  isRead,
  limitSource,
  OFF_AIR_ID,
  POWER_OVER_TIME_ID,
  rangeWords,
  type SlotResult,
  type StationContext,
  type StepResult,
  STRESS_ID,
  USUAL_DROOP_DB,
  valueWords,
  wantedStations,
} from '../station'
import type { ReportBlock, ReportCell } from './model'

/** Every step of the stations besides power and harmonics that something was read at, as tables. */
export function figureTables(set: RadioSet, context: StationContext): ReportBlock[] {
  return wantedStations(context)
    .filter(({ id }) => id !== CARRIER_POWER_ID && id !== HARMONICS_ID)
    .flatMap(station =>
      station
        .plan(set, context)
        .map(step => station.evaluate(step, context))
        .filter(result => result.slots.some(isRead))
        .flatMap(result => tableOf(station.title, result, context)),
    )
}

function tableOf(title: string, result: StepResult, context: StationContext): ReportBlock[] {
  const read = result.slots.filter(isRead)
  const notes = [...new Set(read.flatMap(slot => slot.notes))]
  const reasons = [
    ...new Set(
      read.flatMap(slot => slot.each.map(({ limit }) => `${limitSource(limit).join(', ')}: ${limit.reason}`)),
    ),
  ]
  const own = context.review.notes
    .filter(note => note.setId === result.step.set.id && note.stepId === result.step.id)
    .at(-1)
  return [
    {
      kind: 'table',
      caption: `${title}, ${printMhz(result.step.channel.frequencyHz)}, ${result.step.level.name}`,
      widths: [24, 14, 14, 12, 14, 22],
      head: [
        { text: 'What' },
        { text: 'As read', align: 'right' },
        { text: 'Comes to', align: 'right' },
        { text: 'Range', align: 'right' },
        { text: 'Margin' },
        { text: 'Verdict' },
      ],
      rows: read.map((slot): ReportCell[] => [
        cell(slot.slot.label),
        cell(slot.reading?.text ?? slot.figure?.reading.text ?? '', 'right'),
        cell(valueWords(slot), 'right'),
        cell(rangeWords(slot), 'right'),
        slot.verdict.state === 'observation' || slot.verdict.state === 'no-figure'
          ? cell('')
          : { kind: 'strip', verdict: slot.verdict },
        { kind: 'verdict', verdict: slot.verdict, words: slot.words },
      ]),
    },
    { kind: 'paragraph', quiet: true, text: conditionWords(read) },
    ...besides(result, context),
    ...reasons.map((text): ReportBlock => ({ kind: 'paragraph', quiet: true, text })),
    ...(own ? [{ kind: 'paragraph' as const, text: `Note: ${own.text}` }] : []),
    ...(notes.length > 0 ? [{ kind: 'list' as const, items: notes }] : []),
  ]
}

/**
 * What belongs to a station besides its figures: the geometry off the air, the owner’s consent, the droop.
 */
function besides(result: StepResult, context: StationContext): ReportBlock[] {
  const { stationId, set } = result.step
  const consent = set.stressConsent
  const droop = stationId === POWER_OVER_TIME_ID ? droopOf(result.slots) : null
  const texts = [
    ...(stationId === OFF_AIR_ID
      ? [
          `An observation, never a verdict. Where radio and receive antenna stood: ${context.review.settings.offAirGeometry || 'not written down'}.`.replace(
            '..',
            '.',
          ),
        ]
      : []),
    ...(stationId === STRESS_ID && consent
      ? [`Consent by ${consent.by || 'the owner'}, ${consent.at.slice(0, 10)}. ${result.words}.`]
      : []),
    ...(droop
      ? [
          `${result.words}${droop.timeConstantS === null ? '' : `, time constant about ${Math.round(droop.timeConstantS)} s`}; ${USUAL_DROOP_DB} dB over five minutes is usual (common practice, no source).`,
        ]
      : []),
  ]
  return texts.map(text => ({ kind: 'paragraph', text }))
}

function conditionWords(read: readonly SlotResult[]): string {
  const taken = read.flatMap(({ reading, figure }) => reading ?? figure?.reading ?? [])
  const minutes = [...new Set(taken.map(({ at }) => at.slice(0, 16).replace('T', ' ')))].sort()
  const list = (of: (string | null)[]) => [...new Set(of.filter((one): one is string => !!one))].join(', ')
  const files = list(
    taken.map(({ source }) => {
      if (source.kind === 'recording')
        return `${source.fileName}${source.sha256 ? ` (SHA-256 ${source.sha256.slice(0, 12)}…)` : ''}`
      if (source.kind === 'link') return source.instrument
      return null
    }),
  )
  return (
    [
      `Read ${minutes[0]}${minutes.length > 1 ? ` to ${minutes.at(-1)}` : ''} UTC`,
      list(taken.map(({ supply }) => supply || 'supply not recorded')),
      list(taken.map(({ ambientC }) => (ambientC === null ? null : `${ambientC} °C`))),
      list(taken.map(({ who }) => (who ? `by ${who}` : null))),
      files && `from ${files}`,
    ]
      .filter(Boolean)
      .join('; ') + '.'
  )
}

function cell(text: string, align: 'left' | 'right' = 'left'): ReportCell {
  return { kind: 'text', text, align }
}
