"""Makes core/control/testdata/ngspice.json: the armature current of a half-controlled bridge with a
freewheel path, simulated by ngspice, for a spread of firing angles, back-EMFs and loads.

Run: python3 scripts/reference/phase_angle.py
"""
import json
import pathlib
import re
import subprocess
import tempfile

CASES = [
    # line V rms, Hz, firing angle in degrees, back-EMF V, ohms, henries
    (230, 50, 0, 0, 20, 0.02), (230, 50, 60, 0, 20, 0.02), (230, 50, 90, 80, 8, 0.03), (230, 50, 100, 60, 8, 0.03),
    (230, 50, 120, 40, 8, 0.03), (230, 50, 75, 140, 7.6, 0.02), (230, 50, 60, 160, 7.6, 0.005), (230, 50, 60, 120, 7.6, 0.2),
    (120, 60, 60, 60, 3, 0.01), (120, 60, 90, 40, 3, 0.002), (120, 60, 110, 20, 2, 0.05), (120, 60, 45, 80, 1.2, 0.004),
    (230, 50, 130, 10, 8, 0.03), (230, 50, 30, 200, 5, 0.02), (240, 60, 80, 100, 10, 0.3), (240, 60, 140, 0, 10, 0.05),
]
NETLIST = """* half-controlled bridge into an armature
.param w={w} a={alpha} vp={peak}
Bph ph 0 V = time*w - floor(time*w/{pi})*{pi}
Bsrc src 0 V = v(ph) >= a ? vp*sin(v(ph)) : 0
Dt src out ideal
Df 0 out ideal
Vsense out x 0
Ra x y {r}
La y z {l}
Ve z 0 {emf}
.model ideal D(n=0.001 is=1e-9)
.options reltol=1e-5 abstol=1e-9
.control
tran {step} {stop} 0 {step} uic
meas tran iavg avg i(Vsense) from={begin} to={stop}
meas tran irms rms i(Vsense) from={begin} to={stop}
.endc
.end
"""


def simulate(case):
    line, hertz, alpha, emf, r, l = case
    pi = 3.14159265358979
    period = 1 / hertz
    cycles = max(20, int(8 * l / r / period) + 12)
    text = NETLIST.format(
        w=2 * pi * hertz, alpha=alpha * pi / 180, peak=line * 2**0.5, pi=pi, r=r, l=l, emf=emf,
        step=period / 4000, stop=cycles * period, begin=(cycles - 4) * period,
    )
    with tempfile.NamedTemporaryFile("w", suffix=".cir") as f:
        f.write(text)
        f.flush()
        out = subprocess.run(["ngspice", "-b", f.name], capture_output=True, text=True, check=False).stdout
    pick = lambda name: float(re.search(name + r"\s*=\s*(\S+)", out).group(1))
    return dict(line=line, hertz=hertz, alpha=alpha, emf=emf, r=r, l=l, average=pick("iavg"), rms=pick("irms"))


version = re.search(r"ngspice-\d+", subprocess.run(["ngspice", "--version"], capture_output=True, text=True).stdout).group(0)
target = pathlib.Path(__file__).resolve().parents[2] / "core/control/testdata/ngspice.json"
target.parent.mkdir(exist_ok=True)
target.write_text(json.dumps({"madeBy": version, "cases": [simulate(c) for c in CASES]}, indent=1) + "\n")
