export default defineAppConfig({
  ui: {
    colors: { primary: 'chalk', neutral: 'graphite', error: 'brick', warning: 'amber', success: 'lichen' },
    button: { slots: { base: 'rounded-sm font-semibold' } },
    input: { slots: { base: 'rounded-sm tabular-nums' } },
    select: { slots: { base: 'rounded-sm' } },
    modal: { slots: { content: 'rounded-sm', overlay: 'bg-graphite-950/50' } },
  },
})
