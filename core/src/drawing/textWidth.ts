/**
 * Advance widths of Barlow Condensed in thousandths of its size, from the space to the tilde and a few more, read off the
 * fonts that ship. Figures are not tabular in drawings.
 */
const widths = {
  500: [
    200, 261, 274, 599, 426, 776, 564, 137, 254, 254, 361, 440, 189, 320, 202, 363, 447, 266, 415, 418, 440, 420, 420,
    381, 429, 414, 234, 207, 440, 440, 440, 394, 759, 436, 456, 452, 469, 432, 410, 457, 475, 220, 435, 466, 407, 530,
    501, 462, 451, 450, 453, 426, 439, 477, 457, 646, 449, 442, 401, 318, 363, 318, 406, 392, 194, 425, 431, 413, 431,
    417, 285, 423, 432, 212, 206, 421, 191, 657, 432, 424, 435, 435, 304, 387, 275, 432, 399, 575, 398, 387, 365, 298,
    159, 298, 471,
  ],
  600: [
    200, 269, 306, 606, 434, 772, 581, 152, 279, 279, 361, 439, 199, 325, 211, 386, 450, 274, 425, 426, 459, 428, 429,
    392, 434, 423, 252, 218, 439, 439, 439, 413, 759, 456, 462, 457, 472, 435, 415, 462, 477, 224, 443, 477, 415, 538,
    507, 467, 457, 455, 461, 434, 452, 478, 471, 665, 460, 456, 406, 330, 386, 330, 413, 405, 206, 434, 437, 422, 437,
    426, 291, 431, 439, 215, 211, 433, 199, 665, 439, 432, 441, 441, 313, 398, 282, 438, 415, 592, 417, 403, 368, 319,
    171, 319, 480,
  ],
} as const

const others: Readonly<Record<500 | 600, Readonly<Record<string, number>>>> = {
  500: {
    '²': 252,
    '³': 270,
    '°': 358,
    Ω: 764,
    '·': 206,
    '×': 380,
    '±': 440,
    µ: 437,
    '⏚': 363,
    '’': 146,
    '“': 287,
    '”': 287,
    '–': 375,
    é: 418,
    è: 418,
    ü: 432,
    ö: 424,
    ä: 423,
    ß: 441,
    '½': 674,
    '¼': 682,
    '¾': 754,
  },
  600: {
    '²': 258,
    '³': 275,
    '°': 359,
    Ω: 850,
    '·': 215,
    '×': 389,
    '±': 439,
    µ: 443,
    '⏚': 381,
    '’': 165,
    '“': 316,
    '”': 316,
    '–': 377,
    é: 426,
    è: 426,
    ü: 439,
    ö: 432,
    ä: 433,
    ß: 450,
    '½': 682,
    '¼': 697,
    '¾': 771,
  },
}

export type TextWeight = keyof typeof widths

const FIRST = 32
/** What is not in the table is taken for as wide as the widest usual letter. */
const UNKNOWN = 760

/** Width of a text in the unit of its size. */
export function textWidth(text: string, size: number, weight: TextWeight = 500): number {
  let sum = 0
  for (const letter of text) {
    const code = letter.charCodeAt(0)
    sum += (code === 0xa0 ? widths[weight][0] : widths[weight][code - FIRST]) ?? others[weight][letter] ?? UNKNOWN
  }
  return (sum * size) / 1000
}

/** The text, cut at the end with a dot where it is wider than there is room. */
export function fitText(text: string, size: number, room: number, weight: TextWeight = 500): string {
  if (textWidth(text, size, weight) <= room) return text
  let kept = text
  while (kept.length > 1 && textWidth(`${kept}.`, size, weight) > room) kept = kept.slice(0, -1)
  return `${kept.trimEnd()}.`
}
