<script lang="ts">
  import Router from 'svelte-spa-router';
  import { wrap } from 'svelte-spa-router/wrap';
  import { catalogue } from './lib/catalogue.svelte';
  import { prefs } from './lib/prefs.svelte';
  import Explainer from './lib/ui/Explainer.svelte';
  import BuildSheet from './routes/BuildSheet.svelte';
  import HowTo from './routes/HowTo.svelte';
  import NotFound from './routes/NotFound.svelte';
  import PlanSheet from './routes/PlanSheet.svelte';
  import SettingsSheet from './routes/SettingsSheet.svelte';
  import Shed from './routes/Shed.svelte';
  import Shelf from './routes/Shelf.svelte';
  import SpeedPlate from './routes/SpeedPlate.svelte';
  import VerdictSheet from './routes/VerdictSheet.svelte';
  import WhatIsIt from './routes/WhatIsIt.svelte';

  const routes = {
    '/': Shed,
    '/plan/:id/speed-plate': SpeedPlate,
    '/plan/:id/settings': SettingsSheet,
    '/plan/:id/build': BuildSheet,
    '/plan/:id/verdict': VerdictSheet,
    '/plan/:id/:view?': PlanSheet,
    '/shelf/:id?': Shelf,
    '/what-is-it/:plan?': WhatIsIt,
    '/practice/:exercise?/:seed?': wrap({ asyncComponent: () => import('./routes/Practice.svelte') }),
    '/how-to': HowTo,
    '*': NotFound
  };

  $effect(() => catalogue.load(prefs.answers));
  $effect(() => {
    document.documentElement.dataset.theme = prefs.shownTheme;
  });
</script>

<Router {routes} />
<Explainer />
