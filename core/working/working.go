// Package working is a number with its derivation: the formula, the person's own numbers in
// it, what was assumed and where the rule comes from.
package working

import "jiriki/core/source"

// Standing tells how a number came to be known.
type Standing string

// How a number came to be known, firmest first.
const (
	Measured Standing = "measured" // from a bench reading
	Read     Standing = "read"     // from a plate or as typed
	Computed Standing = "computed" // from the others by formula
	Assumed  Standing = "assumed"  // filled in by a rule of thumb
)

// Working is the derivation behind one number, ready to be shown.
type Working struct {
	ID          ID             `json:"id" doc:"Name of the figure, such as motor.torque"`
	Station     string         `json:"station" doc:"supply, control, motor, reduction or work"`
	Label       string         `json:"label"`
	Value       string         `json:"value" doc:"The figure with its unit, as shown"`
	Formula     string         `json:"formula" doc:"The relation in symbols"`
	Substituted string         `json:"substituted" doc:"The same with the person's numbers in it"`
	Assumes     []string       `json:"assumes"`
	Source      *source.Source `json:"source"`
	Standing    Standing       `json:"standing"`
}

// Derive returns a computed figure's working; assumes is what it takes for granted, in words.
func Derive(id ID, label, value, formula, substituted string, src *source.Source, assumes ...string) Working {
	if assumes == nil {
		assumes = []string{}
	}
	return Working{
		ID: id, Station: id.Station(), Label: label, Value: value, Formula: formula, Substituted: substituted,
		Assumes: assumes, Source: src, Standing: Computed,
	}
}
