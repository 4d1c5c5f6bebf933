#!/usr/bin/env bash
# Makes core/supply/testdata/gnu_units_wire.tsv: diameter in mm and ohms a metre at 20 °C of solid
# copper by American gauge, from GNU units.
set -euo pipefail
cd "$(dirname "$0")/../../core/supply"
mkdir -p testdata
{
  echo "# $(units --version | head -n 1)"
  for n in 0 2 4 6 8 10 12 14 16 18 20 22 24 26 30; do
    printf '%s\t%s\t%s\n' "$n" "$(units -t "wiregauge($n)" mm)" "$(units -t "1/(copperconductivity circlearea(wiregauge($n)/2))" 'ohm/m')"
  done
} >testdata/gnu_units_wire.tsv
