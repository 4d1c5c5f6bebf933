package judge

import (
	"fmt"

	"jiriki/core/line"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/work"
)

// Up to so many turns a minute a spindle is asked for no limit of its own [common practice]: what cuts, or carries a
// chuck, wheel or disc, and what does not.
const (
	slowCutter = 500 * q.RPM
	slowOther  = 1000 * q.RPM
)

// Saturates is how many times its plate's volts per hertz burn a motor, as as many times its volts do on the line
// [common practice].
const Saturates = 1.25

// Flux is how many times its plate's volts per hertz an inverter puts on a motor when it reaches its full volts at
// base hertz.
func Flux(m *line.Model, base float64) float64 {
	return m.Feed.Volts / base / (m.Motor.Volts.Value / m.Motor.Hertz.Value)
}

// BaseAsked reports whether an inverter left as it comes, its full volts at the plate's hertz, would burn the motor,
// and nobody said what it is set to.
func BaseAsked(m *line.Model) bool {
	return m.Runs && m.Feed.Kind == motor.VariableHertz && m.Control.BaseHertz == 0 &&
		Flux(m, m.Motor.Hertz.Value) > Saturates
}

// BaseSays is how such an inverter is set to its motor's plate.
func BaseSays(m *line.Model, sys q.System) string {
	volts, hertz := m.Motor.Volts.Value, m.Motor.Hertz.Value
	out := fmt.Sprintf(" Where the volts it puts out can be set, set them to %s, and put that in as its volts",
		q.Show(volts, q.Voltage, sys))
	if most := max(volts, m.Motor.OtherVolts); m.Feed.Volts <= 1.1*most {
		out += fmt.Sprintf("; or set base hertz to %s", q.Show(m.Feed.Volts/volts*hertz, q.Frequency, sys))
	}
	return out + "."
}

// Unlimited reports whether the spindle can turn at a speed that nothing says it bears: no limit is entered, and it
// turns fast for its kind, and faster than its old motor ever turned it.
func Unlimited(m *line.Model) bool {
	if _, field := m.Machine.TopSpeed(); field != "" || !m.Runs || len(m.Reduction.Positions) == 0 {
		return false
	}
	top := m.Fastest()
	return top > slowest(m) && top > m.Machine.Proven()*(1+line.SpeedTolerance) && !ownFan(m, top)
}

// FasterThanEver reports whether a cutter, or what carries a chuck, would turn faster than its old motor and pulleys
// are known to have turned it, with no limit entered that allows it.
func FasterThanEver(m *line.Model) bool {
	kind := work.FindKind(m.Machine.Kind)
	return m.Machine.Proven() > 0 && (kind.Cutter || kind.Asks == "marked") && Unlimited(m)
}

// slowest is the speed up to which the machine needs no limit.
func slowest(m *line.Model) float64 {
	if kind := work.FindKind(m.Machine.Kind); kind.Cutter || kind.Asks == "marked" {
		return slowCutter
	}
	return slowOther
}

// ownFan reports whether a fan is on the shaft it came on, no faster than its motor's own field turns.
func ownFan(m *line.Model, top float64) bool {
	if m.Machine.Kind != "fan" || m.Motor.Kind.Family() != motor.InductionFamily {
		return false
	}
	for _, s := range m.Reduction.Stages {
		if s.Kind != reduction.Direct {
			return false
		}
	}
	return top <= m.Motor.Synchronous()*(1+line.SpeedTolerance)
}

// byRim reports whether the machine's wheel is judged by the speed of its rim, where its diameter is known.
func byRim(m *line.Model) bool { return work.FindKind(m.Machine.Kind).Asks == "diameter" }

func limitBlank(m *line.Model) []gap {
	if !Unlimited(m) || FasterThanEver(m) || m.Machine.Kind == "grinder" {
		return nil // each a stop of its own
	}
	if byRim(m) && (m.Machine.Diameter == 0 || reduction.BeltSpeed(m.Machine.Diameter, m.Fastest()) <=
		reduction.BurstingBelt) {
		return nil
	}
	field := "machine.limits.spindle"
	if work.FindKind(m.Machine.Kind).Asks == "marked" {
		field = "machine.limits.marked"
	}
	return where(true, field)
}

func diameterBlank(m *line.Model) []gap {
	return where(byRim(m) && m.Machine.Diameter == 0 && Unlimited(m) && !FasterThanEver(m), "machine.limits.diameter")
}

// topSays is how fast it would turn.
func topSays(m *line.Model, sys q.System) string {
	return fmt.Sprintf(" As planned it reaches %s with no load.", q.Show(m.Fastest(), q.Speed, sys))
}
