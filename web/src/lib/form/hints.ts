import type { Units } from '../prefs.svelte';

/** What might stand in a blank, for those who work in inches: invented figures of the usual size. */
export const inchHints: Record<string, string> = {
  '110 N·cm': '150 oz·in',
  '0.3 kW': '0.4 hp',
  '0.6 kW, 930 rpm, 230 V, 4.9 A': '3/4 hp, 930 rpm, 230 V, 4.9 A',
  '0.3 kg': '0.6 lb',
  '7.6 kg': '17 lb',
  '14 kg': '31 lb',
  '40 kg': '90 lb',
  '0.4 N·m': '0.3 lbf·ft',
  '0.6 N·m': '0.4 lbf·ft',
  '1.9 N·m': '1.4 lbf·ft',
  '2 N·m': '1.5 lbf·ft',
  '3 N·m': '2.2 lbf·ft',
  '8 N·m': '6 lbf·ft',
  '25 N·m': '18 lbf·ft',
  '40 N·m': '30 lbf·ft',
  '500 N': '110 lbf',
  '0.4 kg·m²': '9 lb·ft²',
  '9 kg·cm²': '3 lb·in²',
  '5 lb at 80 mm': '5 lb at 3 in',
  '0.006 mm': '0.0003 in',
  '0.02 mm': '0.001 in',
  '0.05 mm': '0.002 in',
  '0.1 mm': '0.004 in',
  '0.15 mm': '0.006 in',
  '0.9 mm': '0.035 in',
  '1 mm': '0.04 in',
  '4 mm': '5/32 in',
  '5 mm': '3/16 in',
  '10 mm': '3/8 in',
  '12 mm': '1/2 in',
  '14 mm': '9/16 in',
  '15 mm': '5/8 in',
  '19 mm': '3/4 in',
  '20 mm': '7/8 in',
  '30 mm': '1 1/4 in',
  '35 mm': '1 3/8 in',
  '40 mm': '1 1/2 in',
  '45 mm': '1 3/4 in',
  '60 mm': '2 1/4 in',
  '75 mm': '3 in',
  '80 mm': '3 1/2 in',
  '102 mm': '4 in',
  '120 mm': '4 3/4 in',
  '150 mm': '6 in',
  '160 mm': '6 1/4 in',
  '180 mm': '7 in',
  '215 mm': '8 1/2 in',
  '236 mm': '9 in',
  '255 mm': '10 in',
  '280 mm': '11 in',
  '300 mm': '12 in',
  '340 mm': '13 in',
  '350 mm': '14 in',
  '400 mm': '16 in',
  '500 mm': '20 in',
  '520 mm': '20 in',
  '700 mm': '28 in',
  '1080 mm': '42 in',
  '3 mm, or 9 TPI': '1/8 in, or 9 TPI',
  '1.5 mm, or 20 DP': '20 DP, or 1.5 mm',
  '12.7 mm, or 35': '35, or 1/2 in',
  '20 mm/min': '0.8 in/min',
  '200 mm/min': '8 in/min',
  '5 m/min': '16 ft/min',
  '30 m/min, or the usual one': '100 ft/min, or the usual one',
  '12 m': '40 ft',
  'under 1000 m': 'under 3000 ft',
  '50 °C': '120 °F'
};

/** The same for where the mains are of 60 Hz and motors are wound for it. */
export const americanHints: Record<string, string> = {
  '230 V': '120 V',
  '230/400 V': '230/460 V',
  '50 Hz': '60 Hz',
  '0.6 kW, 930 rpm, 230 V, 4.9 A': '3/4 hp, 1140 rpm, 115 V, 11 A',
  '1425 rpm': '1720 rpm',
  'Ring main, 10 A': 'Bench circuit, 20 A'
};

/** A hint as it suits who reads it. */
export function hintFor(hint: string, units: Units, region: string): string {
  const there = region === 'north-america' ? (americanHints[hint] ?? hint) : hint;
  return units === 'inch' ? (inchHints[there] ?? there) : there;
}
