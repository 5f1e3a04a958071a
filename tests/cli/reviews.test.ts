import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { csvParse } from 'd3-dsv'
import MarkdownIt from 'markdown-it'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { demoReview } from '#core/demo'
import { publish } from '#core/publication'
import { type Review, writeReviewFile } from '#core/review'
import { run } from '../../cli/main'

const folder = mkdtempSync(join(tmpdir(), 'rigorous-meter-reviews-'))
const path = (name: string) => join(folder, name)
const AT = '2026-11-27T10:00:00.000Z'

async function shell(...argv: string[]) {
  const told = { out: '', err: '', code: 0 }
  told.code = await run(argv, { out: text => (told.out += text), err: text => (told.err += text) })
  return told
}

/** The demo, with its second sample’s ×2 read 10 dB lower, and one reading fewer. */
function mended(review: Review): Review {
  const readings = review.readings
    .filter(({ setId, slot }) => !(setId === 'mini' && slot === 'x2'))
    .map(one =>
      one.setId === 'trek-b' && one.slot === 'x2' && one.seen.as === 'level'
        ? { ...one, seen: { ...one.seen, levelDbm: one.seen.levelDbm - 20 } }
        : one,
    )
  return { ...review, readings: readings as Review['readings'] }
}

beforeAll(() => {
  const demo = demoReview()
  const write = (name: string, review: Review) =>
    writeFileSync(path(name), writeReviewFile({ ...demo, review }, { version: 'test', at: AT }))
  write('demo.json', demo.review)
  write('mended.json', mended(demo.review))
  write('clean.json', {
    ...demo.review,
    sets: demo.review.sets.filter(({ id }) => id === 'c1'),
    readings: demo.review.readings.filter(({ setId }) => setId === 'c1'),
    ...onlyOf(demo.review, 'c1'),
  })
  writeFileSync(path('broken.json'), '{"format":"rigorous-meter-review"')
})
afterAll(() => rmSync(folder, { recursive: true }))

/** What belongs to one radio of a review. */
function onlyOf({ traces, curves, keyDowns, notes, clips }: Review, id: string): Partial<Review> {
  const own = <T extends { setId: string }>(list: T[]) => list.filter(({ setId }) => setId === id)
  return {
    traces: own(traces),
    curves: own(curves),
    keyDowns: own(keyDowns),
    notes: own(notes),
    clips: own(clips),
  }
}

interface Judged {
  sets: {
    name: string
    keying: { band: string; state: string }[]
    answers: { question: string; state: string; words: string }[]
  }[]
}

describe('judge', () => {
  it('prints every answer as JSON, and leaves with 3 where something is outside a limit', async () => {
    const { out, code, err } = await shell('judge', path('demo.json'))
    expect([code, err]).toEqual([3, ''])
    const { sets } = JSON.parse(out) as Judged
    const sample = sets.find(({ name }) => name.includes('sample B'))!
    expect(sample.keying).toMatchObject([
      { band: '2 m', state: 'not-without' },
      { band: '70 cm', state: 'not-yet' },
    ])
    expect(sample.answers.find(({ question }) => question === 'Is it clean on 2 m?')).toMatchObject({
      state: 'outside',
    })
  })

  it('leaves with 0 where nothing is outside a limit', async () => {
    const { out, code } = await shell('judge', path('clean.json'))
    expect(code).toBe(0)
    expect((JSON.parse(out) as Judged).sets).toHaveLength(1)
  })

  it('prints a row for every judgement as CSV, as wide as its head', async () => {
    const { out } = await shell('judge', path('demo.json'), '--format', 'csv')
    const rows = csvParse(out)
    expect(rows.length).toBeGreaterThan(300)
    expect(rows.every(row => Object.keys(row).length === rows.columns.length)).toBe(true)
  })

  it('prints Markdown that another reader takes for tables, with nothing in it that was markup in a name', async () => {
    const { out } = await shell('judge', path('demo.json'), '--format', 'md')
    const html = new MarkdownIt().render(out)
    expect(html.match(/<table>/g)).toHaveLength(6)
    expect(html).toContain('Not without a filter or a change')
    expect(html).not.toContain('<em>')
  })

  it.each([
    [['judge'], 'Which review?'],
    [['judge', path('demo.json'), '--format', 'xml'], '--format takes json, csv, md.'],
    [['judge', path('broken.json')], 'it is not JSON, or it was cut short'],
    [['judge', path('nowhere.json')], 'There is no file'],
    [['judge', path('demo.json'), '--colour'], 'colour'],
  ])('%j: says what is wrong and leaves with 1', async (argv, words) => {
    const { out, err, code } = await shell(...argv)
    expect([code, out]).toEqual([1, ''])
    expect(err).toContain(words)
  })
})

describe('report', () => {
  it('is the whole report as Markdown: every section, and figures as the page has them', async () => {
    const { out, code } = await shell('report', path('demo.json'))
    expect(code).toBe(0)
    const heads = [...out.matchAll(/^## (.*)$/gm)].map(([, head]) => head)
    expect(heads.slice(0, 2)).toEqual(['What we can say', 'May I key it?'])
    expect(heads).toContain('Why this bench may be believed')
    expect(new MarkdownIt().render(out)).toContain('<table>')
  })
})

describe('diff', () => {
  it('names every figure that differs, and how many verdicts', async () => {
    const { out, code } = await shell('diff', path('demo.json'), path('mended.json'))
    expect(code).toBe(3)
    expect(out).toMatch(/Trek 2, sample B, Harmonics and spurs, .*×2: .*Outside.* → .*Inside/)
    expect(out).toMatch(/Mini 4, Harmonics and spurs, .*×2: .* → nothing/)
    expect(out).toMatch(/\d+ figures differ, of them \d+ in their verdict/)
  })

  it('says that nothing differs, with 0', async () => {
    expect(await shell('diff', path('demo.json'), path('demo.json'))).toMatchObject({
      code: 0,
      out: 'Nothing differs.\n',
    })
  })
})

describe('help', () => {
  it('names every command', async () => {
    const { out, code } = await shell('--help')
    expect(code).toBe(0)
    for (const name of ['judge', 'report', 'diff', 'analyse']) expect(out).toContain(`rigorous-meter ${name}`)
    expect((await shell('diff', '--help')).out).toContain('Exit code')
  })
})

describe('sheet', () => {
  it('draws one page about the model that is meant', async () => {
    const { code, out } = await shell('sheet', path('demo.json'), '--model', 'trek', '--paper', 'letter')
    expect(code).toBe(0)
    expect(out).toMatch(/^<\?xml .*\?>\n<svg [^>]*width="612" height="792"/)
    expect(out).toContain('Osmere Trek 2')
    expect(out).not.toMatch(/NaN|undefined/)
  })

  it('asks which where there are several, and refuses what it does not know', async () => {
    expect((await shell('sheet', path('demo.json'))).err).toContain('Which model?')
    expect((await shell('sheet', path('demo.json'), '--model', 'nobody')).err).toContain(
      'There is no such model',
    )
    expect((await shell('sheet', path('demo.json'), '--paper', 'a3')).err).toContain('a4 or letter')
    expect((await shell('sheet', path('clean.json'))).code).toBe(0)
  })
})

describe('check', () => {
  const write = (name: string, review: Review) =>
    writeFileSync(path(name), writeReviewFile({ ...demoReview(), review }, { version: 'test', at: AT }))

  it('says whether what was published stands, by its words and by its exit code', async () => {
    const demo = demoReview()
    const made = publish(demo, { id: 'p1', at: AT, who: 'Demo bench', note: '', version: 'test' })
    write('published.json', { ...demo.review, publications: [made] })
    write('tampered.json', { ...mended(demo.review), publications: [made] })

    const stands = await shell('check', path('published.json'))
    expect(stands.code).toBe(0)
    expect(stands.out).toContain('It stands')
    expect(stands.out).toContain('Not signed.')

    const tampered = await shell('check', path('tampered.json'))
    expect(tampered.code).toBe(3)
    expect(tampered.out).toContain('is not the one that was published')
    expect(tampered.out).toMatch(/Trek 2, sample B, Harmonics and spurs, .*×2: .* then, .* now/)

    const { out } = await shell('check', path('tampered.json'), '--json')
    expect((JSON.parse(out) as { state: string }[])[0]!.state).toBe('changed-since')
  })

  it('says so where nothing was published', async () => {
    const { code, err } = await shell('check', path('demo.json'))
    expect(code).toBe(1)
    expect(err).toContain('Nothing of “Fell-race marshals’ handhelds” was published')
  })
})
