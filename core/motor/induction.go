package motor

import (
	"math"

	q "jiriki/core/quantity"
	"jiriki/core/working"
)

// Induction holds the constants of an induction motor.
type Induction struct {
	Poles         Known
	Slip          float64 // at rated load, a share
	BreakdownSlip float64
	Breakdown     float64 // multiple of rated torque
	Start         float64 // multiple of rated torque
}

// lineLaw is an induction motor switched straight to its supply.
type lineLaw struct {
	m *Resolved
	f Feed
}

func (l *lineLaw) span() (low, high float64) {
	sync := synchronous(l.f.Hertz, l.m.Induction.Poles.Value)
	flux := l.flux()
	return sync * (1 - min(l.m.Induction.Slip/(flux*flux), l.m.Induction.BreakdownSlip)), sync
}

func (l *lineLaw) top() float64 { return synchronous(l.f.Hertz, l.m.Induction.Poles.Value) }

// flux is the share of rated flux: volts per hertz against the plate's volts per hertz.
func (l *lineLaw) flux() float64 {
	return l.f.Volts / l.f.Hertz / (l.m.Volts.Value / l.m.Hertz.Value)
}

func (l *lineLaw) steady(omega float64) (heat, cold Limited) {
	flux := l.flux()
	heat = l.m.heat(omega, &l.f, flux)
	if flux < 1 {
		// On fewer volts it gives its plate's slip so much less torque again; further behind it heats as it slips.
		heat.Torque *= flux
	}
	return heat, Limited{math.Inf(1), DriveAmps}
}

func (l *lineLaw) peak(omega float64) Limited {
	// The band's lower edge belongs to the band, whatever rounding brought omega there.
	if low, _ := l.span(); omega < low*(1-1e-9) {
		return Limited{l.runUp(omega), StartTorque}
	}
	flux := l.flux()
	return Limited{l.m.Induction.Breakdown * l.m.Torque.Value * flux * flux * l.sagged() / 1.1, BreakdownHeld}
}

// sagged is what is left of the torque at starting amps: it falls with the square of the volts lost on the way.
func (l *lineLaw) sagged() float64 { return (1 - l.f.Sag) * (1 - l.f.Sag) }

func (l *lineLaw) breakaway() Limited { return Limited{l.runUp(0) * l.sagged(), StartTorque} }

func (l *lineLaw) amps(torque, _ float64) float64 {
	return l.m.inductionAmps(torque, l.flux())
}

func (l *lineLaw) stall() float64 { return StartAmps(l.m) }

// StartAmps is what an induction motor draws on the line at rest, A, by its kind [common practice]: a split-phase one
// most, a capacitor spares some of it, and fan motors draw little.
func StartAmps(m *Resolved) float64 { return m.inrush() * m.Amps.Value }

// inrush is what an induction motor draws at rest on the line against its plate amps.
func (m *Resolved) inrush() float64 { return m.Kind.Profile().inrush }

// runUp is the torque on the line at any speed from standstill to synchronous: Kloss's relation,
// lifted between breakdown and standstill to meet the starting torque.
func (l *lineLaw) runUp(omega float64) float64 {
	ind := l.m.Induction
	slip := 1 - omega/synchronous(l.f.Hertz, ind.Poles.Value)
	torque := kloss(slip, ind)
	if slip > ind.BreakdownSlip && ind.BreakdownSlip < 1 {
		part := (slip - ind.BreakdownSlip) / (1 - ind.BreakdownSlip)
		torque += (ind.Start - kloss(1, ind)) * part * part
	}
	flux := l.flux()
	return torque * l.m.Torque.Value * flux * flux
}

func (l *lineLaw) strongest() float64 {
	return synchronous(l.f.Hertz, l.m.Induction.Poles.Value) * (1 - l.m.Induction.BreakdownSlip)
}

func (l *lineLaw) fall(_, omega float64) float64 {
	return 1 - omega/synchronous(l.f.Hertz, l.m.Induction.Poles.Value)
}

// inductionAmps takes amps in proportion to torque at a given flux [common practice].
func (m *Resolved) inductionAmps(torque, flux float64) float64 {
	return m.Amps.Value * torque / (m.Torque.Value * max(min(flux, 1), 0.05))
}

// kloss is torque as a multiple of rated at a slip; 0 at synchronous.
func kloss(slip float64, ind Induction) float64 {
	if slip <= 0 {
		return 0
	}
	return 2 * ind.Breakdown / (slip/ind.BreakdownSlip + ind.BreakdownSlip/slip)
}

// inverterLaw is an induction motor on adjustable hertz: volts in proportion to hertz up to base,
// weaker field above.
type inverterLaw struct {
	m *Resolved
	f Feed
}

func (l *inverterLaw) span() (low, high float64) {
	high = l.omegaAt(l.f.TopHertz)
	full := l.omegaAt(l.f.BaseHertz)
	if full <= 0 || full > high {
		// Volts too low to reach a base speed above the slip: the top is all there is.
		full = high
	}
	return min(full*l.f.Slowest, high), high
}

func (l *inverterLaw) top() float64 { return synchronous(l.f.TopHertz, l.m.Induction.Poles.Value) }

// omegaAt is the loaded speed at so many hertz: up to base the slip in rpm stays as at rated load, above it grows with
// the hertz, as the weaker field asks for more slip at the same amps.
func (l *inverterLaw) omegaAt(hertz float64) float64 {
	p := l.m.Induction
	return synchronous(hertz, p.Poles.Value) - p.Slip*l.m.Synchronous()*max(1, hertz/l.f.BaseHertz)
}

// hertzAt is [inverterLaw.omegaAt] the other way about.
func (l *inverterLaw) hertzAt(omega float64) float64 {
	ind := l.m.Induction
	slip := ind.Slip * l.m.Synchronous()
	if hertz := (omega + slip) * ind.Poles.Value / (4 * math.Pi); hertz <= l.f.BaseHertz {
		return hertz
	}
	return omega / (synchronous(1, ind.Poles.Value) - slip/l.f.BaseHertz)
}

// eaten is the share of the plate's volts that the winding's ohms take at rated amps, less what the usual boost of
// plain volts per hertz gives back [common practice]; a vector drive gives back all but a little.
const eaten = 0.03

// pullOutFlux is the flux breakdown goes by: at the slow end the winding's ohms eat a growing part of the volts.
func (l *inverterLaw) pullOutFlux(omega float64) float64 {
	flux := l.flux(omega)
	if l.f.Vector {
		return flux
	}
	volts := l.hertzAt(omega) / l.m.Hertz.Value // as a share of the plate's
	return flux * max(1-eaten/max(volts, eaten), 0)
}

// flux is the share of rated flux at a speed: volts per hertz against the plate's.
func (l *inverterLaw) flux(omega float64) float64 {
	hertz := l.hertzAt(omega)
	volts := min(l.f.Volts, l.f.BaseVolts*min(1, hertz/l.f.BaseHertz))
	return min(volts/hertz/(l.m.Volts.Value/l.m.Hertz.Value), 1)
}

// torque is what so many amps make, in proportion at a given flux [common practice].
func (l *inverterLaw) torque(amps, flux float64) float64 {
	if math.IsInf(amps, 1) {
		return amps
	}
	return l.m.Torque.Value * flux * amps / l.m.Amps.Value
}

// breakdown is the pull-out torque at a speed less a reserve; it goes with flux squared.
func (l *inverterLaw) breakdown(omega, reserve float64) Limited {
	by := BreakdownHeld
	if l.hertzAt(omega) > l.f.BaseHertz*(1+1e-9) {
		by = WeakField // below base hertz it is not the field's weakness, whatever the volts
	}
	flux := l.pullOutFlux(omega)
	return Limited{l.m.Induction.Breakdown * l.m.Torque.Value * flux * flux / reserve, by}
}

func (l *inverterLaw) steady(omega float64) (heat, cold Limited) {
	flux := l.flux(omega)
	return l.m.heat(omega, &l.f, flux), least(Limited{l.torque(l.f.Amps, flux), DriveAmps}, l.breakdown(omega, 1.3))
}

func (l *inverterLaw) peak(omega float64) Limited {
	amps, by := l.f.peakAmps()
	flux := l.flux(omega)
	return least(Limited{l.torque(amps, flux), by}, l.breakdown(omega, 1.1))
}

func (l *inverterLaw) breakaway() Limited {
	low, _ := l.span()
	return l.peak(low)
}

func (l *inverterLaw) amps(torque, omega float64) float64 {
	return l.m.inductionAmps(torque, l.flux(omega))
}

func (l *inverterLaw) stall() float64 { return StartAmps(l.m) }

func (l *inverterLaw) runUp(float64) float64 { return 0 }

func (l *inverterLaw) strongest() float64 { return 0 }

// fall is the slip, which grows with the torque and, in rpm, with the square of the field that is missing.
func (l *inverterLaw) fall(torque, omega float64) float64 {
	if l.f.Held > 0 {
		return l.f.Held
	}
	flux := max(l.flux(omega), 0.05)
	slip := l.m.Induction.Slip * l.m.Synchronous() * torque / (l.m.Torque.Value * flux * flux)
	return slip / (omega + slip)
}

func (m *Resolved) resolveInduction(poles Known, t readings) {
	if !m.Hertz.OK() {
		m.Hertz = Known{m.likelyHertz(), working.Assumed}
	}
	if !m.Speed.OK() && t.freeSpeed > 0 {
		// Running free an induction motor sits within a per cent of synchronous.
		poles = Known{NearestPoles(m.Hertz.Value, t.freeSpeed), working.Measured}
	}
	if !m.Speed.OK() {
		if !poles.OK() {
			m.need("plate.speed", "Speed or poles of the motor",
				"Read the plate, or run it free on the line and hold a tachometer to the shaft.")
			return
		}
		m.Speed = Known{synchronous(m.Hertz.Value, poles.Value) * 0.95, working.Assumed}
		m.widen(0.15)
	}
	if !poles.OK() {
		poles = Known{NearestPoles(m.Hertz.Value, m.Speed.Value), working.Computed}
	}
	m.Induction.Poles = poles
	sync := synchronous(m.Hertz.Value, poles.Value)
	m.Induction.Slip = 1 - m.Speed.Value/sync
	if m.Induction.Slip <= 0.0005 || m.Induction.Slip > 0.5 {
		m.need("plate.speed", "A speed that fits the poles and hertz",
			"An induction motor under load turns a few per cent slower than synchronous, "+q.Show(sync, q.Speed,
				q.Metric)+" here. Read the plate again or measure with a tachometer.")
		return
	}
	if !m.Volts.OK() {
		m.need("plate.volts", "Volts of the motor", "Read the plate or the label inside the terminal box, and how "+
			"the links are set.")
		return
	}
	profile := m.Kind.Profile()
	best := profile.best
	if !m.PowerFactor.OK() {
		m.PowerFactor = Known{m.impliedPowerFactor(), working.Assumed}
		best = bestOfAll * bestOfAll / m.PowerFactor.Value
	}
	m.powerFromBrake(t)
	m.settlePower(m.Volts.Value*m.PowerFactor.Value*m.rootPhases(), best)
	if !m.Power.OK() {
		return
	}
	m.Torque = Known{m.Power.Value / m.Speed.Value, working.Computed}
	m.Induction.Breakdown, m.Induction.Start = profile.breakdown, profile.start
	b := m.Induction.Breakdown
	m.Induction.BreakdownSlip = m.Induction.Slip * (b + math.Sqrt(b*b-1))
	if most := 0.95; m.Induction.BreakdownSlip > most {
		// So soft a motor is strongest near standstill, and by no more than carries the plate's torque at its speed.
		m.Induction.BreakdownSlip = most
		m.Induction.Breakdown = (m.Induction.Slip/most + most/m.Induction.Slip) / 2
	}
}

// bestOfAll is what neither power factor nor efficiency of a motor passes; a plate that names neither is doubted
// only past both [common practice].
const bestOfAll = 0.95

// impliedPowerFactor is what the plate's own watts ask for at the usual efficiency, or the kind's usual one.
func (m *Resolved) impliedPowerFactor() float64 {
	profile := m.Kind.Profile()
	if !m.PlatePower.OK() || !m.Amps.OK() {
		return profile.powerFactor
	}
	implied := m.PlatePower.Value / (m.Volts.Value * m.Amps.Value * m.rootPhases() * profile.usual)
	return min(max(implied, 0.6), bestOfAll)
}

// powerFromBrake finds rated power where plate has neither power nor amps: torque goes with slip
// up to full load, so a braked run at a known slip scales to the plate's slip.
func (m *Resolved) powerFromBrake(t readings) {
	if m.PlatePower.OK() || m.Amps.OK() {
		return
	}
	sync := m.Synchronous()
	for _, run := range t.loaded {
		slip := 1 - run.omega/sync
		if run.torque > 0 && slip > 0.002 && slip < 2*m.Induction.Slip {
			m.PlatePower = Known{run.torque * m.Induction.Slip / slip * m.Speed.Value, working.Measured}
			m.widen(0.1)
			return
		}
	}
}

func (m *Resolved) rootPhases() float64 {
	if m.Kind == ThreePhase {
		return math.Sqrt(3)
	}
	return 1
}

// synchronous speed in rad/s at so many hertz and poles.
func synchronous(hertz, poles float64) float64 { return 4 * math.Pi * hertz / poles }

// Synchronous returns the speed of the field at the plate's hertz, rad/s.
func (m *Resolved) Synchronous() float64 {
	return synchronous(m.Hertz.Value, m.Induction.Poles.Value)
}

// NearestPoles returns the pole count (2 to 24, even) whose synchronous speed lies next above
// omega (rad/s), allowing a reading half a per cent over synchronous.
func NearestPoles(hertz, omega float64) float64 {
	pairs := math.Floor(2 * math.Pi * hertz / (omega / 1.005))
	return 2 * min(max(pairs, 1), 12)
}

// usualSlip is what small induction motors slip by at their rated load, and how far about that most are, as a logarithm
// [common practice].
const (
	usualSlip  = 0.045
	slipSpread = 0.7
)

// likelyHertz is which of 50 and 60 Hz a plate without hertz is for: by how far behind a field its speed lies, within
// what
// its kind slips, and by its volts.
func (m *Resolved) likelyHertz() float64 {
	if m.byHertz(60) > m.byHertz(50) {
		return 60
	}
	return 50
}

// byHertz is how well a plate fits so many hertz; only to be compared.
func (m *Resolved) byHertz(hertz float64) float64 {
	weight := m.voltsFor(hertz)
	if omega := m.Speed.Value; omega > 0 {
		slip := 1 - omega/synchronous(hertz, NearestPoles(hertz, omega))
		if slip < leastSlip || slip > m.Kind.Profile().mostSlip {
			return 1e-3 * weight
		}
		off := math.Log(slip/usualSlip) / slipSpread
		weight *= math.Exp(-off * off / 2)
	}
	return weight
}

// leastSlip is under what an induction motor hardly turns at its rated load.
const leastSlip = 0.003

// voltsFor is how much its volts speak for so many hertz [common practice]: a pair of one to two is of the Americas,
// one to
// √3 of nearly everywhere else.
func (m *Resolved) voltsFor(hertz float64) float64 {
	const telling, unlikely = 4.0, 0.25
	speaks := func(sixty bool) float64 {
		if sixty == (hertz == 60) {
			return telling
		}
		return unlikely
	}
	volts, other := m.Volts.Value, m.OtherVolts
	if low, high := min(volts, other), max(volts, other); low > 0 {
		switch ratio := high / low; {
		case ratio > 1.9 && ratio < 2.1:
			return speaks(true)
		case ratio > 1.65 && ratio < 1.8:
			return speaks(false)
		}
	}
	switch {
	case volts >= 110 && volts <= 127, volts >= 200 && volts <= 210, volts >= 255 && volts <= 280,
		volts >= 440 && volts <= 480, volts >= 550 && volts <= 600:
		return speaks(true)
	case volts >= 375 && volts <= 420:
		return speaks(false)
	}
	return 1
}
