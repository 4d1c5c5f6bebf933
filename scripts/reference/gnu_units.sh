#!/usr/bin/env bash
# Makes core/quantity/testdata/gnu_units.tsv with GNU units (Debian's `units`): text as a person
# types it, dimension, SI value. The first line records the version that made it.
set -euo pipefail
out=$(cd "$(dirname "$0")/../.." && pwd)/core/quantity/testdata/gnu_units.tsv
{
  printf '# made by scripts/reference/gnu_units.sh with %s\n' "$(units --version | head -n 1)"
  # typed | dimension | the same for GNU units | SI unit
  while IFS='|' read -r typed dimension have want; do
    [ -n "$typed" ] || continue
    printf '%s\t%s\t%s\n' "$typed" "$dimension" "$(units -t -d 15 "$have" "$want")"
  done <<'LIST'
3/4 hp|power|0.75 hp|W
1 hp|power|hp|W
0.55 kW|power|0.55 kW|W
1 PS|power|metrichorsepower|W
1750 rpm|speed|1750 rpm|radian/s
29 rev/s|speed|29 rev/s|radian/s
60 N·cm|torque|60 N cm|N m
12 lbf·ft|torque|12 lbf ft|N m
90 in-lb|torque|90 lbf in|N m
250 oz·in|torque|250 ounce force in|N m
14 kgf·cm|torque|14 kgf cm|N m
4.2 lb at 45 mm|torque|4.2 lbf 45 mm|N m
5/8"|length|0.625 inch|m
1 3/8"|length|1.375 inch|m
7.4 in|length|7.4 inch|m
2 ft|length|2 ft|m
4.2 lb|force|4.2 lbf|N
7.6 kg|force|7.6 kgf|N
12 oz|force|12 ounce force|N
14 lb|mass|14 lb|kg
3390 ft/min|surface speed|3390 ft/min|m/s
30 m/min|surface speed|30 m/min|m/s
110 V/krpm|back-EMF constant|110 V/(1000 rpm)|V s/radian
90 °|angle|90 degree|radian
15 min|time|15 min|s
1.5 h|time|1.5 hour|s
48 °C|temperature|tempC(48)|K
118 °F|temperature|tempF(118)|K
20|temperature|tempC(20)|K
LIST
} >"$out"
