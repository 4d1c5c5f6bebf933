package dryrun

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
	"jiriki/core/script"
	"jiriki/core/work"
)

// held is a magnet motor straight on a battery whose temperatures stay and whose reduction loses nothing, so that it is
// what textbooks have: V = K_e·ω + I·R, J·dω/dt = K_e·I − T.
func held(t *testing.T, events ...script.Timed) (*machine, *script.Resolved) {
	t.Helper()
	m, _, _ := referenceRun(t, "winch motor straight on 12 V", "dc", 0.7)
	m.bodies.Winding, m.bodies.Case = 1e15, 1e15
	m.keeps, m.running, m.resting = 1, 0, 0
	return m, &script.Resolved{Events: events}
}

func at(seconds float64, does script.Does) script.Timed {
	return script.Timed{At: seconds, Does: does, Job: -1, Share: q.Value{SI: 1, Known: true}}
}

// Source: the definition of the mechanical time constant, τ_m = J·R/K_e²: an unloaded start is an exponential of it.
func TestAnUnloadedStartIsAnExponential(t *testing.T) {
	m, s := held(t, at(0, script.On))
	dc := &m.Motor.DC
	ohms := dc.Resistance.Value + m.Supply.Inside
	whole := m.rotor + m.rest/(m.turns*m.turns)
	tau := whole * ohms / (dc.Ke.Value * dc.Ke.Value)
	settles := (m.Supply.Volts - dc.Friction.Value/dc.Ke.Value*ohms) / dc.Ke.Value
	r, err := simulate(m, s, detail{fine: 1e-3})
	require.NoError(t, err)
	for _, one := range r.log.rows {
		if one.t > 0 && one.t < 5*tau {
			assert.InDelta(t, settles*-math.Expm1(-one.t/tau), one.rotor, 1e-4*settles, "%g s", one.t)
		}
	}
	assert.InDelta(t, m.Supply.Volts/ohms, resultsOf(r).MostAmps, 1e-6, "stall amps as it starts")
}

// Source: J·dω/dt = −(a + c·ω²), from rest backwards: t = J/√(a·c)·atan(ω₀·√(c/a)); and with −(a + b·ω), by a resistor
// across the armature: t = J/b·ln(1 + b·ω₀/a); and with −a alone, t = J·ω₀/a.
func TestCoastsAreAsTheirDragHasThem(t *testing.T) {
	stop := func(m *machine, s *script.Resolved) (seconds, from float64) {
		r, err := simulate(m, s, detail{fine: 1e-3})
		require.NoError(t, err)
		return resultsOf(r).Stop, r.at(s.Last()).rotor
	}
	whole := func(m *machine) float64 { return m.rotor + m.rest/(m.turns*m.turns) }

	m, s := held(t, at(0, script.On), at(2, script.Coast))
	took, from := stop(m, s)
	assert.InEpsilon(t, whole(m)*from/m.Motor.DC.Friction.Value, took, 1e-6, "constant drag")

	m, s = held(t, at(0, script.On), at(2, script.Stop))
	m.Control.Kind, m.Control.BrakeOhms = "pwm", 0.4
	took, from = stop(m, s)
	dc := &m.Motor.DC
	b := dc.Ke.Value * dc.Ke.Value / (dc.Resistance.Value + 0.4)
	assert.InEpsilon(t, whole(m)/b*math.Log1p(b*from/dc.Friction.Value), took, 1e-6, "constant and linear drag")

	square := script.Timed{At: 1, Does: script.Cut, Job: 0}
	m, s = held(t, at(0, script.On), square, at(2, script.Coast))
	high := 100.0
	m.Machine.Jobs = []work.Need{{ID: "fan", Shape: work.TorqueWithN, Low: 10, High: high, Torque: 1.5}}
	took, from = stop(m, s)
	a := m.Motor.DC.Friction.Value
	c := 1.5 / (high * high) / (m.turns * m.turns * m.turns)
	assert.InEpsilon(t, whole(m)/math.Sqrt(a*c)*math.Atan(from*math.Sqrt(c/a)), took, 1e-5, "constant and square drag")
}

// Source: the handbook's acceleration time t = WK²·Δn / (308·T) in lb·ft², rpm and lb·ft, from memory; the 308 is the
// same mechanics in those units, to three figures.
func TestAccelerationAtConstantTorqueIsTheHandbooks(t *testing.T) {
	m, s := held(t, at(0, script.On))
	m.Feed.LimitAmps, m.Feed.PeakAmps = 30, 30
	m.Powered = m.Motor.On(m.Feed)
	r, err := simulate(m, s, detail{fine: 1e-3})
	require.NoError(t, err)
	const poundFoot, poundFootSquared = 1.3558179483314004, 0.04214011009380
	torque := (m.Motor.DC.Ke.Value*30 - m.Motor.DC.Friction.Value) / poundFoot
	inertia := (m.rotor + m.rest/(m.turns*m.turns)) / poundFootSquared
	rpm := 1000.0
	want := inertia * rpm / (308 * torque)
	for i := range r.log.rows {
		if one := &r.log.rows[i]; one.rotor >= rpm*q.RPM {
			before := &r.log.rows[i-1]
			took := before.t + (one.t-before.t)*(rpm*q.RPM-before.rotor)/(one.rotor-before.rotor)
			assert.InEpsilon(t, want, took, 3e-3)
			return
		}
	}
	t.Fatal("it never turned so fast")
}

// Source: the root-mean-square torque of a duty, √(ΣT²·t / Σt), as motors are chosen by [handbooks, from memory]: so
// short a duty heats as its rms does for ever.
func TestAShortDutyHeatsAsItsRmsDoes(t *testing.T) {
	m, _ := held(t)
	m.bodies = m.Motor.Bodies()
	m.Motor.Cooling = "blown"
	pulls := part{on: 2, off: 3, heat: 1.8, shed: 1, shedRest: 1}
	steady := part{on: math.Inf(1), heat: 1.8 * 2 / 5, shed: 1, shedRest: 1}
	a, b := m.through([]part{pulls}), m.through([]part{steady})
	assert.InEpsilon(t, b[len(b)-1].Case, a[len(a)-1].Case, 0.01)
}
