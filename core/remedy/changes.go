package remedy

import (
	"math"
	"reflect"

	"jiriki/core/control"
	q "jiriki/core/quantity"
	"jiriki/core/shelf"
	"jiriki/core/words"
)

// limitRemedies raise a current limit that is set lower than motor and drive bear.
func (h *Finder) limitRemedies() []Remedy {
	amps := h.usualLimit()
	if amps <= h.now.Feed.LimitAmps {
		return nil
	}
	c := h.in.Plan.Control
	c.LimitAmps = q.Written(amps, "A")
	return []Remedy{{Kind: "limit", Label: "Current limit to " + string(c.LimitAmps),
		Detail: "1.5 × plate amps, within the drive's own", Control: &c}}
}

// coolingRemedies blow air through a motor whose own fan slows with it.
func (h *Finder) coolingRemedies() []Remedy {
	if h.now.Motor.Cooling != "own-fan" {
		return nil
	}
	m, resolved := h.in.Plan.Motor, h.now.Motor
	m.Plate.Cooling, resolved.Cooling = "blown", "blown"
	return []Remedy{{Kind: "cooling", Label: "Fit a fan with its own supply",
		Detail: "the motor then keeps its rated torque down to a crawl", Motor: &m, resolved: &resolved}}
}

// chokeRemedies smooth a rectified current.
func (h *Finder) chokeRemedies() []Remedy {
	if h.now.Feed.FormFactor <= 1 || h.now.Control.Kind != control.PhaseAngle || h.now.Control.Choke {
		return nil
	}
	c := h.in.Plan.Control
	c.Choke = true
	return []Remedy{{Kind: "choke", Label: "Add a choke",
		Detail: "in the armature lead; smoother current heats the motor less", Control: &c}}
}

// trimRemedies are other top speeds: trims of the plate for a DC drive, top hertz for an inverter.
func (h *Finder) trimRemedies() []Remedy {
	var out []Remedy
	switch c := h.now.Control; {
	case c.DCDrive():
		for _, share := range []float64{0.65, 0.8, 1} {
			if math.Abs(share-c.TopTrim) < 0.005 {
				continue
			}
			changed := h.in.Plan.Control
			changed.TopTrim = q.Written(share*100, "%")
			out = append(out, Remedy{Kind: "trim", Label: "Trim to " + string(changed.TopTrim),
				Detail:  "of plate speed; torque stays, top speed moves",
				Control: &changed})
		}
	case c.Kind == control.Inverter: // one phase out never goes above plate hertz
		for _, hertz := range []float64{40, 50, 60, 75, 87, 100} {
			if math.Abs(hertz-h.now.Feed.TopHertz) < 0.5 || hertz < 0.6*h.now.Motor.Hertz.Value {
				continue
			}
			changed := h.in.Plan.Control
			changed.TopHertz = q.Written(hertz, "Hz")
			out = append(out, Remedy{Kind: "trim", Label: "Top at " + string(changed.TopHertz), Control: &changed,
				Detail: "in place of " + q.Show(h.now.Feed.TopHertz, q.Frequency, h.in.Units) +
					"; above base hertz torque falls off"})
		}
	}
	return out
}

// motorRemedies are the shelf's motors on the same pulleys, with a set current limit moved to
// suit each.
func (h *Finder) motorRemedies() []Remedy {
	h.ShelfTried = true
	var out []Remedy
	motors := h.in.Motors
	if motors == nil {
		motors = shelf.Motors(h.in.Shelf)
	}
	for i := range h.in.Shelf {
		item := &h.in.Shelf[i]
		m := &item.Motor
		if !item.Is(shelf.Motor) || item.State == "for-parts" || m.Name == h.in.Plan.Motor.Name &&
			reflect.DeepEqual(*m,
				h.in.Plan.Motor) {
			continue
		}
		resolved := &motors[i]
		r := Remedy{Kind: "motor", Label: "Use " + item.Called(), Detail: "from the shelf, on the same pulleys",
			Motor: m, resolved: resolved}
		amps := resolved.Amps.Value
		if h.now.Control.LimitAmps > 0 && amps > 0 {
			c := h.in.Plan.Control
			c.LimitAmps = q.Written(1.5*amps, "A")
			r.Control = &c
		}
		if drive := h.now.Control.Amps; drive > 0 && drive < amps {
			r.Detail += "; it would like " + words.A(q.Show(amps, q.Current, h.in.Units)) + " drive"
		}
		out = append(out, r)
	}
	return out
}
