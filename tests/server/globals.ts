import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Hash } from '@adonisjs/hash'
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'
import * as h3 from 'h3'
import * as account from '../../server/utils/account'
import * as answers from '../../server/utils/answers'
import * as invited from '../../server/utils/invited'
import * as limitedBody from '../../server/utils/limited-body'
import * as newJob from '../../server/utils/new-job'
import * as openedJob from '../../server/utils/opened-job'
import * as passkey from '../../server/utils/passkey'
import * as photoId from '../../server/utils/photo-id'
import * as sameSite from '../../server/utils/same-site'
import * as shelfItem from '../../server/utils/shelf-item'
import * as signedIn from '../../server/utils/signed-in'
import * as storable from '../../server/utils/storable'
import * as tickList from '../../server/utils/tick-list'

/** What the server would have written to its log, line by line. */
export const recorded: object[] = []

/** How often a passphrase was checked against a hash. */
export const checked = { times: 0 }

/** Quick: how slow it is in the app is the app's matter. */
const hash = new Hash(new Scrypt({ cost: 1024 }))
export const config = {
  databaseUrl: process.env.ROUTES_DATABASE_URL, directDatabaseUrl: '', connections: 10, demo: true, behindProxy: true, site: '', smtpUrl: '', mailFrom: '', outbox: mkdtempSync(join(tmpdir(), 'outbox-')), pictures: '',
  workFile: process.env.ROUTES_WORK_FILE, plannerVersion: 'test',
}

/**
 * What the server's build puts within reach of every route. Only the sealed cookie is another here: a header says what it carries,
 * and an answer's header what it is from then on; the database still decides whether it holds.
 */
Object.assign(globalThis, h3, account, answers, invited, limitedBody, newJob, openedJob, passkey, photoId, sameSite, shelfItem, signedIn, storable, tickList, {
  useRuntimeConfig: () => config,
  record: (_: h3.H3Event, what: string, who: object = {}) => recorded.push({ what, ...who }),
  getUserSession: async (event: h3.H3Event) => ({ secure: JSON.parse(h3.getRequestHeader(event, 'x-test-session') ?? 'null') as unknown }),
  replaceUserSession: async (event: h3.H3Event, { secure }: { secure: unknown }) => h3.setResponseHeader(event, 'x-test-session', JSON.stringify(secure)),
  clearUserSession: async (event: h3.H3Event) => h3.setResponseHeader(event, 'x-test-session', 'null'),
  hashPassword: (passphrase: string) => hash.make(passphrase),
  verifyPassword: (made: string, passphrase: string) => {
    checked.times++
    return hash.verify(made, passphrase)
  },
})
