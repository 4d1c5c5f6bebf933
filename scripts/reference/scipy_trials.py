#!/usr/bin/python3
"""Makes core/trial/testdata/scipy.json with SciPy (Debian's python3-scipy): what readings of trials come to, worked out
anew from the equations. The file records the versions that made it."""
import json
import os
import sys

import numpy as np
import scipy
from scipy import stats
from scipy.integrate import quad, solve_ivp
from scipy.interpolate import PchipInterpolator
from scipy.optimize import brentq, curve_fit, least_squares

ROOT = os.path.join(os.path.dirname(os.path.abspath(__file__)), "..", "..")
MADE = f"scripts/reference/scipy_trials.py, SciPy {scipy.__version__}, NumPy {np.__version__}, Python {sys.version.split()[0]}"
rng = np.random.default_rng(14)


def lines():
    """Straight lines with known spreads: volts that fall with amps, speed against a knob."""
    out = []
    for _ in range(8):
        x = np.sort(rng.uniform(0, 10, 6))
        sigma = rng.uniform(0.05, 0.4, 6)
        y = rng.uniform(200, 240) - rng.uniform(0.2, 2) * x + sigma * rng.normal(size=6)
        p, cov = curve_fit(lambda x, a, b: a + b * x, x, y, sigma=sigma, absolute_sigma=True)
        misfit = np.sqrt(np.sum(((p[0] + p[1] * x - y) / sigma) ** 2) / (len(x) - 2))
        spare = len(x) - 2
        widen = max(misfit, 0.35 if spare >= 4 else 1)
        out.append(dict(x=x.tolist(), y=y.tolist(), sigma=sigma.tolist(), a=p[0], b=p[1],
                        spreadA=float(np.sqrt(cov[0, 0]) * widen), spreadB=float(np.sqrt(cov[1, 1]) * widen)))
    return out


def coasts():
    """Spin-downs with and without a disc: three constants of drag, an inertia and two beginnings, all at once, with the
    same loose beliefs, through solve_ivp."""
    out = []
    for _ in range(4):
        inertia, disc, top = rng.uniform(0.08, 0.4), rng.uniform(0.1, 0.4), rng.uniform(30, 100)
        a, b, c = rng.uniform(0.8, 2.5), rng.uniform(0.004, 0.02), rng.uniform(0.0001, 0.0004)

        def falls(t, start, share, a, b, c):
            stands = lambda _, w: w[0] - 1e-9
            stands.terminal = True
            s = solve_ivp(lambda _, w: [-share * (a + b * w[0] + c * w[0] ** 2)], (t[0], t[-1] + 1e-9), [start], t_eval=t,
                          rtol=1e-10, atol=1e-10, events=stands)
            w = np.zeros(len(t))
            w[:len(s.y[0])] = s.y[0]
            return w

        runs = []
        for with_disc in (False, True):
            share = inertia / (inertia + disc) if with_disc else 1.0
            t = np.linspace(0, 0.55 * top / (a + b * top / 2 + c * top * top / 4) / share, 12)
            w = falls(t, top, share, a, b, c)
            off = np.hypot(0.005 * w, 1e-3 * w[0])
            runs.append((t, w + off * rng.normal(size=len(t)), off, with_disc))
        fastest = max(r[1][0] for r in runs)
        longest = max(r[0][-1] for r in runs)
        guess = np.log(1 / (3 * longest))
        believed = np.array([guess, guess - 1, guess - 1, 0.0])

        def residuals(x):
            A, B, C, j = np.exp(x[0]) * fastest, np.exp(x[1]), np.exp(x[2]) / fastest, np.exp(x[3])
            r = []
            for i, (t, w, off, with_disc) in enumerate(runs):
                share = j / (j + 1) if with_disc else 1.0
                r.append((falls(t, x[4 + i], share, A, B, C) - w) / off)
            r.append((x[:4] - believed) / 2.3)
            return np.concatenate(r)

        s = least_squares(residuals, np.concatenate([believed, [runs[0][1][0], runs[1][1][0]]]), xtol=1e-12, ftol=1e-12,
                          gtol=1e-12, x_scale="jac", diff_step=1e-5)
        A, B, C = np.exp(s.x[0]) * fastest, np.exp(s.x[1]), np.exp(s.x[2]) / fastest
        rest = quad(lambda w: 1 / (A + B * w + C * w * w), 0, s.x[4])[0]
        out.append(dict(disc=disc, runs=[dict(t=t.tolist(), omega=w.tolist(), off=off.tolist(), disc=d) for t, w, off, d in runs],
                        inertia=float(disc * np.exp(s.x[3])), rest=float(rest), slow=float(A + B * 0.1 * s.x[4] + C * (0.1 * s.x[4]) ** 2)))
    return out


def warmups():
    """Warm-ups before they end: the end is the median over both temperatures and time, the time believed log-normal."""
    out = []
    for _ in range(6):
        air, rise, tau = rng.uniform(8, 22), rng.uniform(20, 55), rng.uniform(1000, 3000)
        t = np.arange(0, 31, 5) * 60.0
        off, believed = 0.7, 1800.0
        y = 273.15 + air + rise * (1 - np.exp(-t / tau)) + off * rng.normal(size=len(t))
        z = np.linspace(-4, 4, 4001)
        taus = believed * np.exp(0.5 * z)
        mean, sigma, logw, miss = [], [], [], []
        for T in taus:
            e = np.exp(-t / T)
            X = np.stack([1 - e, e], 1)
            cov = np.linalg.inv(X.T @ X)
            p = cov @ X.T @ y
            chi = np.sum(((X @ p - y) / off) ** 2)
            mean.append(p[0]); sigma.append(off * np.sqrt(cov[0, 0])); miss.append(chi)
            logw.append(0.5 * np.log(np.linalg.det(cov)))
        miss = np.array(miss)
        widen = max(1, miss.min() / (len(t) - 3))
        w = np.exp(np.array(logw) - np.max(logw) - (miss - miss.min()) / (2 * widen) - z ** 2 / 2)
        w /= w.sum()
        mean, sigma = np.array(mean), np.array(sigma) * np.sqrt(widen)
        cdf = lambda x, p: np.sum(w * stats.norm.cdf((x - mean) / sigma)) - p
        at = lambda p: brentq(cdf, mean.min() - 50, mean.max() + 2000, args=(p,))
        med = at(0.5)
        out.append(dict(t=t.tolist(), kelvin=y.tolist(), off=off, believed=believed, settles=med, within=brentq(lambda d: cdf(med + d, 0) - cdf(med - d, 0) - 0.9, 0, 500),
                        time=float(taus[np.searchsorted(np.cumsum(w), 0.5)])))
    return out


def capacitors():
    out = []
    for _ in range(6):
        x = np.sort(rng.uniform(3, 25, 5))
        y = np.sort(rng.uniform(600, 1300, 5))
        p = PchipInterpolator(x, y)
        # Ends are drawn otherwise by every method of this family: what lies between the inner points is compared.
        at = np.linspace(x[1], x[3], 7)
        out.append(dict(farads=x.tolist(), rpm=y.tolist(), at=at.tolist(), speeds=p(at).tolist()))
    return out


def ratings():
    out = []
    for idle, acted, turned in ((14, 17, False), (5, 40, False), (0, 9, False), (1.0, 2.2, True), (8, 12, True), (120, 150, False)):
        below = stats.norm(0.67, 0.08).cdf if not turned else stats.lognorm(0.55, scale=0.1).cdf
        v = np.array([12, 24, 48, 120, 230.0])
        p = below(acted / v * 1.01) - below(idle / v * 0.99) + 1e-6
        out.append(dict(idle=idle, acted=acted, turned=turned, volts=v.tolist(), shares=(p / p.sum()).tolist()))
    return out


folder = os.path.join(ROOT, "core", "trial", "testdata")
os.makedirs(folder, exist_ok=True)
with open(os.path.join(folder, "scipy.json"), "w") as f:
    json.dump({"made": MADE, "lines": lines(), "coasts": coasts(), "warmUps": warmups(), "capacitors": capacitors(),
               "ratings": ratings()}, f, indent=1)
    f.write("\n")
