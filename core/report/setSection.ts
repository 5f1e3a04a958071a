import {
  printClaimW,
  printMhz,
  printMhzFigure,
  printRange,
  printSigned,
  printWatts,
  wattsFromDbm,
} from '../quantity'
import { checkBatteryLabel, type RadioSet, setName } from '../review'
import {
  CARRIER_POWER_ID,
  HARMONICS_ID,
  limitSource,
  stationById,
  type StationContext,
  type StepResult,
  wantedStations,
} from '../station'
import { figureTables } from './figureSection'
import type { ReportBlock, ReportCell, ReportSection } from './model'

/** One radio: its card, its claims, every reading with range and verdict, and what was not covered. */
export function setSection(set: RadioSet, context: StationContext, index: number): ReportSection {
  const power = stationById(CARRIER_POWER_ID)
  const harmonics = stationById(HARMONICS_ID)
  const powerResults = power.plan(set, context).map(step => power.evaluate(step, context))
  const harmonicResults = harmonics.plan(set, context).map(step => harmonics.evaluate(step, context))
  const others = wantedStations(context)
    .filter(({ id, optional }) => !optional && id !== CARRIER_POWER_ID && id !== HARMONICS_ID)
    .flatMap(station => station.plan(set, context).map(step => station.evaluate(step, context)))
  return {
    id: `set-${set.id}`,
    title: setName(set),
    newPage: index === 0 || undefined,
    blocks: [
      card(set),
      ...carrierPower(powerResults),
      ...harmonicResults.filter(result => result.progress.read > 0).flatMap(harmonicTable),
      ...figureTables(set, context),
      notCovered([...powerResults, ...harmonicResults, ...others]),
    ],
  }
}

function card(set: RadioSet): ReportBlock {
  const battery = checkBatteryLabel(set.battery)
  const claims = set.bands.map(
    band =>
      `${band.name}: ${set.levels
        .map(level => {
          const claim = band.claims[level.id]
          return `${level.name} ${!claim || claim.kind === 'no-level' ? 'none' : claim.kind === 'watts' ? printClaimW(claim.powerW) : 'the maker does not say'}`
        })
        .join(', ')}`,
  )
  const rows: [string, string][] = [
    ['Role', set.role === 'control' ? 'control radio' : 'under test'],
    ['Serial', set.serial],
    ['Firmware', set.firmware],
    ['Price', set.price],
    ['How obtained', set.howObtained],
    ['In the box', set.inTheBox],
    ['Battery label', set.battery.voltageV === null && set.battery.energyWh === null ? '' : battery.words],
    ['Claimed power', claims.join('; ')],
  ]
  return { kind: 'facts', rows: rows.map(([label, value]) => [label, value || 'not recorded']) }
}

function carrierPower(results: StepResult[]): ReportBlock[] {
  const read = results.filter(result => result.progress.read > 0)
  if (read.length === 0) return []
  const rows = read.map((result): ReportCell[] => {
    const slot = result.slots[0]!
    const reading = slot.reading!
    return [
      text(printMhzFigure(result.step.channel.frequencyHz), 'right'),
      text(result.step.level.name),
      text(reading.text, 'right'),
      text(
        slot.corrected
          ? `${slot.corrected.isUpperBound ? '< ' : ''}${printWatts(wattsFromDbm(slot.corrected.levelDbm))}`
          : '–',
        'right',
      ),
      text(slot.corrected ? printRange(slot.corrected.budget) : '–', 'right'),
      text(result.step.claim.kind === 'watts' ? printClaimW(result.step.claim.powerW) : 'not said', 'right'),
      { kind: 'strip', verdict: slot.verdict },
      { kind: 'verdict', verdict: slot.verdict, words: slot.words },
    ]
  })
  return [
    {
      kind: 'table',
      caption: 'Carrier power',
      widths: [11, 8, 11, 10, 10, 9, 18, 23],
      rows,
      head: [
        { text: 'MHz', align: 'right' },
        { text: 'Level' },
        { text: 'As read', align: 'right' },
        { text: 'At socket', align: 'right' },
        { text: 'Range', align: 'right' },
        { text: 'Claim', align: 'right' },
        { text: 'Margin' },
        { text: 'Verdict' },
      ],
    },
    conditions(read),
  ]
}

function harmonicTable(result: StepResult): ReportBlock[] {
  const rows = result.slots.map((slot): ReportCell[] => {
    const against = slot.yardstick ?? slot
    const limit = slot.yardstick?.limit ?? slot.limit
    return [
      text(slot.slot.label),
      text(printMhzFigure(slot.slot.frequencyHz), 'right'),
      text(slot.reading?.text ?? '–', 'right'),
      text(
        slot.corrected
          ? `${slot.corrected.isUpperBound ? '< ' : ''}${printSigned(slot.corrected.levelDbm)}`
          : '–',
        'right',
      ),
      text(slot.corrected ? printRange(slot.corrected.budget) : '–', 'right'),
      text(limit?.kind === 'limit' ? printSigned(limit.limitDbm, 2) : '–', 'right'),
      slot.slot.id === 'x1' ? text('') : { kind: 'strip', verdict: against.verdict },
      {
        kind: 'verdict',
        verdict: slot.verdict,
        words: slot.yardstick
          ? `No figure in law. Yardstick: ${slot.yardstick.words}`
          : slot.verdict.state === 'not-covered'
            ? `${slot.words}${slot.verdict.why ? `: ${slot.verdict.why}` : ''}`
            : slot.words,
      },
    ]
  })
  const reasons = reasonsOf(result)
  const notes = [...new Set(result.slots.flatMap(slot => slot.notes))]
  return [
    {
      kind: 'table',
      caption: `Harmonics of ${printMhz(result.step.channel.frequencyHz)}, ${result.step.level.name}`,
      widths: [6, 13, 10, 12, 10, 11, 16, 22],
      rows,
      head: [
        { text: '×' },
        { text: 'MHz', align: 'right' },
        { text: 'As read', align: 'right' },
        { text: 'At radio, dBm', align: 'right' },
        { text: 'Range', align: 'right' },
        { text: 'Limit, dBm', align: 'right' },
        { text: 'Margin' },
        { text: 'Verdict' },
      ],
    },
    conditions([result]),
    ...reasons.map(text => ({ kind: 'paragraph' as const, quiet: true, text })),
    ...(notes.length > 0 ? [{ kind: 'list' as const, items: notes }] : []),
  ]
}

/** Why the limit is what it is, by every rulebook the step is judged by. */
function reasonsOf(result: StepResult): string[] {
  const judged = result.slots.find(slot => slot.each.length > 0)
  const limits = judged
    ? judged.each.map(({ limit }) => limit)
    : result.slots.flatMap(slot => slot.limit ?? []).slice(0, 1)
  return limits.map(limit => {
    const [title, ...clause] = limitSource(limit)
    const named = [
      limit.rulebook.owner === 'reviewer' ? `${title} (the reviewer’s own)` : title,
      ...clause,
    ].join(', ')
    return `${named}: ${limit.reason}${limit.kind === 'limit' && limit.recalled ? ` Recalled, confidence ${limit.confidence}; check the current text.` : ''}`
  })
}

function conditions(results: StepResult[]): ReportBlock {
  const readings = results.flatMap(result =>
    result.slots.flatMap(slot => (slot.reading ? [slot.reading] : [])),
  )
  const days = [...new Set(readings.map(reading => reading.at.slice(0, 16).replace('T', ' ')))].sort()
  const supplies = [...new Set(readings.map(reading => reading.supply || 'supply not recorded'))]
  const files = [
    ...new Set(
      readings.flatMap(reading =>
        reading.source.kind === 'file'
          ? [
              `${reading.source.fileName}${reading.source.sha256 ? ` (SHA-256 ${reading.source.sha256.slice(0, 12)}…)` : ' (made for the demo)'}`,
            ]
          : [],
      ),
    ),
  ]
  const first = days[0] ?? '–'
  const last = days[days.length - 1] ?? first
  return {
    kind: 'paragraph',
    quiet: true,
    text: `Read ${first === last ? first : `${first} to ${last}`} UTC; ${supplies.join(', ')}${files.length > 0 ? `; trace ${files.join(', ')}` : ''}.`,
  }
}

function notCovered(results: StepResult[]): ReportBlock {
  const items = results.flatMap(result => {
    const missing = result.slots.filter(
      slot => slot.verdict.state === 'not-covered' && !(slot.slot.optional && slot.missing),
    )
    if (missing.length === 0) return []
    const reasons = [...new Set(missing.map(slot => slot.verdict.why ?? 'Not measured yet.'))]
    return reasons.map(
      why =>
        `${stationById(result.step.stationId).title}, ${printMhz(result.step.channel.frequencyHz)}, ${result.step.level.name}${
          result.slots.length > 1
            ? ` (${missing
                .filter(slot => (slot.verdict.why ?? 'Not measured yet.') === why)
                .map(slot => slot.slot.label)
                .join(', ')})`
            : ''
        }: ${why}`,
    )
  })
  return items.length > 0
    ? { kind: 'list', items: ['What was not covered, and is not called clean:', ...items] }
    : { kind: 'paragraph', text: 'Every planned reading was covered.' }
}

function text(value: string, align: 'left' | 'right' = 'left'): ReportCell {
  return { kind: 'text', text: value, align }
}
