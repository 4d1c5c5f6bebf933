// Package reduction describes and resolves the pulleys, chains and gears between motor and
// spindle: ratios and what each stage keeps, belt lengths, wrap and speeds.
package reduction

import q "jiriki/core/quantity"

// Kind is a sort of stage.
type Kind string

// The stages that can be worked out.
const (
	Direct  Kind = "direct"
	VBelt   Kind = "v"
	PolyV   Kind = "poly-v"
	Toothed Kind = "toothed"
	Chain   Kind = "chain"
	Spur    Kind = "spur"
)

// Described is a reduction as a person entered it, motor end first.
type Described struct {
	Name   string           `json:"name" maxLength:"120"`
	Stages []DescribedStage `json:"stages" maxItems:"6" nullable:"false"`
}

// DescribedStage is one pair of shafts. More than one step makes it a cone: the belt is moved
// from step to step.
type DescribedStage struct {
	Kind     Kind            `json:"kind" enum:"direct,v,poly-v,toothed,chain,spur,"`
	Section  string          `json:"section" enum:"Z,A,B,J," doc:"Belt section of a V (Z, A, B) or poly-V (J) stage"`
	Measured string          `json:"measured" enum:"pitch,outside," doc:"Which diameter is given"`
	Steps    []DescribedStep `json:"steps" maxItems:"6" nullable:"false"`
	Centre   q.Text          `json:"centre" doc:"Distance between shafts"`
	Belt     q.Text          `json:"belt" doc:"Pitch length of the belt or chain, when that is what is known"`
	Pitch    q.Text          `json:"pitch" doc:"Pitch of a toothed belt or chain, or module of a gear"`
	ScrewOn  bool            `json:"screwOn" doc:"A pulley of this stage is held by a thread"`
	Guarded  bool            `json:"guarded" doc:"Belts and pulleys are behind a guard"`
}

// DescribedStep is one pair of pulleys, sprockets or gears: diameters for belts, teeth otherwise.
type DescribedStep struct {
	Driver q.Text `json:"driver"`
	Driven q.Text `json:"driven"`
}
