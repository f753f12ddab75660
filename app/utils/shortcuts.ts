/** The planner's shortcuts as they are listed for a person; the page's key handler carries them out. */
export const shortcuts: { keys: string, what: string }[] = [
  { keys: 'Alt ↑  Alt ↓', what: 'Climb the ladder up or down' },
  { keys: '1 – 8', what: 'Stand on a rung, 1 at the bottom' },
  { keys: 'R C K M L F Z', what: 'Layers: rafters, courses, keep-clear, modules, rails, fixings, wind zones' },
  { keys: '[  ]', what: 'Previous and next row, rail or rafter' },
  { keys: 'Arrow keys', what: 'On the drawing: nudge what is selected by 1/16 in or 1 mm' },
  { keys: 'Shift arrow', what: 'Nudge by 1 in or 25 mm' },
  { keys: 'Alt arrow', what: 'On the drawing with a row or rail selected: to the next rafter, course or end of the clamp zone' },
  { keys: 'B', what: 'Balance the overhangs' },
  { keys: 'T', what: 'Swap the tapes’ datum corner' },
  { keys: '.', what: 'Working of what is selected' },
  { keys: '/', what: 'Go anywhere, do anything' },
  { keys: 'Ctrl Z', what: 'Undo' },
  { keys: 'Ctrl Shift Z', what: 'Redo' },
  { keys: 'Esc', what: 'Select the whole stage again' },
  { keys: '?', what: 'This list' },
]
