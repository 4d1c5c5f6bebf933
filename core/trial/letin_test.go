package trial

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/control"
	"jiriki/core/dryrun"
	"jiriki/core/line"
	m "jiriki/core/measured"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/script"
	"jiriki/core/thermal"
)

// letIn is a plan with a trial's correction taken, as the button does it.
func letIn(in plan.Input, c *Correction) plan.Input {
	p := &in.Plan
	if c.Control != nil {
		p.Control = *c.Control
	}
	if c.Motor != nil {
		p.Motor = *c.Motor
	}
	if c.Reduction != nil {
		p.Reduction = *c.Reduction
	}
	if c.Supply != nil {
		p.Supply = *c.Supply
	}
	if c.Script != nil {
		p.Script = *c.Script
	}
	if c.Checks != nil {
		p.Checks = c.Checks
	}
	p.Trials = append([]m.Trial(nil), p.Trials...)
	p.Trials[0].Used = "2026-11-30"
	return in
}

// reproduced holds every figure of a trial that the plan reckons against its own spread, once it was let in: what was
// measured is what the plan then does.
func reproduced(t *testing.T, what string, in plan.Input, figures ...string) {
	t.Helper()
	before := of(t, in)
	require.NotNil(t, before.Correction, "%s: %s %+v", what, before.WhyNone, before.Said)
	after := of(t, letIn(in, before.Correction))
	for _, name := range figures {
		measured, ok := before.figure(name)
		require.True(t, ok, "%s: %s in %+v", what, name, before.Figures)
		reckoned, ok := after.figure(name)
		require.True(t, ok, "%s: %s", what, name)
		require.NotZero(t, reckoned.Expected, "%s: the plan reckons no %s", what, name)
		assert.LessOrEqual(t, math.Abs(reckoned.Expected-measured.Measured), measured.Within+1e-3*measured.Measured,
			"%s: %s %s %s, reckoned %s", what, name, measured.Value, measured.Spread, reckoned.Reckoned)
	}
}

// coastsOf are the readings of a spin-down of what has an inertia (kg·m²) and a drag (N·m, by speed), to a tenth of its
// speed.
func coastsOf(b *bench, inertia float64, top float64, state m.State,
	drag func(omega float64) float64) (out []m.Reading) {
	omega, at := top, 0.0
	took := 0.0
	for w := top; w > 0.1*top; w -= top / 500 {
		took += inertia * top / 500 / drag(w)
	}
	const steps = 4000
	h := took / steps
	for i := range steps {
		if i%(steps/12) == 0 {
			out = append(out, m.Reading{Time: text(at, "s"), State: state, Speed: rpm(b.read(omega,
				0.3*tachometerOff, 0))})
		}
		omega, at = omega-h*drag(omega)/inertia, at+h
	}
	return out
}

// A run-down that is let in coasts in the dry run as it was measured, on every sort of motor, with a disc and without,
// whatever was guessed before; and starts all the same.
func TestARunDownLetInCoastsAsMeasured(t *testing.T) {
	for name, in := range map[string]plan.Input{"dc": plantest.Sound(), "inverter": plantest.Inverted(),
		"switch": plantest.Switched(), "series": series(), "brushless": brushless()} {
		for seed := range uint64(6) {
			b := newBench(seed, byChance)
			in.Units = q.Metric
			own := ownOf(t, in)
			inertia := (own.Rotor + own.Wheels) * b.between(1.5, 12)
			slow, fast, disc := b.between(0.02, 0.6), b.between(0.01, 0.6), inertia*b.between(0.5, 2)
			top := 0.9 * topOf(t, in)
			drag := func(w float64) float64 { return slow + fast*(w/top+w*w/top/top)/2 }
			down := coastsOf(b, inertia, top, m.RunDown, drag)
			for _, withDisc := range []bool{true, false} {
				trial := m.Trial{Kind: m.RunUpDown, PerTurn: "1", Readings: down}
				if withDisc {
					trial.Disc = text(disc, "kg·m²")
					trial.Readings = append(append([]m.Reading{}, down...), coastsOf(b, inertia+disc, top,
						m.WithDisc, drag)...)
				}
				figures := []string{"Coasts to rest"}
				if withDisc {
					figures = append(figures, "Inertia at the spindle")
				}
				reproduced(t, name, with(in, trial), figures...)
				runsSo(t, name, with(in, trial), top)
			}
		}
	}
}

// runsSo runs a plan with a run-down let in, and holds its coast against what the trial says of it.
func runsSo(t *testing.T, what string, in plan.Input, top float64) {
	t.Helper()
	before := of(t, in)
	corrected := letIn(in, before.Correction)
	corrected.Plan.Script.Events = []script.Event{{Does: script.On, At: "0 s"}, {Does: script.Coast, At: "40 s"}}
	corrected.Plan.Script.Lasts = "600 s"
	out, err := dryrun.Of(corrected)
	require.NoError(t, err, "%s %+v", what, corrected.Plan.Script)
	require.NoError(t, err)
	require.True(t, out.Runs, what)
	measured, _ := before.figure("Coasts to rest")
	// Where the trace passes the speed the trial began at, and where it stands.
	from, stands := math.NaN(), math.NaN()
	for i, at := range out.Trace.Seconds {
		rpm := out.Trace.SpindleRPM[i]
		if at > 40 && math.IsNaN(from) && rpm*q.RPM < top {
			from = at
		}
		if at > 40 && math.IsNaN(stands) && rpm < 0.01*top/q.RPM {
			stands = at
		}
	}
	require.False(t, math.IsNaN(from) || math.IsNaN(stands), "%s: it stops", what)
	step := out.Trace.Seconds[len(out.Trace.Seconds)-1] / float64(len(out.Trace.Seconds))
	assert.InDelta(t, measured.Measured, stands-from, measured.Within+0.03*measured.Measured+2*step, what)
}

func ownOf(t *testing.T, in plan.Input) dryrun.Own {
	t.Helper()
	e := evaluatorOf(t, in)
	return dryrun.OwnOf(e.model, e.position.Label)
}

func topOf(t *testing.T, in plan.Input) float64 {
	t.Helper()
	e := evaluatorOf(t, in)
	return min(e.model.Top(e.position), e.expectedSpeed(1))
}

func evaluatorOf(t *testing.T, in plan.Input) *evaluator {
	t.Helper()
	s, err := plan.Resolve(in)
	require.NoError(t, err)
	e := &evaluator{in: in, sys: q.Metric, out: &Answer{}}
	e.meet(s)
	require.NotNil(t, e.model, "%+v", s.Unusable())
	return e
}

func series() plan.Input {
	in := plantest.Sound()
	in.Plan.Motor = motor.Described{Kind: motor.Universal, Plate: motor.Plate{Power: "420 W", Speed: "4000 rpm",
		Volts: "230 V", Amps: "3.4 A", Hertz: "50 Hz"}}
	in.Plan.Control = control.Described{Kind: control.PhaseAngle, Volts: "230 V", Amps: "8 A", Feedback: "tacho"}
	return in
}

func brushless() plan.Input {
	in := plantest.Sound()
	in.Plan.Motor = motor.Described{Kind: motor.Brushless, Plate: motor.Plate{Power: "400 W", Speed: "3000 rpm",
		Volts: "180 V", Amps: "2.9 A"}}
	in.Plan.Control = control.Described{Kind: control.BrushlessDrive, Volts: "180 V", Amps: "6 A"}
	return in
}

// What any other trial measured is what the plan reckons once it is let in.
func TestWhatIsLetInIsReproduced(t *testing.T) {
	for seed := range uint64(40) {
		b := newBench(seed, byChance)
		rows := func(n int, one func(i int) m.Reading) (out []m.Reading) {
			for i := range n {
				out = append(out, one(i))
			}
			return out
		}
		top, ratio := b.between(40, 55), b.between(3.2, 3.8)
		knob := with(plantest.Sound(), m.Trial{Kind: m.Knob, Readings: rows(10, func(i int) m.Reading {
			return m.Reading{Mark: text(float64(i+1), ""), Speed: b.tacho(top * float64(i+1) / 10)}
		})})
		last, _ := of(t, knob).figure("Spindle at full knob")
		plate := line.New(must(plan.Resolve(letIn(knob, of(t, knob).Correction)))).SpeedPlate(nil)
		require.Len(t, plate.Positions[0].Measured, len(plate.Knob))
		assert.InDelta(t, last.Measured/q.RPM, plate.Positions[0].Measured[len(plate.Knob)-1], last.Within/q.RPM)
		pairs := with(plantest.Sound(), m.Trial{Kind: m.Ratio, Readings: rows(5, func(int) m.Reading {
			omega := b.between(60, 180)
			return m.Reading{Speed: b.tacho(omega), Second: b.tacho(omega / ratio), State: m.Free}
		})})
		out := of(t, pairs)
		measured, _ := out.figure("Ratio")
		assert.InDelta(t, measured.Measured, must(plan.Resolve(letIn(pairs,
			out.Correction))).Reduction.Positions[0].Ratio,
			measured.Within)
		rotor := b.between(120, 170)
		reproduced(t, "speed", with(plantest.Sound(), m.Trial{Kind: m.Speed, Where: m.AtMotor, Readings: rows(4,
			func(int) m.Reading { return m.Reading{Speed: b.tacho(rotor)} })}), "Motor speed")
		pull := b.between(2, 20)
		reproduced(t, "pull", with(plantest.Sound(), m.Trial{Kind: m.Pull, Radius: "120 mm", Readings: append(
			rows(3, func(int) m.Reading {
				return m.Reading{State: m.KeepsGoing, Force: text(b.read(pull, scaleOff, 0), "N")}
			}),
			rows(3, func(int) m.Reading {
				return m.Reading{State: m.JustStarts, Force: text(b.read(1.4*pull, scaleOff, 0), "N")}
			})...)}), "Keeps it going", "Just starts it")
		ohms := b.between(3, 10)
		reproduced(t, "ohms", with(unplated(), m.Trial{Kind: m.Ohms, Readings: rows(5, func(int) m.Reading {
			return m.Reading{Ohms: text(b.read(ohms, ohmsOff, 0), "Ω")}
		})}), "Resistance")
		reproduced(t, "locked", with(unplated(), m.Trial{Kind: m.LockedAt, Readings: rows(5, func(i int) m.Reading {
			amps := 1 + 0.4*float64(i)
			return m.Reading{Volts: text(b.read(ohms*amps, meterOff, 0), "V"), Amps: text(amps, "A")}
		})}), "Resistance")
		ke := b.between(0.8, 0.95)
		reproduced(t, "open", with(unplated(), m.Trial{Kind: m.Open, Readings: rows(5, func(int) m.Reading {
			omega := b.between(80, 200)
			return m.Reading{Volts: text(b.read(ke*omega, meterOff, 0), "V"), Speed: rpm(omega)}
		})}), "Back-EMF constant")
		loss := b.between(0.08, 0.3)
		reproduced(t, "free", with(unplated(), m.Trial{Kind: m.FreeRun, Readings: rows(6, func(i int) m.Reading {
			volts, amps := 40+25*float64(i), loss/ke
			return m.Reading{Volts: text(volts, "V"), Amps: text(b.read(amps, meterOff, 0), "A"),
				Speed: b.tacho((volts - 6*amps) / ke)}
		})}), "Torque lost inside")
		air, rise, time := b.between(10, 25), b.between(20, 50), b.between(1200, 2800)
		reproduced(t, "warm-up", with(plantest.Sound(), m.Trial{Kind: m.WarmUp, Air: text(air, "°C"), Command: "80 %",
			Readings: warmed(b, air, rise, time)}), "Case settles at", "Its time")
		z := b.between(0.3, 1.2)
		sags := with(cabled(), m.Trial{Kind: m.Sag, Readings: rows(6, func(i int) m.Reading {
			amps := float64(i%3) * 5
			return m.Reading{Amps: text(amps, "A"), Volts: text(b.read(232-z*amps, 0, voltsFlicker), "V")}
		})})
		out = of(t, sags)
		measured, _ = out.figure("Falls for each amp")
		assert.InDelta(t, measured.Measured, must(plan.Resolve(letIn(sags, out.Correction))).Supply.Loop,
			measured.Within)
	}
	reproduced(t, "slip", with(plantest.Inverted(), m.Trial{Kind: m.Slip, Readings: []m.Reading{{Hertz: "50",
		Speed: "965"}}}), "Poles")
}

// warmed are readings of a case that warms from the air's temperature (°C) by a rise (K) in a time (s).
func warmed(b *bench, air, rise, time float64) (out []m.Reading) {
	for i := range 9 {
		at := float64(i) * 400
		out = append(out, m.Reading{Time: text(at/60, "min"),
			Celsius: text(b.read(air+rise*(1-thermal.Left(at/time)), 0, thermometerOff), "°C")})
	}
	return out
}

func must(s plan.Stations, err error) plan.Stations {
	if err != nil {
		panic(err)
	}
	return s
}

// A motor spun down by itself, with a disc and without, is then reckoned to coast so: its rotor and what it loses
// inside.
func TestAMotorsOwnRunDownLetInIsReproduced(t *testing.T) {
	for name, in := range map[string]plan.Input{"dc": plantest.Sound(), "inverter": plantest.Inverted(),
		"series": series()} {
		for seed := range uint64(8) {
			b := newBench(seed, byChance)
			rotor, lost := b.between(5e-4, 4e-3), b.between(0.01, 0.12)
			drag := func(w float64) float64 { return lost * (0.8 + 0.2*w/150) }
			trial := m.Trial{Kind: m.RunUpDown, Where: m.AtMotor, PerTurn: "1", Disc: text(2*rotor, "kg·m²"),
				Readings: append(coastsOf(b, rotor, 150, m.RunDown, drag), coastsOf(b, 3*rotor, 150, m.WithDisc,
					drag)...)}
			reproduced(t, name, with(in, trial), "Inertia at the motor", "Coasts to rest")
		}
	}
}
