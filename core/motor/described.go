// Package motor describes, resolves and asks a motor: what its plate and bench readings say,
// what is assumed in their absence, and what torque it holds at a speed.
package motor

import (
	"slices"

	q "jiriki/core/quantity"
)

// Described is a motor as a person entered it: every quantity as typed, any of them missing.
type Described struct {
	Name          string         `json:"name" maxLength:"120" doc:"What its owner calls it"`
	Origin        string         `json:"origin" maxLength:"200" doc:"Where it came from"`
	Kind          Kind           `json:"kind" enum:"pm-dc,wound-dc,universal,induction-3,split-phase,capacitor-start,capacitor-start-run,psc,shaded-pole,two-speed,brushless,stepper,servo,"`
	Plate         Plate          `json:"plate"`
	Readings      []Reading      `json:"readings" maxItems:"40" nullable:"false" doc:"What was measured on the bench; a reading outranks the plate"`
	Older         *OlderReadings `json:"bench,omitempty" hidden:"true"`
	Body          Body           `json:"body"`
	Gearbox       Gearbox        `json:"gearbox"`
	Clutch        Clutch         `json:"clutch"`
	ThermalSwitch string         `json:"thermalSwitch" enum:"unknown,none,wired,left-out," doc:"Whether a thermal switch is in the winding and in the enable circuit"`
}

// Plate is what the plate says, as read. Volts and amps may be a pair, such as 230/400 and
// 3.3/1.9; so may hertz, speed and power, such as 50/60.
type Plate struct {
	Power          q.Text `json:"power" unit:"W|hp" doc:"Shaft power, such as 3/4 hp or 0.55 kW"`
	PowerMeans     string `json:"powerMeans" enum:"continuous,intermittent,peak," doc:"peak for hobby-duty and exercise-machine ratings; intermittent for a duty class with a time"`
	Speed          q.Text `json:"speed" unit:"rpm" doc:"Speed at that power, rpm"`
	Volts          q.Text `json:"volts" unit:"V"`
	Amps           q.Text `json:"amps" unit:"A"`
	Links          string `json:"links" enum:"low,high," doc:"Which of a pair of volts the links are set for; low when empty"`
	Hertz          q.Text `json:"hertz" unit:"Hz"`
	Column         string `json:"column" enum:"first,second," doc:"Which of a pair of hertz it runs on; first when empty"`
	Poles          q.Text `json:"poles"`
	PowerFactor    q.Text `json:"powerFactor"`
	ServiceFactor  q.Text `json:"serviceFactor"`
	Duty           string `json:"duty" maxLength:"60" doc:"Duty class, such as S1, S2 30 min or S3 40 %"`
	Insulation     string `json:"insulation" enum:"A,E,B,F,H," doc:"Insulation class"`
	Cooling        string `json:"cooling" enum:"own-fan,blown,closed," doc:"own-fan slows with the shaft; blown has its own supply; closed is rated without a fan"`
	Enclosure      string `json:"enclosure" maxLength:"60" doc:"Degree of protection, such as IP 55"`
	Frame          string `json:"frame" maxLength:"60"`
	Rotation       string `json:"rotation" enum:"either,clockwise,anticlockwise," doc:"Facing the shaft"`
	Protector      string `json:"protector" enum:"none,self-reset,by-hand," doc:"Thermal protector built in, and how it resets"`
	Capacitor      q.Text `json:"capacitor" unit:"µF" doc:"Microfarads of its capacitor"`
	CapacitorSort  string `json:"capacitorSort" enum:"film,electrolytic," doc:"What its running capacitor is: film or oil, or an electrolytic"`
	CapacitorVolts q.Text `json:"capacitorVolts" unit:"V" doc:"AC volts marked on it"`
	SecondSpeed    q.Text `json:"secondSpeed" unit:"rpm" doc:"Two-speed motor: the slower of its speeds"`
	RunsOn         string `json:"runsOn" enum:"fast,slow," doc:"Two-speed motor: which winding is used; fast when empty"`
	HoldingTorque  q.Text `json:"holdingTorque" unit:"N·m|lbf·ft" doc:"Stepper: torque held at rest"`
	Steps          q.Text `json:"steps" doc:"Stepper: steps in one turn; 200 when empty"`
	Inductance     q.Text `json:"inductance" unit:"mH" doc:"Of one phase of a stepper, or of a direct-current armature"`
}

// Reading is one measurement on the bench. Which fields count goes by the sort.
type Reading struct {
	Sort      string `json:"sort" enum:"open,resistance,free,loaded,locked,spin-down,capacitor,pull-out," doc:"open leads spun; ohms at a rotor position; running free; running loaded; rotor locked at low volts; coasting down; a fan on a capacitor; a stepper's pull-out"`
	Volts     q.Text `json:"volts" unit:"V"`
	Amps      q.Text `json:"amps" unit:"A"`
	Speed     q.Text `json:"speed" unit:"rpm"`
	ToSpeed   q.Text `json:"toSpeed" unit:"rpm" doc:"Coasting: where the clock was stopped"`
	Time      q.Text `json:"time" unit:"s"`
	Torque    q.Text `json:"torque" unit:"N·m|lbf·ft" doc:"At the shaft, such as 5 lb at 80 mm"`
	Ohms      q.Text `json:"ohms" unit:"Ω"`
	Capacitor q.Text `json:"capacitor" unit:"µF" doc:"Microfarads"`
	Starts    string `json:"starts" maxLength:"20" doc:"How often it started, such as 9 of 10"`
	Note      string `json:"note" maxLength:"120"`
}

// Body is the motor's outside, for the drawing, the shaft checks and a guess at its class.
type Body struct {
	Diameter q.Text `json:"diameter" unit:"mm|in"`
	Length   q.Text `json:"length" unit:"mm|in"`
	Shaft    q.Text `json:"shaft" unit:"mm|in" doc:"Shaft diameter"`
	CaseTime q.Text `json:"caseTime" unit:"min" doc:"How long its case takes to get two thirds of the way to where it settles, as measured; by its power when empty"`
	CaseRise q.Text `json:"caseRise" unit:"K|°F" doc:"How far its case settles above the air at its rated load, as measured, such as 45 K; what its class allows when empty"`
	Rotor    q.Text `json:"rotor" unit:"kg·cm²|lb·in²|kg·m²" doc:"Its rotor's moment of inertia where it is known, such as 9 kg·cm²; by the body when empty"`
}

// Gearbox is a reduction built onto the motor; the plan's own reduction comes after it.
type Gearbox struct {
	Sort       string `json:"sort" enum:"none,spur,planetary,worm," doc:"none when empty"`
	Ratio      q.Text `json:"ratio" doc:"Motor turns to one of the output"`
	Efficiency q.Text `json:"keeps" unit:"%|%|" doc:"Efficiency; by sort when empty"`
	Limit      q.Text `json:"limit" unit:"N·m|lbf·ft" doc:"Most torque its output may carry"`
	PlateOf    string `json:"plateOf" enum:"motor,output," doc:"Whether the plate's speed is the motor's or the output's"`
}

// Clutch is a centrifugal clutch after the motor.
type Clutch struct {
	Fitted  bool   `json:"fitted"`
	Engages q.Text `json:"engages" unit:"rpm" doc:"Speed at which it begins to take hold"`
	Holds   q.Text `json:"holds" unit:"N·m|lbf·ft" doc:"Torque it carries at the motor's full speed"`
	Motor   q.Text `json:"motor" unit:"rpm" doc:"Motor speed measured under the job"`
	Output  q.Text `json:"output" unit:"rpm" doc:"Speed after the clutch, measured at the same time"`
	Torque  q.Text `json:"torque" unit:"N·m|lbf·ft" doc:"Torque it carried then"`
}

// OlderReadings are bench readings as older files hold them, one of each sort.
type OlderReadings struct {
	OpenVolts   q.Text `json:"openVolts,omitempty" unit:"V"`
	SpunSpeed   q.Text `json:"spunSpeed,omitempty" unit:"rpm"`
	Resistance  q.Text `json:"resistance,omitempty" unit:"Ω"`
	NoLoadAmps  q.Text `json:"noLoadAmps,omitempty" unit:"A"`
	NoLoadSpeed q.Text `json:"noLoadSpeed,omitempty" unit:"rpm"`
	NoLoadVolts q.Text `json:"noLoadVolts,omitempty" unit:"V"`
}

// Whole returns the motor with an empty list in place of an absent one, and older readings among
// the readings.
func (d Described) Whole() Described {
	if b := d.Older; b != nil {
		d.Older = nil
		d.Readings = slices.Clone(d.Readings)
		if b.OpenVolts.Known() || b.SpunSpeed.Known() {
			d.Readings = append(d.Readings, Reading{Sort: "open", Volts: b.OpenVolts, Speed: b.SpunSpeed})
		}
		if b.Resistance.Known() {
			d.Readings = append(d.Readings, Reading{Sort: "resistance", Ohms: b.Resistance})
		}
		if b.NoLoadAmps.Known() || b.NoLoadSpeed.Known() {
			d.Readings = append(d.Readings, Reading{Sort: "free", Volts: b.NoLoadVolts, Amps: b.NoLoadAmps,
				Speed: b.NoLoadSpeed})
		}
	}
	if d.Readings == nil {
		d.Readings = []Reading{}
	}
	return d
}
