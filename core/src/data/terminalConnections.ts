/**
 * How the leads of a motor are joined for each connection, in NEMA numbers: `joined` groups are tied
 * together, `lines` are the leads that take L1, L2, L3. IEC names follow from `iecNames`.
 *
 * Source: IEC 60034-8 (terminal markings), NEMA MG 1 Part 2. The picture inside the lid is the authority.
 */
export interface TerminalConnection {
  joined: readonly (readonly number[])[]
  lines: readonly [number, number, number]
}

export const terminalConnections: Readonly<Record<string, Readonly<Record<string, TerminalConnection>>>> = {
  '6': {
    star: { joined: [[6, 4, 5]], lines: [1, 2, 3] },
    delta: {
      joined: [
        [1, 6],
        [2, 4],
        [3, 5],
      ],
      lines: [1, 2, 3],
    },
  },
  '9-star': {
    low: {
      joined: [
        [1, 7],
        [2, 8],
        [3, 9],
        [4, 5, 6],
      ],
      lines: [1, 2, 3],
    },
    high: {
      joined: [
        [4, 7],
        [5, 8],
        [6, 9],
      ],
      lines: [1, 2, 3],
    },
  },
  '9-delta': {
    low: {
      joined: [
        [1, 6, 7],
        [2, 4, 8],
        [3, 5, 9],
      ],
      lines: [1, 2, 3],
    },
    high: {
      joined: [
        [4, 7],
        [5, 8],
        [6, 9],
      ],
      lines: [1, 2, 3],
    },
  },
  '12': {
    'low-star': {
      joined: [
        [1, 7],
        [2, 8],
        [3, 9],
        [4, 5, 6, 10, 11, 12],
      ],
      lines: [1, 2, 3],
    },
    'low-delta': {
      joined: [
        [1, 6, 7, 12],
        [2, 4, 8, 10],
        [3, 5, 9, 11],
      ],
      lines: [1, 2, 3],
    },
    'high-star': {
      joined: [
        [4, 7],
        [5, 8],
        [6, 9],
        [10, 11, 12],
      ],
      lines: [1, 2, 3],
    },
    'high-delta': {
      joined: [
        [4, 7],
        [5, 8],
        [6, 9],
        [1, 12],
        [2, 10],
        [3, 11],
      ],
      lines: [1, 2, 3],
    },
  },
}

/** IEC name of each NEMA number: the three phases' first ends, second ends, and the second halves. */
export const iecNames: readonly string[] = ['', 'U1', 'V1', 'W1', 'U2', 'V2', 'W2', 'U3', 'V3', 'W3', 'U4', 'V4', 'W4']
