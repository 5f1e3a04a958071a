/** What a band is used for: which rules speak of it. */
export type Service = 'amateur' | 'citizens' | 'short-range' | 'marine' | 'airband' | 'land-mobile'

/** Where a reviewer lives. */
export interface Home {
  id: string
  title: string
  /** Rulebooks by service; a service that is not named is judged by `otherwise`. */
  rulebookIds: Partial<Record<Service, readonly string[]>>
  /** What is general there. */
  otherwise: readonly string[]
}

/** Homes that can be chosen; which rules follow can be changed afterwards, band by band. */
export const homes: readonly Home[] = [
  {
    id: 'us',
    title: 'United States',
    rulebookIds: {
      amateur: ['us-amateur'],
      citizens: ['us-cb'],
      'short-range': ['us-frs'],
      marine: ['us-marine'],
      'land-mobile': ['us-land-mobile'],
    },
    otherwise: ['itu-spurious'],
  },
  {
    id: 'ca',
    title: 'Canada',
    rulebookIds: { citizens: ['ca-cb'], 'land-mobile': ['ca-land-mobile'] },
    otherwise: ['itu-spurious'],
  },
  {
    id: 'eu',
    title: 'European Union',
    rulebookIds: {
      amateur: ['eu-amateur'],
      citizens: ['eu-cb'],
      'short-range': ['eu-pmr446'],
      marine: ['eu-marine'],
      'land-mobile': ['eu-land-mobile'],
    },
    otherwise: ['eu-spurious'],
  },
  {
    id: 'uk',
    title: 'United Kingdom',
    rulebookIds: {
      amateur: ['eu-amateur'],
      citizens: ['eu-cb', 'uk-cb'],
      'short-range': ['eu-pmr446'],
      marine: ['eu-marine'],
      'land-mobile': ['eu-land-mobile'],
    },
    otherwise: ['eu-spurious'],
  },
  { id: 'elsewhere', title: 'Elsewhere', rulebookIds: {}, otherwise: ['itu-spurious'] },
]

/** The rulebooks a band of a service is judged by at a home. */
export function rulebooksAt(home: Home, service: Service): readonly string[] {
  return home.rulebookIds[service] ?? home.otherwise
}
