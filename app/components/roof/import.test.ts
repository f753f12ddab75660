import { mockComponent } from '@nuxt/test-utils/runtime'
import { flushPromises } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { h } from 'vue'
import { threeRowsOfSix } from '../../../tests/fixtures/jobs'
import { mountOnJob } from '../../testing/mount-on-job'
import RoofImportDialog from './RoofImportDialog.vue'

// The dialog is drawn where it stands, so that its insides can be looked at; the plan from above needs a real page.
mockComponent('UModal', { setup: (_, { slots }) => () => h('div', slots.body?.()) })
mockComponent('PlannerRoofPlan', { setup: () => () => h('div') })

const closed = (points: [number, number][], layer = 'A') => [
  '0',
  'LWPOLYLINE',
  '8',
  layer,
  '90',
  String(points.length),
  '70',
  '1',
  ...points.flatMap(([x, y]) => ['10', String(x), '20', String(y)]),
]
const dxf = (units: number | null, ...entities: string[][]) => [
  ...(units === null ? [] : ['0', 'SECTION', '2', 'HEADER', '9', '$INSUNITS', '70', String(units), '0', 'ENDSEC']),
  '0', 'SECTION', '2', 'ENTITIES', ...entities.flat(), '0', 'ENDSEC', '0', 'EOF',
].join('\n')
const ring = [[4, 52], [4.00014, 52], [4.00014, 52.00004], [4, 52.00004], [4, 52]]
const footprint = (azimuth: number | null, ...holes: number[][][]) => JSON.stringify({
  type: 'Feature',
  properties: { pitch: 30, azimuth, name: 'South' },
  geometry: { type: 'Polygon', coordinates: [ring, ...holes] },
})

async function dialog() {
  const host = await mountOnJob(RoofImportDialog, threeRowsOfSix(), { open: true })
  const input = host.wrapper.find('input[type=file]')
  return {
    ...host,
    button: (name: string) => host.wrapper.findAll('button').find(one => one.text() === name),
    /** Chooses a file as a person would. */
    async give(name: string, text: string) {
      Object.defineProperty(input.element, 'files', { value: [new File([text], name)], configurable: true })
      await input.trigger('change')
      await flushPromises()
    },
  }
}

describe('faces from a file', () => {
  it('a drawing that does not say its unit is asked for it before anything is shown, and taken in the unit that was said', async () => {
    const { give, press, button, wrapper, job } = await dialog()
    await give('rear.dxf', dxf(null, closed([[0, 0], [9, 0], [9, 4], [0, 4]], 'REAR')))
    expect(wrapper.text()).toContain('does not say what its unit is')
    expect(button('Take this face')).toBeUndefined()
    await press('metres')
    expect(wrapper.text()).toContain(`1 face: REAR (29' 6 5/16" along, 13' 1 1/2" up)`)
    expect(wrapper.text()).toContain('What each edge is was guessed')
    await press('Take this face')
    expect(job.value.faces).toHaveLength(2)
    expect(job.value.faces[1]!.outline).toMatchObject({ kind: 'corners', corners: [{ xMm: 0, yMm: 0 }, { xMm: 9000, yMm: 0 }, { xMm: 9000, yMm: 4000 }, { xMm: 0, yMm: 4000 }] })
  })
  it('a footprint that does not say which way it looks is not taken before somebody says which edge is its eave', async () => {
    const { give, press, button, wrapper, job } = await dialog()
    await give('south.geojson', footprint(null))
    expect(wrapper.text()).toContain('No polygon says which way it faces')
    expect(button('Take this face')!.attributes('disabled')).toBeDefined()
    await press('Edge 3')
    expect(button('Edge 3')!.attributes('aria-pressed')).toBe('true')
    expect(button('Edge 1')!.attributes('aria-pressed')).toBe('false')
    await press('Take this face')
    // The third edge of a ring that begins with its south side is the north side.
    expect(job.value.faces[1]!.place.azimuthDeg).toBeCloseTo(0, 0)
  })
  it('a hole comes in as an obstruction, or is left out where somebody says so', async () => {
    const hole = [[4.00006, 52.00001], [4.00008, 52.00001], [4.00008, 52.00002], [4.00006, 52.00002], [4.00006, 52.00001]]
    for (const takes of [true, false]) {
      const { give, press, wrapper, job } = await dialog()
      await give('south.json', footprint(180, hole))
      expect(wrapper.text()).toContain('1 hole in the polygons comes in')
      if (!takes) await wrapper.findAll('button[role=checkbox]')[0]!.trigger('click')
      await press('Take this face')
      expect(job.value.faces[1]!.obstructions).toHaveLength(takes ? 1 : 0)
    }
  })
  it('takes the place of the faces there now where that is asked, and an undo of the edit brings them back', async () => {
    const { give, press, wrapper, job, edits } = await dialog()
    await give('garage side.csv', 'along,up,edge\n0,0,eave\n24\',0,rake\n24\',12\',ridge\n0,12\',rake')
    await wrapper.findAll('button[role=checkbox]').at(-1)!.trigger('click')
    await press('Take this face')
    expect(job.value.faces.map(face => face.name)).toEqual(['garage side'])
    expect(edits).toHaveLength(1)
  })
  it('a size that no face has is seen before it is taken, and refused with each sentence once', async () => {
    const { give, press, wrapper, job } = await dialog()
    // Millimetres in a job that is measured in inches.
    await give('rear.csv', '0,0\n9200,0\n9200,5200\n0,5200')
    expect(wrapper.text()).toContain(`766' 8" along, 433' 4" up`)
    await press('Take this face')
    const said = wrapper.find('[role=alert]').text()
    expect(said.match(/along the eave must be at most/g)).toHaveLength(1)
    expect(said.match(/up the slope must be at most/g)).toHaveLength(1)
    expect(job.value.faces).toHaveLength(1)
  })
  it.each([
    ['a picture', 'roof.dxf', '\u0089PNG', 'not a DXF file'], ['no file of ours', 'roof.xlsx', 'PK', 'not a kind of file'], [
      'a table that crosses itself',
      'face.csv',
      '0,0\n9000,4000\n9000,0\n0,4000',
      'crosses itself',
    ],
    ['words for a footprint', 'roof.geojson', 'well', 'not JSON'],
  ])('%s gets a sentence, and what was read before it is not taken in its place', async (_, name, text, words) => {
    const { give, button, wrapper, job } = await dialog()
    await give('good.csv', '0,0\n9000,0\n9000,4000\n0,4000')
    expect(button('Take this face')).toBeDefined()
    await give(name, text)
    expect(wrapper.find('[role=alert]').text()).toContain(words)
    expect(button('Take this face')).toBeUndefined()
    expect(job.value.faces).toHaveLength(1)
  })
})
