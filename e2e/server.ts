import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const root = join(import.meta.dirname, '..');

/** The built application with the demo data in a folder of its own; stopped and started again on the same data. */
export class TestServer {
  readonly folder = mkdtempSync(join(tmpdir(), 'pondu-e2e-'));
  private readonly env: Readonly<Record<string, string>>;
  private child: ChildProcess | undefined;
  private port = '0';
  /** All that it said when it last started. */
  said = '';

  constructor(env: Readonly<Record<string, string>> = {}) {
    this.env = env;
  }

  /** Resolves with the first address that it names. */
  async start(more: Readonly<Record<string, string>> = {}): Promise<string> {
    this.said = '';
    const child = spawn(process.execPath, [join(root, 'server/dist/main.js')], {
      cwd: root,
      env: {
        ...process.env,
        PONDU_DATA: join(this.folder, 'e2e.sqlite'),
        PONDU_LOAD: join(root, 'demo'),
        PONDU_WEB: join(root, 'web/dist'),
        ...this.env,
        ...more,
        PORT: this.port,
      },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    this.child = child;
    const address = await new Promise<string>((resolve, reject) => {
      child.stdout!.on('data', (chunk: Buffer) => {
        this.said += chunk.toString();
        const found = /https?:\/\/\S+:\d+/.exec(this.said);
        // All of it: the key comes after the address.
        if (found && /Data in [^\n]*\n/.test(this.said)) setTimeout(() => resolve(found[0]), 50);
      });
      child.once('exit', (code) => reject(new Error(`The server ended with ${code}: ${this.said}`)));
    });
    this.port = address.replace(/.*:/, '');
    return address;
  }
  get shopKey(): string {
    return /Shop key: (\S+)/.exec(this.said)?.[1] ?? '';
  }
  get pid(): number {
    return this.child?.pid ?? 0;
  }
  get number(): string {
    return this.port;
  }

  /** Resolves with the code it ended with, once it has. */
  stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<number | null> {
    const child = this.child;
    this.child = undefined;
    if (!child || child.exitCode !== null) return Promise.resolve(child?.exitCode ?? null);
    return new Promise((done) => {
      child.once('exit', (code) => done(code));
      child.kill(signal);
    });
  }
  async remove(): Promise<void> {
    await this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }
}
