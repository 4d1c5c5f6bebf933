package main

import (
	"bytes"
	"context"
	"errors"
	"fmt"
	"os"
	"os/exec"
	"path/filepath"
	"time"
)

type oldCmd struct {
	Commit string `default:"c538d01" help:"The last that knows nothing of versions of documents."`
}

// Run makes a workshop with this program, and sets upon it one that names no version, and this one built with a lower.
func (c *oldCmd) Run(p place) error {
	s, err := p.serving(0)
	if err != nil {
		return err
	}
	_, planID, err := s.lathe("Lathe")
	if err != nil {
		return err
	}
	if err := s.kill(); err != nil {
		return err
	}
	dir, err := os.MkdirTemp("", "jiriki-old")
	if err != nil {
		return err
	}
	defer func() { _ = os.RemoveAll(dir) }()
	return errors.Join(c.nameless(p, dir, planID), lower(p, dir))
}

// nameless is a program that names no version: it starts, and the database takes nothing from it.
func (c *oldCmd) nameless(p place, dir, planID string) error {
	old, err := p.built(filepath.Join(dir, "nameless"), c.Commit, "true")
	if err != nil {
		return err
	}
	q := p
	q.Binary = old
	s, err := q.serving(0)
	if err != nil {
		return err
	}
	defer func() { _ = s.kill() }()
	var now sheet
	if status, err := s.json("GET", "/api/plans/"+planID, nil, &now); err != nil || status != 200 {
		return fmt.Errorf("the plan could not be read: %d %w", status, err)
	}
	now.Plan.Notes = "written by an older program"
	status, said := s.send("PUT", "/api/plans/"+planID, "application/json", jsonOf(map[string]any{"plan": now.Plan,
		"planVersion": now.PlanVersion, "machine": now.Machine, "machineVersion": now.MachineVersion}))
	fmt.Printf("a program that names no version of documents saves a plan: %d %s\n", status, said)
	if status/100 == 2 {
		return errors.New("it was taken")
	}
	if _, err := s.json("GET", "/api/plans/"+planID, nil, &now); err != nil || now.Plan.Notes != "" {
		return fmt.Errorf("the plan holds %q %w", now.Plan.Notes, err)
	}
	return nil
}

// lower is this program built for a lower version: it does not start, and says which would.
func lower(p place, dir string) error {
	old, err := p.built(filepath.Join(dir, "lower"), "HEAD",
		`sed -i 's/Version = [0-9]*$/Version = 1/' core/openfile/openfile.go`)
	if err != nil {
		return err
	}
	within, stop := context.WithTimeout(context.Background(), time.Minute)
	defer stop()
	run := exec.CommandContext(within, old, "serve", "--addr", "127.0.0.1:0")
	run.Env = append(os.Environ(), "DATABASE_URL="+p.URL)
	said, err := run.CombinedOutput()
	fmt.Printf("this program, built for a lower version, starts: %s", said)
	if err == nil || within.Err() != nil || !bytes.Contains(said, []byte("start a Jiriki that knows version")) {
		return errors.New("it did not refuse to start, or did not say why")
	}
	return nil
}

// built is a program of a commit, changed by a command; its interface is today's.
func (p place) built(dir, commit, change string) (string, error) {
	binary := filepath.Join(dir, "bin", "jiriki")
	out, err := exec.Command("bash", "-ec", `cd "$1" && git archive --prefix=./ "$3" | (mkdir -p "$2" && tar -x -C "$2")
		cp -r web/dist "$2/web/" && cd "$2" && eval "$4" && go build -o "$5" ./cmd/jiriki`, "bash", p.Root, dir, commit,
		change, binary).CombinedOutput()
	if err != nil {
		return "", fmt.Errorf("%s could not be built: %w: %s", commit, err, out)
	}
	return binary, nil
}
