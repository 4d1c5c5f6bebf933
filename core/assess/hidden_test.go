package assess_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"jiriki/core/assess/assesstest"
	"jiriki/core/control"
	"jiriki/core/motor"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/work"
)

// What was typed under a kind or a method that is not chosen is kept, not shown, and stands in
// nobody's way.
func TestWhatIsNotShownIsNotRead(t *testing.T) {
	const nonsense = q.Text("soup")
	in := plantest.Sound()
	before := assesstest.Of(t, in)
	p := &in.Plan.Motor.Plate
	p.Hertz, p.PowerFactor, p.Poles, p.HoldingTorque, p.Steps, p.SecondSpeed, p.Capacitor, p.CapacitorVolts = nonsense,
		nonsense, nonsense, nonsense, nonsense, nonsense, nonsense, nonsense
	in.Plan.Motor.Gearbox = motor.Gearbox{Sort: "none", Ratio: nonsense, Efficiency: nonsense, Limit: nonsense}
	in.Plan.Motor.Clutch = motor.Clutch{Engages: nonsense, Holds: nonsense}
	in.Plan.Motor.Readings = []motor.Reading{{Sort: "resistance", Volts: nonsense, Speed: nonsense, Starts: "soup"},
		{Volts: nonsense}}
	in.Plan.Control.BaseHertz, in.Plan.Control.TopHertz, in.Plan.Control.LowHertz, in.Plan.Control.Ohms,
		in.Plan.Control.Watts = nonsense, nonsense, nonsense, nonsense, nonsense
	in.Plan.Supply.Holds = nonsense
	in.Machine.Jobs[0].Speed.Surface, in.Machine.Jobs[0].Speed.Turns, in.Machine.Jobs[0].Speed.Lead = nonsense,
		nonsense, nonsense
	l := &in.Machine.Jobs[0].Load
	l.Scale.Radius, l.Cutting.Depth, l.Replaced.Power, l.Inertia.Within, l.Pull.Force, l.Screw.Lead = nonsense,
		nonsense, nonsense, nonsense, nonsense, nonsense
	l.Points = []work.Point{{Speed: nonsense}}
	assert.Equal(t, before.Headline, assesstest.Of(t, in).Headline)
	in.Plan.Control = control.Described{Kind: control.Contactor, Volts: nonsense, Amps: nonsense, LimitAmps: nonsense,
		TopTrim: nonsense, Accel: nonsense}
	assert.NotEmpty(t, assesstest.Of(t, in).Headline)

	// Shown, each is refused.
	in = plantest.Sound()
	in.Plan.Motor.Plate.Volts = nonsense
	assert.Equal(t, "motor.plate.volts", assesstest.Of(t, in).Entries[0].Field)
}
