<script lang="ts">
  import { prefs } from '../prefs.svelte';
  import { isBare, keyboardFor, unitIn, withUnit, type Beside } from './units';

  interface Props {
    id?: string;
    label?: string;
    /** The text as it is kept. */
    value: string;
    beside: Beside;
    /** What is kept of a text; a bare number gets the unit beside it. */
    keep?: (text: string, unit: string) => string;
    hint?: string;
    /** Takes two figures ("115/230") or a word as well as one figure. */
    mixed?: boolean;
    invalid?: boolean;
    describedby?: string;
    onchange: (text: string) => void;
  }
  let {
    id,
    label,
    value,
    beside,
    keep = withUnit,
    hint = '',
    mixed = false,
    invalid = false,
    describedby,
    onchange
  }: Props = $props();

  // While a bare number is being typed it stands as typed, and is kept with its unit; left, it shows as it was taken.
  let typed = $state<string>();
  // A figure typed over another is in the other's unit: 3/4 over ½ hp is ¾ hp.
  let stood = $state('');
  const bare = $derived(stood || beside.shown);
  const shown = $derived(typed !== undefined && keep(typed, bare) === value ? typed : value);
  const unit = $derived(shown === '' || shown !== value ? bare : isBare(shown) ? beside.kept : '');
  const placeholder = $derived(unit && hint.endsWith(unit) ? hint.slice(0, hint.length - unit.length).trimEnd() : hint);
  const set = (e: Event) => {
    typed = (e.currentTarget as HTMLInputElement).value;
    onchange(keep(typed, bare));
  };
  const come = () => (stood = isBare(value) ? beside.kept : unitIn(value));
  const leave = () => {
    typed = undefined;
    stood = '';
  };
</script>

<div class="quantity">
  <input
    {id}
    class="blank"
    type="text"
    inputmode={keyboardFor(unit || beside.shown, mixed || (prefs.units === 'inch' && beside.shown === 'in'))}
    autocomplete="off"
    spellcheck="false"
    enterkeyhint="next"
    aria-label={label}
    {placeholder}
    value={shown}
    oninput={set}
    onfocus={come}
    onblur={leave}
    style:padding-right={unit ? `${unit.length * 0.5 + 0.7}rem` : undefined}
    aria-invalid={invalid ? 'true' : undefined}
    aria-describedby={describedby}
  />
  {#if unit}<span class="unit" aria-hidden="true">{unit}</span>{/if}
</div>

<style>
  .quantity {
    position: relative;
  }
  .blank::placeholder {
    color: color-mix(in srgb, var(--soft) 75%, transparent);
    font-weight: 400;
    font-style: italic;
  }
  .unit {
    position: absolute;
    right: 0.35rem;
    top: 50%;
    transform: translateY(-50%);
    color: var(--soft);
    font-size: 0.85rem;
    pointer-events: none;
  }
</style>
