// Package demo is the made-up workshop Jiriki starts with when asked: Quarry Lane shed. It is
// an open file, loaded through the same door as any other.
package demo

import (
	_ "embed" // the workshop itself

	"jiriki/core/openfile"
)

//go:embed quarry-lane.json
var quarryLane []byte

// Workshop returns Quarry Lane shed.
func Workshop() (openfile.File, error) { return openfile.Decode(quarryLane) }
