package motor

import "math"

// Bound names what holds a torque down.
type Bound string

// The limits that can bind, in the words shown.
const (
	NoBound       Bound = ""
	MotorHeat     Bound = "motor heat"
	FanSlowed     Bound = "motor heat, its fan slowed with the shaft"
	Magnets       Bound = "3 × plate amps, to spare the magnets"
	DriveAmps     Bound = "the drive's amps"
	CurrentLimit  Bound = "the current limit"
	TopVolts      Bound = "the volts the drive can give"
	WeakField     Bound = "the weaker field above base hertz"
	BreakdownHeld Bound = "breakdown torque"
	StartTorque   Bound = "starting torque on the line"
)

// Way is how a motor is fed.
type Way string

// The ways a control can feed a motor.
const (
	DirectCurrent Way = "dc"       // adjustable DC volts
	VariableHertz Way = "inverter" // three phases of adjustable hertz and volts
	OnTheLine     Way = "line"     // switched straight to the supply
)

// Feed is what reaches the motor's terminals from control and supply together.
type Feed struct {
	Way        Way
	Volts      float64 // the most there is: DC average, or AC rms between lines
	Hertz      float64 // the line's, when on the line
	BaseHertz  float64 // inverter: where full volts are reached
	BaseVolts  float64 // inverter: volts at BaseHertz
	TopHertz   float64 // inverter
	FormFactor float64 // ≥ 1; heating goes with its square
	Amps       float64 // the control may give for ever; +Inf on a plain switch
	PeakAmps   float64 // for some seconds
	LimitAmps  float64 // the current limit as set; +Inf when there is none
	Slowest    float64 // slowest steady speed as a share of full
	TopTrim    float64 // top speed as a share of plate speed
}

// Held is a torque and what binds there.
type Held struct {
	Torque float64 // N·m at the motor shaft, ≥ 0
	By     Bound
}

// Model is a motor on a feed, asked for torque at speed.
type Model struct {
	motor *Resolved
	feed  Feed
}

// On returns the motor's model on a feed. The motor must be Ready.
func (m *Resolved) On(f Feed) *Model { return &Model{m, f} }

// FixedSpeed reports whether the motor only runs near one speed.
func (m *Model) FixedSpeed() bool { return m.feed.Way == OnTheLine }

// Span returns the slowest and fastest steady speeds, rad/s. For a motor on the line it is the
// thin band from full load to no load.
func (m *Model) Span() (low, high float64) {
	switch m.feed.Way {
	case DirectCurrent:
		dc := m.motor.DC
		free := (m.feed.Volts - dc.Friction.Value/dc.Ke.Value*dc.Resistance.Value) / dc.Ke.Value
		high = math.Min(free, m.feed.TopTrim*m.motor.Speed.Value)
		return high * m.feed.Slowest, math.Max(high, 0)
	case VariableHertz:
		high = m.omegaAt(m.feed.TopHertz)
		full := m.omegaAt(m.feed.BaseHertz)
		if full <= 0 || full > high {
			// Volts too low to reach a base speed above the slip: the top is all there is.
			full = high
		}
		return full * m.feed.Slowest, high
	}
	sync := synchronous(m.feed.Hertz, m.motor.Induction.Poles.Value)
	return sync * (1 - m.motor.Induction.Slip), sync
}

// omegaAt is the loaded speed at so many hertz: the slip in rpm stays as at rated load.
func (m *Model) omegaAt(hertz float64) float64 {
	p := m.motor.Induction
	return synchronous(hertz, p.Poles.Value) - p.Slip*m.motor.Synchronous()
}

// Steady returns the torque held at speed omega while the winding heats overload² times as it
// does at rated load: 1 is for ever, more is for a part of the time.
func (m *Model) Steady(omega, overload float64) Held {
	heat, cold := m.steadyLimits(omega)
	heat.Torque *= overload
	return floorZero(least(least(heat, cold), m.Peak(omega)))
}

// Limits returns the three limits at speed omega together: for ever, for part of the time at an
// overload, and for some seconds. continuous ≤ intermittent ≤ peak.
func (m *Model) Limits(omega, overload float64) (continuous, intermittent, peak Held) {
	peak = m.Peak(omega)
	heat, cold := m.steadyLimits(omega)
	continuous = floorZero(least(least(heat, cold), peak))
	heat.Torque *= overload
	return continuous, floorZero(least(least(heat, cold), peak)), peak
}

// steadyLimits are what limits steady work: the motor's heat, which a rest relieves, and what no
// rest relieves, the drive's amps and pull-out.
func (m *Model) steadyLimits(omega float64) (heat, cold Held) {
	torque, fan := m.heatTorque(omega)
	heat = Held{torque, MotorHeat}
	if fan {
		heat.By = FanSlowed
	}
	cold = Held{m.torqueAt(m.feed.Amps, omega), DriveAmps}
	if m.feed.Way == VariableHertz {
		cold = least(cold, m.breakdown(omega, 1.3))
	}
	return heat, cold
}

// heatTorque is the continuous torque against heat alone, and whether the slowed fan lowers it.
func (m *Model) heatTorque(omega float64) (torque float64, fan bool) {
	cooling := Cooling(m.motor.Cooling, omega/m.motor.Speed.Value)
	torque = m.motor.Torque.Value * cooling / m.feed.FormFactor
	if m.feed.Way != DirectCurrent {
		torque *= math.Min(m.flux(omega), 1)
	}
	return torque, cooling < 1
}

// Cooling is the share of rated torque a motor can hold for ever at a share of its rated speed
// (≥ 0): 1 down to half speed, then evenly to 0.45 at standstill for one with its own fan
// [common practice]; 1 throughout for a blown or closed one.
func Cooling(cooling string, speedShare float64) float64 {
	if cooling != "own-fan" || speedShare >= 0.5 {
		return 1
	}
	return 0.45 + 0.55*speedShare/0.5
}

// Peak returns the torque for some seconds at speed omega.
func (m *Model) Peak(omega float64) Held {
	amps := math.Min(m.feed.PeakAmps, m.feed.LimitAmps)
	by := DriveAmps
	if m.feed.LimitAmps < m.feed.PeakAmps {
		by = CurrentLimit
	}
	held := Held{m.torqueAt(amps, omega), by}
	switch m.feed.Way {
	case DirectCurrent:
		dc := m.motor.DC
		held = least(held, Held{m.torqueAt(3*m.motor.Amps.Value, omega), Magnets})
		held = least(held, Held{m.torqueAt((m.feed.Volts-dc.Ke.Value*omega)/dc.Resistance.Value, omega), TopVolts})
	case VariableHertz:
		held = least(held, m.breakdown(omega, 1.1))
	case OnTheLine:
		// The band's lower edge belongs to the band, whatever rounding brought omega there.
		if low, _ := m.Span(); omega < low*(1-1e-9) {
			return floorZero(Held{m.LineTorque(omega), StartTorque})
		}
		held = least(held, m.breakdown(omega, 1.1))
	}
	return floorZero(held)
}

// Breakaway returns the torque at standstill, for starting under load.
func (m *Model) Breakaway() Held {
	if m.feed.Way == OnTheLine {
		return floorZero(Held{m.LineTorque(0), StartTorque})
	}
	low, _ := m.Span()
	if m.feed.Way == VariableHertz {
		return m.Peak(low)
	}
	return m.Peak(0)
}

// torqueAt is the torque made by so many amps. For an induction motor torque is taken in
// proportion to amps at a given flux [common practice].
func (m *Model) torqueAt(amps, omega float64) float64 {
	if math.IsInf(amps, 1) {
		return math.Inf(1)
	}
	if m.feed.Way == DirectCurrent {
		return m.motor.DC.Ke.Value*amps - m.motor.DC.Friction.Value
	}
	return m.motor.Torque.Value * math.Min(m.flux(omega), 1) * amps / m.motor.Amps.Value
}

// AmpsFor returns the motor amps that torque (N·m) takes at speed omega.
func (m *Model) AmpsFor(torque, omega float64) float64 {
	if m.feed.Way == DirectCurrent {
		return (torque + m.motor.DC.Friction.Value) / m.motor.DC.Ke.Value
	}
	return m.motor.Amps.Value * torque / (m.motor.Torque.Value * math.Max(math.Min(m.flux(omega), 1), 0.05))
}

// flux is the share of rated flux: volts per hertz against the plate's volts per hertz.
func (m *Model) flux(omega float64) float64 {
	rated := m.motor.Volts.Value / m.motor.Hertz.Value
	if m.feed.Way == OnTheLine {
		return m.feed.Volts / m.feed.Hertz / rated
	}
	ind := m.motor.Induction
	hertz := (omega + ind.Slip*m.motor.Synchronous()) * ind.Poles.Value / (4 * math.Pi)
	volts := math.Min(m.feed.Volts, m.feed.BaseVolts*math.Min(1, hertz/m.feed.BaseHertz))
	return math.Min(volts/hertz/rated, 1)
}

// breakdown is the pull-out torque at speed omega less a reserve; it goes with flux squared.
func (m *Model) breakdown(omega, reserve float64) Held {
	flux := m.flux(omega)
	by := BreakdownHeld
	if m.feed.Way == VariableHertz && flux < 0.98 {
		by = WeakField
	}
	return Held{m.motor.Induction.Breakdown * m.motor.Torque.Value * flux * flux / reserve, by}
}

// LineTorque is the torque on the line at any speed from standstill to synchronous: Kloss's
// relation, lifted between breakdown and standstill to meet the starting torque.
func (m *Model) LineTorque(omega float64) float64 {
	ind := m.motor.Induction
	slip := 1 - omega/synchronous(m.feed.Hertz, ind.Poles.Value)
	torque := kloss(slip, ind)
	if slip > ind.BreakdownSlip {
		part := (slip - ind.BreakdownSlip) / (1 - ind.BreakdownSlip)
		torque += (ind.Start - kloss(1, ind)) * part * part
	}
	flux := m.flux(omega)
	return torque * m.motor.Torque.Value * flux * flux
}

// kloss is torque as a multiple of rated at a slip; 0 at synchronous.
func kloss(slip float64, ind Induction) float64 {
	if slip <= 0 {
		return 0
	}
	return 2 * ind.Breakdown / (slip/ind.BreakdownSlip + ind.BreakdownSlip/slip)
}

// StallAmps is what a DC motor draws stalled across the feed's full volts.
func (m *Model) StallAmps() float64 { return m.feed.Volts / m.motor.DC.Resistance.Value }

func least(a, b Held) Held {
	if b.Torque < a.Torque {
		return b
	}
	return a
}

func floorZero(h Held) Held {
	if h.Torque < 0 {
		h.Torque = 0
	}
	return h
}

// HeatingTime is the winding's thermal time constant taken for a small motor, seconds
// [common practice].
const HeatingTime = 30 * 60

// Overload returns how far above its continuous torque a motor may work for on seconds out of
// every on+off, so that the winding ends each turn no hotter than continuous work makes it
// (first-order heating with torque squared), at most 3.
func Overload(on, off float64) float64 {
	if on <= 0 {
		return 3
	}
	share := -math.Expm1(-on/HeatingTime) / -math.Expm1(-(on+off)/HeatingTime)
	return math.Min(1/math.Sqrt(share), 3)
}
