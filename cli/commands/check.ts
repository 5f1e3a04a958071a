import { parseArgs } from 'node:util'
import {
  type CheckedPublication,
  checkedState,
  checkedWords,
  checkPublications,
  keyFingerprint,
  shortMark,
} from '#core/publication'
import type { Command } from '../command'
import { readReview } from '../readReview'
import { UsageError } from '../usageError'
import { version } from '../../package.json'

const USAGE = `rigorous-meter check REVIEW.json [--json]

Works every figure of what was published out again, and compares it with what was frozen then.
Exit code 0 where every publication stands, 3 where one does not.

  --json               all differences as JSON
`

/** Exit code where a publication does not stand. */
const DOES_NOT_STAND = 3

/** Whether publications stand. */
export const checkCommand: Command = {
  name: 'check',
  usage: USAGE,
  run: async (argv, progress) => {
    const { values, positionals } = parseArgs({
      args: [...argv],
      allowPositionals: true,
      options: { json: { type: 'boolean', default: false } },
    })
    const [file] = positionals
    if (file === undefined || positionals.length > 1) throw new UsageError(`Which file?\n\n${USAGE}`)
    const { bundle } = await readReview(file)
    if (bundle.review.publications.length === 0)
      throw new UsageError(`Nothing of “${bundle.review.title}” was published in this file.`)
    progress(`Working out the figures of “${bundle.review.title}”`)
    const checked = checkPublications(bundle, version)
    const code = checked.every(one => checkedState(one) === 'stands') ? 0 : DOES_NOT_STAND
    const text = values.json
      ? JSON.stringify(checked.map(asData), null, 2)
      : checked.map(asLines).join('\n\n')
    return { text, code }
  },
}

function asData(checked: CheckedPublication) {
  const { publication, ...found } = checked
  const { id, at, who, sha256 } = publication
  return { id, at, who, sha256, state: checkedState(checked), ...found }
}

function asLines(checked: CheckedPublication): string {
  const { publication, differences, versions } = checked
  const by = publication.who === '' ? '' : ` by ${publication.who}`
  return [
    `${shortMark(publication)}, published ${publication.at.slice(0, 16).replace('T', ' ')} UTC${by}`,
    checkedWords(checked),
    signatureWords(checked),
    ...differences.map(
      ({ set, station, place, before, after }) =>
        `  ${set}, ${station}, ${place}: ${before} then, ${after} now`,
    ),
    ...versions.map(words => `  ${words}`),
  ].join('\n')
}

function signatureWords({ signature, publication }: CheckedPublication): string {
  if (signature === 'none' || !publication.signature) return 'Not signed.'
  const print = keyFingerprint(publication.signature)
  return signature === 'good'
    ? `Signed; fingerprint of the key: ${print}`
    : `Its signature is wrong (key ${print}).`
}
