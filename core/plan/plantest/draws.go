package plantest

import (
	"fmt"
	"math"

	"pgregory.net/rapid"

	"jiriki/core/control"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
	"jiriki/core/supply"
	"jiriki/core/work"
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

// OneOf draws one of several.
func OneOf[T any](t *rapid.T, name string, from ...T) T {
	return rapid.SampledFrom(from).Draw(t, name)
}

func anyJob(t *rapid.T, i int) work.Job {
	name := func(part string) string { return fmt.Sprintf("job %d %s", i, part) }
	return work.Job{
		ID: fmt.Sprint(i), Name: name(""), Cut: work.Cut{Operation: OneOf(t, name("operation"), "", "turning",
			"drilling", "milling", "sawing", "grinding"), Material: OneOf(t, name("material"), "", "plain-steel",
			"brass", "wood")},
		Speed: work.SpeedBand{
			By:    OneOf(t, name("by"), "", "rpm", "surface", "timed", "travel"),
			Turns: amount(t, name("turns"), 5, 60, ""), Time: amount(t, name("clock"), 5, 60,
				"s"),
			TravelFrom: amount(t, name("travel"), 1, 500, "mm/min"), Lead: amount(t, name("lead"), 1, 10, "mm"),
			From: amount(t, name("from"), 1, 200, "rpm"), To: amount(t, name("to"), 150, 5000,
				"rpm"),
			Surface: amount(t, name("surface"), 1, 200, "m/min"), DiameterFrom: amount(t, name("small"), 1, 20, "mm"),
			DiameterTo: amount(t, name("large"), 15, 400,
				"mm"),
			Cover: OneOf(t, name("cover"), "", "all", "any"),
		},
		Load: work.Load{
			By: OneOf(t, name("load"), "", "torque", "power", "scale", "cutting", "comparable", "replaced", "inertia",
				"pull", "screw"), Torque: amount(t, name("torque"), 0.01, 100, "N·m"),
			Power: amount(t, name("power"), 1, 5000,
				"W"),
			Shape: OneOf(t, name("shape"), "", "torque", "power", "square", "points"),
			From: OneOf(t, name("found"), "", "stated", "measured",
				"comparable"),
			Points: []work.Point{{Speed: amount(t, name("p1"), 10, 200, "rpm"),
				Torque: amount(t, name("t1"), 0.1, 50, "N·m")}, {Speed: amount(t, name("p2"), 100, 2000, "rpm"),
				Torque: amount(t, name("t2"), 0.1, 50,
					"N·m")}},
			Cutting: work.CuttingLoad{Depth: amount(t, name("depth"), 0.1, 5, "mm"),
				Feed: amount(t, name("feed"), 0.02, 1, "mm"), Diameter: amount(t, name("d"), 5, 200, "mm"),
				Width: amount(t, name("w"), 1, 4, "mm"), PerTooth: amount(t, name("fz"), 0.01, 0.2, "mm"),
				Teeth: "4", Length: "30 mm",
				Travel: "5 m/min"},
			Comparable: work.Comparable{Of: OneOf(t, name("of"), "", "lathe-300", "small-mill")},
			Replaced: work.Replaced{Power: amount(t, name("old"), 50, 2000, "W"),
				Speed: amount(t, name("old speed"), 500, 3000, "rpm"),
				Positions: []work.ReplacedPair{{Driver: amount(t, name("r1"), 40, 200, "mm"),
					Driven: amount(t, name("r2"), 40, 400,
						"mm")}}},
			Inertia: work.InertiaLoad{Parts: []work.Part{{Shape: OneOf(t, name("part"), "disc", "ring", "bar",
				"load"), Diameter: amount(t, name("pd"), 50, 900, "mm"), Inside: "30 mm",
				Mass: amount(t, name("kg"), 0.5, 60, "kg")}}, Within: amount(t, name("within"), 1, 60, "s"),
				Friction: amount(t, name("friction"), 0.01, 5,
					"N·m")},
			Pull: work.StraightPull{Force: amount(t, name("pf"), 1, 500, "N"),
				Diameter: amount(t, name("drum"), 20, 300,
					"mm")},
			Screw: work.Screw{Force: amount(t, name("sf"), 1, 5000, "N"), Lead: amount(t, name("sl"), 1, 10, "mm"),
				Feed: true, Mains: []q.Text{"300"}},
			Scale: work.ScalePull{Radius: amount(t, name("radius"), 10, 500, "mm"),
				Running: []q.Text{amount(t, name("pull"), 1, 300, "N")},
				Breakaway: []q.Text{amount(t, name("break"), 1, 300,
					"N")}},
		},
		Start: work.FromRest{How: OneOf(t, name("start"), "", "load", "idle"), Torque: amount(t, name("rest"), 0.1, 50,
			"N·m")},
		Duty: work.Duty{Kind: OneOf(t, name("duty"), "", "continuous", "cycle", "seconds"),
			On: amount(t, name("on"), 1, 1000, "s"), Off: amount(t, name("off"), 1, 1000,
				"s")},
		Margin: amount(t, name("margin"), 1, 5, ""),
	}
}

func anyStage(t *rapid.T, i int) reduction.DescribedStage {
	name := func(part string) string { return fmt.Sprintf("stage %d %s", i, part) }
	kind := OneOf(t, name("kind"), reduction.Direct, reduction.VBelt, reduction.LinkBelt, reduction.PolyV,
		reduction.Flat, reduction.Toothed, reduction.Chain, reduction.Spur, reduction.Worm)
	unit, low, high := "mm", 40.0, 500.0
	s := reduction.DescribedStage{
		Kind: kind, Section: OneOf(t, name("section"), "", "Z", "A", "B"),
		Measured: OneOf(t, name("measured"), "", "pitch",
			"outside"),
		Centre: amount(t, name("centre"), 500, 3000, "mm"), Belt: amount(t, name("belt"), 1500, 5000, "mm"),
		Guarded: rapid.Bool().Draw(t,
			name("guarded")),
		Bypass:   kind == reduction.Spur && rapid.Bool().Draw(t, name("bypass")),
		Material: OneOf(t, name("material"), "", "steel", "nylon"),
		Width: amount(t, name("width"), 5, 60,
			"mm"),
		OnDriven: reduction.DescribedFit{Shaft: amount(t, name("shaft"), 5, 50, "mm"),
			Bore: amount(t, name("bore"), 5, 50, "mm"), Held: OneOf(t, name("held"), "", "key", "screw"),
			Hub: amount(t, name("hub"), 10, 60,
				"mm")},
	}
	for k := range rapid.IntRange(1, 3).Draw(t, name("steps")) {
		step := reduction.DescribedStep{Driver: amount(t, name(fmt.Sprint(k, "a")), low, high, unit),
			Driven: amount(t, name(fmt.Sprint(k, "b")), low, high,
				unit)}
		if kind == reduction.Worm {
			step.Driver, step.Driven = q.Text(fmt.Sprint(rapid.IntRange(1, 4).Draw(t, name(fmt.Sprint(k, "starts"))))),
				q.Text(fmt.Sprint(rapid.IntRange(20, 90).Draw(t, name(fmt.Sprint(k, "wheel")))))
		} else if kind.Toothed() {
			step.Driver = q.Text(fmt.Sprint(rapid.IntRange(10, 100).Draw(t, name(fmt.Sprint(k, "teeth a")))))
			step.Driven = q.Text(fmt.Sprint(rapid.IntRange(10, 100).Draw(t, name(fmt.Sprint(k, "teeth b")))))
		}
		s.Steps = append(s.Steps, step)
	}
	return s
}

// AnyMotor draws a motor, plate and readings, now and then with nonsense in a field.
func AnyMotor(t *rapid.T, name string) motor.Described {
	return motor.Described{
		Name: name, Kind: OneOf(t, name+" kind", append(kindsOf(motor.Profiles()), "")...),
		ThermalSwitch: OneOf(t, name+" thermal", "", "none", "wired", "left-out"),
		Plate: motor.Plate{
			Power: amount(t, name+" power", 50, 3000, "W"), PowerMeans: OneOf(t, name+" means", "", "continuous",
				"peak"), Speed: amount(t, name+" speed", 500, 6000, "rpm"),
			Volts: amount(t, name+" volts", 12, 400, "V"), Amps: amount(t, name+" amps", 0.3, 30, "A"),
			Hertz: OneOf(t, name+" hertz", q.Text("50"), q.Text("60"),
				""),
			Poles:       OneOf(t, name+" poles", q.Text(""), "2", "4", "6"),
			PowerFactor: OneOf(t, name+" pf", q.Text(""), "0.7"), Cooling: OneOf(t, name+" cooling", "", "own-fan",
				"blown", "closed"),
		},
		Readings: anyReadings(t, name),
		Body:     motor.Body{Diameter: amount(t, name+" body", 60, 200, "mm")},
		Gearbox: motor.Gearbox{Sort: OneOf(t, name+" gearbox", "", "none", "worm", "planetary"),
			Ratio: amount(t, name+" gear ratio", 1, 80, ""), Limit: amount(t, name+" gear limit", 5, 200,
				"N·m")},
		Clutch: motor.Clutch{Fitted: rapid.IntRange(0, 9).Draw(t, name+" clutch") == 0,
			Engages: amount(t, name+" engages", 300, 2000,
				"rpm")},
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
			Sort: OneOf(t, part("sort"), "open", "resistance", "free", "loaded", "locked", "spin-down", "capacitor",
				"pull-out"),
			Volts: amount(t, part("volts"), 2, 200, "V"), Amps: amount(t, part("amps"), 0.1, 10, "A"),
			Speed: amount(t, part("speed"), 300, 6000, "rpm"), ToSpeed: amount(t, part("to"), 10, 250,
				"rpm"),
			Time: amount(t, part("time"), 0.5, 60, "s"), Torque: amount(t, part("torque"), 0.05, 10, "N·m"),
			Ohms: amount(t, part("ohms"), 0.05, 60, "Ω"), Capacitor: amount(t, part("farads"), 2, 60,
				"µF"),
		})
	}
	return out
}

// AnyInput draws a machine and a plan of any sort, now and then with nonsense in a field.
func AnyInput(t *rapid.T) plan.Input {
	in := plan.Input{
		Units: OneOf(t, "units", q.Metric, q.Inch),
		Machine: work.Machine{Kind: "other", Place: work.Place{Hot: OneOf(t, "hot", "", "no", "yes"),
			Hottest: amount(t, "hottest", 41, 89, "°C"), Altitude: amount(t, "height", 11, 5900, "m")},
			Limits: work.Limits{Spindle: amount(t, "spindle", 50, 5000, "rpm"),
				Marked: amount(t, "marked", 50, 5000, "rpm"), ScrewedOn: rapid.Bool().Draw(t,
					"screwed")}},
		Plan: plan.Plan{
			Supply: supply.Described{Volts: amount(t, "volts", 12, 400, "V"),
				Hertz: OneOf(t, "hertz", q.Text(""), "50", "60"), Phases: OneOf(t, "phases", "", "1", "3", "dc"),
				Breaker: amount(t, "breaker", 3, 32, "A"), Inside: amount(t, "inside", 0.005, 3, "Ω"),
				Holds: amount(t, "holds", 50, 2000,
					"Wh")},
			Control: control.Described{
				Kind: OneOf(t, "control", control.Profiles()...).Kind, Volts: amount(t, "out", 12, 400, "V"),
				Amps: amount(t, "drive", 0.5, 30, "A"), LimitAmps: amount(t, "limit", 0.5, 40, "A"),
				Feedback: OneOf(t, "feedback", "", "none", "tacho"),
				Choke: rapid.Bool().Draw(t,
					"choke"),
				TopTrim:   OneOf(t, "trim", q.Text(""), "65 %", "120 %"),
				BaseHertz: OneOf(t, "base", q.Text(""), "50 Hz", "87 Hz"),
				TopHertz:  OneOf(t, "top", q.Text(""), "60 Hz", "120 Hz"), Mode: OneOf(t, "mode", "", "vector"),
				Ohms: amount(t, "ohms", 1, 200, "Ω"), Watts: amount(t, "watts", 20, 2000, "W"),
				BrakeOhms: amount(t, "brake", 20, 200,
					"Ω"),
				Fused: rapid.Bool().Draw(t, "fused"), NoVolt: rapid.Bool().Draw(t, "no-volt"),
				Reverse: OneOf(t, "reverse", "", "switch", "drive"), Lamp: rapid.Bool().Draw(t, "lamp"),
				Knob: OneOf(t, "knob", "", "pot", "0-10",
					"panel"),
			},
			Motor: AnyMotor(t, "motor"),
		},
		Shelf: []shelf.Item{{ID: "1", Motor: AnyMotor(t, "shelf")}},
	}
	for i := range rapid.IntRange(0, 3).Draw(t, "jobs") {
		in.Machine.Jobs = append(in.Machine.Jobs, anyJob(t, i))
	}
	for i := range rapid.IntRange(0, 2).Draw(t, "stages") {
		in.Plan.Reduction.Stages = append(in.Plan.Reduction.Stages, anyStage(t, i))
	}
	return in
}
