import { z } from 'zod'
import { firstCrossing, signedAreaMm2 } from '../../geometry/ring'
import { lengthMm } from './fields'

/** What an edge of a face is. */
export const edgeKinds = ['eave', 'ridge', 'rake', 'hip', 'valley', 'wall'] as const
export type EdgeKind = typeof edgeKinds[number]

/** Shapes that are entered by taped lengths, with their number of sides. */
export const tapedForms = { 'triangle': 3, 'quadrilateral': 4, 'l-low-right': 6, 'l-low-left': 6 } as const
export type TapedForm = keyof typeof tapedForms

const corner = z.number().int().min(0).max(39)
const sideSchema = z.object({ mm: lengthMm('A side', 200, 60_000), edge: z.enum(edgeKinds) })
const diagonalSchema = z.object({ from: corner, to: corner, mm: lengthMm('A diagonal', 200, 80_000) })

const tapedSchema = z.object({
  kind: z.literal('taped'),
  form: z.enum(Object.keys(tapedForms) as [TapedForm, ...TapedForm[]]),
  /** Sides in order from the eave's left corner, anticlockwise seen from outside: the eave first. */
  sides: z.array(sideSchema).min(3).max(6),
  /** Further taped lengths between corners, counted from 0 at the eave's left end; a length may be taped more than once. */
  diagonals: z.array(diagonalSchema).max(30),
  /** Standard deviation of one taped length, mm. */
  tapeSdMm: lengthMm('The tape’s standard deviation', 0.5, 50),
}).superRefine((outline, context) => {
  const sides = tapedForms[outline.form]
  if (outline.sides.length !== sides) context.addIssue({ code: 'custom', path: ['sides'], message: `This shape has ${sides} sides, not ${outline.sides.length}.` })
  outline.diagonals.forEach(({ from, to }, i) => {
    if (from >= sides || to >= sides || from === to) context.addIssue({
      code: 'custom',
      path: ['diagonals', i],
      message: `A length is taped between two different corners of ${sides}.`,
    })
  })
})

const cornersSchema = z.object({
  kind: z.literal('corners'),
  /** Corners by running readings from the eave's left end, anticlockwise; `edge` is the one from this corner to the next. */
  corners: z.array(z.object({ xMm: lengthMm('A reading along the eave', -30_000, 60_000), yMm: lengthMm('A reading up the slope', 0, 30_000), edge: z.enum(edgeKinds) }))
    .min(3, 'A face has at least three corners.').max(40, 'A face has at most forty corners.'),
}).superRefine(({ corners }, context) => {
  const points = corners.map(({ xMm, yMm }) => ({ x: xMm, y: yMm }))
  const crossing = firstCrossing(points)
  if (crossing) context.addIssue({
    code: 'custom',
    path: ['corners', crossing[0]],
    message: `The outline crosses itself: the edges after corners ${crossing[0] + 1} and ${crossing[1] + 1} meet. Check the order of the corners.`,
  })
  else if (signedAreaMm2(points) < 100_000) context.addIssue({
    code: 'custom',
    path: ['corners'],
    message: 'These corners enclose next to nothing, or run clockwise. Give them anticlockwise, starting at the eave’s left end.',
  })
  if (!corners.some(({ edge }) => edge === 'eave')) context.addIssue({ code: 'custom', path: ['corners'], message: 'Say which edge is the eave: the tapes are hooked on it.' })
})

export const outlineSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('rectangle'),
    eaveLengthMm: lengthMm('The eave', 500, 60_000),
    slopeLengthMm: lengthMm('The slope', 500, 30_000),
  }),
  tapedSchema,
  cornersSchema,
])

export type Outline = z.infer<typeof outlineSchema>
