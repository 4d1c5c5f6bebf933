#!/usr/bin/env bash
# A dry run beside SciPy's solve_ivp (RK45): the same equations at the same error against a tight reference, on one
# machine in one run. Needs Debian's python3-scipy.
. "$(dirname "$0")/lib.sh"
cd "$ROOT"
machines=$(mktemp)
trap 'rm -f "$machines"' EXIT
go test ./core/dryrun -count 1 -run TestRunsAgreeWithSciPy -args -machines "$machines" >/dev/null
line=$(GOGC=400 go test ./core/dryrun -run '^$' -bench BesideSciPy -count 3 | grep ^Benchmark | sort -k3 -n | head -1)
ours=$(awk '{print $3 / 1e9}' <<<"$line")
off=$(awk '{for (i = 1; i <= NF; i++) if ($i == "off") print $(i - 1)}' <<<"$line")
read -r theirs rtol error version < <(/usr/bin/python3 scripts/reference/scipy_dryrun.py "$machines" --time "$off")
awk -v o="$ours" -v t="$theirs" -v off="$off" -v rtol="$rtol" -v e="$error" -v v="$version" 'BEGIN {
  printf "dry run %.3f ms, off by %s; %s RK45 %.1f ms at rtol %s, off by %s: %.0f times as fast\n",
    o * 1e3, off, v, t * 1e3, rtol, e, t / o }'
