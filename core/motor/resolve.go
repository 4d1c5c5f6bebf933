package motor

import (
	"math"

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

// Full-load efficiencies [common practice] by kind: the best a small one reaches, and the usual.
var efficiencies = map[Kind]struct{ best, usual float64 }{
	PermanentMagnetDC: {0.85, 0.75},
	ThreePhase:        {0.90, 0.78},
	CapacitorStart:    {0.75, 0.62},
}

// Fallbacks [common practice] where plate and bench are silent.
const (
	peakShare        = 0.7  // continuous part of a peak rating
	windingLossShare = 0.5  // part of plate loss that is I²R at rated current
	usualPowerFactor = 0.75 // induction at full load
)

// Resolved is a motor with every value either known, with its standing, or named in Needs.
// SI throughout: W, rad/s, V, A, Ω, V·s, N·m.
type Resolved struct {
	Kind        Kind
	Cooling     string
	Thermal     string // the thermal switch: unknown, none, wired, left-out
	PlatePower  Known  // as on the plate, before any doubt
	PowerIsPeak bool
	Power       Known // continuous shaft power the plan may count on
	Speed       Known
	Volts       Known
	Amps        Known
	Hertz       Known
	PowerFactor Known
	Torque      Known // continuous torque at Speed
	Efficiency  Known
	CapPower    float64 // the most shaft power volts and amps allow; 0 when either is missing
	Body        Size

	DC        DC        // filled for permanent-magnet DC
	Induction Induction // filled for induction kinds
	Needs     []Need
}

// Size is the outside of the motor in metres; zero where not given.
type Size struct{ Diameter, Length, Shaft float64 }

// DC holds the constants of a permanent-magnet motor.
type DC struct {
	Ke         Known // V·s
	Resistance Known // Ω
	Friction   Known // N·m lost to brushes, bearings and windage, taken as constant
	PlateKe    float64
	PlateR     float64
}

// Induction holds the constants of an induction motor.
type Induction struct {
	Poles         Known
	Slip          float64 // at rated load, a share
	BreakdownSlip float64
	Breakdown     float64 // multiple of rated torque
	Start         float64 // multiple of rated torque
}

// Ready reports whether the motor can be asked for torque at a speed.
func (m *Resolved) Ready() bool { return len(m.Needs) == 0 }

// Resolve reads a described motor. Fields that cannot be used are refused on r; missing ones
// are worked out from the others, assumed by a rule of thumb, or listed in Needs.
func Resolve(d Described, r *q.Reader) Resolved {
	plate, bench, body := r.Under("plate"), r.Under("bench"), r.Under("body")
	m := Resolved{
		Kind:        Kind(r.Choice("kind", string(d.Kind), "", string(PermanentMagnetDC), string(ThreePhase), string(CapacitorStart))),
		Cooling:     plate.Choice("cooling", d.Plate.Cooling, "own-fan", "own-fan", "blown", "closed"),
		Thermal:     r.Choice("thermalSwitch", d.ThermalSwitch, "unknown", "unknown", "none", "wired", "left-out"),
		PowerIsPeak: plate.Choice("powerMeans", d.Plate.PowerMeans, "continuous", "continuous", "peak") == "peak",
		PlatePower:  read(plate.Read("power", d.Plate.Power, q.Power, q.Range{Min: 1, Max: 50e3})),
		Speed:       read(plate.Read("speed", d.Plate.Speed, q.Speed, q.Range{Min: 10 * q.RPM, Max: 60000 * q.RPM})),
		Volts:       read(plate.Read("volts", d.Plate.Volts, q.Voltage, q.Range{Min: 3, Max: 1000})),
		Amps:        read(plate.Read("amps", d.Plate.Amps, q.Current, q.Range{Min: 0.05, Max: 500})),
		Hertz:       read(plate.Read("hertz", d.Plate.Hertz, q.Frequency, q.Range{Min: 10, Max: 400})),
		PowerFactor: read(plate.Read("powerFactor", d.Plate.PowerFactor, q.Number, q.Range{Min: 0.2, Max: 1})),
	}
	plate.Choice("insulation", d.Plate.Insulation, "", "A", "E", "B", "F", "H") // checked; heat comes with the dry run
	poles := plate.Read("poles", d.Plate.Poles, q.Number, q.Range{Min: 2, Max: 24})
	if poles.Known && math.Mod(poles.SI, 2) != 0 {
		plate.Refuse("poles", string(d.Plate.Poles), "poles come in pairs: 2, 4, 6, 8 …")
		poles.Known = false
	}
	m.Body = Size{
		Diameter: body.Read("diameter", d.Body.Diameter, q.Length, q.Range{Min: 0.01, Max: 1}).Or(0),
		Length:   body.Read("length", d.Body.Length, q.Length, q.Range{Min: 0.01, Max: 2}).Or(0),
		Shaft:    body.Read("shaft", d.Body.Shaft, q.Length, q.Range{Min: 0.002, Max: 0.15}).Or(0),
	}
	tests := readBench(d.Bench, bench)
	switch m.Kind {
	case PermanentMagnetDC:
		m.resolveDC(tests)
	case ThreePhase, CapacitorStart:
		m.resolveInduction(read(poles), tests)
	default:
		m.need("kind", "What kind of motor is it?", "Brushes and two leads: permanent-magnet DC. Three leads alike and no capacitor: three-phase. A capacitor and a click on spin-down: capacitor-start.")
	}
	return m
}

// readings are the bench tests in SI.
type readings struct {
	openKe, resistance, noLoadAmps, noLoadSpeed, noLoadVolts q.Value
}

func readBench(b Bench, r *q.Reader) readings {
	var t readings
	volts := r.Read("openVolts", b.OpenVolts, q.Voltage, q.Range{Min: 0.1, Max: 1000})
	spun := r.Read("spunSpeed", b.SpunSpeed, q.Speed, q.Range{Min: 10 * q.RPM, Max: 60000 * q.RPM})
	if volts.Known && spun.Known {
		t.openKe = q.Value{SI: volts.SI / spun.SI, Known: true}
	}
	t.resistance = r.Read("resistance", b.Resistance, q.Resistance, q.Range{Min: 0.001, Max: 5000})
	t.noLoadAmps = r.Read("noLoadAmps", b.NoLoadAmps, q.Current, q.Range{Min: 0.001, Max: 100})
	t.noLoadSpeed = r.Read("noLoadSpeed", b.NoLoadSpeed, q.Speed, q.Range{Min: 10 * q.RPM, Max: 60000 * q.RPM})
	t.noLoadVolts = r.Read("noLoadVolts", b.NoLoadVolts, q.Voltage, q.Range{Min: 1, Max: 1000})
	return t
}

func read(v q.Value) Known {
	if !v.Known {
		return Known{}
	}
	return Known{v.SI, working.Read}
}

func measured(v q.Value) Known {
	if !v.Known {
		return Known{}
	}
	return Known{v.SI, working.Measured}
}

func (m *Resolved) need(field, title, how string) {
	m.Needs = append(m.Needs, Need{field, title, how})
}

// settlePower fills power and amps from each other and holds power to what volts and amps
// can carry. inputPerAmp is the watts drawn per ampere.
func (m *Resolved) settlePower(inputPerAmp float64) {
	eff := efficiencies[m.Kind]
	m.Power = m.PlatePower
	if m.Power.OK() && m.PowerIsPeak {
		m.Power = Known{m.PlatePower.Value * peakShare, working.Assumed}
	}
	switch {
	case m.Amps.OK():
		m.CapPower = m.Amps.Value * inputPerAmp * eff.best
		if !m.Power.OK() {
			m.Power = Known{m.Amps.Value * inputPerAmp * eff.usual, working.Assumed}
		} else if m.Power.Value > m.CapPower {
			m.Power = Known{m.CapPower, working.Computed}
		}
	case m.Power.OK():
		m.Amps = Known{m.Power.Value / (inputPerAmp * eff.usual), working.Assumed}
	default:
		m.need("plate.amps", "Amps or power of the motor",
			"Read either from the plate; or measure the amps while it drives a load it can hold for an hour without the case passing about 70 °C.")
	}
	if m.Power.OK() && m.Amps.OK() {
		m.Efficiency = Known{m.Power.Value / (m.Amps.Value * inputPerAmp), working.Computed}
	}
}

func (m *Resolved) resolveDC(t readings) {
	measuredKe := m.measuredKe(t)
	if !m.Volts.OK() {
		if !measuredKe.OK() || !m.Speed.OK() {
			m.need("plate.volts", "Volts of the motor", "Read the plate, or the output rating of the drive it ran on.")
			return
		}
		m.Volts = Known{measuredKe.Value * m.Speed.Value / 0.9, working.Assumed}
	}
	m.settlePower(m.Volts.Value)
	if !m.Amps.OK() {
		return
	}
	if !m.Speed.OK() {
		if !measuredKe.OK() {
			m.need("plate.speed", "Speed at the plate's volts",
				"Spin it at a known speed and read the volts at its open leads, or run it free at plate volts with a tachometer on the shaft.")
			return
		}
		drop := m.Amps.Value * t.resistance.Or(0.1*m.Volts.Value/m.Amps.Value)
		m.Speed = Known{(m.Volts.Value - drop) / measuredKe.Value, working.Computed}
		if m.Speed.Value <= 0 {
			m.need("bench.resistance", "Resistance and open-circuit volts that agree", "The resistance reading leaves no volts to turn the motor. Measure it again with the leads taken off.")
			return
		}
	}
	m.fitDC(measuredKe, t)
}

// measuredKe is the back-EMF constant from the bench: open leads first, else a free run.
func (m *Resolved) measuredKe(t readings) Known {
	if t.openKe.Known {
		return measured(t.openKe)
	}
	volts := t.noLoadVolts.Or(m.Volts.Value)
	if t.noLoadSpeed.Known && volts > 0 {
		drop := t.noLoadAmps.Or(0) * t.resistance.Or(0)
		if ke := (volts - drop) / t.noLoadSpeed.SI; ke > 0 {
			return Known{ke, working.Measured}
		}
	}
	return Known{}
}

// fitDC finds K_e, R and friction. Two of them are unknown from a plate alone, so half the
// loss is taken to be in the winding; each bench reading replaces an assumption.
func (m *Resolved) fitDC(ke Known, t readings) {
	volts, amps, omega := m.Volts.Value, m.Amps.Value, m.Speed.Value
	torque := m.Power.Value / omega
	loss := math.Max(volts*amps-m.Power.Value, 0.02*volts*amps)
	m.DC.PlateR = windingLossShare * loss / (amps * amps)
	m.DC.PlateKe = (volts - amps*m.DC.PlateR) / omega

	m.DC.Resistance = measured(t.resistance)
	if !m.DC.Resistance.OK() {
		m.DC.Resistance = Known{m.DC.PlateR, working.Assumed}
		if left := volts - ke.Value*omega; ke.OK() && left > 0.02*volts && left < 0.5*volts {
			m.DC.Resistance = Known{left / amps, working.Computed}
		}
	}
	m.DC.Ke = ke
	if !ke.OK() {
		left := volts - amps*m.DC.Resistance.Value
		if left <= 0.3*volts {
			m.need("bench.resistance", "A resistance that fits the plate",
				"At plate amps this resistance would eat most of the plate's volts. Measure again with the leads off, brushes seated, turning the shaft a little between readings.")
			return
		}
		m.DC.Ke = Known{left / omega, working.Computed}
	}
	made := m.DC.Ke.Value * amps
	m.DC.Friction = Known{made - torque, working.Computed}
	if t.noLoadAmps.Known {
		m.DC.Friction = Known{m.DC.Ke.Value * t.noLoadAmps.SI, working.Measured}
	} else if m.DC.Friction.Value < 0 {
		m.DC.Friction = Known{0.05 * made, working.Assumed}
	}
	m.Torque = Known{made - m.DC.Friction.Value, working.Computed}
	if m.Torque.Value <= 0 {
		m.need("bench.noLoadAmps", "No-load amps below the plate's amps", "Running free it cannot draw as much as at full load. Measure it again with nothing on the shaft.")
	}
}

func (m *Resolved) resolveInduction(poles Known, t readings) {
	if !m.Hertz.OK() {
		m.Hertz = Known{50, working.Assumed}
		if looksLikeSixtyHertz(m.Speed.Value) {
			m.Hertz.Value = 60
		}
	}
	if !m.Speed.OK() && t.noLoadSpeed.Known {
		// Running free an induction motor sits within a per cent of synchronous.
		poles = Known{NearestPoles(m.Hertz.Value, t.noLoadSpeed.SI), working.Measured}
	}
	if !m.Speed.OK() {
		if !poles.OK() {
			m.need("plate.speed", "Speed or poles of the motor", "Read the plate, or run it free on the line and hold a tachometer to the shaft.")
			return
		}
		m.Speed = Known{synchronous(m.Hertz.Value, poles.Value) * 0.95, working.Assumed}
	}
	if !poles.OK() {
		poles = Known{NearestPoles(m.Hertz.Value, m.Speed.Value), working.Computed}
	}
	m.Induction.Poles = poles
	sync := synchronous(m.Hertz.Value, poles.Value)
	m.Induction.Slip = 1 - m.Speed.Value/sync
	if m.Induction.Slip <= 0.0005 || m.Induction.Slip > 0.5 {
		m.need("plate.speed", "A speed that fits the poles and hertz",
			"An induction motor under load turns a few per cent slower than synchronous, "+q.Show(sync, q.Speed, q.Metric)+" here. Read the plate again or measure with a tachometer.")
		return
	}
	if !m.Volts.OK() {
		m.need("plate.volts", "Volts of the motor", "Read the plate or the label inside the terminal box, and how the links are set.")
		return
	}
	if !m.PowerFactor.OK() {
		m.PowerFactor = Known{usualPowerFactor, working.Assumed}
	}
	m.settlePower(m.Volts.Value * m.PowerFactor.Value * m.rootPhases())
	if !m.Power.OK() {
		return
	}
	m.Torque = Known{m.Power.Value / m.Speed.Value, working.Computed}
	m.Induction.Breakdown, m.Induction.Start = 2.5, 2.0
	if m.Kind == CapacitorStart {
		m.Induction.Breakdown, m.Induction.Start = 2.0, 3.5
	}
	b := m.Induction.Breakdown
	m.Induction.BreakdownSlip = math.Min(m.Induction.Slip*(b+math.Sqrt(b*b-1)), 0.95)
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
	return 2 * math.Min(math.Max(pairs, 1), 12)
}

// looksLikeSixtyHertz reports whether a plate speed sits just under a 60 Hz synchronous speed
// and not just under a 50 Hz one.
func looksLikeSixtyHertz(omega float64) bool {
	if omega == 0 {
		return false
	}
	slip := func(hertz float64) float64 { return 1 - omega/synchronous(hertz, NearestPoles(hertz, omega)) }
	return slip(60) > 0 && slip(60) < 0.08 && slip(50) > 0.1
}
