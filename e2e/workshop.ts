import { test as base, expect, type Page } from '@playwright/test';
import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { createServer } from 'node:net';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const binary = `${root}bin/jiriki`;

const freePort = async (): Promise<number> => {
  const server = createServer().listen(0, '127.0.0.1');
  await once(server, 'listening');
  const address = server.address();
  server.close();
  await once(server, 'close');
  if (!address || typeof address === 'string') throw new Error('no port');
  return address.port;
};

/** What the journeys read of a saved plan. */
export interface SavedSheet {
  planId: string;
  planVersion: number;
  machineVersion: number;
  plan: { motor: object; control: object };
  machine: { jobs: object[] };
}

/** A server on a database of its own, which may be stopped and started again. */
export class Workshop {
  #child: ChildProcess | undefined;

  private constructor(
    readonly databaseUrl: string,
    readonly port: number
  ) {}

  get url() {
    return `http://127.0.0.1:${this.port}`;
  }

  static async open(name: string): Promise<Workshop> {
    const base = process.env.TEST_DATABASE_URL;
    if (!base) throw new Error('the journeys need TEST_DATABASE_URL; run make test');
    execFileSync('psql', [base, '-qc', `CREATE DATABASE ${name}`]);
    const url = new URL(base);
    url.pathname = `/${name}`;
    const w = new Workshop(url.toString(), await freePort());
    await w.start();
    return w;
  }

  /** also are more words for the program. */
  async start(database: 'there' | 'away' = 'there', ...also: string[]) {
    const child = spawn(binary, ['serve', '--addr', `127.0.0.1:${this.port}`, ...also], {
      env: { ...process.env, DATABASE_URL: this.databaseUrl },
      stdio: ['ignore', 'ignore', 'pipe']
    });
    this.#child = child;
    let said = '';
    child.stderr?.on('data', (d: Buffer) => (said += d.toString()));
    await expect(async () => {
      expect(child.exitCode, said).toBeNull();
      expect((await fetch(`${this.url}/api/health`)).status).toBe(database === 'there' ? 204 : 503);
    }).toPass({ timeout: 20_000 });
  }

  async stop() {
    const child = this.#child;
    if (!child || child.exitCode !== null) return;
    child.kill('SIGTERM');
    await once(child, 'exit');
  }

  /** Lets the database refuse and drop connections, or take them again. */
  database(state: 'away' | 'back') {
    const admin = new URL(this.databaseUrl);
    const name = admin.pathname.slice(1);
    admin.pathname = '/postgres';
    const allow = state === 'back' ? 'true' : 'false';
    execFileSync('psql', [admin.toString(), '-qc', `ALTER DATABASE ${name} ALLOW_CONNECTIONS ${allow}`]);
    if (state === 'away')
      execFileSync('psql', [
        admin.toString(),
        '-qAtc',
        `SELECT count(pg_terminate_backend(pid)) FROM pg_stat_activity WHERE datname = '${name}'`
      ]);
  }

  async loadDemo() {
    const res = await fetch(`${this.url}/api/demo`, { method: 'POST' });
    expect(res.status).toBe(204);
  }

  /** Address of a plan's sheet. */
  async plan(machine: string, letter: string): Promise<string> {
    return `${this.url}/#/plan/${await this.#planId(machine, letter)}`;
  }

  /** A plan as it is saved. */
  async sheet(machine: string, letter: string): Promise<SavedSheet> {
    return (await this.#json('GET', `/api/plans/${await this.#planId(machine, letter)}`)) as SavedSheet;
  }

  /** Saves a plan with its machine changed. */
  async save({ planId, plan, planVersion, machine, machineVersion }: SavedSheet, change: object) {
    await this.#json('PUT', `/api/plans/${planId}`, {
      plan,
      planVersion,
      machineVersion,
      machine: { ...machine, ...change }
    });
  }

  /** Puts a part on the shelf and returns its ID. */
  async shelve(part: object): Promise<string> {
    const { item } = (await this.#json('GET', '/api/catalogue')) as { item: object };
    return ((await this.#json('POST', '/api/shelf', { ...item, ...part })) as { id: string }).id;
  }

  async #planId(machine: string, letter: string): Promise<string> {
    const shed = (await this.#json('GET', '/api/workshop')) as {
      machines: { name: string; plans: { id: string; letter: string }[] }[];
    };
    const id = shed.machines.find((m) => m.name === machine)?.plans.find((p) => p.letter === letter)?.id;
    if (!id) throw new Error(`no plan ${letter} of ${machine}`);
    return id;
  }

  async #json(method: string, path: string, body?: object): Promise<unknown> {
    const res = await fetch(this.url + path, {
      method,
      headers: body && { 'Content-Type': 'application/json' },
      body: body && JSON.stringify(body)
    });
    const text = await res.text();
    expect(res.ok, text).toBe(true);
    return JSON.parse(text);
  }
}

/** Each test has a workshop of its own and fails on any error the page meets, but for the
 * network's own, which some journeys cause on purpose. */
export const test = base.extend<{ workshop: Workshop }>({
  workshop: async ({ page }, use, info) => {
    const workshop = await Workshop.open(
      `e2e_${process.pid}_${info.workerIndex}_${info.testId.replace(/[^a-z0-9]/g, '')}_${info.retry}`.toLowerCase()
    );
    const errors: string[] = [];
    page.on('pageerror', (e) => errors.push(e.message));
    page.on('console', (m) => {
      if (m.type() === 'error' && !/^(Failed to load resource|WebSocket connection to)/.test(m.text()))
        errors.push(m.text());
    });
    await use(workshop);
    await workshop.stop();
    expect(errors).toEqual([]);
  }
});

export const saved = (page: Page) => expect(page.locator('[data-save="saved"]')).toBeVisible();
/** Every plan of the demo, by machine and letter. */
export const demoPlans = [
  ['Kick wheel, powered', 'A'],
  ['Kick wheel, powered', 'B'],
  ['Cider mill', 'A'],
  ['Power hacksaw', 'A'],
  ['Honey extractor', 'A']
] as const;

export const station = (page: Page, name: string) =>
  page.getByRole('tab', { name: new RegExp(`^${name}`, 'i') }).click();
export const field = (page: Page, label: string) => page.getByLabel(label, { exact: true });
/** Opens what of the newest open job is folded away: how its speed is known, its start, its margin. */
export const moreOfJob = (page: Page) =>
  page.locator('summary:visible').filter({ hasText: 'how its speed is known' }).last().click();
/** Opens the machine's limits on the bench of the work. */
export const machineLimits = (page: Page) => page.getByText('The machine and its limits').click();
/** The two answers at the head of a plan. */
export const answers = (page: Page) => page.getByRole('region', { name: 'Answers' });

/** Goes where the finder goes by so many words. */
export const find = async (page: Page, words: string) => {
  await page.keyboard.press('/');
  const finder = page.getByPlaceholder('Find a field, a finding or something to do');
  await expect(finder).toBeFocused();
  await page.keyboard.type(words);
  await expect(finder).toHaveValue(words);
  await expect(page.locator('[data-command-item][data-selected]')).toBeVisible();
  await page.keyboard.press('Enter');
};

export { expect };
