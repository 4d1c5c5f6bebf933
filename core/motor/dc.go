package motor

import (
	"math"

	"jiriki/core/working"
)

// DC holds the constants of a motor of the DC family.
type DC struct {
	Ke         Known   // V·s
	Resistance Known   // Ω
	Friction   Known   // N·m lost to brushes, bearings and windage, taken as constant
	Henries    float64 // of the armature; 0 when not known
	PlateKe    float64
	PlateR     float64
}

// dcLaw is the steady DC machine: V = K_e·ω + I·R, T = K_e·I − T_loss.
type dcLaw struct {
	m    *Resolved
	f    Feed
	most Limited // what its amps may make at any speed
	fast float64 // rad/s, the fastest under load
	fade float64 // share of K_e a kelvin takes of its magnets; 0 without any
}

func newDCLaw(m *Resolved, f Feed) *dcLaw {
	l := &dcLaw{m: m, f: f}
	amps, by := f.peakAmps()
	l.most = Limited{l.torque(amps), by}
	if m.Kind.Magnets() {
		l.most = least(l.most, Limited{l.torque(3 * m.Amps.Value), Magnets})
		l.fade = magnetFades
	}
	_, l.fast = l.span()
	return l
}

func (l *dcLaw) span() (low, high float64) {
	dc := &l.m.DC
	free := (l.f.Volts - dc.Friction.Value/dc.Ke.Value*l.ohms()) / dc.Ke.Value
	high = max(min(free, l.f.TopTrim*l.m.Speed.Value), 0)
	// How slowly it turns steadily goes by its rated speed: a lower top trim does not make it steadier.
	return min(max(min(free, l.m.Speed.Value), 0)*l.f.Slowest, high), high
}

func (l *dcLaw) top() float64 {
	dc, volts := &l.m.DC, l.f.topVolts(l.m.Volts.Value)
	amps := dc.Friction.Value / dc.Ke.Value
	free := (volts - amps*l.ohms()) / dc.Ke.Value
	if l.f.Rectified > 0 {
		free = max(free, climbsTo(l.f.crest(volts), amps, l.ohms())/dc.Ke.Value)
	}
	if l.f.Trimmed && l.f.HoldsSpeed {
		free = min(free, l.f.TopTrim*l.m.Speed.Value)
	}
	return free
}

func (l *dcLaw) torque(amps float64) float64 {
	if math.IsInf(amps, 1) {
		return amps
	}
	return l.m.DC.Ke.Value*amps - l.m.DC.Friction.Value
}

func (l *dcLaw) steady(omega float64) (heat, cold Limited) {
	return l.m.heat(omega, &l.f, 1), Limited{l.torque(l.f.Amps), DriveAmps}
}

func (l *dcLaw) peak(omega float64) Limited {
	by := TopVolts
	if l.f.Ohms > 0 {
		by = ResistorTakes
	}
	return least(l.most, Limited{l.torque((l.f.Volts - l.m.DC.Ke.Value*omega) / l.ohms()), by})
}

// ohms are the winding's and those of a resistor in series.
func (l *dcLaw) ohms() float64 { return l.m.DC.Resistance.Value + l.f.Ohms }

func (l *dcLaw) breakaway() Limited { return l.peak(0) }

func (l *dcLaw) amps(torque, _ float64) float64 {
	return (torque + l.m.DC.Friction.Value) / l.m.DC.Ke.Value
}

func (l *dcLaw) stall() float64 { return l.f.Volts / l.ohms() }

func (l *dcLaw) runUp(float64) float64 { return 0 }

func (l *dcLaw) strongest() float64 { return 0 }

// fall is what the ohms take of the volts, more of them the fewer volts there are.
func (l *dcLaw) fall(torque, omega float64) float64 {
	if l.f.Held > 0 {
		return l.f.Held
	}
	idle := l.amps(0, omega)
	lost := (l.amps(torque, omega) - idle) * l.ohms()
	return lost / (l.m.DC.Ke.Value*omega + lost)
}

func (m *Resolved) resolveDC(fit Fit) {
	if !m.Volts.OK() {
		if !fit.Ke.Found() || !m.Speed.OK() {
			m.need("plate.volts", "Volts of the motor", "Read the plate, or the output rating of the drive it ran on.")
			return
		}
		m.Volts = Known{fit.Ke.Value * m.Speed.Value / 0.9, working.Assumed}
	}
	m.settlePower(m.Volts.Value, m.Kind.Profile().best)
	if !m.Amps.OK() {
		return
	}
	if !m.Speed.OK() && fit.Ke.Found() {
		drop := 0.1 * m.Volts.Value
		if fit.R.Found() {
			drop = m.Amps.Value * fit.R.Value
		}
		m.Speed = Known{(m.Volts.Value - drop) / fit.Ke.Value, working.Computed}
		if m.Speed.Value <= 0 {
			m.need("readings", "Resistance and open-circuit volts that agree",
				"The resistance reading leaves no volts to turn the motor. Measure it again with the leads taken off.")
			return
		}
	}
	if !m.Speed.OK() && !m.guessSpeed() {
		m.need("plate.speed", "Speed at the plate's volts",
			"Spin it at a known speed and read the volts at its open leads, or run it free at plate volts with a "+
				"tachometer on the shaft. Its body's diameter alone gives a guess.")
		return
	}
	m.settleDC(fit)
}

// settleDC finds K_e, R and friction. Two of them are unknown from a plate alone, so half the
// loss is taken to be in the winding; each bench reading replaces an assumption.
func (m *Resolved) settleDC(fit Fit) {
	volts, amps, omega := m.Volts.Value, m.Amps.Value, m.Speed.Value
	torque := m.Power.Value / omega
	// Ohms, and with them the stall, follow from the plate as it reads, a peak with a peak's amps.
	read, watts := amps, m.Power.Value
	if m.PlateAmps > amps {
		read, watts = m.PlateAmps, m.PlatePower.Value
	}
	loss := max(volts*read-watts, 0.02*volts*read)
	m.DC.PlateR = windingLossShare * loss / (read * read)
	m.DC.PlateKe = (volts - read*m.DC.PlateR) / omega

	m.DC.Resistance, m.DC.Ke = fit.R.known(), m.firm(fit.Ke)
	if !m.DC.Resistance.OK() {
		m.DC.Resistance = Known{m.DC.PlateR, working.Assumed}
		if left := volts - m.DC.Ke.Value*omega; m.DC.Ke.OK() && left > 0.02*volts && left < 0.5*volts {
			m.DC.Resistance = Known{left / read, working.Computed}
		}
	}
	if !m.DC.Ke.OK() {
		left := volts - read*m.DC.Resistance.Value
		if left <= 0.3*volts {
			m.need("readings", "A resistance that fits the plate",
				"At plate amps this resistance would eat most of the plate's volts. Measure again with the leads "+
					"off, brushes seated, turning the shaft a little between readings.")
			return
		}
		m.DC.Ke = Known{left / omega, working.Computed}
	}
	made := m.DC.Ke.Value * amps
	m.DC.Friction = fit.Loss.known()
	if !m.DC.Friction.OK() {
		m.DC.Friction = Known{made - torque, working.Computed}
		if m.DC.Friction.Value < 0 {
			m.DC.Friction = Known{0.05 * made, working.Assumed}
		}
	}
	m.Torque = m.withinRating(Known{made - m.DC.Friction.Value, working.Computed})
	if m.Torque.Value <= 0 {
		m.need("readings", "No-load amps below the plate's amps",
			"Running free it cannot draw as much as at full load. Measure it again with nothing on the shaft.")
	}
	m.tighten(fit.Ke)
}
