import { Ask } from '../api/ask.svelte';
import { api, call, sayProblem, type ShelfLabel } from '../api/client';

/** The workshop's shelf as a list, the same for every page: a part itself is asked for when it is wanted. */
class Stock {
  #asked = new Ask<ShelfLabel[]>((signal) => call(() => api.GET('/api/shelf', { signal })));

  /** Looks what is on it now. */
  load() {
    this.#asked.again();
  }

  get parts(): ShelfLabel[] {
    return this.#asked.answer ?? [];
  }
  get known(): boolean {
    return this.#asked.answer !== undefined;
  }
  get problem(): string {
    return this.#asked.problem ? sayProblem(this.#asked.problem) : '';
  }
  of(sort: ShelfLabel['sort']): ShelfLabel[] {
    return this.parts.filter((p) => p.sort === sort);
  }
}

export const stock = new Stock();

/** Takes a part off the shelf, or puts it back; says what went wrong, if something did. */
export const setOnShelf = async (id: string, on: boolean): Promise<string> => {
  const params = { path: { id } };
  const { problem } = on
    ? await call(() => api.POST('/api/shelf/{id}/restore', { params }))
    : await call(() => api.DELETE('/api/shelf/{id}', { params }));
  stock.load();
  return problem ? sayProblem(problem) : '';
};
