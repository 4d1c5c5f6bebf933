package line

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"

	"jiriki/core/control"
	"jiriki/core/motor"
)

// Every pair of a motor and a control is walked: what one would choose, what works too, and everything else
// refused, each with a reason.
func TestEveryPairSuitsOrSaysWhyNot(t *testing.T) {
	usual := map[motor.Kind][]control.Kind{
		motor.PermanentMagnetDC: {control.PhaseAngle, control.Chopper},
		motor.WoundDC: {control.PhaseAngle,
			control.Chopper},
		motor.Universal: {control.PhaseAngle, control.Chopper, control.Contactor},
		motor.ThreePhase: {control.Inverter,
			control.Contactor},
		motor.SplitPhase: {control.Contactor}, motor.CapacitorStart: {control.Contactor},
		motor.CapacitorRun:   {control.Contactor},
		motor.PermanentSplit: {control.CapacitorSet, control.Contactor}, motor.ShadedPole: {control.Contactor},
		motor.TwoSpeed:  {control.Contactor},
		motor.Brushless: {control.BrushlessDrive}, motor.Stepper: {control.StepperDriver},
		motor.Servo: {control.BrushlessDrive},
	}
	also := map[motor.Kind][]control.Kind{
		motor.PermanentMagnetDC: {control.VariableTransformer, control.SeriesResistor},
		motor.WoundDC: {control.VariableTransformer,
			control.SeriesResistor},
		motor.Universal:      {control.VariableTransformer, control.SeriesResistor},
		motor.CapacitorStart: {control.SinglePhaseInverter},
		motor.CapacitorRun:   {control.SinglePhaseInverter},
		motor.PermanentSplit: {control.SinglePhaseInverter, control.VariableTransformer},
		motor.ShadedPole:     {control.SinglePhaseInverter, control.VariableTransformer},
	}
	battery := map[motor.Kind][]control.Kind{
		motor.PermanentMagnetDC: {control.Chopper, control.Contactor, control.SeriesResistor},
		motor.WoundDC: {control.Chopper, control.Contactor,
			control.SeriesResistor},
		motor.Universal: {control.Chopper, control.Contactor, control.SeriesResistor},
		motor.Brushless: {control.BrushlessDrive},
		motor.Stepper:   {control.StepperDriver},
		motor.Servo:     {control.BrushlessDrive},
	}
	assert.Len(t, motor.Profiles(), len(usual))
	pairs := 0
	for _, m := range motor.Profiles() {
		assert.Equal(t, usual[m.Kind], Drives(m.Kind), m.Kind)
		for _, c := range control.Profiles() {
			ok, why := SuitsOn(c.Kind, m.Kind, false)
			assert.Equal(t, slices.Contains(usual[m.Kind], c.Kind) || slices.Contains(also[m.Kind], c.Kind), ok,
				"%s on %s", m.Kind, c.Kind)
			assert.Greater(t, len(why), 40, "%s on %s: a bare answer helps nobody", m.Kind, c.Kind)
			ok, why = SuitsOn(c.Kind, m.Kind, true)
			assert.Equal(t, slices.Contains(battery[m.Kind], c.Kind), ok, "%s on %s from a battery", m.Kind, c.Kind)
			assert.Greater(t, len(why), 40, "%s on %s from a battery", m.Kind, c.Kind)
			pairs++
		}
		for _, match := range m.Controls {
			assert.NotEmpty(t, control.Kind(match.Control).Profile().Name, "%s takes %s, which is no control", m.Kind,
				match.Control)
		}
	}
	assert.Equal(t, 130, pairs)
}

// What is no kind suits nothing, and nothing suits it.
func TestWhatIsNoKindSuitsNothing(t *testing.T) {
	for _, battery := range []bool{false, true} {
		for _, m := range append(motor.Profiles(), motor.Profile{Kind: "steam"}, motor.Profile{}) {
			for _, c := range []control.Kind{"", "rope"} {
				ok, why := SuitsOn(c, m.Kind, battery)
				assert.False(t, ok, "%s on %s", m.Kind, c)
				assert.NotEmpty(t, why)
			}
		}
		for _, c := range control.Profiles() {
			for _, m := range []motor.Kind{"", "steam"} {
				ok, why := SuitsOn(c.Kind, m, battery)
				assert.False(t, ok, "%s on %s", m, c.Kind)
				assert.NotEmpty(t, why)
			}
		}
	}
}
