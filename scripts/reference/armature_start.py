"""Makes core/dryrun/testdata/ngspice.json: a direct-current armature with its inductance switched onto a battery, by
ngspice. Its rotor is a capacitor of J/K_e² on the back-EMF.

Run: python3 scripts/reference/armature_start.py
"""
import json
import pathlib
import re
import subprocess
import tempfile

CASES = [
    # V, Ω, H, K_e in V·s, J in kg·m² at the rotor
    (12, 0.09, 0.0004, 0.0346, 0.0008), (24, 0.4, 0.002, 0.05, 0.0004), (36, 0.25, 0.006, 0.11, 0.0009),
    (12, 0.5, 0.0001, 0.03, 0.002), (48, 1.2, 0.03, 0.12, 0.0003),
]
TIMES = [0.001, 0.003, 0.01, 0.03, 0.1, 0.3]
NETLIST = """* an armature from rest
Vb in 0 {v}
Vsense in a 0
Ra a b {r}
La b c {l} ic=0
Cj c 0 {c} ic=0
.options reltol=1e-7 abstol=1e-12 vntol=1e-10
.control
tran 2u 0.31 0 2u uic
meas tran most max i(Vsense)
{measures}
.endc
.end
"""


def simulate(case):
    v, r, l, ke, j = case
    measures = "\n".join(f"meas tran i{n} find i(Vsense) at={t}\nmeas tran e{n} find v(c) at={t}" for n, t in enumerate(TIMES))
    with tempfile.NamedTemporaryFile("w", suffix=".cir") as f:
        f.write(NETLIST.format(v=v, r=r, l=l, c=j / ke**2, measures=measures))
        f.flush()
        out = subprocess.run(["ngspice", "-b", f.name], capture_output=True, text=True, check=False).stdout
    pick = lambda name: float(re.search(r"\b" + name + r"\s*=\s*(\S+)", out).group(1))
    return dict(volts=v, ohms=r, henries=l, ke=ke, inertia=j, most=pick("most"), times=TIMES,
                amps=[pick(f"i{n}") for n in range(len(TIMES))],
                speed=[pick(f"e{n}") / ke for n in range(len(TIMES))])


version = re.search(r"ngspice-\d+", subprocess.run(["ngspice", "--version"], capture_output=True, text=True).stdout).group(0)
target = pathlib.Path(__file__).resolve().parents[2] / "core/dryrun/testdata/ngspice.json"
target.parent.mkdir(exist_ok=True)
target.write_text(json.dumps({"madeBy": version, "cases": [simulate(c) for c in CASES]}, indent=1) + "\n")
