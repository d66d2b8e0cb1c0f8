import { type ChildProcess, execFileSync, spawn } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { createServer } from 'node:net';
import { join } from 'node:path';
import pg from 'pg';

const ROOT = join(import.meta.dirname, '..');

/**
 * A database of one's own, and production servers on it, each started, killed and started again at will. In a run of the end-to-end
 * tests the database is copied from one that was made once (`scripts/e2e.mjs`); elsewhere it gets a server of its own.
 */
export class Fleet {
  private readonly servers: ChildProcess[] = [];

  private constructor(
    readonly databaseUrl: string,
    private readonly demo: boolean,
    private readonly drop: () => Promise<void>,
  ) {}

  /** @param demo without it, the first workspace is empty and nobody has an account */
  static async make(demo = true): Promise<Fleet> {
    const base = process.env.UMBREX_TEMPLATES;
    if (base) return copied(base, demo);
    const home = mkdtempSync('/tmp/umbrex-fleet.');
    const control = (command: string) =>
      execFileSync(join(ROOT, 'scripts/pg.sh'), [command], {
        encoding: 'utf8',
        env: { ...process.env, PG_HOME: home },
      }).trim();
    const fleet = new Fleet(control('start'), demo, async () => {
      control('stop');
      rmSync(home, { recursive: true, force: true });
    });
    fleet.npm('tsx', ['scripts/migrate.ts', ...(demo ? ['--demo'] : [])]);
    return fleet;

    async function copied(url: string, demo: boolean): Promise<Fleet> {
      const name = `copy_${randomUUID().replaceAll('-', '')}`;
      await query(url, `create database ${name} template ${demo ? 'template_demo' : 'template_empty'}`);
      const own = new URL(url);
      own.pathname = `/${name}`;
      return new Fleet(own.href, demo, async () => {
        await query(url, `drop database ${name} with (force)`);
      });
    }
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

  /** Starts a server, at a free port or at `env.PORT`; answers it once it is healthy. */
  async serve(env: Readonly<Record<string, string>> = {}): Promise<Served> {
    // One that was stopped comes back at the same address where its port is named.
    const port = Number(env.PORT ?? (await freePort()));
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
        ...env,
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
    await this.drop();
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

/** Asks a database something, past the application. */
export async function query(url: string, text: string, values: unknown[] = []): Promise<unknown[]> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return (await client.query(text, values)).rows;
  } finally {
    await client.end();
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
