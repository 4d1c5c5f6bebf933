//go:build long

package trial

import (
	"fmt"
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"gonum.org/v1/gonum/stat"

	m "jiriki/core/measured"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/thermal"
)

// inSteps is what a coarse instrument is said to step by; nothing where it is not coarse.
func (b *bench) inSteps(step float64, unit string) q.Text {
	if b.how != coarse {
		return ""
	}
	return text(step, unit)
}

// recovery is one kind of trial simulated from known figures: the trial, and what each of its figures truly is.
type recovery struct {
	kind m.Kind
	in   func() plan.Input
	make func(b *bench) (m.Trial, map[string]float64)
}

func noPlan() plan.Input { return plan.Input{Units: "metric"} }

func recoveries() []recovery {
	return []recovery{
		{kind: m.Speed, in: noPlan, make: func(b *bench) (m.Trial, map[string]float64) {
			omega, t := b.between(50, 400), m.Trial{Kind: m.Speed, Resolution: b.inSteps(coarseRPM, "rpm")}
			for range 4 {
				t.Readings = append(t.Readings, m.Reading{Speed: b.tacho(omega)})
			}
			return t, map[string]float64{"Spindle speed": omega}
		}},
		{kind: m.Knob, in: plantest.Sound, make: func(b *bench) (m.Trial, map[string]float64) {
			dead, top := b.between(0.08, 0.3), b.between(20, 60)
			t := m.Trial{Kind: m.Knob, Resolution: b.inSteps(coarseRPM, "rpm")}
			for mark := 1; mark <= 9; mark++ {
				at := float64(mark)/10 + knobOff*b.NormFloat64()
				omega := max(0, top*(at-dead)/(1-dead))
				t.Readings = append(t.Readings, m.Reading{Mark: q.Text(fmt.Sprint(mark)), Speed: b.tacho(omega)})
			}
			return t, map[string]float64{"Dead below": dead, "Spindle at full knob": top}
		}},
		{kind: m.Ratio, in: plantest.Sound, make: func(b *bench) (m.Trial, map[string]float64) {
			ratio, t := b.between(2, 9), m.Trial{Kind: m.Ratio, Resolution: b.inSteps(coarseRPM, "rpm")}
			for range 4 {
				omega := b.between(100, 280)
				t.Readings = append(t.Readings, m.Reading{Speed: b.tacho(omega), Second: b.tacho(omega / ratio),
					State: m.Free})
			}
			return t, map[string]float64{"Ratio": ratio}
		}},
		{kind: m.Strobe, in: noPlan, make: func(b *bench) (m.Trial, map[string]float64) {
			omega := b.between(400, 1700) * q.RPM
			t := m.Trial{Kind: m.Strobe, Fastest: rpm(1.9 * omega), Resolution: b.inSteps(coarseRPM, "rpm")}
			for _, images := range []int{1, 2} {
				t.Readings = append(t.Readings, m.Reading{Flash: rpm(b.shown(b.read(omega*float64(images),
					strobeOff, 0),
					coarseRPM*q.RPM)),
					Images: q.Text(fmt.Sprint(images))})
			}
			return t, map[string]float64{"Spindle speed": omega}
		}},
		{kind: m.Ear, in: noPlan, make: func(b *bench) (m.Trial, map[string]float64) {
			omega := b.between(20, 300)
			off := 0.002 * omega
			return m.Trial{Kind: m.Ear, Readings: []m.Reading{{Speed: rpm(b.read(omega, 0, off/1.645)),
					Spread: rpm(off)}}},
				map[string]float64{"Spindle speed": omega}
		}},
		{kind: m.Pull, in: noPlan, make: func(b *bench) (m.Trial, map[string]float64) {
			torque, radius := b.between(0.3, 12), b.between(0.05, 0.3)
			step := b.between(0.03, 0.05) * torque / radius
			t := m.Trial{Kind: m.Pull, Radius: text(radius*1000, "mm"), Own: "1.5 N", Resolution: b.inSteps(step, "N")}
			for range 5 {
				t.Readings = append(t.Readings, m.Reading{State: m.KeepsGoing,
					Force: text(1.5+b.shown(b.read(torque/radius, scaleOff, 0), step), "N")})
			}
			return t, map[string]float64{"Keeps it going": torque}
		}},
		{kind: m.Brake, in: noPlan, make: func(b *bench) (m.Trial, map[string]float64) {
			radius, rope, t := b.between(0.04, 0.1), b.between(0.004, 0.01), m.Trial{Kind: m.Brake,
				Resolution: b.inSteps(2, "N")}
			t.Radius, t.Rope = text(radius*1000, "mm"), text(rope*1000, "mm")
			arm, omega := radius+rope/2, b.between(20, 150)
			tight, slack := b.between(40, 80), b.between(2, 9)
			t.Readings = []m.Reading{{Force: text(b.shown(b.read(tight, scaleOff, 0), 2), "N"),
				Slack: text(b.shown(b.read(slack, scaleOff, 0), 2), "N"), Speed: rpm(omega)}}
			return t, map[string]float64{"Most torque held": (tight - slack) * arm}
		}},
		{kind: m.RunUpDown, in: noPlan, make: func(b *bench) (m.Trial, map[string]float64) {
			inertia, disc, top := b.between(0.05, 0.5), b.between(0.05, 0.5), b.between(20, 120)
			d := drag{b.between(0.5, 3), b.between(0.001, 0.02), b.between(0, 0.0004)}
			step := top / 50
			t := m.Trial{Kind: m.RunUpDown, Disc: text(disc, "kg·m²"), PerTurn: "1",
				Resolution: b.inSteps(step/q.RPM, "rpm")}
			for _, state := range []m.State{m.RunDown, m.WithDisc} {
				share := 1.0
				if state == m.WithDisc {
					share = inertia / (inertia + disc)
				}
				c := coasted{top: top, begin: 0}
				c.fit.X = []float64{math.Log(d.a / top), math.Log(d.b), math.Log(d.c * top), top}
				for i := range 14 {
					at := float64(i) * 0.06 * top / d.at(top/2) / share
					omega := d.after(top, at, share)
					if omega <= 0 {
						break
					}
					t.Readings = append(t.Readings, m.Reading{Time: text(at, "s"), State: state,
						Speed: rpm(b.shown(b.read(omega, tachometerOff, 1e-3*top), step))})
				}
			}
			return t, map[string]float64{"Inertia at the spindle": inertia, "Drag, at full speed": inertia * d.at(top)}
		}},
		{kind: m.WarmUp, in: noPlan, make: func(b *bench) (m.Trial, map[string]float64) {
			air, rise := b.between(8, 25), b.between(15, 60)
			time := usualCaseTime * math.Exp(timeBelieved*b.NormFloat64())
			t := m.Trial{Kind: m.WarmUp, Resolution: b.inSteps(2, "°C")}
			for i := range 7 {
				at := float64(i) * 6 * 60
				t.Readings = append(t.Readings, m.Reading{Time: text(at/60, "min"),
					Celsius: text(b.shown(b.read(air+rise*(1-thermal.Left(at/time)), 0, thermometerOff), 2), "°C")})
			}
			return t, map[string]float64{"Case settles at": air + rise + zeroCelsius, "Its time": time}
		}},
		{kind: m.Slip, in: plantest.Inverted, make: func(b *bench) (m.Trial, map[string]float64) {
			hertz, slip := b.between(25, 60), b.between(0.01, 0.06)
			sync := 2 * math.Pi * hertz / 2
			t := m.Trial{Kind: m.Slip, Resolution: b.inSteps(coarseRPM, "rpm")}
			for range 3 {
				t.Readings = append(t.Readings, m.Reading{Hertz: text(hertz, "Hz"), Speed: b.tacho(sync * (1 - slip))})
			}
			return t, map[string]float64{"Slip": slip}
		}},
		{kind: m.Sag, in: noPlan, make: func(b *bench) (m.Trial, map[string]float64) {
			z, free, t := b.between(0.2, 1.2), b.between(215, 245), m.Trial{Kind: m.Sag, Resolution: b.inSteps(1, "V")}
			for _, amps := range []float64{0, 4, 9, 9, 4, 0} {
				t.Readings = append(t.Readings, m.Reading{Amps: text(b.read(amps, meterOff, 0), "A"),
					Volts: text(b.shown(b.read(free-z*amps, 0, voltsFlicker), 1), "V")})
			}
			return t, map[string]float64{"Falls for each amp": z}
		}},
		{kind: m.Capacitors, in: noPlan, make: func(b *bench) (m.Trial, map[string]float64) {
			slow, fast := b.between(60, 90), b.between(100, 140)
			return m.Trial{Kind: m.Capacitors, Resolution: b.inSteps(coarseRPM, "rpm"),
					Readings: []m.Reading{{Capacitor: "14 µF", Speed: b.tacho(fast)},
						{Capacitor: "6 µF", Speed: b.tacho(slow)}}},
				map[string]float64{"Slowest of them": slow, "Fastest of them": fast}
		}},
		{kind: m.Clutch, in: noPlan, make: func(b *bench) (m.Trial, map[string]float64) {
			omega, slip, t := b.between(100, 300), b.between(0.02, 0.3), m.Trial{Kind: m.Clutch,
				Resolution: b.inSteps(coarseRPM, "rpm")}
			for range 5 {
				t.Readings = append(t.Readings, m.Reading{Speed: b.tacho(omega), Second: b.tacho(omega * (1 - slip)),
					State: m.Loaded})
			}
			return t, map[string]float64{"Slip at work": slip}
		}},
		{kind: m.Open, in: unplated, make: func(b *bench) (m.Trial, map[string]float64) {
			ke, t := b.between(0.2, 1.1), m.Trial{Kind: m.Open, Resolution: b.inSteps(1, "V")}
			for range 5 {
				omega := b.between(100, 200)
				t.Readings = append(t.Readings, m.Reading{Volts: text(b.shown(b.read(ke*omega, meterOff, 0), 1), "V"),
					Speed: rpm(omega)})
			}
			return t, map[string]float64{"Back-EMF constant": ke}
		}},
		{kind: m.Ohms, in: unplated, make: func(b *bench) (m.Trial, map[string]float64) {
			ohms, t := b.between(0.4, 12), m.Trial{Kind: m.Ohms, Resolution: b.inSteps(0.1, "Ω")}
			leads := b.between(0.1, 0.4)
			if b.how != unzeroed {
				t.Leads = text(leads, "Ω")
			}
			for range 6 {
				read := leads + b.read(ohms*(1+ohmsOff*b.NormFloat64()), 0.1*meterOff, 0)
				t.Readings = append(t.Readings, m.Reading{Ohms: text(b.shown(read, 0.1), "Ω")})
			}
			return t, map[string]float64{"Resistance": ohms, "Ohms, mean": ohms}
		}},
		{kind: m.FreeRun, in: unplated, make: func(b *bench) (m.Trial, map[string]float64) {
			ke, loss, t := b.between(0.3, 1.1), b.between(0.05, 0.2), m.Trial{Kind: m.FreeRun,
				Resolution: b.inSteps(1, "V")}
			const ohms = 2.0
			for _, volts := range []float64{40, 80, 120, 160} {
				amps := loss / ke
				t.Readings = append(t.Readings, m.Reading{Volts: text(b.shown(b.read(volts, meterOff, 0), 1), "V"),
					Amps: text(b.read(amps, meterOff, 0), "A"), Speed: b.tacho((volts - ohms*amps) / ke)})
			}
			return t, map[string]float64{"Back-EMF constant": ke, "Torque lost inside": loss}
		}},
		{kind: m.LockedAt, in: unplated, make: func(b *bench) (m.Trial, map[string]float64) {
			ohms, t := b.between(0.4, 12), m.Trial{Kind: m.LockedAt, Resolution: b.inSteps(0.1, "V")}
			for _, amps := range []float64{1, 1.4, 1.8, 2.2, 2.6, 3} {
				t.Readings = append(t.Readings, m.Reading{
					Volts: text(b.shown(b.read(ohms*amps, meterOff, 0), 0.1), "V"), Amps: text(b.read(amps,
						meterOff, 0), "A")})
			}
			return t, map[string]float64{"Resistance": ohms}
		}},
	}
}

// A trial simulated from known figures gives them back within its stated spread nine times in ten, for every kind that
// states one: no less often, and by chance alone no more. Four hundred draws, always the same ones: four points are
// more
// than two standard deviations of the count. Its spread is no wider than half as much again as the errors it has.
func TestKnownFiguresComeBackWithinTheirSpread(t *testing.T) {
	for _, r := range recoveries() {
		for _, how := range []string{byChance, biased, coarse} {
			comesBack(t, r, how)
		}
		if r.kind == m.Ohms {
			comesBack(t, r, unzeroed)
		}
	}
}

func comesBack(t *testing.T, r recovery, how string) {
	t.Helper()
	const draws = 400
	inside, errors, widths := map[string]int{}, map[string][]float64{}, map[string][]float64{}
	for seed := range uint64(draws) {
		made, truth := r.make(newBench(seed, how))
		in := r.in()
		in.Plan.Trials = []m.Trial{made}
		out, err := Of(in, 0)
		require.NoError(t, err)
		require.Empty(t, out.Entries, r.kind)
		for name, want := range truth {
			f, ok := out.figure(name)
			if !ok {
				continue
			}
			errors[name] = append(errors[name], math.Abs(f.Measured-want)/want)
			widths[name] = append(widths[name], f.Within/want)
			if math.Abs(f.Measured-want) <= f.Within {
				inside[name]++
			}
		}
	}
	_, truth := r.make(newBench(0, how))
	for name := range truth {
		what := fmt.Sprintf("%s, %s: %s", r.kind, how, name)
		require.GreaterOrEqual(t, len(errors[name]), draws*95/100, "%s is told", what)
		share := float64(inside[name]) / float64(len(errors[name]))
		slices.Sort(errors[name])
		slices.Sort(widths[name])
		ideal := stat.Quantile(0.9, stat.Empirical, errors[name], nil)
		width := stat.Quantile(0.5, stat.Empirical, widths[name], nil)
		t.Logf("%-40s inside %.3f, ± %.1f %%, %.2f of what it need be", what, share, 100*width, width/ideal)
		assert.GreaterOrEqual(t, share, 0.86, what)
		if how == byChance {
			assert.LessOrEqual(t, share, 0.94, what)
		}
		assert.LessOrEqual(t, width/ideal, 1.5, what)
	}
}
