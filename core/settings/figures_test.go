package settings

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"jiriki/core/control"
	"jiriki/core/motor"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/work"
)

// What is set is a figure someone dials in: each by its number [common practice].
func TestFiguresToDialIn(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Control.LimitAmps, in.Plan.Control.Amps = "", "10 A"
	assert.Equal(t, "4.2\u202fA", setting(t, in, "Current limit").Value, "1.5 × the plate's 2.8 A, told by nobody")
	assert.Equal(t, "3.5\u202fA", setting(t, plantest.Transformed(), "Fuse out of it").Value, "1.25 × 2.8 A")

	fan := plantest.Switched()
	fan.Plan.Motor.Kind, fan.Plan.Control.Kind = motor.PermanentSplit, control.CapacitorSet
	assert.Equal(t, "460\u202fV AC or more", setting(t, fan, "Run capacitor, marked for").Value, "twice the line")
	fan.Plan.Supply.Volts, fan.Plan.Motor.Plate.Volts = "100 V", "100 V"
	assert.Equal(t, "250\u202fV AC or more", setting(t, fan, "Run capacitor, marked for").Value)
}

// A wheel with over 2 kJ in it coasts where no resistor takes them.
func TestAHeavyWheelCoasts(t *testing.T) {
	in := plantest.Inverted()
	wheel := func(kilograms q.Text) string {
		in.Machine.Jobs = []work.Job{{ID: "a", Name: "Wheel", Speed: work.SpeedBand{From: "60", To: "300"},
			Load: work.Load{By: work.ByInertia, Inertia: work.InertiaLoad{Within: "20 s", Parts: []work.Part{
				{Shape: "ring", Diameter: "0.9 m", Inside: "0.8 m", Mass: kilograms}}}}}}
		return setting(t, in, "Stop mode").Value
	}
	// By hand: J = m·(0.4² + 0.45²)/2, ½·J·31.4² is 89.4 J for each kilogram, and the rotor and wheels hold 33 J.
	assert.Equal(t, "ramp to stop", wheel("21.8 kg"))
	assert.Equal(t, "coast", wheel("22.2 kg"))
}
