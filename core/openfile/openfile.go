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
	MaxBytes    = 256 << 20
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

// Machine is a machine with its plans.
type Machine struct {
	Machine work.Machine    `json:"machine"`
	Plans   []plan.Plan     `json:"plans" maxItems:"26" nullable:"false"`
	Log     []logbook.Entry `json:"log" maxItems:"20000" nullable:"false" doc:"What happened to it"`
}

// Sink takes the contents of a workshop one by one, in the order they stand: a file's as it is read,
// a store's as it is exported. An error stops whoever fills it.
type Sink interface {
	Name(string) error
	Machine(Machine) error
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
		if err := to.Machine(m.whole()); err != nil {
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

// gathered is a Sink that keeps a file in memory.
type gathered struct{ file File }

func (g *gathered) Name(name string) error { g.file.Name = name; return nil }

func (g *gathered) Machine(m Machine) error {
	g.file.Machines = append(g.file.Machines, m)
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

// whole fills in the lists a machine may leave out.
func (m Machine) whole() Machine {
	plans := make([]plan.Plan, len(m.Plans))
	for i, p := range m.Plans {
		plans[i] = p.Whole()
	}
	log := make([]logbook.Entry, len(m.Log))
	for i, e := range m.Log {
		log[i] = e.Whole()
	}
	return Machine{Machine: m.Machine.Whole(), Plans: plans, Log: log}
}
