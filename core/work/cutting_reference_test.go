package work

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"

	q "jiriki/core/quantity"
)

// Source: Kienzle's tables as drill and turning handbooks carry them, from memory. C45 (2220,
// 0.14) with 2 mm depth and 0.2 mm feed: k_c = 2220·0.2^−0.14 = 2781 N/mm², F_c = 1112 N; at
// 100 m/min that is 1.85 kW.
func TestKienzleTurning(t *testing.T) {
	n := need(t, Job{Cut: Cut{"turning", "medium-steel", "carbide"},
		Speed: SpeedBand{By: "surface", Surface: "100 m/min",
			DiameterTo: "60 mm"},
		Load: Load{By: ByCutting, Cutting: CuttingLoad{Depth: "2 mm", Feed: "0.2 mm"}}})
	assert.InEpsilon(t, 2781e6, n.Cutting.Specific, 1e-3)
	assert.InEpsilon(t, 1112, n.Cutting.Force, 1e-3)
	assert.InEpsilon(t, 1854, n.Cutting.Power, 1e-3)
	assert.InEpsilon(t, 40e-6/60, n.Cutting.Removal, 1e-9, "2 × 0.2 mm at 100 m/min is 40 cm³/min")
}

// Derived: a two-lip drill's torque T = k_c·f·d²/8, and its power over its removal is k_c.
func TestDrillPowerOverRemovalIsItsSpecificForce(t *testing.T) {
	n := need(t, cut("drilling", "plain-steel", CuttingLoad{Diameter: "10 mm", Feed: "0.2 mm"}))
	c := n.Cutting
	assert.InEpsilon(t, c.Specific*0.2e-3*0.01*0.01/8, n.Torque, 1e-9)
	assert.InEpsilon(t, c.Specific, c.Power/c.Removal, 1e-9)
	assert.InEpsilon(t, 0.1e-3*math.Sin(59*math.Pi/180), c.Chip, 1e-9)
}

// Source: unit powers of inch handbooks, from memory, in hp for each in³/min at feeds near
// 0.010 in: plain steel 0.7–1.0, cast iron 0.3–0.6, brass 0.3–0.5, aluminium 0.2–0.35, alloy steel
// 1.0–1.5. Kienzle's figures must fall in the same ranges.
func TestUnitPowerCrossCheck(t *testing.T) {
	for material, span := range map[string][2]float64{
		"plain-steel": {0.7, 1.0}, "grey-iron": {0.3, 0.6}, "brass": {0.3, 0.5}, "aluminium": {0.2, 0.4},
		"alloy-steel": {1.0, 1.5},
	} {
		c := need(t, cut("turning", material, CuttingLoad{Diameter: "2 in", Depth: "0.1 in", Feed: "0.010 in"})).Cutting
		unit := c.Power / q.Horsepower / (c.Removal * 60 / math.Pow(0.0254, 3))
		assert.Truef(t, unit >= span[0] && unit <= span[1], "%s: %.2f hp", material, unit)
	}
}
