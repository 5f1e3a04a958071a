import { stripGeometry, type Verdict } from '#core/decision'

/** Print colours of the strip: the light theme's, fixed, so that paper looks the same from both themes. */
const INK = '#17262B'
const STATE_COLOUR: Record<Verdict['state'], string> = {
  inside: '#1F6F8B',
  'too-close': '#8A5700',
  outside: '#8E2457',
  'not-covered': '#586866',
  'no-figure': '#586866',
  observation: '#4C5C5C',
}

/** Colour of a verdict on paper. */
export function printColour(state: Verdict['state']): string {
  return STATE_COLOUR[state]
}

/** A margin strip as SVG text for the PDF. Holds numbers only, no text from data. */
export function stripSvg(verdict: Verdict, size: { width: number; height: number }): string {
  const { width, height } = size
  const geometry = stripGeometry(verdict)
  const x = (share: number) => (share * width).toFixed(2)
  const top = height * 0.25
  const bar = height * 0.5
  const middle = height / 2
  const colour = STATE_COLOUR[verdict.state]
  const hatch = Array.from({ length: 12 }, (_unused, i) => {
    const from = geometry.limitAt * width + 3 + i * (((1 - geometry.limitAt) * width) / 12)
    return from + bar * 0.6 < width
      ? `<path d="M${from.toFixed(2)} ${(top + bar).toFixed(2)}L${(from + bar * 0.6).toFixed(2)} ${top.toFixed(2)}" stroke="#C993AB" stroke-width=".5"/>`
      : ''
  }).join('')
  const ticks = geometry.ticks
    .map(
      tick =>
        `<path d="M${x(tick)} ${(top + bar * 0.65).toFixed(2)}V${(top + bar).toFixed(2)}" stroke="#5C6B69" stroke-width=".5"/>`,
    )
    .join('')
  const whisker = geometry.whisker
    ? `<path d="M${x(geometry.whisker.from)} ${middle}H${x(geometry.whisker.to)}M${x(geometry.whisker.from)} ${middle - 2.4}V${middle + 2.4}M${x(geometry.whisker.to)} ${middle - 2.4}V${middle + 2.4}" stroke="${colour}" stroke-width=".9" fill="none"/>`
    : ''
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">` +
    `<rect x="0" y="${top}" width="${x(geometry.limitAt)}" height="${bar}" fill="#D8E5E6"/><rect x="${x(geometry.limitAt)}" y="${top}" width="${x(1 - geometry.limitAt)}" height="${bar}" fill="#F5DDE6"/>` +
    hatch +
    ticks +
    `<path d="M${x(geometry.limitAt)} ${height * 0.06}V${height * 0.94}" stroke="${INK}" stroke-width="1.3"/>` +
    whisker +
    (geometry.mark === null ? '' : markSvg(verdict.state, geometry.mark * width, middle, colour)) +
    '</svg>'
  )
}

function markSvg(state: Verdict['state'], x: number, y: number, colour: string): string {
  const common = `fill="${colour}" stroke="#FFFFFF" stroke-width=".5"`
  if (state === 'inside') return `<circle cx="${x.toFixed(2)}" cy="${y}" r="2.7" ${common}/>`
  if (state === 'too-close')
    return `<path d="M${x} ${y - 3.2}L${x + 3.2} ${y}L${x} ${y + 3.2}L${x - 3.2} ${y}Z" ${common}/>`
  return `<path d="M${x - 3.2} ${y - 2.7}H${x + 3.2}L${x} ${y + 3.2}Z" ${common}/>`
}
