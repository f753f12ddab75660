import { describe, expect, it } from 'vitest'
import { parseQuantity } from '../shelf'
import { type UnitSystem, MM_PER_INCH, parseDirection, parseLength, parseMeasure, parsePitch } from './index'

/** What people type on a roof and off a data sheet: read as meant, or asked back in words. Lengths in inches, else degrees and units. */
const imperial = 'imperial'
const metric = 'metric'
const inches = (text: string, units: UnitSystem = imperial) => {
  const read = parseLength(text, units)
  return read.ok ? Number((read.value / MM_PER_INCH).toFixed(6)) : read.problem
}
const deg = (text: string, units: UnitSystem = imperial) => {
  const read = parsePitch(text, units)
  return read.ok ? Number(read.value.toFixed(4)) : read.problem
}
const way = (text: string) => {
  const read = parseDirection(text)
  return read.ok ? read.value : read.problem
}
const psf = (text: string) => {
  const read = parseMeasure(text, 'pressure', imperial)
  return read.ok ? Number((read.value / 47.88025898033584).toFixed(6)) : read.problem
}
const watts = (text: string) => {
  const read = parseQuantity(text, 'power', null)
  return read.ok ? read.value : read.problem
}

describe('forty odd inputs', () => {
  it.each<[unknown, number | RegExp]>([
    // Lengths
    [inches(`30' 15"`), /^15 inches are more than a foot\. Is it 31' 3"\? Write it so/],
    [inches('30-15'), /more than a foot/],
    [inches(`30' 12"`), /Is it 31' 0"\?/],
    [inches(`30' 11 15/16"`), 371.9375],
    [inches('30′ 6″'), 366],
    [inches('30 ft 6 in'), 366],
    [inches('30 feet 6 inches'), 366],
    [inches('30\'6'), 366],
    [inches('12½'), 12.5],
    [inches('12 ½"'), 12.5],
    [inches('3⁄8'), 0.375],
    [inches('5-3/8'), 5.375],
    [inches('.5'), 0.5],
    [inches(' 7  1/2 " '), 7.5],
    [inches('1/0'), /is not a length/],
    [inches('12,5'), /A comma can mean two things/],
    [inches('about 12'), /is not a length\. Write 12' 3 1\/2"/],
    [inches(''), /Type a length/],
    [inches('3.742 m'), 147.322835],
    [inches('1e3'), /is not a length/],
    [inches('12 1/2', metric), /is not a length\. Write 3742/],
    [inches('254', metric), 10],
    [inches('25.4 cm', metric), 10],
    // Pitches
    [deg('30'), /may be degrees or a rise in twelve\. Write 30° or 30:12/],
    [deg('18'), 56.3099],
    [deg('30', metric), 30],
    [deg('7 1/2 : 12'), 32.0054],
    [deg('7½:12'), 32.0054],
    [deg('7-1/2 in 12'), 32.0054],
    [deg('7/12'), 30.2564],
    [deg('58 %'), 30.1137],
    [deg('0:12'), /above 0°/],
    [deg('80°'), /steeper than 75°, which is a wall/],
    [deg('steep'), /is not a pitch\. Write 6:12/],
    // Directions
    [way('SSW'), 202.5],
    [way('south-south-west'), 202.5],
    [way('North West'), 315],
    [way('n.n.e.'), 22.5],
    [way('-90'), 270],
    [way('uphill'), /is not a direction\. Type degrees from north, such as 180, or a wind, such as south-west or SSW/],
    // Loads and plates
    [psf('25'), 25],
    [psf('1.2 kPa'), 25.062521],
    [psf('25 lbs'), /is not a pressure\. Write for example 25 psf/],
    [psf('25,5'), /A comma can mean two things/],
    [watts('405 Wp'), 405],
    [watts('four hundred'), /is not a figure in W or Wp/],
  ])('%#: %s', (read, expected) => {
    if (typeof expected === 'number') expect(read).toBe(expected)
    else expect(read).toMatch(expected)
  })
})
