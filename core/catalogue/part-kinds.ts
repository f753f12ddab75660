/** Kinds of parts that go on a roof or on the van, in the order in which they are listed. */
export const partKinds = [
  'module', 'stick', 'offcut', 'splice', 'coupler', 'skirt', 'mid-clamp', 'end-clamp', 'end-cap', 'mount', 'screw', 'flashing', 'retaining-clip', 'foam', 'cap', 'gasket', 'extension', 'sealant', 'unit', 'unit-clip', 'nail', 'underlay', 'batten', 'shingle', 'underlay-roll', 'edge-flashing', 'tray', 'tray-clamp', 'in-roof-screw', 'bottom-flashing', 'side-flashing', 'one-row-side', 'top-flashing', 'outer-corner', 'inner-corner', 'joint-up', 'joint-across', 'joint-crossing', 'joint-cap', 'window-set', 'sealing-strip', 'new-batten', 'lug', 'bond-washer', 'bond-jumper', 'earth-wire', 'electronics', 'trunk', 'jumper', 'outlet-cap', 'terminator', 'home-run', 'cable', 'cable-tie', 'lead-extension', 'plug', 'plug-box', 'string-fuse', 'cord-grip', 'inverter', 'label', 'ply', 'disc', 'respirator', 'tool',
] as const
export type PartKind = typeof partKinds[number]
