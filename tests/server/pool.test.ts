import { config } from './globals'
import { expect, it } from 'vitest'
import { DEMO_FIRM_ID } from '../../db/demo/ids'
import { connections, DatabaseAway, inTransaction, readInOne } from '../../server/db/pool'

const firmOf = () => inTransaction({ firmId: DEMO_FIRM_ID }, async client => (await client.query<{ id: string | null }>('select current_firm() as id')).rows[0]!.id)

it('a statement that fails leaves no connection in the middle of a transaction, nor a firm’s setting behind', async () => {
  for (let i = 0; i < 30; i++) {
    await expect(readInOne({ firmId: DEMO_FIRM_ID }, ['select 1 / 0'])).rejects.toThrow('division by zero')
    await expect(inTransaction({ firmId: DEMO_FIRM_ID }, client => client.query('select 1 / 0'))).rejects.toThrow('division by zero')
  }
  expect(new Set(await Promise.all(Array.from({ length: 40 }, firmOf)))).toEqual(new Set([DEMO_FIRM_ID]))
  expect((await connections().query<{ id: string | null }>('select current_firm() as id')).rows[0]!.id).toBeNull()
})
it('what is read in one round trip comes statement by statement, and its rows are the firm’s', async () => {
  const [one, people] = await readInOne({ firmId: DEMO_FIRM_ID }, ['select 1 as n', 'select firm_id from people'])
  expect(one).toEqual([{ n: 1 }])
  expect(new Set((people as { firm_id: string }[]).map(row => row.firm_id))).toEqual(new Set([DEMO_FIRM_ID]))
  const [nobody] = await readInOne({}, ['select firm_id from people'])
  expect(nobody).toEqual([])
})
it('whoever gets no connection in time is told that the database is away', async () => {
  const held = await Promise.all(Array.from({ length: config.connections }, () => connections().connect()))
  await expect(firmOf()).rejects.toBeInstanceOf(DatabaseAway)
  for (const client of held) client.release()
  expect(await firmOf()).toBe(DEMO_FIRM_ID)
})
