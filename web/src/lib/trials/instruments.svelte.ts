import { api, call, sayProblem, type Schemas } from '../api/client';
import { passSerial } from './serial';

type Instrument = Schemas['Instrument'];

/** The instruments that may send, and the serial port this page reads. */
export class Instruments {
  list = $state.raw<Instrument[]>([]);
  problem = $state('');
  /** What the serial port last had to say. */
  portSays = $state('');
  reading = $state(false);
  #port: AbortController | undefined;

  async load() {
    const { data, problem } = await call(() => api.GET('/api/instruments'));
    this.problem = data ? '' : sayProblem(problem);
    if (data) this.list = data;
  }

  async add(name: string): Promise<Instrument | undefined> {
    const { data, problem } = await call(() => api.POST('/api/instruments', { body: { name } }));
    this.problem = data ? '' : sayProblem(problem);
    await this.load();
    return data;
  }

  async drop(token: string) {
    await call(() => api.DELETE('/api/instruments/{token}', { params: { path: { token } } }));
    await this.load();
  }

  /** Reads a serial port until it is stopped, under a token of its own. */
  async readPort(baudRate: number) {
    this.stopPort();
    const name = 'serial port';
    const known = this.list.find((i) => i.name === name) ?? (await this.add(name));
    if (!known) return;
    const mine = new AbortController();
    this.#port = mine;
    this.reading = true;
    this.portSays = '';
    this.portSays = await passSerial(known.token, baudRate, mine.signal);
    if (this.#port === mine) this.reading = false;
  }

  stopPort() {
    this.#port?.abort();
    this.#port = undefined;
    this.reading = false;
  }
}

export const instruments = new Instruments();
