import { COAX, coaxTerms } from './coaxFigures'
import type { Part, PartKind } from './types'

/** A part of the library: typical figures of such parts, marked typical until the owner gives their own. */
export interface LibraryPart {
  id: string
  title: string
  make: () => Omit<Part, 'id'>
}

/** The library's parts under the kinds people look for them. */
export interface LibraryGroup {
  title: string
  parts: LibraryPart[]
}

const BASE: Omit<Part, 'id' | 'kind' | 'name'> = {
  note: '',
  loss: { kind: 'figure', lossDb: 0 },
  lossUncertainty: {
    halfWidthDb: 0.1,
    distribution: 'rectangular',
    assumed: true,
    shareOfLoss: 0,
    flatnessDb: null,
  },
  vswr: 1.1,
  ratingW: null,
  zeroRatingAtC: null,
  peakW: null,
  fromHz: null,
  toHz: null,
  typical: true,
  calibrationId: null,
}

function part(
  kind: PartKind,
  name: string,
  change: Partial<Part>,
  halfWidthDb: number,
): () => Omit<Part, 'id'> {
  return () =>
    JSON.parse(
      JSON.stringify({
        ...BASE,
        kind,
        name,
        ...change,
        lossUncertainty: { ...BASE.lossUncertainty, halfWidthDb, ...change.lossUncertainty },
      }),
    ) as Omit<Part, 'id'>
}

function coax({ name, at100Db, at1000Db, spread, ratingW }: (typeof COAX)[number]): LibraryPart {
  return {
    id: `coax-${name.toLowerCase()}`,
    title: `${name}, 1 m`,
    make: () => ({
      ...part('jumper', `1 m ${name}`, { note: name, ratingW, vswr: 1.1, toHz: 3e9 }, 0.05)(),
      loss: { kind: 'coax', lengthM: 1, ...coaxTerms(at100Db, at1000Db) },
      lossUncertainty: {
        halfWidthDb: 0.05,
        distribution: 'rectangular',
        assumed: true,
        shareOfLoss: spread,
        flatnessDb: null,
      },
    }),
  }
}

const table = (points: [frequencyHz: number, lossDb: number][]): Part['loss'] => ({
  kind: 'table',
  points: points.map(([frequencyHz, lossDb]) => ({ frequencyHz, lossDb })),
})

/**
 * Parts a bench is made of, with typical figures (common practice, no source, but for the cables).
 * A pad: ±0.5 dB per 30 dB to 500 MHz and ±1.5 dB to 1 GHz when it is a cheap one (handbook, section 5).
 */
export const partLibrary: readonly LibraryGroup[] = [
  { title: 'Cables', parts: COAX.map(coax) },
  {
    title: 'Pads',
    parts: [
      {
        id: 'pad-3',
        title: '3 dB pad, 2 W',
        make: part(
          'pad',
          '3 dB pad',
          { loss: { kind: 'figure', lossDb: 3 }, vswr: 1.2, ratingW: 2, zeroRatingAtC: 125, toHz: 1e9 },
          0.3,
        ),
      },
      {
        id: 'pad-10',
        title: '10 dB pad, 2 W',
        make: part(
          'pad',
          '10 dB pad',
          { loss: { kind: 'figure', lossDb: 10 }, vswr: 1.2, ratingW: 2, zeroRatingAtC: 125, toHz: 1e9 },
          0.5,
        ),
      },
      {
        id: 'pad-20',
        title: '20 dB pad, 2 W',
        make: part(
          'pad',
          '20 dB pad',
          { loss: { kind: 'figure', lossDb: 20 }, vswr: 1.2, ratingW: 2, zeroRatingAtC: 125, toHz: 1e9 },
          0.5,
        ),
      },
      {
        id: 'pad-30-10',
        title: '30 dB pad, 10 W',
        make: part(
          'pad',
          '30 dB pad',
          { loss: { kind: 'figure', lossDb: 30 }, vswr: 1.2, ratingW: 10, zeroRatingAtC: 125, toHz: 1e9 },
          0.8,
        ),
      },
      {
        id: 'pad-40-50',
        title: '40 dB pad, 50 W',
        make: part(
          'pad',
          '40 dB pad',
          { loss: { kind: 'figure', lossDb: 40 }, vswr: 1.2, ratingW: 50, zeroRatingAtC: 125, toHz: 1e9 },
          1,
        ),
      },
    ],
  },
  {
    title: 'Adapters and blocks',
    parts: [
      {
        id: 'adapter',
        title: 'Adapter',
        make: part('adapter', 'Adapter', { loss: { kind: 'figure', lossDb: 0.05 } }, 0.05),
      },
      {
        id: 'dc-block',
        title: 'DC block',
        make: part(
          'dc-block',
          'DC block',
          { loss: { kind: 'figure', lossDb: 0.3 }, vswr: 1.2, ratingW: 2, fromHz: 10e6, toHz: 3e9 },
          0.3,
        ),
      },
    ],
  },
  {
    title: 'Taps and couplers',
    parts: [
      {
        id: 'sampler-40',
        title: 'Through-line sampler, 40 dB',
        make: part(
          'sampler',
          'Through-line sampler',
          {
            note: 'its through port goes to a load',
            loss: { kind: 'figure', lossDb: 40 },
            vswr: 1.1,
            ratingW: 200,
            fromHz: 1e6,
            toHz: 1e9,
          },
          1,
        ),
      },
      {
        id: 'coupler-20',
        title: 'Directional coupler, 20 dB',
        make: part(
          'coupler',
          'Directional coupler',
          {
            note: 'its through port goes to a load',
            loss: { kind: 'figure', lossDb: 20 },
            vswr: 1.2,
            ratingW: 50,
            fromHz: 50e6,
            toHz: 1e9,
          },
          1,
        ),
      },
      {
        id: 'combiner-2',
        title: 'Two-way combiner, 6 dB',
        make: part(
          'combiner',
          'Two-way combiner',
          { note: 'resistive', loss: { kind: 'figure', lossDb: 6 }, vswr: 1.2, ratingW: 1, toHz: 1e9 },
          0.4,
        ),
      },
    ],
  },
  {
    title: 'Filters',
    parts: [
      {
        id: 'low-pass-150',
        title: 'Low-pass, 150 MHz',
        make: part(
          'filter',
          'Low-pass filter',
          {
            note: 'keeps a carrier, takes its harmonics',
            loss: table([
              [1e6, 0.2],
              [150e6, 0.5],
              [175e6, 3],
              [290e6, 40],
              [1e9, 50],
            ]),
            vswr: 1.3,
            ratingW: 50,
          },
          0.3,
        ),
      },
      {
        id: 'high-pass-200',
        title: 'High-pass, 200 MHz',
        make: part(
          'filter',
          'High-pass filter',
          {
            note: 'keeps the analyser from making harmonics of its own',
            loss: table([
              [50e6, 60],
              [148e6, 40],
              [190e6, 3],
              [230e6, 0.7],
              [1e9, 1],
            ]),
            vswr: 1.5,
            ratingW: 1,
          },
          0.5,
        ),
      },
    ],
  },
  {
    title: 'Loads',
    parts: [
      {
        id: 'load-5',
        title: 'Load, 5 W',
        make: part('load', '5 W load', { vswr: 1.2, ratingW: 5, zeroRatingAtC: 125, toHz: 1e9 }, 0),
      },
      {
        id: 'load-50',
        title: 'Load, 50 W',
        make: part('load', '50 W load', { vswr: 1.2, ratingW: 50, zeroRatingAtC: 125, toHz: 1e9 }, 0),
      },
      {
        id: 'load-100',
        title: 'Load, 100 W',
        make: part('load', '100 W load', { vswr: 1.2, ratingW: 100, zeroRatingAtC: 125, toHz: 500e6 }, 0),
      },
    ],
  },
]

/** A new part from the library. */
export function libraryPart(libraryId: string, id: string): Part {
  const found =
    partLibrary.flatMap(({ parts }) => parts).find(entry => entry.id === libraryId) ??
    partLibrary[0]!.parts[0]!
  return { id, ...found.make() }
}
