import { type ChildProcess, execFileSync, spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { createServer } from 'node:net';
import { join } from 'node:path';

const ROOT = join(import.meta.dirname, '..');

/** A database of one's own, and production servers on it, each started, killed and started again at will. */
export class Fleet {
  private readonly home = mkdtempSync('/tmp/umbrex-fleet.');
  private readonly servers: ChildProcess[] = [];
  readonly databaseUrl: string;

  /** @param demo without it, the first workspace is empty and nobody has an account */
  constructor(private readonly demo = true) {
    this.databaseUrl = this.pg('start');
    this.npm('tsx', ['scripts/migrate.ts', ...(demo ? ['--demo'] : [])]);
  }

  private pg(command: string): string {
    const env = { ...process.env, PG_HOME: this.home };
    return execFileSync(join(ROOT, 'scripts/pg.sh'), [command], { encoding: 'utf8', env }).trim();
  }

  /** Runs a program of the installed packages on this database; answers what it said. */
  npm(program: string, args: readonly string[]): string {
    const path = program === 'node' ? process.execPath : join(ROOT, 'node_modules/.bin', program);
    const env = { ...process.env, DATABASE_URL: this.databaseUrl };
    return execFileSync(path, args, {
      cwd: ROOT,
      encoding: 'utf8',
      env,
      stdio: ['ignore', 'pipe', 'ignore'],
    });
  }

  /** Starts a server; answers it once it is healthy. */
  async serve(): Promise<Served> {
    const port = await freePort();
    const child = spawn(process.execPath, ['web/server.mjs'], {
      cwd: ROOT,
      stdio: 'ignore',
      env: {
        ...process.env,
        DATABASE_URL: this.databaseUrl,
        HOST: '127.0.0.1',
        PORT: String(port),
        NODE_ENV: 'production',
        UMBREX_DEMO: this.demo ? '1' : '0',
        LOG_LEVEL: 'silent',
      },
    });
    this.servers.push(child);
    const served = new Served(child, `http://127.0.0.1:${port}`);
    for (let i = 0; i < 600; i++) {
      if (child.exitCode !== null) throw new Error(`the server ended with ${child.exitCode}`);
      const answer = await fetch(`${served.url}/api/health`).catch(() => null);
      if (answer?.ok) return served;
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
    throw new Error('the server is not healthy');
  }

  async end(): Promise<void> {
    for (const child of this.servers)
      if (child.exitCode === null && child.signalCode === null) child.kill('SIGKILL');
    this.pg('stop');
    rmSync(this.home, { recursive: true, force: true });
  }
}

/** A running server, and calls to it as the demo's coordinator. */
export class Served {
  private cookie = '';
  constructor(
    private readonly child: ChildProcess,
    readonly url: string,
  ) {}

  async signIn(role = 'coordinator'): Promise<void> {
    const answer = await this.call('POST', '/api/session/demo', { role });
    this.cookie = answer.headers.get('set-cookie')?.split(';')[0] ?? '';
  }

  call(method: string, path: string, body?: object): Promise<Response> {
    return fetch(this.url + path, {
      method,
      headers: { cookie: this.cookie, 'content-type': 'application/json', origin: this.url },
      ...(body && { body: JSON.stringify(body) }),
    });
  }

  /** Ends it at once, in the middle of whatever it does. */
  async kill(): Promise<void> {
    const gone = once(this.child, 'exit');
    this.child.kill('SIGKILL');
    await gone;
  }

  /** Asks it to end; answers its exit code. */
  async stop(): Promise<number> {
    const gone = once(this.child, 'exit');
    this.child.kill('SIGTERM');
    const [code] = await gone;
    return code as number;
  }
}

async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  server.close();
  await once(server, 'close');
  return port;
}
