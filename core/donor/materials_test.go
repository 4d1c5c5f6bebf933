package donor

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
)

// What old machines are made of is warned of where it occurs.
func TestMaterialsAreWarnedOfWhereTheyOccur(t *testing.T) {
	for id, words := range map[string][]string{
		"Microwave oven": {"beryllia"}, "Garage-door opener": {"torsion springs", "trained"},
		"Tumble dryer": {"Gas line", "PCB"}, "Furnace or air-conditioner blower": {"Gas line", "mercury", "cadmium"},
		"Old lift, hoist or winch": {"asbestos", "cadmium", "lead"}, "Saw, planer or bench grinder": {"lead", "PCB"},
		"Farm machine: auger, dryer, feeder": {"asbestos", "Gas line"}, "Air compressor": {"PCB"},
	} {
		found := false
		for _, d := range All() {
			if d.Name != id {
				continue
			}
			found = true
			said := strings.Join(d.Hurts, " ")
			for _, word := range words {
				assert.Contains(t, said, word, id)
			}
		}
		assert.True(t, found, id)
	}
}
