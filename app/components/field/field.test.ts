import { mountSuspended } from '@nuxt/test-utils/runtime'
import { describe, expect, it, vi } from 'vitest'
import { done, refused } from '#core/outcome'
import ChoiceList from './ChoiceList.vue'
import TypedField from './TypedField.vue'

describe('a field that is typed over', () => {
  const taken: string[] = []
  const mounted = () => mountSuspended(TypedField, { props: {
    label: 'Rafter 7',
    shown: `12' 0"`,
    commit: (text: string) => text === 'twelve' ? refused('“twelve” is not a length.') : done(taken.push(text)),
  } })

  it('follows its value, but a value that comes in while somebody types does not wipe out what is typed', async () => {
    const wrapper = await mounted()
    const input = wrapper.find('input')
    await wrapper.setProps({ shown: `12' 1"` })
    expect(input.element.value).toBe(`12' 1"`)
    input.element.value = `13' 9"`
    await input.trigger('input')
    await wrapper.setProps({ shown: `12' 2"` })
    expect(input.element.value).toBe(`13' 9"`)
    await input.trigger('keydown', { key: 'Enter' })
    expect(taken.at(-1)).toBe(`13' 9"`)
    await wrapper.setProps({ shown: `13' 9"` })
    expect(input.element.value).toBe(`13' 9"`)
  })
  it('keeps what was refused for mending until Escape gives it up', async () => {
    const wrapper = await mounted()
    const input = wrapper.find('input')
    await input.setValue('twelve')
    await input.trigger('keydown', { key: 'Enter' })
    expect(wrapper.get('[role=alert]').text()).toContain('is not a length')
    await wrapper.setProps({ shown: `12' 3"` })
    expect(input.element.value).toBe('twelve')
    await input.trigger('keydown', { key: 'Escape' })
    expect(input.element.value).toBe(`12' 3"`)
    expect(wrapper.find('[role=alert]').exists()).toBe(false)
  })
})

describe('a list that opens', () => {
  const choices = ['Hook', 'Standoff', 'Seam clamp'].map(label => ({ label, value: label.toLowerCase() }))

  it('names its choice while closed, has all of them open, and gives back the one that is taken', async () => {
    const wrapper = await mountSuspended(ChoiceList<string>, { props: { value: 'standoff', choices }, attachTo: document.body })
    const made = () => wrapper.findAllComponents({ name: 'SelectItem' }).map(one => one.props('value'))
    expect(wrapper.text()).toBe('Standoff')
    expect(made()).toEqual(['standoff'])
    await wrapper.get('button').trigger('keydown', { key: 'ArrowDown' })
    await vi.waitFor(() => expect(made()).toEqual(['hook', 'standoff', 'seam clamp']))
    const options = [...document.querySelectorAll<HTMLElement>('[role=option]')]
    expect(options.map(one => [one.textContent.trim(), one.dataset.state])).toEqual([['Hook', 'unchecked'], ['Standoff', 'checked'], ['Seam clamp', 'unchecked']])
    options[2]!.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }))
    await vi.waitFor(() => expect(wrapper.emitted('choose')).toEqual([['seam clamp']]))
    await wrapper.setProps({ value: 'seam clamp' })
    expect(wrapper.text()).toBe('Seam clamp')
    expect(made()).toEqual(['seam clamp'])
    wrapper.unmount()
  })
})
