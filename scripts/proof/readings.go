package main

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"strings"
	"sync"
	"time"

	"github.com/coder/websocket"
	"github.com/coder/websocket/wsjson"
)

type readingsCmd struct {
	Seconds   int `default:"60"`
	Hertz     int `default:"5000" help:"Readings a second."`
	Listeners int `default:"6"`
}

// Run sends readings in batches, ten a second, and looks that each listener gets all that were answered as taken, in
// order.
func (c *readingsCmd) Run(p place) error {
	s, err := p.serving(0)
	if err != nil {
		return err
	}
	defer func() { _ = s.kill() }()
	var made struct{ Token string }
	if status, err := s.json("POST", "/api/instruments", map[string]string{"name": "adc"}, &made); err != nil ||
		status != 201 {
		return fmt.Errorf("not let in: %d %w", status, err)
	}
	within, stop := context.WithTimeout(context.Background(), time.Duration(c.Seconds+30)*time.Second)
	defer stop()
	total := c.Seconds * c.Hertz
	heard := make([]error, c.Listeners)
	var all sync.WaitGroup
	for i := range heard {
		socket, _, err := websocket.Dial(within, "ws://"+s.addr+"/api/live", nil)
		if err != nil {
			return err
		}
		defer func() { _ = socket.CloseNow() }()
		socket.SetReadLimit(8 << 20)
		all.Go(func() { heard[i] = hears(within, socket, total) })
	}
	const batches = 10
	missed, turn := 0, time.NewTicker(time.Second/batches)
	defer turn.Stop()
	for at := 0; at < total; <-turn.C {
		var lines strings.Builder
		for range c.Hertz / batches {
			fmt.Fprintf(&lines, "volts %d\n", at)
			at++
		}
		status, said := s.send("POST", "/api/instruments/"+made.Token+"/readings", "text/plain", []byte(lines.String()))
		var sent struct{ Taken, Missed int }
		if err := json.Unmarshal(said, &sent); err != nil || status != 200 || sent.Taken != c.Hertz/batches {
			return fmt.Errorf("a batch was answered %d %s", status, said)
		}
		missed += sent.Missed
	}
	all.Wait()
	if err := errors.Join(heard...); err != nil {
		return err
	}
	fmt.Printf("%d readings at %d Hz to %d listeners: all there and in order, %d answered as missed\n", total, c.Hertz,
		c.Listeners, missed)
	return nil
}

// hears reads so many values, which count up.
func hears(ctx context.Context, from *websocket.Conn, total int) error {
	for next := 0; next < total; {
		var batch []struct{ Value float64 }
		if err := wsjson.Read(ctx, from, &batch); err != nil {
			return fmt.Errorf("after %d of %d: %w", next, total, err)
		}
		for _, v := range batch {
			if int(v.Value) != next {
				return fmt.Errorf("%v came in place of %d", v.Value, next)
			}
			next++
		}
	}
	return nil
}
