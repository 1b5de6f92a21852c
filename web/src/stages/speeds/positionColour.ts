const colours = ['var(--blue)', 'var(--green)', 'var(--copper)', 'var(--ink-2)']
const dashes = [undefined, '9 4', '5 3']

/** Colour and dash of a position's line: told apart also without colours. */
export const positionColour = (index: number): { colour: string; dash: string | undefined } => ({
  colour: colours[index % colours.length] ?? 'var(--ink)',
  dash: dashes[index % dashes.length],
})
