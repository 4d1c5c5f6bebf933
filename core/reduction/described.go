// Package reduction describes and resolves the pulleys, chains and gears between motor and
// spindle: ratios and what each stage keeps, belt lengths, wrap and speeds, what belts, shafts
// and keys carry, and how wheels fit their shafts.
package reduction

import q "jiriki/core/quantity"

// Kind is a sort of stage.
type Kind string

// The stages that can be worked out.
const (
	Direct   Kind = "direct"
	Given    Kind = "ratio" // a ratio that is known or measured, and no wheels yet
	VBelt    Kind = "v"
	LinkBelt Kind = "link" // a V belt made of links, opened and closed on the machine
	PolyV    Kind = "poly-v"
	Flat     Kind = "flat"
	Toothed  Kind = "toothed"
	Chain    Kind = "chain"
	Spur     Kind = "spur" // or helical
	Worm     Kind = "worm"
)

// Described is a reduction as a person entered it, motor end first.
type Described struct {
	Name   string           `json:"name" maxLength:"120"`
	Stages []DescribedStage `json:"stages" maxItems:"6" nullable:"false"`
	Speeds MeasuredSpeeds   `json:"speeds" doc:"Two speeds measured at once, to find what the ratio really is"`
}

// MeasuredSpeeds are two tachometer readings taken together.
type MeasuredSpeeds struct {
	Motor    q.Text `json:"motor" unit:"rpm"`
	Spindle  q.Text `json:"spindle" unit:"rpm"`
	Position int    `json:"position" minimum:"0" maximum:"23" doc:"Which position the belts were in, from 0"`
}

// DescribedStage is one pair of shafts. More than one step makes it a cone: the belt is moved
// from step to step.
type DescribedStage struct {
	Kind      Kind            `json:"kind" enum:"direct,ratio,v,link,poly-v,flat,toothed,chain,spur,worm,"`
	Section   string          `json:"section" enum:"Z,A,B,J,K,L," doc:"Belt section of a V or link (Z, A, B) or poly-V (J, K, L) stage"`
	Measured  string          `json:"measured" enum:"pitch,outside," doc:"Which diameter is given"`
	Steps     []DescribedStep `json:"steps" maxItems:"6" nullable:"false"`
	Centre    q.Text          `json:"centre" unit:"mm|in" doc:"Distance between shafts"`
	Belt      q.Text          `json:"belt" unit:"mm|in" doc:"Pitch length of the belt or chain, when that is what is known"`
	TakeUp    q.Text          `json:"takeUp" unit:"mm|in" doc:"How far the shafts can be moved apart to tension and change the belt"`
	Direction q.Text          `json:"direction" unit:"°" doc:"Where the driven shaft lies from the driving one, degrees from level, up is positive; level when empty"`
	Pitch     q.Text          `json:"pitch" unit:"mm|in" doc:"Pitch of a toothed belt or chain, or module of a gear or worm"`
	Count     q.Text          `json:"count" doc:"V belts side by side, ribs of a poly-V belt, strands of chain"`
	Width     q.Text          `json:"width" unit:"mm|in" doc:"Of a flat or toothed belt, or a gear's face"`
	Teeth     string          `json:"teeth" enum:"straight,curved," doc:"Of a toothed belt: straight flanks, or curved ones, which carry more"`
	Material  string          `json:"material" enum:"steel,hardened,iron,bronze,nylon," doc:"Of the weaker of two gears; mild steel when empty"`
	Lead      q.Text          `json:"lead" unit:"°" doc:"Worm: lead angle"`
	Keeps     q.Text          `json:"keeps" unit:"%|%|" doc:"A ratio that is known: what it keeps; 93 % when empty"`
	Rated     q.Text          `json:"rated" unit:"N·m|lbf·ft" doc:"Torque its maker rates it for at the driven shaft"`
	Bypass    bool            `json:"bypass" doc:"Back gear: can be put out of mesh, together with the stages next to it that can"`
	ScrewOn   bool            `json:"screwOn" doc:"A pulley of this stage is held by a thread"`
	Guarded   bool            `json:"guarded" doc:"Belts and pulleys are behind a guard"`
	OnDriving DescribedFit    `json:"onDriving" doc:"How the driving wheel sits on its shaft"`
	OnDriven  DescribedFit    `json:"onDriven" doc:"How the driven wheel sits on its shaft"`
}

// DescribedStep is one pair of pulleys, sprockets or gears: diameters for belts, teeth otherwise.
// A worm's driver is its number of starts. A ratio's are turns, or speeds, of its two shafts.
type DescribedStep struct {
	Driver q.Text `json:"driver" unit:"mm|in"`
	Driven q.Text `json:"driven" unit:"mm|in"`
}

// DescribedFit is a wheel on its shaft.
type DescribedFit struct {
	Shaft q.Text `json:"shaft" unit:"mm|in" doc:"Diameter of the shaft"`
	Bore  q.Text `json:"bore" unit:"mm|in" doc:"Bore of the wheel as it is now"`
	Held  string `json:"held" enum:"key,screw,taper,pin," doc:"By a key, a set screw alone, a taper bush or clamp, or a pin or weld"`
	Hub   q.Text `json:"hub" unit:"mm|in" doc:"Length of the hub on the shaft"`
	Out   q.Text `json:"out" unit:"mm|in" doc:"How far the wheel's middle stands out from the nearest bearing; its pull then bends the shaft"`
}

// Blank is a V belt stage with nothing filled in.
func Blank() DescribedStage {
	return DescribedStage{Kind: VBelt, Section: "A", Measured: "pitch", Steps: []DescribedStep{{}}}
}
