import { copyFile } from 'node:fs/promises'
import { join } from 'node:path'
import { build } from 'esbuild'

/**
 * Bundles the threads' file with all it needs, and lays the documents' fonts beside it.
 * @param root the project's folder
 * @param folder where they go
 */
export async function bundleThread(root: string, folder: string): Promise<void> {
  await build({
    entryPoints: [join(root, 'server/threads/thread.ts')], outfile: join(folder, 'thread.mjs'), bundle: true, platform: 'node', format: 'esm', target: 'node20', minify: true, keepNames: true,
    alias: { '#core': join(root, 'core') }, logLevel: 'error',
    // Packages in the older format ask for these.
    banner: { js: 'import { createRequire as makeRequire } from "node:module"; import { dirname as folderOf } from "node:path"; import { fileURLToPath as pathOf } from "node:url"; const require = makeRequire(import.meta.url), __filename = pathOf(import.meta.url), __dirname = folderOf(__filename);' },
  })
  for (const font of ['DejaVuSans.ttf', 'DejaVuSans-Bold.ttf']) await copyFile(join(root, 'node_modules/dejavu-fonts-ttf/ttf', font), join(folder, font))
}
