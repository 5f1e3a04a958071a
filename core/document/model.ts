import type { Verdict } from '../decision'
import type { Plot } from '../plot'

/** A cell of a report table. */
export type ReportCell =
  | { kind: 'text'; text: string; align?: 'left' | 'right'; strong?: boolean }
  | { kind: 'strip'; verdict: Verdict }
  | { kind: 'verdict'; verdict: Verdict; words: string }

/** A piece of the report. Writers turn each into their own medium; none adds or leaves out content. */
export type ReportBlock =
  | { kind: 'paragraph'; text: string; quiet?: boolean }
  | { kind: 'facts'; rows: [label: string, value: string][] }
  | { kind: 'list'; items: string[] }
  /** A picture kept beside the review; a medium that has no pictures tells of it. */
  | { kind: 'picture'; pictureId: string; caption: string; width: number; height: number }
  /** A drawing of figures, which a medium without drawings says in words. */
  | { kind: 'plot'; plot: Plot }
  | {
      kind: 'table'
      caption: string
      head: { text: string; align?: 'left' | 'right' }[]
      /** Relative widths, one per column. */ widths: number[]
      rows: ReportCell[][]
    }

/** A part of a report under a title of its own. */
export interface ReportSection {
  id: string
  title: string
  /** Starts on a new page when printed. */
  newPage?: boolean
  blocks: ReportBlock[]
}

/** The report as a document, the same for screen, print and PDF. */
export interface ReportDocument {
  title: string
  subtitle: string
  /** Stands at the foot of each page. */
  footer: string
  sections: ReportSection[]
}
