// Package motor describes, resolves and asks a motor: what its plate and bench readings say,
// what is assumed in their absence, and what torque it holds at a speed.
package motor

import q "jiriki/core/quantity"

// Kind is how a motor makes its torque.
type Kind string

// The kinds of motor that can be worked out.
const (
	PermanentMagnetDC Kind = "pm-dc"
	ThreePhase        Kind = "induction-3"
	CapacitorStart    Kind = "capacitor-start"
)

// Brushed reports whether the motor has brushes, which wear and spark.
func (k Kind) Brushed() bool { return k == PermanentMagnetDC }

// Described is a motor as a person entered it: every quantity as typed, any of them missing.
type Described struct {
	Name          string `json:"name" maxLength:"120" doc:"What its owner calls it"`
	Origin        string `json:"origin" maxLength:"200" doc:"Where it came from"`
	Kind          Kind   `json:"kind" enum:"pm-dc,induction-3,capacitor-start,"`
	Plate         Plate  `json:"plate"`
	Bench         Bench  `json:"bench"`
	Body          Body   `json:"body"`
	ThermalSwitch string `json:"thermalSwitch" enum:"unknown,none,wired,left-out," doc:"Whether a thermal switch is in the winding and in the enable circuit"`
}

// Plate is what the plate says, as read.
type Plate struct {
	Power       q.Text `json:"power" doc:"Shaft power, such as 3/4 hp or 0.55 kW"`
	PowerMeans  string `json:"powerMeans" enum:"continuous,peak," doc:"peak for hobby-duty and exercise-machine ratings"`
	Speed       q.Text `json:"speed" doc:"Speed at that power, rpm"`
	Volts       q.Text `json:"volts"`
	Amps        q.Text `json:"amps"`
	Hertz       q.Text `json:"hertz"`
	Poles       q.Text `json:"poles"`
	PowerFactor q.Text `json:"powerFactor"`
	Duty        string `json:"duty" maxLength:"60"`
	Insulation  string `json:"insulation" enum:"A,E,B,F,H," doc:"Insulation class"`
	Cooling     string `json:"cooling" enum:"own-fan,blown,closed," doc:"own-fan slows with the shaft; blown has its own supply; closed is rated without a fan"`
}

// Bench is what was measured on the bench. A reading outranks the plate.
type Bench struct {
	OpenVolts   q.Text `json:"openVolts" doc:"Volts at open leads while spun"`
	SpunSpeed   q.Text `json:"spunSpeed" doc:"Speed it was spun at for openVolts"`
	Resistance  q.Text `json:"resistance" doc:"Armature resistance, mean of several rotor positions, leads taken off"`
	NoLoadAmps  q.Text `json:"noLoadAmps"`
	NoLoadSpeed q.Text `json:"noLoadSpeed"`
	NoLoadVolts q.Text `json:"noLoadVolts" doc:"Volts during the no-load run; the plate's when empty"`
}

// Body is the motor's outside, for the drawing and the shaft checks.
type Body struct {
	Diameter q.Text `json:"diameter"`
	Length   q.Text `json:"length"`
	Shaft    q.Text `json:"shaft" doc:"Shaft diameter"`
}
