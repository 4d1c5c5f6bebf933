package line

import (
	"cmp"
	"math"

	"jiriki/core/control"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/source"
	"jiriki/core/supply"
)

// Circuit is what the plan's input amps ask of conductor, fuse and breaker.
func (t *Model) Circuit() supply.Circuit {
	amps, _ := t.CircuitAmps()
	return supply.On(t.Supply.Code, amps, t.Supply.Breaker, t.Motor.Amps.Value, t.Control.Adjusts(), t.Supply.Three)
}

// CircuitAmps are the amps conductor and breaker go by: the input's, or those the NEC's table has for such a motor on
// the line, and whether they are the table's.
func (t *Model) CircuitAmps() (amps float64, tabled bool) {
	if t.Supply.Code == supply.NEC && t.Powered.FixedSpeed() && t.Motor.Kind.Family() == motor.InductionFamily {
		if amps, ok := supply.TableAmps(t.Motor.Power.Value/q.Horsepower, t.Motor.Volts.Value, t.Supply.Three); ok {
			return amps, true
		}
	}
	return t.InputAmps(), false
}

// CircuitSource is where a code's rules for conductor and breaker come from.
func CircuitSource(code supply.Code) *source.Source {
	if code == supply.NEC {
		return source.NECCircuit
	}
	return source.IECCircuit
}

// NeedsSupplyUnit reports whether the control takes a few volts of direct current, so that on the mains it needs a
// supply unit.
func (t *Model) NeedsSupplyUnit() bool {
	switch t.Control.Kind {
	case control.StepperDriver:
		return !t.Supply.Battery
	case control.Chopper, control.BrushlessDrive:
		// A drive whose volts nobody knows may well take the mains, and is judged as if it did.
		volts := t.DriveVolts()
		return !t.Supply.Battery && volts > 0 && volts <= extraLowDirect
	}
	return false
}

// ThreeOut reports whether three loaded conductors run to the motor.
func (t *Model) ThreeOut() bool {
	return t.Motor.Kind == motor.ThreePhase || t.Motor.Kind.Family() == motor.DCFamily &&
		t.Control.Kind == control.BrushlessDrive
}

// Lethal reports whether a touch of the supply can kill.
func (t *Model) Lethal() bool { return t.Supply.Lethal() }

// DrivenFromMains reports whether a drive takes the mains itself, without a supply unit before it.
func (t *Model) DrivenFromMains() bool {
	return t.Control.Limits() && !t.Supply.Battery && t.Supply.Volts > 0 && !t.NeedsSupplyUnit()
}

// MostDriveAmps is the most the drive gives by itself for a minute, whatever its limit is set to; 0 when not known.
func (t *Model) MostDriveAmps() float64 { return control.PeakShare * RatedAmps(&t.Stations) }

// DriveVolts is what the drive gives, or is meant for where that is not worked out yet; 0 when nobody knows.
func (t *Model) DriveVolts() float64 {
	return cmp.Or(t.Feed.Volts, t.Control.Volts, t.Motor.Volts.Value)
}

// HasKnob reports whether a potentiometer tells the drive how fast.
func (t *Model) HasKnob() bool {
	return t.Control.Knob == "pot" && (t.Control.DCDrive() || t.Control.SetsHertz())
}

// HasOverloadRelay reports whether a relay watches the amps: with no drive to do it, in the contactor's release.
func (t *Model) HasOverloadRelay() bool {
	return t.Control.Kind == control.Contactor && t.Control.NoVolt && !t.Supply.Battery
}

// extraLowDirect is the same for smooth direct current [IEC 61140, from memory].
const extraLowDirect = 60

// Power factor and efficiency on the input side [common practice].
const (
	driveEfficiency = 0.95
	drivePF         = 0.7
	inverterPF      = 0.62
)

// FullShare is the most the feed lets the motor give all day, as a share of its plate's power:
// short of volts it cannot reach its speed, and with volts and hertz past the plate's it gives more.
func (t *Model) FullShare() float64 {
	return t.unlimitedShare() * min(1, t.limitShare())
}

// limitShare is what a current limit under the plate's amps leaves of its torque.
func (t *Model) limitShare() float64 {
	limited := t.Feed.Kind == motor.DirectCurrent || t.Feed.Kind == motor.VariableHertz
	if amps := t.Motor.Amps.Value; limited && t.Feed.LimitAmps < amps {
		return t.Feed.LimitAmps / amps
	}
	return math.Inf(1)
}

// unlimitedShare is the most at the plate's torque, as its volts and hertz let it turn.
func (t *Model) unlimitedShare() float64 {
	switch volts := t.Motor.Volts.Value; {
	case !(volts > 0):
	case t.Feed.Kind == motor.VariableHertz:
		return t.Feed.BaseVolts / volts * min(1, t.Feed.TopHertz/t.Feed.BaseHertz)
	case t.Feed.Kind == motor.Pulses && len(t.Motor.Steps.Curve) == 0 && t.Motor.Steps.Henries > 0:
		return t.Feed.Volts / volts // its corner moves with them
	case t.Feed.Kind == motor.DirectCurrent:
		return min(max(1, t.Feed.TopTrim), t.Feed.Volts/volts) // past its plate where it is trimmed so
	case t.Powered.FixedSpeed() && t.offPlate():
		share := t.lineWatts() / t.Motor.Power.Value
		if t.lineFlux() < 1 {
			return share
		}
		return max(1, share)
	}
	return 1
}

// lineFlux is the share of its plate's flux the line makes in a motor, by volts over hertz; 1 where no hertz make any.
func (t *Model) lineFlux() float64 {
	if t.Motor.Kind.Family() != motor.InductionFamily || !(t.Feed.Hertz > 0) || !t.Motor.Hertz.OK() {
		return 1
	}
	return t.Feed.Volts / t.Feed.Hertz / (t.Motor.Volts.Value / t.Motor.Hertz.Value)
}

// offPlate tells whether the line has other volts or hertz than the motor's plate.
func (t *Model) offPlate() bool {
	return t.Feed.Volts != t.Motor.Volts.Value || t.Feed.Hertz != t.Motor.Hertz.Value
}

// lineWatts is the most the rotor of a motor on the line gives for ever, turning as fast as it then does.
func (t *Model) lineWatts() (most float64) {
	low, high := t.Powered.Span()
	const tried = 4 // parts of its thin band
	for k := range tried + 1 {
		at := low + (high-low)*float64(k)/tried
		steady := t.Powered.Steady(at, 1).Torque
		omega, _ := t.Powered.RunsAt(func(float64) float64 { return steady })
		most = max(most, steady*omega)
	}
	return most / t.Motor.Gear.Efficiency
}

// InputAmps is the supply current at the most the motor gives all day: that, and what it loses at
// its rated amps, which a lower speed does not spare and a lower current limit does.
func (t *Model) InputAmps() float64 {
	if t.Feed.Kind == motor.CutSine {
		return t.Motor.Amps.Value // in series with the line, at full load all of it
	}
	factor, root := drivePF, 1.0
	switch {
	case t.Supply.Battery:
		factor = 1
	case t.Control.SetsHertz():
		factor = inverterPF
		if t.Supply.Three && t.Control.Kind == control.Inverter {
			root = math.Sqrt(3)
		}
	case !t.Control.Converts():
		factor = t.Motor.PowerFactor.Value
		if t.Motor.Kind == motor.ThreePhase {
			root = math.Sqrt(3)
		}
	}
	return t.InputWatts() / (t.Supply.Sagged(t.Motor.Amps.Value) * factor * root)
}

// InputWatts is the power drawn from the supply then.
func (t *Model) InputWatts() float64 {
	lost := (1/t.Motor.Efficiency.Value - 1) * min(1, t.limitShare())
	if t.Powered.FixedSpeed() {
		lost *= min(1, t.FullShare())
	}
	return t.Motor.Power.Value * (t.FullShare() + lost) / t.DriveEfficiency()
}

// DriveEfficiency is the control's own efficiency.
func (t *Model) DriveEfficiency() float64 {
	if t.Control.Converts() {
		return driveEfficiency
	}
	return 1
}
