/** The day where the device is, as 2026-04-30. Sweden writes days so. */
export const today = (): string => new Date().toLocaleDateString('sv-SE')
