<script lang="ts">
  import { Ask } from '../lib/api/ask.svelte';
  import { api, call, sayProblem, type Schemas } from '../lib/api/client';
  import Exercise from '../lib/practice/Exercise.svelte';
  import Instruments from '../lib/practice/Instruments.svelte';
  import { anySeed, PracticeState } from '../lib/practice/practice.svelte';
  import TopBar from '../lib/ui/TopBar.svelte';

  /** The practice bench: simulated machines to learn on, each with what is hidden in it. */
  let { params }: { params?: { exercise?: string | null; seed?: string | null } } = $props();

  const asked = new Ask<Schemas['PracticeNamed'][]>((signal) => call(() => api.GET('/api/practice', { signal })));
  $effect(() => {
    asked.again();
    return () => asked.stop();
  });
  const begin = $derived(asked.answer?.[0]);
  const exercise = $derived(params?.exercise ?? '');
  let at = $state.raw<PracticeState>();
  $effect(() => {
    const seed = Number(params?.seed);
    const mine =
      exercise && exercise !== 'bench'
        ? new PracticeState(exercise, params?.seed && Number.isInteger(seed) ? seed : anySeed())
        : undefined;
    at = mine;
    return () => mine?.stop();
  });
</script>

<svelte:head><title>Practice bench | Jiriki</title></svelte:head>
<TopBar><p class="text-xl font-head font-semibold">Practice bench</p></TopBar>
<main class="practice">
  <nav aria-label="Exercises">
    {#if asked.problem}<p role="alert" class="text-stop">{sayProblem(asked.problem)}</p>{/if}
    <ul>
      {#each asked.answer ?? [] as e (e.id)}
        <li>
          <a class="one" href="#/practice/{e.id}" aria-current={exercise === e.id ? 'page' : undefined}>
            <span class="block font-semibold">{e.name}</span>
            <span class="block text-sm text-soft">{e.about}</span>
          </a>
        </li>
      {/each}
      <li>
        <a class="one" href="#/practice/bench" aria-current={exercise === 'bench' ? 'page' : undefined}>
          <span class="block font-semibold">The bench itself</span>
          <span class="block text-sm text-soft">instruments to read as you like</span>
        </a>
      </li>
    </ul>
  </nav>
  <div class="min-w-0 p-4">
    {#if exercise === 'bench'}
      <Instruments />
    {:else if at}
      {#key at}<Exercise state={at} />{/key}
    {:else}
      <h1 class="text-[1.6rem]">Learn it where nothing burns</h1>
      <p class="mt-1 max-w-2xl text-[1.05rem]">
        Machines made up from a number, with figures you do not see and instruments that are a little off, as real ones
        are. Find out what is asked with as little time and risk as you can; what you did is marked, and what would have
        been better is said.
      </p>
      {#if begin}
        <p class="caption mt-4">Begin with</p>
        <p class="text-lg"><a class="link font-semibold" href="#/practice/{begin.id}">{begin.name}</a></p>
        <p class="text-soft">{begin.about}</p>
        <!-- What it gives, as a sketch: an instrument read, and the mark it earns. -->
        <svg viewBox="0 0 320 116" class="mt-3 w-full max-w-md" role="img" aria-label="What it gives, as a sketch">
          <path d="M20 96A62 62 0 0 1 144 96" class="dial" />
          {#each [0, 1, 2, 3, 4, 5, 6] as k (k)}
            <path d="M26 96h9" class="dial" transform="rotate({k * 30} 82 96)" />
          {/each}
          <path d="M82 96L116 52" class="needle" />
          <text x="82" y="112" text-anchor="middle">read it</text>
          <path d="M156 70h28m-7 -6l8 6l-8 6" class="dial" />
          <text x="204" y="48">found</text>
          <text x="204" y="72">what it cost</text>
          <text x="204" y="96">what could have hurt</text>
        </svg>
      {/if}
    {/if}
  </div>
</main>

<style>
  .dial,
  .needle {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.6;
  }
  .needle {
    stroke: var(--brass);
    stroke-width: 2.4;
  }
  text {
    fill: var(--soft);
    font-size: 13px;
  }
  .practice {
    display: grid;
    grid-template-columns: 17rem minmax(0, 1fr);
  }
  nav {
    padding: 0.8rem 1rem 2rem;
    border-right: 1px solid var(--rule);
  }
  .one {
    display: block;
    min-height: 2.75rem;
    padding: 0.4rem 0.5rem;
    border-bottom: 1px dotted var(--rule);
  }
  .one:hover {
    background: var(--card);
  }
  .one[aria-current] {
    background: var(--iron-wash);
  }
  @media (max-width: 46rem) {
    .practice {
      grid-template-columns: minmax(0, 1fr);
    }
    nav {
      order: 2;
      border: 0;
    }
  }
</style>
