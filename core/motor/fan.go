package motor

import (
	"math"
	"sort"

	"gonum.org/v1/gonum/interp"
)

// Trial is a fan run on one capacitor: farads and rad/s, and the share of starts that succeeded.
type Trial struct{ Farads, Omega, Starts float64 }

// fanLaw is a permanent split capacitor motor that drives its own fan, slowed by a smaller
// capacitor. Such a fan's load goes with speed squared, so its torque at a speed is all there is
// to say: rated torque times (n/n_rated)². One that turns faster than the plate says is lighter than the motor is
// rated for: there it is no more than the motor has, which goes with slip.
type fanLaw struct {
	m *Resolved
	f Feed
}

func (l *fanLaw) span() (low, high float64) {
	trials := l.m.Trials
	if len(trials) == 0 {
		return l.m.Speed.Value * 0.95, l.m.Speed.Value
	}
	high = trials[len(trials)-1].Omega
	for _, t := range trials {
		if t.Starts >= 1 {
			return t.Omega, high
		}
	}
	return high, high
}

// top is the fastest it was seen to turn; its load does not come off.
func (l *fanLaw) top() float64 {
	_, high := l.span()
	return high
}

func (l *fanLaw) at(omega float64) Limited {
	share := omega / l.m.Speed.Value
	sync := l.m.Synchronous()
	left := max(sync-omega, 0) / (sync - l.m.Speed.Value)
	return Limited{l.m.Torque.Value * min(share*share, left), FanLoad}
}

func (l *fanLaw) steady(omega float64) (heat, cold Limited) { return l.at(omega), l.at(omega) }
func (l *fanLaw) peak(omega float64) Limited                { return l.at(omega) }
func (l *fanLaw) breakaway() Limited {
	return Limited{l.m.Induction.Start * l.m.Torque.Value, StartTorque}
}
func (l *fanLaw) amps(torque, omega float64) float64 { return l.m.inductionAmps(torque, 1) }
func (l *fanLaw) stall() float64                     { return StartAmps(l.m) }
func (l *fanLaw) runUp(float64) float64              { return 0 }
func (l *fanLaw) strongest() float64                 { return 0 }
func (l *fanLaw) fall(_, omega float64) float64 {
	return 1 - omega/synchronous(l.f.Hertz, l.m.Induction.Poles.Value)
}

// SpeedOn returns the fan's speed on a capacitor (farads) between those tried, rad/s, by a
// monotone cubic through the trials; false outside them or with fewer than two.
func (m *Resolved) SpeedOn(farads float64) (omega float64, ok bool) {
	n := len(m.Trials)
	if n < 2 || farads < m.Trials[0].Farads || farads > m.Trials[n-1].Farads {
		return 0, false
	}
	x, y := make([]float64, n), make([]float64, n)
	for i, t := range m.Trials {
		x[i], y[i] = t.Farads, t.Omega
	}
	var curve interp.FritschButland
	if err := curve.Fit(x, y); err != nil {
		return 0, false
	}
	return curve.Predict(farads), true
}

// FanPower is the share of power a fan takes at a share of its speed: n³.
func FanPower(speedShare float64) float64 { return speedShare * speedShare * speedShare }

// FanQuieter is how many decibels quieter a fan is at omega than at full, about 50·log10(n2/n1)
// [common practice].
func FanQuieter(speedShare float64) float64 { return 50 * math.Log10(speedShare) }

// believable drops trials as fast as the field turns at the plate's hertz (rad/s) or faster, and returns the fastest of
// those: no induction motor does that.
func believable(trials []Trial, sync float64) (kept []Trial, dropped float64) {
	for _, t := range trials {
		if t.Omega < sync {
			kept = append(kept, t)
		} else {
			dropped = max(dropped, t.Omega)
		}
	}
	return kept, dropped
}

// sortTrials puts trials in rising order of capacitor, one for each, and drops any that turn
// slower on a larger capacitor, which is a misreading.
func sortTrials(trials []Trial) []Trial {
	sort.SliceStable(trials, func(i, j int) bool { return trials[i].Farads < trials[j].Farads })
	var out []Trial
	for _, t := range trials {
		if n := len(out); n > 0 && (t.Farads == out[n-1].Farads || t.Omega <= out[n-1].Omega) {
			continue
		}
		out = append(out, t)
	}
	return out
}
