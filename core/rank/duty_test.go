package rank

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/shelf"
	"jiriki/core/supply"
	"jiriki/core/work"
)

func salvaged(name string, kind motor.Kind, power, speed, volts, amps, hertz q.Text) shelf.Item {
	return onShelf(name, motor.Described{Kind: kind, ThermalSwitch: "none", Plate: motor.Plate{Power: power,
		Speed: speed, Volts: volts, Amps: amps, Hertz: hertz}})
}

// A wood bandsaw runs for hours at one speed that must not sag, in dust: of six salvaged motors the induction motors
// come first, and of each other it is said what speaks against it.
func TestAWoodBandsawTakesAnInductionMotor(t *testing.T) {
	in := plan.Input{
		Units: q.Metric,
		Machine: work.Machine{
			Kind: "bandsaw", Limits: work.Limits{Diameter: "380 mm", Rim: "turned"},
			Jobs: []work.Job{{
				ID: "rip", Name: "Ripping oak", Cut: work.Cut{Operation: "sawing", Material: "wood"}, Fall: "6 %",
				Speed: work.SpeedBand{From: "700", To: "900", Cover: "any"},
				Load:  work.Load{By: work.ByPower, Power: "430 W"}, Start: work.FromRest{How: "idle"},
			}},
		},
		Plan: plan.Plan{Supply: supply.Described{Volts: "230 V", Hertz: "50 Hz", Breaker: "16 A", Earthed: true}},
		Shelf: []shelf.Item{
			salvaged("vacuum cleaner's", motor.Universal, "1200 W", "20000 rpm", "230 V", "7.5 A", "50 Hz"),
			salvaged("treadmill's", motor.PermanentMagnetDC, "1.3 kW", "4000 rpm", "180 V", "9 A", ""),
			salvaged("pump's", motor.CapacitorRun, "0.9 kW", "2850 rpm", "230 V", "5.9 A", "50 Hz"),
			salvaged("washing machine's", motor.Universal, "500 W", "11000 rpm", "230 V", "4.1 A", "50 Hz"),
			salvaged("conveyor's", motor.ThreePhase, "0.9 kW", "1435 rpm", "230 V", "3.9 A", "50 Hz"),
			salvaged("scooter's", motor.PermanentMagnetDC, "700 W", "2900 rpm", "180 V", "4.9 A", ""),
		},
	}
	r := ranked(t, in)
	require.Len(t, r.Candidates, 6)
	for i, c := range r.Candidates {
		family := c.Kind.Family()
		assert.Equal(t, i < 2, family == motor.InductionFamily, "%d: %s", i+1, c.Name)
		assert.Equal(t, i < 2, len(c.Against) == 0, "%s: %v", c.Name, c.Against)
	}
	last := r.Candidates[5]
	assert.Equal(t, motor.Universal, last.Kind)
	assert.Contains(t, last.Against, "its brushes spark in the dust")
	assert.Len(t, last.Against, 3, "it sags, wears and sparks: %v", last.Against)
	assert.Contains(t, last.Against[0], "its speed falls by ")
	assert.NotEmpty(t, r.Why)
}

// Where it works for minutes, nothing falls short of its steadiness and there is no dust, brushes cost nothing.
func TestBrushesAreNothingAgainstMinutes(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Jobs[0].Duty = work.Duty{Kind: "cycle", On: "3 min", Off: "10 min"}
	assert.Empty(t, ranked(t, in).Candidates[0].Against)
	in.Machine.Jobs[0].Duty = work.Duty{}
	assert.Equal(t, []string{"its brushes wear over hours of work"}, ranked(t, in).Candidates[0].Against)
	in.Machine.Place.Dust = "yes"
	assert.Len(t, ranked(t, in).Candidates[0].Against, 2)
	in.Machine.Jobs[0].Fall = "1 %" // armature feedback holds 2 %
	assert.Len(t, ranked(t, in).Candidates[0].Against, 3)
}
