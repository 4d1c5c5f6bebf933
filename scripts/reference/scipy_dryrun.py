#!/usr/bin/python3
"""Makes core/dryrun/testdata/scipy.json with SciPy (Debian's python3-scipy): machines started, loaded, let free and let
go, by an adaptive Runge-Kutta method on equations written here anew. The machines' constants come from
    go test ./core/dryrun -run SciPy -args -machines FILE
and FILE is the argument. With --time it prints instead how long SciPy's RK45 takes for the same, at the error named.
The file records the versions that made it."""
import json
import math
import os
import sys
import time

import numpy as np
import scipy
from scipy.integrate import solve_ivp

ROOT = os.path.join(os.path.dirname(os.path.abspath(__file__)), "..", "..")
MADE = f"scripts/reference/scipy_dryrun.py, SciPy {scipy.__version__}, NumPy {np.__version__}, Python {sys.version.split()[0]}"
JAMS, FREES, LETS_GO = 3.0, 5.0, 7.0


def warm(celsius):
    return 1 + 0.0039 * (celsius - 20)


def cooling(share):
    return 1 if share >= 0.5 else 0.45 + 0.55 * share / 0.5


def shed(c, rotor, on):
    share = abs(rotor) / c["Speed"]
    held = cooling(share) if c["OwnFan"] else 1
    if held == 1:
        return 1
    if not on:
        return c["Cooled"] + (1 - c["Cooled"]) * min(2 * share, 1)
    return 0.68 / (1 / held**2 - 0.32)


def motor(c, rotor, winding, case, on):
    """Torque, own friction, heating as a share of rated, and watts in and lost as heat beside its friction."""
    def heat(amps):
        return (amps / c["Amps"]) ** 2 * warm(min(winding, c["Limit"] + 50)) / warm(c["Limit"])

    if not on:
        return 0.0, c["Friction"] if c["Sort"] != "line" else 0.01 * c["Torque"], 0.0, 0.0, 0.0
    if c["Sort"] == "dc":
        ke = c["Ke"] * (1 - 0.002 * (case - 20)) if c["Fades"] else c["Ke"]
        amps = (c["Volts"] - ke * rotor) / (c["R"] * warm(winding) + c["Inside"])
        lost = amps * amps * (c["R"] * warm(winding) + c["Inside"])
        return ke * amps, c["Friction"], heat(amps), ke * amps * rotor + lost, lost
    if c["Sort"] == "series":
        r, k, full, x = c["R"] * warm(winding), c["K"], c["Full"], c["X"]
        amps = c["Volts"] / math.hypot(k * rotor + r, x)
        if amps > full:
            e, z = k * full * rotor, r * r + x * x
            amps = (math.sqrt(e * e * r * r + z * (c["Volts"] ** 2 - e * e)) - e * r) / z
        torque, lost = k * amps * min(amps, full), amps * amps * r
        return torque, c["Friction"], heat(amps), torque * rotor + lost, lost
    slip, sb, sn, b = 1 - rotor / c["Sync"], c["BreakdownSlip"], c["Slip"], c["Breakdown"]
    kloss = lambda s: 0.0 if s <= 0 else 2 * b / (s / sb + sb / s)
    torque = kloss(slip)
    if slip > sb:
        torque += (c["Start"] - kloss(1)) * ((slip - sb) / (1 - sb)) ** 2
    at = lambda s: math.sqrt((1 + (sb / sn) ** 2) / (1 + (sb / s) ** 2))
    load = at(slip) if slip > 0 else 0.0
    if slip > sn:
        rest = math.sqrt((c["Inrush"] ** 2 - c["Idle"] ** 2) / (1 - c["Idle"] ** 2))
        load *= 1 + (rest / at(1) - 1) * ((min(slip, 1) - sn) / (1 - sn)) ** 2
    amps = c["Amps"] * math.sqrt(c["Idle"] ** 2 + (1 - c["Idle"] ** 2) * load**2)
    torque, stator = torque * c["Torque"], amps * amps * c["Stator"] + c["Iron"]
    warms = amps
    if amps <= c["Amps"]:
        warms = c["Amps"] * max(abs(torque) / c["Torque"], c["Idle"])
    return torque, 0.0, heat(warms), torque * c["Sync"] + stator, torque * (c["Sync"] - rotor) + stator


def slope(c, on, load):
    rise, b = c["Limit"] - 40, c["Bodies"]

    def f(_, y):
        rotor = y[0] * c["Turns"]
        torque, drag, heat, entered, lost = motor(c, rotor, c["Air"] + rise * y[1], c["Air"] + rise * y[2], on)
        net = torque - drag
        for keeps in (c["Keeps"], 1 / c["Keeps"]):
            gains = (net * c["Turns"] * keeps - load) / (c["Rest"] + c["Rotor"] * c["Turns"] ** 2 * keeps)
            pull = net - c["Rotor"] * c["Turns"] * gains
            if pull >= 0:
                break
        inside = b["Inside"] * (y[1] - y[2])
        through = c["Turns"] * keeps
        passed = pull * rotor - pull * through * y[0]
        return [gains, (heat - inside) / b["Winding"],
                (inside - b["Outside"] * shed(c, rotor, on) * y[2]) / b["Case"],
                entered, lost + drag * rotor + load * y[0] + passed, passed]
    return f


def stands(_, y):
    return y[0]


stands.terminal, stands.direction = True, -1


def run(c, method="DOP853", rtol=1e-12, atol=1e-13):
    y, out = [0.0] * 6, []
    for start, end, load in ((0, JAMS, 0), (JAMS, FREES, c["Jam"]), (FREES, LETS_GO, 0)):
        s = solve_ivp(slope(c, True, c["Running"] + load), (start, end), y, method=method, rtol=rtol, atol=atol)
        y = s.y[:, -1]
        out.append(y[0])
    s = solve_ivp(slope(c, False, c["Running"]), (LETS_GO, 600), y, method=method, rtol=rtol, atol=atol, events=stands)
    at, y = s.t_events[0][0], s.y_events[0][0]
    rise = c["Limit"] - 40
    return {"plan": c["Plan"], "started": out[0], "loaded": out[1], "freed": out[2], "standsAfter": at - LETS_GO,
            "winding": c["Air"] + rise * y[1], "case": c["Air"] + rise * y[2], "entered": y[3], "spent": y[4],
            "passed": y[5]}


def off(a, b):
    return max(abs(a[k] - b[k]) / abs(b[k]) for k in ("started", "loaded", "freed", "standsAfter", "entered", "spent"))


def main():
    with open(sys.argv[1]) as f:
        machines = json.load(f)
    if len(sys.argv) > 3 and sys.argv[2] == "--time":
        wanted = float(sys.argv[3])
        tight = run(machines[0])
        for rtol in (1e-2, 1e-3, 1e-4, 1e-5, 1e-6, 1e-7, 1e-8, 1e-9, 1e-10):
            one = run(machines[0], "RK45", rtol, rtol * 1e-2)
            if off(one, tight) <= wanted:
                break
        took = []
        for _ in range(5):
            began = time.perf_counter()
            run(machines[0], "RK45", rtol, rtol * 1e-2)
            took.append(time.perf_counter() - began)
        print(f"{min(took):.6f} {rtol:g} {off(one, tight):.2e} {MADE.split(', ')[1]}")
        return
    folder = os.path.join(ROOT, "core", "dryrun", "testdata")
    os.makedirs(folder, exist_ok=True)
    with open(os.path.join(folder, "scipy.json"), "w") as f:
        json.dump({"made": MADE, "runs": [run(c) for c in machines]}, f, indent=1)
        f.write("\n")


main()
