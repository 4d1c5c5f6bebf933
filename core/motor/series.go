package motor

import (
	"math"

	q "jiriki/core/quantity"
	"jiriki/core/working"
)

// Series holds the constants of a series-wound motor.
type Series struct {
	K          Known // N·m/A², torque for each ampere squared
	Resistance Known // Ω, armature and field
	Reactance  Known // Ω on alternating current
	Friction   Known // N·m lost inside, taken as constant
}

// runaway is how far past plate speed a series motor's speeds are drawn; without a load it goes
// on climbing [common practice].
const runaway = 3

// fieldFull is the share of plate amps at which a series motor's field grows no more [common practice].
const fieldFull = 1.5

// seriesLaw is the series machine: T = k·I·φ − T_loss and E = k·φ·ω with φ the current, up to where the field is
// full. On alternating volts V² = (E + I·R)² + (I·X)²; direct current meets no reactance.
type seriesLaw struct {
	m    *Resolved
	f    Feed
	x    float64 // Ω
	full float64 // A at which the field grows no more
}

func newSeriesLaw(m *Resolved, f Feed) *seriesLaw {
	l := &seriesLaw{m: m, f: f, full: fieldFull * m.Amps.Value}
	if f.Kind != DirectCurrent {
		l.x = m.Series.Reactance.Value
	}
	if l.full == 0 {
		l.full = math.Inf(1)
	}
	return l
}

// ampsAt is the current that volts push at a speed.
func (l *seriesLaw) ampsAt(omega, volts float64) float64 {
	return l.ampsThrough(l.ohms(), omega, volts)
}

// ampsThrough is the same through so many ohms.
func (l *seriesLaw) ampsThrough(r, omega, volts float64) float64 {
	k := l.m.Series.K.Value
	if amps := volts / math.Hypot(k*omega+r, l.x); amps <= l.full {
		return amps
	}
	// Past the full field E is fixed: (R² + X²)·I² + 2·E·R·I + E² − V² = 0.
	e, z := k*l.full*omega, r*r+l.x*l.x
	return (math.Sqrt(e*e*r*r+z*(volts*volts-e*e)) - e*r) / z
}

// freeOn is the speed with nothing on the shaft on so many volts.
func (l *seriesLaw) freeOn(volts float64) float64 {
	idle := math.Sqrt(max(l.m.Series.Friction.Value, 1e-9) / l.m.Series.K.Value)
	return min(l.speedAt(idle, volts), runaway*l.m.Speed.Value)
}

// speedAt is the speed at which volts push a current short of the full field; 0 where they do not.
func (l *seriesLaw) speedAt(amps, volts float64) float64 {
	s := l.m.Series
	inStep := volts*volts/(amps*amps) - l.x*l.x
	if inStep <= 0 {
		return 0
	}
	return max((math.Sqrt(inStep)-l.ohms())/s.K.Value, 0)
}

// top lets the volts that a trim leaves drive it free: its speed is set by its load, which may be gone.
func (l *seriesLaw) top() float64 {
	free := l.freeOn(l.f.topVolts(l.m.Volts.Value))
	if l.f.Trimmed && l.f.HoldsSpeed {
		free = min(free, l.f.TopTrim*l.m.Speed.Value)
	}
	return free
}

func (l *seriesLaw) span() (low, high float64) {
	free := l.freeOn(l.f.Volts)
	if l.f.Kind == OnTheLine {
		// From where it carries its rated torque, or as near as the volts allow.
		return min(max(l.speedAt(l.m.ratedSeriesAmps(), l.f.Volts), 0.2*free), free), free
	}
	high = min(free, l.f.TopTrim*l.m.Speed.Value)
	return min(min(free, l.m.Speed.Value)*l.f.Slowest, high), high
}

// ratedSeriesAmps is the current that makes rated torque.
func (m *Resolved) ratedSeriesAmps() float64 {
	return math.Sqrt((m.Torque.Value + m.Series.Friction.Value) / m.Series.K.Value)
}

func (l *seriesLaw) torque(amps float64) float64 {
	if math.IsInf(amps, 1) {
		return amps
	}
	if amps < 0 {
		return -l.m.Series.Friction.Value
	}
	return l.m.Series.K.Value*amps*min(amps, l.full) - l.m.Series.Friction.Value
}

// most is the torque the volts can push at a speed.
func (l *seriesLaw) most(omega float64) Limited {
	by := TopVolts
	if l.f.Kind == OnTheLine {
		by = LineVolts
	}
	if l.f.Ohms > 0 {
		by = ResistorTakes
	}
	return Limited{l.torque(l.ampsAt(omega, l.f.Volts)), by}
}

func (l *seriesLaw) steady(omega float64) (heat, cold Limited) {
	return l.m.heat(omega, &l.f, 1), least(Limited{l.torque(l.f.Amps), DriveAmps}, l.most(omega))
}

func (l *seriesLaw) peak(omega float64) Limited {
	amps, by := l.f.peakAmps()
	available := least(Limited{l.torque(amps), by}, l.most(omega))
	// Commutation gives out long before the volts do at rest.
	return least(available, Limited{l.torque(3 * l.m.ratedSeriesAmps()), MotorHeat})
}

func (l *seriesLaw) breakaway() Limited { return l.peak(0) }

func (l *seriesLaw) amps(torque, _ float64) float64 {
	squared := max(torque+l.m.Series.Friction.Value, 0) / l.m.Series.K.Value
	if squared > l.full*l.full {
		return squared / l.full
	}
	return math.Sqrt(squared)
}

func (l *seriesLaw) stall() float64 { return l.ampsAt(0, l.f.Volts) }

// ohms are the winding's and those of a resistor in series.
func (l *seriesLaw) ohms() float64 { return l.m.Series.Resistance.Value + l.f.Ohms }

func (l *seriesLaw) runUp(omega float64) float64 {
	if l.f.Kind != OnTheLine {
		return 0
	}
	return l.peak(omega).Torque
}

func (l *seriesLaw) strongest() float64 { return 0 }

// fall is from the free speed on the volts that carry the load.
func (l *seriesLaw) fall(torque, omega float64) float64 {
	if l.f.Held > 0 {
		return l.f.Held
	}
	amps := l.amps(torque, omega)
	made := l.m.Series.K.Value * min(amps, l.full) * omega
	free := l.freeOn(math.Hypot(made+amps*l.ohms(), amps*l.x))
	return 1 - omega/max(free, omega)
}

// LightSpeed is the speed at part of rated torque (a share) on plate volts, alternating, rad/s.
func (m *Resolved) LightSpeed(share float64) float64 {
	s := m.Series
	amps := math.Sqrt((share*m.Torque.Value + s.Friction.Value) / s.K.Value)
	return newSeriesLaw(m, Feed{Kind: OnTheLine}).speedAt(amps, m.Volts.Value)
}

func (m *Resolved) resolveSeries(fit Fit) {
	if !m.Volts.OK() {
		m.need("plate.volts", "Volts of the motor", "Read the plate of the machine it came from; it usually has the "+
			"motor's.")
		return
	}
	if !m.PowerFactor.OK() {
		m.PowerFactor = Known{m.Kind.Profile().powerFactor, working.Assumed}
	}
	inStep := m.Volts.Value * m.PowerFactor.Value
	m.settlePower(inStep, m.Kind.Profile().best)
	if !m.Amps.OK() {
		return
	}
	if !m.Speed.OK() {
		m.need("plate.speed", "Speed under its load",
			"A series motor's speed means nothing without its load: measure both with a brake band, never run it bare.")
		return
	}
	omega, amps := m.Speed.Value, m.Amps.Value
	m.Series.Resistance = fit.R.known()
	if !m.Series.Resistance.OK() {
		loss := max(inStep*amps-m.Power.Value, 0.05*inStep*amps)
		m.Series.Resistance = Known{windingLossShare * loss / (amps * amps), working.Assumed}
	}
	m.Series.K = m.firm(fit.Ke)
	if !m.Series.K.OK() {
		left := inStep/amps - m.Series.Resistance.Value
		if left <= 0 {
			m.need("readings", "A resistance that fits the plate",
				"At plate amps this resistance would eat all the plate's volts. Measure across both brushes and "+
					"field in series.")
			return
		}
		m.Series.K = Known{left / omega, working.Computed}
	}
	pf := min(m.PowerFactor.Value, 1)
	m.Series.Reactance = Known{m.Volts.Value * math.Sqrt(1-pf*pf) / amps, m.PowerFactor.Standing}
	if m.Series.Reactance.Standing == working.Read {
		m.Series.Reactance.Standing = working.Computed
	}
	made := m.Series.K.Value * amps * amps
	m.Series.Friction = fit.Loss.known()
	if !m.Series.Friction.OK() {
		m.Series.Friction = Known{max(made-m.Power.Value/omega, 0.03*made), working.Computed}
	}
	m.Torque = m.withinRating(Known{made - m.Series.Friction.Value, working.Computed})
	if m.Torque.Value <= 0 {
		m.need("plate.power", "A power its amps can make",
			"By its volts, amps and ohms this motor makes no torque at "+q.Show(omega, q.Speed,
				q.Metric)+". Read the plate again.")
	}
	m.tighten(fit.Ke)
}
