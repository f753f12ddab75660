/** Colours that trades give their layers, by the token that carries them on the screen: a dark theme has others for the same things. */
export const inkTokens: Record<string, string> = {
  '#14437f': 'chalk-700', '#1c5fae': 'chalk-500', '#1d2329': 'module-edge', '#22272e': 'graphite-900', '#66707a': 'module', '#7db2ea': 'rail', '#8d8468': 'strip', '#a07a41': 'timber-edge',
  '#c8a063': 'timber-line', '#cf3a1a': 'crayon', '#d8d3c6': 'course', '#dcbb8a': 'timber', '#e7d5cb': 'obstruction', '#eeeae0': 'hatch-ground', '#ffffff': 'module-ink',
}

/** A layer's colour as it is drawn on the screen. */
export const ink = (colour: string): string => inkTokens[colour] ? `var(--color-${inkTokens[colour]})` : colour
