package dryrun

import (
	"math"

	"jiriki/core/supply"
)

// Guards that act at once [common practice]: a breaker's magnet at so many times its rating, and a stepper that would
// take so many times what it pulls to follow its pulses.
const (
	breakerAtOnce    = 5.0
	breakerAtOnceNEC = 8.0
	lostBehind       = 2.0
	letsGo           = 0.002 // of the fastest, below which a drive that ramps down lets go
)

// atOnce is how many times its rating opens the breaker without delay.
func (r *run) atOnce() float64 {
	if r.Supply.Code == supply.NEC {
		return breakerAtOnceNEC
	}
	return breakerAtOnce
}

// watch sets up what is looked for within every step.
func (r *run) watch() {
	r.watches = []watch{
		{func() bool { return !r.stuck }, func(_ float64, y []float64) float64 { return r.sense * y[spindleSpeed] },
			r.stands},
		{func() bool { return r.stuck }, func(t float64, y []float64) float64 {
			m := r.moment(t, y)
			reaches := stuckPull(&m)
			if r.slipping {
				reaches = r.grip(y) * r.rel
			}
			return r.holds(t, y) - math.Abs(reaches)*r.turns*r.keeps
		}, func(float64) {}},
		{func() bool { return !r.slipping && r.slips }, func(t float64, y []float64) float64 {
			m := r.moment(t, y)
			return sticks*r.grip(y) - math.Abs(r.pulls(t, &m, y))
		}, func(float64) {}},
		{func() bool { return r.slipping }, func(_ float64, y []float64) float64 {
			return r.rel * (y[rotorSpeed] - r.turns*y[spindleSpeed])
		}, func(t float64) { r.log.add(t, Grips) }},
		{func() bool { return r.slipping && !r.rests }, func(_ float64, y []float64) float64 {
			return r.spin * y[rotorSpeed]
		}, func(float64) { r.y[rotorSpeed] = 0 }},
		{func() bool { return r.slipping && r.rests }, func(t float64, y []float64) float64 {
			m := r.moment(t, y)
			return m.Drag - math.Abs(m.Torque-r.grip(y)*r.rel)
		}, func(float64) {}},
		{func() bool { return !r.settled }, func(t float64, y []float64) float64 {
			r.settled = true
			m := r.moment(t, y)
			r.settled = false
			return math.Abs(m.Amps-y[current]) - 0.9*currentSettled*r.Motor.Amps.Value
		}, func(float64) {}},
		{func() bool { return r.single && r.starts }, func(_ float64, y []float64) float64 {
			return opensAt*r.field - math.Abs(y[rotorSpeed])
		}, func(t float64) { r.starts = false; r.log.add(t, WindingOut) }},
		{func() bool { return r.single && !r.starts }, func(_ float64, y []float64) float64 {
			return math.Abs(y[rotorSpeed]) - closesAt*r.field
		}, func(t float64) { r.starts = true; r.log.add(t, WindingIn) }},
		{func() bool { return !math.IsInf(r.rated, 1) && r.fed.On }, func(_ float64, y []float64) float64 {
			return tripsAt - y[drivePast]
		}, func(t float64) { r.trip(t, OverAmps) }},
		{func() bool { return r.overload && r.fed.On }, func(_ float64, y []float64) float64 {
			return relayTrips - y[relayHeat]
		}, func(t float64) { r.trip(t, RelayTrip) }},
		{func() bool { return r.inputs.breaker > 0 && r.fed.On }, func(t float64, y []float64) float64 {
			m := r.moment(t, y)
			return min(1-y[lineHeat]/lineTrips, r.atOnce()-r.lineAmps(&m)/r.inputs.breaker)
		}, func(t float64) { r.trip(t, BreakerTrip) }},
		{func() bool { return r.Control.SetsHertz() && r.fed.On }, func(_ float64, y []float64) float64 {
			return r.busHolds() - y[bus]
		}, func(t float64) { r.y[bus] = 0; r.trip(t, OverVolts) }},
		{func() bool { return r.stretched && r.fed.On }, func(_ float64, y []float64) float64 {
			return math.Abs(y[rotorSpeed]) - letsGo*r.full
		}, func(t float64) { r.stretched, r.ramping = false, false; r.off(t) }},
		{func() bool { return r.protects && !r.hot }, func(_ float64, y []float64) float64 {
			return r.limit - r.celsius(y[winding])
		}, r.opens},
		{func() bool { return r.hot && r.byItself }, func(_ float64, y []float64) float64 {
			return r.celsius(y[winding]) - (r.limit - cooler)
		}, r.closes},
		{func() bool { return r.battery > 0 && r.fed.On }, func(_ float64, y []float64) float64 {
			return r.battery - y[drained]
		}, func(t float64) { r.powerOn = false; r.trip(t, BatteryEmpty) }},
		{func() bool { return r.pulsed && r.fed.On }, func(t float64, y []float64) float64 {
			m := r.moment(t, y)
			return lostBehind - m.Behind
		}, func(t float64) { r.trip(t, LostStep) }},
	}
}
