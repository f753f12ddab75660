import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect } from './support'

export async function noSeriousFault(page: Page) {
  // There are no frames and no sounds, only violations are asked for, and a page that has axe already is not given it again: all spare
  // time and change nothing of what is found.
  const axeSource = await page.evaluate(() => 'axe' in window) ? 'void 0' : undefined
  // What still fades in has no contrast of its own yet.
  await page.evaluate(() => Promise.allSettled(document.getAnimations().filter(one => Number.isFinite(one.effect?.getComputedTiming().endTime)).map(one => one.finished)))
  const { violations } = await new AxeBuilder({ page, axeSource }).setLegacyMode().options({ resultTypes: ['violations'], preload: false }).analyze()
  expect(violations.filter(one => one.impact === 'serious' || one.impact === 'critical').map(one => `${one.id}: ${one.nodes.map(node => node.html.slice(0, 120)).join(' | ')}`)).toEqual([])
}

/**
 * Words of the drawing that lie on each other, with what was taken hold of: of what is held now, and then of every thing of so many kinds, come
 * to by key as a person does.
 */
export const wordsApart = (page: Page, kinds: number): Promise<string[]> => page.evaluate(async (kinds) => {
  const drawing = () => document.querySelector<HTMLElement>('[role=application]')
  const seen: string[] = []
  const frame = () => new Promise(resolve => requestAnimationFrame(() => setTimeout(resolve)))
  const look = (held: string) => {
    const boxes = [...drawing()?.querySelectorAll<SVGTextElement>('svg text') ?? []].filter(one => one.textContent.trim()).map(one => ({ words: one.textContent.trim(), ...one.getBoundingClientRect().toJSON() as DOMRect }))
    boxes.forEach((a, i) => boxes.slice(i + 1).forEach((b) => {
      const [across, up] = [Math.min(a.right, b.right) - Math.max(a.left, b.left), Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top)]
      // The box of a line is a little higher than its figures.
      if (across > 1 && up > 4) seen.push(`${held}: ${a.words} on ${b.words}`)
    }))
  }
  const press = (key: string) => (drawing() ?? document.body).dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
  const announced = () => document.querySelector('[data-testid=announced]')?.textContent.trim() ?? ''
  look('as it stands')
  for (let k = 0; k < kinds; k++) {
    press('PageUp')
    // Another rung may have to come first.
    for (let i = 0; i < 6; i++) await frame()
    const first = announced()
    look(first)
    for (let i = 0; i < 250; i++) {
      press(']')
      await frame()
      if (announced() === first) break
      look(announced())
    }
  }
  return seen
}, kinds)
