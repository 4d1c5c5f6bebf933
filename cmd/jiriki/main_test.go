package main

import (
	"log/slog"
	"testing"

	"github.com/stretchr/testify/assert"
)

// Without a sign-in it serves this computer alone, unless that is said to be meant.
func TestOnlyLoopbackUnlessToldOtherwise(t *testing.T) {
	for addr, allowed := range map[string]bool{
		"127.0.0.1:7420": true, "127.9.9.9:1": true, "[::1]:7420": true, "localhost:7420": true,
		":7420": false, "0.0.0.0:7420": false, "[::]:7420": false, "192.168.1.4:7420": false,
		"shed.example:7420": false, "localhost.example:1": false, "7420": false,
	} {
		c := serveCmd{Addr: addr}
		err := c.mayListen(slog.New(slog.DiscardHandler))
		assert.Equal(t, allowed, err == nil, addr)
		c.LetAnyoneIn = true
		err = c.mayListen(slog.New(slog.DiscardHandler))
		assert.Equal(t, addr != "7420", err == nil, addr)
	}
	c := serveCmd{Addr: "0.0.0.0:7420"}
	assert.ErrorContains(t, c.mayListen(nil), "--let-anyone-in")
}
