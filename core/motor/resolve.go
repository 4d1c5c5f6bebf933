package motor

import (
	"math"
	"strings"

	q "jiriki/core/quantity"
	"jiriki/core/working"
)

// Known is a value with how it came to be known. The zero Known is not known at all.
type Known struct {
	Value    float64
	Standing working.Standing
}

// OK reports whether the value is known in any way.
func (k Known) OK() bool { return k.Standing != "" }

// Need is something to read or measure before the motor can be judged.
type Need struct {
	Field string // below motor
	Title string
	How   string // what to do at the bench
}

// Fallbacks [common practice] where plate and bench are silent.
const (
	peakShare        = 0.7 // continuous part of a peak rating
	windingLossShare = 0.5 // part of plate loss that is I²R at rated current
)

// Resolved is a motor with every value either known, with its standing, or named in Needs.
// SI throughout: W, rad/s, V, A, Ω, V·s, N·m. Speeds and torques are the rotor's; Gear carries
// them to the output.
type Resolved struct {
	Kind           Kind
	Cooling        string
	Thermal        string // the thermal switch: unknown, none, wired, left-out
	Protector      string // none, self-reset, by-hand or empty
	PlatePower     Known  // as on the plate, before any doubt
	PowerMeans     string // continuous, intermittent, peak
	SteadyShare    float64
	Power          Known // continuous shaft power the plan may count on
	Speed          Known
	Volts          Known
	Amps           Known
	Hertz          Known
	PowerFactor    Known
	ServiceFactor  float64 // 0 when not on the plate
	Torque         Known   // continuous torque at Speed
	Efficiency     Known
	CapPower       float64 // the most shaft power volts and amps allow; 0 when either is missing
	bestShare      float64 // the most of what goes in that such a motor gives at its shaft
	Spread         float64 // how far off its torque may be, a share; 0 for a plate that can be trusted
	Guess          string  // what was guessed from, when Spread comes of a guess
	Frame          string  // as the plate has it
	Insulation     string  // class on the plate: A, E, B, F or H; B unless marked [common practice]
	Body           Size
	PlateAmps      float64 // A as read, which may be those of a peak; 0 where none were
	DriverVolts    float64 // V of a stepper's driver; 0 for any other kind
	Rotor          Known   // its moment of inertia, kg·m²
	Idling         float64 // N·m that turn against it without power, by its spin-downs; 0 where there are none
	CaseTime       float64 // s its case takes for two thirds of its rise, as measured; 0 when not
	CaseRise       float64 // K its case settles above the air at rated load, as measured; 0 when not
	typedKilowatts bool    // the plate's power was typed in kW
	Enclosure      string  // as its plate has it
	Capacitor      float64 // F, as its plate has it; 0 when not known
	CapacitorSort  string  // "film", "electrolytic" or ""
	CapacitorAC    float64 // AC volts marked on a run capacitor; 0 when not known
	OtherVolts     float64 // the other of a pair on the plate
	LinksTaken     bool    // nobody said which of the pair it is linked for
	Gear           Gear
	Clutch         ResolvedClutch

	DC         DC
	Series     Series
	Induction  Induction
	Steps      Steps
	Trials     []Trial // a fan on its capacitors, rising
	OffField   float64 // rad/s of the fastest trial that no motor of these poles and hertz can turn; 0 for none
	Fit        Fit
	OhmsSpread float64 // widest resistance reading over the narrowest, less one
	Needs      []Need
}

// Size is the outside of the motor in metres; zero where not given.
type Size struct{ Diameter, Length, Shaft float64 }

// Ready reports whether the motor can be asked for torque at a speed.
func (m *Resolved) Ready() bool { return len(m.Needs) == 0 }

// Resolve reads a described motor. Fields that cannot be used are refused on r; missing ones
// are worked out from the others, assumed by a rule of thumb, or listed in Needs.
func Resolve(d Described, r *q.Reader) Resolved {
	if d.Older != nil {
		d = d.Whole()
	}
	plate, body := r.Under("plate"), r.Under("body")
	point := d.Plate.pointOf()
	p := point.settings()
	m := Resolved{
		Kind:       Kind(r.Choice("kind", string(d.Kind), "", kinds.Names()...)),
		Cooling:    plate.Choice("cooling", p.Cooling, "own-fan", "own-fan", "blown", "closed"),
		Thermal:    r.Choice("thermalSwitch", d.ThermalSwitch, "unknown", "unknown", "none", "wired", "left-out"),
		Protector:  plate.Choice("protector", p.Protector, "", "none", "self-reset", "by-hand"),
		PowerMeans: plate.Choice("powerMeans", p.PowerMeans, "continuous", "continuous", "intermittent", "peak"),
	}
	own := m.readPlate(p, plate)
	m.otherVolts(point, plate.Choice("links", p.Links, "low", "low", "high"))
	m.LinksTaken = d.Plate.Links == ""
	m.Frame = d.Plate.Frame
	m.Body = Size{
		Diameter: body.Read("diameter", d.Body.Diameter, q.Length, q.Range{Min: 0.01, Max: 1}).Or(0),
		Length:   body.Read("length", d.Body.Length, q.Length, q.Range{Min: 0.01, Max: 2}).Or(0),
		Shaft:    body.Read("shaft", d.Body.Shaft, q.Length, q.Range{Min: 0.002, Max: 0.15}).Or(0),
	}
	m.CaseTime = body.Read("caseTime", d.Body.CaseTime, q.Duration, q.Range{Min: 60, Max: 6 * 3600}).Or(0)
	m.CaseRise = body.Read("caseRise", d.Body.CaseRise, q.Rise, q.Range{Min: 2, Max: 300}).Or(0)
	m.Rotor = read(body.Read("rotor", d.Body.Rotor, q.Inertia, q.Range{Min: 1e-8, Max: 100}))
	m.Gear = readGear(d.Gearbox, r.Under("gearbox"))
	if m.Gear.Output && m.Speed.OK() {
		m.Speed.Value *= m.Gear.Ratio
	}
	m.SteadyShare = 1
	if m.PowerMeans != "continuous" {
		if m.SteadyShare = steadyShare(p.Duty); m.SteadyShare == 1 {
			m.SteadyShare = peakShare
		}
	}
	tests := readReadings(d.Readings, r)
	m.OhmsSpread = tests.spreadOfOhms()
	m.Fit = tests.fit(m.Kind.Family(), m.firstGuess(), m.Rotor)
	switch m.Kind.Family() {
	case DCFamily:
		m.resolveDC(m.Fit)
	case SeriesFamily:
		m.resolveSeries(m.Fit)
	case StepperFamily:
		m.Steps = own.steps
		m.resolveStepper(tests)
	case InductionFamily:
		if m.Kind == TwoSpeed && p.RunsOn == "slow" {
			m.takeSecondSpeed(own.second)
		}
		m.resolveInduction(own.poles, tests)
		trials := tests.trials
		if m.Induction.Poles.OK() {
			trials, m.OffField = believable(trials, m.Synchronous())
		}
		m.Trials = sortTrials(trials)
	default:
		m.need("kind", "What kind of motor is it?", "Go by what can be seen and metered: What is it? asks for one "+
			"thing after another and names the kind.")
	}
	m.torqueOfPlate()
	if !m.Rotor.OK() {
		m.Rotor = m.Fit.Inertia.known()
	}
	m.guessRotor()
	m.Idling = tests.idling(m.Rotor.Value)
	m.readClutch(d.Clutch, r.Under("clutch"))
	return m
}

// torqueOfPlate is the torque that power and speed alone give, where the rest is not known yet.
func (m *Resolved) torqueOfPlate() {
	if m.Torque.OK() || !m.PlatePower.OK() || !m.Speed.OK() || m.Kind == Stepper {
		return
	}
	if !m.Power.OK() {
		m.Power = Known{m.PlatePower.Value * m.SteadyShare, working.Computed}
	}
	m.Torque = Known{m.Power.Value / m.Speed.Value, working.Computed}
}

// ownFields are plate entries that only some kinds have.
type ownFields struct {
	poles  Known
	second q.Value
	steps  Steps
}

// readPlate reads the quantities such a motor's plate has. What another kind's plate would have is
// kept but not read: it is not shown, so nothing typed there may stand in the way.
func (m *Resolved) readPlate(p Plate, r *q.Reader) ownFields {
	speeds := q.Range{Min: q.RPM, Max: 60000 * q.RPM}
	family := m.Kind.Family()
	var own ownFields
	r.Choice("column", p.Column, "first", "first", "second")
	r.Choice("runsOn", p.RunsOn, "fast", "fast", "slow")
	m.Insulation = r.Choice("insulation", p.Insulation, "B", "A", "E", "B", "F", "H")
	r.Choice("rotation", p.Rotation, "", "either", "clockwise", "anticlockwise")
	m.Volts = read(r.Read("volts", p.Volts, q.Voltage, q.Range{Min: 3, Max: 1000}))
	m.Amps = read(r.Read("amps", p.Amps, q.Current, q.Range{Min: 0.05, Max: 500}))
	m.ServiceFactor = r.Read("serviceFactor", p.ServiceFactor, q.Number, q.Range{Min: 1, Max: 2}).Or(0)
	if family == StepperFamily {
		own.steps = Steps{
			Holding: read(r.Read("holdingTorque", p.HoldingTorque, q.Torque, q.Range{Min: 1e-4, Max: 1e3})),
			PerTurn: r.Read("steps", p.Steps, q.Number, q.Range{Min: 4, Max: 4000}).Or(200),
			Henries: r.Read("inductance", p.Inductance, q.Inductance, q.Range{Min: 1e-5, Max: 10}).Or(0),
		}
		return own
	}
	m.PlatePower = read(r.Read("power", p.Power, q.Power, q.Range{Min: 0.1, Max: 50e3}))
	m.typedKilowatts = strings.HasSuffix(strings.ToLower(strings.TrimSpace(string(p.Power))), "kw")
	m.Speed = read(r.Read("speed", p.Speed, q.Speed, speeds))
	if family == DCFamily {
		m.DC.Henries = r.Read("inductance", p.Inductance, q.Inductance, q.Range{Min: 1e-5, Max: 10}).Or(0)
	}
	if family == InductionFamily || family == SeriesFamily {
		m.Hertz = read(r.Read("hertz", p.Hertz, q.Frequency, q.Range{Min: 10, Max: 400}))
		m.PowerFactor = read(r.Read("powerFactor", p.PowerFactor, q.Number, q.Range{Min: 0.2, Max: 1}))
	}
	if family == InductionFamily {
		poles := r.Read("poles", p.Poles, q.Number, q.Range{Min: 2, Max: 24})
		if poles.Known && math.Mod(poles.SI, 2) != 0 {
			r.Refuse("poles", string(p.Poles), "poles come in pairs: 2, 4, 6, 8 …")
			poles.Known = false
		}
		own.poles = read(poles)
	}
	if m.Kind == TwoSpeed {
		own.second = r.Read("secondSpeed", p.SecondSpeed, q.Speed, speeds)
	}
	m.Enclosure = strings.TrimSpace(p.Enclosure)
	if m.Kind.HasRunCapacitor() {
		m.CapacitorSort = r.Choice("capacitorSort", p.CapacitorSort, "", "film", "electrolytic")
		m.CapacitorAC = r.Read("capacitorVolts", p.CapacitorVolts, q.Voltage, q.Range{Min: 10, Max: 2000}).Or(0)
	}
	if m.Kind.HasCapacitor() {
		m.Capacitor = r.Read("capacitor", p.Capacitor, q.Capacitance, q.Range{Min: 1e-7, Max: 0.01}).Or(0)
	}
	return own
}

// firstGuess is where the fit of the readings sets out from: the plate, or a small motor.
func (m *Resolved) firstGuess() [constants]float64 {
	volts, amps := orElse(m.Volts, 100), orElse(m.Amps, 3)
	omega := orElse(m.Speed, 200)
	guess := [constants]float64{0.9 * volts / omega, 0.1 * volts / amps, 0.09 * volts / omega * amps, 1e-3}
	if m.Kind.Family() == SeriesFamily {
		guess[atKe] = 0.7 * volts / amps / omega
		guess[atLoss] = 0.1 * guess[atKe] * amps * amps
	}
	return guess
}

func orElse(k Known, other float64) float64 {
	if k.OK() {
		return k.Value
	}
	return other
}

// otherVolts is the other of a pair of volts on the plate.
func (m *Resolved) otherVolts(p Plate, links string) {
	other := p
	other.Links = map[string]string{"low": "high", "high": "low"}[links]
	if _, _, ok := pair(p.Volts); ok {
		if v, err := q.Parse(other.settings().Volts, q.Voltage); err == nil {
			m.OtherVolts = v
		}
	}
}

// takeSecondSpeed puts a two-speed motor on its slower winding: power in proportion to speed, the
// same torque on both [common practice].
func (m *Resolved) takeSecondSpeed(second q.Value) {
	if !second.Known {
		m.need("plate.secondSpeed", "The slower speed of the two",
			"Read it off the plate, or run it free on that winding with a tachometer.")
		return
	}
	if m.PlatePower.OK() && m.Speed.OK() && m.Speed.Value > 0 {
		m.PlatePower.Value *= second.SI / m.Speed.Value
	}
	m.Amps = Known{}
	m.Speed = Known{second.SI, working.Read}
}

// guessSpeed takes the speed from the body's class, and says that it is a guess.
func (m *Resolved) guessSpeed() bool {
	c, ok := m.class()
	if !ok || m.Kind != PermanentMagnetDC {
		return false
	}
	m.Speed, m.Guess = Known{c.speed, working.Assumed}, c.name
	m.widen(c.spread)
	return true
}

// withinRating holds a torque found from plate amps to what a peak or part-time rating leaves for
// all day: such a plate's amps are no more for ever than its power is.
func (m *Resolved) withinRating(torque Known) Known {
	if rated := m.Power.Value / m.Speed.Value; m.PowerMeans != "continuous" && torque.Value > rated {
		torque.Value = rated
	}
	return torque
}

// widen adds to how far off the torque may be; independent doubts add by squares.
func (m *Resolved) widen(share float64) {
	if share > 0 && !math.IsInf(share, 0) {
		m.Spread = min(math.Hypot(m.Spread, share), 0.9)
	}
}

// plateOff is how far off the constant is that a whole plate gives, for not telling where its losses are
// [common practice].
const plateOff = 0.1

// firm is a constant as the readings give it, unless a plate that is whole gives it more surely.
func (m *Resolved) firm(e Estimate) Known {
	whole := m.Spread == 0 && m.PlatePower.OK() && m.Speed.Standing == working.Read &&
		m.Volts.Standing == working.Read && m.Amps.Standing == working.Read
	if whole && e.Spread > plateOff {
		return Known{}
	}
	return e.known()
}

// tighten takes off how far the torque may be out what a reading of its constant makes sure. A reading never adds
// to it: what it does not speak of stays as the plate has it.
func (m *Resolved) tighten(e Estimate) {
	if e.Found() && m.Amps.Standing == working.Read && m.PowerMeans == "continuous" {
		m.Spread = min(m.Spread, e.Spread)
	}
}

func read(v q.Value) Known {
	if !v.Known {
		return Known{}
	}
	return Known{v.SI, working.Read}
}

func (m *Resolved) need(field, title, how string) {
	m.Needs = append(m.Needs, Need{field, title, how})
}

// peakAmps reports whether the plate's amps are those of a rating that is not for hours: of so many watts at the
// shaft for
// each amp at the best, they carry it. Amps that cannot are those for hours.
func (m *Resolved) peakAmps(wattsPerAmp float64) bool {
	return m.PowerMeans != "continuous" && m.PlatePower.OK() && m.Amps.OK() &&
		m.Amps.Value*wattsPerAmp >= m.PlatePower.Value
}

// settlePower fills power and amps from each other and holds power to what volts and amps
// can carry. inputPerAmp is the watts drawn per ampere, best the most of them that comes out at the shaft.
func (m *Resolved) settlePower(inputPerAmp, best float64) {
	eff := m.Kind.Profile()
	m.bestShare = best
	m.Power = m.PlatePower
	if m.Power.OK() && m.PowerMeans != "continuous" {
		m.Power = Known{m.PlatePower.Value * m.SteadyShare, working.Assumed}
		m.widen(0.15)
	}
	m.PlateAmps = m.Amps.Value
	switch {
	case m.peakAmps(inputPerAmp * best):
		// Volts and amps carry the peak, so that they are of it: for hours there is as much less of both.
		m.Amps = Known{m.PlateAmps * m.SteadyShare, working.Computed}
		m.CapPower = m.PlateAmps * inputPerAmp * best
	case m.Amps.OK():
		m.CapPower = m.Amps.Value * inputPerAmp * best
		if !m.Power.OK() {
			m.Power = Known{m.Amps.Value * inputPerAmp * eff.usual, working.Assumed}
			m.widen(0.15)
		} else if m.Power.Value > m.CapPower {
			m.Power = Known{m.CapPower, working.Computed}
		}
	case m.Power.OK():
		m.Amps = Known{m.Power.Value / (inputPerAmp * eff.usual), working.Assumed}
	default:
		m.need("plate.amps", "Amps or power of the motor",
			"Read either from the plate; or measure the amps while it drives a load it can hold for an hour without "+
				"the case passing about 70 °C.")
	}
	if m.Power.OK() && m.Amps.OK() {
		m.Efficiency = Known{m.Power.Value / (m.Amps.Value * inputPerAmp), working.Computed}
	}
}
