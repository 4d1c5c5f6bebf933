package judge

import (
	"fmt"

	"jiriki/core/control"
	f "jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/supply"
	"jiriki/core/work"
	"jiriki/core/working"
)

// need is a row of the table: an entry that an answer hangs on.
type need struct {
	id         f.ID
	where      string // path of the entry, as the table prints it
	title, how string
	on         string // on which plans, in words
	holds      f.Holds
	blank      func(*line.Model) []gap
	figures    func(*line.Model, q.System) string // added to how, where figures of the plan help
	offer      func(*line.Model) *f.Offer         // one choice that is safe for all; nil where there is none
}

// gap is one place where a needed entry is blank.
type gap struct {
	field string
	of    string // which of several, added to the title
	title string // in place of the row's own
	part  string // tells its finding from others of the row
}

// where is the gap of a row with one place, where it is blank.
func where(blank bool, field string) []gap {
	if !blank {
		return nil
	}
	return []gap{{field: field}}
}

// The bounds within which a guess may not turn an answer.
const (
	// screwShears is how many times what a set screw is trusted with makes it fly [common practice].
	screwShears = 3
	// weakensAt is how many times a motor's amps are too many, for its magnets or its winding [common practice].
	weakensAt = 3
	// poorestTeeth is the share that teeth of nylon of module 1 carry of what gears nobody described are taken to: mild
	// steel of module 1.5 [common practice].
	poorestTeeth = 0.1
	// closedGear is the ratio from which the teeth of a motor's own gears give way before it stalls [common practice].
	closedGear = 5
)

// ScrewFlies is the torque, N·m, from which how a wheel is held must be known.
func ScrewFlies() float64 { return screwShears * reduction.ScrewHolds }

// LimitTooHigh reports whether a current limit is so many times a motor's amps that it harms it.
func LimitTooHigh(limit, amps float64) bool { return amps > 0 && limit >= weakensAt*amps*0.999 }

// needed in the order they are asked for: working back from the work to the wall.
var needed = []need{
	{id: f.WorkJobs, where: "machine.jobs", holds: f.HoldsJobs, on: "every plan",
		title: "What must it do?", how: "Put in the first job: a speed, and the torque or power it takes.",
		blank: func(m *line.Model) []gap { return where(len(m.Machine.Jobs) == 0, "machine.jobs") }},
	{id: f.WorkKind, where: "machine.kind", holds: f.HoldsPower, on: "every plan",
		title: "What sort of machine is it?", how: "Its dangers go with its kind; “something else” is an answer too.",
		blank: func(m *line.Model) []gap { return where(m.Machine.Kind == "", "machine.kind") }},
	{id: f.WorkLimit, where: "machine.limits.spindle", holds: f.HoldsPower,
		on: "what turns fast, or cuts, or carries a chuck, wheel, disc or fan, past any speed it is known to have " +
			"borne",
		title: "How fast may it turn?",
		how: "The speed marked on wheel, chuck, disc or fan, or what the spindle's bearings were made for. Nobody " +
			"can say of a speed it never ran at that it bears it.",
		blank: limitBlank, figures: topSays},
	{id: f.WorkDiameter, where: "machine.limits.diameter", holds: f.HoldsPower,
		on:    "bandsaws, belt grinders and conveyors that turn fast",
		title: "How large is its wheel or drum?", how: "Its rim's speed is what bursts it: measure it across.",
		blank: diameterBlank, figures: topSays},
	{id: f.WorkWetUnknown, where: "machine.place.wet", holds: f.HoldsPower,
		on:    "potter's wheels, mixers, crushers and extractors on more than 50 V",
		title: "Does it get wet there?", how: "Clay water, juice, mortar or weather on motor, drive or switch.",
		blank: func(m *line.Model) []gap {
			return where(m.Machine.Place.Wet == "" && work.FindKind(m.Machine.Kind).Wets && m.Lethal(),
				"machine.place.wet")
		}},
	{id: f.WorkDustUnknown, where: "machine.place.dust", holds: f.HoldsPower,
		on:    "brushed motors not known to be closed, on sanders, grinders and mixers, or where wood is cut",
		title: "Does dust hang about it?", how: "Wood, flour and grinding dust catch from open brushes.",
		blank: func(m *line.Model) []gap {
			return where(m.Machine.Place.Dust == "" && m.Motor.Kind.Brushed() && !m.Motor.Splashed() && makesDust(m),
				"machine.place.dust")
		}},
	{id: f.WorkHeld, where: "machine.limits.heldBy", holds: f.HoldsPower,
		on:    "lathes, grinders and disc sanders that reverse or brake",
		title: "What holds chuck or wheel on its spindle?",
		how:   "A thread comes off in reverse and under a brake; a cam lock, taper, key or flange does not.",
		blank: func(m *line.Model) []gap {
			turnsBack := m.Control.Reverse != "none" || m.Control.BrakeOhms > 0
			return where(m.Machine.HeldBy == "" && turnsBack && work.FindKind(m.Machine.Kind).Asks == "marked" &&
				m.Machine.Kind != "fan", "machine.limits.heldBy")
		}},
	{id: f.MotorAmps, where: "motor.plate.amps", holds: f.HoldsPower, on: "induction motors",
		title: "Amps on the motor's plate", how: "Overload, fuse and limit are set by them, and power alone does not " +
			"tell them: the plate has them, or a clamp meter under full load.",
		blank: func(m *line.Model) []gap {
			return where(m.Runs && m.Motor.Kind.Family() == motor.InductionFamily &&
				m.Motor.Amps.Standing == working.Assumed, "motor.plate.amps")
		}},
	{id: f.MotorProtectorUnknown, where: "motor.plate.protector", holds: f.HoldsPower,
		on:    "single-phase induction motors on what takes a hand",
		title: "Is a thermal protector built in, and how does it reset?",
		how: "Such motors often have one that closes again by itself. Look for a red button, or for the words on the " +
			"plate.",
		blank: func(m *line.Model) []gap {
			onePhase := m.Motor.Kind.Family() == motor.InductionFamily && m.Motor.Kind != motor.ThreePhase
			return where(m.Motor.Protector == "" && onePhase && work.FindKind(m.Machine.Kind).TakesHand(),
				"motor.plate.protector")
		}},
	{id: f.MotorGearLimit, where: "motor.gearbox.limit", holds: f.HoldsJobs,
		on:    "motors with gears of 5 : 1 or more",
		title: "What may the gearbox carry?",
		how: "Small gears strip before the motor stalls. Read its plate, or go by the torque its old machine asked " +
			"for.",
		blank: func(m *line.Model) []gap {
			g := m.Motor.Gear
			return where(m.Motor.Ready() && g.Sort != "none" && g.Ratio >= closedGear && g.Limit == 0,
				"motor.gearbox.limit")
		},
		figures: func(m *line.Model, sys q.System) string {
			return fmt.Sprintf(" At %s its output would make %s.", q.Ratio(m.Motor.Gear.Ratio),
				q.Show(m.Motor.GearTorque(), q.Torque, sys))
		}},
	{id: f.ControlKind, where: "control.kind", holds: f.HoldsBoth, on: "every plan",
		title: "What will control it?", how: "Choose a drive or a plain switch that suits this motor.",
		blank: func(m *line.Model) []gap { return where(m.Control.Kind == "", "control.kind") }},
	{id: f.ControlAmps, where: "control.amps", holds: f.HoldsBoth, on: "drives and variable transformers",
		title: "Amps the drive can give for ever", how: "Read its plate.",
		blank: func(m *line.Model) []gap {
			return where(m.Runs && m.Control.Amps == 0 && (m.Control.Limits() ||
				m.Control.Kind == control.VariableTransformer), "control.amps")
		},
		figures: func(m *line.Model, sys q.System) string {
			return fmt.Sprintf(" The motor asks for %s.", q.Show(m.Motor.Amps.Value, q.Current, sys))
		}},
	{id: f.ControlLimitUnknown, where: "control.limitAmps", holds: f.HoldsPower,
		on:    "drives that can give three times the motor's amps",
		title: "What is its current limit set to?",
		how:   "The drive by itself can give more than the motor bears. Set its limit, and put in what it is set to.",
		blank: func(m *line.Model) []gap {
			return where(m.Runs && m.Control.Limits() && m.Control.LimitAmps == 0 &&
				LimitTooHigh(m.MostDriveAmps(), m.Motor.Amps.Value), "control.limitAmps")
		},
		figures: func(m *line.Model, sys q.System) string {
			return fmt.Sprintf(" It gives up to %s; %s is usual for this motor.",
				q.Show(m.MostDriveAmps(), q.Current, sys), q.Show(line.UsualLimit(&m.Stations), q.Current, sys))
		}},
	{id: f.ControlBaseHertz, where: "control.baseHertz", holds: f.HoldsPower,
		on:    "inverters for a quarter more volts than the motor's",
		title: "What are its base hertz set to?",
		how: "As it comes, such a drive reaches its full volts at the plate's hertz, which saturates the iron and " +
			"burns " +
			"these windings.",
		blank:   func(m *line.Model) []gap { return where(BaseAsked(m), "control.baseHertz") },
		figures: BaseSays},
	{id: f.ControlOhms, where: "control.ohms", holds: f.HoldsBoth, on: "series resistors",
		title: "Ohms of the resistor", how: "As it is set for the slowest job: what it takes in volts goes with the " +
			"current.",
		blank: func(m *line.Model) []gap {
			return where(m.Runs && m.Control.Kind == control.SeriesResistor && m.Control.Ohms == 0, "control.ohms")
		}},
	{id: f.ControlWatts, where: "control.watts", holds: f.HoldsPower, on: "series resistors",
		title: "Watts the resistor sheds", how: "It gets hot enough to burn what is near: read the rating off it.",
		blank: func(m *line.Model) []gap {
			return where(m.Runs && m.Control.Kind == control.SeriesResistor && m.Control.Watts == 0, "control.watts")
		}},
	{id: f.ControlDriverVolts, where: "control.volts", holds: f.HoldsJobs, on: "stepper drivers",
		title: "Volts of the stepper driver", how: "How fast a stepper keeps its torque goes by them: read the " +
			"supply " +
			"behind the driver.",
		blank: func(m *line.Model) []gap {
			return where(m.Runs && m.Control.Kind == control.StepperDriver && m.Control.Volts == 0, "control.volts")
		}},
	{id: f.ControlFanTrials, where: "motor.readings", holds: f.HoldsJobs, on: "fans on their capacitors",
		title: "Speeds on the capacitors",
		how: "Run it on each capacitor you have and write down speed and how often it starts: each as a bench " +
			"reading.",
		blank: func(m *line.Model) []gap {
			return where(m.Runs && m.Feed.Kind == motor.Capacitors && len(m.Motor.Trials) < 2, "motor.readings")
		}},
	{id: f.ReductionBetween, where: "reduction.stages", holds: f.HoldsBoth, on: "every plan",
		title: "What is between motor and spindle?",
		how:   "Pulleys, a chain, gears; or say that it is coupled straight.",
		blank: func(m *line.Model) []gap { return where(len(m.Reduction.Stages) == 0, "reduction.stages") }},
	{id: f.ReductionMissing, where: "reduction.stages[].steps[]", holds: f.HoldsBoth, on: "belts, chains and gears",
		title: "A pulley size is missing",
		how:   "Measure it with calipers over the rim, and say whether that is outside or pitch diameter.",
		blank: func(m *line.Model) []gap {
			return where(m.Reduction.Missing != "" && len(m.Reduction.Stages) > 0, "reduction."+m.Reduction.Missing)
		}},
	{id: f.ReductionBare, where: "reduction.stages[].kind", holds: f.HoldsBoth,
		on:    "a ratio that is known, unless its maker's torque is",
		title: "What wheels make this ratio?",
		how: "Belts, wrap, rims and shafts are not judged until they are put in; of a closed gearbox put in the " +
			"torque its maker rates it for.",
		blank: eachStage(func(m *line.Model, i int, s *reduction.Stage) []gap {
			return where(s.Kind == reduction.Given && s.Rated == 0, stagePath(i, "kind"))
		})},
	{id: f.ReductionCentre, where: "reduction.stages[].centre", holds: f.HoldsJobs, on: "belts",
		title: "Distance between shafts",
		how:   "Measure centre to centre, or put in the belt's length; wrap follows from it.",
		blank: eachStage(func(m *line.Model, i int, s *reduction.Stage) []gap {
			return where(s.Belted() && s.Centre == 0 && len(s.Steps) > 0 && m.Reduction.Missing == "",
				stagePath(i, "centre"))
		})},
	{id: f.ReductionTeeth, where: "reduction.stages[].pitch", holds: f.HoldsJobs,
		on: "gears that more than a tenth of what they are taken to carry can reach, unless their maker's " +
			"torque is known",
		title: "What are the teeth of the gears?",
		how: "Their module and what they are made of: the least of them, in nylon, carry a tenth of what these are " +
			"taken for. The module is the diameter over all, divided by two more than the teeth.",
		blank: eachStage(func(m *line.Model, i int, s *reduction.Stage) []gap {
			if s.Untold == "" || s.Rated > 0 || !reaches(m, i) {
				return nil
			}
			return []gap{{field: stagePath(i, s.Untold), title: "What are the teeth of the gears" + m.OfStage(i) + "?"}}
		})},
	{id: f.ReductionHeld, where: "reduction.stages[].onDriving.held", holds: f.HoldsPower,
		on:    "wheels that more than three times what a set screw holds can reach",
		title: "What holds a wheel on its shaft?",
		how: "A key, a taper bush or a pin; a set screw alone shears at such a torque, and the wheel comes off as it " +
			"turns.",
		blank: heldBlank},
	{id: f.SupplyVolts, where: "supply.volts", holds: f.HoldsBoth, on: "every plan",
		title: "Volts at the socket", how: "Read the meter or the distribution board: 120 V, 230 V, 400 V " +
			"three-phase.",
		blank: func(m *line.Model) []gap { return where(m.Supply.Volts == 0, "supply.volts") }},
	{id: f.SupplyHertz, where: "supply.hertz", holds: f.HoldsBoth, on: "induction motors on the line",
		title: "Hertz of the supply", how: "A motor on the line turns with them.",
		blank: func(m *line.Model) []gap {
			onLine := m.Feed.Kind == motor.OnTheLine || m.Feed.Kind == motor.Capacitors
			return where(m.Runs && m.Supply.AssumedHertz && onLine &&
				m.Motor.Kind.Family() == motor.InductionFamily, "supply.hertz")
		},
		figures: func(m *line.Model, sys q.System) string {
			return " " + q.Show(m.Supply.Hertz, q.Frequency, sys) + " is assumed from the volts."
		}},
	{id: f.SupplyBreaker, where: "supply.breaker", holds: f.HoldsPower, on: "every plan",
		title: "Breaker of the circuit", how: "Read the rating off the breaker or fuse.",
		blank: func(m *line.Model) []gap {
			return where(m.Supply.Volts > 0 && m.Supply.Breaker == 0, "supply.breaker")
		},
		figures: func(m *line.Model, sys q.System) string {
			if !m.Runs {
				return ""
			}
			return fmt.Sprintf(" The plan draws %s at full load.", q.Show(m.InputAmps(), q.Current, sys))
		}},
	{id: f.SupplyWire, where: "supply.wire", holds: f.HoldsPower, on: "every plan",
		title: "Conductor of the cable",
		how:   "Its size is printed on the sheath. A cable thinner than its breaker asks for burns first.",
		blank: func(m *line.Model) []gap {
			return where(m.Supply.Volts > 0 && m.Supply.Wire.Area == 0, "supply.wire")
		}, offer: wireOffer},
}

// wireOffer is the conductor that this breaker asks for, whatever the plan draws.
func wireOffer(m *line.Model) *f.Offer {
	s := m.Supply
	if s.Breaker == 0 {
		return nil
	}
	carries := s.Breaker
	if m.Runs {
		carries = max(carries, m.Circuit().WireFor)
	}
	wire, ok := supply.Thinnest(s.Code, carries, s.Three)
	if !ok {
		return nil
	}
	return &f.Offer{Label: "Take " + wire.Name + ", as this breaker asks",
		Set: []f.Entry{{Field: "supply.wire", Value: wire.Name}, {Field: "supply.offered", Value: wire.Name}}}
}

// makesDust reports whether the machine, or what one of its jobs cuts, makes dust that burns.
func makesDust(m *line.Model) bool {
	dusty := work.FindKind(m.Machine.Kind).Dusty
	for i := range m.Machine.Jobs {
		dusty = dusty || m.Machine.Jobs[i].Dusty
	}
	return dusty
}

// eachStage looks at every stage, naming it where there are several.
func eachStage(blank func(*line.Model, int, *reduction.Stage) []gap) func(*line.Model) []gap {
	return func(m *line.Model) (out []gap) {
		for i := range m.Reduction.Stages {
			for _, one := range blank(m, i, &m.Reduction.Stages[i]) {
				one.of += m.OfStage(i)
				one.part = fmt.Sprint(one.part, i)
				out = append(out, one)
			}
		}
		return out
	}
}

// reaches reports whether a torque that the poorest of gears would not carry can reach a stage's.
func reaches(m *line.Model, i int) bool {
	if !m.Runs {
		return false
	}
	driving, _ := m.Twist(i)
	for _, step := range m.Reduction.Stages[i].Steps {
		if driving > poorestTeeth*step.Pull.Carries(0)*step.Driver/2 {
			return true
		}
	}
	return false
}

// heldBlank are the wheels that a torque past any set screw can reach, and nobody said what holds them.
func heldBlank(m *line.Model) (out []gap) {
	if !m.Runs {
		return nil
	}
	for i, s := range m.Reduction.Stages {
		if s.Kind == reduction.Given {
			continue
		}
		driving, driven := m.Twist(i)
		for _, end := range []struct {
			name, part string
			held       string
			torque     float64
		}{{"driving", "onDriving", s.OnDriving.Held, driving}, {"driven", "onDriven", s.OnDriven.Held, driven}} {
			if end.held != "" || end.torque <= ScrewFlies() || s.Kind == reduction.Direct && end.name == "driven" {
				continue
			}
			out = append(out, gap{field: stagePath(i, end.part+".held"), part: fmt.Sprint(end.name, ".", i),
				title: "What holds the " + end.name + " wheel" + m.OfStage(i) + " on its shaft?"})
		}
	}
	return out
}

func stagePath(i int, part string) string { return fmt.Sprintf("reduction.stages[%d].%s", i, part) }
