package judge

import (
	"jiriki/core/control"
	"jiriki/core/line"
	q "jiriki/core/quantity"
	"jiriki/core/work"
)

// declare is a row of the table: an entry that means "none" or the usual where it is blank, and the answer says so.
type declare struct {
	field string
	what  string
	on    string // on which plans, in words
	usual string // what is taken, as the table prints it
	taken func(*line.Model) string
}

// said is what is taken where an entry is blank.
func said(blank bool, words string) string {
	if blank {
		return words
	}
	return ""
}

// ownCapacitor is told once for all that may be said of a run capacitor.
func ownCapacitor(m *line.Model) string {
	c := m.Motor
	return said(c.Kind.HasRunCapacitor() && (c.Capacitor == 0 || c.CapacitorAC == 0 || c.CapacitorSort == ""),
		"the run capacitor it came with")
}

// unsized is told once for shafts and keys of which nobody gave the size.
func unsized(m *line.Model) string {
	for _, s := range m.Reduction.Stages {
		if !s.Kind.Bare() && (s.OnDriving.Shaft == 0 || s.OnDriven.Shaft == 0) {
			return "shafts that bear what reaches them"
		}
	}
	return ""
}

// declared in the order they are told. What of these can kill on a kind of machine is needed there instead.
var declared = []declare{
	{"machine.place.wet", "Whether it gets wet", "where wet is not usual, and up to 50 V", "dry",
		func(m *line.Model) string { return said(m.Machine.Place.Wet == "", "dry") }},
	{"machine.place.dust", "Whether dust hangs about", "where no brushes spark in it", "free of dust",
		func(m *line.Model) string { return said(m.Machine.Place.Dust == "", "free of dust") }},
	{"machine.place.hot", "How hot the air is", "every plan", "under 40 °C",
		func(m *line.Model) string { return said(m.Machine.Place.Hot == "", "under 40\u202f°C") }},
	{"control.reverse", "Reversing", "every plan", "one way",
		func(m *line.Model) string { return said(m.Control.ReverseTaken, "one way only") }},
	{"machine.limits.hangs", "A load that hangs", "machines of no kind named here", "nothing hangs from it",
		func(m *line.Model) string {
			return said(!m.Machine.Hangs && (m.Machine.Kind == "other" || m.Machine.Kind == ""),
				"nothing hanging from it")
		}},
	{"machine.limits.heldBy", "What holds chuck or wheel", "what runs one way and is not braked", "held as it is",
		func(m *line.Model) string {
			return said(m.Machine.HeldBy == "" && work.FindKind(m.Machine.Kind).Asks == "marked",
				"chuck or wheel held as it is")
		}},
	{"machine.limits.spindle", "How fast it may turn", "what turns slowly for its kind", "fast enough for that",
		func(m *line.Model) string {
			_, field := m.Machine.TopSpeed()
			return said(field == "" && m.Runs && !Unlimited(m), "good for "+q.Show(m.Fastest(), q.Speed, q.Metric))
		}},
	{"machine.limits.marked", "A marked speed", "where the spindle's own limit is entered", "none",
		func(m *line.Model) string {
			return said(m.Machine.Marked == 0 && m.Machine.Spindle > 0 &&
				work.FindKind(m.Machine.Kind).Asks == "marked", "no lower speed marked on what it carries")
		}},
	{"machine.limits.diameter", "How large what turns is", "what carries no band or belt", "nothing over its limit",
		func(m *line.Model) string {
			return said(m.Machine.Diameter == 0 && work.FindKind(m.Machine.Kind).Cast,
				"nothing large of cast iron on it")
		}},
	{"motor.thermalSwitch", "A thermal switch in the winding", "every motor", "none found yet",
		func(m *line.Model) string { return said(m.Motor.Thermal == "unknown", "no thermal switch found yet") }},
	{"motor.plate.protector", "A thermal protector", "three phases and direct current", "none",
		func(m *line.Model) string { return said(m.Motor.Protector == "", "no protector that closes by itself") }},
	{"motor.plate.links", "What a plate of two voltages is linked for", "plates of two voltages", "the lower",
		func(m *line.Model) string {
			return said(m.Motor.OtherVolts > 0 && m.Motor.LinksTaken, "linked for the lower volts")
		}},
	{"motor.plate.capacitor", "A run capacitor's size", "motors with one", "the one it came with", ownCapacitor},
	{"motor.plate.capacitorVolts", "What a run capacitor is marked for", "motors with one", "the one it came with",
		nil},
	{"motor.plate.capacitorSort", "What a run capacitor is", "motors with one", "the one it came with", nil},
	{"control.knob", "What tells the drive how fast", "drives", "a knob of its own",
		func(m *line.Model) string {
			return said(m.HasKnob() && m.Control.KnobTaken, "told by a knob of its own")
		}},
	{"control.topHertz", "Top hertz", "inverters", "set to the plate's",
		func(m *line.Model) string {
			return said(m.Control.SetsHertz() && m.Control.TopHertz == 0, "top hertz set to the plate's")
		}},
	{"control.baseHertz", "Base hertz", "inverters for about the motor's volts", "set for the plate's volts and hertz",
		func(m *line.Model) string {
			return said(m.Control.SetsHertz() && m.Control.BaseHertz == 0,
				"base hertz set for the plate's volts and hertz")
		}},
	{"control.brakeOhms", "A brake resistor", "drives", "none",
		func(m *line.Model) string {
			return said((m.Control.SetsHertz() || m.Control.DCDrive()) && m.Control.BrakeOhms == 0, "no brake resistor")
		}},
	{"control.pauses", "A console that pauses", "drives", "none",
		func(m *line.Model) string {
			return said(!m.Control.Pauses && m.Control.Limits(), "no console that pauses it")
		}},
	{"control.switchAfter", "A switch behind the drive", "drives", "none",
		func(m *line.Model) string {
			return said(!m.Control.SwitchAfter && m.Control.Converts(), "no switch behind the drive")
		}},
	{"reduction.stages[].screwOn", "A pulley held by a thread", "wheels", "none",
		func(m *line.Model) string {
			for _, s := range m.Reduction.Stages {
				if s.ScrewOn || s.Kind.Bare() {
					return ""
				}
			}
			return "no pulley on a thread"
		}},
	{"reduction.stages[].onDriven.shaft", "How thick the shafts are", "shafts", "bearing what reaches them", unsized},
	{"reduction.stages[].onDriven.hub", "How long the hubs are", "keyed wheels", "bearing what reaches them", nil},
	{"supply.phases", "Phases", "every plan", "one",
		func(m *line.Model) string { return said(m.Supply.PhasesTaken, "one phase") }},
	{"control.inputVolts", "What the drive's plate takes in", "drives on the mains", "made for this supply",
		func(m *line.Model) string {
			return said(m.DrivenFromMains() && m.Control.Input.Volts.High == 0, "a drive made for "+
				q.Show(m.Supply.Volts, q.Voltage, q.Metric))
		}},
	{"control.feedback", "What a drive steadies the speed by", "direct-current drives", "armature volts",
		func(m *line.Model) string {
			return said(m.Control.FeedbackTaken && m.Control.DCDrive() && m.Control.Kind != control.BrushlessDrive,
				"steadied by armature volts")
		}},
	{"supply.cable", "Length of the cable", "every plan", "short",
		func(m *line.Model) string { return said(m.Supply.Cable == 0, "a short cable") }},
	{"supply.extension", "An extension lead", "every plan", "none",
		func(m *line.Model) string { return said(!m.Supply.Extension && !m.Supply.Battery, "no extension lead") }},
	{"control.shared", "A second motor on the drive", "drives", "none",
		func(m *line.Model) string {
			return said(!m.Control.Shared && m.Control.Converts(), "no second motor on the drive")
		}},
}
