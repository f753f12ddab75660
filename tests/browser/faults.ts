import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect } from './support'

/** @param within what of the page is looked at; all of it where that is left out */
export async function noSeriousFault(page: Page, within?: string) {
  // There are no frames and no sounds, only violations are asked for, and a page that has axe already is not given it again: all spare
  // time and change nothing of what is found.
  const axeSource = await page.evaluate(() => 'axe' in window) ? 'void 0' : undefined
  // What still fades in has no contrast of its own yet.
  await page.evaluate(() => Promise.allSettled(document.getAnimations().filter(one => Number.isFinite(one.effect?.getComputedTiming().endTime)).map(one => one.finished)))
  const { violations } = await (within ? new AxeBuilder({ page, axeSource }).include(within) : new AxeBuilder({ page, axeSource })).setLegacyMode().options({ resultTypes: ['violations'], preload: false }).analyze()
  expect(violations.filter(one => one.impact === 'serious' || one.impact === 'critical').map(one => `${one.id}: ${one.nodes.map(node => node.html.slice(0, 120)).join(' | ')}`)).toEqual([])
}

/**
 * What can be pressed and is smaller than asked for: links inside a sentence, boxes that take the press round them, and the drawing's own things
 * are no targets of their own.
 * @param px least side of a target
 */
export const smallerThan = (page: Page, px: number) => page.evaluate(least => [...document.querySelectorAll<HTMLElement>('button, [role=tab], [role=button], input, select, summary, nav a')].flatMap((one) => {
  if (one.closest('svg, [aria-hidden=true], .sr-only') || one.matches('[role=checkbox], [role=switch], [type=checkbox], [type=file]') || one.classList.contains('sr-only')) return []
  const { width, height } = one.getBoundingClientRect()
  const shown = one.checkVisibility({ visibilityProperty: true, opacityProperty: false }) && width > 0
  const label = one.closest('label')?.getBoundingClientRect()
  const [w, h] = [Math.max(width, label?.width ?? 0), Math.max(height, label?.height ?? 0)]
  return shown && (w < least || h < least) ? [`${one.tagName} ${one.ariaLabel ?? one.textContent.trim().slice(0, 30)} ${Math.round(w)} x ${Math.round(h)}`] : []
}), px)

/** Nothing runs out of the page sideways. */
export const fitsAcross = async (page: Page) => expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0)

/** Puts the page in a theme, whatever it was in before. */
export async function inTheme(page: Page, theme: 'Light' | 'Dark') {
  const other = page.getByRole('button', { name: `${theme} theme` })
  if (await other.count()) await other.click()
}

/**
 * Words of the drawing that lie on each other, with what was taken hold of: of what is held now, and then of every thing of so many kinds, come
 * to by key as a person does.
 * @param most things of a kind that are taken hold of
 */
export const wordsApart = (page: Page, kinds = 0, most = 300): Promise<string[]> => page.evaluate(async ({ kinds, most }) => {
  const drawing = () => document.querySelector<HTMLElement>('[role=application], main :has(> svg[role=group])')
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
    const been = new Set<string>()
    // Round and round: where a kind has one thing, or none follows, the second step comes back to one that has been.
    while (!been.has(announced()) && been.size < most) {
      been.add(announced())
      look(announced())
      press(']')
      await frame()
    }
  }
  return seen
}, { kinds, most })
