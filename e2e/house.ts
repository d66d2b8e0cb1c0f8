import { request } from '@playwright/test';
import { Fleet, type Served } from '../scripts/fleet';
import type { DemoRole } from './support';

type Cookies = Awaited<ReturnType<Awaited<ReturnType<typeof request.newContext>>['storageState']>>['cookies'];

/** Keeps one server on one fresh copy of the demo for the spec file that is being run, and one session a role on it. */
export class House {
  private file = '';
  private fleet: Fleet | undefined;
  private served: Served | undefined;
  private readonly sessions = new Map<string, Cookies>();

  /** The address of the server that belongs to a spec file; the last file's goes with its database. */
  async addressFor(file: string): Promise<string> {
    if (this.served && this.file === file) return this.served.url;
    await this.end();
    this.fleet = await Fleet.make();
    this.served = await this.fleet.serve();
    this.file = file;
    return this.served.url;
  }

  /** The cookies of somebody with a role, who signed in once for the whole file. */
  async sessionOf(role: NonNullable<DemoRole>, baseURL: string): Promise<Cookies> {
    const known = this.sessions.get(role);
    if (known) return known;
    const visitor = await request.newContext({ baseURL });
    const answer = await visitor.post('/api/session/demo', { data: { role } });
    if (!answer.ok()) throw new Error(`nobody could sign in as ${role}: ${answer.status()}`);
    const { cookies } = await visitor.storageState();
    await visitor.dispose();
    this.sessions.set(role, cookies);
    return cookies;
  }

  async end(): Promise<void> {
    this.sessions.clear();
    await this.fleet?.end();
    this.fleet = undefined;
    this.served = undefined;
  }
}
