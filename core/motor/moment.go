package motor

import "math"

// Fed is what reaches a motor at one moment of a dry run, and how warm it is by then.
type Fed struct {
	On      bool
	Set     float64 // what the control asks for, 0 to 1 of the most it gives as trimmed: volts, hertz, steps or speed
	Supply  float64 // share of the supply's volts that are there: 1, or less in a weak hour
	Inside  float64 // Ω of a battery behind the volts it rests at; 0 for the mains
	Rests   float64 // V those are
	Brake   float64 // Ω across a DC armature that is off; 0 for none
	Winding float64 // °C
	Case    float64 // °C
	Limit   float64 // °C its insulation allows a winding
	Carries bool    // the current has not settled yet: it is Amps, whatever the volts would push
	Amps    float64
	Loop    Loop
}

// Loop is what a control that steadies the speed asks of the motor, in shares: of its rated torque, Gain for each share
// of full speed that is missing, and Sum, which has added up until no more is missing than its speed is to fall by.
type Loop struct{ Gain, Sum float64 }

// asks is the torque a loop asks for with a share of full speed missing, a share of rated.
func (f *Fed) asks(missing float64) float64 { return f.Loop.Gain*missing + f.Loop.Sum }

// grows is what a loop's sum is to grow with: the share of full speed that is missing beyond the one it leaves under
// the torque it got, and where it got less or more than it asked for, that much back, so that its sum does not run
// away.
func (f *Fed) grows(missing, falls, asked, got float64) float64 {
	return missing - falls*f.Set*got + (got-asked)/f.Loop.Gain
}

// Moment is what a motor does at one speed as fed at a moment. Torque and Drag are at the rotor's shaft.
type Moment struct {
	Torque  float64 // N·m; under 0 where it brakes
	Drag    float64 // N·m ≥ 0 of its own friction, against whichever way it turns
	Amps    float64 // what a meter in its lead shows
	Heating float64 // rms amps over the plate's, squared, and as much more as a warm winding's ohms are
	Volts   float64 // at its terminals
	In      float64 // W into its terminals; under 0 where it gives back
	Copper  float64 // W that heat its windings and rotor bars
	Other   float64 // W of iron and of stray losses, beside its drag
	By      Limit   // what holds the torque; empty where it gives what its speed and setting ask
	Settle  float64 // s in which its current settles; 0 where that is at once
	Missing float64 // what a loop that steadies the speed adds up, a share of full speed; 0 where it is held elsewhere
	Behind  float64 // of a stepper: what it would take to follow its pulses, over what it pulls
	Out     float64 // W lost outside it in what its current passes: a series resistor, a brake resistor, a battery
}

// How a winding's ohms and a ferrite magnet's strength go with temperature, for each kelvin from the temperature their
// readings are taken at [copper: IEC 60028, from memory; ferrite: common practice].
const (
	copperGrows = 0.0039
	magnetFades = 0.002
	readAt      = 20 // °C
)

// warmOhms is how many times its ohms at [readAt] a winding has at a temperature (°C).
func warmOhms(celsius float64) float64 { return 1 + copperGrows*(celsius-readAt) }

// heating is what rms amps do to a winding at a temperature, in shares of what rated amps do to one as hot as its class
// allows.
func (m *Resolved) heating(amps float64, fed *Fed) float64 {
	share := amps / m.Amps.Value
	return share * share * Warmth(fed.Winding, fed.Limit)
}

// Warmth is how many times the ohms a winding has at its class's limit it has at a temperature, both °C.
func Warmth(celsius, limit float64) float64 {
	// Well past its class it has burnt, and what its ohms would be says nothing.
	return warmOhms(min(celsius, limit+burnt)) / warmOhms(limit)
}

// burnt is how far past its class a winding is not followed any more, K.
const burnt = 50

// DrawsFor is what the motor draws carrying a torque (N·m) at speed omega, both at the output: of an induction motor
// with the amps that magnetise it, which [Model.AmpsFor] leaves out as limits of torque do not go by them.
func (m *Model) DrawsFor(torque, omega float64) float64 {
	times := torque / m.gain / m.motor.Torque.Value
	switch l := m.law.(type) {
	case *inverterLaw:
		return m.motor.drawn(times, l.flux(omega*m.ratio))
	case *lineLaw, *fanLaw:
		return m.motor.drawn(times, 1)
	}
	return m.AmpsFor(torque, omega)
}

// HeatFor is what carrying a torque (N·m) at speed omega, both at the output, heats the winding by, a share of rated
// heat.
func (m *Model) HeatFor(torque, omega float64) float64 {
	times := torque / m.gain / m.motor.Torque.Value
	amps := m.AmpsFor(torque, omega) * m.formAt(omega)
	switch l := m.law.(type) {
	case *inverterLaw:
		amps = m.motor.warming(times, l.flux(omega*m.ratio))
	case *lineLaw, *fanLaw:
		amps = m.motor.warming(times, 1)
	}
	return square(amps / m.motor.Amps.Value)
}

// formAt is the form factor of the current at a speed of the output shaft, rad/s: its rms over what a meter shows.
func (m *Model) formAt(omega float64) float64 {
	if l, ok := m.law.(*dcLaw); ok {
		return l.f.formAt(max(omega, 0) * m.ratio / m.motor.Speed.Value)
	}
	return 1
}

// At is what the motor does with its rotor turning at omega (rad/s; under 0 against the way it is asked to turn).
func (m *Model) At(omega float64, fed *Fed) Moment { return m.moment(omega, fed) }

// idleDrag is what turns against a rotor without power where its friction is not known, of its rated torque [common
// practice].
const idleDrag = 0.01

// idling is what turns against a rotor without power, N·m, where no law of the kind knows it.
func (m *Resolved) idling() float64 {
	if m.Idling > 0 {
		return m.Idling
	}
	return idleDrag * m.Torque.Value
}

func (l *dcLaw) moment(omega float64, fed *Fed) Moment {
	dc := &l.m.DC
	ke, r := dc.Ke.Value*(1-l.fade*(fed.Case-readAt)), dc.Resistance.Value*warmOhms(fed.Winding)
	p := Moment{Drag: dc.Friction.Value}
	back := ke * omega
	outside := l.f.Ohms + fed.Inside
	most := l.f.Volts * fed.Supply
	if fed.Inside > 0 {
		most = fed.Rests * fed.Supply
	}
	switch {
	case !fed.On && fed.Brake > 0:
		outside = fed.Brake
		p.Amps = -back / (r + outside)
		p.Settle = dc.Henries / (r + outside)
	case fed.On:
		p.Amps, p.By, p.Missing = l.pushed(back, ke, r, outside, most, fed)
		if l.direct() {
			p.Settle = dc.Henries / (r + outside)
		}
	}
	settled := p.Amps
	if fed.Carries {
		p.Amps = fed.Amps
	}
	p.Torque = ke * p.Amps
	rms := l.f.formAt(max(omega, 0)/l.m.Speed.Value) * p.Amps
	p.Copper = rms * rms * r
	p.Heating = l.m.heating(rms, fed)
	p.Volts = back + settled*r
	p.Out = p.Amps * p.Amps * outside
	p.In = back*p.Amps + p.Copper
	if fed.Carries {
		p.Volts = back + settled*(r+outside) - p.Amps*outside
		p.In = p.Volts * p.Amps
	}
	return p
}

// direct reports whether the volts stand at the armature whatever its current: no drive shapes or limits it.
func (l *dcLaw) direct() bool {
	return l.f.Held == 0 && math.IsInf(l.f.LimitAmps, 1) && math.IsInf(l.f.PeakAmps, 1) && l.f.Kind == DirectCurrent
}

// pushed is the current the control drives against a back-EMF, from the volts there are at the most.
func (l *dcLaw) pushed(back, ke, r, outside, most float64, fed *Fed) (amps float64, by Limit, missing float64) {
	ohms := r + outside
	full := (most - back) / ohms
	top := most
	if l.f.Trimmed {
		top = min(most, l.f.TopTrim*l.m.Volts.Value)
	}
	asked := (fed.Set*top - back) / ohms
	if l.f.Held > 0 {
		missing = fed.Set - back/ke/l.fast
		asked = l.amps(fed.asks(missing)*l.m.Torque.Value, 0)
	}
	limit, limited := l.f.peakAmps()
	amps = asked
	if full < amps {
		amps, by = full, TopVolts
		if l.f.Ohms > 0 {
			by = ResistorTakes
		}
	}
	if limit < amps {
		amps, by = limit, limited
	}
	if amps < 0 && (!l.direct() || l.f.Rectified > 0) {
		amps = 0 // through a bridge or a drive of one quadrant current flows one way
	}
	if l.f.Held > 0 {
		missing = fed.grows(missing, l.f.Held, fed.asks(missing), l.torque(amps)/l.m.Torque.Value)
	}
	return amps, by, missing
}

func (l *seriesLaw) moment(omega float64, fed *Fed) Moment {
	p := Moment{Drag: l.m.Series.Friction.Value}
	if !fed.On {
		return p
	}
	r := l.m.Series.Resistance.Value * warmOhms(fed.Winding)
	forward := max(omega, 0)
	most := l.f.Volts * fed.Supply
	volts := fed.Set * min(most, l.f.topVolts(l.m.Volts.Value)*fed.Supply)
	if l.f.Kind == OnTheLine {
		volts = most
	}
	p.Amps = l.ampsThrough(r+l.f.Ohms, forward, volts)
	missing := 0.0
	if l.f.Held > 0 {
		_, high := l.span()
		missing = fed.Set - omega/high
		p.Amps = min(l.ampsThrough(r+l.f.Ohms, forward, most), l.amps(fed.asks(missing)*l.m.Torque.Value, 0))
	}
	if limit, by := l.f.peakAmps(); limit < p.Amps {
		p.Amps, p.By = limit, by
	}
	if l.f.Held > 0 {
		p.Missing = fed.grows(missing, l.f.Held, fed.asks(missing), l.torque(p.Amps)/l.m.Torque.Value)
	}
	made := l.m.Series.K.Value * min(p.Amps, l.full)
	p.Torque = made * p.Amps
	p.Copper = p.Amps * p.Amps * r
	p.Heating = l.m.heating(p.Amps, fed)
	p.Volts = math.Hypot(made*forward+p.Amps*(r+l.f.Ohms), p.Amps*l.x)
	p.Out = p.Amps * p.Amps * l.f.Ohms
	p.In = p.Torque*omega + p.Copper
	return p
}

// inductionLosses are what an induction motor loses at its rated load beside its slip, half of it in the stator's ohms
// and half in iron and strays [common practice]: Ω of all its phases together, and W.
func (m *Resolved) inductionLosses() (ohms, iron float64) {
	rated := m.Power.Value
	slip := m.Induction.Slip / (1 - m.Induction.Slip) * rated
	beside := max(rated*(1/m.Efficiency.Value-1)-slip, 0.02*rated)
	return windingLossShare * beside / (m.Amps.Value * m.Amps.Value), (1 - windingLossShare) * beside
}

// drawn is what an induction motor draws carrying a torque of so many times its rated one: its magnetising amps, which
// its power factor tells, beside those of the load; at rated load and over as [Resolved.inductionAmps] has it.
func (m *Resolved) drawn(times, flux float64) float64 {
	idle := m.idleShare() * flux
	load := times / max(min(flux, 1), 0.05)
	return m.Amps.Value * max(load, math.Sqrt(idle*idle+(1-idle*idle)*min(load*load, 1)))
}

// warming is the current by which an induction motor heats: up to rated load that of its torque, as the torque it holds
// for ever goes by, and never less than what magnetises it.
func (m *Resolved) warming(times, flux float64) float64 {
	return m.Amps.Value * max(times/max(min(flux, 1), 0.05), m.idleShare()*flux)
}

// idleShare is the share of its plate amps an induction motor draws with nothing on its shaft: the part that is out of
// step, most of which magnetises [common practice: nine tenths].
func (m *Resolved) idleShare() float64 {
	pf := min(m.PowerFactor.Value, 1)
	return 0.9 * math.Sqrt(1-pf*pf)
}

// turned finishes a moment of an induction motor: its torque taken from a field at so many rad/s, with a share of its
// rated flux.
func (m *Resolved) turned(p *Moment, omega, field, flux float64, fed *Fed) {
	ohms, iron := m.inductionLosses()
	stator := p.Amps * p.Amps * ohms
	p.Copper = stator + p.Torque*(field-omega)
	p.Other = iron * flux * flux
	p.In = p.Torque*field + stator + p.Other
	warms := p.Amps
	if times := math.Abs(p.Torque) / m.Torque.Value; p.Amps <= m.Amps.Value {
		warms = m.warming(times, flux)
	}
	p.Heating = m.heating(warms, fed)
}

func (l *lineLaw) moment(omega float64, fed *Fed) Moment {
	m := l.m
	if !fed.On {
		return Moment{Drag: m.idling()}
	}
	sync := l.top()
	slip := 1 - omega/sync
	amps := m.ampsAtSlip(math.Abs(slip)) * l.flux()
	// Cable and cord take their share of the volts by the amps that flow.
	there := fed.Supply * (1 - l.f.Sag*min(amps/StartAmps(m), 1))
	p := Moment{Volts: l.f.Volts * there, Amps: amps * there}
	torque := l.runUp(omega)
	if slip < 0 {
		torque = -l.runUp(2*sync - omega)
	}
	p.Torque = torque * there * there
	m.turned(&p, omega, sync, l.flux()*there, fed)
	return p
}

// ampsAtSlip is what an induction motor draws on its plate's volts at a slip ≥ 0: idling, rated at rated slip, and the
// usual inrush at rest, between them as the impedance of a rotor whose breakdown is where it is [Chapman, Electric
// Machinery Fundamentals, ch. 6, from memory].
func (m *Resolved) ampsAtSlip(slip float64) float64 {
	ind := &m.Induction
	at := func(slip float64) float64 {
		return math.Sqrt((1 + square(ind.BreakdownSlip/ind.Slip)) / (1 + square(ind.BreakdownSlip/slip)))
	}
	load := 0.0
	if slip > 0 {
		load = at(slip)
	}
	idle := m.idleShare()
	if slip > ind.Slip {
		// Lifted to the usual inrush at rest, beside what magnetises.
		part := (min(slip, 1) - ind.Slip) / (1 - ind.Slip)
		atRest := math.Sqrt(max(square(m.inrush())-idle*idle, 0) / (1 - idle*idle))
		load *= 1 + (atRest/at(1)-1)*part*part
	}
	return m.Amps.Value * math.Sqrt(idle*idle+(1-idle*idle)*load*load)
}

func square(x float64) float64 { return x * x }

func (l *inverterLaw) moment(omega float64, fed *Fed) Moment {
	m := l.m
	if !fed.On {
		return Moment{Drag: m.idling()}
	}
	low, _ := l.span()
	hertz := fed.Set * l.f.TopHertz
	field := synchronous(hertz, m.Induction.Poles.Value)
	// Where its limit holds the torque the drive lets its hertz follow the rotor, so flux goes by the rotor's speed.
	at := max(omega, min(low, field))
	flux := l.flux(at) * fed.Supply
	pull := l.pullOutFlux(at) * fed.Supply
	ind := &m.Induction
	slip := field - omega
	breakdown := ind.Breakdown * m.Torque.Value * pull * pull
	limitAmps, by := l.f.peakAmps()
	limit := l.torque(limitAmps, flux)
	x := math.Abs(slip) / (ind.BreakdownSlip * m.Synchronous())
	p, missing := Moment{Torque: breakdown}, 0.0
	switch {
	case l.f.Held > 0:
		// It knows its slip, and asks for torque by the speed that is missing.
		missing = (field - omega) / synchronous(l.f.TopHertz, ind.Poles.Value)
		slip = fed.asks(missing)
		if p.Torque = math.Abs(slip) * m.Torque.Value; p.Torque > breakdown {
			p.Torque, p.By = breakdown, BreakdownHeld
		}
	case x < 1 || limit > breakdown:
		p.Torque = 2 * breakdown * x / (1 + x*x)
	}
	if x >= 1 && l.f.Held == 0 {
		p.By = BreakdownHeld
	}
	if p.Torque > limit {
		p.Torque, p.By = limit, by
	}
	// The field that makes it: no further ahead than its torque asks.
	ahead := ind.Slip * m.Synchronous() * p.Torque / (m.Torque.Value * max(flux*flux, 1e-3))
	if l.f.Held == 0 {
		ahead = min(ahead, math.Abs(slip))
	}
	if slip < 0 {
		p.Torque, ahead = -p.Torque, -ahead
	}
	if l.f.Held > 0 {
		p.Missing = fed.grows(missing, l.f.Held, fed.asks(missing), p.Torque/m.Torque.Value)
	}
	p.Amps = min(m.drawn(math.Abs(p.Torque)/m.Torque.Value, flux), max(limitAmps, m.idleShare()*m.Amps.Value))
	p.Volts = min(l.f.Volts*fed.Supply, l.f.BaseVolts*min(1, max(hertz, 0)/l.f.BaseHertz))
	m.turned(&p, omega, omega+ahead, flux, fed)
	return p
}

func (l *fanLaw) moment(omega float64, fed *Fed) Moment {
	m := l.m
	if !fed.On {
		return Moment{Drag: m.idling()}
	}
	low, high := l.span()
	sync := m.Synchronous()
	runs := min(low+(high-low)*fed.Set, 0.99*sync)
	start, there := m.Induction.Start*m.Torque.Value, l.at(runs).Torque
	p := Moment{Volts: l.f.Volts * fed.Supply}
	if p.Torque = start + (there-start)*max(omega, 0)/runs; omega > runs {
		p.Torque = there * (sync - omega) / (sync - runs)
	}
	p.Torque *= fed.Supply * fed.Supply
	p.Amps = m.drawn(math.Abs(p.Torque)/m.Torque.Value, 1)
	m.turned(&p, omega, sync, 1, fed)
	return p
}

func (l *stepperLaw) moment(omega float64, fed *Fed) Moment {
	m := l.m
	if !fed.On {
		return Moment{Drag: m.idling()}
	}
	_, high := l.span()
	most := l.pullOut(math.Abs(omega)).Torque
	p := Moment{Amps: m.Amps.Value, Volts: l.f.Volts}
	// Its rotor is pulled into step by its angle, which a speed that is missing stands for here.
	p.Torque = fed.asks(fed.Set-omega/high) * m.Torque.Value
	if p.Behind = math.Abs(p.Torque) / max(most, 1e-9); p.Behind > 1 {
		p.Torque, p.By = math.Copysign(most, p.Torque), PullOut
	}
	p.Copper = m.Power.Value * (1/m.Efficiency.Value - 1)
	p.In = p.Torque*omega + p.Copper
	p.Heating = m.heating(p.Amps, fed)
	return p
}

// SetFor is what a control must ask for (0 to 1) for the rotor to turn at omega (rad/s) with little on it; over 1 where
// it does not get there. A motor on the line has no setting.
func (m *Model) SetFor(omega float64) float64 {
	switch l := m.law.(type) {
	case *lineLaw:
		return 1
	case *dcLaw:
		if l.f.Held == 0 {
			// It sets volts: those of the speed, and what the ohms take while it idles.
			return (l.m.DC.Ke.Value*omega + l.amps(0, 0)*l.ohms()) / l.f.topVolts(l.m.Volts.Value)
		}
	case *inverterLaw:
		return omega * l.m.Induction.Poles.Value / (4 * math.Pi) / l.f.TopHertz
	case *seriesLaw:
		if l.f.Kind == OnTheLine {
			return 1
		}
	case *fanLaw:
		if low, high := l.span(); high > low {
			return (omega - low) / (high - low)
		}
		return 1
	}
	_, high := m.span()
	return omega / high
}

// SetForHertz is what an inverter must ask for to give so many hertz; false for what is no inverter.
func (m *Model) SetForHertz(hertz float64) (float64, bool) {
	l, ok := m.law.(*inverterLaw)
	if !ok {
		return 0, false
	}
	return hertz / l.f.TopHertz, true
}

// Stiffness is how much torque a motor gives of itself on volts or hertz that stay, a share of rated, for each share
// of full
// speed that is missing: no loop round it is set up to be softer than that. It is 0 for motors that hold no speed of
// themselves.
func (m *Model) Stiffness() float64 {
	switch l := m.law.(type) {
	case *dcLaw:
		ke := l.m.DC.Ke.Value
		return ke * ke * l.fast / (l.ohms() * l.m.Torque.Value)
	case *inverterLaw:
		return synchronous(l.f.TopHertz, l.m.Induction.Poles.Value) / (l.m.Induction.Slip * l.m.Synchronous())
	}
	return 0
}

// FieldSpeed is how fast the field of a motor on the line turns, rad/s; 0 for any other.
func (m *Model) FieldSpeed() float64 {
	if l, ok := m.law.(*lineLaw); ok {
		return l.top()
	}
	return 0
}
