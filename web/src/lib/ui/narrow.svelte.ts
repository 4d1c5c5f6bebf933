const query = matchMedia('(width < 40rem)');

/** Whether the page is as narrow as a phone. */
class Narrow {
  is = $state(query.matches);

  constructor() {
    query.addEventListener('change', (e) => (this.is = e.matches));
  }
}

export const narrow = new Narrow();
