// Package control describes and resolves what stands between the supply and the motor: a
// drive or a plain switch, what it can give, and which motors it suits.
package control

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strconv"

	q "jiriki/core/quantity"
)

// Kind is a sort of control.
type Kind string

// The controls that can be worked out.
const (
	PhaseAngle Kind = "phase-angle" // thyristor bridge, adjustable DC
	Chopper    Kind = "pwm"         // capacitor and chopper, adjustable DC
	Inverter   Kind = "inverter"    // one phase in, three phases of adjustable hertz out
	Contactor  Kind = "contactor"   // plain switch: the line or nothing

	BrushlessDrive Kind = "bldc"       // for brushless motors and servos
	StepperDriver  Kind = "stepper"    // and a source of pulses
	CapacitorSet   Kind = "capacitors" // run capacitors to choose from, for a fan

	SinglePhaseInverter Kind = "inverter-1" // one phase of adjustable hertz out
	VariableTransformer Kind = "variac"     // with a bridge for direct current
	SeriesResistor      Kind = "resistor"   // in series, with a bridge for direct current
)

// Described is a control as a person entered it.
type Described struct {
	Name        string `json:"name" maxLength:"120"`
	Origin      string `json:"origin" maxLength:"200"`
	Kind        Kind   `json:"kind" enum:"phase-angle,pwm,inverter,bldc,stepper,capacitors,inverter-1,variac,resistor,contactor,"`
	InputVolts  q.Text `json:"inputVolts" unit:"V" doc:"Volts its plate takes in, such as 200-240 V"`
	InputHertz  q.Text `json:"inputHertz" unit:"Hz" doc:"Hertz its plate takes in, such as 50/60 Hz"`
	Volts       q.Text `json:"volts" unit:"V" doc:"Most volts it is rated to put out"`
	Amps        q.Text `json:"amps" unit:"A" doc:"Output amps it can give for ever"`
	LimitAmps   q.Text `json:"limitAmps" unit:"A" doc:"Current limit as set"`
	Feedback    string `json:"feedback" enum:"none,armature,tacho," doc:"What the drive steadies the speed by; for a brushless drive none means sensorless, tacho means Hall sensors or encoder"`
	Choke       bool   `json:"choke" doc:"A choke smooths the armature current"`
	TopTrim     q.Text `json:"topTrim" unit:"%|%|" doc:"Top speed as a part of plate speed, such as 65 %"`
	BaseHertz   q.Text `json:"baseHertz" unit:"Hz" doc:"Inverter: hertz at which full volts are reached"`
	TopHertz    q.Text `json:"topHertz" unit:"Hz" doc:"Inverter: highest hertz allowed"`
	LowHertz    q.Text `json:"lowHertz" unit:"Hz" doc:"Inverter: lowest hertz allowed"`
	Fed         string `json:"fed" enum:"1,3," doc:"Three-phase inverter: made for one phase in, or for three"`
	Ohms        q.Text `json:"ohms" unit:"Ω" doc:"Series resistor as set"`
	Watts       q.Text `json:"watts" unit:"W" doc:"Series resistor: what it is rated to shed"`
	Henries     q.Text `json:"henries" unit:"mH" doc:"Inductance of the choke"`
	Mode        string `json:"mode" enum:"vf,vector," doc:"Inverter: volts per hertz or sensorless vector"`
	Accel       q.Text `json:"accel" unit:"s" doc:"Time from rest to full speed"`
	Knob        string `json:"knob" enum:"pot,0-5,0-10,4-20,pwm,panel," doc:"What tells the drive how fast: a potentiometer when empty; volts, milliamps or pulses from elsewhere; its own panel"`
	Command     string `json:"command" enum:"latching,momentary," doc:"Start and stop by one switch that stays, or by two buttons that spring back"`
	Lamp        bool   `json:"lamp" doc:"A lamp shows that it is on"`
	Fan         bool   `json:"fan" doc:"A fan with its own supply cools box or motor"`
	BrakeOhms   q.Text `json:"brakeOhms" unit:"Ω" doc:"Brake resistor, where one is fitted"`
	Fused       bool   `json:"fused" doc:"Fuse on the line and, for DC, on the armature"`
	Enclosed    bool   `json:"enclosed" doc:"In an earthed, closed box with strain relief"`
	ZeroStart   bool   `json:"zeroStart" doc:"Will not start unless the knob is at zero"`
	NoVolt      bool   `json:"noVolt" doc:"No-volt release: stays off when power comes back"`
	DCRated     bool   `json:"dcRated" doc:"Contacts and switches in direct current are rated for its volts"`
	Pauses      bool   `json:"pauses" doc:"A console or key pauses it, and starts it again at the speed it had"`
	Isolated    bool   `json:"isolated" doc:"What comes to it from elsewhere is kept apart from the mains: an isolator for signals, an isolating transformer for power"`
	SwitchAfter bool   `json:"switchAfter" doc:"A switch or contactor stands between it and the motor"`
	Shared      bool   `json:"shared" doc:"A second motor runs from it"`
	Marks       []Mark `json:"marks" maxItems:"40" nullable:"false" doc:"Speeds measured at marks of the knob"`
	Reverse     string `json:"reverse" enum:"none,switch,drive," doc:"How it is reversed, if it is"`
}

// Mark is a speed of the spindle that was measured with the knob at a mark.
type Mark struct {
	Knob     q.Text `json:"knob" unit:"%|%" doc:"Part of the knob's travel"`
	Speed    q.Text `json:"speed" unit:"rpm"`
	Position string `json:"position" maxLength:"60" doc:"Belt position it was measured in, by its label"`
}

// ResolvedMark is a [Mark] in SI: Knob from 0 to 1, Speed in rad/s.
type ResolvedMark struct {
	Knob, Speed float64
	Position    string
}

// maxMarks bounds what is kept of a knob.
const maxMarks = 40

// Whole returns the control with an empty list in place of an absent one.
func (d Described) Whole() Described {
	if d.Marks == nil {
		d.Marks = []Mark{}
	}
	return d
}

func readMarks(list []Mark, r *q.Reader) (out []ResolvedMark) {
	if len(list) > maxMarks {
		r.Refuse("marks", strconv.Itoa(len(list)), fmt.Sprintf("at most %d marks can be kept", maxMarks))
		return nil
	}
	for i, d := range list {
		at := r.At("marks", i)
		knob := at.Read("knob", d.Knob, q.Number, q.Range{Min: 0, Max: 1})
		speed := at.Read("speed", d.Speed, q.Speed, q.Range{Min: 0, Max: 1e5 * q.RPM})
		if knob.Known && speed.Known {
			out = append(out, ResolvedMark{knob.SI, speed.SI, d.Position})
		}
	}
	slices.SortStableFunc(out, func(a, b ResolvedMark) int { return cmp.Compare(a.Knob, b.Knob) })
	return out
}

// Resolved is a control with defaults filled in. SI; zero where not known.
type Resolved struct {
	Kind          Kind
	Volts         float64
	Amps          float64
	LimitAmps     float64
	FormFactor    float64
	Slowest       float64 // slowest steady speed as a share of full
	SeriesSlowest float64 // the same on a series motor, which needs a tachometer more
	TopTrim       float64 // share of plate speed; 1 unless trimmed
	Trimmed       bool    // the trim was chosen, not assumed
	BaseHertz     float64
	TopHertz      float64
	LowHertz      float64 // 0 when not set
	ThreeIn       bool    // an inverter made for three phases in
	Ohms, Watts   float64 // of a series resistor
	Henries       float64 // of the choke; 0 when not known
	Vector        bool
	Choke         bool
	Accel         float64
	Blind         bool // nothing is fed back: neither speed nor armature volts
	Tacho         bool // a tachometer, or a brushless motor's sensors
	Knob          string
	Momentary     bool
	Lamp, Fan     bool
	BrakeOhms     float64
	Fused         bool
	Enclosed      bool
	ZeroStart     bool
	NoVolt        bool
	Isolated      bool
	DCRated       bool // contacts in direct current are rated for it
	Pauses        bool // and starts again at the speed it had
	SwitchAfter   bool
	Shared        bool
	Input         Input
	FeedbackTaken bool // nobody said what steadies the speed, and so on
	ReverseTaken  bool
	KnobTaken     bool
	Reverse       string
	Marks         []ResolvedMark // of the knob, rising
}

// PeakShare is what a drive gives for a minute against its rating [common practice].
const PeakShare = 1.5

// ChokedForm is the form factor a phase-angle drive is counted on for with a choke in the armature
// lead [common practice: 1.1–1.2].
const ChokedForm = 1.15

// DCDrive reports whether the control sets speed by volts: brushed or brushless.
func (c *Resolved) DCDrive() bool { return c.Kind.Profile().SetsVolts }

// Direct reports whether the control feeds a brushed motor direct current by any means, so that the
// motor's leads are live with rectified mains.
func (c *Resolved) Direct() bool { return c.Kind.Profile().Direct }

// FromElsewhere reports whether its speed is told by a signal that comes from other equipment.
func (c *Resolved) FromElsewhere() bool { return c.Knob != "pot" && c.Knob != "panel" }

// SetsHertz reports whether the control is an inverter.
func (c *Resolved) SetsHertz() bool { return c.Kind.Profile().SetsHertz }

// Adjusts reports whether the control sets speed at all.
func (c *Resolved) Adjusts() bool { return c.Kind.Profile().Adjusts }

// Converts reports whether something between supply and motor loses a part of what passes.
func (c *Resolved) Converts() bool { return c.Kind.Profile().Converts }

// Limits reports whether the control has amps of its own to rate and limit.
func (c *Resolved) Limits() bool { return c.Kind.Profile().Limits }

// Resolve reads a described control, refusing on r what cannot be used.
func Resolve(d Described, r *q.Reader) Resolved {
	c := Resolved{
		Kind:    Kind(r.Choice("kind", string(d.Kind), "", kinds.Names()...)),
		Vector:  r.Choice("mode", d.Mode, "vf", "vf", "vector") == "vector",
		Reverse: r.Choice("reverse", d.Reverse, "none", "none", "switch", "drive"),
		Knob:    r.Choice("knob", d.Knob, "pot", "pot", "0-5", "0-10", "4-20", "pwm", "panel"),
		Momentary: r.Choice("command", d.Command, "latching", "latching",
			"momentary") == "momentary",
		Lamp: d.Lamp, Fan: d.Fan,
		Choke: d.Choke, Fused: d.Fused, Enclosed: d.Enclosed, ZeroStart: d.ZeroStart, NoVolt: d.NoVolt,
		Isolated: d.Isolated, DCRated: d.DCRated, Pauses: d.Pauses, SwitchAfter: d.SwitchAfter, Shared: d.Shared,
		FeedbackTaken: d.Feedback == "", ReverseTaken: d.Reverse == "", KnobTaken: d.Knob == "",
		Marks: readMarks(d.Marks, r),
	}
	// Only what such a control has is read: the rest is kept but not shown.
	if c.Limits() || c.Kind == VariableTransformer {
		c.Volts = r.Read("volts", d.Volts.Ranges("$2"), q.Voltage, q.Range{Min: 3, Max: 1000}).Or(0)
		c.Amps = r.Read("amps", d.Amps, q.Current, q.Range{Min: 0.1, Max: 500}).Or(0)
	}
	if c.Limits() {
		c.LimitAmps = r.Read("limitAmps", d.LimitAmps, q.Current, q.Range{Min: 0.05, Max: 1000}).Or(0)
		c.Input = readInput(d, r)
	}
	if c.SetsHertz() || c.DCDrive() {
		c.BrakeOhms = r.Read("brakeOhms", d.BrakeOhms, q.Resistance, q.Range{Min: 0.1, Max: 10e3}).Or(0)
		c.Accel = r.Read("accel", d.Accel, q.Duration, q.Range{Min: 0, Max: 600}).Or(0)
	}
	if c.Kind == SeriesResistor {
		c.Ohms = r.Read("ohms", d.Ohms, q.Resistance, q.Range{Min: 0.01, Max: 10e3}).Or(0)
		c.Watts = r.Read("watts", d.Watts, q.Power, q.Range{Min: 0.1, Max: 20e3}).Or(0)
	}
	if c.Kind == PhaseAngle && c.Choke {
		c.Henries = r.Read("henries", d.Henries, q.Inductance, q.Range{Min: 1e-5, Max: 10}).Or(0)
	}
	c.ThreeIn = c.Kind == Inverter && r.Choice("fed", d.Fed, "1", "1", "3") == "3"
	if c.SetsHertz() {
		c.LowHertz = r.Read("lowHertz", d.LowHertz, q.Frequency, q.Range{Min: 0.1, Max: 400}).Or(0)
		c.BaseHertz = r.Read("baseHertz", d.BaseHertz, q.Frequency, q.Range{Min: 10, Max: 400}).Or(0)
		c.TopHertz = r.Read("topHertz", d.TopHertz, q.Frequency, q.Range{Min: 5, Max: 600}).Or(0)
		if c.TopHertz > 0 && c.LowHertz > c.TopHertz {
			r.Refuse("lowHertz", string(d.LowHertz), "lowest is above the top; set it lower, or the top higher")
			c.LowHertz = 0
		}
	}
	trim := q.Value{}
	if c.DCDrive() {
		trim = r.Read("topTrim", d.TopTrim, q.Number, q.Range{Min: 0.05, Max: 2})
	}
	c.TopTrim, c.Trimmed = trim.Or(1), trim.Known
	feedback := r.Choice("feedback", d.Feedback, "armature", "none", "armature", "tacho")
	c.Tacho, c.Blind = feedback == "tacho", feedback == "none"
	c.FormFactor, c.Slowest = 1, 1
	switch c.Kind {
	case PhaseAngle:
		c.FormFactor = roughForm
		if c.Choke {
			c.FormFactor = ChokedForm
		}
		c.Slowest = slowestDC(feedback)
	case Chopper:
		c.FormFactor = 1.05
		c.Slowest = slowestDC(feedback)
	case Inverter:
		c.Slowest = 0.1
		if c.Vector {
			c.Slowest = 1.0 / 40
		}
	case SinglePhaseInverter:
		c.Slowest = 0.5 // a start switch asks for more, which the line knows
	case VariableTransformer:
		c.FormFactor, c.Slowest = roughForm, slowestDC("none")
	case SeriesResistor:
		c.FormFactor, c.Slowest = roughForm, slowestDC("none")
	case BrushlessDrive:
		c.Slowest = 1.0 / 50
		if feedback != "tacho" {
			c.Slowest = 1.0 / 10
		}
	}
	c.SeriesSlowest = 1.0 / 5
	if feedback == "tacho" {
		c.SeriesSlowest = 1.0 / 20
	}
	return c
}

// How far a speed falls under load where the control watches it [common practice].
const (
	fallByTacho  = 0.01
	fallByVolts  = 0.02
	fallByVector = 0.01
)

// Falls is the share a speed falls by under load while the control watches the speed, or what stands for it; 0 where it
// watches nothing.
func (c *Resolved) Falls() float64 {
	switch {
	case c.Tacho && (c.DCDrive() || c.SetsHertz()):
		return fallByTacho
	case c.SetsHertz() && c.Vector:
		return fallByVector
	case c.DCDrive() && c.Kind != BrushlessDrive && !c.Blind:
		return fallByVolts
	}
	return 0
}

// roughForm is the form factor of rectified current into an armature without a choke, where nothing more is known
// [common practice].
const roughForm = 1.4

// slowestDC is the slowest steady speed of a DC drive as a share of full [common practice].
func slowestDC(feedback string) float64 {
	switch feedback {
	case "tacho":
		return 1.0 / 100
	case "none":
		return 1.0 / 15
	}
	return 1.0 / 30
}

// OutputVolts is the most a control can give from a supply of supplyVolts (rms, or a battery's
// direct volts): the rectified average for phase-angle, the crest after a capacitor for a
// chopper on the line, the supply itself otherwise; never more than its own rating.
func (c Resolved) OutputVolts(supplyVolts float64, battery bool) float64 {
	volts := supplyVolts
	if c.Kind == StepperDriver {
		// A driver has a supply of its own, whose volts are what it is rated for.
		return c.Volts
	}
	switch {
	case !battery && (c.Kind == PhaseAngle || c.Kind == VariableTransformer || c.Kind == SeriesResistor):
		volts = PhaseAngleAverage(supplyVolts)
	case (c.Kind == Chopper || c.Kind == BrushlessDrive) && !battery:
		volts = supplyVolts * math.Sqrt2
	}
	if c.Volts > 0 {
		volts = min(volts, c.Volts)
	}
	return volts
}

// CutSineVolts is the most a phase-angle regulator passes to a motor on alternating current: the
// line itself, never more than its own rating.
func (c Resolved) CutSineVolts(supplyVolts float64) float64 {
	if c.Volts > 0 {
		return min(supplyVolts, c.Volts)
	}
	return supplyVolts
}

// PhaseAngleAverage is the average of a fully phased-on rectified sine, (2√2/π)·V_ac.
func PhaseAngleAverage(lineVolts float64) float64 { return 2 * math.Sqrt2 / math.Pi * lineVolts }
