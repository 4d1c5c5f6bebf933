// Package finding is one sentence of a verdict: how serious, where on the line, what and why.
package finding

import "jiriki/core/working"

// Level is how serious a finding is.
type Level string

// The levels, most serious first.
const (
	Stop    Level = "stop"    // do not power it like this
	Missing Level = "missing" // cannot be judged until this is measured or read
	Caution Level = "caution" // can hurt or disappoint; look at it
	Good    Level = "good"    // checked and sound
)

// Rank orders levels, most serious lowest.
func (l Level) Rank() int {
	switch l {
	case Stop:
		return 0
	case Missing:
		return 1
	case Caution:
		return 2
	}
	return 3
}

// Holds is which of the two answers hangs on something that is missing; empty where none does.
type Holds string

// What can hang.
const (
	HoldsPower Holds = "power" // may it be powered?
	HoldsJobs  Holds = "jobs"  // does it do the jobs?
	HoldsBoth  Holds = "both"
)

// Power reports whether it must be known before the plan may be powered.
func (h Holds) Power() bool { return h == HoldsPower || h == HoldsBoth }

// Jobs reports whether it must be known before a job is called done.
func (h Holds) Jobs() bool { return h == HoldsJobs || h == HoldsBoth }

// Station names a part of the line.
type Station string

// The five stations from wall to work.
const (
	Supply    Station = "supply"
	Control   Station = "control"
	Motor     Station = "motor"
	Reduction Station = "reduction"
	Work      Station = "work"
)

// Finding is one line of the verdict.
type Finding struct {
	ID      ID         `json:"id" doc:"Stable name, such as motor.fan-cooling"`
	Level   Level      `json:"level" enum:"stop,missing,caution,good"`
	Station Station    `json:"station" enum:"supply,control,motor,reduction,work"`
	Title   string     `json:"title"`
	Detail  string     `json:"detail"`
	Field   string     `json:"field" doc:"Path of the field that causes it, such as control.currentLimit; may be empty"`
	Working working.ID `json:"working" doc:"ID of the working behind its figures, or empty"`
	Job     string     `json:"job,omitempty" doc:"The job it speaks of, if one"`
	Always  bool       `json:"always,omitempty" doc:"Said of every plan of this sort, whatever is filled in"`
	Entry   bool       `json:"entry,omitempty" doc:"An entry that was typed and cannot be used"`
	Holds   Holds      `json:"holds,omitempty" enum:"power,jobs,both" doc:"Of what is missing: which of the two answers is not known before it is there"`
	Offer   *Offer     `json:"offer,omitempty" doc:"One choice that is safe for all, to be taken by a click"`
	Fix     Fix        `json:"-"`
	Dry     bool       `json:"simulated,omitempty" doc:"A dry run found it; nothing of it was measured"`
	Short   bool       `json:"short,omitempty" doc:"A stop for the job only: it falls short, which harms nobody"`
}

// Offer is what is safe whatever is there, offered for an entry that is missing: it is taken, not read.
type Offer struct {
	Label string  `json:"label"`
	Set   []Entry `json:"set" nullable:"false" doc:"What taking it enters"`
}

// Entry is a text for a field.
type Entry struct {
	Field string `json:"field"`
	Value string `json:"value"`
}

// Fix is a sort of change that can be tried for what is unsafe in itself.
type Fix struct {
	Sort  FixSort
	Stage int // of the reduction, where it is one stage's
}

// FixSort is what is to be brought down, or to fit.
type FixSort int

// The sorts of change; none for most findings.
const (
	NoFix        FixSort = iota
	TopSpeed             // the spindle can pass its limit
	RotorSpeed           // the rotor is spun past what it was built for
	CurrentLimit         // nothing, or too much, holds the motor's current
	ConeToFit            // one belt does not fit every step of a cone
)
