// Package openfile is Jiriki's open file: a whole workshop or a single plan as documented JSON,
// every quantity as it was typed.
package openfile

import (
	"jiriki/core/logbook"
	"jiriki/core/plan"
	"jiriki/core/shelf"
	"jiriki/core/work"
)

// Format and Version are written into every file. A reader refuses other formats and newer versions. The version is
// that of the documents in it, and so of a database's too: it rises with any field that a machine, plan, part or
// entry gains, for a program that does not know the field would refuse or drop it. Version 1 is the first.
const (
	Format  = "jiriki"
	Version = 2
)

// Bounds on what one file, and so a workshop, may hold. A file is read and written piece by piece, so its length
// bounds the time it takes and not the memory.
const (
	MaxBytes    = 2 << 30
	MaxMachines = 1000
	MaxPlans    = 26
	MaxShelf    = plan.MaxShelf
)

// File is a workshop, or the part of one that was exported.
type File struct {
	Format   string       `json:"format" enum:"jiriki" doc:"Always jiriki"`
	Version  int          `json:"version" minimum:"1" maximum:"2" doc:"Version of this layout"`
	Name     string       `json:"name" maxLength:"120" doc:"Name of the workshop"`
	Machines []Machine    `json:"machines" maxItems:"1000" nullable:"false"`
	Shelf    []shelf.Item `json:"shelf" maxItems:"5000" nullable:"false"`
}

// Machine is a machine with its plans and its log. Plans and entries are read and written one by one, so that there may
// be as many as a workshop of many years has.
type Machine struct {
	Machine work.Machine    `json:"machine"`
	Plans   []Plan          `json:"plans" maxItems:"26" parts:"each" nullable:"false"`
	Log     []logbook.Entry `json:"log" maxItems:"10000000" parts:"each" nullable:"false" doc:"What happened to it"`
}

// Plan is a plan under its letter.
type Plan struct {
	Letter string `json:"letter" maxLength:"1" pattern:"^[A-Z]?$" doc:"What the log calls it; the next that is free when empty"`
	plan.Plan
}

// Sink takes the contents of a workshop one by one, in the order they stand: a file's as it is read, a store's as it is
// exported. Plans are of the machine before them, and so are entries, after all its plans. An error stops whoever fills
// it.
type Sink interface {
	Name(string) error
	Machine(work.Machine) error
	Plan(Plan) error
	Entry(logbook.Entry) error
	Part(shelf.Item) error
}

// ReadError says what is wrong with a file and where.
type ReadError struct {
	Where   string // "line 12, column 7" or a path such as machines[0].plans[2]; may be empty
	Message string
}

func (e ReadError) Error() string {
	if e.Where == "" {
		return e.Message
	}
	return e.Where + ": " + e.Message
}

// Send passes the file's contents on, whole.
func (f File) Send(to Sink) error {
	if err := to.Name(f.Name); err != nil {
		return err
	}
	for _, m := range f.Machines {
		if err := m.send(to); err != nil {
			return err
		}
	}
	for _, item := range f.Shelf {
		if err := to.Part(item.Whole()); err != nil {
			return err
		}
	}
	return nil
}

func (m Machine) send(to Sink) error {
	if err := to.Machine(m.Machine.Whole()); err != nil {
		return err
	}
	for _, p := range m.Plans {
		if err := to.Plan(p.whole()); err != nil {
			return err
		}
	}
	for _, e := range m.Log {
		if err := to.Entry(e.Whole()); err != nil {
			return err
		}
	}
	return nil
}

// whole fills in the lists a plan may leave out.
func (p Plan) whole() Plan { return Plan{p.Letter, p.Whole()} }

// gathered is a Sink that keeps a file in memory.
type gathered struct{ file File }

func (g *gathered) Name(name string) error { g.file.Name = name; return nil }

func (g *gathered) Machine(m work.Machine) error {
	g.file.Machines = append(g.file.Machines, Machine{Machine: m, Plans: []Plan{}, Log: []logbook.Entry{}})
	return nil
}

func (g *gathered) Plan(p Plan) error {
	last := &g.file.Machines[len(g.file.Machines)-1]
	last.Plans = append(last.Plans, p)
	return nil
}

func (g *gathered) Entry(e logbook.Entry) error {
	last := &g.file.Machines[len(g.file.Machines)-1]
	last.Log = append(last.Log, e)
	return nil
}

func (g *gathered) Part(item shelf.Item) error {
	g.file.Shelf = append(g.file.Shelf, item)
	return nil
}

// Gather makes a file in memory of what fill sends.
func Gather(fill func(Sink) error) (File, error) {
	g := gathered{File{Format: Format, Version: Version, Machines: []Machine{}, Shelf: []shelf.Item{}}}
	if err := fill(&g); err != nil {
		return File{}, err
	}
	return g.file, nil
}
