import sharp from 'sharp'

/** Pictures for the demo's site sheets: drawn, since nobody has been to these places. */
const scenes: { jobIndex: number, caption: string, svg: string }[] = [
  {
    jobIndex: 0, caption: 'Rear face from the gravel; ladder goes at the left',
    svg: `<rect width="800" height="600" fill="#b9cbd6"/><path d="M0 470h800v130H0z" fill="#9aa37c"/><path d="M170 250h460v230H170z" fill="#d8cdb9"/>
      <path d="M120 260L260 110h290l140 150z" fill="#5b5f63"/><g stroke="#4a4d50" stroke-width="3">${[
        140,
        170,
        200,
        230,
      ].map(y => `<path d="M${260 - (y - 110) * 0.93} ${y}H${550 + (y - 110) * 0.93}"/>`).join('')}</g>
      <path d="M300 320h80v90h-80zM440 320h80v90h-80z" fill="#75848e"/><path d="M200 500L255 215M226 505L281 220" stroke="#c48a2c" stroke-width="6"/>
      <g stroke="#c48a2c" stroke-width="5">${[0, 1, 2, 3, 4, 5].map(i => `<path d="M${208 + i * 9} ${460 - i * 45}h25"/>`).join('')}</g>`,
  },
  {
    jobIndex: 0, caption: 'Rafters in the loft, 1 1/2 in wide, all sound',
    svg: `<rect width="800" height="600" fill="#3a332b"/><g fill="#b98e55">${[
      40,
      190,
      340,
      490,
      640,
    ].map(x => `<path d="M${x} 0h46l-60 600h-60z"/>`).join('')}</g><path d="M0 430h800v60H0z" fill="#8d6a3e"/><circle cx="600" cy="120" r="150" fill="#fff2c4" opacity="0.18"/>`,
  },
  {
    jobIndex: 0, caption: 'Meter and panel on the east wall, room beside them',
    svg: `<rect width="800" height="600" fill="#cbb9a2"/><g stroke="#b7a48c" stroke-width="4">${[
      60,
      130,
      200,
      270,
      340,
      410,
      480,
      550,
    ].map(y => `<path d="M0 ${y}h800"/>`).join('')}</g><rect x="170" y="140" width="150" height="200" rx="8" fill="#7f868b"/><circle cx="245" cy="215" r="52" fill="#dfe5e8" stroke="#4d5357" stroke-width="6"/><rect x="430" y="130" width="190" height="300" rx="6" fill="#8d959a"/><path d="M245 340v260M525 430v170" stroke="#5c6367" stroke-width="18"/>`,
  },
  {
    jobIndex: 1, caption: 'Street face: shingle curls at the edges, do not lift it cold',
    svg: `<rect width="800" height="600" fill="#6a5f55"/>${[0, 1, 2, 3, 4, 5, 6].map(r => [
      0,
      1,
      2,
      3,
      4,
      5,
      6,
      7,
    ].map(c => `<path d="M${c * 110 - (r % 2) * 55} ${r * 90}h104q4 70 -6 84h-92z" fill="${[
      '#7d7064',
      '#716458',
      '#85786b',
    ][(r + c) % 3]}"/>`).join('')).join('')}`,
  },
]

/** What photographs of a finished job show, drawn by what their caption is about. */
const finishedScenes: [about: RegExp, svg: string][] = [
  [/array|under|wires/i, `<rect width="800" height="600" fill="#b9cbd6"/><path d="M0 140h800v460H0z" fill="#8d5a44"/>${[0, 1, 2, 3, 4, 5, 6].map(r => `<path d="M0 ${170 + r * 64}h800" stroke="#7a4c39" stroke-width="8"/>`).join('')}<g fill="#27313c" stroke="#aeb6bd" stroke-width="4">${[0, 1, 2, 3].map(c => [0, 1].map(r => `<path d="M${120 + c * 142} ${210 + r * 176}h134v168h-134z"/>`).join('')).join('')}</g>`],
  [/lug|bond|earth/i, '<rect width="800" height="600" fill="#8d5a44"/><path d="M0 250h800v90H0z" fill="#b9bec2"/><circle cx="410" cy="295" r="46" fill="#d8dde0" stroke="#6b7278" stroke-width="8"/><path d="M410 295q160 40 240 240" fill="none" stroke="#3f7d3a" stroke-width="20"/>'],
  [/tester/i, '<rect width="800" height="600" fill="#cbb9a2"/><rect x="250" y="90" width="300" height="420" rx="24" fill="#3c4146"/><rect x="290" y="140" width="220" height="130" fill="#c8d4b4"/><circle cx="400" cy="380" r="60" fill="#565c62"/>'],
  [/label|schedule/i, '<rect width="800" height="600" fill="#d9d4c8"/><rect x="160" y="170" width="480" height="260" fill="#f2c230" stroke="#22272e" stroke-width="10"/><g stroke="#22272e" stroke-width="14"><path d="M210 250h380M210 310h300M210 370h340"/></g>'],
  [/./, '<rect width="800" height="600" fill="#d9d4c8"/><rect x="230" y="110" width="340" height="360" rx="10" fill="#e9ecee" stroke="#7f868b" stroke-width="8"/><rect x="290" y="170" width="220" height="90" fill="#3c4146"/><path d="M320 470v130M480 470v130" stroke="#5c6367" stroke-width="18"/>'],
]

const jpegOf = (svg: string): Promise<Buffer> => sharp(Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" width="800" height="600" viewBox="0 0 800 600">${svg}</svg>`)).jpeg({ quality: 82 }).toBuffer()

/** A drawn photograph of a finished job, by its caption. */
export const finishedPicture = (caption: string): Promise<Buffer> => jpegOf(finishedScenes.find(([about]) => about.test(caption))![1])

/** The demo's pictures as JPEG, each with the place of its job in the demo's list. */
export const demoPictures = (): Promise<{ jobIndex: number, caption: string, picture: Buffer }[]> => Promise.all(scenes.map(async ({ jobIndex, caption, svg }) => ({
  jobIndex, caption,
  picture: await jpegOf(svg),
})))
