/** Weight a text is set in. */
export type Weight = 400 | 700

/**
 * Advance widths, thousandths of the size, of space to tilde and a few signs more, read from the files of Atkinson
 * Hyperlegible Next as they ship with the application.
 */
const WIDTHS: Readonly<Record<Weight, Readonly<Record<string, number>>>> = {
  400: widthsOf(
    [
      280, 286, 301, 651, 592, 919, 731, 160, 299, 299, 485, 606, 210, 362, 210, 387, 648, 407, 548, 576, 614,
      588, 598, 510, 615, 595, 210, 210, 553, 628, 553, 480, 778, 626, 613, 645, 669, 569, 552, 694, 694, 392,
      512, 631, 541, 824, 693, 714, 592, 724, 614, 592, 558, 690, 593, 856, 623, 575, 607, 317, 387, 344, 552,
      372, 243, 525, 566, 485, 564, 538, 314, 558, 550, 252, 245, 492, 262, 845, 550, 548, 566, 574, 349, 471,
      326, 540, 461, 684, 481, 449, 460, 344, 237, 344, 555,
    ],
    {
      '−': 606,
      '×': 532,
      '±': 579,
      '°': 352,
      '–': 504,
      '—': 824,
      '“': 399,
      '”': 399,
      '’': 236,
      '·': 240,
      '›': 353,
      é: 538,
      '£': 610,
      '€': 664,
    },
  ),
  700: widthsOf(
    [
      312, 303, 390, 765, 610, 969, 725, 210, 335, 335, 485, 595, 271, 373, 272, 440, 659, 440, 579, 600, 624,
      607, 626, 537, 624, 571, 272, 272, 569, 612, 569, 547, 781, 678, 643, 658, 688, 597, 566, 718, 701, 424,
      561, 663, 552, 858, 717, 746, 629, 756, 650, 610, 607, 686, 644, 886, 685, 650, 618, 340, 440, 344, 582,
      400, 288, 552, 596, 510, 596, 563, 365, 593, 571, 300, 259, 555, 318, 882, 571, 576, 596, 599, 376, 508,
      376, 567, 530, 740, 539, 521, 505, 381, 254, 381, 537,
    ],
    {
      '−': 595,
      '×': 536,
      '±': 611,
      '°': 394,
      '–': 501,
      '—': 832,
      '“': 479,
      '”': 479,
      '’': 269,
      '·': 294,
      '›': 394,
      é: 563,
      '£': 634,
      '€': 678,
    },
  ),
}

function widthsOf(plain: readonly number[], more: Readonly<Record<string, number>>): Record<string, number> {
  return { ...Object.fromEntries(plain.map((width, i) => [String.fromCharCode(32 + i), width])), ...more }
}

/** A letter nobody measured. */
const USUAL = 620

/** Width of a text, in the unit of its size. */
export function textWidth(text: string, size: number, weight: Weight = 400): number {
  let sum = 0
  for (const char of text) sum += WIDTHS[weight][char] ?? (/\s/.test(char) ? WIDTHS[weight][' ']! : USUAL)
  return (sum * size) / 1000
}

/** A text in lines no wider than this; a word that is wider alone is cut. */
export function wrapped(text: string, width: number, { size, weight = 400 }: TextFace): string[] {
  const lines: string[] = []
  let line = ''
  for (const word of text
    .split(/[ \n]+/)
    .filter(Boolean)
    .flatMap(one => cut(one, width, { size, weight }))) {
    const longer = line === '' ? word : `${line} ${word}`
    if (line !== '' && textWidth(longer, size, weight) > width) {
      lines.push(line)
      line = word
    } else line = longer
  }
  return line === '' ? lines : [...lines, line]
}

/** How a text is set. */
export interface TextFace {
  size: number
  weight?: Weight
}

function cut(word: string, width: number, { size, weight }: TextFace): string[] {
  const pieces = ['']
  for (const char of word) {
    const last = pieces.at(-1)!
    if (last !== '' && textWidth(last + char, size, weight) > width) pieces.push(char)
    else pieces[pieces.length - 1] = last + char
  }
  return pieces
}

/** As much of a text as has room, with an ellipsis where something is left out. */
export function fitted(text: string, width: number, { size, weight = 400 }: TextFace): string {
  if (textWidth(text, size, weight) <= width) return text
  let kept = text
  while (kept !== '' && textWidth(`${kept}…`, size, weight) > width) kept = kept.slice(0, -1)
  return `${kept.trimEnd()}…`
}
