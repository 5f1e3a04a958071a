/** Colours a drawing is made with. */
export interface Inks {
  paper: string
  sheet: string
  ink: string
  ink2: string
  ink3: string
  line: string
  line2: string
  spruce: string
  inside: string
  insideWash: string
  close: string
  closeWash: string
  outside: string
  outsideWash: string
  notCovered: string
  observation: string
  noise: string
}

/** By day, and on paper. */
export const DAY: Inks = {
  paper: '#E9EEEC',
  sheet: '#FBFDFC',
  ink: '#17262B',
  ink2: '#4C5C5C',
  ink3: '#5C6B69',
  line: '#D2DAD7',
  line2: '#94A29D',
  spruce: '#1F5C57',
  inside: '#1F6F8B',
  insideWash: '#D8E5E6',
  close: '#8A5700',
  closeWash: '#F7E7C6',
  outside: '#8E2457',
  outsideWash: '#F5DDE6',
  notCovered: '#586866',
  observation: '#4C5C5C',
  noise: '#E1E7E5',
}

/** On the bench by night. */
export const NIGHT: Inks = {
  paper: '#10191C',
  sheet: '#18252A',
  ink: '#E6EEEB',
  ink2: '#B4C3BF',
  ink3: '#93A5A1',
  line: '#2C3B40',
  line2: '#5C7075',
  spruce: '#7CC4B6',
  inside: '#6FC0DA',
  insideWash: '#1E3A42',
  close: '#F0B74E',
  closeWash: '#3F341D',
  outside: '#F08AB5',
  outsideWash: '#42232F',
  notCovered: '#9DAEAA',
  observation: '#A9B8B5',
  noise: '#243237',
}

/** Which colours a drawing is made with. */
export type InkSet = 'day' | 'night'

/** The colours by name. */
export const INKS: Readonly<Record<InkSet, Inks>> = { day: DAY, night: NIGHT }
