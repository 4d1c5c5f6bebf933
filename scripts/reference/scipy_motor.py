#!/usr/bin/python3
"""Makes core/motor/testdata/scipy.json and core/line/testdata/scipy.json with SciPy (Debian's
python3-scipy): series-motor curves by root finding, bench readings fitted by least squares, and
run-up times by adaptive quadrature. Each file records the versions that made it."""
import json
import math
import os
import sys

import numpy as np
import scipy
from scipy import integrate, optimize

ROOT = os.path.join(os.path.dirname(os.path.abspath(__file__)), "..", "..")
MADE = f"scripts/reference/scipy_motor.py, SciPy {scipy.__version__}, NumPy {np.__version__}, Python {sys.version.split()[0]}"
RPM = 2 * math.pi / 60


def write(package, data):
    folder = os.path.join(ROOT, "core", package, "testdata")
    os.makedirs(folder, exist_ok=True)
    with open(os.path.join(folder, "scipy.json"), "w") as f:
        json.dump({"made": MADE, **data}, f, indent=1)
        f.write("\n")


def series_curves():
    """Speed of a series motor at a torque on fixed volts, by Brent's method on the volt balance."""
    k, r, loss, volts = 0.045, 4.5, 0.2, 207.0
    out = []
    for torque in np.linspace(0.02, 0.4, 12):
        amps = optimize.brentq(lambda i: k * i * i - loss - torque, 1e-6, 100)
        omega = optimize.brentq(lambda w: volts - amps * (r + k * w), 0, 1e6)
        out.append({"torque": torque, "amps": amps, "omega": omega})
    return {"k": k, "r": r, "loss": loss, "volts": volts, "points": out}


def alternating_curves():
    """Current and torque of a series motor on alternating volts at a speed, by Brent's method on the phasor
    sum: what is in step, (E + I·R), and what lags it, I·X. Past a current the field grows no more."""
    k, r, x, loss, volts, saturates = 0.03, 6.2, 21.0, 0.12, 230.0, 5.0
    field = lambda i: min(i, saturates)
    out = []
    for omega in [0, 50, 200, 500, 900, 1400, 2200]:
        amps = optimize.brentq(lambda i: math.hypot(k * field(i) * omega + i * r, i * x) - volts, 1e-9, 1000, xtol=1e-14)
        out.append({"omega": omega, "amps": amps, "torque": k * amps * field(amps) - loss})
    direct = optimize.brentq(lambda i: i * r - volts, 1e-9, 1000)
    idle = math.sqrt(loss / k)
    free = optimize.brentq(lambda w: math.hypot(k * idle * w + idle * r, idle * x) - volts, 0, 1e6)
    return {"k": k, "r": r, "x": x, "loss": loss, "volts": volts, "saturates": saturates, "points": out, "directStall": direct, "free": free}


def fitted(readings, guess):
    """The readings' logarithmic misfits over what instruments are usually off, minimised by
    Levenberg-Marquardt with no prior belief at all."""
    meters, ohms, pull, clock = 0.015, 0.04, 0.03, 0.04

    def residuals(x):
        ke, r, loss, j = np.exp(x)
        out = []
        for t in readings:
            if t["sort"] == "open":
                out.append(math.log(ke * t["omega"] / t["volts"]) / meters)
            elif t["sort"] == "resistance":
                out.append(math.log(r / t["ohms"]) / ohms)
            elif t["sort"] == "free":
                out.append(math.log((ke * t["omega"] + t["amps"] * r) / t["volts"]) / meters)
                out.append(math.log(ke * t["amps"] / loss) / meters)
            elif t["sort"] == "loaded":
                out.append(math.log((ke * t["omega"] + t["amps"] * r) / t["volts"]) / meters)
                out.append(math.log(ke * t["amps"] / (t["torque"] + loss)) / pull)
            elif t["sort"] == "spin-down":
                out.append(math.log(j * (t["from"] - t["to"]) / loss / t["seconds"]) / clock)
        return out

    best = optimize.least_squares(residuals, np.log(guess), method="lm", xtol=1e-14, ftol=1e-14)
    covariance = np.linalg.inv(best.jac.T @ best.jac)
    return {"constants": list(np.exp(best.x)), "spreads": list(np.sqrt(np.diag(covariance)))}


def fits():
    rng = np.random.default_rng(20261124)
    out = []
    for ke, r, loss, j in [(0.86, 7.6, 0.35, 1.1e-3), (0.39, 1.6, 0.24, 2.4e-3), (0.052, 0.31, 0.06, 3e-4)]:
        off = lambda: 1 + 0.02 * rng.standard_normal()
        omega, idle = 120.0, loss / ke
        load = 5 * idle
        readings = [
            {"sort": "open", "omega": 90.0, "volts": ke * 90 * off()},
            {"sort": "resistance", "ohms": r * off()},
            {"sort": "free", "omega": omega, "amps": idle * off(), "volts": (ke * omega + idle * r) * off()},
            {"sort": "loaded", "omega": 60.0, "amps": load, "volts": (ke * 60 + load * r) * off(), "torque": (ke * load - loss) * off()},
            {"sort": "spin-down", "from": 100.0, "to": 40.0, "seconds": j * 60 / loss * off()},
        ]
        out.append({"readings": readings, **fitted(readings, [ke * 1.3, r * 0.7, loss * 1.5, j * 2])})
    return out


def run_ups():
    """Seconds from rest to a speed of an inertia on a straight torque line cut off by a current
    limit, and on Kloss's curve."""
    out = []
    for ke, r, loss, volts, limit, inertia, friction, omega in [
        (0.8, 7.0, 0.2, 180.0, 4.2, 0.02, 0.3, 150.0),
        (0.05, 0.3, 0.03, 24.0, 30.0, 0.004, 0.1, 350.0),
    ]:
        torque = lambda w: min(ke * limit - loss, ke * (volts - ke * w) / r - loss)
        seconds, _ = integrate.quad(lambda w: inertia / (torque(w) - friction), 0, omega, points=[(volts - limit * r) / ke], limit=200)
        out.append({"ke": ke, "r": r, "loss": loss, "volts": volts, "limit": limit, "inertia": inertia, "friction": friction, "omega": omega, "seconds": seconds})
    return out


write("motor", {"series": series_curves(), "alternating": alternating_curves(), "fits": fits()})
write("line", {"runUps": run_ups()})
