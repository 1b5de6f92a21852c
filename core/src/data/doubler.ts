/** A doubler is made for nominal volts to 127; over this at the socket its capacitors burst. */
export const DOUBLER_MOST_V = 132
