#!/usr/bin/python3
"""Makes core/thermal/testdata/scipy.json with SciPy (Debian's python3-scipy): two bodies, winding and case, heated in
turns, by an adaptive Runge-Kutta method. The file records the versions that made it."""
import json
import os
import sys

import numpy as np
import scipy
from scipy.integrate import solve_ivp

ROOT = os.path.join(os.path.dirname(os.path.abspath(__file__)), "..", "..")
MADE = f"scripts/reference/scipy_heat.py, SciPy {scipy.__version__}, NumPy {np.__version__}, Python {sys.version.split()[0]}"


def run(c, start, heat, cooling, seconds):
    def slope(_, s):
        inside = c["inside"] * (s[0] - s[1])
        return [(heat - inside) / c["winding"], (inside - c["outside"] * cooling * s[1]) / c["case"]]

    out = solve_ivp(slope, (0, seconds), start, method="DOP853", rtol=1e-10, atol=1e-10)
    return [float(v) for v in out.y[:, -1]]


cases = []
for winding, case, inside, outside in [(400, 3000, 4, 1.6), (900, 9000, 9, 5), (150, 500, 2.5, 2)]:
    for heat, on, off, resting in [(90, 300, 600, 0.45), (140, 60, 240, 1), (60, 1800, 900, 0.45)]:
        c = {"winding": winding, "case": case, "inside": inside, "outside": outside}
        after = run(c, [0, 0], heat, 1, on)
        state = [0, 0]
        for _ in range(400):
            state = run(c, run(c, state, heat, 1, on), 0, resting, off)
        cycle = run(c, state, heat, 1, on)
        cases.append({**c, "heat": heat, "on": on, "off": off, "resting": resting, "after": after, "cycle": cycle})

folder = os.path.join(ROOT, "core", "thermal", "testdata")
os.makedirs(folder, exist_ok=True)
with open(os.path.join(folder, "scipy.json"), "w") as f:
    json.dump({"made": MADE, "cases": cases}, f, indent=1)
    f.write("\n")
