package fault

import (
	"slices"

	"jiriki/core/control"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// view is the line a fault is looked for on.
type view struct {
	*line.Model
	sys      q.System
	possible []*Cause // that this line can have
}

func newView(in plan.Input) (*view, error) {
	s, err := plan.Resolve(in)
	if err != nil {
		return nil, err
	}
	v := &view{Model: line.New(s), sys: in.Units}
	for i := range causes {
		if causes[i].has(v) {
			v.possible = append(v.possible, &causes[i])
		}
	}
	return v, nil
}

// Predicates of a line: a cause or a test is there only where its part is. A kind nobody chose is every kind: a fault
// must not be out of sight because a plan is half filled in.
type predicate func(v *view) bool

func always(*view) bool { return true }

func not(p predicate) predicate { return func(v *view) bool { return !p(v) } }

func all(list ...predicate) predicate {
	return func(v *view) bool {
		for _, p := range list {
			if !p(v) {
				return false
			}
		}
		return true
	}
}

func some(list ...predicate) predicate {
	return func(v *view) bool {
		for _, p := range list {
			if p(v) {
				return true
			}
		}
		return false
	}
}

func onBattery(v *view) bool { return v.Supply.Battery }
func onMains(v *view) bool   { return !v.Supply.Battery }
func threePhases(v *view) bool {
	return v.Supply.Three && onMains(v)
}
func oneLine(v *view) bool { return onMains(v) && !v.Supply.Three }
func guarded(v *view) bool { return onMains(v) && v.Supply.Residual != "none" }

func kinds(list ...control.Kind) predicate {
	return func(v *view) bool {
		return slices.ContainsFunc(list, func(k control.Kind) bool {
			return k == v.Control.Kind || v.Control.Kind == "" && suits(v.Motor.Kind, k)
		})
	}
}

// suits reports whether a kind of motor may be driven by a kind of control; any may by one that is not said yet.
func suits(m motor.Kind, c control.Kind) bool {
	takes, _ := m.Takes(string(c))
	return m == "" || c == "" || takes
}

var (
	hasDrive = kinds(control.PhaseAngle, control.Chopper, control.Inverter, control.SinglePhaseInverter,
		control.BrushlessDrive, control.StepperDriver)
	dcDrive     = kinds(control.PhaseAngle, control.Chopper)
	phaseAngle  = kinds(control.PhaseAngle)
	chopper     = kinds(control.Chopper)
	inverter    = kinds(control.Inverter, control.SinglePhaseInverter)
	contactor   = kinds(control.Contactor)
	brushless   = kinds(control.BrushlessDrive)
	someDrive   = some(dcDrive, inverter)
	stepping    = kinds(control.StepperDriver)
	transformer = kinds(control.VariableTransformer)
	resistor    = kinds(control.SeriesResistor)
	capacitors  = kinds(control.CapacitorSet)
)

func hasKnob(v *view) bool { return v.Control.Kind == "" || v.HasKnob() }

// What the plan knows of its release, its drive and what sets it.
func released(v *view) bool      { return v.Control.NoVolt }
func switched(v *view) bool      { return contactor(v) || released(v) }
func overloadRelay(v *view) bool { return v.Control.Kind == "" || v.HasOverloadRelay() }
func supplyUnit(v *view) bool    { return onMains(v) && (v.Control.Kind == "" || v.NeedsSupplyUnit()) }
func zeroStarts(v *view) bool {
	return hasDrive(v) && hasKnob(v) && (v.Control.Kind == "" || v.Control.ZeroStart)
}
func brakeResistor(v *view) bool {
	return inverter(v) && (v.Control.Kind == "" || v.Control.BrakeOhms > 0)
}
func tachoDrive(v *view) bool { return v.Control.Tacho && dcDrive(v) }
func hall(v *view) bool       { return v.Control.Tacho && brushless(v) }
func bridged(v *view) bool    { return brushed(v) && some(transformer, resistor)(v) }

func motors(of func(k motor.Kind) bool) predicate {
	return func(v *view) bool {
		if v.Motor.Kind != "" {
			return of(v.Motor.Kind)
		}
		return slices.ContainsFunc(motor.Profiles(), func(p motor.Profile) bool {
			return of(p.Kind) && suits(p.Kind, v.Control.Kind)
		})
	}
}

var (
	brushed       = motors(motor.Kind.Brushed)
	magnets       = motors(motor.Kind.Magnets)
	induction     = motors(func(k motor.Kind) bool { return k.Family() == motor.InductionFamily })
	startSwitch   = motors(motor.Kind.HasStartSwitch)
	starting      = motors(func(k motor.Kind) bool { return k == motor.CapacitorStart || k == motor.CapacitorRun })
	running       = motors(motor.Kind.HasRunCapacitor)
	threePhase    = motors(func(k motor.Kind) bool { return k == motor.ThreePhase })
	twoSpeed      = motors(func(k motor.Kind) bool { return k == motor.TwoSpeed })
	shadedPole    = motors(func(k motor.Kind) bool { return k == motor.ShadedPole })
	wound         = motors(func(k motor.Kind) bool { return k == motor.WoundDC })
	woundOrSeries = some(wound, series)
	series        = motors(func(k motor.Kind) bool { return k.Family() == motor.SeriesFamily })
	startWound    = all(onePhase, not(shadedPole))
	onePhase      = all(induction, not(func(v *view) bool { return v.Motor.Kind == motor.ThreePhase }))
)

func stages(of func(k reduction.Kind) bool) predicate {
	return func(v *view) bool {
		if len(v.Reduction.Stages) == 0 {
			return true
		}
		for _, s := range v.Reduction.Stages {
			if of(s.Kind) {
				return true
			}
		}
		return false
	}
}

var (
	belted   = stages(func(k reduction.Kind) bool { return k.Profile().Belted })
	gripping = stages(func(k reduction.Kind) bool { return k.Profile().Belted && k != reduction.Toothed })
	chained  = stages(func(k reduction.Kind) bool { return k == reduction.Chain })
	geared   = stages(func(k reduction.Kind) bool { return k == reduction.Spur || k == reduction.Worm })
	direct   = stages(func(k reduction.Kind) bool { return k == reduction.Direct })

	flatBelted = stages(func(k reduction.Kind) bool { return k == reduction.Flat })
	driven     = stages(func(k reduction.Kind) bool { return k != reduction.Direct })
)

// tracked reports whether a band runs over wheels that are tilted to keep it there.
func tracked(v *view) bool {
	return v.Machine.Kind == "" || v.Machine.Kind == "belt-sander" || v.Machine.Kind == "bandsaw"
}

// stepped reports whether its belt or gear has more than one position.
func stepped(v *view) bool {
	return driven(v) && (len(v.Reduction.Stages) == 0 || len(v.Reduction.Positions) > 1)
}

// manySpeeds reports whether a switch chooses among speeds.
func manySpeeds(v *view) bool { return capacitors(v) || twoSpeed(v) }

// manyWays reports whether it can be run at more speeds than one.
func manyWays(v *view) bool {
	return v.Control.Kind == "" || v.Control.Adjusts() || stepped(v) || twoSpeed(v)
}

// turnedBy reports whether a motor the plan knows is one of some kinds: how its leads are exchanged is never a guess.
func turnedBy(list ...motor.Kind) predicate {
	return func(v *view) bool { return slices.Contains(list, v.Motor.Kind) }
}

// How a motor is turned round, by its kind.
var (
	turnsThree = some(turnedBy(motor.ThreePhase), all(turnedBy(motor.Brushless, motor.Servo), not(hall)))
	turnsArm   = turnedBy(motor.PermanentMagnetDC)
	turnsField = turnedBy(motor.WoundDC, motor.Universal)
	turnsStart = turnedBy(motor.SplitPhase, motor.CapacitorStart, motor.CapacitorRun, motor.PermanentSplit,
		motor.TwoSpeed)
	turnsCoil = turnedBy(motor.Stepper)
)

// leadsTurnIt reports whether exchanging leads turns the motor round at all: not where rings or Hall sensors decide.
func leadsTurnIt(v *view) bool {
	return v.Motor.Kind != motor.ShadedPole && (v.Motor.Kind == "" || !hall(v))
}

func clutched(v *view) bool { return v.Motor.Clutch.Fitted }
func gearbox(v *view) bool {
	return v.Motor.Kind == "" || (v.Motor.Gear.Sort != "" && v.Motor.Gear.Sort != "none")
}
func selfReset(v *view) bool { return v.Motor.Protector == "self-reset" }
func thermal(v *view) bool {
	return v.Motor.Thermal != "none" && v.Motor.Thermal != "left-out"
}
func reversible(v *view) bool { return v.Control.Reverse != "none" && v.Control.Reverse != "" }

// How much likelier a cause is for what the plan knows of it [common practice].
func leadLength(v *view) float64 {
	switch {
	case v.Supply.Extension || v.Supply.Cable > 25:
		return 3
	case v.Supply.Cable > 0 && v.Supply.Cable < 8:
		return 0.3
	}
	return 1
}

func breakerSize(v *view) float64 {
	amps := v.Motor.Amps.Value
	switch {
	case !(amps > 0) || v.Supply.Breaker == 0:
		return 1
	case v.Supply.Breaker < 2*amps:
		return 2
	case v.Supply.Breaker > 6*amps:
		return 0.5
	}
	return 1
}

func switchAfter(v *view) float64 {
	if v.Control.SwitchAfter {
		return 3
	}
	return 0.5
}

// flywheelOn is for causes that a flywheel brings.
func flywheelOn(times float64) func(v *view) float64 {
	return func(v *view) float64 {
		if v.Machine.Flywheel > 0 {
			return times
		}
		return 1
	}
}

func (v *view) show(value float64, d q.Dimension) string { return q.Show(value, d, v.sys) }

// known writes a figure of the plan, or what stands for it where the plan has none.
func (v *view) known(value float64, d q.Dimension, otherwise string) string {
	if !(value > 0) {
		return otherwise
	}
	return v.show(value, d)
}

func (v *view) supplyVolts() string { return v.known(v.Supply.Volts, q.Voltage, "the supply's volts") }
func (v *view) plateVolts() string {
	return v.known(v.Motor.Volts.Value, q.Voltage, "the plate's volts")
}
func (v *view) plateAmps() string { return v.known(v.Motor.Amps.Value, q.Current, "the plate's amps") }
func (v *view) windingOhms() string {
	if v.Motor.DC.Resistance.OK() {
		return "about " + v.show(v.Motor.DC.Resistance.Value, q.Resistance)
	}
	return "a few ohms, and the same between like leads"
}
func (v *view) topSpeed() string {
	if v.Runs {
		return "about " + v.show(v.Powered.Top(), q.Speed)
	}
	return "its plate's speed or a little over"
}
func (v *view) capacitor() string {
	return v.known(v.Motor.Capacitor, q.Capacitance, "what is marked on it, within a tenth")
}

// backVolts is what a magnet motor gives when it is spun: its volts for each turn.
func (v *view) backVolts() string {
	if k := v.Motor.DC.Ke.Value; k > 0 {
		const at = 500 * q.RPM
		return "about " + v.show(k*at, q.Voltage) + " at " + v.show(at, q.Speed) + ", and more the faster"
	}
	return "as many volts a turn as it had, or as its plate's volts and speed give"
}

// leadMeant is what the lead should be on this plan.
func (v *view) leadMeant() string {
	if v.Supply.Cable > 0 {
		return v.show(v.Supply.Cable, q.Length) + " as the plan has it, thick, uncoiled, cool"
	}
	return "short, thick, uncoiled, cool"
}
