import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { TestProject } from 'vitest/node';

declare module 'vitest' {
  interface ProvidedContext {
    url: string;
  }
}

const root = join(import.meta.dirname, '..');

/** The built application on a free port, with the demo data in a file of its own. */
export default async function setup(project: TestProject) {
  const folder = mkdtempSync(join(tmpdir(), 'pondu-e2e-'));
  const server = spawn(process.execPath, [join(root, 'server/dist/main.js')], {
    cwd: root,
    env: {
      ...process.env,
      PORT: '0',
      PONDU_DATA: join(folder, 'e2e.sqlite'),
      PONDU_LOAD: join(root, 'demo'),
      PONDU_WEB: join(root, 'web/dist'),
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  project.provide('url', await addressOf(server));
  return () => {
    server.kill('SIGTERM');
    rmSync(folder, { recursive: true, force: true });
  };
}

function addressOf(server: ChildProcess): Promise<string> {
  return new Promise((resolve, reject) => {
    let said = '';
    server.stdout!.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      const found = /http:\/\/\S+/.exec(said);
      if (found) resolve(found[0]);
    });
    server.once('exit', (code) => reject(new Error(`The server stopped with ${code} before it listened.`)));
  });
}
