<script lang="ts">
  import Router from 'svelte-spa-router';
  import { catalogue } from './lib/catalogue.svelte';
  import { prefs } from './lib/prefs.svelte';
  import NotFound from './routes/NotFound.svelte';
  import PlanSheet from './routes/PlanSheet.svelte';
  import Shed from './routes/Shed.svelte';
  import SpeedPlate from './routes/SpeedPlate.svelte';

  const routes = { '/': Shed, '/plan/:id': PlanSheet, '/plan/:id/speed-plate': SpeedPlate, '*': NotFound };

  void catalogue.load();
  $effect(() => {
    document.documentElement.dataset.theme = prefs.shownTheme;
  });
</script>

<Router {routes} />
