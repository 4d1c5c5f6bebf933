package main

import (
	"bytes"
	"fmt"
	"os"
	"os/exec"
	"strconv"
	"strings"
	"sync"
	"syscall"
	"time"

	"github.com/google/uuid"

	"jiriki/core/logbook"
	"jiriki/core/plan"
	"jiriki/core/shelf"
	"jiriki/core/work"
)

type killsCmd struct {
	Kills   int `default:"20" help:"How often, server and database in turn."`
	Writers int `default:"8" help:"How many save at once, each a plan of its own, an entry and a part with every tenth."`
}

// sheet is what a writer reads and saves of a plan.
type sheet struct {
	PlanID         string       `json:"planId"`
	PlanVersion    int          `json:"planVersion"`
	MachineVersion int          `json:"machineVersion"`
	Plan           plan.Plan    `json:"plan"`
	Machine        work.Machine `json:"machine"`
}

// writer saves one plan over and over, a higher number each time.
type writer struct {
	s                *serving
	machine, id      string
	tried, confirmed int
	count            int      // saves that were confirmed
	titles, parts    []string // entries and parts that were
}

// Run kills and restarts, and at the end reads back what was acknowledged.
func (c *killsCmd) Run(p place) error {
	s, err := p.serving(0)
	if err != nil {
		return err
	}
	defer func() { _ = s.kill() }()
	writers := make([]*writer, c.Writers)
	for i := range writers {
		machine, planID, err := s.lathe(fmt.Sprint("Machine ", i))
		if err != nil {
			return err
		}
		writers[i] = &writer{s: s, machine: machine, id: planID}
	}
	stop := make(chan struct{})
	var wg sync.WaitGroup
	failures := make([]error, len(writers))
	for i, w := range writers {
		wg.Go(func() { failures[i] = w.write(stop) })
	}
	err = c.kill(s)
	close(stop)
	wg.Wait()
	if err != nil {
		return err
	}
	total, others := 0, 0
	for i, w := range writers {
		if failures[i] != nil {
			return failures[i]
		}
		if _, err := w.read(); err != nil {
			return err
		}
		if err := w.others(); err != nil {
			return err
		}
		total += w.count
		others += len(w.titles) + len(w.parts)
	}
	if total < c.Kills*c.Writers {
		return fmt.Errorf("only %d saves were acknowledged: that proves nothing", total)
	}
	fmt.Printf("%d kills of server and database under %d writers: %d saves, %d entries and parts acknowledged, "+
		"none lost\n",
		c.Kills, c.Writers, total, others)
	return nil
}

// kill ends server and database in turn, at moments that differ, and starts each again.
func (c *killsCmd) kill(s *serving) error {
	for n := range c.Kills {
		time.Sleep(time.Duration(300+n*137%500) * time.Millisecond)
		if n%2 == 0 {
			if err := s.kill(); err != nil {
				return err
			}
			if err := s.start(); err != nil {
				return err
			}
			continue
		}
		if err := s.killDatabase(); err != nil {
			return err
		}
		if err := s.ready(); err != nil {
			return err
		}
	}
	return nil
}

// killDatabase ends the cluster's first process at once and starts the cluster again.
func (s *serving) killDatabase() error {
	pass := s.URL[strings.Index(s.URL, "passfile=")+len("passfile="):]
	cluster := strings.TrimSuffix(pass, ".pass")
	text, err := os.ReadFile(cluster + "/postmaster.pid")
	if err != nil {
		return err
	}
	first, _, _ := strings.Cut(string(text), "\n")
	pid, err := strconv.Atoi(first)
	if err != nil {
		return err
	}
	if err := syscall.Kill(pid, syscall.SIGKILL); err != nil {
		return err
	}
	// One that is not buried yet would pass for running.
	for began := time.Now(); syscall.Kill(pid, 0) == nil && time.Since(began) < time.Minute; {
		time.Sleep(10 * time.Millisecond)
	}
	// The processes it leaves behind let go of its memory in their own time.
	for began := time.Now(); ; time.Sleep(100 * time.Millisecond) {
		out, err := exec.Command(s.script(), "start", s.Cluster).CombinedOutput()
		if err == nil {
			return nil
		}
		if time.Since(began) > time.Minute {
			return fmt.Errorf("the database did not come back: %s", out)
		}
	}
}

// write saves until it is stopped. What is there after a failed save must be what was last confirmed, or
// what was tried since.
func (w *writer) write(stop <-chan struct{}) error {
	for {
		now, err := w.read()
		if err != nil {
			return err
		}
		for now != nil {
			select {
			case <-stop:
				return nil
			default:
			}
			w.tried++
			now.Plan.Notes = strconv.Itoa(w.tried)
			var versions struct{ PlanVersion, MachineVersion int }
			change := map[string]any{"plan": now.Plan, "planVersion": now.PlanVersion, "machine": now.Machine,
				"machineVersion": now.MachineVersion}
			status, err := w.s.json("PUT", "/api/plans/"+w.id, change, &versions)
			if err != nil || status != 200 {
				now = nil // what became of it is read
				continue
			}
			w.confirmed = w.tried
			if w.count++; w.count%10 == 0 {
				w.besides()
			}
			now.PlanVersion, now.MachineVersion = versions.PlanVersion, versions.MachineVersion
		}
		select {
		case <-stop:
			return nil
		default:
			time.Sleep(20 * time.Millisecond)
		}
	}
}

// besides writes an entry and a part, and keeps in mind which were acknowledged.
func (w *writer) besides() {
	title := fmt.Sprintf("entry %d of %s", w.count, w.machine)
	e := logbook.Entry{ID: uuid.NewString(), Happened: time.Now(), Sort: logbook.Note, Title: title}.Whole()
	if status, err := w.s.json("POST", "/api/machines/"+w.machine+"/log", e, nil); err == nil && status == 204 {
		w.titles = append(w.titles, title)
	}
	var made struct{ ID string }
	if status, err := w.s.json("POST", "/api/shelf", shelf.Item{Sort: shelf.Motor}.Whole(), &made); err == nil &&
		status == 201 {
		w.parts = append(w.parts, made.ID)
	}
}

// others looks for every entry and part that was acknowledged.
func (w *writer) others() error {
	_, csv := w.s.send("GET", "/api/machines/"+w.machine+"/log.csv", "", nil)
	for _, title := range w.titles {
		if !bytes.Contains(csv, []byte(title)) {
			return fmt.Errorf("%s is lost", title)
		}
	}
	for _, id := range w.parts {
		if status, err := w.s.json("GET", "/api/shelf/"+id, nil, nil); err != nil || status != 200 {
			return fmt.Errorf("part %s is lost: %d %w", id, status, err)
		}
	}
	return nil
}

// read reads the plan back and holds it against what was confirmed; nil while nobody answers.
func (w *writer) read() (*sheet, error) {
	var now sheet
	status, err := w.s.json("GET", "/api/plans/"+w.id, nil, &now)
	if err != nil || status != 200 {
		return nil, nil
	}
	got := 0
	if now.Plan.Notes != "" {
		if got, err = strconv.Atoi(now.Plan.Notes); err != nil {
			return nil, fmt.Errorf("plan %s holds %q", w.id, now.Plan.Notes)
		}
	}
	if got < w.confirmed || got > w.tried {
		return nil, fmt.Errorf("plan %s holds save %d; %d was acknowledged, %d tried", w.id, got, w.confirmed, w.tried)
	}
	w.confirmed, w.tried = got, max(got, w.tried)
	return &now, nil
}
