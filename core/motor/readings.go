package motor

import (
	"fmt"
	"math"
	"strings"

	q "jiriki/core/quantity"
)

// MostReadings bounds one motor's bench readings.
const MostReadings = 40

// run is a reading of the motor turning: volts, amps, rad/s and N·m, 0 where not read.
type run struct{ volts, amps, omega, torque float64 }

// readings are the bench tests in SI, by sort.
type readings struct {
	open, free, loaded, locked []run
	ohms                       []float64
	coasts                     []coast
	trials                     []Trial
	pullOut                    []TorqueAt
	freeSpeed                  float64 // of the first free run with a speed; 0 without
}

// idling is what spin-downs say turns against a rotor of an inertia (kg·m²) without power, N·m; 0 where there are none.
func (t readings) idling(rotor float64) float64 {
	sum := 0.0
	for _, c := range t.coasts {
		sum += rotor * (c.from - c.to) / c.seconds
	}
	return sum / math.Max(float64(len(t.coasts)), 1)
}

// coast is a spin-down from one speed to another, rad/s, in seconds.
type coast struct{ from, to, seconds float64 }

func readReadings(list []Reading, r *q.Reader) readings {
	var t readings
	if len(list) > MostReadings {
		r.Refuse("readings", fmt.Sprint(len(list)), fmt.Sprintf("at most %d readings", MostReadings))
		return t
	}
	for i, d := range list {
		t.take(d, r.At("readings", i))
	}
	return t
}

// take reads the fields that a reading of its sort has. One with something left out says nothing
// yet.
func (t *readings) take(d Reading, r *q.Reader) {
	speeds := q.Range{Min: q.RPM, Max: 60000 * q.RPM}
	volts := func() q.Value { return r.Read("volts", d.Volts, q.Voltage, q.Range{Min: 0.01, Max: 1000}) }
	amps := func() q.Value { return r.Read("amps", d.Amps, q.Current, q.Range{Min: 0.001, Max: 500}) }
	speed := func() q.Value { return r.Read("speed", d.Speed, q.Speed, speeds) }
	torque := func() q.Value { return r.Read("torque", d.Torque, q.Torque, q.Range{Min: 1e-5, Max: 1e4}) }
	switch r.Choice("sort", d.Sort, "", "open", "resistance", "free", "loaded", "locked", "spin-down", "capacitor",
		"pull-out") {
	case "open":
		if v, w := volts(), speed(); v.Known && w.Known {
			t.open = append(t.open, run{volts: v.SI, omega: w.SI})
		}
	case "resistance":
		if ohms := r.Read("ohms", d.Ohms, q.Resistance, q.Range{Min: 0.001, Max: 5000}); ohms.Known {
			t.ohms = append(t.ohms, ohms.SI)
		}
	case "free":
		v, a, w := volts(), amps(), speed()
		if a.Known || w.Known {
			t.free = append(t.free, run{volts: v.SI, amps: a.SI, omega: w.SI})
		}
		if w.Known && t.freeSpeed == 0 {
			t.freeSpeed = w.SI
		}
	case "loaded":
		v, a, w, m := volts(), amps(), speed(), torque()
		if w.Known && (a.Known || m.Known) {
			t.loaded = append(t.loaded, run{volts: v.SI, amps: a.SI, omega: w.SI, torque: m.SI})
		}
	case "locked":
		if v, a := volts(), amps(); v.Known && a.Known {
			t.locked = append(t.locked, run{volts: v.SI, amps: a.SI})
		}
	case "spin-down":
		from, to := speed(), r.Read("toSpeed", d.ToSpeed, q.Speed, q.Range{Min: 0, Max: speeds.Max})
		seconds := r.Read("time", d.Time, q.Duration, q.Range{Min: 0.05, Max: 3600})
		switch {
		case from.Known && to.SI >= from.SI:
			r.Refuse("toSpeed", string(d.ToSpeed), "coasting down it ends slower than it began")
		case from.Known && seconds.Known:
			t.coasts = append(t.coasts, coast{from.SI, to.SI, seconds.SI})
		}
	case "capacitor":
		farads, w := r.Read("capacitor", d.Capacitor, q.Capacitance, q.Range{Min: 1e-8, Max: 0.01}), speed()
		starts, ok := startShare(d.Starts)
		if !ok {
			r.Refuse("starts", d.Starts, "write it as 9 of 10")
		}
		if farads.Known && w.Known {
			t.trials = append(t.trials, Trial{farads.SI, w.SI, starts})
		}
	case "pull-out":
		if w, m := speed(), torque(); w.Known && m.Known {
			t.pullOut = append(t.pullOut, TorqueAt{w.SI, m.SI})
		}
	}
}

// startShare reads "9 of 10" as 0.9; empty counts as every time.
func startShare(text string) (float64, bool) {
	if strings.TrimSpace(text) == "" {
		return 1, true
	}
	n, m, ok := q.OutOf(text)
	if !ok {
		return 0, false
	}
	return float64(n) / float64(m), true
}

// any reports whether there is something to fit constants to.
func (t readings) any() bool {
	return len(t.open)+len(t.free)+len(t.loaded)+len(t.locked)+len(t.ohms)+len(t.coasts) > 0
}

// SpreadOfOhms is the widest resistance over the narrowest, less one; 0 with fewer than two.
func (t readings) spreadOfOhms() float64 {
	if len(t.ohms) < 2 {
		return 0
	}
	least, most := math.Inf(1), 0.0
	for _, r := range t.ohms {
		least, most = min(least, r), max(most, r)
	}
	return most/least - 1
}
