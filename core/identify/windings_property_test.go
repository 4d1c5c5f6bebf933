package identify

import (
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	q "jiriki/core/quantity"
)

var colours = []string{"red", "black", "white", "blue", "brown", "grey", "yellow", "green", "orange"}

// shuffled are the colours in any order.
func shuffled(t *rapid.T) []string { return rapid.Permutation(colours).Draw(t, "colours") }

// read is a resistance as a meter would show it: a per cent off, either lead named first.
func read(t *rapid.T, a, b string, ohms float64) Ohms {
	if rapid.Bool().Draw(t, a+b+" turned") {
		a, b = b, a
	}
	off := rapid.Float64Range(0.99, 1.01).Draw(t, a+b+" off")
	return Ohms{a, b, q.Text(fmt.Sprintf("%.4g Ω", ohms*off))}
}

// Whatever the colours, the order of reading and the meter's last digit, common, run and start
// come out right.
func TestCommonRunAndStartAreFoundInAnyOrder(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		c := shuffled(t)
		run := rapid.Float64Range(0.6, 60).Draw(t, "run")
		start := run * rapid.Float64Range(1.15, 6).Draw(t, "start over run")
		readings := []Ohms{read(t, c[0], c[1], run), read(t, c[0], c[2], start), read(t, c[1], c[2], run+start)}
		s, err := Sort(Leads{Readings: rapid.Permutation(readings).Draw(t, "order")})
		if err != nil {
			t.Fatal(err)
		}
		assert.Equal(t, []string{c[0], c[1], c[2]}, s.Windings[0].Leads)
		assert.Equal(t, fmt.Sprintf("%s is common, %s is run, %s is start.", c[0], c[1], c[2]), s.Verdict)
	})
}

// A thin pair beside any motor is told for what it is, and takes nothing from the sorting of the
// rest.
func TestAThinPairNeverSpoilsTheRest(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		c := shuffled(t)
		ohms := rapid.Float64Range(1.5, 40).Draw(t, "phase")
		readings := []Ohms{read(t, c[0], c[1], ohms), read(t, c[1], c[2], ohms), read(t, c[0], c[2], ohms)}
		alone, err := Sort(Leads{Readings: readings})
		if err != nil {
			t.Fatal(err)
		}
		thin := rapid.Float64Range(0.05, 0.8).Draw(t, "switch")
		with, err := Sort(Leads{Readings: append(readings, read(t, c[3], c[4], thin)),
			Thin: []string{strings.ToUpper(c[3]),
				c[4]}})
		if err != nil {
			t.Fatal(err)
		}
		assert.Equal(t, alone.Verdict, with.Verdict)
		assert.Contains(t, with.Thermal, c[3])
		assert.Contains(t, with.Thermal, c[4])
		assert.Empty(t, alone.Thermal)
	})
}

// Every lead that was read is in exactly one winding.
func TestEveryLeadIsSortedOnce(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		c := shuffled(t)
		var readings []Ohms
		named := map[string]bool{}
		for i := range rapid.IntRange(1, 9).Draw(t, "readings") {
			part := func(s string) string { return fmt.Sprint(s, i) }
			a, b := rapid.IntRange(0, 8).Draw(t, part("a")), rapid.IntRange(0, 8).Draw(t, part("b"))
			if a == b {
				continue
			}
			text := rapid.SampledFrom([]q.Text{"open", "OL", "0.2", "4.1", "4.2 Ω", "17", "310", "1.8 kΩ"}).Draw(t,
				part("ohms"))
			readings = append(readings, Ohms{c[a], c[b], text})
			named[c[a]], named[c[b]] = true, true
		}
		s, err := Sort(Leads{Readings: readings, Thin: c[:2]})
		if err != nil {
			t.Fatal(err)
		}
		seen := map[string]int{}
		for _, w := range s.Windings {
			assert.NotEmpty(t, w.Is)
			assert.True(t, len(w.Roles) == 0 || len(w.Roles) == len(w.Leads))
			for _, lead := range w.Leads {
				seen[lead]++
			}
		}
		for lead := range named {
			assert.Equal(t, 1, seen[lead], "%s in %+v", lead, s.Windings)
		}
		assert.NotEmpty(t, s.Verdict)
	})
}
