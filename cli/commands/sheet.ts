import { parseArgs } from 'node:util'
import { type Model, modelsOf } from '#core/review'
import { PAPERS, type Paper, sheetDrawing, sheetOf } from '#core/sheet'
import { INKS, svgFile } from '#core/svg'
import type { Command } from '../command'
import { readReview } from '../readReview'
import { UsageError } from '../usageError'
import { version } from '../../package.json'

const USAGE = `rigorous-meter sheet REVIEW.json [options]

Prints one page about a model, its samples together, as SVG.

  --model NAME         which of several; make and model, or a part of them
  --paper a4|letter    a4 by default
  --inks day|night     day by default
`

/** One page about a model. */
export const sheetCommand: Command = {
  name: 'sheet',
  usage: USAGE,
  run: async (argv, progress) => {
    const { values, positionals } = parseArgs({
      args: [...argv],
      allowPositionals: true,
      options: {
        model: { type: 'string' },
        paper: { type: 'string', default: 'a4' },
        inks: { type: 'string', default: 'day' },
      },
    })
    const [file] = positionals
    if (file === undefined || positionals.length > 1) throw new UsageError(`Which review?\n\n${USAGE}`)
    const { paper, inks } = values
    if (!isPaper(paper)) throw new UsageError('--paper takes a4 or letter.')
    if (inks !== 'day' && inks !== 'night') throw new UsageError('--inks takes day or night.')
    const { context } = await readReview(file)
    const model = chosen(modelsOf(context.review), values.model)
    progress(`Drawing the sheet of ${model.name}`)
    const sheet = sheetOf(model, context, { version, mark: '' })
    return { text: svgFile(sheetDrawing(sheet, { paper, inks: INKS[inks] })), code: 0 }
  },
}

const isPaper = (name: string): name is Paper => Object.hasOwn(PAPERS, name)

/** The one model that is meant. */
function chosen(models: readonly Model[], wanted: string | undefined): Model {
  const names = models.map(({ name }) => name).join(', ')
  const meant =
    wanted === undefined
      ? models
      : models.filter(({ name }) => name.toLowerCase().includes(wanted.toLowerCase()))
  const [first, ...others] = meant
  if (!first) throw new UsageError(`There is no such model in it. There are: ${names || 'none'}.`)
  if (others.length > 0 && wanted !== undefined)
    throw new UsageError(`“${wanted}” may be ${meant.map(({ name }) => name).join(' or ')}.`)
  if (others.length > 0) throw new UsageError(`Which model? --model takes one of: ${names}.`)
  return first
}
