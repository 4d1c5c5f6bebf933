import { api, call, sayProblem, type Schemas } from '../api/client';
import { passSerial } from './serial';

type Instrument = Schemas['Instrument'];

/** The tokens this browser was given, by their instruments' IDs: the server tells them once. */
class Given {
  #here: Record<number, string> = {};
  readonly #key = 'jiriki.instruments';

  constructor() {
    try {
      this.#here = JSON.parse(localStorage.getItem(this.#key) ?? '{}') as Record<number, string>;
    } catch {
      // Nothing is kept: what is given is known as long as the page is open.
    }
  }

  token(id: number): string | undefined {
    return this.#here[id];
  }

  keep(id: number, token: string) {
    this.#here[id] = token;
    try {
      localStorage.setItem(this.#key, JSON.stringify(this.#here));
    } catch {
      // As above.
    }
  }
}

/** The instruments that may send, and the serial port this page reads. */
export class Instruments {
  list = $state.raw<Instrument[]>([]);
  problem = $state('');
  /** What the serial port last had to say. */
  portSays = $state('');
  reading = $state(false);
  #port: AbortController | undefined;
  readonly #given = new Given();

  /** The token of an instrument, where this browser was given it. */
  token(i: Instrument): string | undefined {
    return this.#given.token(i.id);
  }

  async load() {
    const { data, problem } = await call(() => api.GET('/api/instruments'));
    this.problem = data ? '' : sayProblem(problem);
    if (data) this.list = data;
  }

  async add(name: string): Promise<Instrument | undefined> {
    const { data, problem } = await call(() => api.POST('/api/instruments', { body: { name } }));
    if (data) this.#given.keep(data.id, data.token);
    await this.load();
    if (!data) this.problem = sayProblem(problem);
    return data;
  }

  /** The token under which this browser sends as an instrument of a name, which is let in if it is not yet. */
  async tokenOf(name: string): Promise<string> {
    await this.load();
    const known = this.list.find((i) => i.name === name && this.token(i)) ?? (await this.add(name));
    return (known && this.token(known)) ?? '';
  }

  async drop(id: number) {
    await call(() => api.DELETE('/api/instruments/{id}', { params: { path: { id } } }));
    await this.load();
  }

  /** Reads a serial port until it is stopped, under a token of its own. */
  async readPort(baudRate: number) {
    this.stopPort();
    const token = await this.tokenOf('serial port');
    if (!token) return;
    const mine = new AbortController();
    this.#port = mine;
    this.reading = true;
    this.portSays = '';
    this.portSays = await passSerial(token, baudRate, mine.signal);
    if (this.#port === mine) this.reading = false;
  }

  stopPort() {
    this.#port?.abort();
    this.#port = undefined;
    this.reading = false;
  }
}

export const instruments = new Instruments();
