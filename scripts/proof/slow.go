package main

import (
	"errors"
	"fmt"
	"net"
	"time"
)

type slowCmd struct {
	Uploads int `default:"16" help:"Files that come in a byte a second."`
}

// Run lets files drip in, and times what goes through the same lane and the same tables.
func (c *slowCmd) Run(p place) error {
	s, err := p.serving(0)
	if err != nil {
		return err
	}
	defer func() { _ = s.kill() }()
	bodies, err := hostile(s)
	if err != nil {
		return err
	}
	for range c.Uploads {
		conn, err := net.Dial("tcp", s.addr)
		if err != nil {
			return err
		}
		defer func() { _ = conn.Close() }()
		if _, err := fmt.Fprintf(conn, "POST /api/import HTTP/1.1\r\nHost: %s\r\nContent-Type: application/json\r\n"+
			"Content-Length: 100000\r\n\r\n", s.addr); err != nil {
			return err
		}
		go func() {
			for _, err := conn.Write([]byte("{")); err == nil; _, err = conn.Write([]byte(" ")) {
				time.Sleep(time.Second)
			}
		}()
	}
	time.Sleep(2 * time.Second) // they are all on their way
	for _, b := range bodies {
		if !b.passes || b.name == "by ear, 24 MB of sound" {
			continue
		}
		began := time.Now()
		status, _ := s.send(b.method, b.path, b.contentType, b.data)
		took := time.Since(began)
		fmt.Printf("beside %d slow uploads: %-44s %d in %6.0f ms\n", c.Uploads, b.name, status, ms(took))
		if status/100 != 2 || took > 30*time.Second {
			return errors.New("not as promised: " + b.name)
		}
	}
	return nil
}
