import { push } from 'svelte-spa-router';
import { catalogue } from '../catalogue.svelte';
import { glossary, wordId } from '../words';
import type { Deed } from './find';

/** Goes to a word where the words are told. */
async function goWord(word: string) {
  await push('/how-to');
  // The page is fetched when it is first gone to.
  const look = (left: number) => {
    const at = document.getElementById(wordId(word));
    if (at) {
      at.scrollIntoView({ block: 'center' });
      at.focus();
    } else if (left > 0) setTimeout(() => look(left - 1), 50);
  };
  look(60);
}

/** What the finder finds on every page: words and what they mean, exercises, and the pages there are. */
export const everywhere = (): Deed[] => [
  { name: 'The shed', also: 'home machines plans', group: 'Go to', run: () => void push('/') },
  { name: 'The shelf', also: 'parts stock motors pulleys', group: 'Go to', run: () => void push('/shelf') },
  {
    name: 'What old machines hold',
    also: 'donor scrap salvage washing machine treadmill',
    group: 'Go to',
    run: () => void push('/shelf/donors')
  },
  {
    name: 'What is it? Name a motor by what can be seen',
    also: 'identify unknown motor leads wires capacitor which kind',
    group: 'Go to',
    run: () => void push('/what-is-it')
  },
  {
    name: 'How to go about it, and the words used here',
    also: 'help glossary manual begin',
    group: 'Go to',
    run: () => void push('/how-to')
  },
  {
    name: 'Practice bench: exercises on simulated machines',
    also: 'training learn simulate simulator',
    group: 'Go to',
    run: () => void push('/practice')
  },
  {
    name: 'Instruments to practise on: meter, scale, strobe, tachometer',
    also: 'simulated practice bench torque wrench multimeter',
    group: 'Go to',
    run: () => void push('/practice/bench')
  },
  ...catalogue.exercises.map((e) => ({
    name: `Exercise: ${e.name}`,
    says: e.about,
    also: `practice ${e.about}`.toLowerCase(),
    group: 'Practice',
    run: () => void push(`/practice/${e.id}`)
  })),
  ...glossary.map(([word, means]) => ({ name: word, says: means, group: 'Words', run: () => void goWord(word) }))
];
