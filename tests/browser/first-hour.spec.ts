import type { Locator, Page } from '@playwright/test'
import { expect, goTo, pick, saved, test } from './support'

/** One thing that a person does: a click, a choice by one press, or one field filled. */
interface Hand {
  press: (what: Locator) => Promise<void>
  pick: (group: string, option: string) => Promise<void>
  fill: (label: string, text: string) => Promise<void>
}
const MOST_ACTIONS = 25

/** A hand on a mouse. */
const pointer = (page: Page): Hand => ({
  press: what => what.first().click(),
  pick: (group, option) => pick(page, group, option),
  fill: async (label, text) => {
    const field = page.getByLabel(label).first()
    await field.fill(text)
    await field.press('Enter')
  },
})

/** A hand that never leaves the keyboard: everything is reached by Tab, from wherever the focus was. */
function keyboard(page: Page): Hand {
  const isFocused = (what: Locator) => what.first().evaluate(one => one === document.activeElement || (one.contains(document.activeElement) && document.activeElement !== document.body))
  async function reach(what: Locator) {
    await expect(what.first()).toBeAttached()
    for (let i = 0; i < 160; i++) {
      if (await isFocused(what)) return
      await page.keyboard.press('Tab')
    }
    throw new Error(`Tab never came to ${what.toString()}`)
  }
  return {
    press: async (what) => {
      // Of tabs only the one that is shown is come to; arrows go on to the others.
      const inTabs = await what.first().evaluate(one => one.getAttribute('role') === 'tab')
      await reach(inTabs ? page.getByRole('tablist').filter({ has: what }) : what)
      for (let i = 0; inTabs && i < 6 && !await isFocused(what); i++) await page.keyboard.press('ArrowRight')
      await page.keyboard.press('Enter')
    },
    pick: async (group, option) => {
      const radios = page.getByRole('radiogroup', { name: group }).getByRole('radio')
      await reach(page.getByRole('radiogroup', { name: group }))
      const wanted = page.getByRole('radiogroup', { name: group }).getByRole('radio', { name: option, exact: true })
      // Space takes the one that Tab came to; arrows go on to the others.
      await page.keyboard.press('Space')
      for (let i = 0; i < await radios.count() && !await wanted.isChecked(); i++) await page.keyboard.press('ArrowRight')
      await expect(wanted).toBeChecked()
    },
    fill: async (label, text) => {
      await reach(page.getByLabel(label).first())
      await page.keyboard.press('Control+a')
      await page.keyboard.type(text)
      await page.keyboard.press('Enter')
    },
  }
}

/** Counts what a hand does. */
function counted(hand: Hand) {
  let actions = 0
  const once = <A extends unknown[]>(act: (...given: A) => Promise<void>) => async (...given: A) => {
    actions++
    await act(...given)
  }
  return { press: once(hand.press), pick: once(hand.pick), fill: once(hand.fill), actions: () => actions }
}

test.beforeEach(async ({ page }) => {
  await goTo(page, '/')
  await page.evaluate(() => localStorage.removeItem('new-job'))
})

const hands = { 'by pointer': pointer, 'by keyboard alone': keyboard }

for (const [way, handOf] of Object.entries(hands)) {
  test(`a shingle gable with 14 modules and a vent, from an empty form to an issued mark-out, ${way}`, async ({ page }) => {
    const hand = counted(handOf(page))
    await goTo(page, '/')
    await hand.press(page.getByRole('link', { name: 'New job' }))
    await expect(page.getByText('12 modules', { exact: true })).toBeVisible()
    await hand.fill('Name or address', `Test Slip 4, ${way}`)
    await hand.pick('Building and fire', '2021')
    await hand.pick('Electrical', '2020')
    await hand.fill('Along the eave', '34\' 4"')
    await hand.fill('Up the slope', '17\' 1"')
    await hand.fill('Pitch', '6/12')
    await hand.fill('Eave above ground', '9\' 2"')
    await hand.fill('Modules wanted', '14')
    await hand.pick('Covering', 'Coursed shingle')
    await hand.fill('Spacing, centre to centre', '24')
    await hand.pick('Risk category', 'II')
    await hand.fill('Basic wind speed', '115')
    await hand.pick('Exposure', 'C')
    await hand.fill('Ground snow load', '20')
    await expect(page.getByRole('status')).toContainText('14 modules stand, as asked')
    await hand.press(page.getByRole('button', { name: 'Open the job' }))
    await expect(page).toHaveURL(/\/survey$/)
    await expect(page.getByTestId('totals')).toContainText('14 modules')
    // Up the slope is where the vent is: the rows make room for it and still stand fourteen.
    await hand.press(page.getByRole('tab', { name: 'On it' }))
    await hand.press(page.getByRole('button', { name: 'Add', exact: true }))
    await hand.fill('Middle along', '30\' 2"')
    await hand.fill('Middle up', '12\' 6"')
    await saved(page)
    await expect(page.getByTestId('totals')).toContainText('14 modules')
    await hand.press(page.locator('[data-stage="mark-out"]'))
    await expect(page.getByLabel('What the sheet rests on')).toContainText('prove the first before drilling the second')
    await hand.press(page.getByRole('button', { name: 'Issue revision A' }))
    await expect(page.getByText(/Revision A issued by/)).toBeVisible()
    await expect(page.getByLabel('What stops the work')).toHaveCount(0)
    expect(hand.actions()).toBeLessThanOrEqual(MOST_ACTIONS)
    test.info().annotations.push({ type: 'actions', description: String(hand.actions()) })
  })

  test(`a metric hip of interlocking tile, from an empty form to an issued mark-out, ${way}`, async ({ page }) => {
    const hand = counted(handOf(page))
    await goTo(page, '/')
    await hand.press(page.getByRole('link', { name: 'New job' }))
    await hand.fill('Name or address', `Probeweg 4, ${way}`)
    await hand.pick('Lengths are read in', 'Millimetres')
    await hand.pick('Form', 'Hip')
    await hand.fill('Along the eave', '11640')
    await hand.fill('Up the slope', '5.36 m')
    await hand.fill('Pitch', '38')
    await hand.pick('Covering', 'Interlocking tile')
    await hand.fill('Eave above ground', '5.1 m')
    await hand.fill('Spacing, centre to centre', '620')
    await hand.fill('Basic wind speed', '24')
    await hand.pick('Terrain', 'III')
    await hand.fill('Ground snow load', '0.65 kPa')
    await hand.press(page.getByRole('checkbox', { name: /Back/ }))
    await expect(page.getByRole('checkbox', { name: /Back/ })).toBeChecked()
    await hand.press(page.getByRole('button', { name: 'Open the job' }))
    await expect(page).toHaveURL(/\/survey$/)
    await hand.press(page.getByRole('tab', { name: 'Covering' }))
    await hand.fill('Gauge', '342')
    await hand.fill('First course', '318')
    await saved(page)
    await hand.press(page.locator('[data-stage="mark-out"]'))
    await hand.press(page.getByRole('button', { name: 'Issue revision A' }))
    await expect(page.getByText(/Revision A issued by/)).toBeVisible()
    await expect(page.getByLabel('What stops the work')).toHaveCount(0)
    expect(hand.actions()).toBeLessThanOrEqual(MOST_ACTIONS)
    test.info().annotations.push({ type: 'actions', description: String(hand.actions()) })
  })
}

test('an untouched job has nothing clear: rungs say assumed, and the mark-out says what nobody has read', async ({ page }) => {
  await goTo(page, '/jobs/new')
  await page.getByRole('button', { name: 'Empty the form' }).click()
  await page.getByRole('button', { name: 'Open the job' }).click()
  await expect(page.getByRole('alert')).toContainText('Give the job a name')
  await page.getByLabel('Name or address').fill('Test Slip 5')
  await page.getByLabel('Name or address').press('Enter')
  await page.getByRole('button', { name: 'Open the job' }).click()
  await expect(page).toHaveURL(/\/survey$/)
  const rungs = page.getByRole('navigation', { name: 'Stages of the job' }).getByRole('link')
  await expect(rungs.filter({ hasText: ', assumed' })).not.toHaveCount(0)
  await expect(rungs.filter({ hasText: ', clear' })).toHaveCount(0)
  await expect(page.locator('[data-finding="assumed:face-1"]')).toContainText('Nobody has read the eave, the slope, the pitch')
  // One reading is one doubt less; undo brings it back.
  await page.getByLabel('Along the eave').fill('31\'')
  await page.getByLabel('Along the eave').press('Enter')
  await expect(page.locator('[data-finding="assumed:face-1"]')).toContainText('Nobody has read the slope, the pitch')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator('[data-finding="assumed:face-1"]')).toContainText('Nobody has read the eave, the slope')
  // The very same figure, read: Enter says so.
  await page.getByLabel('Along the eave').press('Enter')
  await expect(page.locator('[data-finding="assumed:face-1"]')).toContainText('Nobody has read the slope')
  await page.locator('[data-stage="mark-out"]').click()
  await expect(page.getByLabel('What stops the work')).toContainText('Nobody has said which editions')
})

test('a double press opens one job, and what was typed before is there again after a reload', async ({ page }) => {
  await goTo(page, '/jobs/new')
  await page.getByRole('button', { name: 'Empty the form' }).click()
  await page.getByLabel('Name or address').fill('Test Slip 6')
  await page.getByLabel('Name or address').press('Enter')
  await page.getByLabel('Along the eave').fill('28\'')
  await page.getByLabel('Along the eave').press('Enter')
  await page.reload()
  await expect(page.getByLabel('Along the eave')).toHaveValue('28\' 0"')
  await page.getByRole('button', { name: 'Open the job' }).dblclick()
  await expect(page).toHaveURL(/\/survey$/)
  await goTo(page, '/')
  await expect(page.getByText('Test Slip 6')).toHaveCount(1)
})
