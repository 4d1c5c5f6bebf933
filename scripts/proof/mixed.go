package main

import (
	"errors"
	"fmt"
	"math/rand/v2"
	"slices"
	"strconv"
	"sync"
	"time"

	"github.com/google/uuid"

	"jiriki/core/logbook"
	"jiriki/core/openfile"
	"jiriki/core/shelf"
	"jiriki/core/work"
)

// What is promised of a save beside everything else.
const saveWithin = 100 * time.Millisecond

type mixedCmd struct {
	Clients int `default:"32" help:"How many write at once."`
	Plans   int `default:"4" help:"Machines with a plan each that they write to."`
	Seconds int `default:"60"`
}

// deed is one thing a client does; it returns the status.
type deed struct {
	name  string
	often int
	does  func(m *mixed, r *rand.Rand) int
}

// mixed is what all clients write to.
type mixed struct {
	s        *serving
	machines []string
	plans    []string
}

var deeds = []deed{
	{"save a plan", 8, (*mixed).savePlan},
	{"write an entry", 6, (*mixed).writeEntry},
	{"put a part on the shelf", 2, func(m *mixed, _ *rand.Rand) int {
		return m.status("POST", "/api/shelf", shelf.Item{Sort: shelf.Motor}.Whole())
	}},
	{"import a machine", 1, func(m *mixed, _ *rand.Rand) int {
		return m.status("POST", "/api/import", openfile.File{Format: openfile.Format, Version: openfile.Version,
			Machines: []openfile.Machine{{Machine: work.Machine{Name: "Imported"}, Plans: []openfile.Plan{{}}}}})
	}},
	{"rename a plan", 2, func(m *mixed, r *rand.Rand) int {
		return m.status("PUT", "/api/plans/"+m.plans[r.IntN(len(m.plans))]+"/name", map[string]string{
			"name": strconv.Itoa(r.IntN(1000))})
	}},
	{"look at the log", 3, func(m *mixed, r *rand.Rand) int {
		return m.status("GET", "/api/machines/"+m.machines[r.IntN(len(m.machines))]+"/log", nil)
	}},
	{"look at the shed", 2, func(m *mixed, _ *rand.Rand) int { return m.status("GET", "/api/workshop", nil) }},
}

func (m *mixed) status(method, path string, body any) int {
	status, err := m.s.json(method, path, body, nil)
	if err != nil {
		return 0
	}
	return status
}

func (m *mixed) writeEntry(r *rand.Rand) int {
	return m.status("POST", "/api/machines/"+m.machines[r.IntN(len(m.machines))]+"/log", logbook.Entry{
		ID: uuid.NewString(), Happened: time.Now(), Sort: logbook.Note, Plan: "A", Title: "noted"}.Whole())
}

// savePlan saves what was read, and again what is there where another was first, as the interface does.
func (m *mixed) savePlan(r *rand.Rand) int {
	path := "/api/plans/" + m.plans[r.IntN(len(m.plans))]
	var now sheet
	if status, err := m.s.json("GET", path, nil, &now); err != nil || status != 200 {
		return status
	}
	now.Plan.Notes = strconv.Itoa(r.IntN(1e6))
	now.Machine.Notes = now.Plan.Notes
	return m.status("PUT", path, map[string]any{"plan": now.Plan, "planVersion": now.PlanVersion,
		"machine": now.Machine, "machineVersion": now.MachineVersion})
}

// Run lets the clients at it and prints how each kind of deed went.
func (c *mixedCmd) Run(p place) error {
	s, err := p.serving(0)
	if err != nil {
		return err
	}
	defer func() { _ = s.kill() }()
	m := &mixed{s: s}
	for i := range c.Plans {
		machine, planID, err := s.lathe(fmt.Sprint("Machine ", i))
		if err != nil {
			return err
		}
		m.machines, m.plans = append(m.machines, machine), append(m.plans, planID)
	}
	went := make([]answers, len(deeds))
	for i := range went {
		went[i].count = map[int]int{}
	}
	over := time.Now().Add(time.Duration(c.Seconds) * time.Second)
	var all sync.WaitGroup
	for i := range c.Clients {
		r := rand.New(rand.NewPCG(uint64(i), 1))
		all.Go(func() {
			for time.Now().Before(over) {
				n := drawn(r)
				began := time.Now()
				status := deeds[n].does(m, r)
				went[n].add(status, time.Since(began))
				time.Sleep(time.Duration(r.IntN(500)) * time.Millisecond) // as quick as anyone types
			}
		})
	}
	all.Wait()
	failed := false
	for i, d := range deeds {
		fmt.Printf("%-26s p95 %6.1f ms, answers %v\n", d.name, ms(went[i].share(0.95)), went[i].statuses())
		failed = failed || went[i].lost() > 0
	}
	if failed || went[0].share(0.95) > saveWithin {
		return errors.New("not as promised")
	}
	return nil
}

// drawn is the place of a deed, each as often as it is done.
func drawn(r *rand.Rand) int {
	sum := 0
	for _, d := range deeds {
		sum += d.often
	}
	at := r.IntN(sum)
	return slices.IndexFunc(deeds, func(d deed) bool {
		at -= d.often
		return at < 0
	})
}
