package main

import (
	"bytes"
	"context"
	"fmt"
	"io"
	"net/http"
	"os"
	"time"

	"jiriki/core/practice"
)

// benchCmd is a simulated machine that sends what its instruments read, as any instrument does.
type benchCmd struct {
	To      string        `help:"Address of an instrument as the Trials screen makes it; lines go to the screen here when empty."`
	Seed    uint32        `default:"1" help:"Which machine; its figures stay its own."`
	Knob    float64       `default:"0.6" help:"Where the knob stands, share of full."`
	Every   time.Duration `default:"500ms" help:"How often it is read."`
	Seconds float64       `help:"Stop after so long; runs until it is ended when empty."`
}

// Run reads the bench and sends it, line by line.
func (c *benchCmd) Run(ctx context.Context) error {
	s, ok := practice.Simulate(c.Seed, c.Knob)
	if !ok {
		return fmt.Errorf("the machine of seed %d does not run; choose another", c.Seed)
	}
	fmt.Fprintln(os.Stderr, "rpm is the spindle's, rpm2 the motor's.")
	tick := time.NewTicker(max(c.Every, 20*time.Millisecond))
	defer tick.Stop()
	begun := time.Now()
	for {
		at := time.Since(begun).Seconds()
		if c.Seconds > 0 && at > c.Seconds {
			return nil
		}
		var lines bytes.Buffer
		for _, l := range s.At(at) {
			lines.WriteString(l.Write() + "\n")
		}
		if err := c.send(ctx, &lines); err != nil {
			return err
		}
		select {
		case <-ctx.Done():
			return nil
		case <-tick.C:
		}
	}
}

func (c *benchCmd) send(ctx context.Context, lines *bytes.Buffer) error {
	if c.To == "" {
		fmt.Print(lines.String())
		return nil
	}
	request, err := http.NewRequestWithContext(ctx, http.MethodPost, c.To, lines)
	if err != nil {
		return fmt.Errorf("address to send to: %w", err)
	}
	request.Header.Set("Content-Type", "text/plain")
	answer, err := http.DefaultClient.Do(request)
	if err != nil {
		if ctx.Err() != nil {
			return nil
		}
		return fmt.Errorf("nobody takes the readings: %w", err)
	}
	defer func() { _ = answer.Body.Close() }()
	said, _ := io.ReadAll(io.LimitReader(answer.Body, 2000))
	if answer.StatusCode != http.StatusOK {
		return fmt.Errorf("the readings were not taken: %s", said)
	}
	return nil
}
