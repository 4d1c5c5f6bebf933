package fault

import (
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
	sys q.System
}

func newView(in plan.Input) (*view, error) {
	s, err := plan.Resolve(in)
	if err != nil {
		return nil, err
	}
	return &view{line.New(s), in.Units}, nil
}

// Predicates of a line: a cause or a test is there only where its part is. A kind nobody chose is every kind: a fault
// must
// not be out of sight because a plan is half filled in.
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

func kinds(list ...control.Kind) predicate {
	return func(v *view) bool {
		if v.Control.Kind == "" {
			return true
		}
		for _, k := range list {
			if v.Control.Kind == k {
				return true
			}
		}
		return false
	}
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
	stepping    = kinds(control.StepperDriver)
	transformer = kinds(control.VariableTransformer)
	resistor    = kinds(control.SeriesResistor)
	capacitors  = kinds(control.CapacitorSet)
)

func hasKnob(v *view) bool { return v.Control.Kind == "" || v.HasKnob() }

func motors(of func(k motor.Kind) bool) predicate {
	return func(v *view) bool { return v.Motor.Kind == "" || of(v.Motor.Kind) }
}

var (
	brushed     = motors(motor.Kind.Brushed)
	magnets     = motors(motor.Kind.Magnets)
	induction   = motors(func(k motor.Kind) bool { return k.Family() == motor.InductionFamily })
	startSwitch = motors(motor.Kind.HasStartSwitch)
	starting    = motors(func(k motor.Kind) bool { return k == motor.CapacitorStart || k == motor.CapacitorRun })
	running     = motors(motor.Kind.HasRunCapacitor)
	threePhase  = motors(func(k motor.Kind) bool { return k == motor.ThreePhase })
	wound       = motors(func(k motor.Kind) bool { return k == motor.WoundDC })
	series      = motors(func(k motor.Kind) bool { return k.Family() == motor.SeriesFamily })
	onePhase    = all(induction, not(func(v *view) bool { return v.Motor.Kind == motor.ThreePhase }))
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
	driven   = stages(func(k reduction.Kind) bool { return k != reduction.Direct })
)

func clutched(v *view) bool   { return v.Motor.Clutch.Fitted }
func selfReset(v *view) bool  { return v.Motor.Protector == "self-reset" }
func thermal(v *view) bool    { return v.Motor.Thermal != "none" }
func tachoFed(v *view) bool   { return v.Control.Tacho }
func reversible(v *view) bool { return v.Control.Reverse != "none" && v.Control.Reverse != "" }

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
