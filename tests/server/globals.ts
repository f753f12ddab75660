import { readFile } from 'node:fs/promises'
import * as h3 from 'h3'
import * as answers from '../../server/utils/answers'
import * as limitedBody from '../../server/utils/limited-body'
import * as openedJob from '../../server/utils/opened-job'
import * as photoId from '../../server/utils/photo-id'
import * as shelfItem from '../../server/utils/shelf-item'
import * as signedIn from '../../server/utils/signed-in'
import * as tickList from '../../server/utils/tick-list'

/**
 * What the server's build puts within reach of every route. Only the sealed cookie is another here: a header says whose session
 * it is, and the database still decides whether it holds.
 */
Object.assign(globalThis, h3, answers, limitedBody, openedJob, photoId, shelfItem, signedIn, tickList, {
  useRuntimeConfig: () => ({ databaseUrl: process.env.ROUTES_DATABASE_URL, demo: false, app: { buildId: 'test' } }),
  getUserSession: async (event: h3.H3Event) => ({ secure: JSON.parse(h3.getRequestHeader(event, 'x-test-session') ?? 'null') as unknown }),
  setUserSession: async () => {},
  useStorage: () => ({ getItemRaw: (name: string) => readFile(`node_modules/dejavu-fonts-ttf/ttf/${name}`) }),
})
