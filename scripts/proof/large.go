package main

import (
	"bytes"
	"errors"
	"fmt"
	"os"
	"os/exec"
	"path/filepath"
	"time"

	"jiriki/core/logbook"
	"jiriki/core/measured"
	"jiriki/core/openfile"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/work"
)

type largeCmd struct {
	Machines int `default:"40"`
	Trials   int `default:"3000" help:"In all."`
	Entries  int `default:"150000" help:"Of the logs of all machines."`
}

// workshop is one of many years; its second half of plans had others between them, which are gone.
func (c *largeCmd) workshop() openfile.File {
	out := openfile.File{Format: openfile.Format, Version: openfile.Version, Name: "Of many years"}
	for i := range c.Machines {
		m := openfile.Machine{Machine: work.Machine{Name: fmt.Sprint("Machine ", i), Kind: "lathe"}}
		for _, letter := range []string{"A", "C"} {
			p := plan.Plan{Name: "plan " + letter}
			for k := range c.Trials / c.Machines / 2 {
				t := measured.Trial{ID: fmt.Sprint(letter, k), Kind: measured.Speed}
				for n := range 20 {
					t.Readings = append(t.Readings, measured.Reading{Speed: q.Text(fmt.Sprint(100+n, " rpm"))})
				}
				p.Trials = append(p.Trials, t)
			}
			m.Plans = append(m.Plans, openfile.Plan{Letter: letter, Plan: p})
		}
		for k := range c.Entries / c.Machines {
			m.Log = append(m.Log, logbook.Entry{Happened: time.Unix(int64(1e9+60*k), 0).UTC(), Sort: logbook.Note,
				Plan: string(rune('A' + k%3)), Title: fmt.Sprint("Entry ", k), Detail: "What was done, in some words."})
		}
		out.Machines = append(out.Machines, m)
	}
	return out
}

// Run brings it in, writes it out and brings that in, each way, and holds them against each other.
func (c *largeCmd) Run(p place) error {
	dir, err := os.MkdirTemp("", "jiriki-large")
	if err != nil {
		return err
	}
	defer func() { _ = os.RemoveAll(dir) }()
	text, err := openfile.Encode(c.workshop())
	if err != nil {
		return err
	}
	s, err := p.serving(0)
	if err != nil {
		return err
	}
	defer func() { _ = s.kill() }()
	fmt.Printf("%d machines, %d trials, %d entries: %d MB\n", c.Machines, c.Trials, c.Entries, len(text)>>20)
	if err := s.resetPeak(); err != nil {
		return err
	}
	want := normal(text)
	for _, way := range []struct {
		name          string
		bring, export func() ([]byte, error)
	}{
		{"JSON by HTTP", func() ([]byte, error) { return nil, s.bringIn(text) },
			func() ([]byte, error) { return s.written("/api/export") }},
		{"zip by HTTP", func() ([]byte, error) {
			zip, err := s.written("/api/export.zip")
			return nil, errors.Join(err, p.emptied(), s.bringIn(zip))
		}, func() ([]byte, error) { return s.written("/api/export") }},
		{"JSON by command", func() ([]byte, error) { return nil, p.moved(filepath.Join(dir, "shop.json")) },
			func() ([]byte, error) { return s.written("/api/export") }},
		{"zip by command", func() ([]byte, error) { return nil, p.moved(filepath.Join(dir, "shop.zip")) },
			func() ([]byte, error) { return s.written("/api/export") }},
	} {
		began := time.Now()
		if _, err := way.bring(); err != nil {
			return fmt.Errorf("%s: %w", way.name, err)
		}
		took := time.Since(began)
		began = time.Now()
		got, err := way.export()
		if err != nil {
			return fmt.Errorf("%s: %w", way.name, err)
		}
		same := bytes.Equal(want, normal(got))
		fmt.Printf("%-16s brought in %5.1f s, written out %5.1f s, the same: %v\n", way.name, took.Seconds(),
			time.Since(began).Seconds(), same)
		if !same {
			return errors.New("not as promised")
		}
	}
	fmt.Printf("the server at most %.0f MB\n", s.memory("VmHWM"))
	return nil
}

// normal is a workshop without the IDs of its entries and parts, which are new wherever it is brought in.
func normal(text []byte) []byte {
	file, err := openfile.Decode(text)
	if err != nil {
		return nil
	}
	for _, m := range file.Machines {
		for i := range m.Log {
			m.Log[i].ID = ""
		}
	}
	for i := range file.Shelf {
		file.Shelf[i].ID = ""
	}
	text, err = openfile.Encode(file)
	if err != nil {
		return nil
	}
	return text
}

func (s *serving) bringIn(file []byte) error {
	if status, said := s.send("POST", "/api/import", "application/octet-stream", file); status != 200 {
		return fmt.Errorf("not brought in: %d %s", status, said)
	}
	return nil
}

func (s *serving) written(path string) ([]byte, error) {
	status, file := s.send("GET", path, "", nil)
	if status != 200 {
		return nil, fmt.Errorf("not written out: %d", status)
	}
	return file, nil
}

// moved writes the workshop to a file and brings it into an emptied one, by the command line.
func (p place) moved(file string) error {
	return errors.Join(p.command("export", file), p.emptied(), p.command("import", file))
}

func (p place) command(words ...string) error {
	run := exec.Command(p.binary(), words...)
	run.Env = append(os.Environ(), "DATABASE_URL="+p.URL)
	if out, err := run.CombinedOutput(); err != nil {
		return fmt.Errorf("jiriki %v: %w: %s", words, err, out)
	}
	return nil
}

// emptied takes all out of the database, as no program of Jiriki's does.
func (p place) emptied() error {
	out, err := exec.Command("psql", p.URL, "-qc", `TRUNCATE machine, plan, log_entry, log_picture, shelf_item,
		shelf_picture; UPDATE workshop SET name = ''`).CombinedOutput()
	if err != nil {
		return fmt.Errorf("psql: %w: %s", err, out)
	}
	return nil
}
