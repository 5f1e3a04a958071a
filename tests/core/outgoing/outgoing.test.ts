import MarkdownIt from 'markdown-it'
import { describe, expect, it } from 'vitest'
import { createContext } from '#core/context'
import { demoReview } from '#core/demo'
import { toMarkdown } from '#core/document'
import { forumPost, letterOfFindings, videoDescription, webPage } from '#core/outgoing'
import { buildReport, readingsCsv } from '#core/report'
import { modelsOf, readReviewFile } from '#core/review'
import { sheetOf } from '#core/sheet'

const { review } = demoReview()
const context = createContext(review)
const model = modelsOf(review).find(({ name }) => name === 'Osmere Trek 2')!
const mark = '7F3A-21C9'
const stamp = { version: '1.0.0', at: '27 November 2026', mark }
const sheet = sheetOf(model, context, stamp)
const golden = (name: string) => `../../golden/${name}`

describe('what goes out, in plain text (golden: read by eye)', () => {
  it('video description', () =>
    expect(videoDescription(sheet, { mark })).toMatchFileSnapshot(golden('video.txt')))
  it('forum post', () =>
    expect(forumPost(model, sheet, { context, mark })).toMatchFileSnapshot(golden('post.md')))
  it('letter of findings', () =>
    expect(toMarkdown(letterOfFindings(model, context, stamp))).toMatchFileSnapshot(golden('letter.md')))
  it('report', () => expect(toMarkdown(buildReport(context, stamp))).toMatchFileSnapshot(golden('report.md')))
  it('table of readings', () => expect(readingsCsv(context)).toMatchFileSnapshot(golden('readings.csv')))
})

describe('closing words of the reviewer', () => {
  const closing = 'Reach me at the club. Nobody paid for this.'
  it('stand at the end of what goes out, and only where there are any', () => {
    const letter = toMarkdown(letterOfFindings(model, context, { ...stamp, closing }))
    const post = forumPost(model, sheet, { context, mark, closing })
    const video = videoDescription(sheet, { mark, closing })
    for (const text of [letter, post, video]) expect(text).toContain(closing)
    expect(video.trimEnd().endsWith(closing)).toBe(true)
    expect(videoDescription(sheet, { mark, closing: ' ' })).toBe(videoDescription(sheet, { mark }))
  })
})

describe('a letter to a maker', () => {
  const text = toMarkdown(letterOfFindings(model, context, stamp))

  it('names units, clauses, ranges and an offer to repeat', () => {
    for (const words of ['serial number', '47 CFR 97', '±', 'We repeat any of these readings', mark])
      expect(text).toContain(words)
  })

  it('accuses nobody', () => {
    expect(text).not.toMatch(/violat|illegal|cheat|fraud|false|\blie[sd]?\b(?! (out|in)side)|mislead|fail/i)
  })
})

describe('a forum post', () => {
  it('is read by another Markdown program as tables with as many columns as heads', () => {
    const html = new MarkdownIt().render(forumPost(model, sheet, { context, mark }))
    for (const table of html.match(/<table>[\s\S]*?<\/table>/g)!) {
      const heads = table.match(/<th[ >]/g)!.length
      for (const row of table.match(/<tbody>[\s\S]*<\/tbody>/)![0].match(/<tr>[\s\S]*?<\/tr>/g)!)
        expect(row.match(/<td[ >]/g)!.length).toBe(heads)
    }
  })
})

describe('a web page', () => {
  const page = webPage(context, { ...stamp, writtenAt: '2026-11-27T10:00:00.000Z' })

  it('holds the review, which opens again', () => {
    const json = /<script type="application\/json" id="rigorous-meter-review">([\s\S]*?)<\/script>/.exec(
      page,
    )![1]!
    const read = readReviewFile(json, 'page')
    expect(read.review.readings).toEqual(review.readings)
  })

  it('runs nothing and asks for nothing from anywhere', () => {
    const scripts = [...page.matchAll(/<script type="([^"]+)"/g)].map(([, type]) => type)
    expect(scripts).toEqual(['application/ld+json', 'application/json'])
    expect(page).not.toMatch(/<(img|link|iframe|object|embed)\b|url\(|@import|\son\w+=/i)
    expect(page.match(/https?:\/\/[^"'\s<]+/g)!.every(url => /schema\.org|w3\.org/.test(url))).toBe(true)
  })

  it('lets no name end a script or begin an element', () => {
    const evil = '</script><script>alert(1)</script><img src=x onerror=alert(1)>'
    const named = { ...review, title: evil, reviewer: evil, purpose: evil }
    const bad = webPage(createContext(named), { ...stamp, writtenAt: '2026-11-27T10:00:00.000Z' })
    expect(bad.match(/<script/g)).toHaveLength(2)
    expect(bad).not.toContain('<img')
  })
})
