package line

import (
	"encoding/json"
	"fmt"
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"jiriki/core/control"
	"jiriki/core/finding"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
	"jiriki/core/supply"
	"jiriki/core/work"
	"jiriki/core/working"
)

// amount draws a quantity a person might type: known, left out, or nonsense once in a while.
func amount(t *rapid.T, name string, low, high float64, unit string) q.Text {
	// A plan has hundreds of fields; nonsense in a few of them is enough, and the ends of a range are
	// drawn oftener than the middle.
	switch n := rapid.IntRange(0, 2000).Draw(t, name+" kind"); {
	case n == 1001:
		return q.Text(rapid.SampledFrom([]string{"x", "-5", "1e12", "0", "1/0", "5 parsec"}).Draw(t, name))
	case n > 1850:
		return ""
	}
	v := math.Exp(rapid.Float64Range(math.Log(low), math.Log(high)).Draw(t, name))
	return q.Text(fmt.Sprintf("%.4g %s", v, unit))
}

func oneOf[T any](t *rapid.T, name string, from ...T) T {
	return rapid.SampledFrom(from).Draw(t, name)
}

func anyJob(t *rapid.T, i int) work.Job {
	name := func(part string) string { return fmt.Sprintf("job %d %s", i, part) }
	return work.Job{
		ID: fmt.Sprint(i), Name: name(""), Cut: work.Cut{Operation: oneOf(t, name("operation"), "", "turning", "drilling", "milling", "sawing", "grinding"), Material: oneOf(t, name("material"), "", "plain-steel", "brass", "wood")},
		Speed: work.SpeedBand{
			By: oneOf(t, name("by"), "", "rpm", "surface", "timed", "travel"), Turns: amount(t, name("turns"), 5, 60, ""), Time: amount(t, name("clock"), 5, 60, "s"),
			TravelFrom: amount(t, name("travel"), 1, 500, "mm/min"), Lead: amount(t, name("lead"), 1, 10, "mm"), From: amount(t, name("from"), 1, 200, "rpm"), To: amount(t, name("to"), 150, 5000, "rpm"),
			Surface: amount(t, name("surface"), 1, 200, "m/min"), DiameterFrom: amount(t, name("small"), 1, 20, "mm"), DiameterTo: amount(t, name("large"), 15, 400, "mm"),
			Cover: oneOf(t, name("cover"), "", "all", "any"),
		},
		Load: work.Load{
			By: oneOf(t, name("load"), "", "torque", "power", "scale", "cutting", "comparable", "replaced", "inertia", "pull", "screw"), Torque: amount(t, name("torque"), 0.01, 100, "N·m"), Power: amount(t, name("power"), 1, 5000, "W"),
			Shape: oneOf(t, name("shape"), "", "torque", "power", "square", "points"), From: oneOf(t, name("found"), "", "stated", "measured", "comparable"),
			Points:     []work.Point{{Speed: amount(t, name("p1"), 10, 200, "rpm"), Torque: amount(t, name("t1"), 0.1, 50, "N·m")}, {Speed: amount(t, name("p2"), 100, 2000, "rpm"), Torque: amount(t, name("t2"), 0.1, 50, "N·m")}},
			Cutting:    work.CuttingLoad{Depth: amount(t, name("depth"), 0.1, 5, "mm"), Feed: amount(t, name("feed"), 0.02, 1, "mm"), Diameter: amount(t, name("d"), 5, 200, "mm"), Width: amount(t, name("w"), 1, 4, "mm"), PerTooth: amount(t, name("fz"), 0.01, 0.2, "mm"), Teeth: "4", Length: "30 mm", Travel: "5 m/min"},
			Comparable: work.Comparable{Of: oneOf(t, name("of"), "", "lathe-300", "small-mill")},
			Replaced:   work.Replaced{Power: amount(t, name("old"), 50, 2000, "W"), Speed: amount(t, name("old speed"), 500, 3000, "rpm"), Positions: []work.ReplacedPair{{Driver: amount(t, name("r1"), 40, 200, "mm"), Driven: amount(t, name("r2"), 40, 400, "mm")}}},
			Inertia:    work.InertiaLoad{Parts: []work.Part{{Shape: oneOf(t, name("part"), "disc", "ring", "bar", "load"), Diameter: amount(t, name("pd"), 50, 900, "mm"), Inside: "30 mm", Mass: amount(t, name("kg"), 0.5, 60, "kg")}}, Within: amount(t, name("within"), 1, 60, "s"), Friction: amount(t, name("friction"), 0.01, 5, "N·m")},
			Pull:       work.StraightPull{Force: amount(t, name("pf"), 1, 500, "N"), Diameter: amount(t, name("drum"), 20, 300, "mm")},
			Screw:      work.Screw{Force: amount(t, name("sf"), 1, 5000, "N"), Lead: amount(t, name("sl"), 1, 10, "mm"), Feed: true, Mains: []q.Text{"300"}},
			Scale:      work.ScalePull{Radius: amount(t, name("radius"), 10, 500, "mm"), Running: []q.Text{amount(t, name("pull"), 1, 300, "N")}, Breakaway: []q.Text{amount(t, name("break"), 1, 300, "N")}},
		},
		Duty:   work.Duty{Kind: oneOf(t, name("duty"), "", "continuous", "cycle", "seconds"), On: amount(t, name("on"), 1, 1000, "s"), Off: amount(t, name("off"), 1, 1000, "s")},
		Margin: amount(t, name("margin"), 1, 5, ""),
	}
}

func anyStage(t *rapid.T, i int) reduction.DescribedStage {
	name := func(part string) string { return fmt.Sprintf("stage %d %s", i, part) }
	kind := oneOf(t, name("kind"), reduction.Direct, reduction.VBelt, reduction.LinkBelt, reduction.PolyV, reduction.Flat, reduction.Toothed, reduction.Chain, reduction.Spur, reduction.Worm)
	unit, low, high := "mm", 40.0, 500.0
	s := reduction.DescribedStage{
		Kind: kind, Section: oneOf(t, name("section"), "", "Z", "A", "B"), Measured: oneOf(t, name("measured"), "", "pitch", "outside"),
		Centre: amount(t, name("centre"), 500, 3000, "mm"), Belt: amount(t, name("belt"), 1500, 5000, "mm"), Guarded: rapid.Bool().Draw(t, name("guarded")),
		Bypass: kind == reduction.Spur && rapid.Bool().Draw(t, name("bypass")), Material: oneOf(t, name("material"), "", "steel", "nylon"), Width: amount(t, name("width"), 5, 60, "mm"),
		OnDriven: reduction.DescribedFit{Shaft: amount(t, name("shaft"), 5, 50, "mm"), Bore: amount(t, name("bore"), 5, 50, "mm"), Held: oneOf(t, name("held"), "", "key", "screw"), Hub: amount(t, name("hub"), 10, 60, "mm")},
	}
	for k := range rapid.IntRange(1, 3).Draw(t, name("steps")) {
		step := reduction.DescribedStep{Driver: amount(t, name(fmt.Sprint(k, "a")), low, high, unit), Driven: amount(t, name(fmt.Sprint(k, "b")), low, high, unit)}
		if kind == reduction.Worm {
			step.Driver, step.Driven = q.Text(fmt.Sprint(rapid.IntRange(1, 4).Draw(t, name(fmt.Sprint(k, "starts"))))), q.Text(fmt.Sprint(rapid.IntRange(20, 90).Draw(t, name(fmt.Sprint(k, "wheel")))))
		} else if kind.Toothed() {
			step.Driver = q.Text(fmt.Sprint(rapid.IntRange(10, 100).Draw(t, name(fmt.Sprint(k, "teeth a")))))
			step.Driven = q.Text(fmt.Sprint(rapid.IntRange(10, 100).Draw(t, name(fmt.Sprint(k, "teeth b")))))
		}
		s.Steps = append(s.Steps, step)
	}
	return s
}

func anyMotor(t *rapid.T, name string) motor.Described {
	return motor.Described{
		Name: name, Kind: oneOf(t, name+" kind", append(kindsOf(motor.Profiles()), "")...),
		ThermalSwitch: oneOf(t, name+" thermal", "", "none", "wired", "left-out"),
		Plate: motor.Plate{
			Power: amount(t, name+" power", 50, 3000, "W"), PowerMeans: oneOf(t, name+" means", "", "continuous", "peak"), Speed: amount(t, name+" speed", 500, 6000, "rpm"),
			Volts: amount(t, name+" volts", 12, 400, "V"), Amps: amount(t, name+" amps", 0.3, 30, "A"), Hertz: oneOf(t, name+" hertz", q.Text("50"), q.Text("60"), ""),
			Poles: oneOf(t, name+" poles", q.Text(""), "2", "4", "6"), PowerFactor: oneOf(t, name+" pf", q.Text(""), "0.7"), Cooling: oneOf(t, name+" cooling", "", "own-fan", "blown", "closed"),
		},
		Readings: anyReadings(t, name),
		Body:     motor.Body{Diameter: amount(t, name+" body", 60, 200, "mm")},
		Gearbox:  motor.Gearbox{Sort: oneOf(t, name+" gearbox", "", "none", "worm", "planetary"), Ratio: amount(t, name+" gear ratio", 1, 80, ""), Limit: amount(t, name+" gear limit", 5, 200, "N·m")},
		Clutch:   motor.Clutch{Fitted: rapid.IntRange(0, 9).Draw(t, name+" clutch") == 0, Engages: amount(t, name+" engages", 300, 2000, "rpm")},
	}
}

func kindsOf(profiles []motor.Profile) []motor.Kind {
	var out []motor.Kind
	for _, p := range profiles {
		out = append(out, p.Kind)
	}
	return out
}

func anyReadings(t *rapid.T, name string) []motor.Reading {
	var out []motor.Reading
	for i := range rapid.IntRange(0, 4).Draw(t, name+" readings") {
		part := func(s string) string { return fmt.Sprint(name, " reading ", i, " ", s) }
		out = append(out, motor.Reading{
			Sort:  oneOf(t, part("sort"), "open", "resistance", "free", "loaded", "locked", "spin-down", "capacitor", "pull-out"),
			Volts: amount(t, part("volts"), 2, 200, "V"), Amps: amount(t, part("amps"), 0.1, 10, "A"), Speed: amount(t, part("speed"), 300, 6000, "rpm"), ToSpeed: amount(t, part("to"), 10, 250, "rpm"),
			Time: amount(t, part("time"), 0.5, 60, "s"), Torque: amount(t, part("torque"), 0.05, 10, "N·m"), Ohms: amount(t, part("ohms"), 0.05, 60, "Ω"), Capacitor: amount(t, part("farads"), 2, 60, "µF"),
		})
	}
	return out
}

func anyInput(t *rapid.T) plan.Input {
	in := plan.Input{
		Units:   oneOf(t, "units", q.Metric, q.Inch),
		Machine: work.Machine{Kind: "other", Place: work.Place{Hot: oneOf(t, "hot", "", "no", "yes"), Hottest: amount(t, "hottest", 41, 89, "°C"), Altitude: amount(t, "height", 11, 5900, "m")}, Limits: work.Limits{Spindle: amount(t, "spindle", 50, 5000, "rpm"), Marked: amount(t, "marked", 50, 5000, "rpm"), ScrewedOn: rapid.Bool().Draw(t, "screwed")}},
		Plan: plan.Plan{
			Supply: supply.Described{Volts: amount(t, "volts", 12, 400, "V"), Hertz: oneOf(t, "hertz", q.Text(""), "50", "60"), Phases: oneOf(t, "phases", "", "1", "3", "dc"), Breaker: amount(t, "breaker", 3, 32, "A"), Inside: amount(t, "inside", 0.005, 3, "Ω"), Holds: amount(t, "holds", 50, 2000, "Wh")},
			Control: control.Described{
				Kind: oneOf(t, "control", control.Kinds...), Volts: amount(t, "out", 12, 400, "V"),
				Amps: amount(t, "drive", 0.5, 30, "A"), LimitAmps: amount(t, "limit", 0.5, 40, "A"), Feedback: oneOf(t, "feedback", "", "none", "tacho"), Choke: rapid.Bool().Draw(t, "choke"),
				TopTrim: oneOf(t, "trim", q.Text(""), "65 %", "120 %"), BaseHertz: oneOf(t, "base", q.Text(""), "50 Hz", "87 Hz"), TopHertz: oneOf(t, "top", q.Text(""), "60 Hz", "120 Hz"), Mode: oneOf(t, "mode", "", "vector"), Ohms: amount(t, "ohms", 1, 200, "Ω"), Watts: amount(t, "watts", 20, 2000, "W"), BrakeOhms: amount(t, "brake", 20, 200, "Ω"),
				Fused: rapid.Bool().Draw(t, "fused"), NoVolt: rapid.Bool().Draw(t, "no-volt"), Reverse: oneOf(t, "reverse", "", "switch", "drive"), Lamp: rapid.Bool().Draw(t, "lamp"), Knob: oneOf(t, "knob", "", "pot", "0-10", "panel"),
			},
			Motor: anyMotor(t, "motor"),
		},
		Shelf: []shelf.Item{{ID: "1", Motor: anyMotor(t, "shelf")}},
	}
	for i := range rapid.IntRange(0, 3).Draw(t, "jobs") {
		in.Machine.Jobs = append(in.Machine.Jobs, anyJob(t, i))
	}
	for i := range rapid.IntRange(0, 2).Draw(t, "stages") {
		in.Plan.Reduction.Stages = append(in.Plan.Reduction.Stages, anyStage(t, i))
	}
	return in
}

// Everything is answered in finite figures with its limits in order; what cannot be used of it is
// named by its field, and keeps it from being powered.
func TestAssessmentIsFiniteAndOrderedWhateverIsTyped(t *testing.T) {
	answered := 0
	rapid.Check(t, func(t *rapid.T) {
		in := anyInput(t)
		// Half of the draws get a control that suits, or hardly one would be answered.
		if drives := control.Drives(string(in.Plan.Motor.Kind)); len(drives) > 0 && rapid.Bool().Draw(t, "suits") {
			in.Plan.Control.Kind = oneOf(t, "suited", drives...)
		}
		a, err := Assess(in)
		require.NoError(t, err)
		checkWhole(t, a)
		if len(a.Entries) == 0 {
			answered++
			return
		}
		if a.MayPower || a.Entries[0].Field == "" || a.Entries[0].Message == "" {
			t.Fatalf("an entry that cannot be used: %+v, and it may be powered: %v", a.Entries, a.MayPower)
		}
	})
	assert.Greater(t, answered, 40, "the draw must reach real answers")
}

// Whatever can be assessed can be built and its controls compared, in words and figures fit to print.
func TestAnyPlanIsBuilt(t *testing.T) {
	wired := 0
	rapid.Check(t, func(t *rapid.T) {
		in := anyInput(t)
		if drives := slices.Concat(control.Drives(string(in.Plan.Motor.Kind)), control.Also(string(in.Plan.Motor.Kind))); len(drives) > 0 {
			in.Plan.Control.Kind = oneOf(t, "suited", drives...)
		}
		b, err := PlanBuild(in)
		tried, errTried := Controls(in)
		require.NoError(t, err)
		var refused q.FieldErrors
		if errTried != nil {
			require.ErrorAs(t, errTried, &refused)
		}
		if b.Wiring.Known {
			wired++
		}
		for _, said := range []any{b, tried} {
			text, err := json.Marshal(said)
			require.NoError(t, err)
			// A dash is how a figure that is none is shown; "%!" is a sum written wrong.
			assert.NotRegexp(t, `—|%!|NaN|\bInf`, string(text))
		}
		for _, w := range b.Wiring.Wires {
			for _, end := range []string{w.From, w.To} {
				assert.Regexp(t, `^[A-Z]+\d*:.`, end)
			}
		}
	})
	assert.Greater(t, wired, 20, "the draw must reach plans that are wired")
}

// once looks that what a list is keyed by stands in it once.
func once[T any](t rapid.TB, what string, list []T, id func(T) string) {
	seen := map[string]bool{}
	for _, one := range list {
		if seen[id(one)] {
			t.Fatalf("two of the %s %q", what, id(one))
		}
		seen[id(one)] = true
	}
}

func checkWhole(t rapid.TB, a Assessment) {
	// JSON cannot hold NaN or Inf, so encoding looks at every number there is.
	if _, err := json.Marshal(a); err != nil {
		t.Fatalf("not finite: %v", err)
	}
	if a.Headline == "" {
		t.Fatalf("no headline")
	}
	for i := range a.Reach.Positions {
		p := &a.Reach.Positions[i]
		for i := range p.RPM {
			c, b, k := p.Continuous[i], p.Intermittent[i], p.Peak[i]
			if c < 0 || c > b*1.000001 || b > k*1.000001 {
				t.Fatalf("limits out of order at %v rpm: %v, %v, %v", p.RPM[i], c, b, k)
			}
			if i > 0 && p.RPM[i] < p.RPM[i-1] {
				t.Fatalf("speeds fall at %d", i)
			}
		}
	}
	once(t, "finding", a.Findings, func(f finding.Finding) string { return f.ID })
	once(t, "job", a.Jobs, func(j JobResult) string { return j.ID })
	once(t, "working", a.Workings, func(w working.Working) string { return w.ID })
	once(t, "setting", a.Settings, func(s Setting) string { return s.Working })
	for i := range a.Findings[:max(len(a.Findings)-1, 0)] {
		if a.Findings[i].Level.Rank() > a.Findings[i+1].Level.Rank() {
			t.Fatalf("findings out of order")
		}
	}
}

// Gearing down by k divides speed by k and multiplies torque by k, exactly.
func TestRatioAndTorqueTradeExactly(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		k := rapid.Float64Range(0.3, 6).Draw(t, "k")
		from := oneOf(t, "plan", sound(), inverted(), switched())
		s, err := plan.Resolve(from)
		if err != nil {
			t.Fatal(err)
		}
		tr := newTrain(s)
		// Without belts, which carry what they carry whatever the ratio.
		p := &reduction.Position{Ratio: tr.Reduction.Positions[0].Ratio, Keeps: tr.Reduction.Positions[0].Keeps}
		geared := &reduction.Position{Ratio: p.Ratio * k, Keeps: p.Keeps}
		low, high := tr.span(p)
		omega := low + (high-low)*rapid.Float64Range(0, 1).Draw(t, "speed")
		assert.InEpsilon(t, tr.steady(omega, 1, p).Torque*k, tr.steady(omega/k, 1, geared).Torque, 1e-9)
		assert.InEpsilon(t, tr.peak(omega, p).Torque*k, tr.peak(omega/k, geared).Torque, 1e-9)
	})
}

// All else equal, a stronger motor of the same speed and volts never lowers a margin. The drive
// is taken large and without a set limit: a larger motor also wastes more current inside, so on
// a drive that binds it can really give less, and that is no fault.
func TestAStrongerMotorNeverLowersAMargin(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		in := oneOf(t, "plan", sound(), inverted(), switched())
		in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "200 A", ""
		if in.Plan.Control.Kind == control.Contactor {
			in.Plan.Control.Amps = ""
		}
		power, amps := rapid.Float64Range(100, 2000).Draw(t, "power"), 0.0
		amps = power / (230 * 0.7)
		more := rapid.Float64Range(1, 4).Draw(t, "more")
		with := func(k float64) Assessment {
			in.Plan.Motor.Plate.Power = q.Text(fmt.Sprintf("%g W", power*k))
			in.Plan.Motor.Plate.Amps = q.Text(fmt.Sprintf("%g A", amps*k))
			a, err := Assess(in)
			if err != nil {
				t.Fatal(err)
			}
			return a
		}
		assert.GreaterOrEqual(t, with(more).Jobs[0].Margin, with(1).Jobs[0].Margin*(1-1e-4))
	})
}

// The few speeds a margin is taken at find the same least as a fine comb of the whole band.
func TestFewSpeedsFindTheLeastMargin(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		in := oneOf(t, "plan", sound(), inverted())
		in.Machine.Limits.Spindle = ""
		in.Plan.Control.TopHertz = oneOf(t, "top", q.Text(""), "100 Hz")
		in.Plan.Control.LimitAmps = oneOf(t, "limit", q.Text(""), "3 A", "8 A")
		in.Plan.Control.Volts = oneOf(t, "volts", q.Text("120 V"), "180 V", "230 V")
		in.Plan.Motor.Plate.Cooling = oneOf(t, "cooling", "own-fan", "blown")
		from := rapid.Float64Range(20, 300).Draw(t, "from")
		to := from * rapid.Float64Range(1.05, 8).Draw(t, "wide")
		in.Machine.Jobs[0].Speed = work.SpeedBand{From: q.Text(fmt.Sprint(from)), To: q.Text(fmt.Sprint(to))}
		in.Machine.Jobs[0].Load.Shape = oneOf(t, "shape", "torque", "power", "square")
		in.Machine.Jobs[0].Duty = work.Duty{Kind: oneOf(t, "duty", "continuous", "cycle", "seconds")}
		s, err := plan.Resolve(in)
		if err != nil {
			t.Fatal(err)
		}
		tr := newTrain(s)
		f, job, p := tr.fares()[0], &tr.Machine.Jobs[0], &tr.Reduction.Positions[0]
		for k := range 200 {
			omega := f.low * math.Pow(f.high/f.low, float64(k)/199)
			margin := tr.heldFor(job, omega, overload(job.Duty), p).Torque / job.TorqueAt(math.Min(math.Max(omega, job.Low), job.High))
			if margin < f.margin*(1-1e-6)-1e-9 {
				t.Fatalf("%v at %v rad/s is less than the %v found", margin, omega, f.margin)
			}
		}
	})
}

func FuzzAssess(f *testing.F) {
	const planned = `{"units":"%s","machine":{"name":"x","jobs":[{"id":"a","speed":{"from":"60","to":"300"},"load":{"torque":"2 N·m"}}]},"plan":{"supply":{"volts":"230 V"},` +
		`"control":{"kind":"%s","volts":"180 V","amps":"5 A"},"motor":{"kind":"%s","plate":{"power":"1/2 hp","speed":"1425","volts":"230/400 V","amps":"2.8 A"}},` +
		`"reduction":{"stages":[{"kind":"%s","section":"A","steps":[{"driver":"80 mm","driven":"280 mm"}],"centre":"400 mm"}]}}}`
	f.Add(fmt.Appendf(nil, planned, "metric", control.PhaseAngle, motor.PermanentMagnetDC, reduction.VBelt))
	f.Add(fmt.Appendf(nil, planned, "inch", control.Inverter, motor.ThreePhase, reduction.Spur))
	f.Add(fmt.Appendf(nil, planned, "metric", control.Contactor, motor.CapacitorStart, reduction.Worm))
	f.Add([]byte(`{"units":"metric"}`))
	f.Fuzz(func(t *testing.T, body []byte) {
		var in plan.Input
		if json.Unmarshal(body, &in) != nil {
			return
		}
		a, err := Assess(in)
		if err != nil {
			var fields q.FieldErrors
			assert.ErrorAs(t, err, &fields)
			return
		}
		_, err = json.Marshal(a)
		assert.NoError(t, err)
	})
}
